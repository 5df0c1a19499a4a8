package elvaro.server.compare;

import static elvaro.server.support.Bodies.entry;
import static elvaro.server.support.Bodies.pile;
import static elvaro.server.support.Bodies.treatmentBody;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import elvaro.server.support.Client;
import elvaro.server.support.RunningApp;
import elvaro.server.support.RunningApp.Someone;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;

/** Questions put to all finished pieces. */
@ExtendWith(RunningApp.class)
class EvidenceIT {
    private static void cut(Client client, String piece, int aged, int steak) {
        client.must(client.write(piece, entry("PULLED", aged)));
        client.must(client.write(piece, pile("STEAK", steak)));
        client.must(client.write(piece, pile("DISCARD", aged - steak)));
        client.must(
                client.put("/api/bench/%s/close/%s".formatted(piece, UUID.randomUUID()), Map.of("answers", Map.of())));
    }

    private static JsonNode ask(Client client, String query) {
        return client.must(client.get("/api/evidence?" + query)).body();
    }

    @Test
    void groups_are_found_asked_about_and_led_back_to_their_pieces(Someone owner) {
        Client client = owner.client();
        String room = client.chamber("Room", 200_000);
        String locker = client.chamber("Locker", 200_000);
        List<String> here = client.hangAgo(20, room, 20, 4_000, 4_200, 3_800, 4_100);
        List<String> there = client.hangAgo(20, locker, 20, 4_000, 4_100, 3_900);
        client.must(client.give(there.get(0), treatmentBody("TABLE_BUTTER")));
        here.forEach(piece -> cut(client, piece, weight(client, piece, 0.90), weight(client, piece, 0.70)));
        there.forEach(piece -> cut(client, piece, weight(client, piece, 0.92), weight(client, piece, 0.75)));
        JsonNode byChamber = ask(client, "by=CHAMBER&measure=SHRINK");
        assertThat(byChamber.path("pieces").asInt()).isEqualTo(7);
        assertThat(byChamber.path("reference").asString()).isEqualTo("Room");
        JsonNode group = byChamber.at("/groups/1");
        assertThat(group.path("name").asString()).isEqualTo("Locker");
        assertThat(group.path("measure").asDouble()).isCloseTo(0.08, within(0.001));
        assertThat(group.at("/went/piles/STEAK").asDouble()).isCloseTo(0.75, within(0.001));
        assertThat(byChamber.at("/model/terms"))
                .extracting(term -> term.path("name").asString())
                .containsExactly("intercept", "Locker", "ln weight");
        assertThat(byChamber.at("/model/dropped/0").asString())
                .as("all hung as long")
                .isEqualTo("days");
        assertThat(byChamber.at("/groups/1/effect/value").asDouble()).isCloseTo(-0.02, within(0.002));
        assertThat(byChamber.path("caveats").toString()).contains("pieces are left to judge by");

        JsonNode sprayed = ask(
                client,
                "by=TREATMENT&measure=STEAK_YIELD&chamber=Locker&treatment=Flavour butter at the table"
                        .replace(" ", "%20"));
        assertThat(sprayed.path("dots"))
                .extracting(dot -> dot.path("id").asString())
                .containsExactly(there.get(0));
        assertThat(sprayed.path("facets").toString()).contains("\"value\":\"Locker\"", "\"pieces\":4");
        assertThat(ask(client, "by=METHOD&measure=COST&daysFrom=21")
                        .path("pieces")
                        .asInt())
                .isZero();
        assertThat(ask(client, "by=METHOD&measure=COST&person=nobody").path("groups"))
                .isEmpty();
        JsonNode cost = ask(client, "by=CHAMBER&measure=COST");
        assertThat(cost.at("/groups/1/measure").asDouble())
                .as("more steak of as much meat costs less")
                .isLessThan(cost.at("/groups/0/measure").asDouble());
        assertThat(client.get("/api/evidence?by=NOTHING&measure=COST").status()).isEqualTo(400);
        assertThat(client.get("/api/evidence?by=METHOD&measure=COST&daysFrom=-4")
                        .status())
                .isIn(400, 422);
    }

