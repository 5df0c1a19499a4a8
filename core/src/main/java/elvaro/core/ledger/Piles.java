package elvaro.core.ledger;

import java.util.Arrays;
import java.util.EnumMap;
import java.util.Map;
import java.util.function.Predicate;

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
        if (Math.min(Math.min(Math.min(steak, usableTrim), Math.min(fat, bone)), discard) < 0) {
            throw new IllegalArgumentException("A pile weighs 0 g or more");
        }
    }

    /**
     * What lies on each pile; a missing pile is empty.
     *
     * @throws IllegalArgumentException if a pile is below 0 g, or is none that is kept here
     */
    public static Piles of(Map<Stream, Integer> grams) {
        Piles piles = new Piles(
                grams.getOrDefault(Stream.STEAK, 0),
                grams.getOrDefault(Stream.USABLE_TRIM, 0),
                grams.getOrDefault(Stream.FAT, 0),
                grams.getOrDefault(Stream.BONE, 0),
                grams.getOrDefault(Stream.DISCARD, 0));
        if (piles.total() != grams.values().stream().mapToInt(Integer::intValue).sum()) {
            throw new IllegalArgumentException("What lies on a pile may not be lost");
        }
        return piles;
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

    /** What lies on those piles. */
    public int sum(Predicate<Stream> which) {
        return Arrays.stream(Stream.values()).filter(which).mapToInt(this::of).sum();
    }

    /** Everything that can be sold or eaten. */
    public int usable() {
        return sum(Stream::isUsable);
    }

    /** What was cut away from the outside, usable or not. */
    public int trimmedOff() {
        return sum(Stream::isOfTheCrust);
    }

    /** Both together, pile by pile. */
    public Piles plus(Piles other) {
        Map<Stream, Integer> both = new EnumMap<>(Stream.class);
        for (Stream stream : Stream.values()) {
            both.put(stream, of(stream) + other.of(stream));
        }
        return of(both);
    }

    public int total() {
        return sum(stream -> true);
    }
}
