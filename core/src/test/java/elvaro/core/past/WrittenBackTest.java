package elvaro.core.past;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import elvaro.core.past.CellParser.Order;
import elvaro.core.past.CellParser.Unit;
import java.text.DecimalFormat;
import java.text.DecimalFormatSymbols;
import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import org.junit.jupiter.api.RepeatedTest;
import org.junit.jupiter.api.RepetitionInfo;

/** What the formatters of the language write, in the manners of several countries, is read back as it was. */
class WrittenBackTest {
    private static final List<Locale> LOCALES = List.of(
            Locale.GERMANY, Locale.UK, Locale.US, Locale.FRANCE, new Locale("de", "CH"), new Locale("sv", "SE"));

    private static String number(String pattern, Locale locale, double value) {
        return new DecimalFormat(pattern, DecimalFormatSymbols.getInstance(locale)).format(value);
    }

    @RepeatedTest(200)
    void a_weight_of_any_country_is_read_as_it_was(RepetitionInfo info) {
        Random random = new Random(info.getCurrentRepetition());
        int grams = 1 + random.nextInt(999_999);
        Locale locale = LOCALES.get(random.nextInt(LOCALES.size()));
        String manner = "seed %d, %s".formatted(info.getCurrentRepetition(), locale);
        assertThat(CellParser.grams(number("#,##0", locale, grams), Unit.GRAM))
                .as(manner)
                .isEqualTo(grams);
        assertThat(CellParser.grams(number("#,##0", locale, grams) + " g", Unit.POUND))
                .as(manner)
                .isEqualTo(grams);
        assertThat(CellParser.grams(number("#,##0.000", locale, grams / 1000.0) + " kg", Unit.GRAM))
                .as(manner)
                .isEqualTo(grams);
        assertThat(CellParser.grams(number("0.###", locale, grams / 1000.0), Unit.KILOGRAM))
                .as(manner)
                .isEqualTo(grams);
        double pounds = grams / 453.59237;
        assertThat(CellParser.grams(number("#,##0.0000", locale, pounds) + " lb", Unit.GRAM))
                .as(manner)
                .isCloseTo(grams, within(1));
        int ounces = (int) Math.round(pounds * 16);
        if (ounces > 0) {
            assertThat(CellParser.grams("%d lb %d oz".formatted(ounces / 16, ounces % 16), Unit.GRAM))
                    .as(manner)
                    .isCloseTo(grams, within(15));
        }
    }

    @RepeatedTest(200)
    void a_price_of_any_country_is_read_as_it_was(RepetitionInfo info) {
        Random random = new Random(info.getCurrentRepetition());
        int minor = random.nextInt(1_000_000);
        Locale locale = LOCALES.get(random.nextInt(LOCALES.size()));
        String written = number("#,##0.00", locale, minor / 100.0);
        for (String money : List.of(written, "€" + written, written + " EUR/kg", "kr " + written)) {
            assertThat(CellParser.minor(money)).as("%s, %s", money, locale).isEqualTo(minor);
        }
    }

    @RepeatedTest(200)
    void a_day_of_any_manner_is_read_as_it_was(RepetitionInfo info) {
        Random random = new Random(info.getCurrentRepetition());
        LocalDate day = LocalDate.of(2000, 1, 1).plusDays(random.nextInt(36_000));
        for (String manner : List.of("uuuu-MM-dd", "d.M.uuuu", "dd/MM/uuuu", "d MMM uuuu", "d-MMM-uu", "dd.MM.uu")) {
            assertThat(CellParser.day(
                            DateTimeFormatter.ofPattern(manner, Locale.US).format(day), Order.DAY_FIRST))
                    .as(manner)
                    .isEqualTo(day);
        }
        for (String manner : List.of("M/d/uuuu", "MM/dd/uu", "MMMM d, uuuu", "uuuu/M/d", "M-d-uuuu")) {
            assertThat(CellParser.day(
                            DateTimeFormatter.ofPattern(manner, Locale.US).format(day), Order.MONTH_FIRST))
                    .as(manner)
                    .isEqualTo(day);
        }
    }
}
