package elvaro.core.working;

import java.util.Locale;
import java.util.function.Function;
import java.util.regex.MatchResult;
import java.util.regex.Pattern;

/**
 * Figures as one reader wants them on paper; the screen writes them alike. One pound is 0.45359237 kg and one inch 25.4 mm,
 * both exact (international yard and pound agreement, 1959).
 *
 * @param fahrenheit else degrees Celsius
 * @param inches else millimetres
 */
public record Units(Mass mass, boolean fahrenheit, boolean inches) {
    private static final double GRAMS_PER_POUND = 453.59237;
    private static final double GRAMS_PER_OUNCE = GRAMS_PER_POUND / 16;
    private static final int TENTHS_PER_POUND = 160;
    private static final double MM_PER_INCH = 25.4;

    /** Sentences hold words of people too: what is no number of ours stays as it was typed. */
    private static final String WHOLE = "(?<![\\d.])(-?\\d{1,9})";

    private static final String DECIMAL = "(?<![\\d.])(-?\\d{1,9}(?:\\.\\d{1,9})?)";
    private static final Pattern GRAMS = Pattern.compile(WHOLE + " g\\b");
    private static final Pattern MM = Pattern.compile(DECIMAL + " mm\\b");
    private static final Pattern CELSIUS = Pattern.compile(DECIMAL + " °C");

    /** What a weight is written in; pounds in decimals, or with ounces. */
    public enum Mass {
        KILOGRAM,
        GRAM,
        POUND,
        POUND_AND_OUNCE
    }

    /** A weight, as {@code 8.400 kg} or {@code 10 lb 9.6 oz}. */
    public String weight(long grams) {
        return switch (mass) {
            case KILOGRAM -> Figures.kilograms(grams);
            case GRAM -> Figures.weight(grams);
            case POUND -> decimals(2, grams / GRAMS_PER_POUND) + " lb";
            case POUND_AND_OUNCE -> {
                long tenths = Math.round(Math.abs(grams) / GRAMS_PER_OUNCE * 10);
                yield "%s%d lb %s oz"
                        .formatted(
                                grams < 0 ? "-" : "",
                                tenths / TENTHS_PER_POUND,
                                decimals(1, tenths % TENTHS_PER_POUND / 10.0));
            }
        };
    }

    /** What prices are for one of: {@code kg} or {@code lb}. */
    public String priced() {
        return pounds() ? "lb" : "kg";
    }

    /** A price per kilogram as the price of what they are for one of. */
    public double price(double perKilogram) {
        return pounds() ? perKilogram * GRAMS_PER_POUND / 1000 : perKilogram;
    }

    private boolean pounds() {
        return mass == Mass.POUND || mass == Mass.POUND_AND_OUNCE;
    }

    public String temperature(double celsius) {
        return decimals(1, fahrenheit ? celsius * 1.8 + 32 : celsius) + (fahrenheit ? " °F" : " °C");
    }

    /** A thickness or depth. */
    public String thickness(double mm) {
        return inches ? decimals(2, mm / MM_PER_INCH) + " in" : decimals(1, mm) + " mm";
    }

    /** A sentence that speaks in grams, millimetres and degrees Celsius, in the reader's units. */
    public String sentence(String words) {
        String weighed = each(GRAMS, words, found -> weight(Long.parseLong(found)));
        String measured = inches
                ? each(MM, weighed, found -> decimals(1, Double.parseDouble(found) / MM_PER_INCH) + " in")
                : weighed;
        return each(CELSIUS, measured, found -> temperature(Double.parseDouble(found)));
    }

    private static String each(Pattern what, String words, Function<String, String> written) {
        Function<MatchResult, String> put = found -> written.apply(found.group(1));
        return what.matcher(words).replaceAll(put);
    }

    private static String decimals(int count, double number) {
        return String.format(Locale.ROOT, "%." + count + "f", number);
    }
}
