package elvaro.core.air;

import elvaro.core.estimate.Estimates;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.stream.Collectors;

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

    /** The air to come is that of so many days before. */
    private static final int CARRIED_HOURS = 7 * 24;

    /** Of those the share of the hours at either end of the temperatures that is left out: an open door, a defrosting. */
    private static final double LEFT_OUT = 0.1;

    /** With fewer hours nobody knows yet how the chamber runs. */
    private static final int FEWEST_HOURS = 6;

    /**
     * The climate a piece hangs in: the recorded air up to a moment, and from there on the air as it was over the last days
     * that were recorded, without the hours that were unlike the others. The same holds in silences of more than six hours; in
     * shorter ones the last recorded air does. What the chamber is set to holds only where nothing was ever recorded.
     *
     * @param recorded in order of time, what was recorded before the hanging too
     * @param hungAt day 0 of the climate
     * @param until what was recorded from here on is not used
     * @param set what the chamber is set to; also for humidity and speed where they were not measured
     * @param setSd what its humidity may be off by where it was not measured, fraction
     */
    public static Climate climate(List<HourlyAir> recorded, Instant hungAt, Instant until, Air set, double setSd) {
        List<HourlyAir> carried = carried(recorded, until);
        List<Air> settled = carried.isEmpty() ? List.of(set) : airs(carried, set);
        Air usual = Air.mean(settled);
        List<Climate.Reading> readings = new ArrayList<>();
        long first = Math.floorDiv(hungAt.getEpochSecond(), 3600);
        long end = Math.floorDiv(until.getEpochSecond(), 3600);
        long known = Long.MIN_VALUE;
        for (HourlyAir each : recorded) {
            if (each.hour < first || each.hour >= end) {
                continue;
            }
            if (known == Long.MIN_VALUE ? each.hour > first : each.hour - known > LONGEST_SILENCE_HOURS) {
                readings.add(new Climate.Reading(dayOf(known == Long.MIN_VALUE ? first : known + 1, hungAt), usual));
            }
            readings.add(new Climate.Reading(dayOf(each.hour, hungAt), each.with(usual)));
            known = each.hour;
        }
        double from = known == Long.MIN_VALUE ? 0 : dayOf(known + 1, hungAt);
        readings.add(new Climate.Reading(from, usual));
        boolean measured = carried.stream().anyMatch(each -> !Double.isNaN(each.relativeHumidity));
        Climate.AirDoubt doubt = measured
                ? new Climate.AirDoubt(Estimates.HUMIDITY_SENSOR_SD, from, changeSd(carried))
                : new Climate.AirDoubt(setSd, from, 0);
        return Climate.of(readings, settled, doubt);
    }

    /**
     * The air a chamber runs at, from the hours it was last recorded.
     *
     * @param recorded in order of time
     * @param until what was recorded from here on is not used
     * @return the hours that are like each other; none where too few were recorded
     */
    public static List<HourlyAir> carried(List<HourlyAir> recorded, Instant until) {
        long end = Math.floorDiv(until.getEpochSecond(), 3600);
        List<HourlyAir> before =
                recorded.stream().filter(each -> each.hour < end).toList();
        if (before.isEmpty()) {
            return List.of();
        }
        long last = before.get(before.size() - 1).hour;
        List<HourlyAir> hours =
                before.stream().filter(each -> each.hour > last - CARRIED_HOURS).toList();
        if (hours.size() < FEWEST_HOURS) {
            return List.of();
        }
        int out = (int) (LEFT_OUT * hours.size());
        return hours.stream()
                .sorted(Comparator.comparingDouble(HourlyAir::celsius))
                .skip(out)
                .limit(hours.size() - 2L * out)
                .toList();
    }

    /** What the air of those hours is on average, with what is set where it was not measured. */
    public static Air mean(List<HourlyAir> hours, Air set) {
        return Air.mean(airs(hours, set));
    }

    /** An hour whose humidity is missing had that of the others; what is set counts only where none was measured. */
    private static List<Air> airs(List<HourlyAir> hours, Air set) {
        double humidity = hours.stream()
                .mapToDouble(HourlyAir::relativeHumidity)
                .filter(each -> !Double.isNaN(each))
                .average()
                .orElse(set.relativeHumidity());
        Air others = new Air(set.celsius(), Math.max(0, Math.min(1, humidity)), set.metresPerSecond());
        return hours.stream().map(each -> each.with(others)).toList();
    }

    /** How far the days' means lie apart, which is how far the days to come may lie from their mean. */
    private static double changeSd(List<HourlyAir> hours) {
        double[] days = hours.stream()
                .filter(each -> !Double.isNaN(each.relativeHumidity))
                .collect(Collectors.groupingBy(
                        each -> Math.floorDiv(each.hour, 24), Collectors.averagingDouble(HourlyAir::relativeHumidity)))
                .values()
                .stream()
                .mapToDouble(Double::doubleValue)
                .toArray();
        if (days.length < 2) {
            return Estimates.HUMIDITY_CHANGE_SD;
        }
        double mean = Arrays.stream(days).average().orElseThrow();
        double squares =
                Arrays.stream(days).map(day -> (day - mean) * (day - mean)).sum();
        return Math.hypot(Estimates.HUMIDITY_CHANGE_SD, Math.sqrt(squares / (days.length - 1)) / 2);
    }

    private static double dayOf(long hour, Instant hungAt) {
        return Duration.between(hungAt, Instant.ofEpochSecond(hour * 3600)).toSeconds() / 3600.0 / HOURS_PER_DAY;
    }

    private Air with(Air usual) {
        return new Air(
                Math.max(-20, Math.min(40, celsius)),
                Double.isNaN(relativeHumidity) ? usual.relativeHumidity() : Math.max(0, Math.min(1, relativeHumidity)),
                Double.isNaN(metresPerSecond) ? usual.metresPerSecond() : Math.max(0, Math.min(10, metresPerSecond)));
    }
}
