package elvaro.core.tasting;

import elvaro.core.trial.Band;
import elvaro.core.trial.Strength;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.stream.IntStream;
import org.hipparchus.distribution.continuous.NormalDistribution;

/**
 * Scores of two samples by the same tasters: Wilcoxon's signed ranks, ties by mid-ranks, differences of 0 left out of the
 * test; the shift is that of Hodges & Lehmann over all differences. Hollander & Wolfe, Nonparametric Statistical Methods,
 * 1973, chapter 3.
 *
 * @param sum of the ranks of the positive differences (V)
 * @param differing differences that are not 0
 * @param p two-sided; exact to 25 differences, beyond by the normal law with correction for ties and continuity
 * @param shift median of the Walsh averages
 * @param interval of the shift from the Walsh averages; of no less than {@code level}
 * @param level what is reached of 0.95; less with five differences or fewer
 */
public record SignedRank(double sum, int differing, double p, double shift, Band interval, double level) {
    private static final int MOST_EXACT = 25;
    private static final double WANTED = 0.95;

    /** @param of differences, first less second, one for each taster; not empty */
    public static SignedRank of(double[] of) {
        if (of.length == 0) {
            throw new IllegalArgumentException("A shift needs a difference.");
        }
        double[] differences = Arrays.stream(of).map(Ranks::exact).toArray();
        double[] some = Arrays.stream(differences).filter(each -> each != 0).toArray();
        int[] ranks = Ranks.doubled(Arrays.stream(some).map(Math::abs).toArray());
        int doubled = IntStream.range(0, some.length)
                .filter(each -> some[each] > 0)
                .map(each -> ranks[each])
                .sum();
        double p = some.length == 0 ? 1 : some.length <= MOST_EXACT ? exact(ranks, doubled) : normal(ranks, doubled);
        double[] walsh = walsh(differences);
        double[] untied = cumulated(IntStream.rangeClosed(1, differences.length)
                .map(each -> 2 * each)
                .toArray());
        int cut = cut(untied);
        return new SignedRank(
                doubled / 2.0,
                some.length,
                p,
                median(walsh),
                new Band(walsh[cut - 1], walsh[walsh.length - cut]),
                1 - 2 * untied[2 * (cut - 1)]);
    }

    public Strength strength() {
        Strength found = Strength.of(p);
        return found == Strength.SHOWN && !leavesOutZero() ? Strength.LEANING : found;
    }

    /** With ties the interval may reach 0 where the test does not: then nothing is shown. */
    boolean leavesOutZero() {
        return interval.low() > 0 || interval.high() < 0;
    }

    /** P(doubled sum ≤ s) for every s, each rank being positive or negative with even chances. */
    private static double[] cumulated(int[] doubledRanks) {
        int most = Arrays.stream(doubledRanks).sum();
        double[] chance = new double[most + 1];
        chance[0] = 1;
        for (int rank : doubledRanks) {
            for (int sum = most; sum >= 0; sum--) {
                chance[sum] = (chance[sum] + (sum >= rank ? chance[sum - rank] : 0)) / 2;
            }
        }
        Arrays.parallelPrefix(chance, Double::sum);
        return chance;
    }

    private static double exact(int[] ranks, int doubled) {
        double[] atMost = cumulated(ranks);
        double lower = atMost[doubled];
        double upper = 1 - (doubled == 0 ? 0 : atMost[doubled - 1]);
        return Math.min(1, 2 * Math.min(lower, upper));
    }

    private static double normal(int[] ranks, int doubled) {
        double from = doubled / 2.0 - Arrays.stream(ranks).sum() / 4.0;
        double variance =
                Arrays.stream(ranks).mapToDouble(rank -> rank * rank / 16.0).sum();
        double z = (Math.abs(from) - 0.5) / Math.sqrt(variance);
        return Math.min(1, 2 * (1 - new NormalDistribution().cumulativeProbability(z)));
    }

    private static double[] walsh(double[] differences) {
        List<Double> means = new ArrayList<>();
        for (int one = 0; one < differences.length; one++) {
            for (int other = one; other < differences.length; other++) {
                means.add((differences[one] + differences[other]) / 2);
            }
        }
        return means.stream().mapToDouble(Double::doubleValue).sorted().toArray();
    }

    private static double median(double[] sorted) {
        int half = sorted.length / 2;
        return sorted.length % 2 == 1 ? sorted[half] : (sorted[half - 1] + sorted[half]) / 2;
    }

    /** Which Walsh average, counted from the ends, bounds the interval; the outermost where no inner one will do. */
    private static int cut(double[] untied) {
        int cut = 1;
        while (2 * cut < untied.length && 2 * untied[2 * cut] <= 1 - WANTED) {
            cut++;
        }
        return cut;
    }
}
