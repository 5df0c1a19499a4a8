package elvaro.server.treatment;

import elvaro.server.shared.Answers;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * A step that was done.
 *
 * @param number of the step, from 0
 * @param meatCelsius of the meat, where it was measured
 * @param feltCold whether somebody touched it and found it cold; absent where nobody did
 * @param minutes of smoke, of what is smoked in bursts only
 * @param on the day it was done, where it is told afterwards; absent for now
 * @param last whether nothing more of the treatment is to come; absent for no
 */
public record StepForm(
        @NotNull Integer number,

        @Nullable
        @Min(value = -30, message = "The temperature is out of range.")
        @Max(value = 60, message = "The temperature is out of range.")
        Double meatCelsius,

        @Nullable Boolean feltCold,

        @Nullable
        @Min(value = 1, message = "At least one minute of smoke.")
        @Max(value = 10_000, message = "That is more smoke than any piece gets.")
        Integer minutes,

        @Nullable LocalDate on,
        @Nullable Boolean last,

        @NotNull @Size(max = 1000, message = "The note is too long.")
        String words,

        @NotNull @Size(max = Answers.MOST) Map<String, String> answers) {

    boolean isLast() {
        return Boolean.TRUE.equals(last);
    }
}
