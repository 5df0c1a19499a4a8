package elvaro.core.cost;

import elvaro.core.cost.LandedCost.ChamberRate;
import elvaro.core.cost.LoadHistory.Stay;
import elvaro.core.cost.SteakCost.ByProductPrices;
import elvaro.core.ledger.Ledger;
import java.util.OptionalDouble;
import org.jspecify.annotations.Nullable;

/**
 * What one piece cost, put together from what was spent, its share of its chamber and what its by-products are worth.
 *
 * @param landed all that was spent
 * @param steak what a kilogram of its steak cost, of use once it is cut
 * @param perDay what its chamber costs it a day, minor units
 * @param days it hung
 */
public record PieceCost(LandedCost landed, SteakCost steak, double perDay, long days) {

    /**
     * What was spent on it alone; minor units.
     *
     * @param meat its share of what was paid for the lot; empty where the price is not known
     * @param labour what the work at the bench costs, of use once it is cut
     * @param steaks as counted, 0 where nobody counted them
     */
    public record Spent(OptionalDouble meat, double consumables, Labour labour, int steaks) {}

    /**
     * @param rate what its chamber costs
     * @param stay its own; absent for a piece that did not hang, which has no share of a chamber
     * @param history of the chamber, the stay among it; absent likewise
     */
    public static PieceCost of(
            Spent spent,
            ChamberRate rate,
            @Nullable Stay stay,
            @Nullable LoadHistory history,
            Ledger ledger,
            ByProductPrices prices) {
        boolean hung = stay != null && history != null;
        double share = hung ? history.share(stay) : 0;
        long days = hung ? stay.days() : 0;
        double labour = spent.labour().of(spent.steaks(), ledger.piles().steak());
        LandedCost landed = LandedCost.of(spent.meat(), spent.consumables(), rate, share, days, labour);
        return new PieceCost(
                landed, SteakCost.of(landed, ledger.piles(), ledger.slices(), prices), rate.perDay(share), days);
    }
}
