package elvaro.server.treatment;

import elvaro.core.treatment.Dose;
import elvaro.core.treatment.DoseUnit;
import elvaro.core.treatment.TreatmentKind;
import elvaro.server.shared.Answers;
import elvaro.server.shared.Refusal;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * A treatment to be given to a piece.
 *
 * @param recipeId the workshop's own mixture, which then says the dose and what is in it
 * @param exactly what is used, in words
 * @param number how many days or times; absent for as usual
 * @param beganOn the day it begins; absent for today
 * @param coatGrams what was weighed on already, 0 for nothing yet
 * @param costMinor what it costs; absent to have it worked out of the recipe
 * @param minutes of smoke in all, told afterwards: then nothing more is to be done
 * @param answers to questions it raised, by question
 */
public record TreatmentForm(
        @NotNull(message = "Choose the treatment.") TreatmentKind kind,
        @Nullable UUID recipeId,

        @NotNull @Size(max = 200, message = "Say it in fewer words.")
        String exactly,

        @Nullable @Max(value = 100_000, message = "That is more than any piece takes.")
        Double amount,

        @Nullable DoseUnit measure,
        Dose.@Nullable Basis basis,
        @Nullable Integer number,
        @Nullable LocalDate beganOn,

        @NotNull
        @Min(value = 0, message = "A coat weighs ⟦limit 0⟧ or more.")
        @Max(value = 200_000, message = "Too heavy.")
        Integer coatGrams,

        @Nullable @Min(value = 0, message = "The cost is 0 or more.") @Max(value = 10_000_000, message = "Too dear.")
        Integer costMinor,

        boolean rawGarlicOrHerbs,
        boolean oil,
        boolean spirit,

        @Nullable
        @Min(value = 1, message = "At least one minute of smoke.")
        @Max(value = 10_000, message = "That is more smoke than any piece gets.")
        Integer minutes,

        @NotNull @Size(max = Answers.MOST) Map<String, String> answers) {

    /**
     * For how many days it goes on before the piece hangs; 0 for most.
     *
     * @throws Refusal if the number of days is out of range
     */
    public int daysBefore() {
        try {
            return kind.course().daysBeforeHanging(kind.course().number(number));
        } catch (IllegalArgumentException wrong) {
            throw Refusal.wrong("invalid", "number", String.valueOf(wrong.getMessage()));
        }
    }

    /** The same, begun on a day, with what was answered elsewhere. */
    public TreatmentForm beginning(LocalDate day, Map<String, String> answered) {
        return new TreatmentForm(
                kind,
                recipeId,
                exactly,
                amount,
                measure,
                basis,
                number,
                day,
                coatGrams,
                costMinor,
                rawGarlicOrHerbs,
                oil,
                spirit,
                minutes,
                answered);
    }

    /** The same with another dose and another number of days or times, for another piece. */
    public TreatmentForm changed(@Nullable Double dose, @Nullable Integer days) {
        return new TreatmentForm(
                kind,
                recipeId,
                exactly,
                dose,
                measure,
                basis,
                days,
                null,
                0,
                null,
                rawGarlicOrHerbs,
                oil,
                spirit,
                null,
                Map.of());
    }

    /** The same with other words for what is used, for another piece. */
    public TreatmentForm exactly(String words) {
        return new TreatmentForm(
                kind,
                recipeId,
                words.substring(0, Math.min(200, words.length())),
                amount,
                measure,
                basis,
                number,
                null,
                0,
                null,
                rawGarlicOrHerbs,
                oil,
                spirit,
                null,
                Map.of());
    }
}
