package elvaro.server.hanging;

import elvaro.core.cost.LandedCost;
import elvaro.core.cost.SteakCost;
import elvaro.server.settings.WorkshopSettings;
import org.jspecify.annotations.Nullable;

/**
 * What a piece cost, in minor units.
 *
 * @param perKgSteak also the price at which it breaks even; absent where there is no steak yet
 * @param priceForMargin what to ask for the workshop's target margin
 * @param marginAtList share of the list price left over, where there is a list price
 */
public record CostView(
        LandedCost landed,
        double total,
        double credit,
        @Nullable Double perKgSteak,
        @Nullable Double priceForMargin,
        @Nullable Double marginAtList) {
    public static CostView of(LandedCost landed, SteakCost steak, WorkshopSettings settings) {
        int list = settings.steakPriceMinorPerKg();
        return new CostView(
                landed,
                landed.total(),
                steak.credit(),
                steak.perKilogram().orElse(null),
                steak.priceFor(settings.targetMarginPercent() / 100.0).orElse(null),
                list > 0 ? steak.marginAt(list).orElse(null) : null);
    }
}
