package elvaro.core.logger;

import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * A value as a logger wrote it.
 *
 * @param number as it stands
 * @param unit what stands behind it, empty where nothing does
 */
public record LoggerValue(double number, String unit) {
    /** What a logger writes where it measured nothing. Common practice, no source. */
    private static final Set<String> GAPS = Set.of(
            "",
            "nan",
            "n/a",
            "na",
            "#n/a",
            "null",
            "none",
            "nil",
            "unavailable",
            "unknown",
            "offline",
            "no data",
            "err",
            "error",
            "ol",
            "inf",
            "-inf",
            "?",
            "*");

    private static final Pattern ONLY_DASHES = Pattern.compile("[-.]+");
    private static final Pattern VALUE =
            Pattern.compile("([+-]?\\d[\\d.,' ]*(?:[eE][+-]?\\d+)?|[+-]?[.,]\\d+)\\s*([^\\d\\s.,][^\\d]*)?");

    /**
     * @return nothing for a gap
     * @throws IllegalArgumentException with a sentence, if it is no value either
     */
    public static Optional<LoggerValue> of(String text) {
        String plain = text.strip()
                .replace('\u2212', '-')
                .replace('\u2013', '-')
                .replace('\u2014', '-')
                .replaceAll("[\\u00a0\\u202f\\u2009]", " ");
        if (GAPS.contains(plain.toLowerCase(Locale.ROOT))
                || ONLY_DASHES.matcher(plain).matches()) {
            return Optional.empty();
        }
        Matcher value = VALUE.matcher(plain);
        if (!value.matches()) {
            throw new IllegalArgumentException("“%s” is no number.".formatted(text.strip()));
        }
        try {
            String unit = value.group(2) == null ? "" : value.group(2).strip();
            return Optional.of(new LoggerValue(Double.parseDouble(number(value.group(1))), unit));
        } catch (NumberFormatException none) {
            throw new IllegalArgumentException("“%s” is no number.".formatted(text.strip()));
        }
    }

    /** Of two kinds of marks the last parts the decimals. */
    private static String number(String written) {
        String digits = written.replaceAll("[' ]", "");
        int comma = digits.lastIndexOf(',');
        int point = digits.lastIndexOf('.');
        return comma > point ? digits.replace(".", "").replace(',', '.') : digits.replace(",", "");
    }
}
