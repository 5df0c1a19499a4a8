package elvaro.server.reading;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
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

    private static final int PER_UNIT = 100;

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

    /** As measured values are kept. */
    static int hundredths(double value) {
        return (int) Math.round(value * PER_UNIT);
    }

    /** @param hundredths as kept */
    static double units(double hundredths) {
        return hundredths / PER_UNIT;
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

    /** One a second, in the order of time; where two measured the same, the first counts. */
    static List<AirReading> bySecond(Collection<AirReading> readings) {
        List<AirReading> sorted = new ArrayList<>(readings);
        sorted.sort(Comparator.comparingLong(AirReading::second));
        List<AirReading> one = new ArrayList<>(sorted.size());
        for (AirReading reading : sorted) {
            int last = one.size() - 1;
            if (last >= 0 && one.get(last).second == reading.second) {
                one.set(last, one.get(last).and(reading));
            } else {
                one.add(reading);
            }
        }
        return one;
    }
}
