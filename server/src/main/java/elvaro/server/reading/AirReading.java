package elvaro.server.reading;

import org.jspecify.annotations.Nullable;

/**
 * The air at one moment, as far as it was measured.
 *
 * @param second since 1970
 * @param celsius −40 to 60 °C
 * @param humidity 0–100 % RH
 * @param speed 0–20 m/s
 */
record AirReading(
        long second,
        @Nullable Double celsius,
        @Nullable Double humidity,
        @Nullable Double speed) {
    static final long SECONDS_PER_HOUR = 3600;

    AirReading {
        check(celsius, -40, 60, "°C");
        check(humidity, 0, 100, "% RH");
        check(speed, 0, 20, "m/s");
    }

    private static void check(@Nullable Double value, double from, double to, String unit) {
        if (value != null && !(value >= from && value <= to)) {
            throw new IllegalArgumentException("%s %s is out of range, %.0f to %.0f.".formatted(value, unit, from, to));
        }
    }

    long hour() {
        return Math.floorDiv(second, SECONDS_PER_HOUR);
    }

    /** Both together; where both measured the same, this one counts. */
    AirReading and(AirReading other) {
        return new AirReading(
                second,
                celsius == null ? other.celsius : celsius,
                humidity == null ? other.humidity : humidity,
                speed == null ? other.speed : speed);
    }
}
