package elvaro.server.treatment;

import elvaro.core.treatment.Dose;
import elvaro.core.treatment.DoseUnit;
import elvaro.core.treatment.Recipe;
import elvaro.core.treatment.Recipe.Ingredient;
import elvaro.core.treatment.TreatmentKind;
import elvaro.server.shared.Refusal;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotEmpty;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;

/**
 * A recipe as it is written down or changed.
 *
 * @param version 0 for a new one, else what the person saw
 * @param amount grams of the whole mixture for each unit of the basis
 */
record RecipeForm(
        @NotNull Integer version,

        @NotBlank(message = "A recipe needs a name.") @Size(max = 80, message = "The name is too long.")
        String name,

        @NotNull(message = "Say what kind of treatment it is.")
        TreatmentKind kind,

        @NotNull(message = "Say how much of it a piece gets.") @Max(value = 100_000, message = "That is too much.")
        Double amount,

        Dose.@NotNull Basis basis,

        @NotEmpty(message = "A recipe has one part at least.") @Size(max = 20, message = "At most 20 parts.")
        List<@Valid PartForm> parts,

        boolean rawGarlicOrHerbs,
        boolean oil,
        boolean spirit,

        @NotNull @Size(max = 1000, message = "The note is too long.")
        String note) {

    record PartForm(
            @NotBlank(message = "Every part has a name.") @Size(max = 80, message = "That name is too long.")
            String name,

            @NotNull(message = "Say how many parts of it.") @Max(value = 100_000, message = "That is too much.")
            Double parts,

            @NotNull @Min(value = 0, message = "A price is 0 or more.") @Max(value = 10_000_000, message = "Too dear.")
            Integer priceMinorPerKg) {}

    /** @throws Refusal if a part is none */
    Recipe recipe() {
        try {
            return new Recipe(parts.stream()
                    .map(part -> new Ingredient(part.name().strip(), part.parts(), part.priceMinorPerKg()))
                    .toList());
        } catch (IllegalArgumentException wrong) {
            throw Refusal.wrong("invalid", "parts", String.valueOf(wrong.getMessage()));
        }
    }

    /** @throws Refusal if it is no dose */
    void mustBeDosed() {
        Doses.of(amount, DoseUnit.GRAM, basis);
    }
}
