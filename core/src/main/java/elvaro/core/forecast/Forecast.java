package elvaro.core.forecast;

import elvaro.core.drying.WaterLoss;
import elvaro.core.drying.WaterLoss.Lost;
import elvaro.core.forecast.Fit.Fitted;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.stream.DoubleStream;
import java.util.stream.IntStream;
import org.hipparchus.distribution.continuous.NormalDistribution;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.RealVector;

/**
 * What a piece will weigh on any day, with its 80 % band. The band is that of a weighing to come: of the unknowns and of what
 * the model cannot follow by the delta method on the logarithm of what is lost, and of the weighing itself. Reference section 4.
 */
public final class Forecast {
    /** Half-width of an 80 % band in standard deviations: the 90th percentile of the normal distribution. */
    static final double EIGHTY = new NormalDistribution().inverseCumulativeProbability(0.9);

    /** Nothing hangs longer. */
    public static final int LONGEST_DAYS = 400;

    private final WaterLoss loss;
    private final Fitted fitted;
    private final double weighingSd;

    private Forecast(WaterLoss loss, Fitted fitted, double weighingSd) {
        this.loss = loss;
        this.fitted = fitted;
        this.weighingSd = weighingSd;
    }

    /**
     * @param loss how the piece loses water
     * @param prior what was thought before it was weighed
     * @param observed its weighings, in any order
     * @param divisionGrams the scale's division
     */
    public static Forecast of(WaterLoss loss, Belief prior, List<Observed> observed, double divisionGrams) {
        Fit fit = Fit.honest(loss, divisionGrams);
        return new Forecast(loss, fit.fitted(prior, observed, prior.mean()), fit.weighingSd());
    }

    /**
     * One day ahead.
     *
     * @param lost fraction of the green weight, as expected
     * @param least lower end of the 80 % band, 0 or more
     * @param most upper end, below 1
     * @param sd standard deviation of a weighing to come about {@code lost}
     */
    public record Day(double day, double lost, double least, double most, double sd) {}

    public Belief belief() {
        return fitted.belief();
    }

    public WaterLoss loss() {
        return loss;
    }

    public Day on(double day) {
        return along(new double[] {day}).get(0);
    }

    /** Every whole day from 0 to the last. */
    public List<Day> daily(int lastDay) {
        return along(IntStream.rangeClosed(0, lastDay).asDoubleStream().toArray());
    }

    /** @param days 0 or more, ascending */
    public List<Day> along(double[] days) {
        double[] wanted = DoubleStream.concat(Arrays.stream(days), Arrays.stream(fitted.days()))
                .toArray();
        Curve curve = Curve.of(loss, wanted, belief().mean());
        List<Day> ahead = new ArrayList<>(days.length);
        double before = 0;
        for (double day : days) {
            Day next = day(day, curve, before);
            before = next.lost();
            ahead.add(next);
        }
        return ahead;
    }

    /**
     * The model's, moved by what the weighings show beside it; universal kriging (Cressie 1993, Statistics for Spatial Data,
     * section 3.4).
     *
     * @param before what was lost by the day before: water does not come back
     */
    private Day day(double day, Curve curve, double before) {
        int at = curve.at(day);
        Lost lost = curve.lost(at);
        double moved = 0;
        double variance = fitted.misfit().covariance(curve, at, at);
        RealVector slopes = new ArrayRealVector(new double[] {lost.byResistance(), lost.byCrust(), lost.byExponent()});
        if (fitted.weighed()) {
            RealVector shared = new ArrayRealVector(Arrays.stream(fitted.days())
                    .map(seen -> fitted.misfit().covariance(curve, at, curve.at(seen)))
                    .toArray());
            RealVector explained = fitted.precision().operate(shared);
            slopes = slopes.subtract(fitted.slopes().preMultiply(explained));
            moved = shared.dotProduct(fitted.weighted());
            variance -= shared.dotProduct(explained);
        }
        double fraction = Math.max(before, Math.min(loss.most(), lost.fraction() + moved));
        double stateSd = Math.sqrt(Math.max(0, variance)
                + Math.max(0, slopes.dotProduct(fitted.covariance().operate(slopes))));
        return day(day, fraction, stateSd);
    }

    private Day day(double day, double fraction, double stateSd) {
        double sd = Math.hypot(stateSd, weighingSd);
        if (fraction <= 0) {
            return new Day(day, 0, 0, EIGHTY * sd, sd);
        }
        // On the logarithm the spread of the state is even to both sides; the weighing's own is so in grams.
        double down = fraction * (1 - Math.exp(-EIGHTY * stateSd / fraction));
        double up = fraction * (Math.exp(EIGHTY * stateSd / fraction) - 1);
        double weighing = EIGHTY * weighingSd;
        return new Day(
                day,
                fraction,
                Math.max(0, fraction - Math.hypot(down, weighing)),
                Math.min(0.95, fraction + Math.hypot(up, weighing)),
                sd);
    }

    /**
     * The days on which a shrink is reached.
     *
     * @param expected when it is expected
     * @param earliest when the upper end of the band reaches it
     * @param latest when the lower end does; empty where it does not within {@link #LONGEST_DAYS}
     */
    public record Reached(double expected, double earliest, Optional<Double> latest) {}

    /**
     * @param lost the target, fraction of the green weight, above 0
     * @return empty where the piece is not expected to lose as much within {@link #LONGEST_DAYS}
     */
    public Optional<Reached> reaches(double lost) {
        List<Day> days = daily(LONGEST_DAYS);
        return crossing(days, lost, Line.EXPECTED)
                .map(expected -> new Reached(
                        expected, crossing(days, lost, Line.MOST).orElse(expected), crossing(days, lost, Line.LEAST)));
    }

    private enum Line {
        LEAST,
        EXPECTED,
        MOST;

        double of(Day day) {
            return switch (this) {
                case LEAST -> day.least();
                case EXPECTED -> day.lost();
                case MOST -> day.most();
            };
        }
    }

    private static Optional<Double> crossing(List<Day> days, double lost, Line line) {
        for (int index = 1; index < days.size(); index++) {
            double before = line.of(days.get(index - 1));
            double after = line.of(days.get(index));
            if (after >= lost) {
                double part = after > before ? (lost - before) / (after - before) : 0;
                return Optional.of(days.get(index - 1).day() + Math.max(0, part));
            }
        }
        return Optional.empty();
    }

    /** z of a weighing against this forecast, in standard deviations; above 0 where more is gone than expected. */
    public double surprise(Observed weighing) {
        Day expected = on(weighing.day());
        return (weighing.lost() - expected.lost()) / expected.sd();
    }
}
