package elvaro.server.trial;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import elvaro.server.support.Bodies;
import elvaro.server.support.Client;
import elvaro.server.support.RunningApp;
import elvaro.server.support.RunningApp.Someone;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** What trials come to in the cases of the trade: what was lost, what won, and what it cost. */
@ExtendWith(RunningApp.class)
class VerdictIT {

    private static int pounds(double pounds) {
        return (int) Math.round(pounds * 453.59237);
    }

    /** A lot of strip loin of so many days ago in pieces of these weights; fresh ones are set aside. */
    private static List<String> lot(
            Client client, String chamber, int daysAgo, Integer price, int received, boolean lastFresh, int... grams) {
        String day = Bodies.today().minusDays(daysAgo).toString();
        String id = UUID.randomUUID().toString();
        Map<String, Object> lot = Bodies.lotBody(id, received);
        lot.putAll(Map.of("cutCode", "strip", "boneIn", false, "receivedOn", day));
        lot.put("priceMinorPerKg", price);
        lot.put("answers", Map.of("weight-unusual", ""));
        client.must(client.post("/api/lots", lot));
        List<Map<String, Object>> pieces = new ArrayList<>();
        for (int index = 0; index < grams.length; index++) {
            Map<String, Object> piece = Bodies.hangBody(UUID.randomUUID().toString(), chamber, grams[index]);
            piece.put("hungOn", day);
            if (lastFresh && index == grams.length - 1) {
                piece.put("role", "FRESH");
                List.of("method", "chamberId", "hungOn", "targetDays").forEach(piece::remove);
            }
            pieces.add(piece);
        }
        client.must(client.post(
                "/api/lots/" + id + "/pieces",
                Map.of(
                        "pieces",
                        pieces,
                        "answers",
                        Map.of("cutting-loss", "purged and squared off", "scented-chamber", ""))));
        return pieces.stream().map(piece -> String.valueOf(piece.get("id"))).toList();
    }

    private static void pull(Client client, String piece, int aged) {
        Map<String, Object> pull = Bodies.entry("PULLED", aged);
        pull.put("answers", Map.of("surprising", "", "fell-fast", "", "lighter", ""));
        client.must(client.write(piece, pull));
    }

    private static void pile(Client client, String piece, String stream, int grams, Object... more) {
        Map<String, Object> pile = Bodies.pile(stream, grams);
        for (int index = 0; index < more.length; index += 2) {
            pile.put(String.valueOf(more[index]), more[index + 1]);
        }
        client.must(client.write(piece, pile));
    }

    private static void close(Client client, String piece) {
        client.must(client.put(
                "/api/bench/%s/close/%s".formatted(piece, UUID.randomUUID()),
                Map.of("answers", Map.of("residual", "as it is"))));
    }

    private static String trial(
            Client client, String factor, String measure, Map<String, List<String>> arms, String control, String from) {
        String id = UUID.randomUUID().toString();
        Map<String, Object> body = new HashMap<>(
                Map.of("question", "What is it worth?", "factor", factor, "measure", measure, "parts", List.of()));
        body.put("answers", Map.of());
        body.put("fromId", from);
        body.put(
                "arms",
                arms.entrySet().stream()
                        .sorted(Map.Entry.comparingByKey())
                        .map(arm -> Map.of(
                                "id",
                                UUID.randomUUID().toString(),
                                "name",
                                arm.getKey(),
                                "control",
                                arm.getKey().equals(control),
                                "pieces",
                                arm.getValue()))
                        .toList());
        client.must(client.put("/api/trials/" + id, body));
        return id;
    }

    private static JsonNode view(Client client, String trial) {
        return client.get("/api/trials/" + trial).body();
    }

    private static JsonNode verdict(JsonNode trial, String measure) {
        return trial.path("verdicts")
                .valueStream()
                .filter(each -> each.path("measure").asString().equals(measure))
                .findFirst()
                .orElseThrow();
    }

