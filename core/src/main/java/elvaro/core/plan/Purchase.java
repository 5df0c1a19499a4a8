package elvaro.core.plan;

import elvaro.core.cut.Cut;
import java.util.Optional;
import java.util.function.IntFunction;

/**
 * What to buy for a table: pieces and green weight that give enough steaks four times in five. Reference section 7. Every
 * piece is taken at the lower end at once, as pieces of one lot come out alike.
 *
 * @param pieces how many to hang
 * @param greenGramsEach weight of each, rounded up to 10 g
 * @param portionsEach steaks one gives, four times in five
 * @param expected the day each is pulled, as forecast
 */
public record Purchase(int pieces, int greenGramsEach, int portionsEach, Outlook.OutlookDay expected) {
    private static final int MOST_PIECES = 60;
    private static final int ROUNDING = 10;

    /**
     * @param portions steaks wanted, 1 or more
     * @param gramsEach weight of a steak, above 0
     */
    public record Table(int portions, int gramsEach) {
        public Table {
            if (portions < 1 || gramsEach < 1) {
                throw new IllegalArgumentException("A table has portions, and a portion weighs something");
            }
        }

        /** Whole steaks one piece gives. */
        int steaks(double steakGrams) {
            return (int) Math.floor(steakGrams / gramsEach + 1e-9);
        }
    }

    /**
     * The fewest pieces of the cut's usual weight, and the least weight of each.
     *
     * @param table who is to be fed
     * @param cut what is bought
     * @param pulled the outlook of a piece of a green weight on the day it is pulled
     * @return empty where even {@value #MOST_PIECES} of the largest are too little
     */
    public static Optional<Purchase> forTable(Table table, Cut cut, IntFunction<Outlook.OutlookDay> pulled) {
        int largest = table.steaks(sure(pulled, cut.mostGrams()));
        if (largest == 0) {
            return Optional.empty();
        }
        int pieces = (table.portions() + largest - 1) / largest;
        if (pieces > MOST_PIECES) {
            return Optional.empty();
        }
        int portionsEach = (table.portions() + pieces - 1) / pieces;
        int low = roundedUp(cut.leastGrams());
        int high = roundedUp(cut.mostGrams());
        while (low < high) {
            int middle = low + (high - low) / 2 / ROUNDING * ROUNDING;
            if (table.steaks(sure(pulled, middle)) >= portionsEach) {
                high = middle;
            } else {
                low = middle + ROUNDING;
            }
        }
        Outlook.OutlookDay day = pulled.apply(low);
        return Optional.of(new Purchase(pieces, low, table.steaks(day.steakSure() * low), day));
    }

    private static double sure(IntFunction<Outlook.OutlookDay> pulled, int grams) {
        return pulled.apply(grams).steakSure() * grams;
    }

    private static int roundedUp(int grams) {
        return (grams + ROUNDING - 1) / ROUNDING * ROUNDING;
    }

    public int greenGrams() {
        return pieces * greenGramsEach;
    }
}
