package elvaro.core.cost;

import static elvaro.core.working.Quantity.money;

import elvaro.core.working.Working;
import java.util.Optional;
import java.util.OptionalDouble;
import org.jspecify.annotations.Nullable;

/**
 * What a piece cost by the time it is cut, in minor units of the workshop's currency. Reference section 1.
 *
 * @param meat its share of what was paid for the lot; absent where nobody wrote the price down
 * @param consumables bag, salt, cloth, twine
 * @param chamber the piece's share of what the chamber cost, written off over its life
 * @param energy the piece's share of the chamber's energy
 * @param labour time at the bench
 */
public record LandedCost(@Nullable Double meat, double consumables, double chamber, double energy, double labour) {

    /**
     * What a chamber costs a day: written off evenly over its life, and running. A machine that would run without the meat as
     * well costs it nothing to run.
     *
     * @param watts that run for the meat alone
     */
    public record ChamberRate(double purchaseMinor, double lifeDays, double watts, double tariffMinorPerKwh) {
        double writeOffPerDay() {
            return lifeDays > 0 ? purchaseMinor / lifeDays : 0;
        }

        double energyPerDay() {
            return watts / 1000 * 24 * tariffMinorPerKwh;
        }

        /** Both together, for a piece that has this share of what hangs there. */
        public double perDay(double loadShare) {
            return (writeOffPerDay() + energyPerDay()) * loadShare;
        }
    }

    /**
     * @param meatMinor share of what was paid for the lot; empty where the price is not known
     * @param consumablesMinor bought for this piece
     * @param chamber what its chamber costs a day
     * @param loadShare the piece's share of what hung in the chamber while it hung, 0–1
     * @param days how long it hung, 0 or more
     * @param labourMinor time at the bench
     */
    public static LandedCost of(
            OptionalDouble meatMinor,
            double consumablesMinor,
            ChamberRate chamber,
            double loadShare,
            double days,
            double labourMinor) {
        if (!(loadShare >= 0 && loadShare <= 1) || !(days >= 0)) {
            throw new IllegalArgumentException("A share lies between 0 and 1 and days are 0 or more");
        }
        return new LandedCost(
                meatMinor.isPresent() ? meatMinor.getAsDouble() : null,
                consumablesMinor,
                chamber.writeOffPerDay() * loadShare * days,
                chamber.energyPerDay() * loadShare * days,
                labourMinor);
    }

    /** All that was spent; empty where the price of the meat is not known: the rest alone is no cost of anything. */
    public Optional<Double> total() {
        return Optional.ofNullable(meat).map(price -> price + besides());
    }

    /** All but the meat. */
    public double besides() {
        return consumables + chamber + energy + labour;
    }

    /**
     * What ageing adds to the price paid for the meat as it was bought.
     *
     * @param greenGrams above 0
     */
    public double besidesPerKilogram(int greenGrams) {
        return besides() / greenGrams * 1000;
    }

    public Working working() {
        return new Working(
                "Landed cost",
                "meat + consumables + chamber share + energy + labour",
                "%s + %s + %s + %s + %s = %s"
                        .formatted(
                                meat == null ? "meat of a price nobody wrote down" : money(meat),
                                money(consumables),
                                money(chamber),
                                money(energy),
                                money(labour),
                                total().map(all -> money(all)).orElse("not known")),
                "Reference, section 1");
    }
}
