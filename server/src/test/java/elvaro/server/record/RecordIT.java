package elvaro.server.record;

import static org.assertj.core.api.Assertions.assertThat;

import elvaro.server.support.Bodies;
import elvaro.server.support.Client;
import elvaro.server.support.PaperRead;
import elvaro.server.support.RunningApp;
import elvaro.server.support.RunningApp.Someone;
import java.io.IOException;
import java.io.StringReader;
import java.nio.file.Path;
import java.time.Instant;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVRecord;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.io.TempDir;

/** What an inspector is shown. */
@ExtendWith(RunningApp.class)
class RecordIT {
    private static List<CSVRecord> file(Client client, String path) throws IOException {
        return CSVFormat.RFC4180
                .builder()
                .setHeader()
                .setSkipHeaderRecord(true)
                .get()
                .parse(new StringReader(client.text(path)))
                .getRecords();
    }

    private static CSVRecord first(List<CSVRecord> rows, String what) {
        return rows.stream()
                .filter(row -> row.get("what").startsWith(what))
                .findFirst()
                .orElseThrow();
    }

    /** A piece hung three days ago in a chamber whose air was measured yesterday, cold and for an hour warm. */
    private static String watched(Client client, String chamber) {
        String piece = client.hangAgo(3, chamber, 28, 4000).get(0);
        long yesterday = Instant.now().getEpochSecond() - 86_400;
        StringBuilder pack = new StringBuilder();
        for (int minute = 0; minute < 600; minute += 10) {
            pack.append(pack.isEmpty() ? "[" : ",")
                    .append("{\"n\":\"t\",\"u\":\"Cel\",\"t\":%d,\"v\":%s}"
                            .formatted(yesterday + minute * 60L, minute >= 120 && minute < 180 ? "7.5" : "2"));
        }
        client.must(client.pack(
                client.deviceToken(UUID.randomUUID().toString(), chamber),
                pack.append("]").toString()));
        return piece;
    }

    private static List<String> changes(Client client) {
        String today = client.get("/api/session").body().at("/me/today").asString();
        return client.get("/api/record/changes?from=%s&to=%s".formatted(today, today))
                .body()
                .path("rows")
                .valueStream()
                .map(row -> "%s, %s. %s (%s)"
                        .formatted(
                                row.path("of").asString(),
                                row.path("what").asString(),
                                row.path("words").asString(),
                                row.path("by").asString()))
                .toList();
    }

    @Test
    void a_supplier_and_an_ear_tag_that_are_changed_once_meat_hangs_stand_in_the_record_as_they_were(Someone owner) {
        Client hand = owner.benchHand();
        Client client = owner.client();
        String piece =
                client.hangToday(client.chamber("Cabinet", 50_000), 28, 8000).get(0);
        String id = client.get("/api/pieces/" + piece).body().at("/card/lotId").asString();
        Map<String, Object> lot = Bodies.lotBody(id, 8000);
        lot.putAll(Map.of("supplier", "Sallow Estate", "sourceTag", "BR 0000", "receivedOn", lotDay(client, id)));
        assertThat(hand.put("/api/lots/" + id, lot).questions()).containsExactly("why-changed");
        lot.put("answers", Map.of("why-changed", "Read off the wrong label."));
        hand.must(hand.put("/api/lots/" + id, lot));

        List<String> told = client.get("/api/pieces/" + piece + "/record")
                .body()
                .path("rows")
                .valueStream()
                .map(row -> row.path("what").asString() + ": "
                        + row.path("words").asString() + " " + row.path("by").asString())
                .toList();
        assertThat(told)
                .contains("Supplier: Was: Hollin Farm. Is: Sallow Estate. Read off the wrong label. Idris Vale")
                .anyMatch(row -> row.startsWith("Seller's lot or game tag: Was: ")
                        && row.contains("Is: BR 0000. Read off the wrong label."));
    }

    private static String lotDay(Client client, String lot) {
        return client.get("/api/lots/" + lot).body().at("/form/receivedOn").asString();
    }

