package elvaro.server.guard;

import elvaro.server.shared.Refusal;
import jakarta.servlet.ReadListener;
import jakarta.servlet.ServletInputStream;
import java.io.IOException;
import java.util.function.LongSupplier;

/**
 * A body that is read up to its limit, and only while it comes at a fair speed. Whoever sends a byte now and then would else
 * hold a thread for as long as they like, since the server's own time limit is one between two bytes.
 */
class BoundedBody extends ServletInputStream {
    /** Waited for in all before the speed is looked at. */
    private static final long PATIENCE_NANOS = 5_000_000_000L;

    private static final int LEAST_BYTES_A_SECOND = 1_000;
    private static final double SECOND = 1e9;

    private final ServletInputStream body;
    private final BodyPlaces.Place place;
    private final LongSupplier nanos;
    private long mostBytes;
    private long taken;
    private long waited;
    private boolean isUnwanted;

    /** @param nanos tells how time goes on */
    BoundedBody(ServletInputStream body, BodyPlaces.Place place, long mostBytes, LongSupplier nanos) {
        this.body = body;
        this.place = place;
        this.mostBytes = mostBytes;
        this.nanos = nanos;
    }

    void allow(long bytes) {
        mostBytes = bytes;
    }

    /** What is read only to be thrown away is waited for as long as a body is before its speed is looked at. */
    void allowUnwanted(long bytes) {
        mostBytes = taken + bytes;
        isUnwanted = true;
        waited = 0;
    }

    @Override
    public int read() throws IOException {
        byte[] one = new byte[1];
        return read(one, 0, 1) < 0 ? -1 : one[0] & 0xff;
    }

    /** @throws Refusal if more comes than may, it comes too slowly, or too many others are being read */
    @Override
    public int read(byte[] into, int from, int length) throws IOException {
        place.take();
        long began = nanos.getAsLong();
        int read = body.read(into, from, length);
        waited += nanos.getAsLong() - began;
        if (read < 0) {
            place.free();
            return read;
        }
        taken += read;
        if (taken > mostBytes) {
            throw tooLarge(mostBytes);
        }
        if (waited > PATIENCE_NANOS && (isUnwanted || taken < waited / SECOND * LEAST_BYTES_A_SECOND)) {
            place.slow();
            throw Refusal.tooSlow();
        }
        return read;
    }

    static Refusal tooLarge(long mostBytes) {
        return Refusal.tooLarge("That is more than can be taken here: at most %d kB. It was not taken."
                .formatted(Math.max(1, mostBytes / 1000)));
    }

    @Override
    public boolean isFinished() {
        return body.isFinished();
    }

    @Override
    public boolean isReady() {
        return body.isReady();
    }

    @Override
    public void setReadListener(ReadListener listener) {
        body.setReadListener(listener);
    }
}
