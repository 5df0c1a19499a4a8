package elvaro.core.cost;

import java.util.List;

/**
 * What a kilogram of steak sells for by the days it hung.
 *
 * @param steps by day, ascending; a step holds until the next. Empty where nothing is sold
 */
public record PriceByAge(List<Step> steps) {
    public static final PriceByAge NONE = new PriceByAge(List.of());

    /**
     * @param fromDay the first day it holds, 0 or more
     * @param minorPerKg minor units of currency, 0 or more
     */
    public record Step(int fromDay, int minorPerKg) {}

    public PriceByAge {
        for (int index = 0; index < steps.size(); index++) {
            if (steps.get(index).fromDay() < 0 || steps.get(index).minorPerKg() < 0) {
                throw new IllegalArgumentException("Days and prices are 0 or more");
            }
            if (index > 0 && steps.get(index).fromDay() <= steps.get(index - 1).fromDay()) {
                throw new IllegalArgumentException("The days of a price list ascend");
            }
        }
        steps = List.copyOf(steps);
    }

    /** One price for every age; none at 0. */
    public static PriceByAge flat(int minorPerKg) {
        return minorPerKg == 0 ? NONE : new PriceByAge(List.of(new Step(0, minorPerKg)));
    }

    public boolean isEmpty() {
        return steps.isEmpty();
    }

    /** Minor units a kg on a day; 0 before the first step. */
    public int on(double day) {
        int price = 0;
        for (Step step : steps) {
            if (day >= step.fromDay()) {
                price = step.minorPerKg();
            }
        }
        return price;
    }
}
