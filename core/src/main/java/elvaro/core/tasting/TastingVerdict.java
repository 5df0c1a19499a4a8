package elvaro.core.tasting;

import elvaro.core.trial.Effect.Strength;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;

/**
 * What a tasting showed, in words. It never says that samples are equal.
 *
 * @param phrase for a line that has more to tell: {@code liked more by 5 of 7 (P(better) 0.86)}
 */
public record TastingVerdict(Strength strength, String phrase, String sentence) {

    static TastingVerdict of(Preference preference, String first, String second) {
        boolean forSecond = preference.second() > preference.first();
        String better = forSecond ? second : first;
        double probability = forSecond ? 1 - preference.probabilityFirstBetter() : preference.probabilityFirstBetter();
        String phrase = "liked %s by %d of %d (P(better) %s)"
                .formatted(
                        preference.first() == preference.second() ? "as much" : "more",
                        Math.max(preference.first(), preference.second()),
                        preference.decided(),
                        two(probability));
        String undecided =
                preference.undecided() == 0 ? "" : " %d liked neither more.".formatted(preference.undecided());
        return new TastingVerdict(
                preference.strength(),
                phrase,
                "%s is %s; p %s.%s %s"
                        .formatted(better, phrase, p(preference.p()), undecided, said(preference.strength())));
    }

    /** From the first one's side: {@code liked less by 5 of 7 (P(better) 0.14)}. */
    static String liking(Preference preference) {
        boolean less = preference.second() > preference.first();
        return "liked %s by %d of %d (P(better) %s)"
                .formatted(
                        less ? "less" : "more",
                        less ? preference.second() : preference.first(),
                        preference.decided(),
                        two(preference.probabilityFirstBetter()));
    }

    /** @param shift of the scores for liking */
    static String liking(double shift) {
        return "liking %s of 7".formatted(signed(shift));
    }

    static TastingVerdict of(Triangle triangle) {
        String phrase = "told apart by %d of %d".formatted(triangle.correct(), triangle.tries());
        return new TastingVerdict(
                triangle.strength(),
                phrase,
                "%d of %d found the odd one, where guessing finds a third; p %s. Between %s and %s of people notice (95 %%). %s"
                        .formatted(
                                triangle.correct(),
                                triangle.tries(),
                                p(triangle.p()),
                                percent(triangle.noticing().low()),
                                percent(triangle.noticing().high()),
                                said(triangle.strength())));
    }

    /** @param bestFirst names by their place */
    static TastingVerdict of(Friedman friedman, List<String> bestFirst) {
        String phrase = "put in the order %s".formatted(String.join(", ", bestFirst));
        return new TastingVerdict(
                friedman.strength(),
                phrase,
                String.format(
                        Locale.ROOT,
                        "Best first: %s; χ² %.2f, p %s%s. %s",
                        String.join(", ", bestFirst),
                        friedman.statistic(),
                        p(friedman.p()),
                        friedman.exact() ? "" : " (by χ²)",
                        said(friedman.strength())));
    }

    static TastingVerdict of(
            SignedRank test, double adjusted, Strength strength, String attribute, String first, String second) {
        String phrase = String.format(Locale.ROOT, "%s %+.1f of 7", attribute.toLowerCase(Locale.ROOT), test.shift())
                .replace('-', '−');
        return new TastingVerdict(
                strength,
                phrase,
                "%s: %s (%s %%: %s to %s); p %s. %s"
                        .formatted(
                                attribute,
                                apart(first, test.shift(), second),
                                percent(test.level()).replace(" %", ""),
                                signed(test.interval().low()),
                                signed(test.interval().high()),
                                p(adjusted),
                                said(strength)));
    }

    private static String apart(String first, double shift, String second) {
        return shift == 0
                ? "%s level with %s".formatted(first, second)
                : "%s %s than %s by %s".formatted(first, shift < 0 ? "lower" : "higher", second, one(Math.abs(shift)));
    }

    private static String said(Strength strength) {
        return switch (strength) {
            case SHOWN -> "A difference is shown.";
            case LEANING -> "It leans that way; more tasters would tell.";
            case NOT_SHOWN -> "No difference is shown, which is not to say there is none.";
            case ANECDOTE -> "One voice is an anecdote.";
        };
    }

    private static String p(double value) {
        return value < 0.001 ? "below 0.001" : String.format(Locale.ROOT, "%.3f", value);
    }

    private static String two(double value) {
        return String.format(Locale.ROOT, "%.2f", value);
    }

    private static String one(double value) {
        return String.format(Locale.ROOT, "%.1f", value);
    }

    private static String signed(double value) {
        return String.format(Locale.ROOT, "%+.1f", value).replace('-', '−');
    }

    private static String percent(double share) {
        return String.format(Locale.ROOT, "%.0f %%", share * 100);
    }

    /** Names by value, the greatest first. */
    static List<String> ordered(List<String> names, List<Double> values) {
        return java.util.stream.IntStream.range(0, names.size())
                .boxed()
                .sorted((one, other) -> Double.compare(values.get(other), values.get(one)))
                .map(names::get)
                .collect(Collectors.toList());
    }
}
