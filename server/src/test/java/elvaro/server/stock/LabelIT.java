package elvaro.server.stock;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.google.zxing.BinaryBitmap;
import com.google.zxing.DecodeHintType;
import com.google.zxing.RGBLuminanceSource;
import com.google.zxing.common.HybridBinarizer;
import com.google.zxing.datamatrix.DataMatrixReader;
import elvaro.core.label.BoxLabel;
import elvaro.server.support.Bodies;
import elvaro.server.support.Client;
import elvaro.server.support.PaperRead;
import elvaro.server.support.RunningApp;
import elvaro.server.support.RunningApp.Someone;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import tools.jackson.databind.JsonNode;

/** Labels as a printer and a phone's camera find them: read back by poppler and zbar, which are not ours. */
@ExtendWith(RunningApp.class)
class LabelIT {
    @TempDir
    Path folder;

    private static JsonNode packed(Client client) {
        String piece = client.cut();
        return client.must(client.put(
                        "/api/pieces/%s/packs".formatted(piece),
                        Map.of("packs", List.of(Bodies.packBody("STEAK", 1234), Bodies.packBody("TRIM", 200)))))
                .body();
    }

    private Path pdf(Client client, String path) throws IOException {
        return PaperRead.pdf(client, path, folder);
    }

    private static String labels(JsonNode packs, LabelSize size) {
        return "/api/labels?size=%s&packs=%s"
                .formatted(
                        size,
                        packs.valueStream()
                                .map(pack -> pack.path("id").asString())
                                .collect(Collectors.joining(",")));
    }

    @ParameterizedTest
    @EnumSource
    void a_camera_reads_back_which_pack_each_label_is_of(LabelSize size) throws Exception {
        Client client = RunningApp.newWorkshop().client();
        JsonNode packs = packed(client);
        Path pdf = pdf(client, labels(packs, size));
        PaperRead.run(
                "pdftoppm",
                "-r",
                "300",
                "-png",
                pdf.toString(),
                folder.resolve("page").toString());
        StringBuilder read = new StringBuilder();
        try (Stream<Path> pages = Files.list(folder)) {
            for (Path page :
                    pages.filter(each -> each.toString().endsWith(".png")).toList()) {
                read.append(PaperRead.run("zbarimg", "--quiet", "--raw", page.toString()));
            }
        }
        for (JsonNode pack : packs) {
            assertThat(read.toString())
                    .contains("http://127.0.0.1:%d/packs/%s"
                            .formatted(RunningApp.port(), pack.path("id").asString()));
        }
    }

    /** Held before it as a scanner is: the corner of the label where the squares are. */
    private static String scanned(Path page, LabelSize size) throws Exception {
        BufferedImage sheet = ImageIO.read(page.toFile());
        double dots = 300 / 25.4;
        int width = (int) (((size.height() - 4) * 0.35 + 4) * dots); // its square, and two millimetres beside it
        int height = (int) (size.height() * 0.39 * dots);
        int left = (int) ((size.left() + size.width()) * dots) - width;
        int top = (int) ((size.top() + size.height()) * dots) - height;
        BufferedImage corner = sheet.getSubimage(
                left, top, Math.min(width, sheet.getWidth() - left), Math.min(height, sheet.getHeight() - top));
        int[] light = corner.getRGB(0, 0, corner.getWidth(), corner.getHeight(), null, 0, corner.getWidth());
        return new DataMatrixReader()
                .decode(
                        new BinaryBitmap(new HybridBinarizer(
                                new RGBLuminanceSource(corner.getWidth(), corner.getHeight(), light))),
                        Map.of(DecodeHintType.TRY_HARDER, true))
                .getText();
    }

    @ParameterizedTest
    @EnumSource
    void a_scanner_reads_weight_days_lot_and_number(LabelSize size) throws Exception {
        Client client = RunningApp.newWorkshop().client();
        JsonNode packs = packed(client);
        Path pdf = pdf(client, labels(packs, size));
        PaperRead.run(
                "pdftoppm",
                "-r",
                "300",
                "-png",
                "-singlefile",
                pdf.toString(),
                folder.resolve("first").toString());
        JsonNode pack = packs.get(0);
        String code = scanned(folder.resolve("first.png"), size);
        assertThat(code).startsWith("\u001d"); // that it is a code of GS1
        BoxLabel read = BoxLabel.read(code, Bodies.today());
        assertThat(read.grams()).contains(1234);
        assertThat(read.packed()).contains(LocalDate.parse(pack.path("packedOn").asString()));
        assertThat(read.useBy())
                .isEqualTo(Optional.ofNullable(pack.get("useBy")).map(day -> LocalDate.parse(day.asString())));
        assertThat(read.lot()).contains(pack.path("tag").asString());
        assertThat(read.serial()).contains(pack.path("number").asString());
    }

    @ParameterizedTest
    @EnumSource
    void a_page_is_as_large_as_the_label_or_the_sheet(LabelSize size) throws Exception {
        Client client = RunningApp.newWorkshop().client();
        String info = PaperRead.run(
                "pdfinfo", pdf(client, labels(packed(client), size)).toString());
        String[] points = info.lines()
                .filter(line -> line.startsWith("Page size:"))
                .findFirst()
                .orElseThrow()
                .replaceAll("[^0-9. x]", "")
                .strip()
                .split(" *x *");
        double width = size.isSheet() ? 210 : size.width();
        double height = size.isSheet() ? 297 : size.height();
        assertThat(Double.parseDouble(points[0]) * 25.4 / 72).isCloseTo(width, within(0.2));
        assertThat(Double.parseDouble(points[1].split(" ")[0]) * 25.4 / 72).isCloseTo(height, within(0.2));
        assertThat(info).contains(size.isSheet() ? "Pages:           1" : "Pages:           2");
    }

