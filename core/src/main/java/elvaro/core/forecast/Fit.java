package elvaro.core.forecast;

import elvaro.core.drying.Parameters;
import elvaro.core.drying.WaterLoss;
import elvaro.core.drying.WaterLoss.Lost;
import elvaro.core.estimate.Estimates;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.CholeskyDecomposition;
import org.hipparchus.linear.MatrixUtils;
import org.hipparchus.linear.RealMatrix;
import org.hipparchus.linear.RealVector;
import org.hipparchus.optim.nonlinear.vector.leastsquares.LeastSquaresBuilder;
import org.hipparchus.optim.nonlinear.vector.leastsquares.LeastSquaresOptimizer.Optimum;
import org.hipparchus.optim.nonlinear.vector.leastsquares.LevenbergMarquardtOptimizer;
import org.hipparchus.util.Pair;

/**
 * Learns from the weighings of a piece: the unknowns of highest posterior density by Levenberg–Marquardt, their
 * covariance by Laplace's approximation. What the model cannot follow is a covariance between the weighings ({@link Misfit});
 * a weighing that is plainly wrong counts little, by Student's distribution and reweighting. Reference section 4; Bishop 2006,
 * Pattern Recognition, section 4.4; Lange, Little &amp; Taylor 1989, J. Am. Statist. Assoc. 84.
 */
public final class Fit {
    /** e^±4: beyond it the piece is not what it is said to be. */
    private static final double FARTHEST = 4;

    /** Weighings that fit no piece are not searched for ever: what is best by then is taken. */
    private static final int MOST_TURNS = 25;

    /** What is weighed is made anew after so many, and a pass begins where the last one ended. */
    private static final int TURNS_OF_A_PASS = 4;

    /** How often covariance and weights are made anew from what was found. */
    private static final int MOST_PASSES = 3;

    /** More weighings than these say no more: of those long ago some stand for the others. */
    private static final int MOST_SEEN = 40;

    /** Resistance, crust and the crust's exponent. */
    private static final int UNKNOWNS = 3;

    private final WaterLoss loss;
    private final double weighingSd;
    private final boolean honest;

    private Fit(WaterLoss loss, double weighingSd, boolean honest) {
        this.loss = loss;
        this.weighingSd = weighingSd;
        this.honest = honest;
    }

    /**
     * As if the model were right and every weighing as good as the next.
     *
     * @param loss how the piece loses water
     * @param divisionGrams the scale's division, above 0
     */
    public static Fit of(WaterLoss loss, double divisionGrams) {
        return new Fit(loss, weighingSd(loss.greenGrams(), divisionGrams), false);
    }

