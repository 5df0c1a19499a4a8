package elvaro.core.air;

import java.util.ArrayList;
import java.util.List;
import java.util.function.ToDoubleFunction;

/**
 * The air a piece hangs in over its days: what was recorded, then what the chamber is set to. Each air holds from its day
 * until the next one's, the first also before its day and the last for ever.
 */
public final class Climate {
    private final double[] from;
    private final List<Air> airs;

    /**
     * Air from a day on.
     *
     * @param day counted from the hanging; may be negative
     */
    public record Reading(double day, Air air) {}

    private Climate(List<Reading> readings) {
        from = readings.stream().mapToDouble(Reading::day).toArray();
        airs = readings.stream().map(Reading::air).toList();
    }

    /** The same air for ever. */
    public static Climate constant(Air air) {
        return new Climate(List.of(new Reading(0, air)));
    }

    /**
     * @param readings one or more, each later than the one before
     * @throws IllegalArgumentException if there is none, or they are out of order
     */
    public static Climate of(List<Reading> readings) {
        if (readings.isEmpty()) {
            throw new IllegalArgumentException("A climate needs air");
        }
        for (int index = 1; index < readings.size(); index++) {
            if (!(readings.get(index).day() > readings.get(index - 1).day())) {
                throw new IllegalArgumentException("Readings follow one another in time");
            }
        }
        return new Climate(readings);
    }

    /** This climate until the day, and the given air from then on. */
    public Climate then(double day, Air air) {
        List<Reading> readings = new ArrayList<>();
        for (int index = 0; index < from.length && from[index] < day; index++) {
            readings.add(new Reading(from[index], airs.get(index)));
        }
        readings.add(new Reading(day, air));
        return new Climate(readings);
    }

    /** This climate until the day, and another from then on; both count from the same day 0. */
    public Climate then(double day, Climate other) {
        Climate joint = then(day, other.at(day));
        List<Reading> readings = new ArrayList<>();
        for (int index = 0; index < joint.from.length; index++) {
            readings.add(new Reading(joint.from[index], joint.airs.get(index)));
        }
        for (int index = 0; index < other.from.length; index++) {
            if (other.from[index] > day) {
                readings.add(new Reading(other.from[index], other.airs.get(index)));
            }
        }
        return new Climate(readings);
    }

    /** Every air over a tray of salt. */
    public Climate overSaltTray() {
        List<Reading> readings = new ArrayList<>();
        for (int index = 0; index < from.length; index++) {
            readings.add(new Reading(from[index], airs.get(index).overSaltTray()));
        }
        return new Climate(readings);
    }

    public Air at(double day) {
        return airs.get(indexAt(day));
    }

    /** The air on the last day it changes: what holds from then on. */
    public Air last() {
        return airs.get(airs.size() - 1);
    }

    /** The day from which the air no longer changes. */
    public double settledFrom() {
        return from.length == 1 ? 0 : Math.max(0, from[from.length - 1]);
    }

    /**
     * Means of a quantity of the air over equal steps from day 0 until the air no longer changes; what holds from then on
     * is the last entry.
     *
     * @param step days, above 0
     * @param quantity of the air
     */
    public double[] means(double step, ToDoubleFunction<Air> quantity) {
        double[] value = airs.stream().mapToDouble(quantity).toArray();
        int steps = (int) Math.ceil(settledFrom() / step - 1e-9);
        double[] means = new double[steps + 1];
        int index = indexAt(0);
        for (int slot = 0; slot < steps; slot++) {
            double begin = slot * step;
            double end = begin + step;
            double sum = 0;
            double at = begin;
            while (at < end) {
                double until = index + 1 < from.length ? Math.min(end, from[index + 1]) : end;
                sum += value[index] * (until - at);
                at = until;
                if (index + 1 < from.length && at >= from[index + 1]) {
                    index++;
                }
            }
            means[slot] = sum / step;
        }
        means[steps] = value[value.length - 1];
        return means;
    }

    /**
     * Integral of a quantity of the air.
     *
     * @param days upper end, 0 or more; the lower is day 0
     */
    public double integral(double days, ToDoubleFunction<Air> quantity) {
        double sum = 0;
        double at = 0;
        for (int index = indexAt(0); at < days; index++) {
            double until = index + 1 < from.length ? Math.min(days, from[index + 1]) : days;
            sum += quantity.applyAsDouble(airs.get(index)) * (until - at);
            at = until;
        }
        return sum;
    }

    private int indexAt(double day) {
        int low = 0;
        int high = from.length - 1;
        while (low < high) {
            int middle = (low + high + 1) >>> 1;
            if (from[middle] <= day) {
                low = middle;
            } else {
                high = middle - 1;
            }
        }
        return low;
    }
}
