package elvaro.server.guard;

import elvaro.server.shared.Refusal;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.Semaphore;
import org.springframework.stereotype.Component;

/** How many bodies are read at the same time: of one address, and of all, fewer than there are threads to answer with. */
@Component
class BodyPlaces {
    static final int OF_AN_ADDRESS = 8;
    static final int OF_ALL = 40;

    /** What all bodies that are held in memory may take of it together. */
    static final int MEGABYTES_OF_ALL = 64;

    private static final int MEGABYTE = 1_000_000;

    private final Map<String, Integer> taken = new ConcurrentHashMap<>();
    private final Semaphore megabytes = new Semaphore(MEGABYTES_OF_ALL);
    private int all;

    /** Of one request. Used by its thread only. */
    final class Place {
        private final String address;
        private boolean isTaken;
        private boolean isSlow;
        private int held;

        private Place(String address) {
            this.address = address;
        }

        /** @throws Refusal if there are too many already */
        void take() {
            if (!isTaken) {
                isTaken = begin(address);
                if (!isTaken) {
                    isSlow = true; // nor is what is left of it waited for
                    throw busy();
                }
            }
        }

        /**
         * Keeps memory for a body until its request is answered.
         *
         * @throws Refusal if others hold too much of it
         */
        void hold(long bytes) {
            int more = (int) (bytes / MEGABYTE) - held;
            if (more > 0) {
                if (!megabytes.tryAcquire(more)) {
                    throw busy();
                }
                held += more;
            }
        }

        void answered() {
            free();
            megabytes.release(held);
            held = 0;
        }

        /** It is read to its end. */
        void free() {
            if (isTaken) {
                isTaken = false;
                end(address);
            }
        }

        void slow() {
            isSlow = true;
        }

        /** Whether what is left of the body shall not be waited for. */
        boolean isSlow() {
            return isSlow;
        }
    }

    Place of(String address) {
        return new Place(address);
    }

    private static Refusal busy() {
        return Refusal.busy("Too much is being sent at once. It was not taken; try again in a moment.");
    }

    private synchronized boolean begin(String address) {
        int here = taken.getOrDefault(address, 0);
        if (here >= OF_AN_ADDRESS || all >= OF_ALL) {
            return false;
        }
        taken.put(address, here + 1);
        all++;
        return true;
    }

    private synchronized void end(String address) {
        all--;
        taken.computeIfPresent(address, (each, count) -> count > 1 ? count - 1 : null);
    }
}
