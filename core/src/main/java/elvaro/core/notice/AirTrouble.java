package elvaro.core.notice;

import static elvaro.core.working.Quantity.share;
import static elvaro.core.working.Quantity.temperature;

import elvaro.core.air.Air;
import elvaro.core.air.HourlyAir;
import elvaro.core.estimate.Estimates;
import elvaro.core.keeping.Excursions;
import elvaro.core.keeping.Excursions.TimedReading;
import elvaro.core.keeping.Excursions.Warm;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;

/**
 * What is wrong with the air of a chamber now.
 *
 * @param kind of the air's kinds one
 * @param from since when
 * @param lasts how long
 * @param told whether it is to be told of now: not before it lasted, nor while it settles
 * @param words what exactly, in a sentence that begins small and has no end
 */
public record AirTrouble(NoticeKind kind, Instant from, Duration lasts, boolean told, String words) {
    /** Points of humidity that no sensor is blamed for, and that change what a forecast says by much (EST). */
    private static final double HUMIDITY_OFF = 0.10;

    private static final double HUMIDITY_STILL_OFF = 0.08;
    private static final int HUMIDITY_HOURS = 6;

    /** How much faster or slower it dries than before that a forecast made then is no longer worth much (EST). */
    private static final double DRYING_OFF = 0.35;

    private static final double DRYING_STILL_OFF = 0.25;
    private static final int DAY_HOURS = 24;
    private static final int FORTNIGHT_HOURS = 14 * DAY_HOURS;
    private static final int FEWEST_OF_A_DAY = 18;
    private static final int FEWEST_BEFORE = 72;

    /**
     * What was measured of late.
     *
     * @param readings of the last hours, in order; empty where none
     * @param hours of the last fortnight and a day, in order
     * @param watched whether a probe measures it, so that its silence means something
     */
    public record Lately(List<TimedReading> readings, List<HourlyAir> hours, boolean watched) {}

    /** @param open kinds that were told of and are not over */
    public static List<AirTrouble> of(Lately lately, AirLimits limits, Set<NoticeKind> open, Instant now) {
        List<AirTrouble> found = new ArrayList<>();
        warm(lately.readings, limits, open.contains(NoticeKind.WARM), now).ifPresent(found::add);
        if (lately.watched) {
            silent(lately.readings, limits, now).ifPresent(found::add);
        }
        Optional<AirTrouble> humidity = humidity(lately.hours, limits, open.contains(NoticeKind.HUMIDITY), now);
        humidity.ifPresentOrElse(
                found::add,
                () -> drying(lately.hours, open.contains(NoticeKind.DRYING), now)
                        .ifPresent(found::add));
        return List.copyOf(found);
    }

    private static Optional<AirTrouble> warm(List<TimedReading> readings, AirLimits limits, boolean open, Instant now) {
        List<Warm> runs = Excursions.find(readings, limits.celsius()).warm();
        if (runs.isEmpty()) {
            return Optional.empty();
        }
        Warm run = runs.get(runs.size() - 1);
        TimedReading last = readings.get(readings.size() - 1);
        boolean above = last.celsius() > limits.celsius();
        if (!above && Duration.between(run.to(), last.at()).compareTo(Excursions.SETTLED) >= 0) {
            return Optional.empty();
        }
        // What was last measured holds until somebody measures again; what is told for the first time is no old story.
        boolean fresh = Duration.between(last.at(), now).compareTo(Excursions.LONGEST_SILENCE) < 0;
        Duration lasts = Duration.between(run.from(), above ? now : run.to());
        return Optional.of(new AirTrouble(
                NoticeKind.WARM,
                run.from(),
                lasts,
                above && (open || fresh && lasts.compareTo(limits.warmFor()) >= 0),
                "%s, above %s for %s"
                        .formatted(temperature(last.celsius()), temperature(limits.celsius()), length(lasts))));
    }

