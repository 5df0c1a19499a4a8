package elvaro.server.carcass;

import static elvaro.server.support.Bodies.carcassBody;
import static elvaro.server.support.Bodies.entry;
import static elvaro.server.support.Bodies.partBody;
import static elvaro.server.support.Bodies.pile;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import elvaro.core.game.Animal;
import elvaro.server.support.Api.Answer;
import elvaro.server.support.Bodies;
import elvaro.server.support.Client;
import elvaro.server.support.RunningApp;
import elvaro.server.support.RunningApp.Someone;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.Executors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import tools.jackson.databind.JsonNode;

/** An animal from its tag to packs. */
@ExtendWith(RunningApp.class)
class CarcassIT {
    /** 160 lb, the extension bulletins' worked example. */
    private static final int FIELD_DRESSED = 72_575;

    private static String receive(Client client, Map<String, Object> body) {
        String id = UUID.randomUUID().toString();
        client.must(client.put("/api/carcasses/" + id, body));
        return id;
    }

    private static String larder(Client client) {
        return client.chamber("Game larder " + UUID.randomUUID().toString().substring(0, 4), 300_000);
    }

    private static Answer cutOff(Client client, String carcass, String piece, Map<String, Object> part) {
        return client.put("/api/carcasses/%s/parts/%s".formatted(carcass, piece), part);
    }

    private static JsonNode view(Client client, String carcass) {
        return client.must(client.get("/api/carcasses/" + carcass)).body();
    }

    private static Answer close(Client client, String carcass, Map<String, String> answers) {
        return client.put(
                "/api/carcasses/%s/close/%s".formatted(carcass, UUID.randomUUID()), Map.of("answers", answers));
    }

    private static String bench(Client client, String piece) {
        client.must(
                client.put("/api/bench/%s/close/%s".formatted(piece, UUID.randomUUID()), Map.of("answers", Map.of())));
        return piece;
    }

