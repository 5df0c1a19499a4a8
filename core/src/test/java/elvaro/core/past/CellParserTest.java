package elvaro.core.past;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import elvaro.core.past.CellParser.Order;
import elvaro.core.past.CellParser.Unit;
import java.time.LocalDate;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Cells as people write them. Pounds by the agreement of 1959: 9 lb 14 oz are 4479.2 g. */
class CellParserTest {
    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            4500       | GRAM     | 4500
            4,500      | GRAM     | 4500
            4.500 g    | KILOGRAM | 4500
            1.234.500  | GRAM     |
            4,5        | KILOGRAM | 4500
            4.5        | KILOGRAM | 4500
            4,500      | KILOGRAM | 4500
            4.5 KG     | GRAM     | 4500
            4 500 g    | KILOGRAM | 4500
            4'500      | GRAM     | 4500
            1.234,5 g  | KILOGRAM | 1235
            12,345.6 g | KILOGRAM | 12346
            9.9        | POUND    | 4491
            9 lb 14 oz | GRAM     | 4479
            9lb14      | GRAM     | 4479
            9# 14      | GRAM     | 4479
            14 oz      | KILOGRAM | 397
            10 lbs.    | GRAM     | 4536
            """)
    void a_weight_is_understood_with_its_unit_or_the_tables(String written, Unit bare, Integer grams) {
        if (grams == null) {
            assertThatThrownBy(() -> CellParser.grams(written, bare)).hasMessageContaining("out of range");
        } else {
            assertThat(CellParser.grams(written, bare)).isEqualTo(grams);
        }
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "heavy", "-4", "0", "4 stone", "4,5,6.7.8 kg", "kg", "=4+4", "1e3"})
    void what_is_no_weight_is_said_to_be_none(String written) {
        assertThatThrownBy(() -> CellParser.grams(written, Unit.KILOGRAM)).isInstanceOf(IllegalArgumentException.class);
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            2026-02-03          | DAY_FIRST   | 2026-02-03
            2026-02-03T18:30:00 | MONTH_FIRST | 2026-02-03
            3.2.2026            | DAY_FIRST   | 2026-02-03
            03/02/26            | DAY_FIRST   | 2026-02-03
            02/03/26            | MONTH_FIRST | 2026-02-03
            2/3/2026 18:30      | MONTH_FIRST | 2026-02-03
            2026/2/3            | MONTH_FIRST | 2026-02-03
            3 Feb 2026          | MONTH_FIRST | 2026-02-03
            3-Feb-26            | MONTH_FIRST | 2026-02-03
            February 3, 2026    | DAY_FIRST   | 2026-02-03
            June 3, 2026        | DAY_FIRST   | 2026-06-03
            29.2.2028           | DAY_FIRST   | 2028-02-29
            3. März 2026        | DAY_FIRST   | 2026-03-03
            3. Mai 2026         | DAY_FIRST   | 2026-05-03
            3 févr. 2026        | DAY_FIRST   | 2026-02-03
            3 août 2026         | MONTH_FIRST | 2026-08-03
            3-Dez-26            | MONTH_FIRST | 2026-12-03
            """)
    void a_day_is_understood_by_the_order_of_the_table(String written, Order order, LocalDate day) {
        assertThat(CellParser.day(written, order)).isEqualTo(day);
    }

    @ParameterizedTest
    @ValueSource(
            strings = {"", "31.2.2026", "29.2.2026", "13.13.2026", "yesterday", "3.2", "3 Foo 2026", "3.2.226", "45000"
            })
    void what_is_no_day_is_said_to_be_none(String written) {
        assertThatThrownBy(() -> CellParser.day(written, Order.DAY_FIRST)).hasMessageContaining("is no day");
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            24.50     | 2450
            €24,50    | 2450
            24,5 €/kg | 2450
            1 200     | 120000
            18        | 1800
            """)
    void a_price_is_understood_in_minor_units(String written, int minor) {
        assertThat(CellParser.minor(written)).isEqualTo(minor);
    }
}
