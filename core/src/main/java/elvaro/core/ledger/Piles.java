package elvaro.core.ledger;

import java.util.Arrays;
import java.util.Collections;
import java.util.EnumMap;
import java.util.Map;
import java.util.function.Predicate;

/**
 * The weights of the piles at the bench.
 *
 * @param grams of every stream there is, none negative
 */
public record Piles(Map<Stream, Integer> grams) {
    public static final Piles NONE = new Piles(Map.of());

    /** @param grams whole grams, 0 or more; a missing pile is empty */
    public Piles {
        Map<Stream, Integer> all = new EnumMap<>(Stream.class);
        for (Stream stream : Stream.values()) {
            int weight = grams.getOrDefault(stream, 0);
            if (weight < 0) {
                throw new IllegalArgumentException("A pile weighs 0 g or more");
            }
            all.put(stream, weight);
        }
        grams = Collections.unmodifiableMap(all);
    }

    /** What lies on the five piles of any piece, g; the others are empty. */
    public static Piles of(int steak, int usableTrim, int fat, int bone, int discard) {
        return new Piles(Map.of(
                Stream.STEAK, steak,
                Stream.USABLE_TRIM, usableTrim,
                Stream.FAT, fat,
                Stream.BONE, bone,
                Stream.DISCARD, discard));
    }

    public int of(Stream stream) {
        return grams.get(stream);
    }

    /** P. */
    public int steak() {
        return of(Stream.STEAK);
    }

    /** U. */
    public int usableTrim() {
        return of(Stream.USABLE_TRIM);
    }

    /** F. */
    public int fat() {
        return of(Stream.FAT);
    }

    /** B. */
    public int bone() {
        return of(Stream.BONE);
    }

    /** D. */
    public int discard() {
        return of(Stream.DISCARD);
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
        return new Piles(both);
    }

    public int total() {
        return sum(stream -> true);
    }
}
