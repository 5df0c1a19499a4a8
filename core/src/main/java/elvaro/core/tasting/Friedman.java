package elvaro.core.tasting;

import elvaro.core.trial.Strength;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.hipparchus.distribution.continuous.ChiSquaredDistribution;
import org.hipparchus.util.CombinatoricsUtils;

/**
 * Whether any of three or more samples is liked more than others: Friedman's test on ranks within tasters, ties by
 * mid-ranks. Hollander & Wolfe 1973, chapter 7.
 *
 * @param rankSums one for each sample; rank 1 is the least value
 * @param statistic χ² with k − 1 degrees of freedom
 * @param p of the permutations of every taster's ranks where it is exact, else of χ²
 */
public record Friedman(List<Double> rankSums, double statistic, double p, boolean exact) {
    /** Work beyond which the permutations are not gone through. */
    private static final long MOST_STEPS = 1_000_000;

    /** @param rows one for each taster, each with a value for every sample; two tasters and two samples at least */
    public static Friedman of(double[][] rows) {
        if (rows.length < 2 || rows[0].length < 2) {
            throw new IllegalArgumentException("Ranks need two tasters and two samples.");
        }
        int[][] ranks = Arrays.stream(rows).map(Ranks::doubled).toArray(int[][]::new);
        int[] sums = new int[rows[0].length];
        for (int[] row : ranks) {
            for (int sample = 0; sample < sums.length; sample++) {
                sums[sample] += row[sample];
            }
        }
        double unit = unit(ranks);
        double statistic = unit == 0 ? 0 : spread(sums, ranks.length) / unit;
        double permuted = unit == 0 ? 1 : permuted(ranks, spread(sums, ranks.length));
        boolean exact = !Double.isNaN(permuted);
        double p = exact ? permuted : chiSquared(statistic, sums.length);
        return new Friedman(Arrays.stream(sums).mapToObj(sum -> sum / 2.0).toList(), statistic, p, exact);
    }

    /** P(χ² as large or larger) with so many samples: near the truth for twelve tasters or more. */
    public static double chiSquared(double statistic, int samples) {
        return 1 - new ChiSquaredDistribution(samples - 1.0).cumulativeProbability(statistic);
    }

    /** The smallest p there is, of tasters who all put the samples in one order: one of k! orders, for each but the first. */
    static double leastP(int samples, int tasters) {
        return Math.pow(CombinatoricsUtils.factorialDouble(samples), 1.0 - tasters);
    }

    public Strength strength() {
        return Strength.of(p);
    }

    /** Σ(R − n(k+1)/2)², of doubled ranks. */
    private static long spread(int[] sums, int tasters) {
        long mean = (long) tasters * (sums.length + 1);
        return Arrays.stream(sums).mapToLong(sum -> (sum - mean) * (sum - mean)).sum();
    }

    /** What the spread is divided by to be χ²: n·k(k+1)/12 less what ties take, times four for doubled ranks. */
    private static double unit(int[][] ranks) {
        int samples = ranks[0].length;
        double within = 0;
        for (int[] row : ranks) {
            for (int rank : row) {
                within += (double) (rank - samples - 1) * (rank - samples - 1);
            }
        }
        return within / (samples - 1);
    }

    /**
     * P(a spread as large or larger) when every taster's ranks fall by chance. The spread does not ask which sample is
     * which, so sums are kept in order and the many arrangements fall together. NaN where it would take too long.
     */
    private static double permuted(int[][] ranks, long observed) {
        Map<List<Integer>, Double> sums = new HashMap<>(Map.of(sorted(ranks[0]), 1.0));
        long steps = 0;
        for (int taster = 1; taster < ranks.length; taster++) {
            List<int[]> arrangements = arrangements(ranks[taster]);
            steps += (long) sums.size() * arrangements.size();
            if (steps > MOST_STEPS) {
                return Double.NaN;
            }
            Map<List<Integer>, Double> next = new HashMap<>();
            sums.forEach((before, chance) -> arrangements.forEach(arrangement -> {
                int[] after = new int[arrangement.length];
                Arrays.setAll(after, sample -> before.get(sample) + arrangement[sample]);
                next.merge(sorted(after), chance / arrangements.size(), Double::sum);
            }));
            sums = next;
        }
        return sums.entrySet().stream()
                .filter(each -> spread(
                                each.getKey().stream()
                                        .mapToInt(Integer::intValue)
                                        .toArray(),
                                ranks.length)
                        >= observed)
                .mapToDouble(Map.Entry::getValue)
                .sum();
    }

    private static List<Integer> sorted(int[] sums) {
        return Arrays.stream(sums).sorted().boxed().toList();
    }

    private static List<int[]> arrangements(int[] ranks) {
        List<int[]> all = new ArrayList<>();
        arrange(ranks.clone(), 0, all);
        return all;
    }

    private static void arrange(int[] ranks, int from, List<int[]> all) {
        if (from == ranks.length - 1) {
            all.add(ranks.clone());
            return;
        }
        for (int other = from; other < ranks.length; other++) {
            swap(ranks, from, other);
            arrange(ranks, from + 1, all);
            swap(ranks, from, other);
        }
    }

    private static void swap(int[] ranks, int one, int other) {
        int kept = ranks[one];
        ranks[one] = ranks[other];
        ranks[other] = kept;
    }
}
