package elvaro.core.tasting;

import elvaro.core.trial.Band;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import org.hipparchus.distribution.continuous.NormalDistribution;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.DecompositionSolver;
import org.hipparchus.linear.LUDecomposition;
import org.hipparchus.linear.RealMatrix;
import org.hipparchus.linear.RealVector;

/**
 * How strongly things are liked against each other, over many comparisons: P(i liked more than j) = 1/(1 + exp(sⱼ − sᵢ)).
 * Bradley & Terry, Biometrika 39 (1952) 324. A normal prior on s keeps one that never lost within bounds; the mode by
 * Newton's method, the spread from its curvature.
 */
public final class BradleyTerry {
    private static final int MOST_STEPS = 200;
    private static final double CLOSE = 1e-10;

    private final double[] strengths;
    private final RealMatrix covariance;

    private BradleyTerry(double[] strengths, RealMatrix covariance) {
        this.strengths = strengths;
        this.covariance = covariance;
    }

    /**
     * @param wins how often row was liked more than column; weights may be fractions
     * @param priorSd of a strength, natural logarithm of the odds
     */
    public static BradleyTerry of(double[][] wins, double priorSd) {
        int count = wins.length;
        RealVector strengths = new ArrayRealVector(count);
        RealMatrix curvature = curvature(wins, strengths, priorSd);
        for (int step = 0; step < MOST_STEPS; step++) {
            RealVector move = solver(curvature).solve(slope(wins, strengths, priorSd));
            double length = move.getLInfNorm();
            strengths = strengths.add(length > 1 ? move.mapDivide(length) : move);
            curvature = curvature(wins, strengths, priorSd);
            if (length < CLOSE) {
                break;
            }
        }
        return new BradleyTerry(strengths.toArray(), solver(curvature).getInverse());
    }

    private static DecompositionSolver solver(RealMatrix matrix) {
        return new LUDecomposition(matrix, 0).getSolver();
    }

    private static double chance(RealVector strengths, int one, int other) {
        return 1 / (1 + Math.exp(strengths.getEntry(other) - strengths.getEntry(one)));
    }

    private static RealVector slope(double[][] wins, RealVector strengths, double priorSd) {
        double[] slope = new double[wins.length];
        for (int one = 0; one < wins.length; one++) {
            slope[one] = -strengths.getEntry(one) / (priorSd * priorSd);
            for (int other = 0; other < wins.length; other++) {
                double met = wins[one][other] + wins[other][one];
                slope[one] += other == one ? 0 : wins[one][other] - met * chance(strengths, one, other);
            }
        }
        return new ArrayRealVector(slope, false);
    }

    private static RealMatrix curvature(double[][] wins, RealVector strengths, double priorSd) {
        RealMatrix curvature = new Array2DRowRealMatrix(wins.length, wins.length);
        for (int one = 0; one < wins.length; one++) {
            curvature.addToEntry(one, one, 1 / (priorSd * priorSd));
            for (int other = 0; other < wins.length; other++) {
                if (other != one) {
                    double chance = chance(strengths, one, other);
                    double weight = (wins[one][other] + wins[other][one]) * chance * (1 - chance);
                    curvature.addToEntry(one, one, weight);
                    curvature.addToEntry(one, other, -weight);
                }
            }
        }
        return curvature;
    }

    /** How much stronger one is than another, natural logarithm of the odds. */
    public double difference(int one, int other) {
        return strengths[one] - strengths[other];
    }

    /** Standard error of {@link #difference}. */
    public double error(int one, int other) {
        return Math.sqrt(covariance.getEntry(one, one)
                + covariance.getEntry(other, other)
                - 2 * covariance.getEntry(one, other));
    }

    /** P(one is liked more than the other) by a taster. */
    public double chance(int one, int other) {
        return 1 / (1 + Math.exp(-difference(one, other)));
    }

    /** Of {@link #chance}. */
    public Band chance(int one, int other, double level) {
        double z = new NormalDistribution().inverseCumulativeProbability((1 + level) / 2) * error(one, other);
        return new Band(
                1 / (1 + Math.exp(-difference(one, other) + z)), 1 / (1 + Math.exp(-difference(one, other) - z)));
    }

    /** Which can be compared with which: those that met, and those that met the same. Each group in order of number. */
    public static List<List<Integer>> connected(double[][] wins) {
        int[] group = new int[wins.length];
        Arrays.setAll(group, each -> each);
        for (int one = 0; one < wins.length; one++) {
            for (int other = 0; other < wins.length; other++) {
                if (wins[one][other] > 0 && group[one] != group[other]) {
                    int joined = group[other];
                    int into = group[one];
                    Arrays.setAll(group, each -> group[each] == joined ? into : group[each]);
                }
            }
        }
        List<List<Integer>> groups = new ArrayList<>();
        for (int each = 0; each < group.length; each++) {
            int own = group[each];
            groups.stream()
                    .filter(members -> group[members.get(0)] == own)
                    .findFirst()
                    .orElseGet(() -> {
                        groups.add(new ArrayList<>());
                        return groups.get(groups.size() - 1);
                    })
                    .add(each);
        }
        return groups;
    }
}
