package elvaro.server.past;

import static org.assertj.core.api.Assertions.assertThat;

import elvaro.server.support.Api.Answer;
import elvaro.server.support.Client;
import elvaro.server.support.RunningApp;
import elvaro.server.support.RunningApp.Someone;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.dhatim.fastexcel.Workbook;
import org.dhatim.fastexcel.Worksheet;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Tables that people kept before become pieces with their weights: whole, or with every wrong cell named. */
@ExtendWith(RunningApp.class)
class PastIT {
    private static final JsonMapper JSON = new JsonMapper();
    private static final String TABLE = """
            Piece;Cut;Hung on;Green weight;Date;Weight;Pulled on;Final weight;Steaks;Trim
            First rib;Strip loin;3.1.2026;5,2 kg;;;7.2.2026;4,55;3,1;0,9
            First rib;;;;10.1.2026;5,02;;;;
            First rib;;;;24.1.2026;4,75;;;;
            """;

    private static JsonNode table(Client client, byte[] file) {
        var answer = client.bytes("POST", "/api/past/table", "application/octet-stream", file);
        return JSON.readTree(answer.body());
    }

    private static Map<String, Object> form(JsonNode sheet, String chamber) {
        Map<String, Object> form = new HashMap<>();
        form.put("rows", JSON.convertValue(sheet.get("rows"), new TypeReference<List<List<String>>>() {}));
        form.put("headRow", sheet.path("headRow").asInt());
        form.put("columns", JSON.convertValue(sheet.get("guess"), new TypeReference<Map<String, Integer>>() {}));
        Map<String, String> weighings = new HashMap<>();
        sheet.path("weighings")
                .forEach(column -> weighings.put(
                        column.asString(),
                        sheet.path("columns").path(column.asInt()).asString()));
        form.put("weighings", weighings);
        form.putAll(Map.of("unit", "KILOGRAM", "order", "DAY_FIRST", "method", "OPEN_AIR", "rest", "DISCARD"));
        form.put("chamberId", chamber);
        return form;
    }

    @Test
    void a_piece_of_the_past_comes_in_once_with_its_weights_and_its_yield(Someone owner) {
        Client client = owner.client();
        Map<String, Object> form =
                form(table(client, TABLE.getBytes(StandardCharsets.UTF_8)), client.chamber("Fridge", 20_000));
        JsonNode preview = client.must(client.post("/api/past/preview", form)).body();
        assertThat(preview.get("faults")).isEmpty();
        assertThat(preview.at("/stories/0/sentence").asString()).contains("2 weighings");
        assertThat(client.get("/api/lots").body()).isEmpty();

        String path = "/api/past/" + UUID.randomUUID();
        client.must(client.put(path, form));
        client.must(client.put(path, form));
        JsonNode cut = client.get("/api/pieces/cut").body();
        assertThat(cut).hasSize(1);
        JsonNode bench = client.get("/api/bench/" + cut.at("/0/id").asString()).body();
        assertThat(bench.path("balance").asString()).isEqualTo("CLOSES");
        assertThat(client.get("/api/pieces/%s/record".formatted(cut.at("/0/id").asString()))
                        .body()
                        .get("rows")
                        .valueStream()
                        .map(row -> row.path("what").asString() + " "
                                + row.path("grams").asInt()))
                .containsExactly(
                        "Weighed 5020",
                        "Weighed 4750",
                        "Pulled 4550",
                        "Pile of steaks and roasts 3100",
                        "Pile of usable trim 900",
                        "Pile of discard 550",
                        "Closed 0");
    }

    @Test
    void weighings_of_a_piece_that_hangs_here_are_added_in_the_order_of_their_days(Someone owner) {
        Client client = owner.client();
        String piece =
                client.hangAgo(20, client.chamber("Fridge", 20_000), 40, 5000).get(0);
        LocalDate today = LocalDate.parse(
                client.get("/api/session").body().at("/me/today").asString());
        String rows = "tag,date,weight\n1a,%s,4.8\n1A,%s,4.9\n".formatted(today.minusDays(6), today.minusDays(13));
        Map<String, Object> form = form(table(client, rows.getBytes(StandardCharsets.UTF_8)), null);
        client.must(client.put("/api/past/" + UUID.randomUUID(), form));
        JsonNode again =
                client.must(client.put("/api/past/" + UUID.randomUUID(), form)).body();
        assertThat(again.path("known").asInt()).isEqualTo(2);
        assertThat(again.path("weighings").asInt()).isZero();
        assertThat(client.get("/api/pieces/%s/record".formatted(piece))
                        .body()
                        .get("rows")
                        .valueStream()
                        .map(row -> row.path("grams").asInt()))
                .containsExactly(4900, 4800);
    }

    @Test
    void every_wrong_cell_is_named_and_nothing_is_taken_in(Someone owner) {
        Client client = owner.client();
        String wrong = "\n\n" + TABLE.replace("3.1.2026", "33.1.2026").replace("4,75", "heavy");
        Map<String, Object> form =
                form(table(client, wrong.getBytes(StandardCharsets.UTF_8)), client.chamber("Fridge", 20_000));
        assertThat(client.post("/api/past/preview", form)
                        .body()
                        .get("faults")
                        .valueStream()
                        .map(fault -> "%d %s"
                                .formatted(
                                        fault.path("row").asInt(),
                                        fault.path("field").asString())))
                .contains("4 HUNG_ON", "6 WEIGHT");
        Answer refused = client.put("/api/past/" + UUID.randomUUID(), form);
        assertThat(refused.type()).isEqualTo("bad-table");
        assertThat(client.get("/api/lots").body()).isEmpty();
        form = form(table(client, TABLE.getBytes(StandardCharsets.UTF_8)), null);
        assertThat(client.put("/api/past/" + UUID.randomUUID(), form).type()).isEqualTo("no-chamber");
        assertThat(owner.benchHand().post("/api/past/preview", form).status()).isEqualTo(403);
    }

    @Test
    void a_workbook_is_read_as_it_shows_and_rubbish_is_turned_away(Someone owner) throws IOException {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        Workbook book = new Workbook(bytes, "Test", "1.0");
        Worksheet sheet = book.newWorksheet("Weights");
        sheet.value(0, 0, "Tag");
        sheet.value(0, 1, "Date");
        sheet.value(0, 2, "Weight (kg)");
        sheet.value(2, 0, "1A");
        sheet.value(2, 1, LocalDate.of(2026, 2, 3));
        sheet.style(2, 1).format("dd.mm.yyyy").set();
        sheet.value(2, 2, 4.85);
        book.finish();
        JsonNode read = table(owner.client(), bytes.toByteArray());
        assertThat(read.at("/rows/1")).as(read.toString()).isNotEmpty();
        assertThat(read.at("/rows/1").valueStream().map(JsonNode::asString))
                .containsExactly("1A", "2026-02-03", "4.85");
        assertThat(read.at("/guess/WEIGHT").asInt()).isEqualTo(2);
        for (String rubbish : List.of("", "x", "PK\u0003\u0004 but no workbook", "\"open")) {
            assertThat(table(owner.client(), rubbish.getBytes(StandardCharsets.UTF_8))
                            .path("type")
                            .asString())
                    .as(rubbish)
                    .isEqualTo("urn:elvaro:bad-file");
        }
    }
}
