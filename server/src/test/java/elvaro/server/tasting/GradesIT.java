package elvaro.server.tasting;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import elvaro.server.support.Bodies;
import elvaro.server.support.Client;
import elvaro.server.support.PaperRead;
import elvaro.server.support.RunningApp;
import elvaro.server.support.RunningApp.Someone;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;

/** Fresh pieces as arms of a trial, and what is put on the plate. */
@ExtendWith(RunningApp.class)
class GradesIT {
    private static final int TASTERS = 5;

    @TempDir
    Path folder;

    /** A ribeye roll halved: one half hung in a membrane 34 days ago, the other set aside fresh. */
    private static List<String> halves(Client client, String room, String grade, int price) {
        String day = Bodies.today().minusDays(34).toString();
        String lot = UUID.randomUUID().toString();
        Map<String, Object> received = Bodies.lotBody(lot, 6020);
        received.putAll(Map.of(
                "cutCode", "ribeye", "boneIn", false, "receivedOn", day, "grade", grade, "priceMinorPerKg", price));
        client.must(client.post("/api/lots", received));
        Map<String, Object> aged = Bodies.hangBody(UUID.randomUUID().toString(), room, 3000);
        aged.putAll(Map.of("hungOn", day, "targetDays", 34, "method", "MEMBRANE"));
        Map<String, Object> fresh = new HashMap<>(
                Map.of("id", UUID.randomUUID().toString(), "role", "FRESH", "greenGrams", 3000, "coatGrams", 0));
        fresh.putAll(Map.of("coating", "NONE", "consumablesMinor", 0));
        client.must(client.post(
                "/api/lots/" + lot + "/pieces", Map.of("pieces", List.of(aged, fresh), "answers", Map.of())));
        return List.of(String.valueOf(fresh.get("id")), String.valueOf(aged.get("id")));
    }

    private static void cut(Client client, String piece, int aged, int steak) {
        client.must(client.write(piece, Bodies.entry("PULLED", aged)));
        client.must(client.write(piece, Bodies.pile("STEAK", steak)));
        client.must(client.write(piece, Bodies.pile("DISCARD", aged - steak)));
        client.must(
                client.put("/api/bench/%s/close/%s".formatted(piece, UUID.randomUUID()), Map.of("answers", Map.of())));
    }

    private static Map<String, Object> arm(String name, boolean control, String piece) {
        return Map.of("id", UUID.randomUUID().toString(), "name", name, "control", control, "pieces", List.of(piece));
    }

    private static String trial(Client client, String factor, List<Map<String, Object>> arms) {
        String id = UUID.randomUUID().toString();
        client.must(client.put(
                "/api/trials/" + id,
                Map.of(
                        "question",
                        "Is ageing worth it, and for which grade?",
                        "factor",
                        factor,
                        "measure",
                        "LIKING",
                        "parts",
                        List.of(),
                        "arms",
                        arms,
                        "answers",
                        Map.of())));
        return id;
    }

    @Test
    void three_grades_each_fresh_and_aged_say_what_each_gains_and_whether_the_cheap_one_reaches_the_dear(Someone owner)
            throws Exception {
        Client client = owner.client();
        String room = client.chamber("Pantry fridge", 100_000);
        List<String> names = List.of("Cow", "Heifer", "Steer");
        List<Map<String, Object>> arms = new ArrayList<>();
        List<String> pieces = new ArrayList<>();
        for (int grade = 0; grade < 3; grade++) {
            List<String> halves = halves(
                    client, room, names.get(grade), List.of(1400, 1900, 2700).get(grade));
            pieces.addAll(halves);
            arms.add(arm(names.get(grade) + " fresh", grade == 0, halves.get(0)));
            arms.add(arm(names.get(grade) + " aged", false, halves.get(1)));
        }
        String id = trial(client, "AGEING", arms);
        assertThat(client.get("/api/trials/" + id).body().path("flaws"))
                .allSatisfy(flaw -> assertThat(flaw.path("kind").asString()).isEqualTo("ANECDOTE"));
        for (int piece = 0; piece < 6; piece++) {
            boolean fresh = piece % 2 == 0;
            cut(client, pieces.get(piece), fresh ? 3000 : 2500, fresh ? 2700 : 2100);
        }
        JsonNode pack = client.must(client.put(
                        "/api/pieces/%s/packs".formatted(pieces.get(0)),
                        Map.of("packs", List.of(Bodies.packBody("STEAK", 500)))))
                .body();
        assertThat(pack.at("/0/grams").asInt())
                .as("what is fresh is packed like the rest")
                .isEqualTo(500);

        Map<String, Object> body = Bodies.tastingBody("SCORES", 6, TASTERS);
        body.put("trialId", id);
        sit(body, arms, pieces);
        LaidTable table = LaidTable.open(client, body);
        // Everybody likes every grade two points better aged, and the cow least of the fresh ones.
        int[] scores = {2, 4, 3, 5, 4, 6};
        for (int place = 0; place < TASTERS; place++) {
            int own = place;
            Map<Integer, Integer> byCode = new HashMap<>();
            IntStream.range(0, 6).forEach(sample -> byCode.put(table.code(own, 0, sample), scores[sample]));
            Map<String, Object> sheet = Bodies.sheetBody();
            sheet.put("scores", Map.of("liking", byCode));
            client.must(table.hand(place, sheet));
        }
        table.reveal();
        JsonNode liking = client.get("/api/trials/" + id).body().at("/tastings/0/lines/0");
        assertThat(liking.path("title").asString()).isEqualTo("Liking");
        assertThat(liking.path("written").toString()).isEqualTo("[\"2.0\",\"4.0\",\"3.0\",\"5.0\",\"4.0\",\"6.0\"]");
        assertThat(liking.path("tasters")).hasSize(TASTERS);
        JsonNode ageing = client.get("/api/trials/" + id).body().path("ageing");
        assertThat(ageing.path("gains"))
                .hasSize(3)
                .allSatisfy(gain -> assertThat(gain.path("shift").asDouble()).isEqualTo(2))
                .allSatisfy(gain -> assertThat(gain.path("liked").asString()).startsWith("5 of 5 liked"));
        assertThat(ageing.at("/gains/0/aged").asString()).isEqualTo("Cow aged");
        // Half of what was paid, over the steak: 1400 · 6.02 / 2 / 2.1 aged, 1400 · 6.02 / 2 / 2.7 fresh.
        assertThat(ageing.at("/gains/0/agedPerKg").asDouble()).isCloseTo(1400 * 3.01 / 2.1, within(1e-6));
        assertThat(ageing.at("/gains/0/freshPerKg").asDouble()).isCloseTo(1400 * 3.01 / 2.7, within(1e-6));
        assertThat(ageing.path("cheapAgainstDear").asString())
                .startsWith("Nobody liked Cow aged or Steer fresh better.")
                .contains("Steak costs");
        shown_around_it_draws_what_each_taster_said_and_names_none(
                client, id, liking.at("/tasters/0/taster").asString());
    }

