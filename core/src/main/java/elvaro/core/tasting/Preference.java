package elvaro.core.tasting;

import elvaro.core.trial.Band;
import elvaro.core.trial.Effect.Strength;
import java.util.OptionalInt;
import java.util.stream.IntStream;

/**
 * Which of two is liked more: the exact two-sided binomial test, and how likely the one is better for most people under a
 * uniform prior. Roessler, Pangborn, Sidel & Stone, Journal of Food Science 43 (1978) 940.
 *
 * @param first who liked the first more
 * @param second who liked the second more
 * @param undecided who liked neither more; left out of the test, and said
 */
public record Preference(int first, int second, int undecided) {
    public static final double LEVEL = 0.05;

    public Preference {
        if (first < 0 || second < 0 || undecided < 0) {
            throw new IllegalArgumentException("Counts are not negative.");
        }
    }

    public int decided() {
        return first + second;
    }

    public double p() {
        return decided() == 0 ? 1 : Chance.twoSided(first, decided());
    }

    /** That most people would like the first more. */
    public double probabilityFirstBetter() {
        return Chance.shareAboveHalf(first, decided());
    }

    /** Of the share who like the first more. */
    public Band interval() {
        return Chance.interval(first, decided(), 1 - LEVEL);
    }

    /** As with trials: leaning is what leaves even chances outside of 80 %. */
    public Strength strength() {
        double better = probabilityFirstBetter();
        if (decided() <= 1) {
            return Strength.ANECDOTE;
        }
        return p() < LEVEL ? Strength.SHOWN : Math.abs(better - 0.5) >= 0.4 ? Strength.LEANING : Strength.NOT_SHOWN;
    }

    /** How many must agree to be more than chance; empty where even all are not. */
    public static OptionalInt needed(int tasters, double level) {
        return IntStream.rangeClosed((tasters + 1) / 2, tasters)
                .filter(count -> Chance.twoSided(count, tasters) < level)
                .findFirst();
    }
}