    /** Weights of the trade, common practice, no source: two rib pieces of one animal, one sealed in kidney fat. */
    @Test
    void a_seal_that_kept_the_water_and_rotted_is_told_by_the_meat_it_cost(Someone owner) {
        Client client = owner.client();
        String room = client.chamber("North Room", 100_000);
        List<String> twins = lot(client, room, 35, 2000, pounds(21.5), false, pounds(10.6), pounds(10.8));
        Map<String, Object> seal = Bodies.treatmentBody("FAT_SEAL");
        seal.put("beganOn", Bodies.today().minusDays(35).toString());
        seal.put("answers", Map.of("no-dose", ""));
        client.must(client.give(twins.get(1), seal));
        String id = trial(
                client,
                "TREATMENT",
                "USABLE_YIELD",
                Map.of("Plain", List.of(twins.get(0)), "Seal", List.of(twins.get(1))),
                "Plain",
                null);
        pull(client, twins.get(0), pounds(9.4));
        pile(client, twins.get(0), "STEAK", pounds(6.0));
        pile(client, twins.get(0), "USABLE_TRIM", pounds(3.0));
        pile(client, twins.get(0), "DISCARD", pounds(0.4), "cause", "CRUST");
        close(client, twins.get(0));
        pull(client, twins.get(1), pounds(10.4));
        pile(client, twins.get(1), "STEAK", pounds(5.8));
        pile(client, twins.get(1), "DISCARD", pounds(4.6), "cause", "ROT");
        close(client, twins.get(1));
        JsonNode trial = view(client, id);
        assertThat(trial.at("/arms/0/means/usableYield").asDouble()).isCloseTo(0.849, within(0.001));
        assertThat(trial.at("/arms/1/means/usableYield").asDouble()).isCloseTo(0.537, within(0.001));
        assertThat(trial.at("/conclusions/0/sentence").asString())
                .isEqualTo("Seal has 31.2 points less usable yield than Plain, 53.7 % against 84.9 %."
                        + " Nothing was done twice: an anecdote.");
        assertThat(trial.at("/conclusions/0/more/0").asString())
                .isEqualTo("Seal kept 369 g of water and cost 1515 g of meat: 2087 g of it was thrown away (rot).");
        assertThat(trial.path("flaws")
                        .valueStream()
                        .map(flaw -> flaw.path("kind").asString()))
                .as("the seal is one change, not two")
                .containsExactly("ANECDOTE");
    }

    @Test
    void without_a_price_no_cost_is_told_compared_or_shown(Someone owner) {
        Client client = owner.client();
        String room = client.chamber("North Room", 100_000);
        List<String> halves = lot(client, room, 30, null, 4020, false, 2000, 2000);
        String id = trial(
                client,
                "TREATMENT",
                "COST",
                Map.of("Bag", List.of(halves.get(1)), "Plain", List.of(halves.get(0))),
                "Plain",
                null);
        for (String piece : halves) {
            pull(client, piece, 1700);
            pile(client, piece, "STEAK", 1200, "steaks", 4);
            pile(client, piece, "DISCARD", 500);
            close(client, piece);
        }
        JsonNode trial = view(client, id);
        assertThat(trial.path("verdicts")
                        .valueStream()
                        .map(each -> each.path("measure").asString()))
                .containsExactly("USABLE_YIELD", "STEAK_YIELD", "SHRINK", "DISCARD", "STEAKS");
        assertThat(verdict(trial, "SHRINK").path("sentence").asString())
                .isEqualTo("Bag and Plain have the same shrink, 15.0 %.");
        assertThat(trial.at("/conclusions/0/sentence").asString())
                .isEqualTo("What it costs is not known: nobody wrote down what the lot cost.");
        JsonNode cost = client.get("/api/pieces/" + halves.get(0)).body().path("cost");
        assertThat(cost.has("total")).isFalse();
        assertThat(cost.has("perKgSteak")).isFalse();
        assertThat(client.get("/api/compare/evidence?by=CUT&measure=COST")
                        .body()
                        .path("groups"))
                .isEmpty();
    }

