package elvaro.server.tasting;

import elvaro.core.tasting.Preference;
import elvaro.core.tasting.TastingKind;
import elvaro.core.tasting.TastingOutcome;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What was tasted of trials. */
@Service
@Transactional(readOnly = true)
public class TrialTastings {
    private final TastingRepository tastings;
    private final TastingAggregates tables;
    private final OutcomeSentences said;

    TrialTastings(TastingRepository tastings, TastingAggregates tables, OutcomeSentences said) {
        this.tastings = tastings;
        this.tables = tables;
        this.said = said;
    }

    /**
     * A tasting of a trial.
     *
     * @param verdicts in words; empty until it is revealed
     * @param arms what is said of an arm against the control, by the arm's id
     */
    public record TastedView(
            UUID id,
            UUID trialId,
            LocalDate heldOn,
            String kindLabel,
            TastingState state,
            int tasters,
            List<SaidView> verdicts,
            Map<UUID, String> arms,
            List<String> weakenedBy) {}

    /**
     * All tastings of a trial.
     *
     * @param tables each of them, those to come among them
     * @param liking how many tasters liked an arm better than the control, one voice each over all tables; the arm first
     */
    public record Tasted(List<TastedView> tables, Map<UUID, Preference> liking) {
        public static final Tasted NOTHING = new Tasted(List.of(), Map.of());
    }

    /** Of trials that were tasted, those revealed only, by trial. */
    public Map<UUID, Tasted> revealed(Map<UUID, UUID> controlByTrial) {
        Map<UUID, List<TastingAggregate>> byTrial = tables.all(tastings.revealedOf(controlByTrial.keySet())).stream()
                .collect(Collectors.groupingBy(laid -> laid.tasting().trialId().orElseThrow()));
        Map<UUID, Tasted> all = new HashMap<>();
        byTrial.forEach((trial, laid) -> all.put(trial, tasted(laid, controlByTrial.get(trial))));
        return all;
    }

    /** Of one trial, those to come too. */
    public Tasted of(UUID trialId, UUID controlArm) {
        return tasted(tables.all(tastings.ofTrial(trialId)), controlArm);
    }

    private Tasted tasted(List<TastingAggregate> laid, UUID controlArm) {
        Map<UUID, Map<UUID, Integer>> voices = new HashMap<>();
        laid.stream()
                .filter(each -> each.tasting().state() == TastingState.REVEALED)
                .forEach(each -> hear(each, controlArm, voices));
        Map<UUID, Preference> liking = new HashMap<>();
        voices.forEach((arm, byTaster) -> liking.put(arm, Preference.count(byTaster.values())));
        return new Tasted(laid.stream().map(each -> view(each, controlArm)).toList(), liking);
    }

    private TastedView view(TastingAggregate laid, UUID controlArm) {
        Tasting tasting = laid.tasting();
        boolean revealed = tasting.state() == TastingState.REVEALED;
        return new TastedView(
                tasting.id(),
                tasting.trialId().orElseThrow(),
                tasting.heldOn(),
                tasting.kind().label(),
                tasting.state(),
                laid.places().size(),
                said.of(laid),
                revealed ? byArm(laid, controlArm) : Map.of(),
                revealed ? laid.weakenedBy() : List.of());
    }

    private static Map<UUID, String> byArm(TastingAggregate laid, UUID controlArm) {
        TastingOutcome outcome = laid.outcome();
        Map<UUID, String> said = new HashMap<>();
        pairs(laid, controlArm, (arm, sample, control) -> outcome.against(sample, control)
                .ifPresent(verdict -> said.putIfAbsent(arm, verdict.sentence())));
        return said;
    }

    /** Adds what each taster of a table says of the arms; a taster who is heard at several tables is heard once. */
    private static void hear(TastingAggregate laid, UUID controlArm, Map<UUID, Map<UUID, Integer>> voices) {
        if (laid.tasting().kind() == TastingKind.TRIANGLE) {
            return;
        }
        TastingOutcome outcome = laid.outcome();
        pairs(laid, controlArm, (arm, sample, control) -> {
            Map<UUID, Integer> own = voices.computeIfAbsent(arm, each -> new HashMap<>());
            outcome.voices(sample, control)
                    .forEach((place, voice) -> own.merge(laid.taster(place), voice, Integer::sum));
        });
    }

    /** A sample of an arm and one of the control. */
    private interface PairOfArms {
        void take(UUID arm, int sample, int control);
    }

    private static void pairs(TastingAggregate laid, UUID controlArm, PairOfArms each) {
        List<TastingSample> all = laid.samples();
        for (int control = 0; control < all.size(); control++) {
            if (all.get(control).armId().filter(controlArm::equals).isEmpty()) {
                continue;
            }
            for (int sample = 0; sample < all.size(); sample++) {
                Optional<UUID> arm = all.get(sample).armId();
                if (arm.isPresent() && !arm.get().equals(controlArm)) {
                    each.take(arm.get(), sample, control);
                }
            }
        }
    }
}
