package elvaro.server.carcass;

import jakarta.validation.constraints.DecimalMax;
import jakarta.validation.constraints.DecimalMin;
import jakarta.validation.constraints.NotNull;
import java.time.Instant;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * What was measured in an animal's core.
 *
 * @param at when, if not now
 * @param corrects the reading this one stands in for
 */
record CoreForm(
        @NotNull(message = "Say how warm its core is.")
        @DecimalMin(value = "-5", message = RANGE)
        @DecimalMax(value = "45", message = RANGE)
        Double celsius,

        @Nullable Instant at,
        @Nullable UUID corrects) {
    private static final String RANGE = "The temperature is out of range.";
}
