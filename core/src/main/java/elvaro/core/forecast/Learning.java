package elvaro.core.forecast;

import elvaro.core.drying.Parameters;
import elvaro.core.drying.WaterLoss;
import elvaro.core.estimate.Estimates;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.hipparchus.distribution.continuous.ChiSquaredDistribution;
import org.hipparchus.linear.LUDecomposition;
import org.hipparchus.linear.MatrixUtils;
import org.hipparchus.linear.RealMatrix;
import org.hipparchus.linear.RealVector;

/**
 * What finished pieces of one method and chamber say about the next one hung there: normal–normal shrinkage. The estimates'
 * uncertainty is split in two, what all pieces of a place share and what differs from piece to piece; each finished piece
 * narrows the first and tells how large the second is. Reference section 4; Gelman et al., Bayesian Data Analysis, chapter 5.
 */
public final class Learning {
    private static final RealMatrix FROM_PIECE_TO_PIECE = diagonal(Estimates.PIECE_SHARE * Estimates.PIECE_SHARE);
    private static final RealMatrix IDENTITY = MatrixUtils.createRealIdentityMatrix(2);
    private static final RealMatrix SHARED = diagonal(1 - Estimates.PIECE_SHARE * Estimates.PIECE_SHARE);

    private Learning() {}

    private static RealMatrix diagonal(double share) {
        return MatrixUtils.createRealDiagonalMatrix(new double[] {
            share * Estimates.RESISTANCE_SD * Estimates.RESISTANCE_SD, share * Estimates.CRUST_SD * Estimates.CRUST_SD
        });
    }

    /**
     * What the weighings of one finished piece say of its unknowns: their precision, and that times their value. 0 where
     * nothing was weighed.
     */
    public record WeighingEvidence(RealMatrix precision, RealVector weighted) {}

    /**
     * @param loss how the finished piece lost water
     * @param observed its weighings
     * @param divisionGrams the scale's division
     */
    public static WeighingEvidence from(WaterLoss loss, List<Observed> observed, double divisionGrams) {
        Belief posterior = Fit.honest(loss, divisionGrams).posterior(Belief.ESTIMATES, observed);
        RealMatrix all = symmetric(posterior.precision());
        // The weighings' own part: what is thought after them, less what was thought before.
        RealMatrix seen = all.subtract(symmetric(Belief.ESTIMATES.precision()));
        return new WeighingEvidence(seen, all.operate(vector(posterior.mean())));
    }

    /**
     * What the finished pieces teach.
     *
     * @param prior what is to be thought of the next piece
     * @param scatter how far pieces lie apart, as a multiple of what the estimates say
     * @param leftOut places in the list of those that contradict the rest
     */
    public record Taught(Belief prior, double scatter, List<Integer> leftOut) {}

    /** What is to be thought of the next piece, after these; the estimates alone where there are none. */
    public static Belief prior(List<WeighingEvidence> finished) {
        return taught(finished).prior();
    }

    /** What these teach, those that contradict the rest left out. */
    public static Taught taught(List<WeighingEvidence> finished) {
        return taught(finished, Set.of());
    }

    /** @param always places in the list of those somebody says are right, whatever the rest says */
    public static Taught taught(List<WeighingEvidence> finished, Set<Integer> always) {
        if (finished.isEmpty()) {
            return new Taught(Belief.ESTIMATES, 1, List.of());
        }
        List<Integer> counted = new ArrayList<>();
        for (int index = 0; index < finished.size(); index++) {
            counted.add(index);
        }
        List<Integer> leftOut = new ArrayList<>();
        Optional<Integer> odd = contradicting(finished, counted, always);
        while (odd.isPresent()) {
            leftOut.add(odd.get());
            counted.remove(odd.get());
            odd = contradicting(finished, counted, always);
        }
        List<WeighingEvidence> all = counted.stream().map(finished::get).toList();
        double scatter = scatter(all);
        SharedBelief shared = SharedBelief.of(all, scatter);
        RealMatrix next = shared.covariance().add(shared.own());
        RealVector mean = shared.mean();
        Belief prior = new Belief(
                new Parameters(mean.getEntry(0), mean.getEntry(1)),
                next.getEntry(0, 0),
                (next.getEntry(0, 1) + next.getEntry(1, 0)) / 2,
                next.getEntry(1, 1),
                all.size());
        return new Taught(prior, Math.sqrt(scatter), List.copyOf(leftOut));
    }

    /** Fewer cannot say who is right. */
    private static final int FEWEST_TO_CONTRADICT = 4;

    /** Of χ² with two degrees of freedom one in a thousand lies beyond. */
    private static final double CONTRADICTS = new ChiSquaredDistribution(2).inverseCumulativeProbability(0.999);

