package elvaro.server.shared;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.StringReader;
import java.math.BigDecimal;
import java.util.Arrays;
import java.util.List;
import java.util.Objects;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVRecord;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class CsvFileTest {
    private static List<CSVRecord> read(String text) throws IOException {
        return CSVFormat.RFC4180
                .builder()
                .setHeader()
                .get()
                .parse(new StringReader(text))
                .getRecords();
    }

    private static String written(Object value) throws IOException {
        return read(CsvFile.of(List.of("what"), List.of(Arrays.asList(value))))
                .get(0)
                .get("what");
    }

    @Test
    void what_people_write_comes_back_as_they_wrote_it() throws IOException {
        for (String words :
                List.of("plain", "a, b", "he said \"no\"", "two\nlines", "  kept  ", "Crème 30 °C", "3 - 4")) {
            assertThat(written(words)).isEqualTo(words);
        }
    }

    /** What a spreadsheet would run: OWASP's list of first characters. */
    @ParameterizedTest
    @ValueSource(strings = {"=1+1", "+1", "-1", "@SUM(A1)", "\tx", "\rx", "=cmd|' /C calc'!A0"})
    void words_that_begin_like_a_formula_are_made_words(String words) throws IOException {
        assertThat(written(words)).isEqualTo("'" + words);
    }

    @Test
    void figures_stay_figures_below_nothing_too() throws IOException {
        assertThat(written(new BigDecimal("-1.5"))).isEqualTo("-1.5");
        assertThat(written(-3)).isEqualTo("-3");
        assertThat(written(true)).isEqualTo("true");
        assertThat(written(null)).isEmpty();
    }

    @Test
    void lines_end_as_the_standard_has_it_and_every_row_has_every_column() throws IOException {
        String text = CsvFile.of(List.of("tag", "green_g"), List.of(List.of("1A", 4000), List.of("1B", 3900)));
        assertThat(text).isEqualTo("tag,green_g\r\n1A,4000\r\n1B,3900\r\n");
        assertThat(read(text)).allSatisfy(row -> assertThat(row.size()).isEqualTo(2));
        assertThat(CsvFile.of(List.of("tag"), List.of())).isEqualTo("tag\r\n");
    }

    @Test
    void a_file_has_a_name_that_any_disk_takes() {
        var headers = CsvFile.attached("23A Rib, äged/..\\x.csv", "").getHeaders();
        assertThat(Objects.requireNonNull(headers.getContentDisposition().getFilename()))
                .matches("[A-Za-z0-9.-]+")
                .endsWith(".csv");
        assertThat(headers.getContentDisposition().isAttachment()).isTrue();
    }
}
