package elvaro.core.trial;

import elvaro.core.estimate.Estimates;
import java.util.List;
import org.hipparchus.distribution.continuous.NormalDistribution;

/**
 * What several trials of one treatment say together, in one measure. Random effects by the method of moments (DerSimonian &
 * Laird 1986, Controlled Clinical Trials 7), then shrunk towards zero: normal–normal with what was thought before. Few pieces
 * leave it near zero; many speak for themselves.
 *
 * @param value arm less control, shrunk
 * @param sd of it
 * @param unshrunk what the trials say by themselves
 * @param betweenVariance how much trials differ beyond chance
 * @param pairs how many differences it rests on
 * @param trials how many trials
 */
public record Evidence(double value, double sd, double unshrunk, double betweenVariance, int pairs, int trials) {

    /**
     * @param trials the differences of each trial, one for each pair; none empty
     */
    public static Evidence of(TrialMeasure measure, List<List<Double>> trials) {
        double within = within(trials, measure.pairSd());
        double[] mean = trials.stream().mapToDouble(Evidence::mean).toArray();
        double[] variance =
                trials.stream().mapToDouble(each -> within / each.size()).toArray();
        double between = between(mean, variance);
        double precision = 0;
        double weighted = 0;
        for (int trial = 0; trial < mean.length; trial++) {
            precision += 1 / (variance[trial] + between);
            weighted += mean[trial] / (variance[trial] + between);
        }
        double prior = 1 / (measure.effectSd() * measure.effectSd());
        int pairs = trials.stream().mapToInt(List::size).sum();
        return new Evidence(
                weighted / (precision + prior),
                Math.sqrt(1 / (precision + prior)),
                precision == 0 ? 0 : weighted / precision,
                between,
                pairs,
                trials.size());
    }

    /** The variance of one difference: what was found about the means of the trials, and what was thought before. */
    static double within(List<List<Double>> trials, double pairSd) {
        double squares = Estimates.PAIR_WEIGHT * pairSd * pairSd;
        double freedom = Estimates.PAIR_WEIGHT;
        for (List<Double> trial : trials) {
            double mean = mean(trial);
            squares += trial.stream()
                    .mapToDouble(each -> (each - mean) * (each - mean))
                    .sum();
            freedom += trial.size() - 1;
        }
        return squares / freedom;
    }

    /** DerSimonian & Laird's variance between trials; 0 where they differ no more than by chance. */
    private static double between(double[] mean, double[] variance) {
        double sum = 0;
        double squares = 0;
        double weighted = 0;
        for (int trial = 0; trial < mean.length; trial++) {
            double weight = 1 / variance[trial];
            sum += weight;
            squares += weight * weight;
            weighted += weight * mean[trial];
        }
        double centre = weighted / sum;
        double q = 0;
        for (int trial = 0; trial < mean.length; trial++) {
            q += (mean[trial] - centre) * (mean[trial] - centre) / variance[trial];
        }
        double scale = sum - squares / sum;
        return scale <= 0 ? 0 : Math.max(0, (q - (mean.length - 1)) / scale);
    }

    private static double mean(List<Double> values) {
        return values.stream().mapToDouble(Double::doubleValue).average().orElseThrow();
    }

    /** @param level 0 to 1 */
    public Band band(double level) {
        double half = sd * new NormalDistribution().inverseCumulativeProbability((1 + level) / 2);
        return new Band(value - half, value + half);
    }
}
