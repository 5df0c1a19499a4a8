package elvaro.server.carcass;

import elvaro.core.drying.Method;
import elvaro.core.game.Part;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotNull;
import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * A part that is cut off.
 *
 * @param chamberId where it hangs further; absent for the bench, as method and days
 */
record CutOffForm(
        @NotNull(message = "Touch a part.") Part part,

        @NotNull(message = "Weigh it.")
        @Min(value = 20, message = "A part weighs at least 20 g.")
        @Max(value = 300_000, message = "A part weighs at most 300 kg.")
        Integer grams,

        @Nullable UUID chamberId,
        @Nullable Method method,

        @Nullable @Min(value = 1, message = "At least one day.") @Max(value = 200, message = "At most 200 days.")
        Integer days,

        @NotNull Map<String, String> answers) {}
