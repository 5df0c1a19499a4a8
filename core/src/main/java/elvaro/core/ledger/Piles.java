package elvaro.core.ledger;

import java.util.EnumMap;
import java.util.Map;

/**
 * The weights of the piles at the bench, whole grams, none negative.
 *
 * @param steak P, steaks and roasts
 * @param usableTrim U, for grinding
 * @param fat F, for rendering
 * @param bone B
 * @param discard D
 */
public record Piles(int steak, int usableTrim, int fat, int bone, int discard) {
    public static final Piles NONE = new Piles(0, 0, 0, 0, 0);

    public Piles {
        if (steak < 0 || usableTrim < 0 || fat < 0 || bone < 0 || discard < 0) {
            throw new IllegalArgumentException("A pile weighs 0 g or more");
        }
    }

    /** Sums what stands on each pile; a missing pile is empty. */
    public static Piles of(Map<Stream, Integer> grams) {
        Map<Stream, Integer> all = new EnumMap<>(Stream.class);
        all.putAll(grams);
        return new Piles(
                all.getOrDefault(Stream.STEAK, 0),
                all.getOrDefault(Stream.USABLE_TRIM, 0),
                all.getOrDefault(Stream.FAT, 0),
                all.getOrDefault(Stream.BONE, 0),
                all.getOrDefault(Stream.DISCARD, 0));
    }

    public int of(Stream stream) {
        return switch (stream) {
            case STEAK -> steak;
            case USABLE_TRIM -> usableTrim;
            case FAT -> fat;
            case BONE -> bone;
            case DISCARD -> discard;
        };
    }

    /** Both together, pile by pile. */
    public Piles plus(Piles other) {
        return new Piles(
                steak + other.steak,
                usableTrim + other.usableTrim,
                fat + other.fat,
                bone + other.bone,
                discard + other.discard);
    }

    public int total() {
        return steak + usableTrim + fat + bone + discard;
    }
}
