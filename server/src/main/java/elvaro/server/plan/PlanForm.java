package elvaro.server.plan;

import elvaro.core.drying.Coating;
import elvaro.core.drying.Method;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * A purchase that is planned.
 *
 * @param version 0 for a new one, else what the person saw
 * @param name what it is for
 * @param greenGrams weight of one piece
 * @param hangOn the day it is bought and hung
 */
public record PlanForm(
        @NotNull UUID id,
        @NotNull Integer version,

        @NotBlank(message = "Give the plan a name: what is it for?") @Size(max = 80, message = "The name is too long.")
        String name,

        @NotBlank(message = "Choose the cut.") @Size(max = 40)
        String cutCode,

        @NotNull Boolean boneIn,

        @NotNull
        @Min(value = 0, message = "Fat cover is ⟦length 0⟧ or more.")
        @Max(value = 80, message = "Fat cover above ⟦length 80⟧ is not a cover.")
        Integer fatCoverMm,

        @NotNull
        @Min(value = 1, message = "At least one piece.")
        @Max(value = 26, message = "At most 26 pieces from one lot.")
        Integer pieces,

        @NotNull
        @Min(value = 50, message = "The weight must be at least ⟦limit 50⟧.")
        @Max(value = 300_000, message = "The weight must be at most ⟦limit 300000⟧.")
        Integer greenGrams,

        @NotNull Method method,
        @NotNull Coating coating,
        @Nullable @Min(1) @Max(100) Integer contactPercent,
        @NotNull(message = "Choose the chamber.") UUID chamberId,
        @NotNull(message = "On which day is it hung?") LocalDate hangOn,

        @NotNull @Min(value = 1, message = "At least one day.") @Max(value = 400, message = "At most 400 days.")
        Integer targetDays,

        @NotNull @Min(value = 0, message = "The price is 0 or more.") @Max(value = 10_000_000, message = "Too dear.")
        Integer priceMinorPerKg,

        @NotNull @Min(value = 0, message = "The cost is 0 or more.") @Max(value = 10_000_000, message = "Too dear.")
        Integer consumablesMinor) {}
