package elvaro.server.tasting;

import elvaro.core.tasting.TastingOutcome;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
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
            List<String> verdicts,
            Map<UUID, String> arms,
            List<String> weakenedBy) {}

    /** Those that are revealed, by trial. */
    public Map<UUID, List<TastedView>> revealed(Map<UUID, UUID> controlByTrial) {
        return tables.all(tastings.revealedOf(controlByTrial.keySet())).stream()
                .map(laid ->
                        view(laid, controlByTrial.get(laid.tasting().trialId().orElseThrow())))
                .collect(Collectors.groupingBy(TastedView::trialId));
    }

    /** Every one of a trial, those to come among them. */
    public List<TastedView> of(UUID trialId, UUID controlArm) {
        return tables.all(tastings.ofTrial(trialId)).stream()
                .map(laid -> view(laid, controlArm))
                .toList();
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
                said.of(laid).stream().map(each -> each.sentence()).toList(),
                revealed ? byArm(laid.samples(), laid.outcome(), controlArm) : Map.of(),
                revealed ? laid.weakenedBy() : List.of());
    }

    private static Map<UUID, String> byArm(List<TastingSample> all, TastingOutcome outcome, UUID controlArm) {
        Map<UUID, String> said = new HashMap<>();
        for (int control = 0; control < all.size(); control++) {
            if (all.get(control).armId().filter(controlArm::equals).isEmpty()) {
                continue;
            }
            for (int sample = 0; sample < all.size(); sample++) {
                if (sample != control && all.get(sample).armId().isPresent()) {
                    UUID arm = all.get(sample).armId().orElseThrow();
                    outcome.against(sample, control).ifPresent(phrase -> said.putIfAbsent(arm, phrase));
                }
            }
        }
        return said;
    }
}
