package elvaro.server.reading;

import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * The air of a chamber over a stretch of time.
 *
 * @param stepSeconds how much time a point stands for
 * @param meanCelsius over the stretch, by the hour
 * @param setPointMiss how it runs otherwise than it is set, of late; absent where it does not
 * @param health whether the probe can be believed, now
 */
public record AirView(
        UUID chamberId,
        String chamberName,
        Instant from,
        Instant to,
        long stepSeconds,
        double setCelsius,
        double setHumidityPercent,
        @Nullable Double meanCelsius,
        @Nullable Double meanHumidityPercent,
        @Nullable String setPointMiss,
        ProbeHealth health,
        @Nullable LatestView latest,
        List<AirPointView> points,
        List<AirEventView> events) {

    /** The last reading. */
    public record LatestView(
            Instant at,
            @Nullable Double celsius,
            @Nullable Double humidityPercent,
            @Nullable Double metresPerSecond) {}

    /**
     * Lowest, mean and highest within a step, so that no peak is lost.
     *
     * @param drivePascal what draws water out of bare meat into the mean air
     */
    public record AirPointView(
            Instant at,
            @Nullable Double celsius,
            @Nullable Double celsiusMin,
            @Nullable Double celsiusMax,
            @Nullable Double humidityPercent,
            @Nullable Double humidityMin,
            @Nullable Double humidityMax,
            @Nullable Double drivePascal) {}

    /**
     * Air above 5 °C, or a silence over six hours.
     *
     * @param lasting whether it still goes on
     * @param peakCelsius of warm air
     * @param degreeHours above 5 °C, of warm air
     * @param filledBy of a silence
     */
    public record AirEventView(
            AirEvent kind,
            Instant from,
            Instant to,
            boolean lasting,
            @Nullable Double peakCelsius,
            @Nullable Double degreeHours,
            List<FilledView> filledBy,
            List<AirDecisionView> decisions) {}

    /**
     * Readings that did not come as they were measured.
     *
     * @param name of the file, or of the probe that sent them late
     * @param file whether a person took it in from a file
     * @param checksum SHA-256 of it
     * @param by who took it in; empty where a probe sent it
     */
    public record FilledView(String name, boolean file, String checksum, int readings, String by, Instant at) {}

    public record AirDecisionView(String words, String by, Instant at) {}
}
