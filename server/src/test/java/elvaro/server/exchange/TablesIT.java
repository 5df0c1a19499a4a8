package elvaro.server.exchange;

import static org.assertj.core.api.Assertions.assertThat;

import elvaro.server.support.Client;
import elvaro.server.support.RunningApp;
import elvaro.server.support.RunningApp.Someone;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Stream;
import java.util.zip.ZipEntry;
import java.util.zip.ZipFile;
import org.dhatim.fastexcel.reader.Cell;
import org.dhatim.fastexcel.reader.ReadableWorkbook;
import org.dhatim.fastexcel.reader.Row;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;

/** The record as tables, read by programs that are not ours. */
@ExtendWith(RunningApp.class)
class TablesIT {
    private static final Client MAREN = RunningApp.signIn("maren@brackenrow.example");

    @TempDir
    Path folder;

    private static byte[] file(Client client, String path) {
        var answer = client.bytes("GET", path, "application/octet-stream", new byte[0]);
        assertThat(answer.statusCode()).isEqualTo(200);
        return answer.body();
    }

    private String run(String... command) throws IOException, InterruptedException {
        Path said = folder.resolve("said.txt");
        int code = new ProcessBuilder(command)
                .directory(folder.toFile())
                .redirectErrorStream(true)
                .redirectOutput(said.toFile())
                .start()
                .waitFor();
        String text = Files.readString(said);
        assertThat(code).as(text).isZero();
        return text;
    }

    /** csvclean of Debian's csvkit: rows of one length, quotes that close. */
    @Test
    void every_table_of_the_data_package_is_clean_and_as_its_descriptor_says() throws Exception {
        Carried tables = Carried.opened(file(MAREN, "/api/exchange/tables.zip"));
        JsonNode descriptor = Carried.JSON.readTree(tables.entries().get("datapackage.json"));
        JsonNode counted = Carried.opened(Carried.from(MAREN)).tree().get("rows");
        assertThat(descriptor.get("resources")).hasSize(counted.size());
        for (JsonNode resource : descriptor.get("resources")) {
            byte[] csv = tables.entries().get(resource.path("path").asString());
            Path table = Files.write(folder.resolve("table.csv"), csv);
            List<String> lines = Files.readAllLines(table);
            assertThat(lines.get(0))
                    .isEqualTo(String.join(
                            ",",
                            resource.at("/schema/fields")
                                    .valueStream()
                                    .map(field -> field.path("name").asString())
                                    .toList()));
            if (!resource.path("name").asString().equals("air_reading")) {
                assertThat(run("csvclean", "-n", "table.csv")).contains("No errors");
            }
            assertThat(lines.size() - 1)
                    .isGreaterThanOrEqualTo(
                            counted.path(resource.path("name").asString()).asInt());
        }
    }

    /** By the JavaScript library of those who wrote the specification: every descriptor, every cell, every name of another row. */
    @Test
    void the_data_package_is_valid_by_a_validator_that_is_not_ours() throws Exception {
        Carried tables = Carried.opened(file(MAREN, "/api/exchange/tables.zip"));
        Files.createDirectories(folder.resolve("data"));
        for (var entry : tables.entries().entrySet()) {
            Files.write(folder.resolve(entry.getKey()), entry.getValue());
        }
        Files.writeString(folder.resolve("validate.js"), """
                const { Package } = require('datapackage');
                (async () => {
                  const pack = await Package.load('datapackage.json', { basePath: '.' });
                  const said = pack.errors.map((each) => each.message);
                  for (const table of pack.resources) {
                    try {
                      const limit = table.name === 'air_reading' ? 500 : undefined;
                      await table.read({ limit, relations: limit === undefined });
                    } catch (wrong) {
                      said.push(table.name, ...(wrong.errors?.length ? wrong.errors.slice(0, 3) : [wrong]).map(String));
                    }
                  }
                  console.log(said.join('\\n') || 'valid: ' + pack.resources.length);
                })();
                """);
        Path modules = Path.of("../web/node_modules").toAbsolutePath().normalize();
        assertThat(run("env", "NODE_PATH=" + modules, "node", "validate.js")).startsWith("valid: ");
    }