    @Test
    void a_deer_goes_from_its_tag_to_packs_and_every_gram_is_accounted_for(Someone owner) {
        Client client = owner.client();
        String id = UUID.randomUUID().toString();
        Map<String, Object> body = carcassBody(larder(client), FIELD_DRESSED);
        JsonNode deer = client.must(client.put("/api/carcasses/" + id, body)).body();
        assertThat(client.must(client.put("/api/carcasses/" + id, body)).body().path("lotNumber"))
                .as("a lost answer, tried again")
                .isEqualTo(deer.path("lotNumber"));
        // By hand, as the bulletins do: 160 lb / 1.331 = 120.2 lb; 80.5 lb boneless; 56.4 lb taken home.
        assertThat(deer.at("/ahead/carcassGrams").asDouble()).isCloseTo(54_526, within(20.0));
        assertThat(deer.at("/ahead/realisticGrams").asDouble()).isCloseTo(25_573, within(20.0));
        assertThat(deer.at("/cooling/hours").asDouble()).isCloseTo(5, within(0.01));
        String haunch = UUID.randomUUID().toString();
        assertThat(cutOff(client, id, haunch, partBody("LEFT_HAUNCH", 8_000)).type())
                .as("it still hangs")
                .isEqualTo("wrong-state");

        client.must(client.write(id, entry("PULLED", 50_000)));
        client.must(client.write(id, pile("DISCARD", 20_000))); // skin, head, feet
        client.must(cutOff(client, id, haunch, partBody("LEFT_HAUNCH", 8_000)));
        JsonNode off = client.must(cutOff(client, id, haunch, partBody("LEFT_HAUNCH", 8_000)))
                .body();
        assertThat(off.at("/sheet/partsGrams").asInt()).as("once").isEqualTo(8_000);
        assertThat(cutOff(client, id, UUID.randomUUID().toString(), partBody("LEFT_HAUNCH", 100))
                        .type())
                .isEqualTo("part-off");
        assertThat(cutOff(client, id, UUID.randomUUID().toString(), partBody("LEFT_BREAST", 100))
                        .type())
                .isEqualTo("no-such-part");
        Answer more = cutOff(client, id, UUID.randomUUID().toString(), partBody("SADDLE", 22_100));
        assertThat(more.body().path("detail").asString())
                .isEqualTo("Only 22000 g is left of the animal; a part of 22100 g cannot be.");

        // The haunch goes over the same bench as beef, and into the same packs.
        client.must(client.write(haunch, pile("STEAK", 5_000)));
        client.must(client.write(haunch, pile("USABLE_TRIM", 1_000)));
        client.must(client.write(haunch, pile("BONE", 1_600)));
        client.must(client.write(haunch, pile("DISCARD", 400)));
        bench(client, haunch);
        client.must(client.put(
                "/api/pieces/%s/packs".formatted(haunch), Map.of("packs", List.of(Bodies.packBody("ROAST", 2_500)))));
        assertThat(client.get("/api/pieces/" + haunch)
                        .body()
                        .at("/card/cutName")
                        .asString())
                .isEqualTo("Haunch of venison");

        // The other one hangs on, in the cold.
        String second = UUID.randomUUID().toString();
        Map<String, Object> further = partBody("RIGHT_HAUNCH", 8_100);
        further.putAll(Map.of("chamberId", larder(client), "method", "OPEN_AIR", "days", 7));
        client.must(cutOff(client, id, second, further));
        assertThat(client.get("/api/pieces/" + second).body().at("/card/state").asString())
                .isEqualTo("HANGING");
        assertThat(takeBackThePull(client, id)).as("parts are off it").isEqualTo("parts-off");
        assertThat(client.put("/api/bench/%s/close/%s".formatted(id, UUID.randomUUID()), Map.of("answers", Map.of()))
                        .type())
                .isEqualTo("broken-down");
        assertThat(close(client, id, Map.of()).questions()).containsExactly("residual-large");
        client.must(cutOff(client, id, UUID.randomUUID().toString(), partBody("SADDLE", 13_880)));
        JsonNode done = client.must(close(client, id, Map.of())).body();
        assertThat(done.at("/card/state").asString()).isEqualTo("PARTED");
        assertThat(done.at("/sheet/boneless").asInt()).isEqualTo(6_000);
        assertThat(done.at("/sheet/toCutGrams").asInt()).isEqualTo(8_100 + 13_880);
        assertThat(done.at("/sheet/residualGrams").asInt()).isEqualTo(20);
        String lot = done.at("/card/lotId").asString();
        assertThat(client.get("/api/lots/%s/recall".formatted(lot)).body().path("packs"))
                .hasSize(1);
        assertThat(client.get("/api/pieces/cut").body())
                .as("a whole animal is no piece to compare or learn from")
                .extracting(each -> each.path("id").asString())
                .containsExactly(haunch);
    }

