package elvaro.server.hanging;

import static elvaro.server.support.Bodies.entry;
import static org.assertj.core.api.Assertions.assertThat;

import elvaro.server.support.Api.Answer;
import elvaro.server.support.Bodies;
import elvaro.server.support.Client;
import elvaro.server.support.RunningApp;
import elvaro.server.support.RunningApp.Someone;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.jdbc.core.simple.JdbcClient;

@ExtendWith(RunningApp.class)
class PieceLogIT {

    private static <T> List<T> atOnce(int times, Callable<T> call) throws Exception {
        ExecutorService hands = Executors.newFixedThreadPool(times);
        try {
            List<Future<T>> calls = hands.invokeAll(
                    IntStream.range(0, times).mapToObj(index -> call).toList());
            List<T> answers = new java.util.ArrayList<>();
            for (Future<T> each : calls) {
                answers.add(each.get());
            }
            return answers;
        } finally {
            hands.shutdown();
        }
    }

    private static String entryNamed(Answer piece, int index) {
        return piece.body().path("log").get(index).path("id").asString();
    }

    @Test
    void a_weighing_sent_eight_times_at_once_is_stored_once(Someone owner, JdbcClient database) throws Exception {
        Client client = owner.client();
        String piece = client.hang(client.chamber("Cabinet", 50_000), 4000).get(0);
        String path = "/api/pieces/" + piece + "/log/" + UUID.randomUUID();
        List<Answer> answers = atOnce(8, () -> client.put(path, entry("WEIGHED", 3900)));
        assertThat(answers).extracting(Answer::status).containsOnly(200);
        assertThat(database.sql("select count(*) from log_entry where piece_id = ?")
                        .param(piece)
                        .query(Integer.class)
                        .single())
                .isEqualTo(1);
    }

    @Test
    void an_entry_number_that_says_something_else_is_refused(Someone owner) {
        Client client = owner.client();
        String piece = client.hang(client.chamber("Cabinet", 50_000), 4000).get(0);
        String path = "/api/pieces/" + piece + "/log/" + UUID.randomUUID();
        client.must(client.put(path, entry("WEIGHED", 3900)));
        Answer other = client.put(path, entry("WEIGHED", 3800));
        assertThat(other.type()).isEqualTo("id-used");
        assertThat(other.body().path("detail").asString()).contains("3900 g stands in the log");
    }

    @Test
    void a_correction_stands_in_for_the_entry_and_both_stay_in_the_log(Someone owner) {
        Client client = owner.client();
        String piece = client.hang(client.chamber("Cabinet", 50_000), 4000).get(0);
        String wrong = entryNamed(client.must(client.write(piece, entry("WEIGHED", 3900))), 0);
        Map<String, Object> correction = entry("WEIGHED", 3850);
        correction.put("corrects", wrong);
        Answer corrected = client.must(client.write(piece, correction));
        assertThat(corrected.body().at("/card/nowGrams").asInt()).isEqualTo(3850);
        assertThat(corrected.body().path("log")).hasSize(2);
        assertThat(client.write(piece, correction).type()).isEqualTo("corrected-already");
        Map<String, Object> back = entry("TAKEN_BACK", 0);
        back.put("corrects", entryNamed(corrected, 1));
        Answer undone = client.must(client.write(piece, back));
        assertThat(undone.body().at("/card/nowGrams").asInt()).isEqualTo(3900);
        assertThat(undone.body().path("log")).hasSize(3);
        correction.put("grams", 3840);
        assertThat(client.must(client.write(piece, correction))
                        .body()
                        .at("/card/nowGrams")
                        .asInt())
                .isEqualTo(3840);
    }

