package elvaro.server.look;

import elvaro.core.inspection.Rule;
import elvaro.core.inspection.Verdict;
import elvaro.core.schedule.Due.Work;
import java.time.Instant;
import java.util.List;
import java.util.UUID;

/**
 * A look and what was answered.
 *
 * @param seen in one line
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
        Rule.Answer answer,
        Verdict.Discard discard,
        List<Because> because,
        List<Work> work,
        boolean stands,
        List<UUID> photos) {

    /** A rule as it is told. */
    public record Because(Rule rule, Rule.Answer answer, String seen, String reason) {
        static Because of(Rule rule) {
            return new Because(rule, rule.answer(), rule.seen(), rule.reason());
        }
    }
}
