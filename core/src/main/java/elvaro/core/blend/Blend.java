package elvaro.core.blend;

import static elvaro.core.working.Quantity.mass;
import static elvaro.core.working.Quantity.share;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.function.ToDoubleFunction;
import java.util.stream.IntStream;
import org.hipparchus.exception.MathIllegalStateException;
import org.hipparchus.optim.linear.LinearConstraint;
import org.hipparchus.optim.linear.LinearConstraintSet;
import org.hipparchus.optim.linear.LinearObjectiveFunction;
import org.hipparchus.optim.linear.NonNegativeConstraint;
import org.hipparchus.optim.linear.Relationship;
import org.hipparchus.optim.linear.SimplexSolver;
import org.hipparchus.optim.nonlinear.scalar.GoalType;

/**
 * The cheapest blend of stocks with a wanted share of lean, by linear programming (simplex). Of two stocks it is Pearson's
 * square.
 *
 * @param grams of each stock, in their order; empty where it cannot be mixed
 * @param costMinor of the batch
 * @param binds what keeps it from being cheaper, in words; where it cannot be mixed, why not
 */
public record Blend(List<Double> grams, double costMinor, List<String> binds) {
    private static final double CLOSE = 1e-7;

    /** What a batch is bound by, besides its weight. */
    private enum Limit {
        LEAN,
        STOCK,
        CRUST,
        AGED_FAT
    }

    public boolean canBeMixed() {
        return !grams.isEmpty();
    }

    /** @param stocks one or more */
    public static Blend of(List<Stock> stocks, Wanted wanted) {
        return solve(stocks, wanted, EnumSet.allOf(Limit.class))
                .map(shares -> mixed(stocks, wanted, shares))
                .orElseGet(() -> new Blend(List.of(), 0, List.of(why(stocks, wanted))));
    }

    /** Shares of the batch by stock; empty where there are none. */
    private static Optional<double[]> solve(List<Stock> stocks, Wanted wanted, Set<Limit> limits) {
        List<LinearConstraint> bounds = new ArrayList<>();
        bounds.add(new LinearConstraint(all(stocks, each -> 1), Relationship.EQ, 1));
        if (limits.contains(Limit.LEAN)) {
            bounds.add(new LinearConstraint(all(stocks, Stock::lean), Relationship.EQ, wanted.lean()));
        }
        if (limits.contains(Limit.CRUST)) {
            bounds.add(new LinearConstraint(all(stocks, Stock::crust), Relationship.LEQ, wanted.mostCrust()));
        }
        if (limits.contains(Limit.AGED_FAT)) {
            bounds.add(new LinearConstraint(all(stocks, Stock::agedFat), Relationship.LEQ, wanted.mostAgedFat()));
        }
        if (limits.contains(Limit.STOCK)) {
            for (int stock = 0; stock < stocks.size(); stock++) {
                double[] one = new double[stocks.size()];
                one[stock] = 1;
                double share = (double) stocks.get(stock).grams() / wanted.grams();
                bounds.add(new LinearConstraint(one, Relationship.LEQ, share));
            }
        }
        try {
            return Optional.of(new SimplexSolver()
                    .optimize(
                            new LinearObjectiveFunction(all(stocks, Stock::minorPerKg), 0),
                            new LinearConstraintSet(bounds),
                            GoalType.MINIMIZE,
                            new NonNegativeConstraint(true))
                    .getPoint());
        } catch (MathIllegalStateException none) {
            return Optional.empty();
        }
    }

    private static double[] all(List<Stock> stocks, ToDoubleFunction<Stock> value) {
        return stocks.stream().mapToDouble(value).toArray();
    }

    private static Blend mixed(List<Stock> stocks, Wanted wanted, double[] shares) {
        List<Double> grams = Arrays.stream(shares)
                .mapToObj(share -> Math.max(0, share) * wanted.grams())
                .toList();
        double cost = sum(stocks, shares, Stock::minorPerKg) * wanted.grams() / 1000;
        List<String> binds = new ArrayList<>();
        if (sum(stocks, shares, Stock::crust) > wanted.mostCrust() - CLOSE && wanted.mostCrust() < 1) {
            binds.add("No more crust than %s.".formatted(share(wanted.mostCrust())));
        }
        if (sum(stocks, shares, Stock::agedFat) > wanted.mostAgedFat() - CLOSE && wanted.mostAgedFat() < 1) {
            binds.add("No more aged fat than %s.".formatted(share(wanted.mostAgedFat())));
        }
        for (int stock = 0; stock < shares.length; stock++) {
            if (grams.get(stock) > stocks.get(stock).grams() - CLOSE * wanted.grams()
                    && stocks.get(stock).grams() > 0) {
                binds.add("All of %s is in it.".formatted(stocks.get(stock).name()));
            }
        }
        return new Blend(grams, cost, List.copyOf(binds));
    }

    private static double sum(List<Stock> stocks, double[] shares, ToDoubleFunction<Stock> value) {
        return IntStream.range(0, shares.length)
                .mapToDouble(stock -> shares[stock] * value.applyAsDouble(stocks.get(stock)))
                .sum();
    }

    /** The first limit whose absence would let it be mixed; else that several are in the way. */
    private static String why(List<Stock> stocks, Wanted wanted) {
        int there = stocks.stream().mapToInt(Stock::grams).sum();
        if (there < wanted.grams()) {
            return "There is only %s for a batch of %s.".formatted(mass(there), mass(wanted.grams()));
        }
        double leanest = stocks.stream().mapToDouble(Stock::lean).max().orElse(0);
        double fattest = stocks.stream().mapToDouble(Stock::lean).min().orElse(0);
        if (wanted.lean() > leanest || wanted.lean() < fattest) {
            return "Nothing here is %s than %s lean; %s cannot be reached."
                    .formatted(
                            wanted.lean() > leanest ? "leaner" : "fatter",
                            whole(wanted.lean() > leanest ? leanest : fattest),
                            whole(wanted.lean()));
        }
        if (solvedWithout(stocks, wanted, Limit.CRUST)) {
            return "It would take more crust than %s.".formatted(share(wanted.mostCrust()));
        }
        if (solvedWithout(stocks, wanted, Limit.AGED_FAT)) {
            return "It would take more aged fat than %s.".formatted(share(wanted.mostAgedFat()));
        }
        if (solvedWithout(stocks, wanted, Limit.STOCK)) {
            return "There is too little of the %s stocks for %s lean in a batch of %s."
                    .formatted(
                            tooLittleLean(stocks, wanted) ? "lean" : "fat", whole(wanted.lean()), mass(wanted.grams()));
        }
        return "Several limits are in the way at once. Make the batch smaller, or allow more crust or aged fat.";
    }

    private static boolean solvedWithout(List<Stock> stocks, Wanted wanted, Limit limit) {
        Set<Limit> others = EnumSet.allOf(Limit.class);
        others.remove(limit);
        return solve(stocks, wanted, others).isPresent();
    }

    /** Whether the leanest that could be mixed of what is there is not lean enough. */
    private static boolean tooLittleLean(List<Stock> stocks, Wanted wanted) {
        double left = wanted.grams();
        double lean = 0;
        for (Stock stock : stocks.stream()
                .sorted((one, other) -> Double.compare(other.lean(), one.lean()))
                .toList()) {
            double taken = Math.min(left, stock.grams());
            lean += taken * stock.lean();
            left -= taken;
        }
        return lean < wanted.lean() * wanted.grams();
    }

    private static String whole(double share) {
        return String.format(Locale.ROOT, "%.0f %%", share * 100);
    }
}