    @Test
    void what_is_changed_of_chambers_settings_people_and_rules_is_told_with_what_it_was(Someone owner) {
        Client client = owner.client();
        String chamber = client.chamber("Cabinet", 50_000);
        Map<String, Object> lot = Bodies.lotBody(UUID.randomUUID().toString(), 8000);
        client.must(client.post("/api/lots", lot));
        lot.putAll(Map.of("cutCode", "strip", "boneIn", false));
        client.must(client.put("/api/lots/" + lot.get("id"), lot));
        Map<String, Object> warmer = new HashMap<>(Bodies.chamberBody(chamber, "Cabinet", 60_000));
        warmer.put("setCelsius", 4.5);
        client.must(client.put("/api/chambers/" + chamber, warmer));
        assertThat(changes(client))
                .contains("Cabinet, Added.  (Owner)")
                .anyMatch(row -> row.startsWith("Cabinet, Limit. Was: 50000 g. Is: 60000 g."))
                .anyMatch(row -> row.startsWith("Cabinet, Set to. Was: ") && row.contains("4.5"))
                .anyMatch(row -> row.contains(", Cut. Was: Rib") && row.contains("Is: Strip loin"))
                .anyMatch(row -> row.contains(", On the bone. Was: yes. Is: no."));
    }

    @Test
    void a_piece_s_record_holds_corrections_looks_decisions_and_the_air_it_hung_in(Someone owner) throws IOException {
        Client client = owner.client();
        String chamber = client.chamber("Cabinet", 90_000);
        String piece = watched(client, chamber);
        String weighing = UUID.randomUUID().toString();
        client.must(client.put("/api/pieces/%s/log/%s".formatted(piece, weighing), Bodies.entry("WEIGHED", 3980)));
        Map<String, Object> correction = Bodies.entry("WEIGHED", 3890);
        correction.put("corrects", weighing);
        client.must(client.write(piece, correction));
        Map<String, Object> note = Bodies.entry("NOTE", 0);
        note.put("words", "=1+1 smelled of nothing, \"clean\"");
        client.must(client.write(piece, note));
        client.must(client.put(
                "/api/pieces/%s/looks/%s".formatted(piece, UUID.randomUUID()),
                Bodies.lookBody(
                        "colour",
                        "BROWN",
                        "surface",
                        "WET",
                        "moulds",
                        List.of("WHITE_POWDER"),
                        "extent",
                        "PATCHES",
                        "smell",
                        "NUTTY")));

        List<CSVRecord> rows = file(client, "/api/pieces/%s/record.csv".formatted(piece));
        assertThat(rows).as("one number of columns").allMatch(CSVRecord::isConsistent);
        assertThat(rows.stream()
                        .filter(row -> row.get("what").equals("Weighed"))
                        .map(row -> row.get("grams") + " " + row.get("standing")))
                .containsExactly("3980 replaced", "3890 corrects");
        assertThat(first(rows, "Note").get("words")).isEqualTo("'=1+1 smelled of nothing, \"clean\"");
        assertThat(first(rows, "Looked").get("words"))
                .isEqualTo(
                        "Act: brown, wet, white powder mould, patches, smells nutty. Wet after two days in the air, or"
                                + " tacky after a week.");
        assertThat(first(rows, "Looked").get("by")).isEqualTo("Owner");
        assertThat(rows.stream()
                        .filter(row -> row.get("what").equals("Air of the day"))
                        .mapToDouble(row -> Double.parseDouble(row.get("celsius_max")))
                        .max())
                .hasValue(7.5);
        CSVRecord warm = first(rows, "Air: Above 5 °C");
        assertThat(warm.get("standing")).isEqualTo("undecided");
        assertThat(warm.get("what")).contains("up to 7.5 °C");
        assertThat(warm.get("celsius_max")).isEqualTo("7.5");
        assertThat(Double.parseDouble(warm.get("degree_hours"))).isPositive();
    }

