package elvaro.core.working;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/**
 * A quantity as it stands in a sentence before it has a reader: its kind and its amount in the core's units, as
 * {@code ⟦mass 8400⟧}. {@link Units} writes it for a reader on paper, {@code web/src/kit/sentence.ts} on the screen; both are
 * held to one table of cases. Sentences with such marks travel and are kept as they are. See docs/decisions/0024.
 *
 * @param amounts one, or the two ends of a range; their decimals are the precision that is meant
 */
public record Quantity(QuantityKind kind, List<String> amounts) {
    private static final char OPEN = '⟦';
    private static final char CLOSE = '⟧';

    /** What is measured. */
    public enum QuantityKind {
        /** Grams. */
        MASS,
        /** Grams of a bound or of an estimate, of which the first figures matter. */
        LIMIT,
        /** Degrees Celsius; decimals count. */
        TEMPERATURE,
        /** How much warmer or colder, K. */
        WARMTH,
        /** Millimetres. */
        LENGTH,
        /** Metres, of twine and the like. */
        SPAN,
        /** Square metres, of cloth and the like. */
        AREA,
        /** Square centimetres of surface for each kilogram. */
        SURFACE,
        /** Millilitres. */
        VOLUME,
        /** Minor units of the workshop's currency. */
        MONEY,
        /** The same for a kilogram. */
        PRICE,
        /** A fraction, written in percent with one decimal. */
        SHARE,
        /** A figure without a unit, with the decimals it has. */
        NUMBER,
        DAYS,
        /** A day of the calendar, ISO 8601. */
        DATE
    }

    /** @param count of decimals */
    public static String number(double value, int count) {
        return mark(QuantityKind.NUMBER, decimals(value, count));
    }

    /** A difference: with its sign, also where it is more. */
    public static String signed(double value, int count) {
        return (value > 0 ? "+" : "") + number(value, count);
    }

    public static String mass(long grams) {
        return mark(QuantityKind.MASS, String.valueOf(grams));
    }

    /** @param from and {@code to} g */
    public static String mass(long from, long to) {
        return mark(QuantityKind.MASS, String.valueOf(from), String.valueOf(to));
    }

    /** @param grams of a bound, of which the first figures matter */
    public static String limit(long grams) {
        return mark(QuantityKind.LIMIT, String.valueOf(grams));
    }

    /** @param from and {@code to} g, bounds of which the first figures matter */
    public static String limit(long from, long to) {
        return mark(QuantityKind.LIMIT, String.valueOf(from), String.valueOf(to));
    }

    /** A limit or an advice, in whole degrees Celsius. */
    public static String temperature(int celsius) {
        return mark(QuantityKind.TEMPERATURE, String.valueOf(celsius));
    }

    /** A span of limits, in whole degrees Celsius. */
    public static String temperature(int from, int to) {
        return mark(QuantityKind.TEMPERATURE, String.valueOf(from), String.valueOf(to));
    }

    /** As measured or reckoned, °C to a tenth. */
    public static String temperature(double celsius) {
        return mark(QuantityKind.TEMPERATURE, decimals(celsius, 1));
    }

    /** @param kelvin how much warmer or colder, whole */
    public static String warmth(int kelvin) {
        return mark(QuantityKind.WARMTH, String.valueOf(kelvin));
    }

    /** @param mm to a tenth */
    public static String length(double mm) {
        return mark(QuantityKind.LENGTH, decimals(mm, 1));
    }

    public static String length(int mm) {
        return mark(QuantityKind.LENGTH, String.valueOf(mm));
    }

    /** @param metres to a tenth */
    public static String span(double metres) {
        return mark(QuantityKind.SPAN, decimals(metres, 1));
    }

    /** @param squareMetres to a hundredth */
    public static String area(double squareMetres) {
        return mark(QuantityKind.AREA, decimals(squareMetres, 2));
    }

