package elvaro.core.inspection;

import elvaro.core.inspection.Observation.Depth;
import elvaro.core.inspection.Rule.Answer;
import elvaro.core.schedule.Work;
import java.util.List;

/**
 * The answer to a look.
 *
 * @param answer what to do
 * @param because the rules it follows from, one or more
 * @param discard how much of the piece goes, where the answer is to stop; else nothing
 */
public record LookVerdict(Answer answer, List<Rule> because, Discard discard) {

    /** How much is thrown away. */
    public enum Discard {
        NOTHING,
        PART,
        WHOLE
    }

    /** Judges what was seen. */
    public static LookVerdict of(Observation seen, Circumstances at) {
        List<Rule> because = Rule.decisive(seen, at);
        Answer answer = because.get(0).answer();
        Discard discard =
                answer != Answer.STOP ? Discard.NOTHING : seen.depth() == Depth.THROUGH ? Discard.WHOLE : Discard.PART;
        return new LookVerdict(answer, because, discard);
    }

    /** The tasks it makes, each once: to stop is one as well. */
    public List<Work> work() {
        return answer == Answer.STOP
                ? List.of(Work.STOP)
                : because.stream()
                        .flatMap(rule -> rule.makes().stream())
                        .distinct()
                        .toList();
    }
}
