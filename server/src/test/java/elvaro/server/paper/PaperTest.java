package elvaro.server.paper;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import elvaro.core.working.Units;
import elvaro.server.support.PaperRead;
import java.io.ByteArrayInputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Currency;
import java.util.List;
import java.util.Locale;
import java.util.stream.IntStream;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** A sheet as poppler reads it back. */
class PaperTest {
    private static final Units METRIC =
            new Units(Units.Mass.KILOGRAM, false, false, Currency.getInstance("EUR"), Locale.ENGLISH);

    @TempDir
    Path folder;

    private String read(Paper paper) throws Exception {
        Path pdf = Files.write(folder.resolve("sheet.pdf"), paper.pdf());
        return PaperRead.run("pdftotext", "-layout", pdf.toString(), "-");
    }

    @Test
    void what_is_written_stands_on_the_sheet_in_its_order() throws Exception {
        String words = read(Paper.a4("Bench, 25A", "Strip loin", METRIC)
                .heading("Piles")
                .sentence("Every gram is on a pile.")
                .table(List.of("", "found"), List.of(List.of("steaks", "2.5 kg"), List.of("bone", ""))));
        assertThat(words.indexOf("Bench, 25A")).isNotNegative();
        assertThat(words.indexOf("Strip loin")).isGreaterThan(words.indexOf("Bench, 25A"));
        assertThat(words.indexOf("Piles")).isGreaterThan(words.indexOf("Strip loin"));
        assertThat(words.indexOf("Every gram")).isGreaterThan(words.indexOf("Piles"));
        assertThat(words).containsPattern("steaks\\s+2\\.5 kg");
    }

    @Test
    void letters_of_all_of_europe_are_there() throws Exception {
        String letters = "Łódź, šunka, Ærø, Ωμέγα, мясо, ñandú, ß, €";
        assertThat(read(Paper.a4(letters, "", METRIC))).contains(letters);
    }

    @Test
    void what_is_longer_than_a_sheet_goes_on_on_the_next_with_its_head() throws Exception {
        List<List<String>> rows = IntStream.range(0, 80)
                .mapToObj(row -> List.of("piece " + row, "4.000 kg"))
                .toList();
        Path pdf = Files.write(
                folder.resolve("long.pdf"),
                Paper.a4("Many", "", METRIC)
                        .table(List.of("piece", "green"), rows)
                        .pdf());
        assertThat(PaperRead.run("pdfinfo", pdf.toString())).containsPattern("Pages:\\s+[3-9]");
        String words = PaperRead.run("pdftotext", "-layout", pdf.toString(), "-");
        assertThat(words).contains("piece 0", "piece 79");
        assertThat(words.split("green", -1)).as("the head on every sheet").hasSizeGreaterThan(3);
    }

    @Test
    void nothing_to_say_takes_no_room_and_a_crooked_table_is_refused() throws Exception {
        assertThat(read(Paper.a4("Title", " ", METRIC).sentence("")).strip()).isEqualTo("Title");
        assertThatThrownBy(() -> Paper.a4("Title", "", METRIC).table(List.of("a", "b"), List.of(List.of("one"))))
                .isInstanceOf(IllegalArgumentException.class);
    }

    /** A drawing that has no room goes to the next sheet, and what is written after it follows it there. */
    @Test
    void a_drawing_stays_with_its_heading_and_in_its_place() throws Exception {
        Paper paper = Paper.a4("Trial", "", METRIC);
        IntStream.range(0, 35).forEach(line -> paper.sentence("line " + line));
        CurveDrawing curve = new CurveDrawing(List.of(new CurveDrawing.Curve(
                0,
                "Plain",
                List.of(new CurveDrawing.Day(0, 0, 0, 0), new CurveDrawing.Day(30, 0.17, 0.16, 0.18)),
                List.of())));
        String[] sheets =
                read(paper.drawing("Water gone", curve).sentence("after it")).split("\f");
        assertThat(sheets[0]).contains("line 34").doesNotContain("Water gone", "after it");
        assertThat(sheets[1]).containsSubsequence("Water gone", "Plain 17 %", "after it");
    }

    /** The first arm may be fresh meat that has no curve: the second is still drawn as the second. */
    @Test
    void an_arm_keeps_its_colour_where_the_one_before_it_has_no_curve() throws Exception {
        var aged = new CurveDrawing.Curve(
                1,
                "Aged",
                List.of(new CurveDrawing.Day(0, 0, 0, 0), new CurveDrawing.Day(30, 0.17, 0.16, 0.18)),
                List.of());
        var picture = ImageIO.read(new ByteArrayInputStream(Paper.longPage("Trial", "", METRIC)
                .drawing(new CurveDrawing(List.of(aged)))
                .picture()));
        assertThat(IntStream.range(0, picture.getWidth() * picture.getHeight())
                        .filter(dot -> (picture.getRGB(dot % picture.getWidth(), dot / picture.getWidth()) & 0xffffff)
                                == 0x7a1f22)
                        .count())
                .isGreaterThan(500);
        assertThat(picture.getHeight()).as("cut off where it ends").isLessThan(1000);
    }
}
