package elvaro.core.blend;

import static elvaro.core.working.Quantity.mass;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.hipparchus.exception.MathIllegalStateException;
import org.hipparchus.optim.linear.LinearConstraint;
import org.hipparchus.optim.linear.LinearConstraintSet;
import org.hipparchus.optim.linear.LinearObjectiveFunction;
import org.hipparchus.optim.linear.NonNegativeConstraint;
import org.hipparchus.optim.linear.Relationship;
import org.hipparchus.optim.linear.SimplexSolver;
import org.hipparchus.optim.nonlinear.scalar.GoalType;

/**
 * What all there is wants with it to become a grind: the least fresh lean and fresh fat that bring crust and aged fat down and
 * the lean to its share. Linear programming (simplex).
 *
 * @param there what is there already, all of it goes in, g
 * @param lean fresh lean to buy, g
 * @param fat fresh fat to buy, g
 */
public record Wants(int there, int lean, int fat) {
    /** Fresh lean as it is bought; fresh fat as a back or plate is (EST). */
    public static final double FRESH_LEAN = 0.92;

    public static final double FRESH_FAT = 0.15;

    private static final int TO_THE_GRAMS = 10;

    /**
     * @param stocks one or more, all of each goes in
     * @param wanted shares; its weight is of no matter
     * @return empty where nothing can bring it to the shares
     */
    public static Optional<Wants> of(List<Stock> stocks, Wanted wanted) {
        double there = stocks.stream().mapToDouble(Stock::grams).sum();
        if (there <= 0) {
            return Optional.empty();
        }
        double lean = weighed(stocks, Stock::lean);
        double crust = weighed(stocks, Stock::crust);
        double agedFat = weighed(stocks, Stock::agedFat);
        List<LinearConstraint> bounds = new ArrayList<>();
        bounds.add(new LinearConstraint(
                new double[] {FRESH_LEAN - wanted.lean(), FRESH_FAT - wanted.lean()},
                Relationship.EQ,
                wanted.lean() * there - lean));
        bounds.add(new LinearConstraint(
                new double[] {wanted.mostCrust(), wanted.mostCrust()},
                Relationship.GEQ,
                crust - wanted.mostCrust() * there));
        bounds.add(new LinearConstraint(
                new double[] {wanted.mostAgedFat(), wanted.mostAgedFat()},
                Relationship.GEQ,
                agedFat - wanted.mostAgedFat() * there));
        try {
            double[] more = new SimplexSolver()
                    .optimize(
                            new LinearObjectiveFunction(new double[] {1, 1}, 0),
                            new LinearConstraintSet(bounds),
                            GoalType.MINIMIZE,
                            new NonNegativeConstraint(true))
                    .getPoint();
            return Optional.of(new Wants((int) Math.round(there), up(more[0]), up(more[1])));
        } catch (MathIllegalStateException none) {
            return Optional.empty();
        }
    }

    private static double weighed(List<Stock> stocks, java.util.function.ToDoubleFunction<Stock> share) {
        return stocks.stream()
                .mapToDouble(stock -> stock.grams() * share.applyAsDouble(stock))
                .sum();
    }

    private static int up(double grams) {
        return (int) Math.ceil(grams / TO_THE_GRAMS - 1e-6) * TO_THE_GRAMS;
    }

    /** Of the whole batch. */
    public int grams() {
        return there + lean + fat;
    }

    /** As {@code 1.4 kg of trim and fat wants 5.2 kg of fresh lean: a batch of 6.6 kg.} */
    public String sentence() {
        List<String> more = new ArrayList<>();
        if (lean > 0) {
            more.add(mass(lean) + " of fresh lean");
        }
        if (fat > 0) {
            more.add(mass(fat) + " of fresh fat");
        }
        return more.isEmpty()
                ? "%s of trim and fat is a batch as it is.".formatted(mass(there))
                : "%s of trim and fat wants %s: a batch of %s."
                        .formatted(mass(there), String.join(" and ", more), mass(grams()));
    }
}
