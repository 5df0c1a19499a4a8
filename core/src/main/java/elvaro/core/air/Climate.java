package elvaro.core.air;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.function.ToDoubleFunction;

/**
 * The air a piece hangs in over its days: what was recorded, then what is to be expected. Each air holds from its day until
 * the next one's, the first also before its day. From its last day on the air goes through the same few states for ever, each
 * for as long as the others: one where it is steady, the hours of some days where it was recorded.
 */
public final class Climate {
    private final double[] from;
    private final List<Air> airs;
    private final List<Air> settled;
    private final AirDoubt doubt;

    /**
     * Air from a day on.
     *
     * @param day counted from the hanging; may be negative
     */
    public record Reading(double day, Air air) {}

    /**
     * How surely the air is known.
     *
     * @param humiditySd what the humidity may be off by at all times alike, as a sensor's or a set-point's, fraction
     * @param recordedUntil the day from which nothing was recorded
     * @param changeSd how far the humidity to come may lie from what is expected, fraction
     */
    public record AirDoubt(double humiditySd, double recordedUntil, double changeSd) {
        /** Air that is what it is said to be, as in an example. */
        public static final AirDoubt NONE = new AirDoubt(0, 0, 0);

        public AirDoubt {
            if (!(humiditySd >= 0 && changeSd >= 0)) {
                throw new IllegalArgumentException("A doubt is 0 or more");
            }
        }
    }

    /** Air with the share of a stretch of time it takes. */
    public record Portion(double share, Air air) {}

    private Climate(List<Reading> readings, List<Air> settled, AirDoubt doubt) {
        from = readings.stream().mapToDouble(Reading::day).toArray();
        airs = readings.stream().map(Reading::air).toList();
        this.settled = List.copyOf(settled);
        this.doubt = doubt;
    }

    /** The same air for ever, known exactly. */
    public static Climate constant(Air air) {
        return new Climate(List.of(new Reading(0, air)), List.of(air), AirDoubt.NONE);
    }

    /**
     * @param readings one or more, each later than the one before
     * @throws IllegalArgumentException if there is none, or they are out of order
     */
    public static Climate of(List<Reading> readings) {
        if (readings.isEmpty()) {
            throw new IllegalArgumentException("A climate needs air");
        }
        return of(readings, List.of(readings.get(readings.size() - 1).air()), AirDoubt.NONE);
    }

    /**
     * @param readings one or more, each later than the one before; from the last one's day on the air is settled
     * @param settled the airs it then goes through, one or more
     * @param doubt how surely it is known
     * @throws IllegalArgumentException if there is none, or they are out of order
     */
    public static Climate of(List<Reading> readings, List<Air> settled, AirDoubt doubt) {
        if (readings.isEmpty() || settled.isEmpty()) {
            throw new IllegalArgumentException("A climate needs air");
        }
        for (int index = 1; index < readings.size(); index++) {
            if (!(readings.get(index).day() > readings.get(index - 1).day())) {
                throw new IllegalArgumentException("Readings follow one another in time");
            }
        }
        return new Climate(readings, settled, doubt);
    }

    /** The same air, not so surely known. */
    public Climate doubted(AirDoubt how) {
        return new Climate(readings(), settled, how);
    }

    /** This climate until the day, and the given air from then on. */
    public Climate then(double day, Air air) {
        return new Climate(until(day, air), List.of(air), doubt);
    }

    /** This climate until the day, and another from then on; both count from the same day 0. */
    public Climate then(double day, Climate other) {
        List<Reading> readings = until(day, other.at(day));
        for (int index = 0; index < other.from.length; index++) {
            if (other.from[index] > day) {
                readings.add(new Reading(other.from[index], other.airs.get(index)));
            }
        }
        return new Climate(readings, other.settled, other.doubt);
    }

    private List<Reading> until(double day, Air air) {
        List<Reading> readings = new ArrayList<>();
        for (int index = 0; index < from.length && from[index] < day; index++) {
            readings.add(new Reading(from[index], airs.get(index)));
        }
        readings.add(new Reading(day, air));
        return readings;
    }

    private List<Reading> readings() {
        List<Reading> readings = new ArrayList<>();
        for (int index = 0; index < from.length; index++) {
            readings.add(new Reading(from[index], airs.get(index)));
        }
        return readings;
    }

    /** Every air over a tray of salt. */
    public Climate overSaltTray() {
        return new Climate(
                readings().stream()
                        .map(reading -> new Reading(reading.day(), reading.air().overSaltTray()))
                        .toList(),
                settled.stream().map(Air::overSaltTray).toList(),
                doubt);
    }

    public AirDoubt doubt() {
        return doubt;
    }

    public Air at(double day) {
        return airs.get(indexAt(day));
    }

    /** The mean of the air that holds for ever. */
    public Air last() {
        return airs.get(airs.size() - 1);
    }

    /** The day from which the air no longer changes. */
    public double settledFrom() {
        return from.length == 1 ? 0 : Math.max(0, from[from.length - 1]);
    }

    /**
     * Means of a quantity of the air over equal steps from day 0 until the air is settled; what holds from then on is the
     * last entry.
     *
     * @param step days, above 0
     * @param quantity of the air
     */
    public double[] means(double step, ToDoubleFunction<Air> quantity) {
        return portions(step).stream()
                .mapToDouble(portions -> portions.stream()
                        .mapToDouble(portion -> portion.share() * quantity.applyAsDouble(portion.air()))
                        .sum())
                .toArray();
    }

    /**
     * The air over equal steps from day 0 until it is settled, as the airs in each with their shares of it; what holds from
     * then on is the last entry.
     *
     * @param step days, above 0
     */
    public List<List<Portion>> portions(double step) {
        int steps = (int) Math.ceil(settledFrom() / step - 1e-9);
        List<List<Portion>> all = new ArrayList<>(steps + 1);
        int index = indexAt(0);
        for (int slot = 0; slot < steps; slot++) {
            double end = (slot + 1) * step;
            List<Portion> portions = new ArrayList<>();
            double at = slot * step;
            while (at < end) {
                double until = index + 1 < from.length ? Math.min(end, from[index + 1]) : end;
                portions.add(new Portion((until - at) / step, airs.get(index)));
                at = until;
                if (index + 1 < from.length && at >= from[index + 1]) {
                    index++;
                }
            }
            all.add(portions);
        }
        double share = 1.0 / settled.size();
        all.add(settled.stream().map(air -> new Portion(share, air)).toList());
        return Collections.unmodifiableList(all);
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
            boolean last = index + 1 == from.length;
            double until = last ? days : Math.min(days, from[index + 1]);
            double value = last
                    ? settled.stream().mapToDouble(quantity).average().orElseThrow()
                    : quantity.applyAsDouble(airs.get(index));
            sum += value * (until - at);
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
