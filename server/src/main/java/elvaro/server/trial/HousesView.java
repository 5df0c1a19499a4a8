package elvaro.server.trial;

import static elvaro.core.working.Quantity.number;

import elvaro.core.tasting.Preference;
import elvaro.core.tasting.TastingVerdict;
import elvaro.core.trial.Band;
import elvaro.core.trial.Evidence;
import elvaro.core.trial.TrialMeasure;
import elvaro.core.working.Quantity;
import elvaro.server.trial.ProtocolFile.ArmResult;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * What several houses found by one protocol.
 *
 * @param houses each by itself, this one first
 * @param together in words; empty while one house only has a result
 */
record HousesView(List<HouseLine> houses, List<String> together) {
    private static final double LEVEL = 0.8;

    /**
     * What one house found in one arm.
     *
     * @param value arm less control, of a cost a ratio less 1; absent for liking
     * @param pairs it rests on; of liking the tasters
     */
    record HouseLine(String house, String arm, @Nullable Double value, int pairs, String sentence) {}

    /** An arm and what it is held against, by their names. */
    record AskedArm(String name, String control) {}

    /** @param byHouse what each found, in the order they are told */
    static HousesView of(TrialMeasure measure, List<AskedArm> asked, Map<String, List<ArmResult>> byHouse) {
        List<HouseLine> lines = new ArrayList<>();
        List<String> together = new ArrayList<>();
        for (AskedArm arm : asked) {
            byHouse.forEach((house, found) -> of(found, arm.name())
                    .map(result -> line(house, measure, result, arm.control()))
                    .ifPresent(lines::add));
            together(measure, arm.name(), arm.control(), byHouse).ifPresent(together::add);
        }
        return new HousesView(lines, together);
    }

    /** Several trials of one house by one protocol are one house. */
    private static Optional<ArmResult> of(List<ArmResult> found, String arm) {
        return found.stream().filter(each -> each.arm().equalsIgnoreCase(arm)).reduce((one, other) -> {
            List<Double> differences = new ArrayList<>(one.differences());
            differences.addAll(other.differences());
            return new ArmResult(
                    arm,
                    differences,
                    one.likedArm() + other.likedArm(),
                    one.likedControl() + other.likedControl(),
                    one.likedNeither() + other.likedNeither());
        });
    }

    private static HouseLine line(String house, TrialMeasure measure, ArmResult result, String control) {
        if (!measure.isOfPieces()) {
            Preference liking = new Preference(result.likedArm(), result.likedControl(), result.likedNeither());
            return new HouseLine(
                    house,
                    result.arm(),
                    null,
                    liking.decided(),
                    TastingVerdict.of(liking, result.arm(), control).found());
        }
        double mean = result.differences().stream()
                .mapToDouble(Double::doubleValue)
                .average()
                .orElse(0);
        int pairs = result.differences().size();
        return new HouseLine(
                house,
                result.arm(),
                shown(measure, mean),
                pairs,
                pairs == 0
                        ? "not known"
                        : "%s against %s, %s"
                                .formatted(words(measure, mean), control, pairs == 1 ? "one pair" : pairs + " pairs"));
    }

    private static Optional<String> together(
            TrialMeasure measure, String arm, String control, Map<String, List<ArmResult>> byHouse) {
        List<ArmResult> all = byHouse.values().stream()
                .flatMap(found -> of(found, arm).stream())
                .toList();
        if (!measure.isOfPieces()) {
            Preference liking = all.stream()
                    .map(each -> new Preference(each.likedArm(), each.likedControl(), each.likedNeither()))
                    .reduce(new Preference(0, 0, 0), HousesView::plus);
            return Optional.of("%d houses together: %s"
                    .formatted(
                            all.size(), TastingVerdict.of(liking, arm, control).sentence()));
        }
        List<List<Double>> differences = all.stream()
                .map(ArmResult::differences)
                .filter(each -> !each.isEmpty())
                .toList();
        if (differences.size() < 2 || !measure.isPooled()) {
            return Optional.empty();
        }
        Evidence evidence = Evidence.of(measure, differences);
        Band band = evidence.band(LEVEL);
        return Optional.of("%d houses together, %d pairs: %s has %s than %s; four times in five between %s and %s."
                .formatted(
                        differences.size(),
                        evidence.pairs(),
                        arm,
                        words(measure, evidence.value()),
                        control,
                        signed(measure, band.low()),
                        signed(measure, band.high())));
    }

    private static Preference plus(Preference one, Preference other) {
        return new Preference(
                one.first() + other.first(), one.second() + other.second(), one.undecided() + other.undecided());
    }

    private static double shown(TrialMeasure measure, double value) {
        return measure.isCost() ? Math.expm1(value) : value;
    }

    /** As {@code 2.1 points less shrink}. */
    private static String words(TrialMeasure measure, double value) {
        String more = value < 0 ? "less" : "more";
        return switch (measure.scale()) {
            case SHARE -> number(Math.abs(value) * 100, 1) + " points %s %s".formatted(more, measure.label());
            case LOGARITHM -> "%.0f %% %s %s".formatted(Math.abs(Math.expm1(value)) * 100, more, measure.label());
            case COUNT, VOICES -> number(Math.abs(value), 1) + " %s %s".formatted(more, measure.label());
        };
    }

    private static String signed(TrialMeasure measure, double value) {
        double shown = shown(measure, value);
        return switch (measure.scale()) {
            case SHARE -> Quantity.signed(shown * 100, 1);
            case LOGARITHM -> Quantity.signed(shown * 100, 0) + " %";
            case COUNT, VOICES -> Quantity.signed(shown, 1);
        };
    }
}