    private static Optional<AirTrouble> silent(List<TimedReading> readings, AirLimits limits, Instant now) {
        if (readings.isEmpty()) {
            return Optional.empty();
        }
        TimedReading last = readings.get(readings.size() - 1);
        Duration lasts = Duration.between(last.at(), now);
        return lasts.compareTo(limits.silentFor()) < 0
                ? Optional.empty()
                : Optional.of(new AirTrouble(
                        NoticeKind.SILENT,
                        last.at(),
                        lasts,
                        true,
                        "no word from its probe for %s, %s at last"
                                .formatted(length(lasts), temperature(last.celsius()))));
    }

    private static Optional<AirTrouble> humidity(List<HourlyAir> hours, AirLimits limits, boolean open, Instant now) {
        if (limits.humidity().isEmpty()) {
            return Optional.empty();
        }
        double set = limits.humidity().getAsDouble();
        List<HourlyAir> lately = since(hours, now, HUMIDITY_HOURS).stream()
                .filter(hour -> !Double.isNaN(hour.relativeHumidity()))
                .toList();
        if (lately.size() < HUMIDITY_HOURS - 1) {
            return Optional.empty();
        }
        double mean = lately.stream()
                .mapToDouble(HourlyAir::relativeHumidity)
                .average()
                .orElseThrow();
        double least = open ? HUMIDITY_STILL_OFF : HUMIDITY_OFF;
        // A part of a percent is no part of what is shown, nor of what decides.
        if (Math.abs(mean - set) + 1e-9 < least) {
            return Optional.empty();
        }
        Instant from = Instant.ofEpochSecond(lately.get(0).hour() * 3600);
        Duration lasts = Duration.between(from, now);
        return Optional.of(new AirTrouble(
                NoticeKind.HUMIDITY,
                from,
                lasts,
                true,
                "%s RH over the last %s, set to %s"
                        .formatted(share(mean), length(Duration.ofHours(HUMIDITY_HOURS)), share(set))));
    }

    private static Optional<AirTrouble> drying(List<HourlyAir> hours, boolean open, Instant now) {
        Instant dayAgo = now.minus(Duration.ofHours(DAY_HOURS));
        List<HourlyAir> lately = since(hours, now, DAY_HOURS);
        List<HourlyAir> before = since(hours, dayAgo, FORTNIGHT_HOURS);
        OptionalDouble now24 = drive(lately, FEWEST_OF_A_DAY);
        OptionalDouble usual = drive(before, FEWEST_BEFORE);
        if (now24.isEmpty() || usual.isEmpty() || usual.getAsDouble() <= 0) {
            return Optional.empty();
        }
        double change = now24.getAsDouble() / usual.getAsDouble() - 1;
        if (Math.abs(change) < (open ? DRYING_STILL_OFF : DRYING_OFF)) {
            return Optional.empty();
        }
        return Optional.of(new AirTrouble(
                NoticeKind.DRYING,
                dayAgo,
                Duration.ofHours(DAY_HOURS),
                true,
                "dries %s %s than in the fortnight before"
                        .formatted(share(Math.abs(change)), change > 0 ? "faster" : "slower")));
    }

    private static List<HourlyAir> since(List<HourlyAir> hours, Instant until, int count) {
        long last = until.getEpochSecond() / 3600; // the hour that runs counts as far as it was measured
        return hours.stream()
                .filter(hour -> hour.hour() > last - count && hour.hour() <= last)
                .toList();
    }

    /** Mean drying power, Pa; empty where too little was measured. */
    private static OptionalDouble drive(List<HourlyAir> hours, int fewest) {
        List<HourlyAir> measured = hours.stream()
                .filter(hour -> !Double.isNaN(hour.relativeHumidity()))
                .toList();
        return measured.size() < fewest
                ? OptionalDouble.empty()
                : measured.stream()
                        .mapToDouble(hour -> new Air(hour.celsius(), hour.relativeHumidity(), 0.1)
                                .drivePascal(Estimates.BARE_ACTIVITY))
                        .average();
    }

    /** As {@code 40 minutes} or {@code 3 hours}. */
    public static String length(Duration lasts) {
        long minutes = Math.max(1, lasts.toMinutes());
        if (minutes < 120) {
            return minutes == 1 ? "a minute" : minutes + " minutes";
        }
        long hours = lasts.toHours();
        return hours < 48 ? hours + " hours" : lasts.toDays() + " days";
    }
}
