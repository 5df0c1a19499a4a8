package elvaro.server.exchange;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import elvaro.server.exchange.ArchiveColumn.ColumnType;
import java.math.BigDecimal;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.core.JsonParser;
import tools.jackson.core.json.JsonFactory;

/** What may stand in a column of an archive, and what may not. */
class ArchiveColumnTest {
    private static final String ID = "0190aa11-2b3c-4d5e-8f90-112233445566";

    private static ArchiveColumn column(ColumnType kind) {
        return new ArchiveColumn(
                "it",
                kind,
                false,
                kind == ColumnType.DECIMAL ? -999 : 0,
                kind == ColumnType.DECIMAL ? 999 : kind == ColumnType.TEXT ? 5 : 1000,
                2,
                List.of("SAW", "SEAMS"),
                null,
                UnaryOperator.identity());
    }

    private static Object read(ArchiveColumn column, String json) {
        try (JsonParser parser = new JsonFactory().createParser(json)) {
            parser.nextToken();
            return column.read(parser);
        }
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "2026-01-31 12:00:00",
                "2026-01-31 12:00:00.000000",
                "2024-02-29 23:59:59.120000",
                "1970-01-01 00:00:00.000001",
                "2199-12-31 00:10:00.100200",
                "2026-06-01 09:00:00.12",
                "2026-06-01 09:00:00.000"
            })
    void a_moment_of_the_database_is_written_as_an_instant_is(String moment) throws SQLException {
        ResultSet row = mock(ResultSet.class);
        when(row.getString(1)).thenReturn(moment);

        assertThat(column(ColumnType.MOMENT).value(row, 1))
                .isEqualTo(Instant.parse(moment.replace(' ', 'T') + "Z").toString());
    }

    static Stream<Arguments> right() {
        return Stream.of(
                Arguments.of(ColumnType.ID, "\"" + ID + "\"", ID),
                Arguments.of(ColumnType.TEXT, "\"\"", ""),
                Arguments.of(ColumnType.TEXT, "\"Fünf!\"", "Fünf!"),
                Arguments.of(ColumnType.TEXT, "\"🥩🥩🥩🥩🥩\"", "🥩🥩🥩🥩🥩"),
                Arguments.of(ColumnType.CHOICE, "\"SAW\"", "SAW"),
                Arguments.of(ColumnType.WHOLE, "0", 0L),
                Arguments.of(ColumnType.WHOLE, "1000", 1000L),
                Arguments.of(ColumnType.DECIMAL, "-1.25", new BigDecimal("-1.25")),
                Arguments.of(ColumnType.DECIMAL, "4", new BigDecimal("4")),
                Arguments.of(ColumnType.REAL, "0.1", 0.1),
                Arguments.of(ColumnType.TRUTH, "true", true),
                Arguments.of(ColumnType.DAY, "\"2026-02-28\"", LocalDate.of(2026, 2, 28)),
                Arguments.of(
                        ColumnType.MOMENT,
                        "\"2026-02-28T10:00:00.000001Z\"",
                        Instant.parse("2026-02-28T10:00:00.000001Z")));
    }

    @ParameterizedTest
    @MethodSource("right")
    void what_may_stand_there_is_read(ColumnType kind, String json, Object value) {
        assertThat(read(column(kind), json)).isEqualTo(value);
    }

    static Stream<Arguments> wrong() {
        return Stream.of(
                Arguments.of(ColumnType.ID, "\"0190AA11-2B3C-4D5E-8F90-112233445566\"", "no id"),
                Arguments.of(ColumnType.ID, "\"1-1-1-1-1\"", "no id"),
                Arguments.of(ColumnType.ID, "7", "no text"),
                Arguments.of(ColumnType.TEXT, "\"sixsix\"", "longer than 5"),
                Arguments.of(ColumnType.TEXT, "{}", "no text"),
                Arguments.of(ColumnType.CHOICE, "\"AXE\"", "cannot be “AXE”"),
                Arguments.of(ColumnType.WHOLE, "-1", "from 0 to 1000"),
                Arguments.of(ColumnType.WHOLE, "1001", "from 0 to 1000"),
                Arguments.of(ColumnType.WHOLE, "1.0", "from 0 to 1000"),
                Arguments.of(ColumnType.WHOLE, "99999999999999999999999", "from 0 to 1000"),
                Arguments.of(ColumnType.DECIMAL, "1.234", "at most 2 places"),
                Arguments.of(ColumnType.DECIMAL, "1000", "from -999 to 999"),
                Arguments.of(ColumnType.DECIMAL, "1e400", "from -999 to 999"),
                Arguments.of(ColumnType.REAL, "-0.5", "no number"),
                Arguments.of(ColumnType.REAL, "1e999", "no number"),
                Arguments.of(ColumnType.TRUTH, "1", "neither true nor false"),
                Arguments.of(ColumnType.DAY, "\"2026-02-30\"", "no day"),
                Arguments.of(ColumnType.DAY, "\"1899-12-31\"", "no day"),
                Arguments.of(ColumnType.MOMENT, "\"2026-02-28T10:00:00.0000001Z\"", "no moment"),
                Arguments.of(ColumnType.MOMENT, "\"2026-02-28\"", "no moment"),
                Arguments.of(ColumnType.WHOLE, "null", "missing"));
    }

    @ParameterizedTest
    @MethodSource("wrong")
    void what_may_not_is_refused_with_its_name(ColumnType kind, String json, String sentence) {
        assertThatThrownBy(() -> read(column(kind), json))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining("it ")
                .hasMessageContaining(sentence);
    }

    @Test
    void a_text_that_only_its_entity_understands_is_tried_on_it() {
        ArchiveColumn prices = new ArchiveColumn(
                "prices",
                ColumnType.TEXT,
                true,
                0,
                100,
                0,
                List.of(),
                null,
                text -> String.valueOf(Integer.parseInt(text)));
        assertThat(read(prices, "\"12\"")).isEqualTo("12");
        assertThat(read(prices, "null")).isNull();
        assertThatThrownBy(() -> read(prices, "\"twelve\"")).hasMessage("prices cannot be read.");
    }
}
