package elvaro.server.hanging;

import static elvaro.server.support.Bodies.entry;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import elvaro.server.support.Api.Answer;
import elvaro.server.support.Bodies;
import elvaro.server.support.Client;
import elvaro.server.support.RunningApp;
import elvaro.server.support.RunningApp.Someone;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.jdbc.core.simple.JdbcClient;
import tools.jackson.databind.JsonNode;

/** What is said about a piece when it is hung is what its forecast is made from. */
@ExtendWith(RunningApp.class)
class HungAsItIsIT {

    private static String hang(Client client, String chamber, Map<String, Object> said) {
        String today = client.get("/api/session").body().at("/me/today").asString();
        String lot = UUID.randomUUID().toString();
        Map<String, Object> received = Bodies.lotBody(lot, 5000);
        received.put("cutCode", "strip");
        received.put("boneIn", false);
        received.put("receivedOn", today);
        client.must(client.post("/api/lots", received));
        String piece = UUID.randomUUID().toString();
        Map<String, Object> body = Bodies.hangBody(piece, chamber, 5000);
        body.put("hungOn", today);
        body.putAll(said);
        Map<String, Object> split = new HashMap<>(Map.of("pieces", List.of(body), "answers", Map.of()));
        Client.Answer answer = client.post("/api/lots/" + lot + "/pieces", split);
        if ("SYRUP".equals(said.get("coating"))) {
            assertThat(answer.questions()).containsExactly("clash-sugar-hides-mould");
            split.put("answers", Map.of("clash-sugar-hides-mould", ""));
            answer = client.post("/api/lots/" + lot + "/pieces", split);
        }
        client.must(answer);
        return piece;
    }

    private static double lostAtTarget(Client client, String piece) {
        return client.get("/api/pieces/" + piece)
                .body()
                .at("/ahead/atTarget/lost")
                .asDouble();
    }

    @Test
    void what_nobody_weighed_for_weeks_is_told_as_expected_and_what_it_lost_a_day_is_told_until_it_was_weighed(
            Someone owner) {
        Client client = owner.client();
        String piece =
                client.hangAgo(40, client.chamber("Cabinet", 50_000), 60, 6000).get(0);
        JsonNode never = client.get("/api/pieces/" + piece).body();
        assertThat(never.at("/card/daysUnweighed").asInt()).isEqualTo(40);
        assertThat(never.at("/card/expectedLost").asDouble()).isBetween(0.05, 0.4);
        assertThat(never.has("perDayGrams")).isFalse();

        Map<String, Object> halfWay = entry("WEIGHED", 5600);
        halfWay.put("at", Instant.now().minus(20, ChronoUnit.DAYS).toString());
        client.must(client.write(piece, halfWay));
        JsonNode weighed = client.get("/api/pieces/" + piece).body();
        assertThat(weighed.at("/card/daysUnweighed").asInt()).isBetween(19, 21);
        assertThat(weighed.path("perDayGrams").asDouble()).isEqualTo(20, within(1.5));

        Map<String, Object> guessed = entry("PULLED", 4900);
        guessed.put("estimated", true);
        client.must(client.write(piece, guessed));
        assertThat(client.get("/api/pieces/" + piece).body().has("perDayGrams"))
                .as("a guess tells nothing of the days")
                .isFalse();
    }

    @Test
    void a_coat_slows_the_forecast_and_its_kind_is_kept(Someone owner) {
        Client client = owner.client();
        String chamber = client.chamber("Cabinet", 50_000);
        double bare = lostAtTarget(client, hang(client, chamber, Map.of()));
        String coated = hang(client, chamber, Map.of("coating", "SYRUP", "coatGrams", 200));
        assertThat(lostAtTarget(client, coated)).isLessThan(bare * 0.7);
        assertThat(client.get("/api/pieces/" + coated).body().path("coating").asString())
                .isEqualTo("SYRUP");
    }

    @Test
    void a_membrane_that_touches_less_lets_less_water_through(Someone owner) {
        Client client = owner.client();
        String chamber = client.chamber("Cabinet", 50_000);
        double tight = lostAtTarget(client, hang(client, chamber, Map.of("method", "MEMBRANE", "contactPercent", 95)));
        double loose = lostAtTarget(client, hang(client, chamber, Map.of("method", "MEMBRANE", "contactPercent", 76)));
        assertThat(loose).isLessThan(tight);
    }

    @Test
    void a_measured_piece_dries_by_its_own_surface(Someone owner) {
        Client client = owner.client();
        String chamber = client.chamber("Cabinet", 50_000);
        Map<String, Object> thin = Map.of("lengthMm", 600, "widthMm", 300, "heightMm", 35);
        Map<String, Object> compact = Map.of("lengthMm", 200, "widthMm", 180, "heightMm", 150);
        double thinLost = lostAtTarget(client, hang(client, chamber, thin));
        assertThat(thinLost).isGreaterThan(lostAtTarget(client, hang(client, chamber, compact)) * 1.3);
    }

