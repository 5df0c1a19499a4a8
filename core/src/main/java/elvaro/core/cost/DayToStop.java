package elvaro.core.cost;

import elvaro.core.cost.SteakCost.ByProductPrices;
import elvaro.core.drying.Method;
import elvaro.core.yield.Section;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * What each further day costs and brings. Reference section 7. Money in minor units of currency.
 *
 * @param greenGrams G
 * @param method decides whether its trim is fit for grinding
 * @param fixed meat, consumables and labour of a piece: what is spent whenever it is pulled; empty where the price of the
 *     meat is not known
 * @param perDay chamber and energy a day
 * @param byProducts what trim, fat and bone fetch
 * @param prices of the steaks by age; may be empty
 * @param sliceGrams steak that was taken already, and is paid for with the rest
 * @param labourPerKg what cutting a kilogram of steak costs
 */
public record DayToStop(
        int greenGrams,
        Method method,
        OptionalDouble fixed,
        double perDay,
        ByProductPrices byProducts,
        PriceByAge prices,
        int sliceGrams,
        double labourPerKg) {

    /** Of a piece from which nothing was taken, at a bench that is paid by the piece. */
    public DayToStop(
            int greenGrams, Method method, double fixed, double perDay, ByProductPrices byProducts, PriceByAge prices) {
        this(greenGrams, method, OptionalDouble.of(fixed), perDay, byProducts, prices, 0, 0);
    }

    /**
     * One day on which it could be pulled.
     *
     * @param costPerKg (landed − credit)/P; empty where no steak is left, or the price of the meat is not known
     * @param marginalCost what one more day costs: the steak it takes, at what steak is worth that day, and the chamber;
     *     empty on the last day looked at, and where nobody knows what steak is worth
     * @param margin what is left over at the day's price; empty without either price
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
        Optional<Double> net = fixed.isEmpty()
                ? Optional.empty()
                : Optional.of(fixed.getAsDouble()
                        + labourPerKg * (section.steak() * greenGrams) / 1000
                        + perDay * day
                        - credit(section));
        Optional<Double> costPerKg = kilograms > 0 ? net.map(spent -> spent / kilograms) : Optional.empty();
        int price = prices.on(day);
        Optional<Double> worth = price > 0 ? Optional.of((double) price) : costPerKg;
        Optional<Double> marginal = day + 1 < sections.size()
                ? worth.map(
                        each -> (section.steak() - sections.get(day + 1).steak()) * greenGrams / 1000 * each + perDay)
                : Optional.empty();
        Optional<Double> margin = price > 0 ? net.map(spent -> price * kilograms - spent) : Optional.empty();
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