    /** With what the model cannot follow, and weighings that may be wrong. */
    static Fit honest(WaterLoss loss, double divisionGrams) {
        return new Fit(loss, weighingSd(loss.greenGrams(), divisionGrams), true);
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
     * What was learnt.
     *
     * @param belief what is thought now
     * @param covariance of resistance, crust and exponent
     * @param misfit what the model cannot follow
     * @param days of the weighings that counted, ascending
     * @param slopes of what is lost by each of them, by the three unknowns
     * @param precision inverse of the covariance of the weighings about the model
     * @param weighted that times how far each lies from the model
     */
    record Fitted(
            Belief belief,
            RealMatrix covariance,
            Misfit misfit,
            double[] days,
            RealMatrix slopes,
            RealMatrix precision,
            RealVector weighted) {
        boolean weighed() {
            return days.length > 0;
        }
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
        return fitted(prior, observed, start).belief();
    }

    Fitted fitted(Belief prior, List<Observed> observed, Parameters start) {
        Misfit misfit = honest ? Misfit.of(loss, prior.pieces()) : Misfit.NONE;
        List<Observed> seen = thinned(observed.stream()
                .filter(weighing -> weighing.day() > 0)
                .sorted(Comparator.comparingDouble(Observed::day))
                .toList());
        double[] days = seen.stream().mapToDouble(Observed::day).toArray();
        if (seen.isEmpty()) {
            return new Fitted(
                    prior,
                    covariance(prior),
                    misfit,
                    days,
                    new Array2DRowRealMatrix(),
                    new Array2DRowRealMatrix(),
                    new ArrayRealVector());
        }
        double[] weights = new double[seen.size()];
        Arrays.fill(weights, 1);
        Parameters at = start;
        Curve curve = honest ? Curve.of(loss, days, at) : Curve.EMPTY;
        for (int pass = 1; ; pass++) {
            CholeskyDecomposition spread = decomposed(spread(curve, misfit, days, weights));
            Optimum optimum = search(prior, seen, spread.getL(), at);
            at = parameters(optimum.getPoint());
            curve = honest ? Curve.of(loss, days, at) : Curve.along(loss, days, at);
            RealVector off = off(seen, curve);
            RealMatrix precision = spread.getSolver().getInverse();
            RealVector weighted = precision.operate(off);
            RealMatrix slopes = slopes(curve, days);
            if (!honest || pass == MOST_PASSES || (!reweigh(weights, weighted) && pass > 1)) {
                RealMatrix covariance = optimum.getCovariances(1e-14);
                Belief belief = new Belief(
                        at,
                        covariance.getEntry(0, 0),
                        covariance.getEntry(0, 1),
                        covariance.getEntry(1, 1),
                        prior.pieces());
                return new Fitted(belief, covariance, misfit, days, slopes, precision, weighted);
            }
            misfit = misfit.wandering(wander(curve, misfit, days, weights, prior, at, off, slopes));
        }
    }

    private static RealVector off(List<Observed> seen, Curve curve) {
        return new ArrayRealVector(seen.stream()
                .mapToDouble(
                        each -> each.lost() - curve.lost(curve.at(each.day())).fraction())
                .toArray());
    }

    private static CholeskyDecomposition decomposed(RealMatrix spread) {
        return new CholeskyDecomposition(spread, 1e-9, 0);
    }

    /** Logarithm of the root of a determinant, which itself may be too small to be written. */
    private static double logRoot(RealMatrix lower) {
        double sum = 0;
        for (int index = 0; index < lower.getRowDimension(); index++) {
            sum += Math.log(lower.getEntry(index, index));
        }
        return sum;
    }

    /** Variances of the wander that are tried, as multiples of the estimates'. */
    private static final double[] WANDERS = {0.01, 0.03, 0.1, 0.3, 1, 3, 9};

    /** How far the logarithm of that multiple lies from 0, from piece to piece (EST). */
    private static final double WANDER_SD = 3;

    /** By how much the rate of this piece wanders more than the estimates say: the posterior mean of its logarithm. */
    private double wander(
            Curve curve,
            Misfit misfit,
            double[] days,
            double[] weights,
            Belief prior,
            Parameters at,
            RealVector off,
            RealMatrix slopes) {
        RealMatrix unknowns = slopes.multiply(covariance(prior)).multiplyTransposed(slopes);
        RealVector moved = new ArrayRealVector(new double[] {
            at.resistance() - prior.mean().resistance(),
            at.crust() - prior.mean().crust(),
            at.exponent()
        });
        RealVector fromPrior = off.add(slopes.operate(moved));
        return ScaleGrid.learnt(WANDERS, WANDER_SD, multiple -> {
            CholeskyDecomposition all = decomposed(
                    spread(curve, misfit.wandering(multiple), days, weights).add(unknowns));
            return -fromPrior.dotProduct(all.getSolver().solve(fromPrior)) / 2 - logRoot(all.getL());
        });
    }

    /** Two weighings at one moment are one place in the covariance too close to itself; the later one counts. */
    private static List<Observed> thinned(List<Observed> inOrder) {
        List<Observed> apart = new ArrayList<>();
        for (Observed weighing : inOrder) {
            if (!apart.isEmpty() && apart.get(apart.size() - 1).day() == weighing.day()) {
                apart.remove(apart.size() - 1);
            }
            apart.add(weighing);
        }
        if (apart.size() <= MOST_SEEN) {
            return apart;
        }
        int recent = MOST_SEEN / 2;
        int old = apart.size() - recent;
        List<Observed> thinned = new ArrayList<>();
        for (int index = 0; index < MOST_SEEN - recent; index++) {
            thinned.add(apart.get(index * old / (MOST_SEEN - recent)));
        }
        thinned.addAll(apart.subList(old, apart.size()));
        return thinned;
    }

    private RealMatrix spread(Curve curve, Misfit misfit, double[] days, double[] weights) {
        int count = days.length;
        double[][] spread = new double[count][count];
        for (int row = 0; row < count; row++) {
            for (int column = 0; honest && column <= row; column++) {
                spread[row][column] = misfit.covariance(curve, curve.at(days[row]), curve.at(days[column]));
                spread[column][row] = spread[row][column];
            }
            spread[row][row] += weighingSd * weighingSd / weights[row];
        }
        return new Array2DRowRealMatrix(spread, false);
    }

    /** A weighing's own error, once the misfit has taken its part, says how much it is to count; false where none changed. */
    private boolean reweigh(double[] weights, RealVector weighted) {
        boolean changed = false;
        double freedom = Estimates.WEIGHING_FREEDOM;
        for (int index = 0; index < weights.length; index++) {
            double error = weighted.getEntry(index) * weighingSd / weights[index];
            double weight = Math.min(1, (freedom + 1) / (freedom + error * error));
            changed |= Math.abs(weight - weights[index]) > 0.05;
            weights[index] = weight;
        }
        return changed;
    }

    private static RealMatrix slopes(Curve curve, double[] days) {
        double[][] slopes = new double[days.length][];
        for (int index = 0; index < days.length; index++) {
            Lost lost = curve.lost(curve.at(days[index]));
            slopes[index] = new double[] {lost.byResistance(), lost.byCrust(), lost.byExponent()};
        }
        return new Array2DRowRealMatrix(slopes, false);
    }

    private Optimum search(Belief prior, List<Observed> seen, RealMatrix lower, Parameters start) {
        double[] root = root(prior.precision());
        return new LevenbergMarquardtOptimizer()
                .withCostRelativeTolerance(honest ? 1e-4 : 1e-8)
                .withParameterRelativeTolerance(honest ? 1e-4 : 1e-7)
                .optimize(new LeastSquaresBuilder()
                        .start(new double[] {start.resistance(), start.crust(), start.exponent()})
                        .model(point -> residuals(point, prior, root, seen, lower))
                        .target(new double[seen.size() + UNKNOWNS])
                        .parameterValidator(Fit::clamp)
                        .lazyEvaluation(false)
                        .checker((turn, before, now) -> turn >= (honest ? TURNS_OF_A_PASS : MOST_TURNS))
                        .maxEvaluations(20 * MOST_TURNS)
                        .maxIterations(20 * MOST_TURNS)
                        .build());
    }

    /** Standardised: the weighings', freed of what they share, then the prior's, so that their squares are made least. */
    private Pair<RealVector, RealMatrix> residuals(
            RealVector point, Belief prior, double[] root, List<Observed> seen, RealMatrix lower) {
        int count = seen.size();
        Parameters at = parameters(point);
        Lost[] lost = loss.along(seen.stream().mapToDouble(Observed::day).toArray(), at);
        RealVector off = new ArrayRealVector(count);
        RealVector[] slopes = {new ArrayRealVector(count), new ArrayRealVector(count), new ArrayRealVector(count)};
        for (int index = 0; index < count; index++) {
            off.setEntry(index, lost[index].fraction() - seen.get(index).lost());
            slopes[0].setEntry(index, lost[index].byResistance());
            slopes[1].setEntry(index, lost[index].byCrust());
            slopes[2].setEntry(index, honest ? lost[index].byExponent() : 0);
        }
        MatrixUtils.solveLowerTriangularSystem(lower, off);
        RealMatrix slope = new Array2DRowRealMatrix(count + UNKNOWNS, UNKNOWNS);
        for (int unknown = 0; unknown < UNKNOWNS; unknown++) {
            MatrixUtils.solveLowerTriangularSystem(lower, slopes[unknown]);
            for (int index = 0; index < count; index++) {
                slope.setEntry(index, unknown, slopes[unknown].getEntry(index));
            }
        }
        double[] value = Arrays.copyOf(off.toArray(), count + UNKNOWNS);
        double offResistance = at.resistance() - prior.mean().resistance();
        double offCrust = at.crust() - prior.mean().crust();
        value[count] = root[0] * offResistance + root[1] * offCrust;
        value[count + 1] = root[2] * offCrust;
        value[count + 2] = at.exponent() / Estimates.CRUST_EXPONENT_SD;
        slope.setEntry(count, 0, root[0]);
        slope.setEntry(count, 1, root[1]);
        slope.setEntry(count + 1, 1, root[2]);
        slope.setEntry(count + 2, 2, 1 / Estimates.CRUST_EXPONENT_SD);
        return new Pair<>(new ArrayRealVector(value, false), slope);
    }

    private static Parameters parameters(RealVector point) {
        return new Parameters(point.getEntry(0), point.getEntry(1), point.getEntry(2));
    }

    private static RealMatrix covariance(Belief prior) {
        double exponent = Estimates.CRUST_EXPONENT_SD * Estimates.CRUST_EXPONENT_SD;
        return MatrixUtils.createRealMatrix(new double[][] {
            {prior.varianceResistance(), prior.covariance(), 0},
            {prior.covariance(), prior.varianceCrust(), 0},
            {0, 0, exponent}
        });
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
