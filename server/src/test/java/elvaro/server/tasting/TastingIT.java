package elvaro.server.tasting;

import static org.assertj.core.api.Assertions.assertThat;

import elvaro.server.support.Bodies;
import elvaro.server.support.Client;
import elvaro.server.support.RunningApp;
import elvaro.server.support.RunningApp.Someone;
import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.atomic.AtomicInteger;
import javax.sql.DataSource;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.jdbc.core.simple.JdbcClient;
import tools.jackson.databind.JsonNode;

/** Tastings from the set table to what came of them. */
@ExtendWith(RunningApp.class)
class TastingIT {
    private static final List<String> PREFERRING_HONEY = List.of("Honey", "Honey", "Honey", "Honey", "Honey", "Plain");

    /** Six tasters with phones; most like the honey. */
    private static LaidTable honeyTasting(Client host) {
        LaidTable table = LaidTable.open(host, Bodies.tastingBody("PAIRED", 2, 6));
        for (int place = 0; place < 6; place++) {
            String liked = PREFERRING_HONEY.get(place);
            Map<String, Object> sheet = table.sheet(place, 0, liked, liked.equals("Honey") ? 6 : 4, 5);
            sheet.put("words", Map.of(table.code(place, 0, "Honey"), "sweet, nutty"));
            host.must(table.hand(place, sheet));
        }
        return table;
    }

    @Test
    void a_phone_does_not_wait_for_another_that_hands_in_at_the_same_table(Someone owner, DataSource source)
            throws SQLException {
        LaidTable table = LaidTable.open(owner.client(), Bodies.tastingBody("PAIRED", 2, 6));
        String first = table.view().at("/places/0/id").asString();
        try (Connection other = source.getConnection()) {
            other.setAutoCommit(false);
            try (PreparedStatement lock =
                    other.prepareStatement("select position from tasting_place where id = ? for update")) {
                lock.setString(1, first);
                assertThat(lock.executeQuery().next()).isTrue();
                assertThat(table.hand(1, table.sheet(1, 0, "Honey", 6, 5)).status())
                        .isEqualTo(204);
            } finally {
                other.rollback();
            }
        }
    }

    @Test
    void what_a_panel_can_show_is_said_before_anybody_tastes(Someone owner) {
        Client host = owner.client();
        JsonNode four = host.must(host.post("/api/tastings/check", Bodies.tastingBody("PAIRED", 2, 4)))
                .body();
        assertThat(four.at("/power/canShow").asBoolean()).isFalse();
        assertThat(four.at("/power/sentences/0").asString())
                .isEqualTo("With 4 tasters even 4 of 4 is no proof; 6 of 6 is.");
        assertThat(four.at("/cautions/0").asString()).contains("63 °C").contains("pregnant");
        Map<String, Object> telling = Bodies.tastingBody("SCORES", 2, 6);
        telling.put(
                "attributes", List.of(Map.of("key", "own", "label", "Honey taste", "low", "none", "high", "strong")));
        assertThat(host.post("/api/tastings/check", telling)
                        .body()
                        .path("hints")
                        .toString())
                .contains("Honey taste");
        assertThat(host.post("/api/tastings/check", Bodies.tastingBody("RANKING", 2, 6))
                        .body()
                        .path("detail")
                        .asString())
                .isEqualTo("This way of asking takes 3 to 6 samples.");
        assertThat(host.get("/api/tastings").body()).isEmpty();
    }

    @Test
    void nobody_reads_an_answer_before_the_reveal_and_only_the_host_the_key(Someone owner) {
        Client host = owner.client();
        LaidTable table = honeyTasting(host);
        JsonNode before = table.now();
        assertThat(before.path("places"))
                .allSatisfy(
                        place -> assertThat(place.at("/arrived/0").asBoolean()).isTrue());
        assertThat(before.has("result")).isFalse();
        assertThat(before.toString()).doesNotContain("sweet").doesNotContain("picked");
        assertThat(host.get("/api/tastings/notes?words=sweet").body()).isEmpty();

        Client hand = owner.benchHand();
        JsonNode seen = hand.get("/api/tastings/" + table.id()).body();
        assertThat(seen.path("plates")).isEmpty();
        assertThat(seen.toString()).doesNotContain("/t/");
        assertThat(hand.put("/api/tastings/%s/reveal".formatted(table.id()), Map.of("version", 1))
                        .type())
                .isEqualTo("not-host");

        JsonNode after = table.reveal();
        assertThat(after.at("/result/verdicts/0/sentence").asString())
                .isEqualTo("5 of 6 liked Honey better than Plain."
                        + " No difference is shown, which is not to say there is none.");
        assertThat(after.at("/result/verdicts/0/statistics").asString()).contains("p 0.219");
        assertThat(after.at("/result/verdicts/0/strength").asString()).isEqualTo("NOT_SHOWN");
        assertThat(after.at("/result/scores/0/shifts/0/shift").asDouble()).isEqualTo(1);
        assertThat(hand.get("/api/tastings/" + table.id()).body().path("plates"))
                .hasSize(6);
        assertThat(host.get("/api/tastings/notes?words=NUTTY").body()).hasSize(6);
    }