    @Test
    void a_spreadsheet_program_opens_the_workbook_and_finds_the_figures_of_compare() throws Exception {
        Files.write(folder.resolve("house.xlsx"), file(MAREN, "/api/exchange/workbook.xlsx"));
        run(
                "soffice",
                "-env:UserInstallation=file://" + folder.resolve("profile"),
                "--headless",
                "--convert-to",
                "csv:Text - txt - csv (StarCalc):44,34,76,1,,0,false,true,false,false,false,-1",
                "house.xlsx");
        List<String> finished = Files.readAllLines(folder.resolve("house-Finished pieces.csv"));
        List<String> compared =
                MAREN.text("/api/evidence/pieces.csv").strip().lines().toList();
        assertThat(finished).hasSameSizeAs(compared);
        assertThat(columns(finished)).isEqualTo(columns(compared));
        assertThat(Files.readString(folder.resolve("house-Chamber.csv"))).contains("North Room", "Stone Locker");
        try (Stream<Path> sheets = Files.list(folder)) {
            assertThat(sheets.filter(path -> path.toString().endsWith(".csv")).count())
                    .isGreaterThan(20);
        }
    }

    @Test
    void a_seed_keeps_all_its_digits_in_a_workbook() throws Exception {
        List<String> seeds;
        try (ReadableWorkbook book =
                new ReadableWorkbook(new ByteArrayInputStream(file(MAREN, "/api/exchange/workbook.xlsx")))) {
            List<Row> rows = book.findSheet("Tasting").orElseThrow().read();
            int column = rows.get(0).stream().map(Cell::getText).toList().indexOf("seed");
            seeds = rows.stream()
                    .skip(1)
                    .map(row -> row.getCell(column))
                    .map(cell -> cell.getType() + " " + cell.getText())
                    .toList();
        }
        List<String> told = Arrays.stream(new String(Carried.opened(file(MAREN, "/api/exchange/tables.zip"))
                                .entries()
                                .get("data/tasting.csv"))
                        .split("\n"))
                .toList();
        assertThat(seeds).isNotEmpty().allSatisfy(seed -> {
            assertThat(seed).startsWith("STRING ");
            assertThat(told).anyMatch(line -> line.contains("," + seed.substring(7) + ","));
        });
    }

    private static String read(ZipFile zip, ZipEntry entry) {
        try {
            return new String(zip.getInputStream(entry).readAllBytes());
        } catch (IOException broken) {
            throw new UncheckedIOException(broken);
        }
    }

    /** Tags and weights, which no program writes in its own way. */
    private static List<String> columns(List<String> csv) {
        List<String> names = List.of(csv.get(0).split(","));
        return csv.subList(1, csv.size()).stream()
                .map(line -> line.split(",(?=(?:[^\"]*\"[^\"]*\")*[^\"]*$)", -1))
                .map(cells -> cells[names.indexOf("tag")] + " " + cells[names.indexOf("green_g")] + " "
                        + cells[names.indexOf("steak_g")])
                .toList();
    }

    @Test
    void words_that_a_spreadsheet_would_run_are_words(Someone owner) throws Exception {
        Client client = owner.client();
        String chamber = client.chamber("=1+1", 100_000);
        client.must(client.put(
                "/api/asks/" + UUID.randomUUID(), Map.of("version", 0, "name", "@SUM(1)", "query", "by=GRADE")));
        client.hang(chamber, 4000);
        Carried tables = Carried.opened(file(client, "/api/exchange/tables.zip"));
        assertThat(new String(tables.entries().get("data/chamber.csv"))).contains(",'=1+1,");
        assertThat(new String(tables.entries().get("data/ask.csv"))).contains(",'@SUM(1),");
        Path book = Files.write(folder.resolve("house.xlsx"), file(client, "/api/exchange/workbook.xlsx"));
        try (ZipFile zip = new ZipFile(book.toFile())) {
            List<String> sheets = zip.stream()
                    .map(entry -> read(zip, entry))
                    .filter(part -> part.contains("=1+1"))
                    .toList();
            assertThat(sheets).isNotEmpty().noneMatch(part -> part.contains("<f>"));
        }
        assertThat(owner.benchHand().get("/api/exchange/workbook.xlsx").status())
                .isEqualTo(403);
    }
}
