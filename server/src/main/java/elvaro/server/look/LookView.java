package elvaro.server.look;

import elvaro.core.inspection.LookVerdict;
import elvaro.core.inspection.Observation;
import elvaro.core.inspection.Rule;
import elvaro.core.ledger.LogFact;
import elvaro.core.schedule.Work;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * A look and what was answered.
 *
 * @param seen in one line
 * @param observed the same, answer by answer
 * @param work the tasks it makes
 * @param stands whether nobody took it back
 * @param photos ids of its pictures, as they came in
 */
public record LookView(
        UUID id,
        Instant at,
        String by,
        String words,
        String seen,
        Observation observed,
        Rule.Answer answer,
        LookVerdict.Discard discard,
        List<Because> because,
        List<ToDo> work,
        boolean stands,
        List<UUID> photos) {

    /**
     * Work the look made.
     *
     * @param done what is said by touching it, where the touch is all there is to say
     * @param logs what that touch writes into the log
     */
    public record ToDo(Work work, @Nullable String done, LogFact.@Nullable LogFactKind logs) {
        static ToDo of(Work work) {
            return new ToDo(work, work.done().orElse(null), work.logs().orElse(null));
        }
    }

    /** A rule as it is told. */
    public record Because(Rule rule, Rule.Answer answer, String seen, String reason) {
        static Because of(Rule rule) {
            return new Because(rule, rule.answer(), rule.seen(), rule.reason());
        }
    }
}
