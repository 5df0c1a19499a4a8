package elvaro.server.carcass;

import elvaro.core.drying.Method;
import elvaro.core.game.Part;
import elvaro.server.shared.Answers;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * A part that is cut off.
 *
 * @param asItIs whether it is packed whole and trimmed later: all of it goes onto the pile of roasts
 * @param chamberId where it hangs further; absent for the bench, as method and days
 * @param meatCelsius of it as it is laid on ice
 * @param outsideCelsius of the air round the chest
 */
record CutOffForm(
        @NotNull(message = "Touch a part.") Part part,

        @NotNull(message = "Weigh it.")
        @Min(value = 20, message = "A part weighs at least ⟦limit 20⟧.")
        @Max(value = 300_000, message = "A part weighs at most ⟦limit 300000⟧.")
        Integer grams,

        @NotNull Boolean asItIs,
        @Nullable UUID chamberId,
        @Nullable Method method,

        @Nullable @Min(value = 1, message = "At least one day.") @Max(value = 200, message = "At most 200 days.")
        Integer days,

        @Nullable @Min(value = -5, message = RANGE) @Max(value = 45, message = RANGE)
        Double meatCelsius,

        @Nullable @Min(value = -30, message = RANGE) @Max(value = 45, message = RANGE)
        Double outsideCelsius,

        @NotNull @Size(max = Answers.MOST) Map<String, String> answers) {
    private static final String RANGE = "The temperature is out of range.";
}
