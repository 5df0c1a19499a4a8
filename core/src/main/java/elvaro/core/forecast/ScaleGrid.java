package elvaro.core.forecast;

import java.util.Arrays;
import java.util.function.DoubleUnaryOperator;

/** A scale nothing is known of but its order, learnt by trying a few values. */
final class ScaleGrid {
    private ScaleGrid() {}

    /**
     * @param values that are tried, above 0
     * @param sd of the scale's logarithm about 0, before anything was seen
     * @param logLikelihood of what was seen, by the value, up to a constant
     * @return e to the posterior mean of its logarithm
     */
    static double learnt(double[] values, double sd, DoubleUnaryOperator logLikelihood) {
        double[] log = Arrays.stream(values)
                .map(value -> logLikelihood.applyAsDouble(value) - Math.pow(Math.log(value) / sd, 2) / 2)
                .toArray();
        double most = Arrays.stream(log).max().orElseThrow();
        double sum = 0;
        double weighted = 0;
        for (int index = 0; index < values.length; index++) {
            double weight = Math.exp(log[index] - most);
            sum += weight;
            weighted += weight * Math.log(values[index]);
        }
        return Math.exp(weighted / sum);
    }
}