    @Test
    void an_odd_weight_is_asked_about_and_the_answer_is_kept_with_its_author(Someone owner) {
        Client client = owner.client();
        String piece = client.hang(client.chamber("Cabinet", 50_000), 4000).get(0);
        Map<String, Object> odd = entry("WEIGHED", 4100);
        assertThat(client.write(piece, odd).questions()).containsExactly("above-green");
        assertThat(client.get("/api/pieces/" + piece).body().path("log")).isEmpty();
        odd.put("answers", Map.of("above-green", "wet from the wash"));
        Answer kept = client.must(client.write(piece, odd));
        assertThat(kept.body().at("/decisions/0/reason").asString()).isEqualTo("wet from the wash");
        assertThat(kept.body().at("/decisions/0/by").asString()).isEqualTo("Owner");
    }

    @Test
    void a_pull_can_be_taken_back_until_a_pile_was_weighed(Someone owner) {
        Client client = owner.client();
        String piece = client.hang(client.chamber("Cabinet", 50_000), 4000).get(0);
        Map<String, Object> back = entry("TAKEN_BACK", 0);
        back.put("corrects", entryNamed(client.must(client.write(piece, entry("PULLED", 3600))), 0));
        assertThat(client.must(client.write(piece, back))
                        .body()
                        .at("/card/state")
                        .asString())
                .isEqualTo("HANGING");
        Answer again = client.must(client.write(piece, entry("PULLED", 3590)));
        client.must(client.write(piece, Bodies.pile("STEAK", 3000)));
        back.put("corrects", entryNamed(again, again.body().path("log").size() - 1));
        assertThat(client.write(piece, back).type()).isEqualTo("piles-there");
        assertThat(client.write(piece, entry("WEIGHED", 3500)).type()).isEqualTo("wrong-state");
    }

    @Test
    void times_outside_the_pieces_days_are_refused(Someone owner) {
        Client client = owner.client();
        String piece = client.hang(client.chamber("Cabinet", 50_000), 4000).get(0);
        Map<String, Object> early = entry("WEIGHED", 3900);
        early.put("at", Bodies.today().minusDays(300) + "T10:00:00Z");
        assertThat(client.write(piece, early).type()).isEqualTo("before-hanging");
        early.put("at", "0001-01-05T10:00:00Z");
        assertThat(client.write(piece, early).type()).isEqualTo("before-hanging");
        early.put("at", "2126-01-05T10:00:00Z");
        assertThat(client.write(piece, early).type()).isEqualTo("future-date");
    }

    @Test
    void a_split_sent_again_hangs_nothing_twice_and_another_split_is_refused(Someone owner) {
        Client client = owner.client();
        String chamber = client.chamber("Cabinet", 50_000);
        String lot = UUID.randomUUID().toString();
        client.must(client.post("/api/lots", Bodies.lotBody(lot, 8000)));
        Map<String, Object> split = Map.of(
                "pieces", List.of(Bodies.hangBody(UUID.randomUUID().toString(), chamber, 7990)), "answers", Map.of());
        client.must(client.post("/api/lots/" + lot + "/pieces", split));
        assertThat(client.must(client.post("/api/lots/" + lot + "/pieces", split))
                        .body())
                .hasSize(1);
        Map<String, Object> other = Map.of(
                "pieces", List.of(Bodies.hangBody(UUID.randomUUID().toString(), chamber, 7990)), "answers", Map.of());
        assertThat(client.post("/api/lots/" + lot + "/pieces", other).type()).isEqualTo("split-already");
        assertThat(client.get("/api/lots/" + lot)
                        .body()
                        .path("cuttingLossGrams")
                        .asInt())
                .isEqualTo(10);
    }

    @Test
    void a_coat_put_on_while_splitting_is_in_the_log_once_and_off_every_weighing(Someone owner) {
        Client client = owner.client();
        String lot = UUID.randomUUID().toString();
        client.must(client.post("/api/lots", Bodies.lotBody(lot, 8000)));
        String piece = UUID.randomUUID().toString();
        Map<String, Object> coated = Bodies.hangBody(piece, client.chamber("Cabinet", 50_000), 7990);
        coated.put("coatGrams", 300);
        Map<String, Object> split = Map.of("pieces", List.of(coated), "answers", Map.of());
        client.must(client.post("/api/lots/" + lot + "/pieces", split));
        client.must(client.post("/api/lots/" + lot + "/pieces", split));
        Answer weighed = client.must(client.write(piece, entry("WEIGHED", 8000)));
        assertThat(weighed.body()
                        .path("log")
                        .valueStream()
                        .map(each -> each.path("kind").asString()))
                .containsExactlyInAnyOrder("COAT_ON", "WEIGHED");
        assertThat(weighed.body().at("/card/coatGrams").asInt()).isEqualTo(300);
        assertThat(weighed.body().at("/card/nowGrams").asInt()).isEqualTo(7700);
        assertThat(weighed.body().at("/ledger/shrinkGrams").asInt()).isEqualTo(290);
    }

