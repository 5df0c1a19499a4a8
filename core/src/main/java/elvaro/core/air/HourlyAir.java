package elvaro.core.air;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;

/**
 * Mean air of one hour as recorded.
 *
 * @param hour whole hours since 1970
 * @param celsius −40 to 60 °C
 * @param relativeHumidity φ, 0–1; NaN where none was measured
 * @param metresPerSecond 0 to 20; NaN where none was measured
 */
public record HourlyAir(long hour, double celsius, double relativeHumidity, double metresPerSecond) {
    private static final double HOURS_PER_DAY = 24;

    /** A silence as long as this tells nothing of the air in it. */
    private static final int LONGEST_SILENCE_HOURS = 6;

    /**
     * The climate a piece hangs in: the recorded air up to a moment, the air the chamber is set to before, beyond, and where
     * nothing was recorded for longer than six hours. In shorter gaps the last recorded air holds.
     *
     * @param recorded in order of time
     * @param hungAt day 0 of the climate
     * @param until what was recorded from here on is not used
     * @param set what the chamber is set to; also for humidity and speed where they were not measured
     */
    public static Climate climate(List<HourlyAir> recorded, Instant hungAt, Instant until, Air set) {
        List<Climate.Reading> readings = new ArrayList<>();
        long first = Math.floorDiv(hungAt.getEpochSecond(), 3600);
        long end = Math.floorDiv(until.getEpochSecond(), 3600);
        long known = Long.MIN_VALUE;
        for (HourlyAir each : recorded) {
            if (each.hour < first || each.hour >= end) {
                continue;
            }
            if (known == Long.MIN_VALUE ? each.hour > first : each.hour - known > LONGEST_SILENCE_HOURS) {
                readings.add(new Climate.Reading(dayOf(known == Long.MIN_VALUE ? first : known + 1, hungAt), set));
            }
            readings.add(new Climate.Reading(dayOf(each.hour, hungAt), each.with(set)));
            known = each.hour;
        }
        readings.add(new Climate.Reading(known == Long.MIN_VALUE ? 0 : dayOf(known + 1, hungAt), set));
        return Climate.of(readings);
    }

    private static double dayOf(long hour, Instant hungAt) {
        return Duration.between(hungAt, Instant.ofEpochSecond(hour * 3600)).toSeconds() / 3600.0 / HOURS_PER_DAY;
    }

    private Air with(Air set) {
        return new Air(
                Math.max(-20, Math.min(40, celsius)),
                Double.isNaN(relativeHumidity) ? set.relativeHumidity() : Math.max(0, Math.min(1, relativeHumidity)),
                Double.isNaN(metresPerSecond) ? set.metresPerSecond() : Math.max(0, Math.min(10, metresPerSecond)));
    }
}
