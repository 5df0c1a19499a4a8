package elvaro.core.tasting;

import java.util.OptionalInt;
import java.util.function.IntToDoubleFunction;
import java.util.stream.IntStream;
import org.hipparchus.distribution.continuous.NormalDistribution;
import org.hipparchus.distribution.discrete.BinomialDistribution;

/** How many tasters see an effect that is there in four of five tastings (power 0.8), by exact binomial figures. */
public final class TastersNeeded {
    private static final double POWER = 0.8;
    private static final int MOST = 400;

    private TastersNeeded() {}

    /**
     * P(a preference is shown).
     *
     * @param share of people who like the one more, 0.5 to 1
     * @param level two-sided
     */
    public static double powerOfPreference(int tasters, double share, double level) {
        OptionalInt needed = Preference.needed(tasters, level);
        if (needed.isEmpty()) {
            return 0;
        }
        BinomialDistribution liking = new BinomialDistribution(tasters, share);
        return 1
                - liking.cumulativeProbability(needed.getAsInt() - 1)
                + liking.cumulativeProbability(tasters - needed.getAsInt());
    }

    /**
     * P(the odd one is found often enough).
     *
     * @param noticing share of people who notice the difference, 0 to 1; the rest guess
     */
    public static double powerOfTriangle(int tries, double noticing, double level) {
        OptionalInt needed = Triangle.needed(tries, level);
        double right = noticing + (1 - noticing) * Triangle.GUESSED;
        return needed.isEmpty() ? 0 : Chance.atLeast(needed.getAsInt(), tries, right);
    }

    public static int forPreference(double share, double level) {
        return first(tasters -> powerOfPreference(tasters, share, level));
    }

    public static int forTriangle(double noticing, double level) {
        return first(tries -> powerOfTriangle(tries, noticing, level));
    }

    /**
     * For a shift of scores: the paired t test's number over the 3/π that signed ranks lose on normal scores (Pitman), three
     * more for the few degrees of freedom. Lehmann, Nonparametrics, 1975, chapter 4.
     *
     * @param standardised shift over the standard deviation of the differences, more than 0
     */
    public static int forShift(double standardised, double level) {
        NormalDistribution normal = new NormalDistribution();
        double z = normal.inverseCumulativeProbability(1 - level / 2) + normal.inverseCumulativeProbability(POWER);
        return (int) Math.ceil(z * z / (standardised * standardised) * Math.PI / 3) + 3;
    }

    /** The exact power goes up in a saw: the number from which on it stays. */
    private static int first(IntToDoubleFunction power) {
        int last = IntStream.iterate(MOST, tasters -> tasters > 0, tasters -> tasters - 1)
                .filter(tasters -> power.applyAsDouble(tasters) < POWER)
                .findFirst()
                .orElse(0);
        return last + 1;
    }
}
