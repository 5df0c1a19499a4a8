package elvaro.core.cost;

import static elvaro.core.working.Quantity.mass;
import static elvaro.core.working.Quantity.money;
import static elvaro.core.working.Quantity.price;

import elvaro.core.ledger.Piles;
import elvaro.core.ledger.Stream;
import elvaro.core.working.Working;
import java.util.Arrays;
import java.util.Optional;

/**
 * What a kilogram of steak cost, after what the by-products are worth. Reference section 1. Minor units of currency.
 *
 * @param landed all that was spent; empty where the price of the meat is not known
 * @param credit what usable trim, fat and bone are worth
 * @param steakGrams P, and what was taken as slices before the pull
 * @param eatenGrams the same with usable trim and fat
 */
public record SteakCost(Optional<Double> landed, double credit, int steakGrams, int eatenGrams) {

    /** What the by-products fetch, minor units per kg. */
    public record ByProductPrices(double usableTrim, double fat, double bone) {

        /** What a pile fetches; steaks are what is paid for, and what is thrown away fetches nothing. */
        public double of(Stream stream) {
            return switch (stream) {
                case USABLE_TRIM -> usableTrim;
                case FAT -> fat;
                case BONE -> bone;
                case STEAK, DISCARD -> 0;
            };
        }
    }

    /** @param sliceGrams steak that was taken before the pull */
    public static SteakCost of(LandedCost landed, Piles piles, int sliceGrams, ByProductPrices prices) {
        double credit = Arrays.stream(Stream.values())
                .mapToDouble(stream -> piles.of(stream) * prices.of(stream) / 1000)
                .sum();
        return new SteakCost(landed.total(), credit, piles.steak() + sliceGrams, piles.usable() + sliceGrams);
    }

    /** (landed − credit)/P, also the price at which the steaks break even; empty without steak or without a price. */
    public Optional<Double> perKilogram() {
        return steakGrams == 0 ? Optional.empty() : landed.map(spent -> (spent - credit) / steakGrams * 1000);
    }

    /** landed/(P + U + F): what a kilogram of all that is eaten cost; empty where nothing is, or without a price. */
    public Optional<Double> perKilogramEaten() {
        return eatenGrams == 0 ? Optional.empty() : landed.map(spent -> spent / eatenGrams * 1000);
    }

    /**
     * Share of the price that is left over the cost.
     *
     * @param priceMinorPerKg above 0
     */
    public Optional<Double> marginAt(double priceMinorPerKg) {
        if (!(priceMinorPerKg > 0)) {
            throw new IllegalArgumentException("A margin needs a price above 0");
        }
        return perKilogram().map(cost -> (priceMinorPerKg - cost) / priceMinorPerKg);
    }

    /**
     * Price per kg at which the given share of it is left over.
     *
     * @param margin 0 or more, below 1
     */
    public Optional<Double> priceFor(double margin) {
        if (!(margin >= 0 && margin < 1)) {
            throw new IllegalArgumentException("A margin is a share of the price, from 0 up to 1");
        }
        return perKilogram().map(cost -> cost / (1 - margin));
    }

    public Working working() {
        return new Working(
                "Cost per kg steak",
                "(landed − by-product credit) / P",
                "(%s − %s) / %s = %s"
                        .formatted(
                                landed.map(spent -> money(spent)).orElse("a price nobody wrote down"),
                                money(credit),
                                mass(steakGrams),
                                perKilogram()
                                        .map(cost -> price(cost))
                                        .orElse(steakGrams == 0 ? "no steak" : "not known")),
                "Reference, section 1");
    }
}
