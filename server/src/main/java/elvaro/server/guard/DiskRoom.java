package elvaro.server.guard;

import elvaro.server.shared.Refusal;
import java.io.File;
import java.time.Duration;
import java.util.function.LongSupplier;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;

/**
 * Room on the disk the data lie on. MariaDB does not refuse on a full disk, it ends: nothing more is written while there is
 * still room to read, to sign in and to take a backup elsewhere.
 */
@Component
public class DiskRoom {
    static final long LEAST_BYTES = 150_000_000;

    private static final long LOOKS_AGAIN_NANOS = Duration.ofSeconds(5).toNanos();

    private final LongSupplier free;
    private long lookedAt;
    private long seen;

    /** @param folder where the data lie; empty where the database is elsewhere and looks after itself */
    @Autowired
    DiskRoom(@Value("${elvaro.folder}") String folder) {
        this(folder.isEmpty() ? () -> Long.MAX_VALUE : new File(folder)::getUsableSpace);
    }

    /** @param free bytes */
    DiskRoom(LongSupplier free) {
        this.free = free;
        this.seen = free.getAsLong();
        this.lookedAt = System.nanoTime();
    }

    /** What is free, bytes; {@link Long#MAX_VALUE} where nobody can say. */
    public long free() {
        return free.getAsLong();
    }

    /** @throws Refusal if there is too little to write anything more */
    synchronized void mustBeEnough() {
        if (System.nanoTime() - lookedAt > LOOKS_AGAIN_NANOS || seen < LEAST_BYTES) {
            seen = free.getAsLong();
            lookedAt = System.nanoTime();
        }
        if (seen < LEAST_BYTES) {
            throw Refusal.diskFull();
        }
    }
}
