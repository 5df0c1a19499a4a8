package elvaro.server.exchange;

import java.io.IOException;
import java.io.OutputStream;
import java.util.Arrays;
import java.util.concurrent.ArrayBlockingQueue;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.TimeUnit;

/**
 * Hands what is written on to another thread, which packs it: reading rows and packing them take about as long, and a machine
 * has two cores. Half a megabyte may wait in between. (The JDK's piped streams take turns: one waits while the other works.)
 */
final class HandedOn extends OutputStream {
    private static final int CHUNK = 1 << 16;
    private static final int WAITING = 8;
    private static final byte[] END = {};

    private final BlockingQueue<byte[]> waiting = new ArrayBlockingQueue<>(WAITING);
    private final CompletableFuture<Void> packed;
    private byte[] chunk = new byte[CHUNK];
    private int filled;
    private boolean told;

    /** @param packing takes it all, in a thread of its own until {@link #close} */
    HandedOn(OutputStream packing) {
        packed = new CompletableFuture<>();
        Thread packer = new Thread(() -> pack(packing), "packs an archive");
        packer.setDaemon(true);
        packer.start();
    }

    private void pack(OutputStream packing) {
        try {
            for (byte[] next = waiting.take(); next != END; next = waiting.take()) {
                packing.write(next);
            }
            packed.complete(null);
        } catch (Throwable failure) { // whatever it is: whoever writes must not wait for ever
            packed.completeExceptionally(failure);
        }
    }

    @Override
    public void write(int value) throws IOException {
        write(new byte[] {(byte) value}, 0, 1);
    }

    @Override
    public void write(byte[] bytes, int from, int length) throws IOException {
        int at = from;
        for (int left = length; left > 0; ) {
            int some = Math.min(left, CHUNK - filled);
            System.arraycopy(bytes, at, chunk, filled, some);
            filled += some;
            at += some;
            left -= some;
            if (filled == CHUNK) {
                hand(chunk);
                chunk = new byte[CHUNK];
                filled = 0;
            }
        }
    }

    /** @throws IOException if the other thread could not pack what it was given before */
    private void hand(byte[] next) throws IOException {
        try {
            while (!waiting.offer(next, 100, TimeUnit.MILLISECONDS)) {
                if (packed.isDone()) {
                    packed();
                }
            }
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
            throw new IOException("Stopped while it was handed on", stopped);
        }
    }

    private void packed() throws IOException {
        try {
            packed.get();
        } catch (ExecutionException failure) {
            told = true;
            throw failure.getCause() instanceof IOException io ? io : new IOException(failure.getCause());
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
            throw new IOException("Stopped while it was packed", stopped);
        }
    }

    /** Waits until all of it is packed; whoever was told that it cannot be is not told again. */
    @Override
    public void close() throws IOException {
        if (told) {
            return;
        }
        hand(Arrays.copyOf(chunk, filled));
        filled = 0;
        hand(END);
        packed();
    }
}
