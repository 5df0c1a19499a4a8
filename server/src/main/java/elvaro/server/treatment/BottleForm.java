package elvaro.server.treatment;

import elvaro.core.treatment.DoseUnit;
import jakarta.validation.constraints.DecimalMin;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.NotNull;

/**
 * How much was used, told afterwards.
 *
 * @param full what was in the bottle before
 * @param left what is left of it
 */
record BottleForm(
        @NotNull(message = "Say how much was in it.")
        @DecimalMin(value = "0.01", message = "Say how much was in it.")
        @Max(value = 100_000, message = "That is more than any bottle holds.")
        Double full,

        @NotNull(message = "Say how much is left, 0 for nothing.")
        @DecimalMin(value = "0", message = "What is left is 0 or more.")
        Double left,

        @NotNull(message = "Say in what it is measured.") DoseUnit measure) {}