    @ParameterizedTest(name = "{0} = {1}")
    @CsvSource({"contactPercent, 0", "contactPercent, 101", "lengthMm, 5", "heightMm, 3001", "coating, GLITTER"})
    void what_cannot_be_said_of_a_piece_is_refused_and_nothing_hangs(String field, String wrong) {
        Client client = RunningApp.newWorkshop().client();
        String chamber = client.chamber("Cabinet", 50_000);
        String lot = UUID.randomUUID().toString();
        client.must(client.post("/api/lots", Bodies.lotBody(lot, 5000)));
        Map<String, Object> body = Bodies.hangBody(UUID.randomUUID().toString(), chamber, 5000);
        body.put(field, wrong.matches("\\d+") ? (Object) Integer.valueOf(wrong) : wrong);
        Answer answer =
                client.post("/api/lots/" + lot + "/pieces", Map.of("pieces", List.of(body), "answers", Map.of()));
        assertThat(answer.status()).isIn(400, 422);
        assertThat(client.get("/api/lots/" + lot).body().path("pieces")).isEmpty();
    }

    @Test
    void a_slice_taken_early_is_no_water_and_leaves_the_picture_smaller(Someone owner) {
        Client client = owner.client();
        String piece = hang(client, client.chamber("Cabinet", 50_000), Map.of());
        JsonNode before = client.get("/api/pieces/" + piece).body().path("card");
        Answer taken = client.must(client.write(piece, entry("WITHDRAWN", 500)));
        JsonNode after = taken.body().path("card");
        assertThat(before.at("/section/now").asDouble()
                        - after.at("/section/now").asDouble())
                .isCloseTo(0.1, within(0.002));
        assertThat(after.path("expectedPullGrams").asDouble())
                .as("a tenth of it is gone, and with it a tenth of what it would have been")
                .isCloseTo(before.path("expectedPullGrams").asInt() * 0.9, within(1.0));
        assertThat(taken.body().at("/ahead/atTarget/lost").asDouble())
                .isCloseTo(lostAtTarget(client, piece), within(1e-9));
    }

    @Test
    void a_corrected_weighing_gives_the_forecast_of_the_right_one(Someone owner) {
        Client client = owner.client();
        String chamber = client.chamber("Cabinet", 50_000);
        String slip = hang(client, chamber, Map.of());
        String right = hang(client, chamber, Map.of());
        String wrong = client.must(client.write(slip, entry("WEIGHED", 4100)))
                .body()
                .at("/log/0/id")
                .asString();
        String at =
                client.get("/api/pieces/" + slip).body().at("/log/0/happenedAt").asString();
        Map<String, Object> correction = entry("WEIGHED", 4960);
        correction.put("corrects", wrong);
        client.must(client.write(slip, correction));
        Map<String, Object> plain = entry("WEIGHED", 4960);
        plain.put("at", at);
        client.must(client.write(right, plain));
        assertThat(lostAtTarget(client, slip)).isCloseTo(lostAtTarget(client, right), within(1e-9));
    }

    @Test
    void a_chamber_that_is_set_drier_dries_what_hangs_in_it_faster(Someone owner) {
        Client client = owner.client();
        String chamber = UUID.randomUUID().toString();
        Map<String, Object> body = new HashMap<>(Bodies.chamberBody(chamber, "Cabinet", 50_000));
        client.must(client.put("/api/chambers/" + chamber, body));
        String piece = hang(client, chamber, Map.of());
        double before = lostAtTarget(client, piece);
        body.put("setHumidityPercent", 65);
        client.must(client.put("/api/chambers/" + chamber, body));
        assertThat(lostAtTarget(client, piece)).isGreaterThan(before * 1.3);
    }

    @Test
    void a_chamber_without_a_set_humidity_has_that_of_its_kind(Someone owner) {
        Client client = owner.client();
        String set = UUID.randomUUID().toString();
        Map<String, Object> usual = new HashMap<>(Bodies.chamberBody(set, "Set", 50_000));
        usual.put("setHumidityPercent", 80); // a cabinet's own
        client.must(client.put("/api/chambers/" + set, usual));
        String open = UUID.randomUUID().toString();
        Map<String, Object> without = new HashMap<>(Bodies.chamberBody(open, "Open", 50_000));
        without.remove("setHumidityPercent");
        client.must(client.put("/api/chambers/" + open, without));
        assertThat(lostAtTarget(client, hang(client, open, Map.of())))
                .isCloseTo(lostAtTarget(client, hang(client, set, Map.of())), within(1e-9));
    }

    @Test
    void a_piece_set_aside_fresh_has_no_forecast_and_no_preparation(Someone owner) {
        Client client = owner.client();
        String lot = UUID.randomUUID().toString();
        client.must(client.post("/api/lots", Bodies.lotBody(lot, 5000)));
        String piece = UUID.randomUUID().toString();
        Map<String, Object> fresh = Bodies.hangBody(piece, client.chamber("Cabinet", 50_000), 5000);
        fresh.put("role", "FRESH");
        client.must(client.post("/api/lots/" + lot + "/pieces", Map.of("pieces", List.of(fresh), "answers", Map.of())));
        assertThat(client.get("/api/pieces/" + piece).body().has("ahead")).isFalse();
        assertThat(client.get("/api/pieces/" + piece + "/reach?shrinkPercent=10")
                        .type())
                .isEqualTo("wrong-state");
        assertThat(client.get("/api/pieces/" + piece + "/preparation").type()).isEqualTo("wrong-state");
    }

    @Test
    void what_was_expected_is_kept_once_for_each_piece(Someone owner, JdbcClient database) {
        Client client = owner.client();
        List<String> pieces = client.hangToday(client.chamber("Cabinet", 50_000), 28, 3000, 3000);
        for (String piece : pieces) {
            assertThat(database.sql("select count(*) from piece_plan where piece_id = ?")
                            .param(piece)
                            .query(Integer.class)
                            .single())
                    .isEqualTo(1);
        }
    }
}
