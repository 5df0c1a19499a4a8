package elvaro.core.trial;

import static elvaro.core.working.Quantity.price;

import elvaro.core.trial.Effect.Strength;
import java.util.Locale;
import java.util.Optional;

/**
 * What a trial showed in one measure, in words. It never says that two arms are equal.
 *
 * @param phrase for a line that has more to tell: {@code less shrink}, {@code 1.90 EUR a kg dearer}
 */
public record TrialVerdict(
        TrialMeasure measure, Effect effect, Optional<Band> band, Strength strength, String phrase, String sentence) {

    private static final double LEVEL = 0.8;

    /** One in which more is more of a loss, or of a gain, in points of the green weight. */
    public static TrialVerdict of(TrialMeasure measure, Effect effect, String arm, String control) {
        String sentence = "%s: %s %s points %s than %s%s. %s"
                .formatted(
                        capital(measure.label()),
                        arm,
                        points(Math.abs(effect.value())),
                        effect.value() < 0 ? "less" : "more",
                        control,
                        interval(effect),
                        said(effect.strength()));
        String phrase = "%s %s".formatted(effect.value() < 0 ? "less" : "more", measure.label());
        return new TrialVerdict(measure, effect, effect.band(LEVEL), effect.strength(), phrase, sentence);
    }

    /**
     * The cost.
     *
     * @param effect on the natural logarithm of the cost of a kilogram of steak
     * @param minorPerKg how much dearer the arm's steak was, minor units of the currency
     */
    public static TrialVerdict ofCost(Effect effect, double minorPerKg, String arm, String control) {
        String interval = effect.band(LEVEL)
                .map(band -> " (80 %%: %s to %s)".formatted(change(band.low()), change(band.high())))
                .orElse("");
        String phrase = "%s %s".formatted(price(Math.abs(minorPerKg)), minorPerKg < 0 ? "cheaper" : "dearer");
        String sentence = "Cost: %s %s than %s, %s%s. %s"
                .formatted(arm, phrase, control, change(effect.value()), interval, said(effect.strength()));
        return new TrialVerdict(TrialMeasure.COST, effect, effect.band(LEVEL), effect.strength(), phrase, sentence);
    }

    private static String interval(Effect effect) {
        return effect.band(LEVEL)
                .map(band -> " (80 %%: %s to %s)".formatted(signed(band.low()), signed(band.high())))
                .orElse("");
    }

    private static String said(Strength strength) {
        return switch (strength) {
            case SHOWN -> "A difference is shown.";
            case LEANING -> "It leans that way; more pairs would tell.";
            case NOT_SHOWN -> "No difference is shown, which is not to say there is none.";
            case ANECDOTE -> "An anecdote: nothing was done twice.";
        };
    }

    private static String capital(String label) {
        return label.substring(0, 1).toUpperCase(Locale.ROOT) + label.substring(1);
    }

    private static String points(double fraction) {
        return String.format(Locale.ROOT, "%.1f", fraction * 100);
    }

    private static String signed(double fraction) {
        return String.format(Locale.ROOT, "%+.1f", fraction * 100).replace('-', '−');
    }

    private static String change(double log) {
        return String.format(Locale.ROOT, "%+.0f %%", (Math.exp(log) - 1) * 100).replace('-', '−');
    }
}
