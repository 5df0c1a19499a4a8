package elvaro.server.hanging;

import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotEmpty;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.UUID;

/** A batch taken apart: each of its like things with what it weighs now, coat and all. */
record ApartForm(
        @NotEmpty(message = "Weigh each of them.") @Size(max = 26, message = "At most 26 in a batch.")
        List<@Valid Thing> things) {

    /** @param id of the piece it becomes */
    record Thing(
            @NotNull UUID id,

            @NotNull(message = "Weigh each of them.")
            @Min(value = 10, message = "Each weighs at least ⟦limit 10⟧.")
            @Max(value = 200_000, message = "Each weighs at most ⟦limit 200000⟧.")
            Integer grams) {}
}
