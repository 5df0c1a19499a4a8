package elvaro.server.scale;

import elvaro.core.weighing.StableWeight.Shown;
import java.io.IOException;
import java.util.concurrent.Executor;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.concurrent.atomic.AtomicReference;
import org.jspecify.annotations.Nullable;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;

/**
 * A screen that shows a scale. It is sent the newest figure only: one that a slow network could not take in time is of no
 * use any more, and the scale must not wait for it.
 */
class Watcher {
    private final SseEmitter screen;
    private final Executor senders;
    private final AtomicReference<@Nullable Shown> next = new AtomicReference<>();
    private final AtomicBoolean sending = new AtomicBoolean();

    Watcher(SseEmitter screen, Executor senders) {
        this.screen = screen;
        this.senders = senders;
    }

    void offer(Shown shown) {
        next.set(shown);
        if (sending.compareAndSet(false, true)) {
            senders.execute(this::send);
        }
    }

    void end() {
        screen.complete();
    }

    private void send() {
        do {
            for (Shown shown = next.getAndSet(null); shown != null; shown = next.getAndSet(null)) {
                try {
                    screen.send(shown);
                } catch (IOException | IllegalStateException gone) {
                    screen.completeWithError(gone);
                    return; // Stays marked as sending: nothing is sent to it again.
                }
            }
            sending.set(false);
        } while (next.get() != null && sending.compareAndSet(false, true));
    }
}