    @Test
    void what_was_paid_comes_out_on_the_pieces_and_a_household_refrigerator_costs_the_meat_nothing(Someone owner) {
        Client client = owner.client();
        String fridge = UUID.randomUUID().toString();
        Map<String, Object> kitchen = new HashMap<>(Bodies.chamberBody(fridge, "Kitchen", 20_000));
        kitchen.putAll(Map.of("kind", "REFRIGERATOR", "powerWatts", 120));
        client.must(client.put("/api/chambers/" + fridge, kitchen));
        List<String> pieces = lot(client, fridge, 20, 2000, 8000, false, 4300, 3000);
        double meat = 0;
        for (String piece : pieces) {
            JsonNode landed = client.get("/api/pieces/" + piece).body().at("/cost/landed");
            meat += landed.path("meat").asDouble();
            assertThat(landed.path("energy").asDouble()).isZero();
        }
        assertThat(meat).isCloseTo(16_000, within(1e-6));
        kitchen.putAll(Map.of("version", 0, "forMeatAlone", true));
        client.must(client.put("/api/chambers/" + fridge, kitchen));
        assertThat(client.get("/api/pieces/" + pieces.get(0))
                        .body()
                        .at("/cost/landed/energy")
                        .asDouble())
                .isPositive();
    }

    @Test
    void a_control_waits_for_what_is_soaked_where_that_is_wanted(Someone owner) {
        Client client = owner.client();
        String room = client.chamber("North Room", 100_000);
        String day = Bodies.today().toString();
        String lot = UUID.randomUUID().toString();
        Map<String, Object> received = Bodies.lotBody(lot, 4020);
        received.putAll(Map.of("cutCode", "strip", "boneIn", false, "receivedOn", day));
        client.must(client.post("/api/lots", received));
        Map<String, Object> soak = Bodies.treatmentBody("LIQUID_SOAK");
        soak.put("number", 6);
        soak.put("answers", Map.of("no-dose", ""));
        Map<String, Object> setUp =
                Map.of("method", "OPEN_AIR", "chamberId", room, "targetDays", 24, "consumablesMinor", 0);
        Map<String, Object> soaked = new HashMap<>(setUp);
        soaked.put("treatments", List.of(soak));
        Map<String, Object> plain = new HashMap<>(setUp);
        plain.put("treatments", List.of());
        Map<String, Object> body = new HashMap<>(Map.of(
                "question",
                "Does the soak show?",
                "factor",
                "TREATMENT",
                "measure",
                "LIKING",
                "lotId",
                lot,
                "parts",
                List.of(2000, 2000),
                "hungOn",
                day,
                "waitTogether",
                true,
                "answers",
                Map.of("no-dose", "")));
        body.put("arms", List.of(arm("Plain", true, plain), arm("Soaked", false, soaked)));
        assertThat(client.post("/api/trials/check", body)
                        .body()
                        .valueStream()
                        .map(flaw -> flaw.path("kind").asString()))
                .containsExactly("ANECDOTE");
        String id = UUID.randomUUID().toString();
        client.must(client.put("/api/trials/" + id, body));
        JsonNode control = view(client, id).at("/arms/0/pieces/0/card");
        assertThat(control.path("state").asString()).isEqualTo("WAITING");
        assertThat(client.text("/api/calendar.ics").replaceAll("\\r\\n[ \\t]", ""))
                .contains("Hang it with those that were soaked.");
    }

    private static Map<String, Object> arm(String name, boolean control, Map<String, Object> setUp) {
        return Map.of(
                "id", UUID.randomUUID().toString(),
                "name", name,
                "control", control,
                "setUp", setUp,
                "pieces", List.of());
    }

