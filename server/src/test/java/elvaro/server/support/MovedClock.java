package elvaro.server.support;

import java.time.Clock;
import java.time.Instant;
import java.time.ZoneId;
import java.time.ZoneOffset;
import org.jspecify.annotations.Nullable;

/** The machine's clock, or one that stands where a test that lives through days has set it. */
public final class MovedClock extends Clock {
    private volatile @Nullable Instant stands;

    public void show(Instant moment) {
        stands = moment;
    }

    public void reset() {
        stands = null;
    }

    @Override
    public Instant instant() {
        Instant set = stands;
        return set == null ? Instant.now() : set;
    }

    @Override
    public ZoneId getZone() {
        return ZoneOffset.UTC;
    }

    @Override
    public Clock withZone(ZoneId zone) {
        return stands == null ? Clock.system(zone) : Clock.fixed(instant(), zone);
    }
}
