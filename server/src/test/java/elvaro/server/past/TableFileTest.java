package elvaro.server.past;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import elvaro.core.past.PastField;
import elvaro.server.shared.Refusal;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Files as people's programs write them. */
class TableFileTest {
    private static TableFile read(String text) {
        return TableFile.read(text.getBytes(StandardCharsets.UTF_8));
    }

    @ParameterizedTest
    @ValueSource(strings = {",", ";", "\t"})
    void columns_are_parted_by_comma_semicolon_or_tab(String mark) {
        TableFile table = read("Tag,Weight\n1A,4\n".replace(",", mark));
        assertThat(table.columns()).containsExactly("Tag", "Weight");
        assertThat(table.rows()).containsExactly(List.of("1A", "4"));
        assertThat(table.guess()).containsEntry(PastField.PIECE, 0).containsEntry(PastField.WEIGHT, 1);
    }

    @Test
    void rows_keep_their_places_and_are_as_long_as_the_head() {
        TableFile table = read("\n\nTag,Weight\n\n1A\n2A,4,too much\n");
        assertThat(table.headRow()).isEqualTo(3);
        assertThat(table.rows()).containsExactly(List.of("", ""), List.of("1A", ""), List.of("2A", "4"));
    }

    @Test
    void what_older_programs_write_is_read_as_they_meant_it() {
        byte[] old = "Stück;Gewicht\nHüfte;4\n".getBytes(Charset.forName("windows-1252"));
        assertThat(TableFile.read(old).rows()).containsExactly(List.of("Hüfte", "4"));
        byte[] marked = "\uFEFFTag;Weight\n1A;4\n".getBytes(StandardCharsets.UTF_8);
        assertThat(TableFile.read(marked).columns()).containsExactly("Tag", "Weight");
    }

    @Test
    void too_much_at_once_is_turned_away() {
        assertThatThrownBy(() -> read("Tag,Weight\n" + "1A,4\n".repeat(TableFile.MOST_ROWS)))
                .isInstanceOf(Refusal.class)
                .hasMessageContaining("At most 5000 rows");
        assertThatThrownBy(() -> read("a,".repeat(61) + "b\n1,2\n"))
                .isInstanceOf(Refusal.class)
                .hasMessageContaining("60 columns");
        assertThat(read("Tag,Words\n1A," + "x".repeat(600) + "\n").rows().get(0).get(1))
                .hasSize(TableFile.LONGEST_CELL);
    }

    @Test
    void a_workbook_that_unpacks_without_end_is_turned_away() throws IOException {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        try (ZipOutputStream zip = new ZipOutputStream(bytes)) {
            zip.putNextEntry(new ZipEntry("xl/worksheets/sheet1.xml"));
            byte[] blank = new byte[1 << 20];
            for (int megabyte = 0; megabyte < 101; megabyte++) {
                zip.write(blank);
            }
        }
        assertThat(bytes.size()).isLessThan(200_000);
        assertThatThrownBy(() -> TableFile.read(bytes.toByteArray()))
                .isInstanceOf(Refusal.class)
                .hasMessageContaining("unpacks to more");
    }
}