    @Test
    void spirit_beside_the_control_weakens_the_trial_is_told_to_the_neighbour_and_asked_before_a_move(Someone owner) {
        Client client = owner.client();
        String room = client.chamber("North Room", 100_000);
        String other = client.chamber("Stone Locker", 100_000);
        List<String> halves = lot(client, room, 20, 2000, 4020, false, 2000, 2000);
        List<String> third = lot(client, other, 20, 2000, 2020, false, 2000);
        Map<String, Object> spirit = Bodies.treatmentBody("SPIRIT_SPRAY");
        spirit.put("answers", Map.of("clash-spirit-in-company", "", "no-dose", ""));
        client.must(client.give(halves.get(1), spirit));
        String id = trial(
                client,
                "TREATMENT",
                "LIKING",
                Map.of("Plain", List.of(halves.get(0)), "Spirit", List.of(halves.get(1))),
                "Plain",
                null);
        assertThat(view(client, id).path("flaws").toString())
                .contains("SCENTED")
                .contains("Beside Plain stood spirit (");
        assertThat(client.get("/api/pieces/" + halves.get(0))
                        .body()
                        .at("/beside/0")
                        .asString())
                .startsWith("Beside it stood spirit (");
        Map<String, Object> move = Map.of("chamberId", room, "words", "", "answers", Map.of());
        assertThat(client.put("/api/pieces/%s/move/%s".formatted(third.get(0), UUID.randomUUID()), move)
                        .questions())
                .containsExactly("scented-chamber");
    }

    @Test
    void a_guess_becomes_a_dose_by_the_bottle_and_is_halved_as_one(Someone owner) {
        Client client = owner.client();
        String room = client.chamber("North Room", 100_000);
        List<String> halves = lot(client, room, 20, 2000, 4020, false, 2000, 2000);
        Map<String, Object> powder = Bodies.treatmentBody("ACID_SUGAR_COAT");
        powder.put("answers", Map.of("clash-sugar-hides-mould", "", "no-dose", ""));
        client.must(client.give(halves.get(1), powder));
        String treatments = "/api/pieces/%s/treatments".formatted(halves.get(1));
        JsonNode given = client.get(treatments).body().path(0);
        assertThat(given.path("guess").asBoolean()).isTrue();
        String used = "%s/%s/used/%s".formatted(treatments, given.path("id").asString(), UUID.randomUUID());
        assertThat(client.put(used, Map.of("full", 100, "left", 120, "measure", "GRAM"))
                        .status())
                .isEqualTo(422);
        client.must(client.put(used, Map.of("full", 150, "left", 30, "measure", "GRAM")));
        client.must(client.put(used, Map.of("full", 150, "left", 30, "measure", "GRAM")));
        assertThat(client.get(treatments).body().at("/0/words").asString()).contains("60 g per kg green weight");
        String id = trial(
                client,
                "TREATMENT",
                "LIKING",
                Map.of("Plain", List.of(halves.get(0)), "Powder", List.of(halves.get(1))),
                "Plain",
                null);
        assertThat(client.get("/api/trials/%s/next".formatted(id))
                        .body()
                        .at("/arms/1/choices/1/setUp/treatments/0/amount")
                        .asDouble())
                .isEqualTo(30);
    }

    @Test
    void a_trial_done_again_is_told_together_with_the_one_before(Someone owner) {
        Client client = owner.client();
        String before = null;
        for (int round = 0; round < 2; round++) {
            String room = round == 0
                    ? client.chamber("North Room", 100_000)
                    : client.get("/api/chambers").body().at("/0/id").asString();
            List<String> halves = lot(client, room, 30 - round, 2000, 4020, false, 2000, 2000);
            Map<String, Object> honey = Bodies.treatmentBody("SUGAR_COAT");
            honey.putAll(Map.of("amount", 22, "measure", "GRAM", "basis", "KILOGRAM"));
            honey.put("answers", Map.of("clash-sugar-hides-mould", ""));
            client.must(client.give(halves.get(1), honey));
            before = trial(
                    client,
                    "TREATMENT",
                    "SHRINK",
                    Map.of("Honey", List.of(halves.get(1)), "Plain", List.of(halves.get(0))),
                    "Plain",
                    before);
            for (int half = 0; half < 2; half++) {
                pull(client, halves.get(half), half == 0 ? 1660 - round * 6 : 1740);
                pile(client, halves.get(half), "STEAK", 1200);
                pile(client, halves.get(half), "DISCARD", half == 0 ? 460 - round * 6 : 540);
                close(client, halves.get(half));
            }
        }
        JsonNode trial = view(client, before);
        assertThat(trial.at("/conclusions/0/sentence").asString()).endsWith("Nothing was done twice: an anecdote.");
        assertThat(trial.at("/thread/1/changed").asString()).isEqualTo("the same again");
        assertThat(trial.at("/together/0").asString())
                .isEqualTo("Together with the trial before it: Honey has 4.1 points less shrink than Plain,"
                        + " 13.0 % against 17.2 %. That is not chance.");
    }