    private static int weight(Client client, String piece, double share) {
        return (int) Math.round(
                client.get("/api/pieces/" + piece).body().at("/card/greenGrams").asInt() * share);
    }

    /** Every figure of a piece is the one its own page has, whatever shared its chamber. */
    @Test
    void what_a_piece_cost_is_the_same_here_as_on_its_own_page(Someone owner) {
        Client client = owner.client();
        Map<String, Object> dear = new java.util.HashMap<>(
                elvaro.server.support.Bodies.chamberBody(UUID.randomUUID().toString(), "Dear", 200_000));
        dear.putAll(Map.of("purchaseMinor", 900_000, "powerWatts", 300));
        client.must(client.put("/api/chambers/" + dear.get("id"), dear));
        String chamber = dear.get("id").toString();
        List<String> pieces = client.hangAgo(30, chamber, 30, 4_000, 6_000);
        client.hangAgo(12, chamber, 40, 9_000);
        cut(client, pieces.get(0), 3_500, 2_600);
        cut(client, pieces.get(1), 5_300, 4_100);
        for (JsonNode dot : ask(client, "by=METHOD&measure=COST").path("dots")) {
            JsonNode own =
                    client.get("/api/pieces/" + dot.path("id").asString()).body();
            assertThat(dot.path("costMinorPerKg").asDouble())
                    .isCloseTo(own.at("/cost/perKgSteak").asDouble(), within(1e-6));
            assertThat(dot.path("shrink").asDouble())
                    .isEqualTo(own.at("/ledger/shrinkFraction").asDouble());
        }
        JsonNode before = ask(client, "by=METHOD&measure=SHRINK");
        client.must(client.put(
                "/api/bench/%s/reopen/%s".formatted(pieces.get(0), UUID.randomUUID()),
                Map.of("reason", "A steak was forgotten.")));
        assertThat(ask(client, "by=METHOD&measure=SHRINK").path("pieces").asInt())
                .as("what is opened again is not finished")
                .isEqualTo(before.path("pieces").asInt() - 1);
    }

    @Test
    void tables_are_carried_away_and_run_nothing_in_a_spreadsheet(Someone owner) {
        Client client = owner.client();
        String room = client.chamber("=cmd|' /C calc'!A0", 200_000);
        client.hangAgo(20, room, 20, 4_000, 4_200, 3_900, 4_100, 4_300)
                .forEach(piece -> cut(client, piece, weight(client, piece, 0.9), weight(client, piece, 0.7)));
        String pieces = client.text("/api/evidence/pieces.csv");
        assertThat(pieces.lines().findFirst().orElseThrow()).contains("green_g", "days", "shrink_fraction");
        assertThat(pieces.lines()).hasSize(6);
        assertThat(pieces).contains(",'=cmd|").doesNotContain(",=cmd");
        assertThat(client.text("/api/evidence/model.csv?by=GRADE&measure=SHRINK"))
                .startsWith("term,estimate,standard_error,t,p,low_95,high_95,degrees_of_freedom\r\nintercept,0.1,");
    }

    @Test
    void a_question_is_kept_once_and_dropped(Someone owner) {
        Client client = owner.client();
        String id = UUID.randomUUID().toString();
        Map<String, Object> ask = Map.of("version", 0, "name", "Membrane or air", "query", "by=METHOD&measure=SHRINK");
        client.must(client.put("/api/asks/" + id, ask));
        assertThat(client.must(client.put("/api/asks/" + id, ask)).body()).hasSize(1);
        assertThat(client.put("/api/asks/" + id, Map.of("version", 7, "name", "Other", "query", "by=CUT"))
                        .type())
                .isEqualTo("changed-meanwhile");
        assertThat(client.put("/api/asks/" + UUID.randomUUID(), Map.of("version", 0, "name", " ", "query", "by=CUT"))
                        .status())
                .isEqualTo(422);
        assertThat(client.put("/api/asks/" + UUID.randomUUID(), Map.of("version", 0, "name", "x", "query", "<script>"))
                        .status())
                .isEqualTo(422);
        client.must(client.put("/api/asks/%s/drop".formatted(id), Map.of("version", 0)));
        assertThat(client.get("/api/asks").body()).isEmpty();
    }

