package elvaro.server.stock;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import elvaro.server.support.Api.Answer;
import elvaro.server.support.Bodies;
import elvaro.server.support.Client;
import elvaro.server.support.RunningApp;
import elvaro.server.support.RunningApp.Someone;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.Executors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** Grind and tallow: what goes in leaves its packs, what comes out is packed and called back like any other. */
@ExtendWith(RunningApp.class)
class MakingIT {

    private static String packed(Client client, String piece, String content, int grams) {
        JsonNode packs = client.must(client.put(
                        "/api/pieces/%s/packs".formatted(piece),
                        Map.of("packs", List.of(Bodies.packBody(content, grams)))))
                .body();
        return packs.get(packs.size() - 1).path("id").asString();
    }

    private static Answer make(Client client, String id, Map<String, Object> body) {
        return client.put("/api/makings/" + id, body);
    }

    private static JsonNode pack(Client client, String id) {
        return client.must(client.get("/api/packs/" + id)).body();
    }

    private static Map<String, Object> bought(String name, int grams, int price) {
        return Map.of("name", name, "grams", grams, "priceMinorPerKg", price);
    }

    private static Map<String, Object> used(String pack, int grams) {
        return Map.of("packId", pack, "name", "", "grams", grams, "priceMinorPerKg", 0);
    }

    @Test
    void a_grind_takes_from_its_packs_costs_what_went_in_and_is_recalled_with_them(Someone owner) {
        Client client = owner.client();
        Map<String, Object> settings = client.workshopBody();
        settings.put("usableTrimPriceMinorPerKg", 600);
        settings.put("targetMarginPercent", 20);
        client.must(client.put("/api/workshop", settings));
        String piece = client.cut();
        String trim = packed(client, piece, "TRIM", 400);
        String id = UUID.randomUUID().toString();
        Map<String, Object> body = Bodies.makingBody("GRIND", 1990, trim, 0);
        body.put("sources", List.of(used(trim, 100), bought("fresh chuck", 1900, 1000)));
        JsonNode grind = client.must(make(client, id, body)).body();
        assertThat(make(client, id, body).body())
                .as("a lost answer, tried again")
                .isEqualTo(grind);
        // By hand: 0.1 kg at 6.00 and 1.9 kg at 10.00 are 19.60, on 1.99 kg: 9.85 a kg.
        assertThat(grind.path("costPerKg").asDouble()).isCloseTo(1960 / 1.99, within(1e-6));
        assertThat(pack(client, trim).at("/pack/leftGrams").asInt()).isEqualTo(300);

        Map<String, Object> packs =
                Map.of("packs", List.of(Bodies.packBody("GRIND", 1000), Bodies.packBody("GRIND", 990)));
        JsonNode made = client.must(client.put("/api/makings/%s/packs".formatted(id), packs))
                .body();
        assertThat(made.path("leftGrams").asInt()).isZero();
        assertThat(made.at("/packs/0/pricePerKg").asDouble()).isCloseTo(1960 / 1.99 / 0.8, within(1e-6));
        assertThat(client.put(
                                "/api/makings/%s/packs".formatted(id),
                                Map.of("packs", List.of(Bodies.packBody("GRIND", 100))))
                        .type())
                .isEqualTo("more-than-pile");
        assertThat(client.put(
                                "/api/makings/%s/packs".formatted(id),
                                Map.of("packs", List.of(Bodies.packBody("STEAK", 1))))
                        .type())
                .isEqualTo("not-from-this");

        // A second grind of the first one is called back as well.
        String first = made.at("/packs/0/id").asString();
        String second = UUID.randomUUID().toString();
        client.must(make(client, second, Bodies.makingBody("GRIND", 500, first, 500)));
        JsonNode last = client.must(client.put(
                        "/api/makings/%s/packs".formatted(second),
                        Map.of("packs", List.of(Bodies.packBody("GRIND", 500)))))
                .body();
        String lot = client.get("/api/pieces/" + piece).body().at("/card/lotId").asString();
        JsonNode recall =
                client.must(client.get("/api/lots/%s/recall".formatted(lot))).body();
        assertThat(recall.path("packs"))
                .extracting(line -> line.path("contentLabel").asString())
                .containsExactly("Trim for grinding", "Grind", "Grind", "Grind");
        assertThat(recall.at("/packs/0/outs/0/makingId").asString()).isEqualTo(id);
        JsonNode story = pack(client, last.at("/packs/0/id").asString());
        assertThat(story.path("origins"))
                .extracting(origin -> origin.path("name").asString())
                .containsExactly("Rib, oven-prepared", "fresh chuck");
    }

