package elvaro.core.past;

import elvaro.core.table.MonthName;
import elvaro.core.working.Quantity;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.DateTimeException;
import java.time.LocalDate;
import java.util.Locale;
import java.util.OptionalInt;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Weights, prices and days as people write them in a table. */
public final class CellParser {
    private static final int MOST_GRAMS = 1_000_000;
    private static final int MOST_MINOR = 10_000_000;
    private static final int MINOR_PER_UNIT = 100;
    private static final int CENTURY = 2000;

    private static final String NUMBER = "(\\d[\\d.,' ]*)";
    private static final String UNIT = "(g|gr|grams?|kg|kilos?|kilograms?|lbs?|pounds?|#|oz|ounces?)?\\.?";
    private static final Pattern WEIGHT = Pattern.compile(NUMBER + "\\s*" + UNIT);
    private static final Pattern POUNDS_AND_OUNCES =
            Pattern.compile(NUMBER + "\\s*(?:lbs?|pounds?|#)\\.?\\s*" + NUMBER + "\\s*(?:oz|ounces?)?\\.?");
    private static final Pattern MONEY = Pattern.compile("[^\\d-]*" + NUMBER + "[^\\d]*");
    private static final Pattern TIME = Pattern.compile("[t ]+\\d{1,2}:\\d{2}.*$");

    private CellParser() {}

    /** What a bare number weighs in. One pound is 0.45359237 kg (international yard and pound agreement, 1959). */
    public enum Unit {
        GRAM("1"),
        KILOGRAM("1000"),
        POUND("453.59237"),
        OUNCE("28.349523125");

        private final BigDecimal grams;

        Unit(String grams) {
            this.grams = new BigDecimal(grams);
        }

        private static Unit of(String written) {
            return switch (written.charAt(0)) {
                case 'g' -> GRAM;
                case 'k' -> KILOGRAM;
                case 'o' -> OUNCE;
                default -> POUND;
            };
        }
    }

    /** Which of two numbers is the day where both could be; a year first is told by its four digits. */
    public enum Order {
        DAY_FIRST,
        MONTH_FIRST
    }

    /**
     * A weight such as 4500, 4,5 kg, 9.9 lb or 9 lb 14 oz.
     *
     * @param bare the unit where none is written
     * @return whole grams, 1 to 1,000,000
     * @throws IllegalArgumentException with a sentence, if it is no such weight
     */
    public static int grams(String text, Unit bare) {
        String plain = plain(text);
        BigDecimal grams;
        Matcher both = POUNDS_AND_OUNCES.matcher(plain);
        Matcher one = WEIGHT.matcher(plain);
        if (both.matches()) {
            grams = number(both.group(1), false)
                    .multiply(Unit.POUND.grams)
                    .add(number(both.group(2), false).multiply(Unit.OUNCE.grams));
        } else if (one.matches()) {
            Unit unit = one.group(2) == null ? bare : Unit.of(one.group(2));
            grams = number(one.group(1), unit == Unit.GRAM).multiply(unit.grams);
        } else {
            throw new IllegalArgumentException("“%s” is no weight.".formatted(text));
        }
        BigDecimal whole = grams.setScale(0, RoundingMode.HALF_UP);
        if (whole.signum() <= 0 || whole.compareTo(BigDecimal.valueOf(MOST_GRAMS)) > 0) {
            throw new IllegalArgumentException("“%s” is out of range: %s."
                    .formatted(Quantity.words(text), Quantity.limit(1) + " to " + Quantity.limit(MOST_GRAMS)));
        }
        return whole.intValue();
    }

    /**
     * A price such as 24.50, €24,50 or 1 200.
     *
     * @return minor units
     * @throws IllegalArgumentException with a sentence, if it is none
     */
    public static int minor(String text) {
        Matcher money = MONEY.matcher(plain(text));
        if (!money.matches()) {
            throw new IllegalArgumentException("“%s” is no price.".formatted(text));
        }
        BigDecimal minor = number(money.group(1), false)
                .multiply(BigDecimal.valueOf(MINOR_PER_UNIT))
                .setScale(0, RoundingMode.HALF_UP);
        if (minor.compareTo(BigDecimal.valueOf(MOST_MINOR)) > 0) {
            throw new IllegalArgumentException("“%s” is beyond reason.".formatted(text));
        }
        return minor.intValue();
    }

    /**
     * A day such as 2026-02-03, 3.2.2026, 02/03/26, 3 Feb 2026 or Feb 3, 2026; a time of day after it is left out. A year of
     * two digits is of this century.
     *
     * @throws IllegalArgumentException with a sentence, if it is none
     */
    public static LocalDate day(String text, Order order) {
        String plain = TIME.matcher(plain(text)).replaceFirst("");
        String[] parts = plain.split("[\\s./,-]+");
        try {
            if (parts.length == 3) {
                return day(parts, order);
            }
        } catch (DateTimeException | NumberFormatException none) {
            // said below
        }
        throw new IllegalArgumentException("“%s” is no day.".formatted(text));
    }

    private static LocalDate day(String[] parts, Order order) {
        if (parts[0].length() == 4 && Character.isDigit(parts[0].charAt(0))) {
            return LocalDate.of(Integer.parseInt(parts[0]), month(parts[1]), Integer.parseInt(parts[2]));
        }
        boolean monthFirst = Character.isLetter(parts[0].charAt(0))
                || order == Order.MONTH_FIRST && Character.isDigit(parts[1].charAt(0));
        String day = monthFirst ? parts[1] : parts[0];
        String month = monthFirst ? parts[0] : parts[1];
        int year = Integer.parseInt(parts[2]);
        if (parts[2].length() != 2 && parts[2].length() != 4) {
            throw new NumberFormatException(parts[2]);
        }
        return LocalDate.of(parts[2].length() == 2 ? CENTURY + year : year, month(month), Integer.parseInt(day));
    }

    private static int month(String written) {
        OptionalInt named = MonthName.of(written);
        return named.isPresent() ? named.getAsInt() : Integer.parseInt(written);
    }

    private static String plain(String text) {
        return text.replace('\u00a0', ' ')
                .replace('\u202f', ' ')
                .replace('’', '\'')
                .strip()
                .toLowerCase(Locale.ROOT);
    }

    /** @param whole whether a single comma or point before three digits parts thousands, as it does in grams */
    private static BigDecimal number(String written, boolean whole) {
        String digits = written.replaceAll("[' ]", "");
        int comma = digits.lastIndexOf(',');
        int point = digits.lastIndexOf('.');
        char decimal = comma > point ? ',' : '.';
        int last = Math.max(comma, point);
        boolean single = digits.chars().filter(each -> each == decimal).count() == 1;
        boolean thousands =
                last >= 0 && (!single || whole && Math.min(comma, point) < 0 && digits.length() - last == 4);
        String plain = thousands
                ? digits.replaceAll("[.,]", "")
                : digits.replaceAll(decimal == ',' ? "\\." : ",", "").replace(',', '.');
        try {
            return new BigDecimal(plain);
        } catch (NumberFormatException none) {
            throw new IllegalArgumentException("“%s” is no number.".formatted(written.strip()));
        }
    }
}
