package elvaro.core.tasting;

import elvaro.core.trial.Band;
import org.hipparchus.distribution.continuous.BetaDistribution;
import org.hipparchus.distribution.discrete.BinomialDistribution;

/** How likely so many of so many are by chance alone: exact binomial figures. */
final class Chance {
    private Chance() {}

    /** P(at least so many). */
    static double atLeast(int count, int of, double chance) {
        return count <= 0 ? 1 : 1 - new BinomialDistribution(of, chance).cumulativeProbability(count - 1);
    }

    /** Two-sided at even chances: twice the smaller tail. */
    static double twoSided(int count, int of) {
        int larger = Math.max(count, of - count);
        return Math.min(1, 2 * atLeast(larger, of, 0.5));
    }

    /** P(the true share exceeds a half) under a uniform prior. */
    static double shareAboveHalf(int count, int of) {
        return 1 - new BetaDistribution(count + 1.0, of - count + 1.0).cumulativeProbability(0.5);
    }

    /**
     * Clopper & Pearson, Biometrika 26 (1934) 404. Hipparchus has it too, but asks for the share and cuts share · n down to a
     * whole number: 29 of 100 become 28.
     */
    static Band interval(int count, int of, double level) {
        double tail = (1 - level) / 2;
        double low = count == 0 ? 0 : new BetaDistribution(count, of - count + 1.0).inverseCumulativeProbability(tail);
        double high =
                count == of ? 1 : new BetaDistribution(count + 1.0, of - count).inverseCumulativeProbability(1 - tail);
        return new Band(low, high);
    }
}
