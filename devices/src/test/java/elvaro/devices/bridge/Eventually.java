package elvaro.devices.bridge;

import java.time.Duration;
import java.time.Instant;
import java.util.concurrent.Callable;

/** Waits for what other programs do in their own time. */
final class Eventually {
    private static final Duration PATIENCE = Duration.ofSeconds(40);

    private Eventually() {}

    static void is(Callable<Boolean> condition) throws Exception {
        Instant end = Instant.now().plus(PATIENCE);
        while (!condition.call()) {
            if (Instant.now().isAfter(end)) {
                throw new AssertionError("It did not come to be");
            }
            Thread.sleep(100);
        }
    }
}