    @Test
    @SuppressWarnings("unchecked") // the bodies of tests are maps
    void nothing_is_packed_or_shared_while_a_test_is_awaited(Someone owner) {
        Client client = owner.client();
        Map<String, Object> body = carcassBody(larder(client), 40_000);
        body.put("test", "AWAITED");
        String id = receive(client, body);
        client.must(client.write(id, entry("PULLED", 39_000)));
        String neck = UUID.randomUUID().toString();
        client.must(cutOff(client, id, neck, partBody("NECK", 2_000)));
        client.must(client.write(neck, pile("USABLE_TRIM", 2_000)));
        bench(client, neck);
        Map<String, Object> packs = Map.of("packs", List.of(Bodies.packBody("TRIM", 1_000)));
        Answer held = client.put("/api/pieces/%s/packs".formatted(neck), packs);
        assertThat(held.body().path("detail").asString()).endsWith("is held back: awaiting the disease test.");
        int version = view(client, id).path("version").asInt();
        client.must(client.put("/api/carcasses/%s/test".formatted(id), Map.of("version", version, "test", "CLEAR")));
        String pack = client.must(client.put("/api/pieces/%s/packs".formatted(neck), packs))
                .body()
                .at("/0/id")
                .asString();
        String ground = client.must(client.put(
                        "/api/makings/%s/packs".formatted(grind(client, pack)),
                        Map.of("packs", List.of(Bodies.packBody("GRIND", 100)))))
                .body()
                .at("/packs/0/id")
                .asString();
        assertThat(client.put("/api/carcasses/%s/test".formatted(id), Map.of("version", version, "test", "FOUND"))
                        .type())
                .isEqualTo("changed-meanwhile");
        client.must(
                client.put("/api/carcasses/%s/test".formatted(id), Map.of("version", version + 1, "test", "FOUND")));
        for (String each : List.of(pack, ground)) {
            String out = "/api/packs/%s/out/".formatted(each);
            assertThat(client.put(out + UUID.randomUUID(), Map.of("way", "SALE", "grams", 50, "words", ""))
                            .type())
                    .as("what was ground of it is held as well")
                    .isEqualTo("held");
            client.must(client.put(out + UUID.randomUUID(), Map.of("way", "DISCARD", "grams", 50, "words", "")));
        }
        assertThat(client.put("/api/makings/" + UUID.randomUUID(), Bodies.makingBody("GRIND", 100, pack, 100))
                        .type())
                .isEqualTo("held");
        Map<String, Object> table = Bodies.tastingBody("PAIRED", 2, 6);
        ((List<Map<String, Object>>) table.get("samples")).get(0).put("pieceId", neck);
        assertThat(client.put("/api/tastings/" + UUID.randomUUID(), table).type())
                .isEqualTo("held");
    }

    private static String grind(Client client, String pack) {
        String id = UUID.randomUUID().toString();
        client.must(client.put("/api/makings/" + id, Bodies.makingBody("GRIND", 100, pack, 100)));
        return id;
    }

    @Test
    void what_cannot_be_is_refused_and_what_is_odd_is_asked_about(Someone owner) {
        Client client = owner.client();
        Map<String, Object> body = carcassBody(larder(client), 4_000);
        body.put("days", 30);
        body.put("killedAt", Instant.now().minusSeconds(40 * 3600).toString());
        String path = "/api/carcasses/" + UUID.randomUUID();
        assertThat(client.put(path, body).questions()).containsExactly("animal-weight", "cooled-late", "animal-days");
        body.put("killedAt", Instant.now().plusSeconds(3600).toString());
        assertThat(client.put(path, body).type()).isEqualTo("future-date");
        body.put("killedAt", Instant.now().minusSeconds(60).toString());
        assertThat(client.put(path, body).type())
                .as("cold before it was killed")
                .isEqualTo("cooled");
        assertThat(client.get("/api/lots").body())
                .as("a refusal leaves nothing behind")
                .isEmpty();
    }

    @Test
    void two_hands_at_one_animal_do_not_cut_off_more_than_there_is(Someone owner) throws Exception {
        Client client = owner.client();
        String id = receive(client, carcassBody(larder(client), 40_000));
        client.must(client.write(id, entry("PULLED", 24_000)));
        List<String> parts = List.of("LEFT_HAUNCH", "RIGHT_HAUNCH", "SADDLE", "NECK");
        var hands = Executors.newFixedThreadPool(4);
        var calls = IntStream.range(0, 4)
                .mapToObj(each -> hands.submit(
                        () -> cutOff(client, id, UUID.randomUUID().toString(), partBody(parts.get(each), 11_000))
                                .status()))
                .toList();
        int off = 0;
        for (var call : calls) {
            off += call.get() == 200 ? 1 : 0;
        }
        hands.shutdown();
        assertThat(off).isEqualTo(2);
        assertThat(view(client, id).at("/sheet/residualGrams").asInt()).isEqualTo(2_000);
    }

