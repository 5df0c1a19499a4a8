package elvaro.server.reading;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;

/**
 * All readings of an hour in short.
 *
 * @param hour seconds since 1970 over 3600
 * @param firstAt second since 1970 of the first temperature, null where none was measured
 * @param lastAt of the last temperature
 * @param celsius hundredths of a degree
 * @param humidity hundredths of a percent
 * @param speed mean, hundredths of a metre a second
 */
record AirHour(
        long hour,
        int readings,
        @Nullable Long firstAt,
        @Nullable Long lastAt,
        @Nullable Range celsius,
        @Nullable Range humidity,
        @Nullable Double speed) {

    /** What was measured, in hundredths. */
    record Range(double mean, int least, int most) {
        private static @Nullable Range of(List<AirReading> readings, Function<AirReading, @Nullable Double> measured) {
            long sum = 0;
            int count = 0;
            int least = Integer.MAX_VALUE;
            int most = Integer.MIN_VALUE;
            for (AirReading reading : readings) {
                Double value = measured.apply(reading);
                if (value != null) {
                    int hundredths = AirReading.hundredths(value);
                    sum += hundredths;
                    count++;
                    least = Math.min(least, hundredths);
                    most = Math.max(most, hundredths);
                }
            }
            return count == 0 ? null : new Range((double) sum / count, least, most);
        }
    }

    /** @param inOrder of time, all there are of each hour they touch */
    static List<AirHour> of(List<AirReading> inOrder) {
        List<AirHour> hours = new ArrayList<>();
        int begin = 0;
        for (int index = 1; index <= inOrder.size(); index++) {
            if (index == inOrder.size()
                    || inOrder.get(index).hour() != inOrder.get(begin).hour()) {
                hours.add(ofOne(inOrder.subList(begin, index)));
                begin = index;
            }
        }
        return hours;
    }

    private static AirHour ofOne(List<AirReading> readings) {
        List<Long> warmth = readings.stream()
                .filter(reading -> reading.celsius() != null)
                .map(AirReading::second)
                .toList();
        return new AirHour(
                readings.get(0).hour(),
                readings.size(),
                warmth.isEmpty() ? null : warmth.get(0),
                warmth.isEmpty() ? null : warmth.get(warmth.size() - 1),
                Range.of(readings, AirReading::celsius),
                Range.of(readings, AirReading::humidity),
                meanSpeed(Range.of(readings, AirReading::speed)));
    }

    private static @Nullable Double meanSpeed(@Nullable Range speed) {
        return speed == null ? null : speed.mean();
    }
}
