package elvaro.core.trial;

import elvaro.core.forecast.Forecast;
import java.util.List;
import java.util.Optional;
import org.hipparchus.distribution.continuous.NormalDistribution;

/**
 * How fast an arm dries against the control on one day: the ratio of what they have lost by then. The band is that of the
 * forecasts, by the delta method on the logarithm. It takes the two as independent; what they share (a chamber, its air)
 * makes it wider than need be. It says how these pieces differ, not what the treatment would do to others.
 *
 * @param ratio above 0; 1 where both dry alike
 */
public record Drying(double ratio, Band band) {
    /** Nothing is said before this share of the green weight is gone: the scale alone would make the difference. */
    private static final double LEAST_LOST = 0.01;

    private static final double EIGHTY = new NormalDistribution().inverseCumulativeProbability(0.9);

    /** @return empty where too little is gone to tell */
    public static Optional<Drying> of(List<Forecast.Day> control, List<Forecast.Day> arm) {
        boolean early = control.isEmpty()
                || arm.isEmpty()
                || control.stream().anyMatch(day -> day.lost() < LEAST_LOST)
                || arm.stream().anyMatch(day -> day.lost() < LEAST_LOST);
        if (early) {
            return Optional.empty();
        }
        double log = mean(arm) - mean(control);
        double sd = Math.sqrt(variance(arm) + variance(control));
        return Optional.of(
                new Drying(Math.exp(log), new Band(Math.exp(log - EIGHTY * sd), Math.exp(log + EIGHTY * sd))));
    }

    private static double mean(List<Forecast.Day> days) {
        return days.stream().mapToDouble(day -> Math.log(day.lost())).average().orElseThrow();
    }

    private static double variance(List<Forecast.Day> days) {
        double sum = days.stream()
                .mapToDouble(day -> Math.pow(day.sd() / day.lost(), 2))
                .sum();
        return sum / days.size() / days.size();
    }

    private static String whole(double number) {
        return String.valueOf(Math.round(number));
    }

    /** As {@code honey dries 12 % slower than plain (80 %: 5 to 19)}. */
    public String words(String arm, String control) {
        double faster = (ratio - 1) * 100;
        double low = (band.low() - 1) * 100;
        double high = (band.high() - 1) * 100;
        if (Math.round(Math.abs(faster)) == 0) {
            return "%s dries like %s so far (80 %%: %s %% slower to %s %% faster)."
                    .formatted(arm, control, whole(-low), whole(high));
        }
        boolean slower = faster < 0;
        double near = slower ? -high : low;
        double far = slower ? -low : high;
        String way = slower ? "slower" : "faster";
        String from = near < 0 ? "%s %% %s".formatted(whole(-near), slower ? "faster" : "slower") : whole(near);
        String to = near < 0 ? "%s %% %s".formatted(whole(far), way) : whole(far);
        return "%s dries %s %% %s than %s (80 %%: %s to %s)."
                .formatted(arm, whole(Math.abs(faster)), way, control, from, to);
    }
}