    /** A goose: parts of its own build, no test to wait for, and a breast that hangs further on its own. */
    @Test
    void a_bird_has_the_parts_and_cautions_of_a_bird(Someone owner) {
        Client client = owner.client();
        Map<String, Object> body = carcassBody(larder(client), 3_200);
        body.put("animal", "GOOSE");
        body.put("weighed", "HANGING");
        body.put("days", 8);
        String id = receive(client, body);
        JsonNode goose = view(client, id);
        assertThat(goose.path("parts"))
                .extracting(part -> part.path("part").asString())
                .containsExactly("LEFT_BREAST", "RIGHT_BREAST", "LEFT_LEG", "RIGHT_LEG", "FRAME");
        assertThat(goose.at("/animal/mayBeTested").asBoolean()).isFalse();
        assertThat(goose.at("/animal/cautions").toString()).contains("74 °C").doesNotContain("Wasting");
        assertThat(goose.path("packed").isMissingNode())
                .as("no school of saw or seams")
                .isTrue();
        assertThat(goose.path("readying").toString()).contains("Rack it breast up");
        client.must(client.write(id, entry("PULLED", 3_150)));
        String breast = UUID.randomUUID().toString();
        client.must(cutOff(client, id, breast, partBody("LEFT_BREAST", 600)));
        JsonNode card = client.get("/api/pieces/" + breast).body().path("card");
        assertThat(card.path("cutName").asString()).isEqualTo("Breast of a bird");
        assertThat(card.path("boneIn").asBoolean()).isFalse();
        assertThat(client.get("/api/bench/" + breast).body().path("choices"))
                .as("it dried with the whole: no law of its own says how")
                .isEmpty();
        JsonNode look = client.must(client.put(
                        "/api/pieces/%s/looks/%s".formatted(breast, UUID.randomUUID()),
                        Bodies.lookBody("spots", List.of("GLAND_OR_BLOODSHOT"))))
                .body();
        assertThat(look.at("/0/answer").asString()).isEqualTo("STOP");
    }

    /** What the parts teach: nothing of how pieces dry, since they hung with the whole. */
    @Test
    void parts_cut_at_once_teach_nothing_of_drying(Someone owner) {
        Client client = owner.client();
        String larder = larder(client);
        String id = receive(client, carcassBody(larder, 40_000));
        client.must(client.write(id, entry("PULLED", 39_000)));
        String neck = UUID.randomUUID().toString();
        client.must(cutOff(client, id, neck, partBody("NECK", 2_500)));
        client.must(client.write(neck, pile("USABLE_TRIM", 1_700)));
        client.must(client.write(neck, pile("BONE", 800)));
        bench(client, neck);
        JsonNode lessons = client.must(client.get("/api/bench-lessons")).body();
        assertThat(lessons.at("/steak/benches").asInt()).isZero();
        assertThat(lessons.path("margin")).isEmpty();
        String hung = client.hang(larder, 4_000).get(0);
        assertThat(client.get("/api/pieces/" + hung)
                        .body()
                        .at("/ahead/restsOnPieces")
                        .asInt())
                .isZero();
        assertThat(client.get("/api/room").body().path("due"))
                .as("a neck that is cut asks for nothing any more")
                .noneMatch(due -> due.at("/subject/id").asString("").equals(neck));
    }

