package elvaro.server.plan;

import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotNull;
import java.time.LocalDate;

/**
 * A table to be fed.
 *
 * @param scenario how it is to be aged; its weight is what is asked for and so of no matter
 * @param portions steaks wanted
 * @param portionGrams weight of each
 * @param servedOn the day it is pulled, cut and eaten
 */
public record TableForm(
        @NotNull @Valid ScenarioForm scenario,

        @NotNull(message = "For how many?")
        @Min(value = 1, message = "At least one portion.")
        @Max(value = 10_000, message = "At most 10,000 portions.")
        Integer portions,

        @NotNull
        @Min(value = 50, message = "A portion weighs at least ⟦limit 50⟧.")
        @Max(value = 2_000, message = "A portion weighs at most ⟦limit 2000⟧.")
        Integer portionGrams,

        @NotNull(message = "On which day?") LocalDate servedOn) {}
