package elvaro.core.trial;

import elvaro.core.trial.Design.Flaw;
import elvaro.core.trial.Design.FlawKind;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * What a trial comes to for one arm, to be read aloud, and what weakens it.
 *
 * @param arm its name
 * @param sentence what was asked and what the answer is
 * @param more what else is to be learnt: where the meat went, what was said at the table
 * @param weakenedBy flaws of the design and of tastings, in words; empty where there are none
 */
public record Conclusion(String arm, String sentence, List<String> more, List<String> weakenedBy) {

    /**
     * @param asked in the measure that was named beforehand; empty where it is not known yet
     * @param missing why it is not known
     * @param lesson from what was thrown away
     * @param tasted what tastings said of the arm against the control, in sentences
     * @param doubts what weakened them
     */
    public static Conclusion of(
            String arm,
            Optional<TrialVerdict> asked,
            String missing,
            Optional<String> lesson,
            List<Flaw> flaws,
            List<String> tasted,
            List<String> doubts) {
        return new Conclusion(
                arm,
                asked.map(verdict -> "%s %s".formatted(verdict.sentence(), verdict.surety()))
                        .orElse(missing),
                Stream.concat(lesson.stream(), tasted.stream()).toList(),
                Stream.concat(
                                flaws.stream()
                                        .filter(flaw -> flaw.kind() != FlawKind.ANECDOTE)
                                        .map(Flaw::sentence),
                                doubts.stream())
                        .toList());
    }
}
