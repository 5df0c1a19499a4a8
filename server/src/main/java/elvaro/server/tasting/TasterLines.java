package elvaro.server.tasting;

import elvaro.core.tasting.Attribute;
import elvaro.core.tasting.TastingKind;
import elvaro.core.tasting.TastingOutcome;
import elvaro.core.working.Quantity;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.OptionalDouble;
import java.util.UUID;
import java.util.function.DoubleFunction;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;

/**
 * A line for every taster across the samples, of one thing that was asked of each, to be drawn.
 *
 * @param low what the lowest value means
 * @param high what the highest means
 * @param from the lowest value
 * @param to the highest
 * @param arms by sample, which arm of a trial it is; null where it is none
 * @param colours by sample, the number of its colour: its place at the table, or that of its arm where arms have colours
 * @param means by sample, over all tasters; null where nobody said anything
 * @param written the means as they are told, empty where there is none
 */
public record TasterLines(
        String title,
        String low,
        String high,
        int from,
        int to,
        List<String> samples,
        List<@Nullable UUID> arms,
        List<Integer> colours,
        List<TasterLine> tasters,
        List<@Nullable Double> means,
        List<String> written) {
    /**
     * @param taster absent where people are not told
     * @param values one a sample, the mean over rounds; null where nothing was said
     */
    public record TasterLine(@Nullable String taster, List<@Nullable Double> values) {}

    /** The order first, the best at the top, then every attribute that was scored. */
    static List<TasterLines> of(TastingAggregate laid) {
        TastingOutcome outcome = laid.outcome();
        int most = laid.samples().size();
        List<TasterLines> all = new ArrayList<>();
        if (laid.tasting().kind() == TastingKind.RANKING) {
            Map<Integer, List<OptionalDouble>> fromBelow = outcome.fromBelow();
            all.add(of(
                    laid, "Order", "last", "best", most, fromBelow, mean -> Quantity.number(most + 1 - mean, 1) + "."));
        }
        for (Attribute attribute : laid.tasting().attributes()) {
            all.add(of(
                    laid,
                    attribute.label(),
                    attribute.low(),
                    attribute.high(),
                    Attribute.MOST,
                    outcome.scores(attribute.key()),
                    mean -> Quantity.number(mean, 1)));
        }
        return all.stream().filter(lines -> !lines.tasters().isEmpty()).toList();
    }

    private static TasterLines of(
            TastingAggregate laid,
            String title,
            String low,
            String high,
            int to,
            Map<Integer, List<OptionalDouble>> byTaster,
            DoubleFunction<String> telling) {
        List<TasterLine> tasters = byTaster.entrySet().stream()
                .filter(each -> each.getValue().stream().anyMatch(OptionalDouble::isPresent))
                .map(each -> new TasterLine(
                        laid.places().get(each.getKey()).taster().label(),
                        each.getValue().stream().map(TastingReading::orNull).toList()))
                .toList();
        List<@Nullable Double> means = IntStream.range(0, laid.samples().size())
                .mapToObj(sample -> mean(tasters, sample))
                .toList();
        return new TasterLines(
                title,
                low,
                high,
                Attribute.LEAST,
                to,
                laid.names(),
                laid.samples().stream()
                        .map(sample -> sample.armId().orElse(null))
                        .toList(),
                IntStream.range(0, laid.samples().size()).boxed().toList(),
                tasters,
                means,
                means.stream()
                        .map(mean -> mean == null ? "" : telling.apply(mean))
                        .toList());
    }

    private static @Nullable Double mean(List<TasterLine> tasters, int sample) {
        return TastingReading.orNull(tasters.stream()
                .map(each -> each.values().get(sample))
                .filter(Objects::nonNull)
                .mapToDouble(Double::doubleValue)
                .average());
    }

    /** The same without the people, each sample in the colour of its arm among those of the trial. */
    public TasterLines shownAround(List<UUID> armsOfTrial) {
        return new TasterLines(
                title,
                low,
                high,
                from,
                to,
                samples,
                List.of(),
                IntStream.range(0, samples.size())
                        .map(sample -> Math.max(0, armsOfTrial.indexOf(arms.get(sample))))
                        .boxed()
                        .toList(),
                tasters.stream()
                        .map(line -> new TasterLine(null, line.values()))
                        .toList(),
                means,
                written);
    }
}
