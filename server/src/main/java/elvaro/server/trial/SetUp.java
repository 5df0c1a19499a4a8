package elvaro.server.trial;

import elvaro.core.drying.Method;
import elvaro.core.yield.BenchOrder;
import elvaro.server.treatment.TreatmentForm;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotNull;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * What is done with the pieces of an arm.
 *
 * @param contactPercent share of a membrane that touches meat, if somebody looked
 * @param consumablesMinor what bag, seal or salt cost for each piece
 * @param benchOrder how they are to be cut; absent to decide at the bench
 * @param treatment absent for a plain arm
 */
record SetUp(
        @NotNull(message = "Say how the arm is aged.") Method method,
        @NotNull(message = "Choose the chamber.") UUID chamberId,

        @NotNull(message = "Say for how many days.")
        @Min(value = 1, message = "At least one day.")
        @Max(value = 400, message = "At most 400 days.")
        Integer targetDays,

        @Nullable
        @Min(value = 1, message = "Contact is 1 to 100 % of the film.")
        @Max(value = 100, message = "Contact is 1 to 100 % of the film.")
        Integer contactPercent,

        @NotNull @Min(value = 0, message = "The cost is 0 or more.") @Max(value = 10_000_000, message = "Too dear.")
        Integer consumablesMinor,

        @Nullable BenchOrder benchOrder,
        @Nullable @Valid TreatmentForm treatment) {

    /** For how many days its treatment goes on before a piece hangs; 0 where it hangs at once. */
    int daysBefore() {
        return treatment == null ? 0 : treatment.daysBefore();
    }

    /** The same without what belongs to one occasion: the day, the coat's weight, what was answered. */
    SetUp kept() {
        return new SetUp(
                method,
                chamberId,
                targetDays,
                contactPercent,
                consumablesMinor,
                benchOrder,
                treatment == null ? null : treatment.changed(treatment.amount(), treatment.number()));
    }
}
