package elvaro.server.settings;

import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotNull;

/** What a kilogram of steak sells for from a day of ageing on, minor units. */
public record PriceStep(
        @NotNull @Min(value = 0, message = "A day is 0 or more.") @Max(value = 400, message = "A day is at most 400.")
        Integer fromDay,

        @NotNull
        @Min(value = 0, message = "A price is 0 or more.")
        @Max(value = 10_000_000, message = "That price is beyond reason.")
        Integer minorPerKg) {}
