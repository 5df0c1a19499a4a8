package elvaro.server.settings;

import elvaro.server.shared.Refusal;
import java.time.DateTimeException;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.time.ZonedDateTime;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * The clock on the wall of a house. A house that moves, or mends a wrong setting, goes by another zone from then on; what
 * happened before keeps the day it had.
 *
 * @param zone it goes by now
 * @param before those it went by, the first first
 */
public record HouseClock(ZoneId zone, List<Before> before) {
    /** @param until when it went over to the next one */
    public record Before(ZoneId zone, Instant until) {}

    public HouseClock {
        before = List.copyOf(before);
    }

    /** A clock that always went by one zone. */
    public HouseClock(ZoneId zone) {
        this(zone, List.of());
    }

    /**
     * The zones of a house as they are carried from elsewhere.
     *
     * @throws Refusal if they are none
     */
    static List<Before> before(@Nullable Object column) {
        try {
            return new ZonesBefore().convertToEntityAttribute((String) column);
        } catch (ClassCastException | DateTimeException | ArrayIndexOutOfBoundsException none) {
            throw Refusal.wrong("invalid", "zone", "The time zones of that house cannot be read.");
        }
    }

    /** From a moment on it goes by another zone. */
    HouseClock goingBy(ZoneId next, Instant from) {
        List<Before> passed = new ArrayList<>(before);
        passed.add(new Before(zone, from));
        return new HouseClock(next, passed);
    }

    /** What it showed at a moment. */
    public ZonedDateTime shown(Instant at) {
        return at.atZone(before.stream()
                .filter(each -> at.isBefore(each.until()))
                .findFirst()
                .map(Before::zone)
                .orElse(zone));
    }

    /** On which day a moment fell. */
    public LocalDate day(Instant at) {
        return shown(at).toLocalDate();
    }

    /** When it showed this. */
    public Instant at(LocalDate day, LocalTime time) {
        for (Before each : before) {
            Instant then = day.atTime(time).atZone(each.zone()).toInstant();
            if (then.isBefore(each.until())) {
                return then;
            }
        }
        return day.atTime(time).atZone(zone).toInstant();
    }

    /** When a day began. */
    public Instant start(LocalDate day) {
        return at(day, LocalTime.MIDNIGHT);
    }
}