    /** Two pieces that differ in everything; each question finds the one it means, and its opposite the other. */
    @ParameterizedTest
    @CsvSource({
        "supplier=Hollin%20Farm, supplier=Sallow%20Estate",
        "grade=heifer, grade=old%20cow",
        "bone=true, bone=false",
        "cut=Rib%2C%20oven-prepared, cut=Strip%20loin",
        "fatFrom=8, fatTo=5",
        "daysTo=20, daysFrom=21",
        "chamber=Near, chamber=Far",
        "person=Owner, person=Idris%20Vale"
    })
    void each_question_finds_the_pieces_it_means(String one, String other) {
        Asked asked = Asked.once();
        assertThat(tags(asked.client(), one)).containsExactly(asked.first());
        assertThat(tags(asked.client(), other)).containsExactly(asked.second());
        boolean sameField = one.split("=")[0].equals(other.split("=")[0]);
        assertThat(sameField ? List.of() : tags(asked.client(), one + "&" + other))
                .as("nothing is both")
                .isEmpty();
    }

    @Test
    void a_period_is_that_of_the_pulls_both_ends_included() {
        Asked asked = Asked.once();
        String today = elvaro.server.support.Bodies.today().toString();
        assertThat(tags(asked.client(), "from=%s&to=%s".formatted(today, today)))
                .hasSize(2);
        assertThat(tags(
                        asked.client(),
                        "to=" + elvaro.server.support.Bodies.today().minusDays(1)))
                .isEmpty();
        assertThat(asked.client()
                        .get("/api/evidence?by=CUT&measure=SHRINK&from=yesterday")
                        .status())
                .isEqualTo(422);
    }

    private static List<String> tags(Client client, String query) {
        return ask(client, "by=CUT&measure=SHRINK&" + query)
                .path("dots")
                .valueStream()
                .map(dot -> dot.path("tag").asString())
                .toList();
    }

    /** A shop with two finished pieces, made once for all questions. */
    private record Asked(Client client, String first, String second) {
        private static Asked made;

        static synchronized Asked once() {
            if (made == null) {
                made = make();
            }
            return made;
        }

        private static Asked make() {
            Someone owner = RunningApp.newWorkshop();
            Client client = owner.client();
            String rib = hung(client, "rib-bone-in", "heifer", "Hollin Farm", 9, true, "Near", 20);
            String strip = hung(client, "strip", "old cow", "Sallow Estate", 4, false, "Far", 25);
            cut(client, rib, 3_600, 2_400);
            cut(owner.benchHand(), strip, 3_600, 2_400);
            return new Asked(client, tag(client, rib), tag(client, strip));
        }

        private static String tag(Client client, String piece) {
            return client.get("/api/pieces/" + piece).body().at("/card/tag").asString();
        }

        private static String hung(
                Client client,
                String cut,
                String grade,
                String supplier,
                int fat,
                boolean bone,
                String chamber,
                int daysAgo) {
            String day = elvaro.server.support.Bodies.today().minusDays(daysAgo).toString();
            String lot = UUID.randomUUID().toString();
            Map<String, Object> received = elvaro.server.support.Bodies.lotBody(lot, 4_000);
            received.putAll(Map.of("cutCode", cut, "grade", grade, "supplier", supplier));
            received.putAll(Map.of(
                    "fatCoverMm", fat, "boneIn", bone, "receivedOn", day, "answers", Map.of("weight-unusual", "")));
            client.must(client.post("/api/lots", received));
            Map<String, Object> piece = elvaro.server.support.Bodies.hangBody(
                    UUID.randomUUID().toString(), client.chamber(chamber, 50_000), 4_000);
            piece.putAll(Map.of("hungOn", day, "targetDays", daysAgo));
            client.must(client.post(
                    "/api/lots/%s/pieces".formatted(lot), Map.of("pieces", List.of(piece), "answers", Map.of())));
            return String.valueOf(piece.get("id"));
        }
    }
}