    @Test
    void an_overloaded_chamber_needs_a_reason(Someone owner) {
        Client client = owner.client();
        String chamber = client.chamber("Small", 5000);
        client.hang(chamber, 4000);
        String lot = UUID.randomUUID().toString();
        client.must(client.post("/api/lots", Bodies.lotBody(lot, 4000)));
        Answer asked = client.post(
                "/api/lots/" + lot + "/pieces",
                Map.of(
                        "pieces",
                        List.of(Bodies.hangBody(UUID.randomUUID().toString(), chamber, 4000)),
                        "answers",
                        Map.of()));
        assertThat(asked.questions()).containsExactly("overload");
        assertThat(asked.body().at("/questions/0/needsReason").asBoolean()).isTrue();
    }

    @ParameterizedTest
    @ValueSource(strings = {"TURNED", "RETIED", "RESEALED", "TRIMMED"})
    void what_happened_is_said_while_the_piece_hangs_and_not_after(String kind, Someone owner) {
        Client client = owner.client();
        String piece = client.hang(client.chamber("Cabinet", 50_000), 4000).get(0);
        Answer said = client.must(client.write(piece, entry(kind, 0)));
        assertThat(said.body().at("/log/0/kind").asString()).isEqualTo(kind);
        assertThat(said.body().at("/card/nowGrams").asInt()).isEqualTo(4000);
        client.must(client.write(piece, entry("PULLED", 3600)));
        assertThat(client.write(piece, entry(kind, 0)).type()).isEqualTo("wrong-state");
    }

    @Test
    void what_is_cut_away_is_less_than_the_piece_and_goes_on_the_books_as_discard(Someone owner) {
        Client client = owner.client();
        String piece = client.hang(client.chamber("Cabinet", 50_000), 4000).get(0);
        assertThat(client.write(piece, entry("CUT_AWAY", 4000))
                        .body()
                        .path("detail")
                        .asString())
                .isEqualTo("4000 g cannot come off a piece that weighs 4000 g.");
        client.must(client.write(piece, entry("CUT_AWAY", 250)));
        client.must(client.write(piece, entry("WITHDRAWN", 150)));
        client.must(client.write(piece, entry("PULLED", 3300)));
        client.must(client.write(piece, Bodies.pile("STEAK", 3000)));
        Answer cut = client.must(client.write(piece, Bodies.pile("DISCARD", 300)));
        assertThat(cut.body().at("/ledger/withdrawnGrams").asInt()).isEqualTo(400);
        assertThat(cut.body().at("/ledger/shrinkGrams").asInt()).isEqualTo(300);
        assertThat(cut.body().at("/ledger/residualGrams").asInt()).isZero();
        assertThat(cut.body().at("/ledger/discardFraction").asDouble()).isEqualTo(550 / 4000.0);
        assertThat(cut.body().at("/ledger/trimFraction").asDouble()).isEqualTo(550 / 4000.0);
    }

    @Test
    void lot_numbers_follow_one_another_when_lots_come_at_once(Someone owner) throws Exception {
        Client client = owner.client();
        atOnce(
                6,
                () -> client.must(client.post(
                        "/api/lots", Bodies.lotBody(UUID.randomUUID().toString(), 4000))));
        assertThat(client.get("/api/lots")
                        .body()
                        .valueStream()
                        .map(lot -> lot.path("number").asInt()))
                .containsExactly(6, 5, 4, 3, 2, 1);
    }
}
