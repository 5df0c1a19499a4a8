package elvaro.core.cost;

import java.util.OptionalDouble;

/**
 * What of the money paid for a lot falls on one piece: its share by weight of all that was cut from the lot. So it comes out
 * whole on the pieces, also for what was purged, squared off or lost on the knife before anything hung. Reference section 1.
 */
public final class Paid {
    private Paid() {}

    /**
     * @param receivedGrams what was paid for
     * @param minorPerKg the price; empty where nobody wrote it down
     * @param pieceGrams of the piece as it was cut, above 0
     * @param allGrams of all pieces of the lot as they were cut, this one among them
     * @return minor units; empty where the price is not known
     */
    public static OptionalDouble share(int receivedGrams, OptionalDouble minorPerKg, int pieceGrams, long allGrams) {
        if (pieceGrams <= 0 || allGrams < pieceGrams) {
            throw new IllegalArgumentException("A piece weighs something, and all of them no less");
        }
        return minorPerKg.isEmpty()
                ? OptionalDouble.empty()
                : OptionalDouble.of(minorPerKg.getAsDouble() * receivedGrams / 1000 * pieceGrams / allGrams);
    }
}
