package elvaro.server.stock;

import elvaro.core.ledger.DiscardCause;
import elvaro.core.ledger.Stream;
import elvaro.server.shared.Answers;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotEmpty;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * What a pack gave that was frozen untrimmed, once it was thawed and cleaned.
 *
 * @param answers to questions the weights raised, by question
 */
record CleaningForm(
        @NotEmpty(message = "Weigh what it gave.") @Size(max = 20, message = "At most twenty piles.")
        List<@Valid CleanedPile> piles,

        @NotNull @Size(max = Answers.MOST) Map<String, String> answers) {

    /**
     * One pile.
     *
     * @param steaks how many, of steaks only
     * @param cause why it is thrown away, of what is thrown away only
     * @param name of the house's own
     */
    record CleanedPile(
            @NotNull(message = "Say which pile it is.") Stream stream,

            @NotNull
            @Min(value = 1, message = "Enter what the scale shows.")
            @Max(value = 100_000, message = "A pack weighs at most ⟦limit 100000⟧.")
            Integer grams,

            @Nullable @Min(0) @Max(500) Integer steaks,
            @Nullable DiscardCause cause,

            @Nullable @Size(max = 40, message = "The name is too long.")
            String name) {}
}
