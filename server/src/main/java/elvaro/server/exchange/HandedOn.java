package elvaro.server.exchange;

import java.io.IOException;
import java.util.concurrent.ArrayBlockingQueue;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.TimeUnit;

/**
 * Work that is handed on to another thread, which does it in the order it came: to read rows takes about as long as to write
 * and pack them, and a machine has two cores. A few steps may wait in between.
 */
final class HandedOn implements AutoCloseable {
    private static final int WAITING = 8;
    private static final Step END = () -> {};

    private final BlockingQueue<Step> waiting = new ArrayBlockingQueue<>(WAITING);
    private final CompletableFuture<Void> done = new CompletableFuture<>();
    private boolean told;

    /** Done in the other thread. */
    interface Step {
        void run() throws IOException;
    }

    /** @param name of the thread, which lives until {@link #close} */
    HandedOn(String name) {
        Thread other = new Thread(this::work, name);
        other.setDaemon(true);
        other.start();
    }

    private void work() {
        try {
            for (Step next = waiting.take(); next != END; next = waiting.take()) {
                next.run();
            }
            done.complete(null);
        } catch (Throwable failure) { // whatever it is: whoever hands on must not wait for ever
            done.completeExceptionally(failure);
        }
    }

    /** @throws IOException if a step before could not be done; none after it is */
    void hand(Step next) throws IOException {
        try {
            while (!waiting.offer(next, 100, TimeUnit.MILLISECONDS)) {
                if (done.isDone()) {
                    await();
                }
            }
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
            throw new IOException("Stopped while it was handed on", stopped);
        }
    }

    private void await() throws IOException {
        try {
            done.get();
        } catch (ExecutionException failure) {
            told = true;
            throw failure.getCause() instanceof IOException io ? io : new IOException(failure.getCause());
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
            throw new IOException("Stopped while it was done", stopped);
        }
    }

    /** Waits until all of it is done; whoever was told that it cannot be is not told again. */
    @Override
    public void close() throws IOException {
        if (told) {
            return;
        }
        hand(END);
        await();
    }
}
