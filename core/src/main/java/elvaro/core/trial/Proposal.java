package elvaro.core.trial;

import elvaro.core.treatment.Dose;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Pattern;

/**
 * What to change next time in one arm, and why: what people said of it first, then the meat it cost, then the
 * label, then what the trial showed. Common practice, no source.
 *
 * @param less true for less of it, false for more; empty to do it again as it was
 * @param reason in a sentence
 */
public record Proposal(Optional<Boolean> less, String reason) {
    private static final Pattern TOO_MUCH = Pattern.compile(
            "\\b(too (sweet|strong|salty|sour|bitter|smoky|much)|overpower\\w*|overwhelm\\w*|covers|bitter|less of)\\b");
    private static final Pattern TOO_LITTLE = Pattern.compile(
            "\\b(faint\\w*|too (weak|little)|barely|hardly|not notice\\w*|nobody notice\\w*|more of|stronger next)\\b");

    /**
     * @param arm its name
     * @param words what was written of it, at tables and in what was learnt
     * @param otherwise what to do next time where it cost meat, a sentence; empty where it cost none
     * @param timesLabel how many times the dose on the label it was, 1 where there is no label
     * @param strength of what was asked; empty while it is not known
     */
    public static Proposal of(
            String arm,
            List<String> words,
            Optional<String> otherwise,
            double timesLabel,
            Optional<Strength> strength) {
        Optional<String> much = said(TOO_MUCH, words);
        if (much.isPresent()) {
            return new Proposal(Optional.of(true), "It was said of %s: “%s”.".formatted(arm, much.get()));
        }
        Optional<String> little = said(TOO_LITTLE, words);
        if (little.isPresent()) {
            return new Proposal(Optional.of(false), "It was said of %s: “%s”.".formatted(arm, little.get()));
        }
        if (otherwise.isPresent()) {
            return new Proposal(Optional.empty(), "It cost meat. Next time: %s".formatted(otherwise.get()));
        }
        if (timesLabel > Dose.LABEL_TIMES) {
            return new Proposal(
                    Optional.of(true), "It was %d times what the label says.".formatted(Math.round(timesLabel)));
        }
        return strength.map(Proposal::again)
                .orElseGet(() -> new Proposal(Optional.empty(), "What it does is not known yet."));
    }

    private static Proposal again(Strength strength) {
        return switch (strength) {
            case SHOWN -> new Proposal(Optional.empty(), "A difference was shown; what holds again holds.");
            case LEANING -> new Proposal(Optional.empty(), "It leans; the same again would tell.");
            case ANECDOTE ->
                new Proposal(Optional.empty(), "It was done once; the same again makes it more than a tale.");
            case NOT_SHOWN ->
                new Proposal(Optional.of(false), "No difference was shown; more of it would show one sooner.");
        };
    }

    /** The clause of what was said that says so. */
    private static Optional<String> said(Pattern pattern, List<String> words) {
        return words.stream()
                .flatMap(each -> Pattern.compile("[.;,!?\\n]").splitAsStream(each))
                .map(String::strip)
                .filter(clause ->
                        pattern.matcher(clause.toLowerCase(Locale.ROOT)).find())
                .findFirst();
    }
}