    /** Weights of the trade, common practice, no source: a steak in a membrane and its twin in vacuum, 21 days. */
    @Test
    void a_steak_that_is_weighed_before_and_after_has_its_verdict_without_a_bench(Someone owner) {
        Client client = owner.client();
        String fridge = client.chamber("Pantry fridge", 100_000);
        List<String> twins = lot(client, fridge, 21, 3000, 1000, false, 500, 500);
        String id = trial(
                client,
                "TREATMENT",
                "SHRINK",
                Map.of("Membrane", List.of(twins.get(0)), "Vacuum", List.of(twins.get(1))),
                "Vacuum",
                null);
        pull(client, twins.get(0), 360);
        pull(client, twins.get(1), 500);
        assertThat(view(client, id).at("/conclusions/0/sentence").asString())
                .startsWith("Membrane has 28.0 points more shrink than Vacuum, 28.0 % against 0.0 %.");
        Map<String, Object> counted = Bodies.entry("COUNTED", 0);
        counted.put("steaks", 1);
        twins.forEach(piece -> client.must(client.write(piece, counted)));
        JsonNode trial = view(client, id);
        assertThat(verdict(trial, "STEAKS").path("sentence").asString())
                .isEqualTo("Membrane and Vacuum have the same number of steaks, 1.");
        assertThat(trial.path("verdicts")).hasSize(2);
        String close = "/api/bench/%s/close/%s".formatted(twins.get(0), UUID.randomUUID());
        assertThat(client.put(close, Map.of("answers", Map.of())).questions()).containsExactly("nothing-weighed");
        client.must(client.put(close, Map.of("answers", Map.of("nothing-weighed", ""))));
        assertThat(client.get("/api/compare/evidence?by=CUT&measure=STEAK_YIELD")
                        .body()
                        .path("groups"))
                .as("a piece nobody weighed out is in no figure")
                .isEmpty();
    }

    @Test
    void what_was_pulled_without_a_scale_keeps_its_days_and_stays_out_of_every_figure(Someone owner) {
        Client client = owner.client();
        String room = client.chamber("North Room", 100_000);
        List<String> halves = lot(client, room, 30, 2000, 4020, false, 2000, 2000);
        String id = trial(
                client,
                "TREATMENT",
                "SHRINK",
                Map.of("Bag", List.of(halves.get(1)), "Plain", List.of(halves.get(0))),
                "Plain",
                null);
        for (String piece : halves) {
            Map<String, Object> pull = Bodies.entry("PULLED", 1200); // far off, and asked about by nobody
            pull.put("estimated", true);
            client.must(client.write(piece, pull));
        }
        JsonNode trial = view(client, id);
        assertThat(trial.path("verdicts")).isEmpty();
        assertThat(trial.at("/arms/0/pieces/0/card/dayNumber").asInt()).isEqualTo(30);
        JsonNode log = client.get("/api/pieces/" + halves.get(0)).body().path("log");
        assertThat(log.valueStream().filter(entry -> entry.path("estimated").asBoolean()))
                .hasSize(1);
    }
}
