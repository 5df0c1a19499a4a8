package elvaro.core.tasting;

import java.util.Arrays;

/** Mid-ranks, doubled so that they are whole. */
final class Ranks {
    private Ranks() {}

    /** The least value has rank 1 (2 here); equal ones share the mean of their ranks. */
    static int[] doubled(double[] values) {
        int[] ranks = new int[values.length];
        for (int each = 0; each < values.length; each++) {
            double value = values[each];
            int below =
                    (int) Arrays.stream(values).filter(other -> other < value).count();
            int same =
                    (int) Arrays.stream(values).filter(other -> other == value).count();
            ranks[each] = 2 * below + same + 1;
        }
        return ranks;
    }
}
