package elvaro.server.stock;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.tuple;

import elvaro.server.support.Api.Answer;
import elvaro.server.support.Bodies;
import elvaro.server.support.Client;
import elvaro.server.support.RunningApp;
import elvaro.server.support.RunningApp.Someone;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** From the closed bench to packs, and from packs to where they went. */
@ExtendWith(RunningApp.class)
class StockIT {

    private static Answer packs(Client client, String piece, List<Map<String, Object>> packs) {
        return client.put("/api/pieces/%s/packs".formatted(piece), Map.of("packs", packs));
    }

    private static Answer out(Client client, String pack, String way, int grams) {
        return client.put(
                "/api/packs/%s/out/%s".formatted(pack, UUID.randomUUID()),
                Map.of("way", way, "grams", grams, "words", "market stall"));
    }

    @Test
    void a_pile_is_packed_once_and_gives_no_more_than_it_weighed(Someone owner) {
        Client client = owner.client();
        String piece = client.cut();
        List<Map<String, Object>> two = List.of(Bodies.packBody("STEAK", 1500), Bodies.packBody("STEAK", 1505));
        client.must(packs(client, piece, two));
        JsonNode again = client.must(packs(client, piece, two)).body();
        assertThat(again).as("a lost answer, tried again").hasSize(2);
        assertThat(again.at("/0/number").asInt() + 1)
                .isEqualTo(again.at("/1/number").asInt());
        Answer more = packs(client, piece, List.of(Bodies.packBody("ROAST", 30)));
        assertThat(more.body().path("detail").asString())
                .isEqualTo("The packs hold 3035 g, but only 3000 g lay on the pile of steaks and roasts."
                        + " Weigh again, or correct it there.");
        client.must(packs(client, piece, List.of(Bodies.packBody("TRIM", 400))));
        JsonNode stock = client.get("/api/stock").body();
        assertThat(stock.path("packs")).hasSize(3);
        assertThat(stock.path("sums"))
                .extracting(sum -> sum.path("grams").asInt())
                .containsExactly(3005, 400);
        assertThat(stock.at("/packs/0/pricePerKg").asDouble())
                .as("cost over one less the margin")
                .isGreaterThan(client.get("/api/pieces/" + piece)
                        .body()
                        .at("/cost/perKgSteak")
                        .asDouble());
    }

    /** Steaks and roasts come from one pile, trim from another. */
    @Test
    void what_is_left_to_pack_counts_the_pile_the_packs_there_are_and_those_thought_of(Someone owner) {
        Client client = owner.client();
        String piece = client.cut();
        client.must(packs(client, piece, List.of(Bodies.packBody("ROAST", 1000))));
        String left = "/api/pieces/%s/packs/left?content=".formatted(piece);
        assertThat(client.get(left + "STEAK").body().path("grams").asInt()).isEqualTo(2000);
        assertThat(client.get(left + "STEAK&grams=500&grams=420")
                        .body()
                        .path("grams")
                        .asInt())
                .isEqualTo(1080);
        assertThat(client.get(left + "ROAST&grams=2100").body().path("grams").asInt())
                .isEqualTo(-100);
        assertThat(client.get(left + "TRIM").body().path("grams").asInt()).isEqualTo(400);
    }

    @Test
    void a_grind_begins_with_what_is_packed_for_it_as_it_is_usually_taken(Someone owner) {
        Client client = owner.client();
        String piece = client.cut();
        client.must(packs(client, piece, List.of(Bodies.packBody("STEAK", 900), Bodies.packBody("TRIM", 300))));
        JsonNode first = client.get("/api/stock/blend").body();
        assertThat(first.at("/blend/grams").asInt()).isEqualTo(2000);
        assertThat(first.at("/blend/sources"))
                .extracting(
                        each -> each.path("leanPercent").asInt(),
                        each -> each.path("crustPercent").asInt())
                .containsExactly(tuple(80, 25));
    }

    @Test
    void only_what_was_cut_and_weighed_is_packed_and_on_a_day_that_has_come(Someone owner) {
        Client client = owner.client();
        String chamber = client.chamber("North Room", 100_000);
        String hanging = client.hang(chamber, 4000).get(0);
        assertThat(packs(client, hanging, List.of(Bodies.packBody("STEAK", 100)))
                        .type())
                .isEqualTo("wrong-state");
        String piece = client.cut();
        Map<String, Object> tomorrow = Bodies.packBody("STEAK", 100);
        tomorrow.put("packedOn", Bodies.today().plusDays(2).toString());
        assertThat(packs(client, piece, List.of(tomorrow)).type()).isEqualTo("future-date");
        Map<String, Object> over = Bodies.packBody("STEAK", 100);
        over.put("useBy", Bodies.today().minusDays(3).toString());
        assertThat(packs(client, piece, List.of(over)).type()).isEqualTo("use-by");
        assertThat(packs(client, piece, List.of()).status()).isEqualTo(422);
        assertThat(client.get("/api/stock").body().path("packs")).isEmpty();
    }

