package elvaro.server.plan;

import elvaro.core.drying.Method;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;

/**
 * Whether ageing is worth it: a piece, how many of them a year, what aged steak costs to buy, and the ways to be looked at.
 *
 * @param piece its method, days, chamber and consumables are those of each way
 */
record WorthForm(
        @NotNull @Valid ScenarioForm piece,

        @NotNull
        @Min(value = 1, message = "At least one piece a year.")
        @Max(value = 5000, message = "At most 5000 pieces a year.")
        Integer piecesAYear,

        @NotNull @Min(value = 0, message = "The price is 0 or more.") @Max(value = 10_000_000, message = "Too dear.")
        Integer boughtMinorPerKg,

        @NotNull @Size(min = 1, max = 6, message = "One to six ways.")
        List<@Valid WayForm> ways) {

    /** A way of ageing with what is bought for it. */
    record WayForm(
            @NotNull Method method,

            @NotNull @Min(value = 1, message = "At least one day.") @Max(value = 400, message = "At most 400 days.")
            Integer days,

            @NotNull
            @Min(value = 0, message = "The cost is 0 or more.")
            @Max(value = 100_000_000, message = "Too dear.")
            Integer purchaseMinor,

            @NotNull
            @Min(value = 1, message = "It lasts a year at least.")
            @Max(value = 60, message = "At most 60 years.")
            Integer lifeYears,

            @NotNull @Min(value = 0, message = "0 W or more.") @Max(value = 20_000, message = "At most 20000 W.")
            Integer watts,

            @NotNull @Min(value = 1, message = "One piece at least.") @Max(value = 500, message = "At most 500 pieces.")
            Integer atOnce,

            @NotNull @Min(value = 0, message = "The cost is 0 or more.") @Max(value = 1_000_000, message = "Too dear.")
            Integer consumablesMinor) {}
}
