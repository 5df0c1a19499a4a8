package elvaro.server.stock;

import elvaro.core.blend.Made.Product;
import elvaro.server.shared.Answers;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * A grind or tallow that was made.
 *
 * @param grams what came out
 * @param answers to questions the weight raised
 */
record MakingForm(
        @NotNull Product product,

        @NotNull @Size(min = 1, max = 40, message = "One to forty sources.")
        List<@Valid UsedForm> sources,

        @NotNull(message = "Enter what came out.")
        @Min(value = 1, message = "Enter what came out.")
        @Max(value = 1_000_000, message = "That is more than ⟦limit 1000000⟧.")
        Integer grams,

        @NotNull @Size(max = 400, message = "Say it in fewer words.")
        String words,

        @NotNull @Size(max = Answers.MOST) Map<String, String> answers) {

    /**
     * What went in.
     *
     * @param packId it was taken out of; absent for bought meat
     * @param name of bought meat; a pack has its own
     * @param priceMinorPerKg of bought meat
     */
    record UsedForm(
            @Nullable UUID packId,

            @NotNull @Size(max = 80, message = "The name is too long.")
            String name,

            @NotNull
            @Min(value = 1, message = "Something goes in.")
            @Max(value = 1_000_000, message = "That is more than ⟦limit 1000000⟧.")
            Integer grams,

            @NotNull @Min(0) @Max(10_000_000) Integer priceMinorPerKg) {}
}
