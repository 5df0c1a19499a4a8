package elvaro.core.notice;

import elvaro.core.keeping.Excursions;
import java.time.Duration;
import java.util.OptionalDouble;

/**
 * From when on the air of a chamber is told of.
 *
 * @param celsius above it is too warm
 * @param warmFor so long without a rest, as a defrosting is shorter
 * @param silentFor so long without a word from the probe
 * @param humidity it is set to, 0–1; empty where nobody set any
 */
public record AirLimits(double celsius, Duration warmFor, Duration silentFor, OptionalDouble humidity) {
    public static final int WARM_MINUTES = 30;
    public static final int SILENT_MINUTES = 60;

    /** What is set above the limit of cold holding is watched from so many kelvin above what it is set to (EST). */
    private static final double ABOVE_SET = 2;

    /** @param setCelsius what the chamber is set to */
    public static AirLimits of(double setCelsius, Duration warmFor, Duration silentFor, OptionalDouble humidity) {
        double limit = Excursions.LIMIT_CELSIUS;
        return new AirLimits(
                setCelsius + ABOVE_SET / 2 > limit ? setCelsius + ABOVE_SET : limit, warmFor, silentFor, humidity);
    }
}
