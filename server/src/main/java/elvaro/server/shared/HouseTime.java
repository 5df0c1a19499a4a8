package elvaro.server.shared;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import org.jspecify.annotations.Nullable;

/** The clock of the house that is being worked for: the machine's, but ahead of it in a rehearsal. */
public final class HouseTime extends Clock {
    private static final ThreadLocal<@Nullable Duration> AHEAD = new ThreadLocal<>();

    private final Clock machine;

    public HouseTime(Clock machine) {
        this.machine = machine;
    }

    /** From here on this thread works in a house whose clock is ahead by so much; null for one that is not. */
    public static void goAhead(@Nullable Duration ahead) {
        if (ahead == null) {
            AHEAD.remove();
        } else {
            AHEAD.set(ahead);
        }
    }

    /** What the machine's clock shows, wherever this thread works. */
    public Instant ofTheMachine() {
        return machine.instant();
    }

    @Override
    public Instant instant() {
        Duration ahead = AHEAD.get();
        return ahead == null ? machine.instant() : machine.instant().plus(ahead);
    }

    @Override
    public ZoneId getZone() {
        return machine.getZone();
    }

    @Override
    public Clock withZone(ZoneId zone) {
        return new HouseTime(machine.withZone(zone));
    }
}
