package elvaro.core.forecast;

import elvaro.core.drying.Parameters;
import elvaro.core.estimate.Estimates;

/**
 * What is thought about the unknowns of a piece: a normal distribution. Before it is weighed this is the prior, after it
 * what the weighings made of it. Reference section 4.
 *
 * @param mean where it is centred
 * @param varianceResistance variance of the resistance's logarithm, above 0
 * @param covariance of the two
 * @param varianceCrust variance of the crust's logarithm, above 0
 * @param pieces how many finished pieces of the shop it rests on, 0 for the estimates alone
 */
public record Belief(Parameters mean, double varianceResistance, double covariance, double varianceCrust, int pieces) {

    /** What the estimates say of a piece in a shop nothing is known about. */
    public static final Belief ESTIMATES = new Belief(
            Parameters.NONE,
            Estimates.RESISTANCE_SD * Estimates.RESISTANCE_SD,
            0,
            Estimates.CRUST_SD * Estimates.CRUST_SD,
            0);

    public Belief {
        if (!(varianceResistance > 0 && varianceCrust > 0)
                || covariance * covariance >= varianceResistance * varianceCrust) {
            throw new IllegalArgumentException("Variances are above 0 and the covariance within what they allow");
        }
    }

    /** Variance of something that moves with the unknowns as given: the delta method. */
    double variance(double byResistance, double byCrust) {
        return byResistance * byResistance * varianceResistance
                + 2 * byResistance * byCrust * covariance
                + byCrust * byCrust * varianceCrust;
    }

    /** The three numbers of the inverse of the covariance: of resistance, of both, of crust. */
    double[] precision() {
        double determinant = varianceResistance * varianceCrust - covariance * covariance;
        return new double[] {varianceCrust / determinant, -covariance / determinant, varianceResistance / determinant};
    }
}