    @Test
    void what_goes_out_is_never_more_than_there_is_and_a_slip_is_taken_back_in_the_open(Someone owner) {
        Client client = owner.client();
        String piece = client.cut();
        String id = client.must(packs(client, piece, List.of(Bodies.packBody("STEAK", 1000))))
                .body()
                .at("/0/id")
                .asString();
        client.must(out(client, id, "SALE", 600));
        assertThat(out(client, id, "TABLE", 401).body().path("detail").asString())
                .isEqualTo("There is only 400 g left in pack 1.");
        JsonNode story = client.must(out(client, id, "TASTING", 400)).body();
        assertThat(story.at("/pack/leftGrams").asInt()).isZero();
        assertThat(client.get("/api/stock").body().path("packs")).isEmpty();
        String slip = story.at("/outs/1/id").asString();
        Map<String, Object> back = Map.of("slip", slip, "words", "another pack");
        JsonNode after = client.must(client.put("/api/packs/%s/back/%s".formatted(id, UUID.randomUUID()), back))
                .body();
        assertThat(after.at("/pack/leftGrams").asInt()).isEqualTo(400);
        assertThat(after.path("outs"))
                .extracting(row -> row.path("slip").asBoolean())
                .containsExactly(false, true);
        assertThat(client.put("/api/packs/%s/back/%s".formatted(id, UUID.randomUUID()), back)
                        .type())
                .isEqualTo("taken-back");
        assertThat(after.at("/origins/0/supplier").asString()).isEqualTo("Hollin Farm");
    }

    /** Two hands at the counter sell the last of a pack at once. */
    @Test
    void hands_that_take_at_once_do_not_take_what_is_not_there(Someone owner) throws Exception {
        Client client = owner.client();
        String piece = client.cut();
        String id = client.must(packs(client, piece, List.of(Bodies.packBody("STEAK", 1000))))
                .body()
                .at("/0/id")
                .asString();
        AtomicInteger taken = new AtomicInteger();
        List<Thread> hands = new ArrayList<>();
        for (int hand = 0; hand < 8; hand++) {
            Thread thread = new Thread(
                    () -> taken.addAndGet(out(client, id, "SALE", 300).status() == 200 ? 1 : 0));
            thread.start();
            hands.add(thread);
        }
        for (Thread hand : hands) {
            hand.join();
        }
        assertThat(taken).hasValue(3);
        assertThat(client.get("/api/packs/" + id).body().at("/pack/leftGrams").asInt())
                .isEqualTo(100);
    }

    /** Two tablets at one bench weigh their packs in at once. */
    @Test
    void tablets_that_pack_at_once_do_not_pack_more_than_lay_there(Someone owner) throws Exception {
        Client client = owner.client();
        String piece = client.cut();
        AtomicInteger packed = new AtomicInteger();
        List<Thread> tablets = new ArrayList<>();
        for (int tablet = 0; tablet < 6; tablet++) {
            Thread thread = new Thread(() -> packed.addAndGet(
                    packs(client, piece, List.of(Bodies.packBody("STEAK", 900))).status() == 200 ? 1 : 0));
            thread.start();
            tablets.add(thread);
        }
        for (Thread tablet : tablets) {
            tablet.join();
        }
        assertThat(packed).hasValue(3);
        JsonNode all = client.get("/api/pieces/%s/packs".formatted(piece)).body();
        assertThat(all)
                .extracting(pack -> pack.path("number").asInt())
                .doesNotHaveDuplicates()
                .hasSize(3);
    }

    @Test
    void how_long_a_pack_is_used_is_the_workshops_own_rule(Someone owner) {
        Client client = owner.client();
        assertThat(client.get("/api/stock").body().path("rules")).isEmpty();
        Map<String, Object> rule = new HashMap<>(
                Map.of("content", "STEAK", "wrap", "VACUUM", "keeping", "CHILLED", "version", 0, "days", 14));
        client.must(client.put("/api/stock/rule", rule));
        rule.put("days", 10);
        JsonNode rules = client.must(client.put("/api/stock/rule", rule)).body().path("rules");
        assertThat(rules).hasSize(1);
        assertThat(rules.at("/0/days").asInt()).isEqualTo(10);
        assertThat(client.put("/api/stock/rule", rule).type()).isEqualTo("changed-meanwhile");
    }

