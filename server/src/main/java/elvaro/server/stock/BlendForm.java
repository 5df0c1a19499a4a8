package elvaro.server.stock;

import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * A batch of grind to be worked out.
 *
 * @param mostCrustPercent of the batch
 * @param mostAgedFatPercent of the batch
 */
record BlendForm(
        @NotNull
        @Min(value = 100, message = "A batch weighs at least ⟦limit 100⟧.")
        @Max(value = 1_000_000, message = "A batch weighs at most ⟦limit 1000000⟧.")
        Integer grams,

        @NotNull @Min(0) @Max(100) Integer leanPercent,
        @NotNull @Min(0) @Max(100) Integer mostCrustPercent,
        @NotNull @Min(0) @Max(100) Integer mostAgedFatPercent,

        @NotNull @Size(min = 1, max = 40, message = "One to forty stocks.")
        List<@Valid SourceForm> sources) {

    /**
     * Something to grind: a pack, or meat that is bought for it.
     *
     * @param packId whose weight and price are known; absent for bought meat
     * @param grams there is of bought meat
     */
    record SourceForm(
            @Nullable UUID packId,

            @NotBlank(message = "Every stock has a name.") @Size(max = 80, message = "The name is too long.")
            String name,

            @NotNull @Min(0) @Max(1_000_000) Integer grams,
            @NotNull @Min(0) @Max(10_000_000) Integer priceMinorPerKg,
            @NotNull @Min(0) @Max(100) Integer leanPercent,
            @NotNull @Min(0) @Max(100) Integer crustPercent) {}
}
