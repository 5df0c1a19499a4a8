package elvaro.core.keeping;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;

/**
 * When it was too warm, and when nobody measured. Above 5 °C (41 °F) is out of cold holding: FDA Food Code 3-501.16, from
 * memory. An excursion asks for a decision; it is never a verdict.
 *
 * @param warm the runs above the limit, in order
 * @param gaps stretches without a reading, in order
 */
public record Excursions(List<Warm> warm, List<Gap> gaps) {
    public static final double LIMIT_CELSIUS = 5;

    /** Air is cold again once it has been so for as long; before, it is the same excursion. Estimate. */
    public static final Duration SETTLED = Duration.ofMinutes(15);

    /** A gap in the readings longer than this is an event of its own. Reference section 6. */
    public static final Duration LONGEST_SILENCE = Duration.ofHours(6);

    /** One reading of a probe. */
    public record TimedReading(Instant at, double celsius) {}

    /**
     * A run of readings above the limit.
     *
     * @param from the first reading above it; less than a quarter of an hour at or below it does not end the run
     * @param to the first reading at or below it again, or the last there is
     * @param peakCelsius the warmest
     * @param degreeHours sum of degrees above the limit times hours
     */
    public record Warm(Instant from, Instant to, double peakCelsius, double degreeHours) {}

    public record Gap(Instant from, Instant to) {}

    /** @param readings in the order they were taken; each holds until the next */
    public static Excursions find(List<TimedReading> readings) {
        return find(readings, LIMIT_CELSIUS);
    }

    /** The same above another limit. */
    public static Excursions find(List<TimedReading> readings, double limitCelsius) {
        List<Warm> warm = new ArrayList<>();
        List<Gap> gaps = new ArrayList<>();
        Warm run = null;
        for (int index = 0; index < readings.size(); index++) {
            TimedReading reading = readings.get(index);
            boolean last = index + 1 == readings.size();
            Instant until = last ? reading.at() : readings.get(index + 1).at();
            if (until.isBefore(reading.at())) {
                throw new IllegalArgumentException("Readings follow one another in time");
            }
            Duration length = Duration.between(reading.at(), until);
            boolean silence = length.compareTo(LONGEST_SILENCE) > 0;
            if (silence) {
                gaps.add(new Gap(reading.at(), until));
            }
            double over = reading.celsius() - limitCelsius;
            if (over > 0) {
                // Nobody knows how warm it was in a gap: it counts for as long as a silence may last.
                double hours = (silence ? LONGEST_SILENCE : length).toMillis() / 3_600_000.0;
                Instant end = silence ? reading.at().plus(LONGEST_SILENCE) : until;
                run = run == null
                        ? new Warm(reading.at(), end, reading.celsius(), over * hours)
                        : new Warm(
                                run.from(),
                                end,
                                Math.max(run.peakCelsius(), reading.celsius()),
                                run.degreeHours() + over * hours);
            }
            if (run != null && (over <= 0 || silence || last)) {
                warm.add(run);
                run = null;
            }
        }
        return new Excursions(joined(warm), List.copyOf(gaps));
    }

    /** A probe's noise about the limit would make many of one. */
    private static List<Warm> joined(List<Warm> runs) {
        List<Warm> joined = new ArrayList<>();
        for (Warm run : runs) {
            Warm last = joined.isEmpty() ? null : joined.get(joined.size() - 1);
            if (last != null && Duration.between(last.to(), run.from()).compareTo(SETTLED) < 0) {
                joined.set(
                        joined.size() - 1,
                        new Warm(
                                last.from(),
                                run.to(),
                                Math.max(last.peakCelsius(), run.peakCelsius()),
                                last.degreeHours() + run.degreeHours()));
            } else {
                joined.add(run);
            }
        }
        return List.copyOf(joined);
    }
}
