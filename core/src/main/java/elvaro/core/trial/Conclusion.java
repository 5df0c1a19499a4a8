package elvaro.core.trial;

import elvaro.core.trial.Design.Flaw;
import elvaro.core.trial.Effect.Strength;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * What a trial comes to for one arm, in one line, and what weakens it.
 *
 * @param sentence of what is shown, leaning and not shown
 * @param weakenedBy flaws of the design and of tastings, in words; empty where there are none
 */
public record Conclusion(String sentence, List<String> weakenedBy) {

    /**
     * @param verdicts one for each measure
     * @param tasted what tastings said of the arm against the control, as phrases
     * @param doubts what weakened them
     */
    public static Conclusion of(
            String arm,
            String control,
            List<TrialVerdict> verdicts,
            List<Flaw> flaws,
            List<String> tasted,
            List<String> doubts) {
        List<String> parts = new ArrayList<>();
        if (!tasted.isEmpty()) {
            Stream<String> dearer = verdicts.stream()
                    .filter(verdict -> verdict.measure() == TrialMeasure.COST)
                    .map(TrialVerdict::phrase);
            parts.add(Stream.concat(tasted.stream(), dearer).collect(Collectors.joining(", ")));
        }
        measured(parts, verdicts);
        return new Conclusion(
                "%s against %s: %s.".formatted(arm, control, String.join("; ", parts)),
                Stream.concat(
                                flaws.stream()
                                        .filter(flaw -> flaw.kind() != Design.FlawKind.ANECDOTE)
                                        .map(Flaw::sentence),
                                doubts.stream())
                        .toList());
    }

    private static void measured(List<String> parts, List<TrialVerdict> verdicts) {
        if (verdicts.isEmpty()) {
            return;
        }
        if (verdicts.stream().allMatch(verdict -> verdict.strength() == Strength.ANECDOTE)) {
            parts.add("an anecdote, nothing was done twice: " + told(verdicts, verdict -> true));
            return;
        }
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

    private static void add(List<String> parts, String word, List<TrialVerdict> verdicts, Strength strength) {
        String told = told(verdicts, verdict -> verdict.strength() == strength);
        if (!told.isEmpty()) {
            parts.add(word + " " + told);
        }
    }

    private static String told(List<TrialVerdict> verdicts, Predicate<TrialVerdict> which) {
        return verdicts.stream().filter(which).map(Conclusion::direction).collect(Collectors.joining(", "));
    }

    private static String direction(TrialVerdict verdict) {
        return verdict.measure() == TrialMeasure.COST
                ? (verdict.effect().value() < 0 ? "a cheaper steak" : "a dearer steak")
                : verdict.phrase();
    }
}
