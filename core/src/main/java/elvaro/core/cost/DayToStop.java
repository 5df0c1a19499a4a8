package elvaro.core.cost;

import elvaro.core.cost.SteakCost.ByProductPrices;
import elvaro.core.drying.Method;
import elvaro.core.yield.Section;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * What each further day costs and brings. Reference section 7. Money in minor units of currency.
 *
 * @param greenGrams G
 * @param method decides whether its trim is fit for grinding
 * @param fixed meat, consumables and labour: what is spent whenever it is pulled
 * @param perDay chamber and energy a day
 * @param byProducts what trim, fat and bone fetch
 * @param prices of the steaks by age; may be empty
 * @param sliceGrams steak that was taken already, and is paid for with the rest
 */
public record DayToStop(
        int greenGrams,
        Method method,
        double fixed,
        double perDay,
        ByProductPrices byProducts,
        PriceByAge prices,
        int sliceGrams) {

    /** Of a piece from which nothing was taken. */
    public DayToStop(
            int greenGrams, Method method, double fixed, double perDay, ByProductPrices byProducts, PriceByAge prices) {
        this(greenGrams, method, fixed, perDay, byProducts, prices, 0);
    }

    /**
     * One day on which it could be pulled.
     *
     * @param costPerKg (landed − credit)/P; empty where no steak is left
     * @param marginalCost what one more day costs: the steak it takes, at what steak is worth that day, and the chamber;
     *     empty on the last day looked at
     * @param margin what is left over at the day's price; empty without a price
     */
    public record Stop(int day, Optional<Double> costPerKg, Optional<Double> marginalCost, Optional<Double> margin) {}

    /** @param sections the piece on day 0, 1, 2 … */
    public List<Stop> days(List<Section> sections) {
        return java.util.stream.IntStream.range(0, sections.size())
                .mapToObj(day -> stop(day, sections))
                .toList();
    }

    private Stop stop(int day, List<Section> sections) {
        Section section = sections.get(day);
        double kilograms = (section.steak() * greenGrams + sliceGrams) / 1000;
        double net = fixed + perDay * day - credit(section);
        Optional<Double> costPerKg = kilograms > 0 ? Optional.of(net / kilograms) : Optional.empty();
        int price = prices.on(day);
        double worth = price > 0 ? price : costPerKg.orElse(0.0);
        Optional<Double> marginal = day + 1 < sections.size()
                ? Optional.of((section.steak() - sections.get(day + 1).steak()) * greenGrams / 1000 * worth + perDay)
                : Optional.empty();
        Optional<Double> margin = price > 0 ? Optional.of(price * kilograms - net) : Optional.empty();
        return new Stop(day, costPerKg, marginal, margin);
    }

    /** What the by-products of a piece that looks like this are worth. */
    private double credit(Section section) {
        return greenGrams
                / 1000.0
                * (section.crust() * Section.usableShareOfCrust(method) * byProducts.usableTrim()
                        + section.fat() * byProducts.fat()
                        + section.bone() * byProducts.bone());
    }

    /** The day on which most is left over; empty without prices. */
    public static Optional<Stop> best(List<Stop> stops) {
        return stops.stream()
                .filter(stop -> stop.margin().isPresent())
                .max(Comparator.comparingDouble(stop -> stop.margin().orElseThrow()));
    }
}