    @Test
    void a_recall_names_every_pack_of_a_lot_and_where_it_went(Someone owner) {
        Client client = owner.client();
        String piece = client.cut();
        client.cut(); // another lot, of which nothing is recalled
        JsonNode made = client.must(
                        packs(client, piece, List.of(Bodies.packBody("STEAK", 1000), Bodies.packBody("TRIM", 200))))
                .body();
        client.must(out(client, made.at("/0/id").asString(), "SALE", 1000));
        String lot = client.get("/api/pieces/" + piece).body().at("/card/lotId").asString();
        JsonNode recall = client.get("/api/lots/%s/recall".formatted(lot)).body();
        assertThat(recall.path("packs")).hasSize(2);
        assertThat(recall.at("/packs/0/outs/0/wayLabel").asString()).isEqualTo("sold");
        assertThat(recall.at("/packs/0/outs/0/words").asString()).isEqualTo("market stall");
        assertThat(recall.at("/packs/1/leftGrams").asInt()).isEqualTo(200);
    }

    private static Map<String, Object> source(String pack, String name, int grams, int price, int lean, int crust) {
        Map<String, Object> source = new HashMap<>(Map.of(
                "name", name, "grams", grams, "priceMinorPerKg", price, "leanPercent", lean, "crustPercent", crust));
        source.put("packId", pack);
        return source;
    }

    private static Map<String, Object> blend(int grams, int lean, int mostCrust, List<Map<String, Object>> sources) {
        return Map.of(
                "grams", grams,
                "leanPercent", lean,
                "mostCrustPercent", mostCrust,
                "mostAgedFatPercent", 100,
                "sources", sources);
    }

    /** Crust at 75 % lean, shank at 95, plate at 60: 5 % of the batch is crust, the rest is Pearson's square. */
    @Test
    void a_grind_is_worked_out_from_packs_and_bought_meat_and_says_what_binds(Someone owner) {
        Client client = owner.client();
        JsonNode trim = client.must(packs(client, client.cut(), List.of(Bodies.packBody("TRIM", 400))))
                .body()
                .at("/0");
        String id = trim.path("id").asString();
        List<Map<String, Object>> sources = List.of(
                source(id, "trim", 0, 0, 75, 100),
                source(null, "fresh shank", 10_000, 1100, 95, 0),
                source(null, "fresh plate", 10_000, 1000, 60, 0));
        JsonNode found = client.must(client.post("/api/stock/blend", blend(2000, 80, 5, sources)))
                .body();
        // 100 g of crust bring 75 g of lean; of 1900 g more, x·0.95 + (1900 − x)·0.60 = 1525 makes x = 1100.
        assertThat(found.path("parts"))
                .extracting(part -> part.path("grams").asInt())
                .containsExactly(100, 1100, 800);
        assertThat(found.at("/parts/0/name").asString())
                .isEqualTo("pack %d, trim for grinding of %s"
                        .formatted(trim.path("number").asInt(), trim.path("tag").asString()));
        assertThat(found.path("binds").toString()).contains("No more crust than 5.0 %.");
        assertThat(found.path("costMinor").asDouble())
                .isEqualTo(
                        0.1 * trim.path("pricePerKg").asDouble() + 1.1 * 1100 + 0.8 * 1000,
                        org.assertj.core.data.Offset.offset(0.01));

        JsonNode not = client.must(client.post("/api/stock/blend", blend(2000, 99, 5, sources)))
                .body();
        assertThat(not.path("parts")).isEmpty();
        assertThat(not.at("/binds/0").asString())
                .isEqualTo("Nothing here is leaner than 95 % lean; 99 % cannot be reached.");
        assertThat(client.post("/api/stock/blend", blend(2000, 80, 5, List.of(sources.get(0), sources.get(0))))
                        .type())
                .isEqualTo("twice");
        assertThat(client.post(
                                "/api/stock/blend",
                                blend(
                                        2000,
                                        80,
                                        5,
                                        List.of(source(UUID.randomUUID().toString(), "x", 0, 0, 75, 0))))
                        .status())
                .isEqualTo(404);
    }
}
