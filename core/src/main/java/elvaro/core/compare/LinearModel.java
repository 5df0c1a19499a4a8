package elvaro.core.compare;

import java.util.ArrayList;
import java.util.List;
import org.hipparchus.distribution.continuous.TDistribution;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.RealVector;
import org.hipparchus.stat.regression.OLSMultipleLinearRegression;

/**
 * Ordinary least squares with an intercept. Snedecor & Cochran, Statistical Methods, chapter 13; the same figures as
 * {@code lm} of R.
 *
 * @param terms the intercept first, then each column that could be told from the others, in their order
 * @param dropped columns that follow from those before them, so that their effect cannot be told apart
 * @param pieces n
 * @param freedom n less the terms, above 0
 * @param residualSd of what the model leaves
 * @param explained R², 0–1
 */
public record LinearModel(
        List<Term> terms, List<String> dropped, int pieces, int freedom, double residualSd, double explained) {
    /** What is left of a column beside those before it, as a share of it, under which it counts as one of them. */
    private static final double ALIASED = 1e-7;

    /** Something that is put down to it. */
    public record ModelTerm(String name, double[] values) {}

    /**
     * One line of the table.
     *
     * @param error standard error of the estimate
     * @param p two-sided chance of a t so far from 0, if there were no effect
     */
    public record Term(String name, double estimate, double error, double t, double p, int freedom) {
        /** @param level 0 to 1 */
        public double halfWidth(double level) {
            return error * new TDistribution(freedom).inverseCumulativeProbability((1 + level) / 2);
        }
    }

    /**
     * @param y what is explained
     * @param columns by what; each as long as y
     * @throws IllegalArgumentException if nothing is left to judge the terms by
     */
    public static LinearModel of(double[] y, List<ModelTerm> columns) {
        List<ModelTerm> kept = new ArrayList<>();
        List<String> dropped = new ArrayList<>();
        List<RealVector> basis = new ArrayList<>();
        basis.add(new ArrayRealVector(y.length, 1).unitVector());
        for (ModelTerm column : columns) {
            RealVector rest = beside(new ArrayRealVector(column.values()), basis);
            if (rest.getNorm() <= ALIASED * Math.max(1e-300, new ArrayRealVector(column.values()).getNorm())) {
                dropped.add(column.name());
            } else {
                basis.add(rest.unitVector());
                kept.add(column);
            }
        }
        int freedom = y.length - kept.size() - 1;
        if (freedom < 1) {
            throw new IllegalArgumentException("A model needs more pieces than terms");
        }
        return fitted(y, kept, dropped, freedom);
    }

    /** Twice, as rounding leaves something of the first pass. */
    private static RealVector beside(RealVector column, List<RealVector> basis) {
        RealVector rest = column;
        for (int pass = 0; pass < 2; pass++) {
            for (RealVector each : basis) {
                rest = rest.subtract(each.mapMultiply(rest.dotProduct(each)));
            }
        }
        return rest;
    }

    private static LinearModel fitted(double[] y, List<ModelTerm> kept, List<String> dropped, int freedom) {
        double[][] x = new double[y.length][kept.size() + 1];
        for (int row = 0; row < y.length; row++) {
            x[row][0] = 1;
            for (int column = 0; column < kept.size(); column++) {
                x[row][column + 1] = kept.get(column).values()[row];
            }
        }
        OLSMultipleLinearRegression regression = new OLSMultipleLinearRegression();
        regression.setNoIntercept(true); // It is a column of its own, so that one column or none are taken alike.
        regression.newSampleData(y, x);
        double[] estimates = regression.estimateRegressionParameters();
        double[] errors = regression.estimateRegressionParametersStandardErrors();
        List<Term> terms = new ArrayList<>();
        for (int term = 0; term < estimates.length; term++) {
            String name = term == 0 ? "intercept" : kept.get(term - 1).name();
            terms.add(term(name, estimates[term], errors[term], freedom));
        }
        double residual = regression.calculateResidualSumOfSquares();
        double total = aboutTheMean(y);
        return new LinearModel(
                List.copyOf(terms),
                List.copyOf(dropped),
                y.length,
                freedom,
                Math.sqrt(residual / freedom),
                total == 0 ? 0 : 1 - residual / total);
    }

    private static Term term(String name, double estimate, double error, int freedom) {
        double t = error == 0 ? 0 : estimate / error;
        double p = error == 0 ? 1 : 2 * new TDistribution(freedom).cumulativeProbability(-Math.abs(t));
        return new Term(name, estimate, error, t, p, freedom);
    }

    private static double aboutTheMean(double[] y) {
        double mean = java.util.Arrays.stream(y).average().orElseThrow();
        return java.util.Arrays.stream(y)
                .map(each -> (each - mean) * (each - mean))
                .sum();
    }
}
