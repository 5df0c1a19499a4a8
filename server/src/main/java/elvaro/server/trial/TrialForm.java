package elvaro.server.trial;

import elvaro.core.trial.Factor;
import elvaro.core.trial.TrialMeasure;
import elvaro.server.shared.Answers;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * A trial to be set up: a lot to be split into the arms, or arms of pieces that hang or hung already.
 *
 * @param measure what it is to be judged by, named before anything is known
 * @param lotId the lot; absent where the pieces are there
 * @param parts weights of the parts of the lot, in the order they lie
 * @param hungOn the day they are hung; absent for today
 * @param fromId the trial it follows
 * @param protocolId the protocol of another house it follows
 * @param waitTogether whether what is not soaked waits for what is, so that all are hung on one day; absent for no
 * @param answers to questions it raised, by question
 */
record TrialForm(
        @NotBlank(message = "Put the question in words.") @Size(max = 300, message = "Ask in fewer words.")
        String question,

        @NotNull(message = "Say what is compared.") Factor factor,

        @NotNull(message = "Say what it is to be judged by.")
        TrialMeasure measure,

        @Nullable UUID lotId,

        @NotNull @Size(max = 26, message = "At most 26 pieces from one lot.")
        List<
                        @NotNull(message = "Each part needs its weight.")
                        @Min(value = 20, message = "A piece weighs at least ⟦limit 20⟧.")
                        @Max(value = 1_000_000, message = "A piece weighs at most ⟦limit 1000000⟧.") Integer>
                parts,

        @Nullable LocalDate hungOn,

        @NotNull @Size(min = 2, max = 6, message = "A trial has two to six arms.")
        List<@Valid ArmForm> arms,

        @Nullable UUID fromId,
        @Nullable UUID protocolId,

        @Nullable Boolean waitTogether,
        @NotNull @Size(max = Answers.MOST) Map<String, String> answers) {

    /** For how many days something is done before anything hangs, where all wait for it; else 0. */
    int waitsDays() {
        return Boolean.TRUE.equals(waitTogether)
                ? arms.stream()
                        .flatMap(arm -> java.util.stream.Stream.ofNullable(arm.setUp()))
                        .mapToInt(SetUp::daysBefore)
                        .max()
                        .orElse(0)
                : 0;
    }

    /**
     * An arm.
     *
     * @param setUp what is done with its pieces, where a lot is split
     * @param pieces its pieces, where they are there
     */
    record ArmForm(
            @NotNull UUID id,

            @NotBlank(message = "Every arm has a name.") @Size(max = 80, message = "The name is too long.")
            String name,

            boolean control,
            @Nullable @Valid SetUp setUp,

            @NotNull @Size(max = 26, message = "At most 26 pieces in an arm.")
            List<@NotNull UUID> pieces) {}
}