    @Test
    void the_reveal_locks_the_sheets_and_ends_the_links(Someone owner, JdbcClient database) {
        Client host = owner.client();
        LaidTable table = LaidTable.open(host, Bodies.tastingBody("PAIRED", 2, 6));
        host.must(table.hand(0, table.sheet(0, 0, "Honey", 6, 5)));
        JsonNode after = table.reveal();
        assertThat(after.path("weakenedBy").toString()).contains("5 of 6 tasters did not answer");
        assertThat(table.hand(1, table.sheet(1, 0, "Honey", 6, 5)).type()).isEqualTo("unknown-link");
        String place = after.at("/places/1/id").asString();
        assertThat(host.put(
                                "/api/tastings/%s/places/%s/sheets/%s".formatted(table.id(), place, UUID.randomUUID()),
                                table.sheet(1, 0, "Honey", 6, 5))
                        .type())
                .isEqualTo("tasting-not-open");
        assertThat(host.put(
                                "/api/tastings/%s/samples/%s"
                                        .formatted(
                                                table.id(),
                                                after.at("/samples/0/id").asString()),
                                Map.of(
                                        "version",
                                        0,
                                        "thicknessMm",
                                        30,
                                        "thawed",
                                        false,
                                        "sameSeasoning",
                                        true,
                                        "coreCelsius",
                                        55))
                        .type())
                .isEqualTo("tasting-revealed");
        assertThat(database.sql("select count(*) from tasting_place where token is not null and tasting_id = ?")
                        .param(table.id())
                        .query(Integer.class)
                        .single())
                .isZero();
    }

    @Test
    void a_sheet_sent_again_is_there_once_and_a_second_one_does_not_count(Someone owner) throws Exception {
        Client host = owner.client();
        LaidTable table = LaidTable.open(host, Bodies.tastingBody("PAIRED", 2, 6));
        Map<String, Object> sheet = table.sheet(0, 0, "Honey", 7, 2);
        String id = UUID.randomUUID().toString();
        AtomicInteger taken = new AtomicInteger();
        CountDownLatch ready = new CountDownLatch(1);
        List<Thread> sending = new ArrayList<>();
        for (int each = 0; each < 8; each++) {
            Thread thread = new Thread(() -> {
                try {
                    ready.await();
                } catch (InterruptedException stopped) {
                    Thread.currentThread().interrupt();
                }
                if (host.phone("PUT", "/taste/sheets/" + id, table.token(0), sheet)
                                .status()
                        == 204) {
                    taken.incrementAndGet();
                }
            });
            thread.start();
            sending.add(thread);
        }
        ready.countDown();
        for (Thread thread : sending) {
            thread.join();
        }
        assertThat(taken).hasValue(8);
        assertThat(table.hand(0, table.sheet(0, 0, "Plain", 2, 7)).type()).isEqualTo("handed-in");
        JsonNode after = table.reveal();
        assertThat(after.at("/result/choices")).hasSize(1);
        assertThat(after.at("/result/choices/0/picked").asInt()).isZero();
    }

    @Test
    void only_what_stands_on_the_plate_is_answered(Someone owner) {
        Client host = owner.client();
        LaidTable table = LaidTable.open(host, Bodies.tastingBody("RANKING", 3, 3));
        int honey = table.code(0, 0, "Honey");
        int plain = table.code(0, 0, "Plain");
        int porcini = table.code(0, 0, "Porcini");
        for (Map<String, Object> wrong : List.<Map<String, Object>>of(
                Map.of("ranks", Map.of(honey, 1, plain, 2)),
                Map.of("ranks", Map.of(honey, 2, plain, 2, porcini, 3)),
                Map.of("ranks", Map.of(honey, 1, plain, 2, porcini, 4)),
                Map.of("ranks", Map.of(honey, 1, plain, 2, porcini, 3), "scores", Map.of("liking", Map.of(999999, 3))),
                Map.of("ranks", Map.of(honey, 1, plain, 2, porcini, 3), "scores", Map.of("liking", Map.of(honey, 8))),
                Map.of("ranks", Map.of(honey, 1, plain, 2, porcini, 3), "scores", Map.of("other", Map.of(honey, 3))),
                Map.of("ranks", Map.of(honey, 1, plain, 2, porcini, 3), "round", 1))) {
            Map<String, Object> sheet = Bodies.sheetBody();
            sheet.putAll(wrong);
            assertThat(table.hand(0, sheet).status()).as(wrong.toString()).isEqualTo(422);
        }
        Map<String, Object> tied = Bodies.sheetBody();
        tied.put("ranks", Map.of(honey, 1, plain, 1, porcini, 3));
        host.must(table.hand(0, tied));
        JsonNode result = table.reveal().path("result");
        assertThat(result.at("/choices/0/ranks").toString()).isEqualTo("[1,1,3]");
        JsonNode order = result.at("/lines/0");
        assertThat(order.path("title").asString()).isEqualTo("Order");
        assertThat(order.at("/tasters/0/values").toString())
                .as("the best at the top")
                .isEqualTo("[3.0,3.0,1.0]");
        assertThat(order.path("written").toString()).isEqualTo("[\"1.0.\",\"1.0.\",\"3.0.\"]");
    }

