package elvaro.core.forecast;

import elvaro.core.drying.Parameters;
import elvaro.core.drying.WaterLoss;
import elvaro.core.estimate.Estimates;
import java.util.List;
import org.hipparchus.linear.LUDecomposition;
import org.hipparchus.linear.MatrixUtils;
import org.hipparchus.linear.RealMatrix;
import org.hipparchus.linear.RealVector;

/**
 * What finished pieces of one method and chamber say about the next one hung there: normal–normal shrinkage. The estimates'
 * uncertainty is split in two, what all pieces of a place share and what differs from piece to piece; each finished piece
 * narrows the first, nothing narrows the second. Reference section 4; Gelman et al., Bayesian Data Analysis, chapter 5.
 */
public final class Learning {
    private static final RealMatrix FROM_PIECE_TO_PIECE = diagonal(Estimates.PIECE_SHARE * Estimates.PIECE_SHARE);
    private static final RealMatrix SHARED = diagonal(1 - Estimates.PIECE_SHARE * Estimates.PIECE_SHARE);

    private Learning() {}

    private static RealMatrix diagonal(double share) {
        return MatrixUtils.createRealDiagonalMatrix(new double[] {
            share * Estimates.RESISTANCE_SD * Estimates.RESISTANCE_SD, share * Estimates.CRUST_SD * Estimates.CRUST_SD
        });
    }

    /** What one finished piece has to say of its place: precision and precision-weighted value. */
    public record WeighingEvidence(RealMatrix precision, RealVector weighted) {}

    /**
     * @param loss how the finished piece lost water
     * @param observed its weighings
     * @param divisionGrams the scale's division
     */
    public static WeighingEvidence from(WaterLoss loss, List<Observed> observed, double divisionGrams) {
        Belief posterior = Fit.of(loss, divisionGrams).posterior(Belief.ESTIMATES, observed);
        RealMatrix all = symmetric(posterior.precision());
        // The weighings' own part: what is thought after them, less what was thought before.
        RealMatrix seen = all.subtract(symmetric(Belief.ESTIMATES.precision()));
        RealVector weighted = all.operate(vector(posterior.mean()));
        RealMatrix spread = new LUDecomposition(
                        MatrixUtils.createRealIdentityMatrix(2).add(seen.multiply(FROM_PIECE_TO_PIECE)))
                .getSolver()
                .getInverse();
        return new WeighingEvidence(spread.multiply(seen), spread.operate(weighted));
    }

    /** What is to be thought of the next piece, after these; the estimates alone where there are none. */
    public static Belief prior(List<WeighingEvidence> finished) {
        if (finished.isEmpty()) {
            return Belief.ESTIMATES;
        }
        RealMatrix precision = new LUDecomposition(SHARED).getSolver().getInverse();
        RealVector weighted = MatrixUtils.createRealVector(new double[2]);
        for (WeighingEvidence evidence : finished) {
            precision = precision.add(evidence.precision());
            weighted = weighted.add(evidence.weighted());
        }
        RealMatrix place = new LUDecomposition(precision).getSolver().getInverse();
        RealVector mean = place.operate(weighted);
        RealMatrix next = place.add(FROM_PIECE_TO_PIECE);
        return new Belief(
                new Parameters(mean.getEntry(0), mean.getEntry(1)),
                next.getEntry(0, 0),
                (next.getEntry(0, 1) + next.getEntry(1, 0)) / 2,
                next.getEntry(1, 1),
                finished.size());
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
