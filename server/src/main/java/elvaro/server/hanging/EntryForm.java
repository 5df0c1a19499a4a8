package elvaro.server.hanging;

import elvaro.core.ledger.DiscardCause;
import elvaro.core.ledger.LogFact.LogFactKind;
import elvaro.core.ledger.Stream;
import elvaro.server.shared.Answers;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.Instant;
import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * Something to be written into a piece's log.
 *
 * @param grams what the scale showed; 0 where nothing was weighed
 * @param stream the pile, for a pile only
 * @param words what is to be said about it
 * @param at when it happened, if not now
 * @param corrects the entry this one stands in for
 * @param answers to questions the weight raised, by question
 * @param steaks how many the container held, for the pile of steaks only; 0 for ends and roasts
 * @param cause why it is thrown away, for what is thrown away only
 * @param estimated whether there was no scale at the pull; absent for no
 * @param pile what the house calls it, for a pile only: lean, medium, fat belly
 * @param untrimmed whether what lies there is trimmed and weighed again later, for a pile only; absent for no
 * @param sentAt what the clock of the device shows as it is sent; {@code at} is then by that clock, however wrong it runs
 */
public record EntryForm(
        @NotNull LogFactKind kind,

        @NotNull(message = "The weight is needed.")
        @Min(value = 0, message = "A weight is ⟦limit 0⟧ or more.")
        @Max(value = 1_000_000, message = "That is more than ⟦limit 1000000⟧.")
        Integer grams,

        @Nullable Stream stream,

        @NotNull @Size(max = 2000, message = "The note is too long.")
        String words,

        @Nullable Instant at,
        @Nullable UUID corrects,
        @NotNull @Size(max = Answers.MOST) Map<String, String> answers,

        @Nullable
        @Min(value = 0, message = "There are no fewer than 0 steaks.")
        @Max(value = 500, message = "That is more steaks than a container holds.")
        Integer steaks,

        @Nullable DiscardCause cause,
        @Nullable Boolean estimated,

        @Nullable @Size(max = 40, message = "The name of the pile is too long.")
        String pile,

        @Nullable Boolean untrimmed,
        @Nullable Instant sentAt) {

    /** An entry that counts no steaks and throws nothing away. */
    public EntryForm(
            LogFactKind kind,
            Integer grams,
            @Nullable Stream stream,
            String words,
            @Nullable Instant at,
            @Nullable UUID corrects,
            Map<String, String> answers) {
        this(kind, grams, stream, words, at, corrects, answers, null, null, null, null, null, null);
    }
}
