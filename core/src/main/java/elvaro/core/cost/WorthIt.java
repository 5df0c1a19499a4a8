package elvaro.core.cost;

import static elvaro.core.working.Quantity.mass;
import static elvaro.core.working.Quantity.money;
import static elvaro.core.working.Quantity.price;

import elvaro.core.working.Working;
import java.util.Optional;

/**
 * Whether ageing by a way of one's own is worth it: what a kilogram of steak costs with the equipment written off over its life
 * and its energy, against buying aged meat and against the fresh piece. Money in minor units.
 *
 * @param yearly what the equipment costs a year at so many pieces, used or not: write-off and energy
 * @param perPiece meat, consumables and labour of one piece, less what its by-products are worth
 * @param steakKg of one piece, above 0
 * @param piecesAYear above 0
 * @param boughtPerKg what a kilogram of aged steak costs to buy
 * @param freshPerKg what a kilogram of steak of the same piece costs unaged
 */
public record WorthIt(
        double yearly, double perPiece, double steakKg, double piecesAYear, double boughtPerKg, double freshPerKg) {
    private static final double DAYS = 365;

    public WorthIt {
        if (!(steakKg > 0) || !(piecesAYear > 0)) {
            throw new IllegalArgumentException("There is a piece a year at least, and it gives steak");
        }
    }

    /**
     * What is bought for it.
     *
     * @param purchaseMinor once
     * @param lifeYears it lasts, above 0
     * @param watts it draws while something hangs
     * @param atOnce how many pieces hang in it together, 1 or more
     */
    public record Equipment(double purchaseMinor, double lifeYears, double watts, int atOnce) {
        public Equipment {
            if (!(lifeYears > 0) || atOnce < 1 || !(purchaseMinor >= 0) || !(watts >= 0)) {
                throw new IllegalArgumentException("Equipment lasts a while and holds a piece");
            }
        }

        /** Days of the year on which something hangs, at most all. */
        public double daysInUse(double piecesAYear, int days) {
            return Math.min(DAYS, Math.ceil(piecesAYear / atOnce) * days);
        }

        /** Write-off and energy a year. */
        public double yearly(double piecesAYear, int days, double tariffMinorPerKwh) {
            double energy = watts / 1000 * 24 * daysInUse(piecesAYear, days) * tariffMinorPerKwh;
            return purchaseMinor / lifeYears + energy;
        }
    }

    /** A kilogram of steak, equipment and all. */
    public double perKg() {
        return (perPiece + yearly / piecesAYear) / steakKg;
    }

    /** The same without the equipment. */
    public double perKgOfThePiece() {
        return perPiece / steakKg;
    }

    /** What ageing adds to a kilogram of the fresh piece. */
    public double overFresh() {
        return perKg() - freshPerKg;
    }

    /** What is saved in a year against buying as much aged steak; below 0 it costs more. */
    public double savedAYear() {
        return piecesAYear * steakKg * (boughtPerKg - perKg());
    }

    /** From how many pieces a year it is cheaper than buying; empty where no number is enough. */
    public Optional<Double> breakEven() {
        double gain = boughtPerKg * steakKg - perPiece;
        return gain <= 0 ? Optional.empty() : Optional.of(yearly / gain);
    }

    public Working working() {
        return new Working(
                "Cost of a kilogram of own steak",
                "(piece + equipment a year / pieces a year) / steak",
                "(%s + %s / %s) / %s = %s"
                        .formatted(
                                money(perPiece),
                                money(yearly),
                                Math.round(piecesAYear),
                                mass(Math.round(steakKg * 1000)),
                                price(perKg())),
                "Straight-line write-off; energy by watts and days in use");
    }
}
