package elvaro.core.forecast;

import elvaro.core.drying.Parameters;
import elvaro.core.drying.WaterLoss;
import elvaro.core.drying.WaterLoss.Lost;
import elvaro.core.estimate.Estimates;
import java.util.Comparator;
import java.util.List;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.RealMatrix;
import org.hipparchus.linear.RealVector;
import org.hipparchus.optim.nonlinear.vector.leastsquares.LeastSquaresBuilder;
import org.hipparchus.optim.nonlinear.vector.leastsquares.LeastSquaresOptimizer.Optimum;
import org.hipparchus.optim.nonlinear.vector.leastsquares.LevenbergMarquardtOptimizer;
import org.hipparchus.util.Pair;

/**
 * Learns from the weighings of a piece: the unknowns of highest posterior density by Levenberg–Marquardt, their
 * covariance by Laplace's approximation. Reference section 4; Bishop 2006, Pattern Recognition, section 4.4.
 */
public final class Fit {
    /** e^±4: beyond it the piece is not what it is said to be. */
    private static final double FARTHEST = 4;

    /** Weighings that fit no piece are not searched for ever: what is best by then is taken. */
    private static final int MOST_TURNS = 25;

    private final WaterLoss loss;
    private final double weighingSd;

    private Fit(WaterLoss loss, double weighingSd) {
        this.loss = loss;
        this.weighingSd = weighingSd;
    }

    /**
     * @param loss how the piece loses water
     * @param divisionGrams the scale's division, above 0
     */
    public static Fit of(WaterLoss loss, double divisionGrams) {
        return new Fit(loss, weighingSd(loss.greenGrams(), divisionGrams));
    }

    /**
     * What one weighing is off by: √((division/√12/m₀)² + 0.002²), fraction of the green weight. The first part is the
     * spread of what a rounded figure hides.
     */
    public static double weighingSd(int greenGrams, double divisionGrams) {
        double rounding = divisionGrams / Math.sqrt(12) / greenGrams;
        return Math.hypot(rounding, Estimates.WEIGHING_SD);
    }

    double weighingSd() {
        return weighingSd;
    }

    /**
     * @param prior what was thought before
     * @param observed the weighings, in any order
     * @return what is thought now; the prior itself where nothing was weighed
     */
    public Belief posterior(Belief prior, List<Observed> observed) {
        return posterior(prior, observed, prior.mean());
    }

    /** @param start where the search begins, which spares steps where it is near the end */
    Belief posterior(Belief prior, List<Observed> observed, Parameters start) {
        List<Observed> inOrder = observed.stream()
                .filter(weighing -> weighing.day() > 0)
                .sorted(Comparator.comparingDouble(Observed::day))
                .toList();
        if (inOrder.isEmpty()) {
            return prior;
        }
        double[] root = root(prior.precision());
        Optimum optimum = new LevenbergMarquardtOptimizer()
                .withCostRelativeTolerance(1e-8)
                .withParameterRelativeTolerance(1e-7)
                .optimize(new LeastSquaresBuilder()
                        .start(new double[] {start.resistance(), start.crust()})
                        .model(point -> residuals(point, prior, root, inOrder))
                        .target(new double[inOrder.size() + 2])
                        .parameterValidator(Fit::clamp)
                        .lazyEvaluation(false)
                        .checker((turn, before, now) -> turn >= MOST_TURNS)
                        .maxEvaluations(20 * MOST_TURNS)
                        .maxIterations(20 * MOST_TURNS)
                        .build());
        RealMatrix covariance = optimum.getCovariances(1e-14);
        RealVector point = optimum.getPoint();
        return new Belief(
                new Parameters(point.getEntry(0), point.getEntry(1)),
                covariance.getEntry(0, 0),
                covariance.getEntry(0, 1),
                covariance.getEntry(1, 1),
                prior.pieces());
    }

    /** Standardised: each weighing's, then the prior's two, so that their squares are what is made least. */
    private Pair<RealVector, RealMatrix> residuals(RealVector point, Belief prior, double[] root, List<Observed> seen) {
        int count = seen.size();
        double resistance = point.getEntry(0);
        double crust = point.getEntry(1);
        Lost[] lost = loss.along(seen.stream().mapToDouble(Observed::day).toArray(), new Parameters(resistance, crust));
        double[] value = new double[count + 2];
        double[][] slope = new double[count + 2][];
        for (int index = 0; index < count; index++) {
            value[index] = (lost[index].fraction() - seen.get(index).lost()) / weighingSd;
            slope[index] = new double[] {lost[index].byResistance() / weighingSd, lost[index].byCrust() / weighingSd};
        }
        double offResistance = resistance - prior.mean().resistance();
        double offCrust = crust - prior.mean().crust();
        value[count] = root[0] * offResistance + root[1] * offCrust;
        value[count + 1] = root[2] * offCrust;
        slope[count] = new double[] {root[0], root[1]};
        slope[count + 1] = new double[] {0, root[2]};
        return new Pair<>(new ArrayRealVector(value, false), new Array2DRowRealMatrix(slope, false));
    }

    /** Upper triangle R with RᵀR = the precision. */
    private static double[] root(double[] precision) {
        double first = Math.sqrt(precision[0]);
        double both = precision[1] / first;
        return new double[] {first, both, Math.sqrt(precision[2] - both * both)};
    }

    private static RealVector clamp(RealVector point) {
        return point.map(value -> Math.max(-FARTHEST, Math.min(FARTHEST, value)));
    }
}