    @Test
    void nothing_comes_of_nothing_and_an_odd_yield_is_asked_about(Someone owner) {
        Client client = owner.client();
        String trim = packed(client, client.cut(), "TRIM", 400);
        String id = UUID.randomUUID().toString();
        assertThat(make(client, id, Bodies.makingBody("GRIND", 450, trim, 400)).type())
                .isEqualTo("more-than-in");
        assertThat(make(client, id, Bodies.makingBody("GRIND", 390, trim, 401))
                        .body()
                        .path("detail")
                        .asString())
                .contains("only 400 g left in pack");
        Map<String, Object> little = Bodies.makingBody("GRIND", 300, trim, 400);
        assertThat(make(client, id, little).questions()).containsExactly("yield");
        assertThat(pack(client, trim).at("/pack/leftGrams").asInt())
                .as("nothing was taken by any of these")
                .isEqualTo(400);
        little.put("answers", Map.of("yield", ""));
        client.must(make(client, id, little));
        assertThat(client.get("/api/makings").body()).hasSize(1);
    }

    @Test
    void a_weight_is_corrected_and_what_was_not_packed_is_undone_in_the_open(Someone owner) {
        Client client = owner.client();
        String trim = packed(client, client.cut(), "TRIM", 400);
        String id = UUID.randomUUID().toString();
        JsonNode made = client.must(make(client, id, Bodies.makingBody("GRIND", 390, trim, 400)))
                .body();
        String out = pack(client, trim).at("/outs/0/id").asString();
        assertThat(client.put(
                                "/api/packs/%s/back/%s".formatted(trim, UUID.randomUUID()),
                                Map.of("slip", out, "words", ""))
                        .type())
                .as("its slip is undone with the grind, not behind its back")
                .isEqualTo("its-own-page");
        Map<String, Object> weight = Map.of("version", made.path("version").asInt(), "grams", 395, "words", "scale");
        client.must(client.put("/api/makings/%s/weight".formatted(id), weight));
        assertThat(client.put("/api/makings/%s/weight".formatted(id), weight).status())
                .as("seen before the correction")
                .isEqualTo(409);
        JsonNode undone = client.must(client.put("/api/makings/%s/undo".formatted(id), Map.of()))
                .body();
        client.must(client.put("/api/makings/%s/undo".formatted(id), Map.of()));
        assertThat(undone.path("undone").asBoolean()).isTrue();
        assertThat(undone.path("sources")).hasSize(1);
        JsonNode story = pack(client, trim);
        assertThat(story.at("/pack/leftGrams").asInt()).isEqualTo(400);
        assertThat(story.at("/outs/0/slip").asBoolean()).isTrue();
        assertThat(client.put(
                                "/api/makings/%s/packs".formatted(id),
                                Map.of("packs", List.of(Bodies.packBody("GRIND", 1))))
                        .type())
                .isEqualTo("undone");
    }

    @Test
    void two_grinders_at_once_do_not_grind_the_same_trim_twice(Someone owner) throws Exception {
        Client client = owner.client();
        String trim = packed(client, client.cut(), "TRIM", 400);
        var hands = Executors.newFixedThreadPool(4);
        var calls = IntStream.range(0, 4)
                .mapToObj(each -> hands.submit(
                        () -> make(client, UUID.randomUUID().toString(), Bodies.makingBody("GRIND", 150, trim, 150))
                                .status()))
                .toList();
        int made = 0;
        for (var call : calls) {
            made += call.get() == 200 ? 1 : 0;
        }
        hands.shutdown();
        assertThat(made).isEqualTo(2);
        assertThat(pack(client, trim).at("/pack/leftGrams").asInt()).isEqualTo(100);
        assertThat(client.get("/api/makings").body())
                .extracting(each -> each.path("number").asInt())
                .containsExactly(2, 1);
    }

