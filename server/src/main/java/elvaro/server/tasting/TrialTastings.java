package elvaro.server.tasting;

import elvaro.core.tasting.Attribute;
import elvaro.core.tasting.BestLiked;
import elvaro.core.tasting.Finish;
import elvaro.core.tasting.Preference;
import elvaro.core.tasting.TastingKind;
import elvaro.core.tasting.TastingOutcome;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
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
     * @param lines of every taster; empty until it is revealed
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
            List<TasterLines> lines,
            Map<UUID, String> arms,
            List<String> weakenedBy) {}

    /** What was put before tasters: an arm and its finish. */
    public record ArmPlate(UUID arm, Finish finish) {}

    /** Two plates, in the order of {@link Tasted#plates}. */
    public record TwoPlates(int one, int other) {}

    /**
     * All tastings of a trial.
     *
     * @param tables each of them, those to come among them
     * @param plates all that were tasted
     * @param voices by two plates and taster: above 0 for the first, below for the second
     * @param liked by plate and taster, the mean of the scores for liking; of tables that scored
     * @param words what tasters wrote of an arm
     */
    public record Tasted(
            List<TastedView> tables,
            List<ArmPlate> plates,
            Map<TwoPlates, Map<UUID, Integer>> voices,
            Map<ArmPlate, Map<UUID, Double>> liked,
            Map<UUID, List<String>> words) {
        public static final Tasted NOTHING = new Tasted(List.of(), List.of(), Map.of(), Map.of(), Map.of());

        /** By taster, how much a plate was liked, 1 to 7; none where nobody scored it. */
        public Map<UUID, Double> scores(ArmPlate plate) {
            return liked.getOrDefault(plate, Map.of());
        }

        /** What each taster says of an arm against another one, both with the same on them; above 0 for the arm. */
        public Map<UUID, Integer> voices(UUID arm, UUID control) {
            List<Map<UUID, Integer>> heard = new ArrayList<>();
            for (int one = 0; one < plates.size(); one++) {
                for (int other = 0; other < plates.size(); other++) {
                    boolean alike =
                            plates.get(one).finish() == plates.get(other).finish();
                    if (alike
                            && plates.get(one).arm().equals(arm)
                            && plates.get(other).arm().equals(control)) {
                        heard.add(between(one, other));
                    }
                }
            }
            return oneVoiceEach(heard);
        }

        /** How many tasters liked an arm better than another one; empty where nobody had both. */
        public Optional<Preference> liking(UUID arm, UUID control) {
            return Optional.of(voices(arm, control))
                    .filter(heard -> !heard.isEmpty())
                    .map(heard -> Preference.count(heard.values()));
        }

        /** The plate most tasters liked better than each other; empty where there is none. */
        public Optional<BestLiked> best() {
            return BestLiked.of(IntStream.range(0, plates.size())
                    .mapToObj(one -> IntStream.range(0, plates.size())
                            .mapToObj(other ->
                                    Preference.count(between(one, other).values()))
                            .toList())
                    .toList());
        }

        private Map<UUID, Integer> between(int one, int other) {
            return one < other
                    ? voices.getOrDefault(new TwoPlates(one, other), Map.of())
                    : turned(voices.getOrDefault(new TwoPlates(other, one), Map.of()));
        }

        private static Map<UUID, Integer> turned(Map<UUID, Integer> heard) {
            Map<UUID, Integer> turned = new HashMap<>();
            heard.forEach((taster, voice) -> turned.put(taster, -voice));
            return turned;
        }

        /** A taster who is heard several times has one voice all the same. */
        public static Map<UUID, Integer> oneVoiceEach(List<Map<UUID, Integer>> heard) {
            Map<UUID, Integer> sums = new HashMap<>();
            heard.forEach(each -> each.forEach((taster, voice) -> sums.merge(taster, voice, Integer::sum)));
            sums.replaceAll((taster, sum) -> Integer.signum(sum));
            return sums;
        }
    }

    /** Of trials that were tasted, those revealed only, by trial; each arm against the one it is held against. */
    public Map<UUID, Tasted> revealed(Map<UUID, Map<UUID, UUID>> controlsByTrial) {
        Map<UUID, List<TastingAggregate>> byTrial = tables.all(tastings.revealedOf(controlsByTrial.keySet())).stream()
                .collect(Collectors.groupingBy(laid -> laid.tasting().trialId().orElseThrow()));
        Map<UUID, Tasted> all = new HashMap<>();
        byTrial.forEach((trial, laid) -> all.put(trial, tasted(laid, controlsByTrial.get(trial))));
        return all;
    }

    /**
     * Of one trial, those to come too.
     *
     * @param controls by arm, what it is held against
     */
    public Tasted of(UUID trialId, Map<UUID, UUID> controls) {
        return tasted(tables.all(tastings.ofTrial(trialId)), controls);
    }

    private Tasted tasted(List<TastingAggregate> all, Map<UUID, UUID> controls) {
        List<TastingAggregate> revealed = all.stream()
                .filter(each -> each.tasting().state() == TastingState.REVEALED)
                .toList();
        List<ArmPlate> plates = revealed.stream()
                .filter(each -> each.tasting().kind() != TastingKind.TRIANGLE)
                .flatMap(each -> each.samples().stream())
                .flatMap(sample -> sample.armId().map(arm -> new ArmPlate(arm, sample.finish())).stream())
                .distinct()
                .toList();
        Map<TwoPlates, List<Map<UUID, Integer>>> heard = new HashMap<>();
        revealed.forEach(each -> hear(each, plates, heard));
        Map<TwoPlates, Map<UUID, Integer>> voices = new HashMap<>();
        heard.forEach((pair, each) -> voices.put(pair, Tasted.oneVoiceEach(each)));
        return new Tasted(
                all.stream().map(each -> view(each, controls)).toList(),
                plates,
                voices,
                liked(revealed),
                words(revealed));
    }

    /** Adds what each taster of a table says of its plates. */
    private static void hear(
            TastingAggregate laid, List<ArmPlate> plates, Map<TwoPlates, List<Map<UUID, Integer>>> heard) {
        if (laid.tasting().kind() == TastingKind.TRIANGLE) {
            return;
        }
        TastingOutcome outcome = laid.outcome();
        List<Integer> numbers = laid.samples().stream()
                .map(sample -> sample.armId()
                        .map(arm -> plates.indexOf(new ArmPlate(arm, sample.finish())))
                        .orElse(-1))
                .toList();
        for (int first = 0; first < numbers.size(); first++) {
            for (int second = 0; second < numbers.size(); second++) {
                if (numbers.get(first) >= 0 && numbers.get(first) < numbers.get(second)) {
                    Map<UUID, Integer> own = new HashMap<>();
                    outcome.voices(first, second).forEach((place, voice) -> own.put(laid.taster(place), voice));
                    heard.computeIfAbsent(
                                    new TwoPlates(numbers.get(first), numbers.get(second)), each -> new ArrayList<>())
                            .add(own);
                }
            }
        }
    }

    private static Map<ArmPlate, Map<UUID, Double>> liked(List<TastingAggregate> revealed) {
        Map<ArmPlate, Map<UUID, List<Double>>> scored = new HashMap<>();
        for (TastingAggregate laid : revealed) {
            laid.outcome()
                    .scores(Attribute.LIKING)
                    .forEach((place, scores) -> hear(laid, laid.taster(place), scores, scored));
        }
        Map<ArmPlate, Map<UUID, Double>> means = new HashMap<>();
        scored.forEach((plate, byTaster) ->
                byTaster.forEach((taster, scores) -> means.computeIfAbsent(plate, each -> new HashMap<>())
                        .put(
                                taster,
                                scores.stream()
                                        .mapToDouble(Double::doubleValue)
                                        .average()
                                        .orElseThrow())));
        return means;
    }

    private static void hear(
            TastingAggregate laid,
            UUID taster,
            List<OptionalDouble> scores,
            Map<ArmPlate, Map<UUID, List<Double>>> scored) {
        for (int number = 0; number < scores.size(); number++) {
            TastingSample sample = laid.samples().get(number);
            OptionalDouble score = scores.get(number);
            if (score.isPresent() && sample.armId().isPresent()) {
                scored.computeIfAbsent(new ArmPlate(sample.armId().get(), sample.finish()), each -> new HashMap<>())
                        .computeIfAbsent(taster, each -> new ArrayList<>())
                        .add(score.getAsDouble());
            }
        }
    }

    private Map<UUID, List<String>> words(List<TastingAggregate> revealed) {
        Map<UUID, UUID> armOf = new HashMap<>();
        revealed.stream()
                .flatMap(each -> each.samples().stream())
                .forEach(sample -> sample.armId().ifPresent(arm -> armOf.put(sample.id(), arm)));
        return revealed.isEmpty()
                ? Map.of()
                : tastings
                        .notesOf(revealed.stream()
                                .map(each -> each.tasting().id())
                                .toList())
                        .stream()
                        .filter(note -> armOf.containsKey(note.sampleId()))
                        .collect(Collectors.groupingBy(
                                note -> armOf.get(note.sampleId()),
                                Collectors.mapping(TastingNote::words, Collectors.toList())));
    }

    private TastedView view(TastingAggregate laid, Map<UUID, UUID> controls) {
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
                revealed ? TasterLines.of(laid) : List.of(),
                revealed ? byArm(laid, controls) : Map.of(),
                revealed ? laid.weakenedBy() : List.of());
    }

    /** An arm against the one it is held against, with the same on both. */
    private static Map<UUID, String> byArm(TastingAggregate laid, Map<UUID, UUID> controls) {
        TastingOutcome outcome = laid.outcome();
        List<TastingSample> all = laid.samples();
        Map<UUID, String> said = new HashMap<>();
        for (int control = 0; control < all.size(); control++) {
            for (int sample = 0; sample < all.size(); sample++) {
                Optional<UUID> arm = all.get(sample).armId();
                boolean held = arm.map(controls::get).equals(all.get(control).armId())
                        && arm.isPresent()
                        && all.get(sample).finish() == all.get(control).finish();
                if (held && sample != control) {
                    outcome.against(sample, control)
                            .ifPresent(verdict -> said.putIfAbsent(arm.orElseThrow(), verdict.sentence()));
                }
            }
        }
        return said;
    }
}
