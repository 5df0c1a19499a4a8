package elvaro.core.working;

import elvaro.core.working.Quantity.QuantityPart;
import elvaro.core.working.Quantity.WordsPart;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.text.NumberFormat;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.chrono.IsoChronology;
import java.time.format.DateTimeFormatter;
import java.time.format.DateTimeFormatterBuilder;
import java.time.format.FormatStyle;
import java.util.Currency;
import java.util.List;
import java.util.Locale;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/**
 * Figures as one reader wants them on paper; the screen writes them alike. One pound is 0.45359237 kg and one inch 25.4 mm,
 * both exact (international yard and pound agreement, 1959); a US fluid ounce is 29.5735295625 mL.
 *
 * @param fahrenheit else degrees Celsius
 * @param inches else millimetres
 * @param currency of the workshop
 * @param locale in which numbers, money and days are written
 */
public record Units(Mass mass, boolean fahrenheit, boolean inches, Currency currency, Locale locale) {
    /** For programs and for the record: grams, degrees Celsius, millimetres, numbers with a point. */
    public static final Units PLAIN = new Units(Mass.GRAM, false, false, Currency.getInstance("XXX"), Locale.ROOT);

    private static final double GRAMS_PER_POUND = 453.59237;
    private static final double GRAMS_PER_OUNCE = GRAMS_PER_POUND / 16;
    private static final int HUNDREDTHS_PER_POUND = 1600;
    private static final double MM_PER_INCH = 25.4;
    private static final double METRES_PER_FOOT = 0.3048;
    private static final double ML_PER_FLUID_OUNCE = 29.5735295625;
    private static final String MINUS = "−";

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
            case KILOGRAM -> decimals(3, grams / 1000.0) + " kg";
            case GRAM -> decimals(0, grams) + " g";
            case POUND -> decimals(poundDecimals(grams), grams / GRAMS_PER_POUND) + " lb";
            case POUND_AND_OUNCE -> {
                long hundredths = Math.round(Math.abs(grams) / GRAMS_PER_OUNCE * 100);
                yield "%s%d lb %s oz"
                        .formatted(
                                grams < 0 ? MINUS : "",
                                hundredths / HUNDREDTHS_PER_POUND,
                                decimals(2, hundredths % HUNDREDTHS_PER_POUND / 100.0));
            }
        };
    }

    /** Two, as scales in pounds show, where they are read again as the same gram; else three. */
    private static int poundDecimals(long grams) {
        double shown = Math.rint(grams / GRAMS_PER_POUND * 100) / 100;
        return Math.round(shown * GRAMS_PER_POUND) == grams ? 2 : 3;
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
        return decimals(1, degrees(celsius)) + degree();
    }

    private double degrees(double celsius) {
        return fahrenheit ? celsius * 1.8 + 32 : celsius;
    }

    private String degree() {
        return fahrenheit ? " °F" : " °C";
    }

    /** A thickness or depth. */
    public String thickness(double mm) {
        return inches ? decimals(2, mm / MM_PER_INCH) + " in" : decimals(1, mm) + " mm";
    }

    /**
     * Money, with as many decimals as its currency has.
     *
     * @param minor units
     */
    public String money(double minor) {
        double amount = minor / Math.pow(10, digits());
        if (currency.getCurrencyCode().equals("XXX")) {
            return decimals(2, minor / 100);
        }
        NumberFormat format = NumberFormat.getCurrencyInstance(locale);
        format.setCurrency(currency);
        format.setMinimumFractionDigits(digits());
        format.setMaximumFractionDigits(digits());
        format.setRoundingMode(RoundingMode.HALF_UP);
        // A currency without a sign of its own stands apart from its amount; the JDK alone writes KWD3.820.
        return format.format(amount)
                .replace('\u00a0', ' ')
                .replace('\u202f', ' ')
                .replace("-", MINUS)
                .replaceAll("(?<=\\p{L})(?=\\d)", " ");
    }

    private int digits() {
        return Math.max(0, currency.getDefaultFractionDigits());
    }

    /** A sentence with each of its quantities as this reader wants it. */
    public String sentence(String sentence) {
        if (!Quantity.isIn(sentence)) {
            return sentence;
        }
        return Quantity.parts(sentence).stream()
                .map(part -> part instanceof QuantityPart mark ? write(mark.quantity()) : ((WordsPart) part).words())
                .collect(Collectors.joining());
    }

    private String write(Quantity quantity) {
        return switch (quantity.kind()) {
            case MASS -> each(quantity, amount -> weight(amount.longValue()), "");
            case LIMIT -> each(quantity, amount -> limit(amount.doubleValue()), "");
            case TEMPERATURE ->
                each(quantity, amount -> decimals(amount.scale(), degrees(amount.doubleValue())), degree());
            case WARMTH ->
                each(
                        quantity,
                        amount -> decimals(
                                amount.scale(), fahrenheit ? amount.doubleValue() * 1.8 : amount.doubleValue()),
                        " degrees");
            case LENGTH ->
                each(
                        quantity,
                        amount ->
                                inches ? decimals(2, inchesOf(amount)) : decimals(amount.scale(), amount.doubleValue()),
                        inches ? " in" : " mm");
            case SPAN ->
                each(
                        quantity,
                        amount -> decimals(1, inches ? amount.doubleValue() / METRES_PER_FOOT : amount.doubleValue()),
                        inches ? " ft" : " m");
            case AREA ->
                each(
                        quantity,
                        amount -> inches
                                ? decimals(1, amount.doubleValue() / (METRES_PER_FOOT * METRES_PER_FOOT))
                                : decimals(2, amount.doubleValue()),
                        inches ? " ft²" : " m²");
            case SURFACE ->
                each(
                        quantity,
                        amount -> pounds()
                                ? decimals(
                                        0,
                                        amount.doubleValue()
                                                / (MM_PER_INCH * MM_PER_INCH / 100)
                                                * GRAMS_PER_POUND
                                                / 1000)
                                : decimals(0, amount.doubleValue()),
                        pounds() ? " in²/lb" : " cm²/kg");
            case VOLUME ->
                each(
                        quantity,
                        amount -> pounds()
                                ? decimals(1, amount.doubleValue() / ML_PER_FLUID_OUNCE)
                                : decimals(amount.scale(), amount.doubleValue()),
                        pounds() ? " fl oz" : " mL");
            case MONEY -> each(quantity, amount -> money(amount.doubleValue()), "");
            case PRICE -> each(quantity, amount -> money(price(amount.doubleValue())), "/" + priced());
            case NUMBER -> each(quantity, amount -> decimals(amount.scale(), amount.doubleValue()), "");
            case SHARE -> each(quantity, amount -> decimals(1, amount.doubleValue() * 100), " %");
            case DAYS ->
                each(
                        quantity,
                        amount -> amount.toPlainString(),
                        quantity.amounts().equals(List.of("1")) ? " day" : " days");
            case DATE ->
                quantity.amounts().stream()
                        .map(day -> date(LocalDate.parse(day)))
                        .collect(Collectors.joining(" to "));
        };
    }

    /** Whole millimetres are eighths of an inch where those are kept as just so many: what was typed so is read so again. */
    private static double inchesOf(BigDecimal mm) {
        double inches = mm.doubleValue() / MM_PER_INCH;
        double eighths = Math.round(inches * 8) / 8.0;
        boolean asTyped = mm.scale() == 0 && Math.round(eighths * MM_PER_INCH) == mm.longValue();
        return asTyped ? eighths : inches;
    }

    private String limit(double grams) {
        if (pounds()) {
            double pounds = grams / GRAMS_PER_POUND;
            return pounds < 1
                    ? decimals(1, grams / GRAMS_PER_OUNCE) + " oz"
                    : decimals(pounds < 10 ? 1 : 0, pounds) + " lb";
        }
        double kilograms = grams / 1000;
        return grams < 1000
                ? decimals(0, grams) + " g"
                : decimals(kilograms < 10 && grams % 1000 != 0 ? 1 : 0, kilograms) + " kg";
    }

    private static String each(Quantity quantity, Function<BigDecimal, String> written, String unit) {
        return quantity.amounts().stream().map(BigDecimal::new).map(written).collect(Collectors.joining(" to ")) + unit;
    }

    /** A day of the calendar: with the month in English, as all words are, and before the day where the reader has it there. */
    public String date(LocalDate day) {
        return locale.equals(Locale.ROOT)
                ? day.toString()
                : DateTimeFormatter.ofPattern(monthFirst() ? "MMM d, uuuu" : "d MMM uuuu", Locale.ENGLISH)
                        .format(day);
    }

    /** A day and the clock; before and after noon where the reader tells them apart. */
    public String moment(LocalDateTime at) {
        boolean noon = pattern(null, FormatStyle.SHORT).contains("a");
        return date(at.toLocalDate())
                + (locale.equals(Locale.ROOT) ? " " : ", ")
                + DateTimeFormatter.ofPattern(noon ? "h:mm a" : "HH:mm", Locale.ENGLISH)
                        .format(at);
    }

    private String pattern(@Nullable FormatStyle day, @Nullable FormatStyle clock) {
        return DateTimeFormatterBuilder.getLocalizedDateTimePattern(day, clock, IsoChronology.INSTANCE, locale);
    }

    private boolean monthFirst() {
        String pattern = pattern(FormatStyle.MEDIUM, null);
        return pattern.indexOf('M') < pattern.indexOf('d') && pattern.indexOf('d') < pattern.indexOf('y');
    }

    private String decimals(int count, double number) {
        NumberFormat format = NumberFormat.getNumberInstance(locale);
        format.setGroupingUsed(false);
        format.setMinimumFractionDigits(Math.max(0, count));
        format.setMaximumFractionDigits(Math.max(0, count));
        format.setRoundingMode(RoundingMode.HALF_UP);
        String written = format.format(BigDecimal.valueOf(number).setScale(Math.max(0, count), RoundingMode.HALF_UP));
        return written.replace("-", MINUS);
    }
}