    @Test
    void paper_is_typed_in_and_what_was_cooked_is_weighed_against_it(Someone owner) {
        Client host = owner.client();
        LaidTable table = LaidTable.open(host, Bodies.tastingBody("TRIANGLE", 2, 6));
        JsonNode samples = table.view().path("samples");
        for (int sample = 0; sample < 2; sample++) {
            host.must(host.put(
                    "/api/tastings/%s/samples/%s"
                            .formatted(
                                    table.id(), samples.get(sample).path("id").asString()),
                    Map.of(
                            "version",
                            0,
                            "thicknessMm",
                            25 + 10 * sample,
                            "thawed",
                            sample == 0,
                            "sameSeasoning",
                            true,
                            "coreCelsius",
                            54 + 3 * sample)));
        }
        for (int place = 0; place < 6; place++) {
            List<JsonNode> servings = table.view()
                    .at("/plates/%d/servings".formatted(place))
                    .valueStream()
                    .toList();
            int odd = servings.stream()
                    .filter(one -> servings.stream()
                                    .filter(other -> other.path("sample").equals(one.path("sample")))
                                    .count()
                            == 1)
                    .findFirst()
                    .orElseThrow()
                    .path("code")
                    .asInt();
            Map<String, Object> sheet = Bodies.sheetBody();
            sheet.put("picked", odd);
            sheet.put("knew", place == 5);
            host.must(host.put(
                    "/api/tastings/%s/places/%s/sheets/%s"
                            .formatted(
                                    table.id(),
                                    table.view()
                                            .at("/places/%d/id".formatted(place))
                                            .asString(),
                                    UUID.randomUUID()),
                    sheet));
        }
        String anyPlace = "/api/tastings/%s/places/%s/sheets/%s"
                .formatted(table.id(), table.view().at("/places/0/id").asString(), UUID.randomUUID());
        assertThat(owner.benchHand().put(anyPlace, Bodies.sheetBody()).type()).isEqualTo("not-host");
        JsonNode after = table.reveal();
        assertThat(after.at("/result/verdicts/0/sentence").asString()).startsWith("6 of 6 found the odd one");
        assertThat(after.at("/result/choices/0/typedIn").asBoolean()).isTrue();
        assertThat(after.path("weakenedBy").toString())
                .contains("54.0 °C to 57.0 °C", "Honey was thawed", "Kester knew or guessed");
        assertThat(after.at("/samples/1/startAfter").asDouble()).isZero();
        assertThat(after.at("/samples/0/startAfter").asDouble()).isGreaterThan(20);
    }

    @Test
    void a_taster_who_asks_is_forgotten_and_the_counts_stay(Someone owner, JdbcClient database) {
        Client host = owner.client();
        LaidTable first = honeyTasting(host);
        first.reveal();
        JsonNode kester = host.get("/api/tastings/tasters")
                .body()
                .valueStream()
                .filter(each -> each.path("name").asString().equals("Kester"))
                .findFirst()
                .orElseThrow();
        assertThat(kester.path("judged").asInt()).isEqualTo(1);
        assertThat(kester.path("agreed").asInt())
                .as("Kester alone liked the plain")
                .isZero();
        String id = kester.path("id").asString();
        host.must(host.put("/api/tastings/tasters/%s/forget".formatted(id), Map.of("version", 0)));
        assertThat(host.get("/api/tastings/tasters").body().toString()).doesNotContain("Kester");
        JsonNode after = first.now();
        assertThat(after.at("/result/verdicts/0/sentence").asString()).contains("5 of 6");
        assertThat(after.toString()).contains("Somebody").doesNotContain("Kester");
        for (String table : List.of("taster", "tasting_sheet", "tasting_note", "tasting_aud", "tasting_sample_aud")) {
            assertThat(database.sql("select * from " + table + " where workshop_id = ?")
                            .param(owner.person().workshopId().toString())
                            .query()
                            .listOfRows()
                            .toString())
                    .as(table)
                    .doesNotContain("Kester");
        }
        Map<String, Object> again = Bodies.tastingBody("PAIRED", 2, 1);
        again.put("tasters", List.of(Map.of("id", UUID.randomUUID().toString(), "tasterId", id, "name", "Kester")));
        assertThat(host.put("/api/tastings/" + UUID.randomUUID(), again).status())
                .isEqualTo(404);
    }