    /** Fat into the pot, tallow out of it: 0.72 is to be expected, 0.5 to 0.92 is usual. */
    @Test
    void fat_is_rendered_and_packed_as_tallow(Someone owner) {
        Client client = owner.client();
        String chamber = client.chamber("Room " + UUID.randomUUID().toString().substring(0, 4), 100_000);
        String piece = client.hang(chamber, 4_000).get(0);
        client.must(client.write(piece, Bodies.entry("PULLED", 3_800)));
        client.must(client.write(piece, Bodies.pile("STEAK", 2_800)));
        client.must(client.write(piece, Bodies.pile("FAT", 1_000)));
        client.must(
                client.put("/api/bench/%s/close/%s".formatted(piece, UUID.randomUUID()), Map.of("answers", Map.of())));
        String fat = packed(client, piece, "FAT", 1_000);
        assertThat(client.get("/api/stock/tallow?grams=1000")
                        .body()
                        .path("grams")
                        .asInt())
                .isEqualTo(720);
        String id = UUID.randomUUID().toString();
        assertThat(make(client, id, Bodies.makingBody("TALLOW", 950, fat, 1_000))
                        .questions())
                .containsExactly("yield");
        JsonNode tallow = client.must(make(client, id, Bodies.makingBody("TALLOW", 700, fat, 1_000)))
                .body();
        assertThat(tallow.path("name").asString()).isEqualTo("Tallow 1");
        assertThat(tallow.path("share").asDouble()).isCloseTo(0.7, within(1e-9));
        assertThat(pack(client, fat).at("/outs/0/wayLabel").asString()).isEqualTo("rendered");
        assertThat(client.put(
                                "/api/makings/%s/packs".formatted(id),
                                Map.of("packs", List.of(Bodies.packBody("GRIND", 100))))
                        .type())
                .as("tallow is no grind")
                .isEqualTo("not-from-this");
        client.must(client.put(
                "/api/makings/%s/packs".formatted(id), Map.of("packs", List.of(Bodies.packBody("TALLOW", 700)))));
    }

    @Test
    void what_cannot_be_made_is_refused_in_a_sentence_and_nothing_is_taken(Someone owner) {
        Client client = owner.client();
        String trim = packed(client, client.cut(), "TRIM", 400);
        String id = UUID.randomUUID().toString();
        Map<String, Object> twice = Bodies.makingBody("GRIND", 200, trim, 0);
        twice.put("sources", List.of(used(trim, 100), used(trim, 100)));
        assertThat(make(client, id, twice).type()).isEqualTo("twice");
        Map<String, Object> nameless = Bodies.makingBody("GRIND", 200, trim, 0);
        nameless.put("sources", List.of(used(trim, 100), bought(" ", 100, 1000)));
        assertThat(make(client, id, nameless).type()).isEqualTo("no-name");
        Map<String, Object> foreign = Bodies.makingBody("GRIND", 200, trim, 0);
        foreign.put("sources", List.of(bought("fresh chuck", 200, 1000)));
        assertThat(make(client, id, foreign).type()).isEqualTo("no-pack");
        Map<String, Object> unknown =
                Bodies.makingBody("GRIND", 200, UUID.randomUUID().toString(), 200);
        assertThat(make(client, id, unknown).status()).isEqualTo(404);
        Map<String, Object> nothing = Bodies.makingBody("GRIND", 200, trim, 0);
        nothing.put("sources", List.of());
        assertThat(make(client, id, nothing).status()).isEqualTo(422);
        assertThat(client.get("/api/makings/" + id).status()).isEqualTo(404);
        assertThat(pack(client, trim).at("/pack/leftGrams").asInt()).isEqualTo(400);
        client.must(make(client, id, Bodies.makingBody("GRIND", 400, trim, 400)));
        client.must(client.put(
                "/api/makings/%s/packs".formatted(id), Map.of("packs", List.of(Bodies.packBody("GRIND", 390)))));
        assertThat(client.put("/api/makings/%s/undo".formatted(id), Map.of()).type())
                .as("packs were made of it")
                .isEqualTo("packed");
        assertThat(client.put("/api/makings/%s/weight".formatted(id), Map.of("version", 0, "grams", 300, "words", ""))
                        .type())
                .isEqualTo("packed-more");
    }
}