    @Test
    void a_chamber_s_record_holds_what_happened_to_pieces_while_they_hung_there_and_no_more(Someone owner)
            throws IOException {
        Client client = owner.client();
        String first = client.chamber("First", 90_000);
        String second = client.chamber("Second", 90_000);
        String piece = client.hangAgo(3, first, 28, 4000).get(0);
        client.must(client.write(piece, Bodies.entry("WEIGHED", 3900)));
        client.must(client.put(
                "/api/pieces/%s/move/%s".formatted(piece, UUID.randomUUID()),
                Map.of("chamberId", second, "words", "", "answers", Map.of())));
        client.must(client.write(piece, Bodies.entry("TURNED", 0)));
        String days = "?from=%s&to=%s"
                .formatted(Bodies.today().minusDays(7), Bodies.today().plusDays(1));
        assertThat(file(client, "/api/chambers/%s/record.csv%s".formatted(first, days)).stream()
                        .map(row -> row.get("what")))
                .containsExactly("Added", "Weighed", "Moved");
        assertThat(file(client, "/api/chambers/%s/record.csv%s".formatted(second, days)).stream()
                        .map(row -> row.get("what")))
                .containsExactly("Added", "Moved", "Turned");
        assertThat(client.get("/api/chambers/%s/record?from=2026-02-01&to=2026-01-01".formatted(first))
                        .status())
                .isEqualTo(422);
    }

    @Test
    void some_days_of_the_house_are_on_paper_as_they_were(Someone owner, @TempDir Path folder) throws Exception {
        Client client = owner.client();
        String piece = watched(client, client.chamber("Cold room", 100_000));
        client.must(client.write(piece, Bodies.entry("PULLED", 3700)));
        client.must(client.write(piece, Bodies.pile("STEAK", 3000)));
        client.must(client.write(piece, Bodies.pile("DISCARD", 700)));
        client.must(
                client.put("/api/bench/%s/close/%s".formatted(piece, UUID.randomUUID()), Map.of("answers", Map.of())));
        client.must(client.put(
                "/api/pieces/%s/packs".formatted(piece), Map.of("packs", List.of(Bodies.packBody("STEAK", 3000)))));
        LocalDate today = LocalDate.parse(
                client.get("/api/session").body().at("/me/today").asString());
        String words = PaperRead.words(
                client, "/api/record/report.pdf?from=%s&to=%s".formatted(today.minusDays(30), today), folder);
        assertThat(words.replaceAll("\\s+", " "))
                .contains("1 piece: of 4.000 kg hung, 0.300 kg dried away (7.5 %) and 3.000 kg became steaks")
                .contains("Packed: Steaks, 1 pack, 3.000 kg.")
                .contains("Air of Cold room")
                .contains("Above 5 °C")
                .contains("the law of the place");
        // 7.5 % of the bar, 499 points wide and 12 high, is water.
        assertThat(PaperRead.dots(
                        client,
                        "/api/record/report.pdf?from=%s&to=%s".formatted(today.minusDays(30), today),
                        folder,
                        0x8fa3a6))
                .isBetween(300L, 600L);
        client.must(client.put(
                "/api/me/preferences",
                Map.of(
                        "weightUnit",
                        "LB_OZ",
                        "temperatureUnit",
                        "FAHRENHEIT",
                        "lengthUnit",
                        "INCH",
                        "theme",
                        "DARK",
                        "figures",
                        "DEVICE")));
        assertThat(PaperRead.words(
                                client,
                                "/api/record/report.pdf?from=%s&to=%s".formatted(today.minusDays(30), today),
                                folder)
                        .replaceAll("\\s+", " "))
                .as("in the units of whoever prints it")
                .contains("1 piece: of 8 lb 13.10 oz hung, 0 lb 10.58 oz dried away (7.5 %) and 6 lb 9.82 oz became")
                .contains("a lb, EUR")
                .contains("Above 41 °F, up to 45.5 °F");
        assertThat(client.get("/api/record/report.pdf?from=2026-02-01&to=2026-01-01")
                        .status())
                .isEqualTo(422);
    }
}
