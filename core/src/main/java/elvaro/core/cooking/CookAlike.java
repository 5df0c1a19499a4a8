package elvaro.core.cooking;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.IntStream;

/**
 * How samples of different thickness come to the table with the same core, by any fire.
 *
 * @param heat how
 * @param fire °C of oven, grill or pan, where somebody said; of no matter to a bath
 * @param startCelsius of the meat as it is put on
 * @param coreCelsius aimed at in all
 */
public record CookAlike(Heat heat, OptionalDouble fire, double startCelsius, double coreCelsius) {
    /** From the refrigerator. */
    public static final double USUAL_START = 4;

    /** Once a probe told how fast this fire heats, the time may be off by so much. */
    private static final double PROBED_DOUBT = 0.1;

    /** A reading in the first degrees tells nothing of what is to come. */
    private static final double RISEN = 5;

    /**
     * What a probe showed in the core.
     *
     * @param minutes after the sample was put on, above 0
     */
    public record Probe(double minutes, double celsius) {}

    /**
     * A sample.
     *
     * @param thicknessMm 0 where it is not known
     */
    public record Sample(int thicknessMm, Optional<Probe> probe) {}

    /**
     * When a sample is started.
     *
     * @param minutes it takes; empty where only a thermometer tells
     * @param least of the 80 % band, as {@code most}
     * @param startAfter minutes after the first one, so that all are ready together
     * @param probed whether a probe has put it right
     */
    public record Timing(
            int sample,
            OptionalDouble minutes,
            OptionalDouble least,
            OptionalDouble most,
            OptionalDouble startAfter,
            boolean probed) {}

    private record Lasts(double minutes, double doubt, boolean probed) {}

    /**
     * A probe in one sample puts the others right as well: it is the same fire.
     *
     * @return the first to start first; those of unknown thickness last
     */
    public List<Timing> timings(List<Sample> samples) {
        OptionalDouble shared = samples.stream()
                .flatMap(sample -> slowness(sample).stream().boxed())
                .mapToDouble(each -> each)
                .average();
        List<Optional<Lasts>> lasts =
                samples.stream().map(sample -> lasts(sample, shared)).toList();
        double longest = lasts.stream()
                .flatMap(Optional::stream)
                .mapToDouble(Lasts::minutes)
                .max()
                .orElse(0);
        return IntStream.range(0, samples.size())
                .boxed()
                .sorted(Comparator.comparing((Integer sample) ->
                        -lasts.get(sample).map(Lasts::minutes).orElse(-1.0)))
                .map(sample -> timing(sample, lasts.get(sample), longest))
                .toList();
    }

    private static Timing timing(int sample, Optional<Lasts> lasts, double longest) {
        return lasts.map(each -> new Timing(
                        sample,
                        OptionalDouble.of(each.minutes()),
                        OptionalDouble.of(each.minutes() * (1 - each.doubt())),
                        OptionalDouble.of(each.minutes() * (1 + each.doubt())),
                        OptionalDouble.of(longest - each.minutes()),
                        each.probed()))
                .orElseGet(() -> new Timing(
                        sample,
                        OptionalDouble.empty(),
                        OptionalDouble.empty(),
                        OptionalDouble.empty(),
                        OptionalDouble.empty(),
                        false));
    }

    private Optional<Lasts> lasts(Sample sample, OptionalDouble shared) {
        return slab(sample).map(slab -> {
            OptionalDouble own = slowness(sample);
            boolean probed = own.isPresent() || shared.isPresent();
            double factor = own.orElse(shared.orElse(1));
            return new Lasts(slab.minutes(coreCelsius) * factor, probed ? PROBED_DOUBT : heat.doubt(), probed);
        });
    }

    /** How many times as long as reckoned this fire takes, by what a probe showed; empty where it says nothing yet. */
    private OptionalDouble slowness(Sample sample) {
        return sample.probe()
                .filter(probe -> probe.minutes() > 0
                        && probe.celsius() > startCelsius + RISEN
                        && probe.celsius() < heat.fire(fire, coreCelsius))
                .flatMap(probe -> slab(sample)
                        .map(slab -> slab.minutes(probe.celsius()))
                        .filter(reckoned -> reckoned > 0)
                        .map(reckoned -> OptionalDouble.of(probe.minutes() / reckoned)))
                .orElse(OptionalDouble.empty());
    }

    private Optional<Slab> slab(Sample sample) {
        double hot = heat.fire(fire, coreCelsius);
        return sample.thicknessMm() <= 0 || hot <= coreCelsius || startCelsius >= coreCelsius
                ? Optional.empty()
                : Optional.of(new Slab(sample.thicknessMm() / 1000.0, startCelsius, hot, heat.film()));
    }
}
