package elvaro.server.hanging;

import elvaro.core.cost.LandedCost;
import elvaro.core.cost.SteakCost;
import elvaro.server.settings.WorkshopSettings;
import org.jspecify.annotations.Nullable;

/**
 * What a piece cost, in minor units.
 *
 * @param total absent where the price of the meat is not known
 * @param besides all but the meat
 * @param besidesPerKg the same on each kilogram of the green weight: what ageing adds to the price of the meat
 * @param perKgSteak also the price at which it breaks even; absent where there is no steak yet, or no price
 * @param priceForMargin what to ask for the workshop's target margin
 * @param marginAtList share of the list price left over, where there is a list price
 */
public record CostView(
        LandedCost landed,
        @Nullable Double total,
        double besides,
        double besidesPerKg,
        double credit,
        @Nullable Double perKgSteak,
        @Nullable Double priceForMargin,
        @Nullable Double marginAtList) {
    public static CostView of(LandedCost landed, SteakCost steak, int greenGrams, WorkshopSettings settings) {
        int list = settings.steakPriceMinorPerKg();
        return new CostView(
                landed,
                landed.total().orElse(null),
                landed.besides(),
                landed.besidesPerKilogram(greenGrams),
                steak.credit(),
                steak.perKilogram().orElse(null),
                steak.priceFor(settings.targetMarginPercent() / 100.0).orElse(null),
                list > 0 ? steak.marginAt(list).orElse(null) : null);
    }
}
