package elvaro.server.plan;

import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import org.jspecify.annotations.Nullable;

/**
 * A lot as far as it is described while it comes in.
 *
 * @param greenGrams what it weighs, as one piece
 * @param priceMinorPerKg what was paid; absent where nobody said
 * @param packedOn when it was packed; absent where nobody said
 */
record LotAheadForm(
        @NotBlank(message = "Choose the cut.") @Size(max = 40)
        String cutCode,

        @NotNull Boolean boneIn,
        @NotNull @Min(0) @Max(80) Integer fatCoverMm,

        @NotNull
        @Min(value = 50, message = "The weight must be at least ⟦limit 50⟧.")
        @Max(value = 300_000, message = "The weight must be at most ⟦limit 300000⟧.")
        Integer greenGrams,

        @Nullable @Min(0) @Max(10_000_000) Integer priceMinorPerKg,
        @Nullable LocalDate packedOn) {}
