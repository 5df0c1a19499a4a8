package elvaro.core.tasting;

import elvaro.core.trial.Band;
import elvaro.core.trial.Strength;
import java.util.OptionalInt;
import java.util.stream.IntStream;

/**
 * Whether a difference is noticed: who found the odd one of three, against the third who find it by guessing. ISO 4120;
 * Roessler et al. 1978.
 */
public record Triangle(int correct, int tries) {
    static final double GUESSED = 1.0 / 3;

    public Triangle {
        if (correct < 0 || correct > tries) {
            throw new IllegalArgumentException("No more can be right than tried.");
        }
    }

    /** P(so many or more by guessing). */
    public double p() {
        return Chance.atLeast(correct, tries, GUESSED);
    }

    /** The share who really notice, once guessing is taken off; 95 %. */
    public Band noticing() {
        Band right = Chance.interval(correct, tries, 0.95);
        return new Band(aboveGuessing(right.low()), aboveGuessing(right.high()));
    }

    private static double aboveGuessing(double share) {
        return Math.max(0, (share - GUESSED) / (1 - GUESSED));
    }

    public Strength strength() {
        return Strength.of(p());
    }

    /** How many must be right to be more than guessing; empty where even all are not. */
    public static OptionalInt needed(int tries, double level) {
        return IntStream.rangeClosed(0, tries)
                .filter(count -> Chance.atLeast(count, tries, GUESSED) < level)
                .findFirst();
    }
}