    @Test
    void what_was_tasted_goes_into_the_verdict_of_the_trial_and_into_the_strengths(Someone owner) {
        Client host = owner.client();
        String chamber = host.chamber("North Room", 100_000);
        List<String> pieces = host.hang(chamber, 4000, 4000);
        host.must(host.give(pieces.get(1), Bodies.treatmentBody("PASTE")));
        String trial = UUID.randomUUID().toString();
        List<String> arms =
                List.of(UUID.randomUUID().toString(), UUID.randomUUID().toString());
        host.must(host.put(
                "/api/trials/" + trial,
                Map.of(
                        "question",
                        "Porcini rub against plain",
                        "factor",
                        "TREATMENT",
                        "measure",
                        "LIKING",
                        "parts",
                        List.of(),
                        "arms",
                        List.of(
                                Map.of(
                                        "id",
                                        arms.get(0),
                                        "name",
                                        "Plain",
                                        "control",
                                        true,
                                        "pieces",
                                        List.of(pieces.get(0))),
                                Map.of(
                                        "id",
                                        arms.get(1),
                                        "name",
                                        "Porcini",
                                        "control",
                                        false,
                                        "pieces",
                                        List.of(pieces.get(1)))),
                        "answers",
                        Map.of())));
        Map<String, Object> body = Bodies.tastingBody("PAIRED", 2, 6);
        body.put("trialId", trial);
        List<Map<String, Object>> samples = (List<Map<String, Object>>) body.get("samples");
        for (int sample = 0; sample < 2; sample++) {
            samples.get(sample).put("pieceId", pieces.get(1 - sample));
            samples.get(sample).put("armId", arms.get(1 - sample));
        }
        LaidTable table = LaidTable.open(host, body);
        for (int place = 0; place < 6; place++) {
            host.must(table.hand(place, table.sheet(place, 0, PREFERRING_HONEY.get(place), 5, 5)));
        }
        assertThat(host.get("/api/trials/" + trial).body().path("conclusions")).isEmpty();
        table.reveal();
        JsonNode view = host.get("/api/trials/" + trial).body();
        assertThat(view.at("/conclusions/0/sentence").asString())
                .startsWith("5 of 6 liked Porcini better than Plain. No difference is shown");
        assertThat(view.at("/conclusions/0/weakenedBy").toString())
                .contains("The core of Honey, Plain was not measured.");
        assertThat(view.at("/tastings/0/state").asString()).isEqualTo("REVEALED");
        assertThat(host.get("/api/trials").body().at("/0/conclusions/0").asString())
                .contains("5 of 6 liked Porcini better than Plain.");

        JsonNode strengths = host.get("/api/tastings/strengths").body();
        assertThat(strengths.at("/treatments/0/against").asString()).isEqualTo("Plain");
        assertThat(strengths.at("/treatments/0/others/0/chance").asDouble()).isBetween(0.6, 0.85);
        assertThat(strengths.at("/methods")).as("both hung alike").isEmpty();
    }

    @Test
    void a_table_its_host_forgot_is_closed_after_a_day_and_can_still_be_revealed(Someone owner, JdbcClient database) {
        Client host = owner.client();
        LaidTable table = LaidTable.open(host, Bodies.tastingBody("PAIRED", 2, 2));
        host.must(table.hand(0, table.sheet(0, 0, "Honey", 6, 5)));
        database.sql("update tasting set opened_at = opened_at - interval 25 hour where id = ?")
                .param(table.id())
                .update();
        assertThat(table.hand(1, table.sheet(1, 0, "Honey", 6, 5)).type()).isEqualTo("unknown-link");
        assertThat(host.phone("GET", "/taste/sheets", table.token(0), null).status())
                .isEqualTo(401);
        assertThat(table.reveal().at("/result/choices")).hasSize(1);
    }

    @Test
    void a_tasting_given_up_ends_its_links_and_is_no_longer_listed(Someone owner) {
        Client host = owner.client();
        LaidTable table = LaidTable.open(host, Bodies.tastingBody("PAIRED", 2, 2));
        host.must(host.put("/api/tastings/%s/drop".formatted(table.id()), Map.of("version", 1)));
        assertThat(table.hand(0, table.sheet(0, 0, "Honey", 6, 5)).type()).isEqualTo("unknown-link");
        assertThat(host.get("/api/tastings").body()).isEmpty();
    }
}
