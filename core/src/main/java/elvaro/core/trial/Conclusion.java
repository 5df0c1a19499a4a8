package elvaro.core.trial;

import elvaro.core.trial.Design.Flaw;
import elvaro.core.trial.Effect.Strength;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Predicate;
import java.util.stream.Collectors;

/**
 * What a trial comes to for one arm, in one line, and what weakens it.
 *
 * @param sentence of what is shown, leaning and not shown
 * @param weakenedBy flaws of the design, in words; empty where there are none
 */
public record Conclusion(String sentence, List<String> weakenedBy) {

    /** @param verdicts one for each measure, none empty */
    public static Conclusion of(String arm, String control, List<Verdict> verdicts, List<Flaw> flaws) {
        boolean anecdote = verdicts.stream().allMatch(verdict -> verdict.strength() == Strength.ANECDOTE);
        List<String> parts = new ArrayList<>();
        if (anecdote) {
            parts.add("an anecdote, nothing was done twice: " + told(verdicts, verdict -> true));
        } else {
            add(parts, "shown", verdicts, Strength.SHOWN);
            add(parts, "leaning to", verdicts, Strength.LEANING);
            String open = verdicts.stream()
                    .filter(verdict -> verdict.strength() == Strength.NOT_SHOWN)
                    .map(verdict -> verdict.measure().label())
                    .collect(Collectors.joining(", "));
            if (!open.isEmpty()) {
                parts.add("no difference shown in " + open);
            }
        }
        return new Conclusion(
                "%s against %s: %s.".formatted(arm, control, String.join("; ", parts)),
                flaws.stream()
                        .filter(flaw -> flaw.kind() != Design.Kind.ANECDOTE)
                        .map(Flaw::sentence)
                        .toList());
    }

    private static void add(List<String> parts, String word, List<Verdict> verdicts, Strength strength) {
        String told = told(verdicts, verdict -> verdict.strength() == strength);
        if (!told.isEmpty()) {
            parts.add(word + " " + told);
        }
    }

    private static String told(List<Verdict> verdicts, Predicate<Verdict> which) {
        return verdicts.stream().filter(which).map(Verdict::direction).collect(Collectors.joining(", "));
    }
}
