package elvaro.core.tasting;

import java.util.Arrays;
import org.hipparchus.stat.ranking.NaturalRanking;
import org.hipparchus.stat.ranking.TiesStrategy;

/** Mid-ranks, doubled so that they are whole. */
final class Ranks {
    private Ranks() {}

    /** The least value has rank 1 (2 here); equal ones share the mean of their ranks. */
    static int[] doubled(double[] values) {
        return values.length == 0
                ? new int[0]
                : Arrays.stream(new NaturalRanking(TiesStrategy.AVERAGE).rank(values))
                        .mapToInt(rank -> (int) Math.round(2 * rank))
                        .toArray();
    }
}
