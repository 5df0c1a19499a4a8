package elvaro.core.tasting;

import java.util.Arrays;
import org.hipparchus.stat.ranking.NaturalRanking;
import org.hipparchus.stat.ranking.TiesStrategy;

/** Mid-ranks, doubled so that they are whole. */
final class Ranks {
    private Ranks() {}

    /** Scores are whole, and what is compared are means of a few of them: fractions of this. */
    private static final double FRACTIONS = 2520;

    private static final double NEAR = 1e-6;

    /** The fraction a mean of a few whole scores is, so that two that are equal are one number; anything else as it is. */
    static double exact(double value) {
        double fraction = Math.rint(value * FRACTIONS);
        return Math.abs(value * FRACTIONS - fraction) < NEAR ? fraction / FRACTIONS : value;
    }

    /** The least value has rank 1 (2 here); equal ones share the mean of their ranks. */
    static int[] doubled(double[] values) {
        return values.length == 0
                ? new int[0]
                : Arrays.stream(new NaturalRanking(TiesStrategy.AVERAGE)
                                .rank(Arrays.stream(values).map(Ranks::exact).toArray()))
                        .mapToInt(rank -> (int) Math.round(2 * rank))
                        .toArray();
    }
}
