package elvaro.server.hanging;

import elvaro.server.shared.Answers;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * A piece that waited, as it is hung.
 *
 * @param greenGrams what it weighs now, after what was done to it
 * @param hungOn the day it was hung; absent for now
 * @param answers to questions it raised, by question
 */
public record HungForm(
        @NotNull(message = "Weigh it as it hangs.")
        @Min(value = 20, message = "A piece weighs at least ⟦limit 20⟧.")
        @Max(value = 1_000_000, message = "A piece weighs at most ⟦limit 1000000⟧.")
        Integer greenGrams,

        @NotNull(message = "Choose the chamber it hangs in.")
        UUID chamberId,

        @NotNull(message = "Say for how many days.")
        @Min(value = 1, message = "At least one day.")
        @Max(value = 400, message = "At most 400 days.")
        Integer targetDays,

        @Nullable LocalDate hungOn,
        @NotNull @Size(max = Answers.MOST) Map<String, String> answers) {}
