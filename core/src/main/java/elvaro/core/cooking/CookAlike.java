package elvaro.core.cooking;

import java.util.Comparator;
import java.util.List;
import java.util.OptionalDouble;

/** How samples of different thickness come to the table with the same core. */
public final class CookAlike {
    /** From the refrigerator. */
    private static final double START_CELSIUS = 4;

    private CookAlike() {}

    /** How heat is given. */
    public enum Heat {
        BATH("Water bath, then seared"),
        PAN("Pan"),
        GRILL("Grill"),
        OVEN("Oven, then seared");

        private final String label;

        Heat(String label) {
            this.label = label;
        }

        public String label() {
            return label;
        }
    }

    /**
     * When a sample is started.
     *
     * @param minutes in the bath; empty where only a thermometer tells
     * @param startAfter minutes after the first one, so that all are ready together
     */
    public record Timing(int sample, OptionalDouble minutes, OptionalDouble startAfter) {}

    /**
     * @param thicknessMillimetres of each sample; 0 where it is not known
     * @return the first to start first; those of unknown thickness last
     */
    public static List<Timing> timings(Heat heat, double coreCelsius, List<Integer> thicknessMillimetres) {
        List<OptionalDouble> minutes = thicknessMillimetres.stream()
                .map(thick -> heat != Heat.BATH || thick <= 0
                        ? OptionalDouble.empty()
                        : OptionalDouble.of(Slab.minutes(thick / 1000.0, START_CELSIUS, coreCelsius + 0.5)))
                .toList();
        double longest =
                minutes.stream().flatMapToDouble(OptionalDouble::stream).max().orElse(0);
        return java.util.stream.IntStream.range(0, minutes.size())
                .boxed()
                .sorted(Comparator.comparing((Integer sample) -> -thicknessMillimetres.get(sample)))
                .map(sample -> new Timing(
                        sample,
                        minutes.get(sample),
                        minutes.get(sample).isPresent()
                                ? OptionalDouble.of(
                                        longest - minutes.get(sample).getAsDouble())
                                : OptionalDouble.empty()))
                .toList();
    }
}
