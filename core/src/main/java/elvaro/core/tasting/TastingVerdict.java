package elvaro.core.tasting;

import elvaro.core.trial.Strength;
import elvaro.core.working.Quantity;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.stream.IntStream;

/**
 * What a tasting showed, in plain words first. It never says that samples are equal.
 *
 * @param found to be read aloud: {@code 5 of 7 liked Honey better than Plain.}
 * @param statistics the same for whoever wants to check it
 */
public record TastingVerdict(Strength strength, String found, String statistics) {

    /** What was found, and how sure it is. */
    public String sentence() {
        return "%s %s".formatted(found, said(strength));
    }

    public static TastingVerdict of(Preference preference, String first, String second) {
        return new TastingVerdict(preference.strength(), found(preference, first, second), statistics(preference));
    }

    private static String found(Preference preference, String first, String second) {
        boolean forSecond = preference.second() > preference.first();
        String better = forSecond ? second : first;
        String other = forSecond ? first : second;
        String undecided =
                preference.undecided() == 0 ? "" : " %d liked neither better.".formatted(preference.undecided());
        if (preference.decided() == 0) {
            return "Nobody liked %s or %s better.".formatted(first, second);
        }
        return preference.first() == preference.second()
                ? "%d liked %s better and %d liked %s.%s"
                        .formatted(preference.first(), first, preference.second(), second, undecided)
                : "%d of %d liked %s better than %s.%s"
                        .formatted(
                                Math.max(preference.first(), preference.second()),
                                preference.decided(),
                                better,
                                other,
                                undecided);
    }

    private static String statistics(Preference preference) {
        return "Exact two-sided binomial test, one voice a taster: p %s. Between %s and %s of people like the first better (95 %%)."
                .formatted(
                        p(preference.p()),
                        percent(preference.interval().low()),
                        percent(preference.interval().high()));
    }

    static TastingVerdict of(Triangle triangle) {
        return new TastingVerdict(
                triangle.strength(),
                "%d of %d found the odd one, where guessing finds a third."
                        .formatted(triangle.correct(), triangle.tries()),
                "Exact binomial test against a third: p %s. Between %s and %s of people notice (95 %%)."
                        .formatted(
                                p(triangle.p()),
                                percent(triangle.noticing().low()),
                                percent(triangle.noticing().high())));
    }

    /** @param bestFirst names by their place */
    static TastingVerdict of(Friedman friedman, List<String> bestFirst) {
        return new TastingVerdict(
                friedman.strength(),
                "Best liked first: %s.".formatted(String.join(", ", bestFirst)),
                "Friedman's test: χ² %s, p %s%s."
                        .formatted(
                                Quantity.number(friedman.statistic(), 2),
                                p(friedman.p()),
                                friedman.exact() ? "" : " (by χ²)"));
    }

    static TastingVerdict of(
            SignedRank test, double adjusted, Strength strength, String attribute, String first, String second) {
        return new TastingVerdict(
                strength,
                "%s: %s.".formatted(attribute, apart(first, test.shift(), second)),
                "Wilcoxon's signed ranks: p %s, adjusted; %s %% from %s to %s of 7."
                        .formatted(
                                p(adjusted),
                                percent(test.level()).replace(" %", ""),
                                signed(test.interval().low()),
                                signed(test.interval().high())));
    }

    private static String apart(String first, double shift, String second) {
        return shift == 0
                ? "%s level with %s".formatted(first, second)
                : "%s %s than %s by %s of 7"
                        .formatted(first, shift < 0 ? "lower" : "higher", second, one(Math.abs(shift)));
    }

    /** How sure it is, of a p that is adjusted for what else was asked. */
    public static String surety(double p) {
        return said(Strength.of(p));
    }

    private static String said(Strength strength) {
        return switch (strength) {
            case SHOWN -> "That is not chance.";
            case LEANING -> "It leans that way; more tasters would tell.";
            case NOT_SHOWN -> "No difference is shown, which is not to say there is none.";
            case ANECDOTE -> "One voice is an anecdote.";
        };
    }

    private static String p(double value) {
        return value < 0.001 ? "below " + Quantity.number(0.001, 3) : Quantity.number(value, 3);
    }

    private static String one(double value) {
        return Quantity.number(value, 1);
    }

    private static String signed(double value) {
        return Quantity.signed(value, 1);
    }

    private static String percent(double share) {
        return String.format(Locale.ROOT, "%.0f %%", share * 100);
    }

    /** Names by value, the greatest first. */
    static List<String> ordered(List<String> names, List<Double> values) {
        return IntStream.range(0, names.size())
                .boxed()
                .sorted(Comparator.comparing(values::get, Comparator.reverseOrder()))
                .map(names::get)
                .toList();
    }
}
