package elvaro.server.first;

import elvaro.core.air.ChamberKind;
import elvaro.core.drying.Method;
import elvaro.server.shared.Answers;
import elvaro.server.treatment.TreatmentForm;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * The first piece, and where it hangs.
 *
 * @param chamberId of the chamber that is made for it
 * @param kind its air and size are usual ones until somebody says better
 * @param hungOn since when it hangs; absent for today
 * @param count how many like things it is, hung as one batch; absent for one
 * @param half the other half, which gets something; absent where it hangs whole
 * @param answers to questions the values raised, by question
 */
record FirstForm(
        @NotNull UUID chamberId,
        @NotNull(message = "Say where it hangs.") ChamberKind kind,

        @NotBlank(message = "Choose the cut.") @Size(max = 40)
        String cutCode,

        @NotNull Boolean boneIn,

        @NotNull(message = "Weigh it: the weight is needed.")
        @Min(value = 50, message = "The weight must be at least ⟦limit 50⟧.")
        @Max(value = 300_000, message = "The weight must be at most ⟦limit 300000⟧.")
        Integer grams,

        @NotNull Method method,

        @NotNull @Min(value = 1, message = "At least one day.") @Max(value = 400, message = "At most 400 days.")
        Integer days,

        @Nullable @Min(value = 0, message = "The price is 0 or more.") @Max(value = 10_000_000, message = "Too dear.")
        Integer priceMinorPerKg,

        @Nullable LocalDate hungOn,

        @Nullable
        @Min(value = 1, message = "A batch is of one at least.")
        @Max(value = 26, message = "At most 26 in a batch.")
        Integer count,

        @Nullable @Valid TreatedHalf half,
        @NotNull @Size(max = Answers.MOST) Map<String, String> answers) {

    /**
     * The half that gets something; the other is its control.
     *
     * @param waitTogether whether the control waits where this one is soaked first; absent for no
     */
    record TreatedHalf(
            @NotNull(message = "Weigh the other half too.")
            @Min(value = 50, message = "The weight must be at least ⟦limit 50⟧.")
            @Max(value = 300_000, message = "The weight must be at most ⟦limit 300000⟧.")
            Integer grams,

            @NotNull @Valid TreatmentForm treatment,
            @Nullable Boolean waitTogether) {}

    /** All that came in, g. */
    int received() {
        return grams + (half == null ? 0 : half.grams());
    }
}
