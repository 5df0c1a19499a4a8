package elvaro.server.treatment;

import elvaro.server.shared.Answers;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * A step that was done.
 *
 * @param number of the step, from 0
 * @param meatCelsius of the meat, where it was measured
 */
public record StepForm(
        @NotNull Integer number,

        @Nullable
        @Min(value = -30, message = "The temperature is out of range.")
        @Max(value = 60, message = "The temperature is out of range.")
        Double meatCelsius,

        @NotNull @Size(max = 1000, message = "The note is too long.")
        String words,

        @NotNull @Size(max = Answers.MOST) Map<String, String> answers) {}
