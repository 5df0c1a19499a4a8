package elvaro.core.cost;

import static elvaro.core.working.Quantity.money;

import elvaro.core.working.Working;

/**
 * What a piece cost by the time it is cut, in minor units of the workshop's currency. Reference section 1.
 *
 * @param meat green weight at its price
 * @param consumables bag, salt, cloth, twine
 * @param chamber the piece's share of what the chamber cost, written off over its life
 * @param energy the piece's share of the chamber's energy
 * @param labour time at the bench
 */
public record LandedCost(double meat, double consumables, double chamber, double energy, double labour) {

    /** What a chamber costs a day: written off evenly over its life, and running. */
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
     * @param greenGrams G
     * @param priceMinorPerKg price of the meat
     * @param consumablesMinor bought for this piece
     * @param chamber what its chamber costs a day
     * @param loadShare the piece's share of what hung in the chamber while it hung, 0–1
     * @param days how long it hung, 0 or more
     * @param labourMinor time at the bench
     */
    public static LandedCost of(
            int greenGrams,
            double priceMinorPerKg,
            double consumablesMinor,
            ChamberRate chamber,
            double loadShare,
            double days,
            double labourMinor) {
        if (!(loadShare >= 0 && loadShare <= 1) || !(days >= 0)) {
            throw new IllegalArgumentException("A share lies between 0 and 1 and days are 0 or more");
        }
        return new LandedCost(
                greenGrams / 1000.0 * priceMinorPerKg,
                consumablesMinor,
                chamber.writeOffPerDay() * loadShare * days,
                chamber.energyPerDay() * loadShare * days,
                labourMinor);
    }

    public double total() {
        return meat + consumables + chamber + energy + labour;
    }

    public Working working() {
        return new Working(
                "Landed cost",
                "meat + consumables + chamber share + energy + labour",
                "%s + %s + %s + %s + %s = %s"
                        .formatted(
                                money(meat),
                                money(consumables),
                                money(chamber),
                                money(energy),
                                money(labour),
                                money(total())),
                "Reference, section 1");
    }
}