    /** @param cm2PerKg surface for each kilogram, cm² */
    public static String surface(double cm2PerKg) {
        return mark(QuantityKind.SURFACE, decimals(cm2PerKg, 0));
    }

    /** @param ml to a tenth */
    public static String volume(double ml) {
        return mark(QuantityKind.VOLUME, decimals(ml, 1));
    }

    /** @param minor units of the workshop's currency */
    public static String money(double minor) {
        return mark(QuantityKind.MONEY, decimals(minor, 0));
    }

    /** @param minorPerKg units of the workshop's currency for a kilogram */
    public static String price(double minorPerKg) {
        return mark(QuantityKind.PRICE, shortest(minorPerKg, 2));
    }

    public static String share(double fraction) {
        return mark(QuantityKind.SHARE, shortest(fraction, 6));
    }

    public static String days(long count) {
        return mark(QuantityKind.DAYS, String.valueOf(count));
    }

    public static String date(LocalDate day) {
        return mark(QuantityKind.DATE, day.toString());
    }

    /** What a person typed, or a name, for a sentence of ours: nothing in it is taken for a quantity. */
    public static String words(String typed) {
        return typed.replace(OPEN, '[').replace(CLOSE, ']');
    }

    private static String mark(QuantityKind kind, String... amounts) {
        return OPEN + kind.name().toLowerCase(Locale.ROOT) + " " + String.join(" ", amounts) + CLOSE;
    }

    private static String decimals(double amount, int count) {
        if (!Double.isFinite(amount)) {
            throw new IllegalArgumentException("A quantity is a number");
        }
        return BigDecimal.valueOf(amount).setScale(count, RoundingMode.HALF_UP).toPlainString();
    }

    private static String shortest(double amount, int count) {
        return new BigDecimal(decimals(amount, count)).stripTrailingZeros().toPlainString();
    }

    /** Whether a sentence may hold any. */
    static boolean isIn(String sentence) {
        return sentence.indexOf(OPEN) >= 0;
    }

    /** A sentence taken apart: what stands between the quantities, and they. */
    sealed interface SentencePart permits WordsPart, QuantityPart {}

    record WordsPart(String words) implements SentencePart {}

    record QuantityPart(Quantity quantity) implements SentencePart {}

    /** @return the parts in their order; what looks like a mark and is none stays words */
    static List<SentencePart> parts(String sentence) {
        List<SentencePart> parts = new ArrayList<>();
        int done = 0;
        for (int open = sentence.indexOf(OPEN); open >= 0; open = sentence.indexOf(OPEN, open + 1)) {
            int close = sentence.indexOf(CLOSE, open);
            Optional<Quantity> quantity = close < 0 ? Optional.empty() : read(sentence.substring(open + 1, close));
            if (quantity.isPresent()) {
                parts.add(new WordsPart(sentence.substring(done, open)));
                parts.add(new QuantityPart(quantity.get()));
                done = close + 1;
            }
        }
        parts.add(new WordsPart(sentence.substring(done)));
        return parts;
    }

    private static Optional<Quantity> read(String mark) {
        List<String> words = List.of(mark.split(" ", -1));
        for (QuantityKind kind : QuantityKind.values()) {
            if (kind.name().toLowerCase(Locale.ROOT).equals(words.get(0)) && (words.size() == 2 || words.size() == 3)) {
                List<String> amounts = words.subList(1, words.size());
                return amounts.stream().allMatch(amount -> suits(kind, amount))
                        ? Optional.of(new Quantity(kind, List.copyOf(amounts)))
                        : Optional.empty();
            }
        }
        return Optional.empty();
    }

    private static boolean suits(QuantityKind kind, String amount) {
        try {
            if (kind == QuantityKind.DATE) {
                LocalDate.parse(amount);
            } else {
                new BigDecimal(amount);
            }
            return amount.length() <= 24;
        } catch (NumberFormatException | java.time.DateTimeException unreadable) {
            return false;
        }
    }
}
