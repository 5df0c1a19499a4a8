package elvaro.core.forecast;

import elvaro.core.drying.Parameters;
import elvaro.core.drying.WaterLoss;
import elvaro.core.drying.WaterLoss.Lost;
import java.util.Arrays;
import java.util.stream.DoubleStream;
import java.util.stream.IntStream;

/** What a piece loses along the days as it is thought to be, with the sums over time its doubts are reckoned from. */
final class Curve {
    /** Of nothing, where none is asked. */
    static final Curve EMPTY = new Curve(new double[0], new Lost[0]);

    private final double[] days;
    private final Lost[] lost;
    private final double[] sum;
    private final double[] squares;

    private Curve(double[] days, Lost[] lost) {
        this.days = days;
        this.lost = lost;
        sum = new double[days.length];
        squares = new double[days.length];
        for (int index = 1; index < days.length; index++) {
            double step = days[index] - days[index - 1];
            double before = lost[index - 1].fraction();
            double after = lost[index].fraction();
            sum[index] = sum[index - 1] + step * (before + after) / 2;
            squares[index] = squares[index - 1] + step * (before * before + before * after + after * after) / 3;
        }
    }

    /**
     * @param wanted days that are to be on it, 0 or more, in any order; day 0 and every whole day between are on it too
     */
    static Curve of(WaterLoss loss, double[] wanted, Parameters unknowns) {
        double last = Arrays.stream(wanted).max().orElse(0);
        double silent = loss.doubt().recordedUntil();
        double[] days = DoubleStream.concat(
                        DoubleStream.concat(
                                Arrays.stream(wanted),
                                IntStream.rangeClosed(0, (int) last).asDoubleStream()),
                        silent > 0 && silent < last ? DoubleStream.of(silent) : DoubleStream.empty())
                .sorted()
                .distinct()
                .toArray();
        return new Curve(days, loss.along(days, unknowns));
    }

    /** Through these days alone, ascending, where no sum over time is asked for. */
    static Curve along(WaterLoss loss, double[] days, Parameters unknowns) {
        return new Curve(days, loss.along(days, unknowns));
    }

    /** @throws IllegalArgumentException if the day is not on it */
    int at(double day) {
        int index = Arrays.binarySearch(days, day);
        if (index < 0) {
            throw new IllegalArgumentException("Day %s is not on the curve".formatted(day));
        }
        return index;
    }

    double day(int index) {
        return days[index];
    }

    Lost lost(int index) {
        return lost[index];
    }

    /** What is gone by a day at the latest on the curve. */
    double goneBy(double day) {
        int index = Arrays.binarySearch(days, day);
        return lost[Math.min(lost.length - 1, index >= 0 ? index : -index - 1)].fraction();
    }

    /**
     * Covariance of what is lost by two days where the logarithm of the rate wanders by 1 a day: ∫(w₁ − w)(w₂ − w)dt up to
     * the earlier of them.
     */
    double wander(int one, int other) {
        int until = Math.min(one, other);
        double first = lost[one].fraction();
        double second = lost[other].fraction();
        return first * second * days[until] - (first + second) * sum[until] + squares[until];
    }
}
