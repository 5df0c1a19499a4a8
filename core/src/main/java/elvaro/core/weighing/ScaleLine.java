package elvaro.core.weighing;

import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.regex.PatternSyntaxException;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/**
 * How a scale writes what it shows, a line each. An expression names the group {@code weight}, and may name {@code sign},
 * {@code unit}, {@code stable} (there when it rests), {@code moving} (there when it does not) and {@code over}.
 */
public final class ScaleLine {
    /** Forms that many scales can be set to; common practice, no source. */
    private enum Known {
        /** {@code + 4.215 kg}, with a question mark behind while it moves. */
        PLAIN(
                "(?<sign>[+-])?\\s*(?<weight>\\d+(?:[.,]\\d+)?)\\s*(?<unit>[A-Za-z]+)?\\s*(?<moving>[?*])?|.*(?<over>[Oo]verload|\\bOL\\b|-{4,}|H{3,}).*"),
        /** {@code ST,GS,+  4.215kg}: whether it rests, of what the weight is, the weight. */
        COMMAS(
                "(?:(?<stable>ST)|(?<moving>US)|(?<over>OL)),(?:[A-Z]{2},)?\\s*(?<sign>[+-])?\\s*(?<weight>\\d+(?:[.,]\\d+)?)?\\s*(?<unit>[A-Za-z]+)?.*"),
        /** {@code S S     4.215 kg}: an answer, whether it rests, the weight; a plus or minus alone where it cannot say. */
        LETTERS(
                "S[I]?\\s+(?:(?<stable>S)|(?<moving>D)|(?<over>[+]|-))\\s*(?<sign>-)?\\s*(?<weight>\\d+(?:[.,]\\d+)?)?\\s*(?<unit>[A-Za-z]+)?");

        private final Pattern expression;

        Known(String expression) {
            this.expression = Pattern.compile(expression);
        }
    }

    private final Pattern expression;

    private ScaleLine(Pattern expression) {
        this.expression = expression;
    }

    /**
     * What a scale shows.
     *
     * @param grams 0 where it is overloaded
     * @param moving whether it says that it does not rest
     */
    public record ScaleShown(double grams, boolean moving, boolean overloaded) {}

    /**
     * @param word the name of a form that is known, {@code plain} if left out, or an expression
     * @throws IllegalArgumentException with a sentence
     */
    public static ScaleLine of(@Nullable String word) {
        String name = word == null ? "plain" : word.strip();
        Optional<Known> known = Arrays.stream(Known.values())
                .filter(each -> each.name().toLowerCase(Locale.ROOT).equals(name))
                .findFirst();
        if (known.isPresent()) {
            return new ScaleLine(known.get().expression);
        }
        if (!name.contains("(?<weight>")) {
            throw new IllegalArgumentException("pattern: %s, or an expression with a group (?<weight>…), not “%s”."
                    .formatted(
                            Arrays.stream(Known.values())
                                    .map(each -> each.name().toLowerCase(Locale.ROOT))
                                    .collect(Collectors.joining(", ")),
                            name));
        }
        try {
            return new ScaleLine(Pattern.compile(name));
        } catch (PatternSyntaxException wrong) {
            throw new IllegalArgumentException(
                    "pattern: “%s” cannot be read: %s".formatted(name, wrong.getDescription()));
        }
    }

    /** A line of whichever known form, of a scale nobody described: a figure without its unit says nothing then. */
    public static Optional<ScaleShown> ofAnyForm(String line) {
        return Arrays.stream(Known.values())
                .flatMap(known -> new ScaleLine(known.expression).read(line, Optional.empty()).stream())
                .findFirst();
    }

    /**
     * @param unit where the line has none
     * @return nothing where the line is no weight
     */
    public Optional<ScaleShown> read(String line, MassUnit unit) {
        return read(line, Optional.of(unit));
    }

    private Optional<ScaleShown> read(String line, Optional<MassUnit> usual) {
        Matcher matcher = expression.matcher(line.strip());
        if (!matcher.matches()) {
            return Optional.empty();
        }
        if (group(matcher, "over") != null) {
            return Optional.of(new ScaleShown(0, false, true));
        }
        String weight = group(matcher, "weight");
        if (weight == null) {
            return Optional.empty();
        }
        double value = Double.parseDouble(weight.replace(',', '.').replaceAll("\\s", ""));
        String own = group(matcher, "unit");
        if (own == null && usual.isEmpty()) {
            return Optional.empty();
        }
        try {
            double grams = (own == null ? usual.orElseThrow() : MassUnit.of(own)).grams(value);
            return Optional.of(new ScaleShown(
                    "-".equals(group(matcher, "sign")) ? -grams : grams, group(matcher, "moving") != null, false));
        } catch (IllegalArgumentException noWeight) { // pieces, percent
            return Optional.empty();
        }
    }

    private static @Nullable String group(Matcher matcher, String name) {
        try {
            return matcher.group(name);
        } catch (IllegalArgumentException noSuchGroup) {
            return null;
        }
    }
}
