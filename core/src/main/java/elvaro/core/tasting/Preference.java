package elvaro.core.tasting;

import elvaro.core.trial.Band;
import elvaro.core.trial.Strength;
import java.util.Collection;
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
    public static final double LEVEL = Strength.SHOWN_LEVEL;

    public Preference {
        if (first < 0 || second < 0 || undecided < 0) {
            throw new IllegalArgumentException("Counts are not negative.");
        }
    }

    /** @param voices of each taster: above 0 for the first, below for the second, 0 for neither */
    public static Preference count(Collection<Integer> voices) {
        int first = (int) voices.stream().filter(voice -> voice > 0).count();
        int second = (int) voices.stream().filter(voice -> voice < 0).count();
        return new Preference(first, second, voices.size() - first - second);
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

    public Strength strength() {
        return decided() <= 1 ? Strength.ANECDOTE : Strength.of(p());
    }

    /** How many must agree to be more than chance; empty where even all are not. */
    public static OptionalInt needed(int tasters, double level) {
        return IntStream.rangeClosed((tasters + 1) / 2, tasters)
                .filter(count -> Chance.twoSided(count, tasters) < level)
                .findFirst();
    }
}