    /** The piece that lies farthest from what the others lead to expect, if that is farther than chance takes one. */
    private static Optional<Integer> contradicting(
            List<WeighingEvidence> finished, List<Integer> counted, Set<Integer> always) {
        if (counted.size() < FEWEST_TO_CONTRADICT) {
            return Optional.empty();
        }
        Optional<Integer> farthest = Optional.empty();
        double most = CONTRADICTS;
        List<WeighingEvidence> all = counted.stream().map(finished::get).toList();
        double scatter = scatter(all);
        SharedBelief shared = SharedBelief.of(all, scatter);
        for (Integer piece : counted) {
            double distance = shared.without(finished.get(piece)).distance(finished.get(piece));
            if (distance > most && !always.contains(piece)) {
                most = distance;
                farthest = Optional.of(piece);
            }
        }
        return farthest;
    }

    /** Variances from piece to piece that are tried, as multiples of the estimates'. */
    private static final double[] SCATTERS = {0.125, 0.25, 0.5, 1 / Math.sqrt(2), 1, Math.sqrt(2), 2, 4, 8};

    /** How far the logarithm of the scatter's variance lies from that of the estimates, over shops (EST). */
    private static final double SCATTER_SD = 0.8;

    /** By how much the variance from piece to piece is another than the estimates say: the posterior mean of its logarithm. */
    private static double scatter(List<WeighingEvidence> finished) {
        return ScaleGrid.learnt(
                SCATTERS,
                SCATTER_SD,
                scatter -> SharedBelief.of(finished, scatter).logLikelihood());
    }

    /**
     * What pieces share that hung in one place.
     *
     * @param own how they lie apart
     * @param logLikelihood of all their weighings, where they lie apart like this, up to a constant
     */
    private record SharedBelief(RealMatrix own, RealMatrix precision, RealVector weighted, double logLikelihood) {
        static SharedBelief of(List<WeighingEvidence> finished, double scatter) {
            RealMatrix own = fromPieceToPiece(scatter);
            RealMatrix precision = inverse(SHARED);
            RealVector weighted = MatrixUtils.createRealVector(new double[2]);
            double log = -Math.log(determinant(SHARED)) / 2;
            for (WeighingEvidence piece : finished) {
                RealMatrix both = IDENTITY.add(piece.precision().multiply(own));
                RealMatrix spread = inverse(both);
                RealVector said = spread.operate(piece.weighted());
                precision = precision.add(spread.multiply(piece.precision()));
                weighted = weighted.add(said);
                log += piece.weighted().dotProduct(own.operate(said)) / 2 - Math.log(determinant(both)) / 2;
            }
            log += weighted.dotProduct(inverse(precision).operate(weighted)) / 2 - Math.log(determinant(precision)) / 2;
            return new SharedBelief(own, precision, weighted, log);
        }

        RealVector mean() {
            return covariance().operate(weighted);
        }

        RealMatrix covariance() {
            return inverse(precision);
        }

        SharedBelief without(WeighingEvidence piece) {
            RealMatrix spread = inverse(IDENTITY.add(piece.precision().multiply(own)));
            return new SharedBelief(
                    own,
                    precision.subtract(spread.multiply(piece.precision())),
                    weighted.subtract(spread.operate(piece.weighted())),
                    Double.NaN);
        }

        /** How far a piece lies from what this leads to expect: of χ² with two degrees of freedom, where it is one of them. */
        double distance(WeighingEvidence piece) {
            RealMatrix seen = piece.precision();
            RealVector off = piece.weighted().subtract(seen.operate(mean()));
            RealMatrix spread = covariance().add(own);
            RealMatrix expected = seen.add(seen.multiply(spread).multiply(seen)).add(IDENTITY.scalarMultiply(1e-6));
            return off.dotProduct(inverse(expected).operate(off));
        }
    }

    private static RealMatrix fromPieceToPiece(double scatter) {
        return FROM_PIECE_TO_PIECE.scalarMultiply(scatter);
    }

    private static RealMatrix inverse(RealMatrix matrix) {
        return new LUDecomposition(matrix).getSolver().getInverse();
    }

    private static double determinant(RealMatrix matrix) {
        return new LUDecomposition(matrix).getDeterminant();
    }

    /**
     * A factor, or a difference, the shop's own pieces shift from where the estimates put it.
     *
     * @param value what to use for the next piece
     * @param sd its standard deviation for one piece to come
     * @param pieces how many it rests on
     */
    public record Learnt(double value, double sd, int pieces) {}

    /**
     * Normal–normal shrinkage of one number towards 0.
     *
     * @param found one value from each finished piece
     * @param sd how far a piece of an unknown shop lies from 0
     */
    public static Learnt towardsZero(List<Double> found, double sd) {
        double fromPieceToPiece = Math.pow(Estimates.PIECE_SHARE * sd, 2);
        double shared = sd * sd - fromPieceToPiece;
        double precision = 1 / shared + found.size() / fromPieceToPiece;
        double sum = found.stream().mapToDouble(Double::doubleValue).sum();
        return new Learnt(
                sum / fromPieceToPiece / precision, Math.sqrt(1 / precision + fromPieceToPiece), found.size());
    }

    private static RealMatrix symmetric(double[] three) {
        return MatrixUtils.createRealMatrix(new double[][] {{three[0], three[1]}, {three[1], three[2]}});
    }

    private static RealVector vector(Parameters unknowns) {
        return MatrixUtils.createRealVector(new double[] {unknowns.resistance(), unknowns.crust()});
    }
}