    @Test
    void what_stands_on_it_is_what_was_weighed_and_worked_out(Someone owner) throws Exception {
        Client client = owner.client();
        JsonNode packs = packed(client);
        Path pdf = pdf(client, labels(packs, LabelSize.THERMAL_100_50));
        String text = PaperRead.run("pdftotext", "-layout", pdf.toString(), "-");
        double perKg = packs.at("/0/pricePerKg").asDouble() / 100;
        assertThat(text)
                .contains("No. " + packs.at("/0/number").asInt())
                .contains("1.234 kg, €%.2f/kg, €%.2f".formatted(perKg, perKg * 1.234))
                .contains("vacuum, frozen, packed")
                .contains("ground meat: cook through")
                .contains("Test shop");
        client.must(client.put(
                "/api/me/preferences",
                Map.of(
                        "weightUnit",
                        "LB",
                        "temperatureUnit",
                        "CELSIUS",
                        "lengthUnit",
                        "MM",
                        "theme",
                        "LIGHT",
                        "figures",
                        "DEVICE")));
        assertThat(PaperRead.run(
                        "pdftotext",
                        "-layout",
                        pdf(client, labels(packs, LabelSize.THERMAL_100_50)).toString(),
                        "-"))
                .as("by the pound, for the same money")
                .contains("2.72 lb, €%.2f/lb, €%.2f".formatted(perKg * 0.45359237, perKg * 1.234));
    }

    @Test
    void a_tag_hangs_on_a_piece_and_opens_it(Someone owner) throws Exception {
        Client client = owner.client();
        String piece = client.hang(client.chamber("North Room", 100_000), 4000).get(0);
        Path pdf = pdf(client, "/api/pieces/%s/hang-tag?size=THERMAL_62_29".formatted(piece));
        assertThat(PaperRead.run("pdftotext", pdf.toString(), "-")).contains("4.000 kg green", "North Room");
        PaperRead.run(
                "pdftoppm",
                "-r",
                "300",
                "-png",
                pdf.toString(),
                folder.resolve("tag").toString());
        assertThat(PaperRead.run(
                        "zbarimg",
                        "--quiet",
                        "--raw",
                        folder.resolve("tag-1.png").toString()))
                .contains("/pieces/" + piece);
    }

    /** Where poppler finds the words: none beyond the edge, none under the code that opens the pack, the wider of both. */
    @ParameterizedTest
    @EnumSource
    void words_stay_on_the_label_however_long_they_are(LabelSize size) throws Exception {
        Client client = RunningApp.newWorkshop().client();
        Map<String, Object> settings = client.workshopBody();
        settings.put("name", "The old dairy and farm butchery of the upper valley by the mill");
        client.must(client.put("/api/workshop", settings));
        JsonNode packs = packed(client);
        String boxes = PaperRead.run(
                "pdftotext", "-bbox", pdf(client, labels(packs, size)).toString(), "-");
        double points = 72 / 25.4;
        Matcher word = Pattern.compile(
                        "<word xMin=\"([0-9.]+)\" yMin=\"([0-9.]+)\" xMax=\"([0-9.]+)\" yMax=\"([0-9.]+)\">([^<]*)</word>")
                .matcher(boxes);
        int found = 0;
        while (word.find()) {
            found++;
            double right = (Double.parseDouble(word.group(3)) / points - size.left()) % size.width();
            double foot = (Double.parseDouble(word.group(4)) / points - size.top()) % size.height();
            double code = Math.min((size.height() - 4) * 0.6, size.width() * 0.36);
            assertThat(right).as(word.group(5) + " under the code").isLessThan(size.width() - code - 2);
            assertThat(foot).as(word.group(5) + " off the foot").isBetween(1.0, size.height());
        }
        assertThat(found).isGreaterThan(30);
    }

    @Test
    void labels_of_more_packs_than_a_sheet_holds_go_on_to_the_next(Someone owner) throws Exception {
        Client client = owner.client();
        String piece = client.cut();
        List<Map<String, Object>> many =
                Stream.generate(() -> Bodies.packBody("STEAK", 110)).limit(27).toList();
        JsonNode packs = client.must(client.put("/api/pieces/%s/packs".formatted(piece), Map.of("packs", many)))
                .body();
        Path pdf = pdf(client, labels(packs, LabelSize.SHEET_70_37));
        assertThat(PaperRead.run("pdfinfo", pdf.toString())).contains("Pages:           2");
        String text = PaperRead.run("pdftotext", pdf.toString(), "-");
        assertThat(Pattern.compile("No\\. (\\d+)").matcher(text).results().map(each -> each.group(1)))
                .doesNotHaveDuplicates()
                .hasSize(27);
    }

    @Test
    void labels_of_a_pack_of_nobody_are_not_printed(Someone owner) {
        Client client = owner.client();
        assertThat(client.get("/api/labels?size=SHEET_70_37&packs=" + UUID.randomUUID())
                        .status())
                .isEqualTo(404);
        assertThat(client.get("/api/labels?size=POSTER&packs=" + UUID.randomUUID())
                        .status())
                .isBetween(400, 499);
    }
}