    private void shown_around_it_draws_what_each_taster_said_and_names_none(Client client, String id, String taster)
            throws Exception {
        String token = client.share("TRIAL", id);
        JsonNode page = client.phone("GET", "/shared/TRIAL", token, null).body();
        assertThat(page.at("/lines/0/tasters")).hasSize(TASTERS);
        assertThat(page.at("/lines/0/colours").toString())
                .as("those of the arms")
                .isEqualTo("[0,1,2,3,4,5]");
        assertThat(page.toString()).doesNotContain(taster);
        Path pdf = Files.write(folder.resolve("trial.pdf"), client.opened("/shared/TRIAL/pdf", token));
        assertThat(PaperRead.run("pdftotext", pdf.toString(), "-"))
                .contains("Tasted, taster by taster", "not at all", "very much")
                .doesNotContain(taster);
    }

    @SuppressWarnings("unchecked")
    private static void sit(Map<String, Object> body, List<Map<String, Object>> arms, List<String> pieces) {
        List<Map<String, Object>> samples = (List<Map<String, Object>>) body.get("samples");
        for (int sample = 0; sample < samples.size(); sample++) {
            samples.get(sample).put("armId", arms.get(sample).get("id"));
            samples.get(sample).put("pieceId", pieces.get(sample));
        }
    }

    @Test
    @SuppressWarnings("unchecked")
    void butter_on_the_plain_one_wins_as_what_it_is_and_is_the_next_step(Someone owner) {
        Client client = owner.client();
        String room = client.chamber("Stone Locker", 100_000);
        List<String> rib = client.hangAgo(30, room, 30, 2000, 2000);
        client.must(client.give(rib.get(1), Bodies.treatmentBody("PASTE")));
        List<Map<String, Object>> arms = List.of(arm("Plain", true, rib.get(0)), arm("Rubbed", false, rib.get(1)));
        String id = trial(client, "TREATMENT", arms);
        Map<String, Object> body = Bodies.tastingBody("RANKING", 3, 3);
        body.put("trialId", id);
        List<Map<String, Object>> plates = List.of(arms.get(1), arms.get(0), arms.get(0));
        sit(body, plates, List.of(rib.get(1), rib.get(0), rib.get(0)));
        ((List<Map<String, Object>>) body.get("samples")).get(2).put("finish", "BUTTER");
        LaidTable table = LaidTable.open(client, body);
        for (int place = 0; place < 3; place++) {
            Map<String, Object> sheet = Bodies.sheetBody();
            sheet.put(
                    "ranks",
                    Map.of(table.code(place, 0, 2), 1, table.code(place, 0, 0), 2, table.code(place, 0, 1), 3));
            client.must(table.hand(place, sheet));
        }
        table.reveal();
        JsonNode trial = client.get("/api/trials/" + id).body();
        assertThat(trial.at("/best/sentence").asString())
                .startsWith("Best liked was Plain with flavour butter: 3 of 3 liked Plain with flavour butter better")
                .endsWith("No difference is shown, which is not to say there is none.");
        assertThat(trial.at("/best/proposal").asString())
                .isEqualTo("Age it as in Plain, and put flavour butter on at the table.");
        assertThat(trial.at("/conclusions/0/sentence").asString())
                .as("arms are held against each other with the same on both")
                .startsWith("3 of 3 liked Rubbed better than Plain.");
        JsonNode strengths = client.get("/api/tastings/strengths").body();
        assertThat(strengths
                        .at("/treatments/0/others")
                        .valueStream()
                        .map(each -> each.path("name").asString()))
                .contains("Plain with flavour butter");
    }
}