    /** An animal of each build comes in, is taken down and broken down to its last part, and its cut sheet closes. */
    @ParameterizedTest
    @EnumSource(names = {"ELK", "GOOSE", "SEA_FISH"})
    void an_animal_is_broken_down_to_its_last_part(Animal animal) {
        Client client = RunningApp.newWorkshop().client();
        int grams = (animal.leastGrams() + animal.mostGrams()) / 2;
        Map<String, Object> body = carcassBody(client.chamber("Larder", 1_000_000), grams);
        body.put("animal", animal.name());
        body.put("weighed", "HANGING");
        body.put("days", animal.fewestDays());
        String id = receive(client, body);
        client.must(client.write(id, entry("PULLED", grams)));
        int off = 0;
        for (JsonNode part : view(client, id).path("parts")) {
            int weight = part.path("expectedGrams").asInt();
            client.must(cutOff(
                    client,
                    id,
                    UUID.randomUUID().toString(),
                    partBody(part.path("part").asString(), weight)));
            off += weight;
        }
        if (grams - off > 10) { // Lifted along the seams, a saddle leaves its spine on the whole.
            assertThat(grams - off).isCloseTo((int) (0.15 * 0.28 * grams), within(10));
            client.must(client.write(id, pile("BONE", grams - off)));
        }
        JsonNode done = client.must(close(client, id, Map.of())).body();
        assertThat(done.at("/sheet/partsGrams").asInt()).isEqualTo(off);
        assertThat(Math.abs(done.at("/sheet/residualGrams").asInt())).isLessThanOrEqualTo(10);
        assertThat(done.at("/card/state").asString()).isEqualTo("PARTED");
        assertThat(cutOff(client, id, UUID.randomUUID().toString(), partBody("NECK", 100))
                        .status())
                .isEqualTo(409);
        assertThat(client.get("/api/carcasses").body()).hasSize(1);
    }

    @Test
    void a_part_that_hangs_further_says_where_how_and_for_how_long(Someone owner) {
        Client client = owner.client();
        String small = client.chamber("Small locker", 5_000);
        String id = receive(client, carcassBody(larder(client), 40_000));
        client.must(client.write(id, entry("PULLED", 39_000)));
        String haunch = UUID.randomUUID().toString();
        Map<String, Object> further = partBody("LEFT_HAUNCH", 7_000);
        further.put("chamberId", UUID.randomUUID().toString());
        assertThat(cutOff(client, id, haunch, further).type()).isEqualTo("missing");
        further.putAll(Map.of("method", "OPEN_AIR", "days", 10));
        assertThat(cutOff(client, id, haunch, further).type())
                .as("no such chamber")
                .isEqualTo("missing");
        further.put("chamberId", small);
        assertThat(cutOff(client, id, haunch, further).questions()).containsExactly("overload");
        assertThat(view(client, id).at("/sheet/partsGrams").asInt())
                .as("nothing is off by any of these")
                .isZero();
        further.put("answers", Map.of("overload", "For a day."));
        client.must(cutOff(client, id, haunch, further));
        JsonNode card = client.get("/api/pieces/" + haunch).body().path("card");
        assertThat(card.path("chamberName").asString()).isEqualTo("Small locker");
        assertThat(card.path("targetDays").asInt()).isEqualTo(10);
        assertThat(client.get("/api/pieces/" + haunch).body().path("plan").isMissingNode())
                .as("what it is expected to give is kept, as for any piece")
                .isFalse();
        assertThat(close(client, receive(client, carcassBody(larder(client), 40_000)), Map.of())
                        .type())
                .isEqualTo("no-parts");
    }

    private static String takeBackThePull(Client client, String piece) {
        Map<String, Object> back = entry("TAKEN_BACK", 0);
        back.put(
                "corrects",
                client.get("/api/pieces/" + piece)
                        .body()
                        .path("log")
                        .valueStream()
                        .filter(each -> each.path("kind").asString().equals("PULLED"))
                        .findFirst()
                        .orElseThrow()
                        .path("id")
                        .asString());
        return client.write(piece, back).type();
    }

    @Test
    void a_part_never_hangs_again_by_taking_its_entry_back(Someone owner) {
        Client client = owner.client();
        String id = receive(client, carcassBody(larder(client), 40_000));
        client.must(client.write(id, entry("PULLED", 39_000)));
        String neck = UUID.randomUUID().toString();
        client.must(cutOff(client, id, neck, partBody("NECK", 2_500)));
        assertThat(takeBackThePull(client, neck)).isEqualTo("came-off");
        assertThat(client.get("/api/pieces/" + neck).body().at("/card/state").asString())
                .isEqualTo("PULLED");
        assertThat(client.get("/api/room").status()).as("the Room still stands").isEqualTo(200);
    }
}
