package elvaro.server.past;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import elvaro.core.past.CellParser.Order;
import elvaro.core.past.CellParser.Unit;
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
        return read(text.getBytes(StandardCharsets.UTF_8));
    }

    private static TableFile read(byte[] file) {
        return TableFile.read(file, null, null);
    }

    @ParameterizedTest
    @ValueSource(strings = {",", ";", "\t", "|"})
    void columns_are_parted_by_comma_semicolon_tab_or_bar(String mark) {
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
        assertThat(read(old).rows()).containsExactly(List.of("Hüfte", "4"));
        byte[] marked = "\uFEFFTag;Weight\n1A;4\n".getBytes(StandardCharsets.UTF_8);
        assertThat(read(marked).columns()).containsExactly("Tag", "Weight");
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
        assertThatThrownBy(() -> read(bytes.toByteArray()))
                .isInstanceOf(Refusal.class)
                .hasMessageContaining("unpacks to more");
    }

    private static TableFile written(String name, Integer sheet) throws IOException {
        return TableFile.read(
                TableFileTest.class.getResourceAsStream("/tables/" + name).readAllBytes(), sheet, null);
    }

    /** Written by openpyxl with its epoch of 1904; its other days begin in 1900. */
    @ParameterizedTest
    @ValueSource(strings = {"days-from-1900.xlsx", "days-from-1904.xlsx"})
    void a_day_in_a_workbook_is_the_day_that_was_meant(String name) throws IOException {
        assertThat(written(name, null).rows())
                .containsExactly(List.of("old", "2026-01-03", "5.2"), List.of("old", "2026-02-07T16:30", "4.5"));
    }

    @Test
    void a_sheet_can_be_chosen_and_its_heads_stand_where_they_stand() throws IOException {
        TableFile first = written("two-sheets.xlsx", null);
        assertThat(first.sheets()).containsExactly("Notes", "Weights");
        TableFile second = written("two-sheets.xlsx", 1);
        assertThat(second.headRow()).isEqualTo(4);
        assertThat(second.columns()).containsExactly("Piece", "Green weight", "Hung on", "2026-01-10", "2026-01-17");
        assertThat(second.weighings()).containsExactly(3, 4);
        assertThat(second.rows()).contains(List.of("Total", "10.4", "", "", ""));
    }

    /** Written by odfpy. */
    @Test
    void an_open_document_is_read() throws IOException {
        TableFile table = written("weights.ods", null);
        assertThat(table.columns()).containsExactly("Stück", "Datum", "Gewicht (kg)");
        assertThat(table.guess())
                .containsEntry(PastField.PIECE, 0)
                .containsEntry(PastField.DAY, 1)
                .containsEntry(PastField.WEIGHT, 2);
        assertThat(table.rows())
                .containsExactly(List.of("12A", "2026-01-03", "5.2"), List.of("12A", "2026-01-10", "5"));
        assertThat(table.unit()).isEqualTo(Unit.KILOGRAM);
    }

    @Test
    void a_workbook_of_the_old_kind_is_named_as_such() {
        byte[] old = new byte[600];
        System.arraycopy(new byte[] {(byte) 0xd0, (byte) 0xcf, 0x11, (byte) 0xe0}, 0, old, 0, 4);
        assertThatThrownBy(() -> read(old)).isInstanceOf(Refusal.class).hasMessageContaining("of the old kind (.xls)");
    }

    @Test
    void titles_above_marks_of_the_separator_and_wide_letters_are_no_hindrance() {
        assertThat(read("Brackenrow, ageing book\n\nseen by M. Sorley\nTag;Weight\n1A;4\n")
                        .headRow())
                .isEqualTo(4);
        assertThat(read("sep=|\nTag|Weight\n1A|4\n").columns()).containsExactly("Tag", "Weight");
        byte[] wide = "\uFEFFTag\tWeight\n1A\t4\n".getBytes(StandardCharsets.UTF_16LE);
        assertThat(read(wide).rows()).containsExactly(List.of("1A", "4"));
    }

    @Test
    void heads_that_were_merged_or_stand_twice_keep_their_columns() {
        TableFile table = read("Piece;Weight;;Weight\n1A;5;4.9;4.8\n");
        assertThat(table.columns()).containsExactly("Piece", "Weight", "", "Weight");
        assertThat(read("Tag;Weights;;\n;Green weight;Final weight;Steaks\n1A;5;4;3\n")
                        .columns())
                .containsExactly("Tag", "Green weight", "Final weight", "Steaks");
    }

    @Test
    void the_unit_is_told_by_the_heads_or_by_how_large_the_figures_are() {
        assertThat(read("tag;weight (lb)\n1;9.9\n").unit()).isEqualTo(Unit.POUND);
        assertThat(read("tag;weight kg\n1;9.9\n").unit()).isEqualTo(Unit.KILOGRAM);
        assertThat(read("tag;weight\n1;4,9\n1;\n").unit()).isEqualTo(Unit.KILOGRAM);
        assertThat(read("tag;weight\n1;4900\n").unit()).isEqualTo(Unit.GRAM);
    }

    @Test
    void which_of_two_numbers_is_the_day_is_told_by_one_above_twelve() {
        assertThat(read("tag;date;weight\n1;3/24/2026;5\n").order()).isEqualTo(Order.MONTH_FIRST);
        assertThat(read("tag;date;weight\n1;24/3/2026;5\n").order()).isEqualTo(Order.DAY_FIRST);
        assertThat(read("tag;date;weight\n1;3.4.2026;5\n").orderSure()).isTrue();
        assertThat(read("tag;date;weight\n1;3/4/2026;5\n").orderSure()).isFalse();
    }
}
