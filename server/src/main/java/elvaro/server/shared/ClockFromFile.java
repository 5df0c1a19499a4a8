package elvaro.server.shared;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.time.ZoneOffset;

/**
 * A clock that goes ahead of the machine's by what a file says, as an ISO duration such as {@code P14D}: for tests that live
 * through weeks in a minute. Never used unless the file is named when the application is started.
 */
public final class ClockFromFile extends Clock {
    private final Path ahead;
    private final Clock machine;

    public ClockFromFile(Path ahead) {
        this(ahead, Clock.system(ZoneOffset.UTC));
    }

    private ClockFromFile(Path ahead, Clock machine) {
        this.ahead = ahead;
        this.machine = machine;
    }

    @Override
    public Instant instant() {
        try {
            return machine.instant().plus(Duration.parse(Files.readString(ahead).strip()));
        } catch (IOException failure) {
            throw new IllegalStateException("The clock's file cannot be read: " + ahead, failure);
        }
    }

    @Override
    public ZoneId getZone() {
        return machine.getZone();
    }

    @Override
    public Clock withZone(ZoneId zone) {
        return new ClockFromFile(ahead, machine.withZone(zone));
    }
}
