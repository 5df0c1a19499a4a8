package elvaro.server.forecast;

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
import tools.jackson.databind.JsonNode;

@ExtendWith(RunningApp.class)
class ForecastIT {

    /** A striploin of 6 kg hung so many days ago. */
    private static String hungAgo(Client client, String chamber, int days) {
        String lot = UUID.randomUUID().toString();
        String hung = Bodies.today().minusDays(days).toString();
        Map<String, Object> received = Bodies.lotBody(lot, 6000);
        received.put("cutCode", "strip");
        received.put("boneIn", false);
        received.put("receivedOn", hung);
        client.must(client.post("/api/lots", received));
        String piece = UUID.randomUUID().toString();
        Map<String, Object> body = Bodies.hangBody(piece, chamber, 6000);
        body.put("hungOn", hung);
        body.put("targetDays", 42);
        client.must(client.post("/api/lots/" + lot + "/pieces", Map.of("pieces", List.of(body), "answers", Map.of())));
        return piece;
    }

    private static Map<String, Object> weighed(int grams, int daysAgo) {
        Map<String, Object> body = new HashMap<>(entry("WEIGHED", grams));
        body.put("answers", Map.of());
        body.put("at", Instant.now().minus(daysAgo, ChronoUnit.DAYS).toString());
        return body;
    }

    private static Map<String, Object> surely(Map<String, Object> weighing) {
        weighing.put("answers", Map.of("surprising", ""));
        return weighing;
    }

    private static JsonNode ahead(Client client, String piece) {
        return client.get("/api/pieces/" + piece).body().path("ahead");
    }

    @Test
    void weighings_narrow_the_band_and_move_the_forecast(Someone owner) {
        Client client = owner.client();
        String piece = hungAgo(client, client.chamber("Cabinet", 50_000), 21);
        JsonNode before = ahead(client, piece).path("atTarget");
        client.must(client.write(piece, weighed(5860, 18)));
        client.must(client.write(piece, weighed(5680, 13)));
        client.must(client.write(piece, weighed(5480, 6)));
        JsonNode after = ahead(client, piece).path("atTarget");
        assertThat(width(after)).isLessThan(width(before) / 2);
        assertThat(after.path("grams").asInt())
                .isBetween(
                        after.path("leastGrams").asInt(),
                        after.path("mostGrams").asInt());
        assertThat(after.path("day").asInt()).isEqualTo(42);
    }

    /** Meant for day 42, pulled on day 20: what was expected then is what is compared. */
    @Test
    void what_was_expected_at_the_hanging_is_compared_on_the_day_of_the_pull(Someone owner) {
        Client client = owner.client();
        String piece = hungAgo(client, client.chamber("Cabinet", 50_000), 21);
        double meant =
                client.get("/api/pieces/" + piece).body().at("/plan/lost").asDouble();
        Map<String, Object> pull = surely(weighed(5500, 1));
        pull.put("kind", "PULLED");
        client.must(client.write(piece, pull));
        JsonNode plan = client.get("/api/pieces/" + piece).body().path("plan");
        assertThat(plan.path("targetDays").asInt()).isEqualTo(42);
        assertThat(plan.path("days").asInt()).isEqualTo(20);
        assertThat(plan.path("lost").asDouble()).isBetween(meant / 3, meant * 0.8);
    }

    /**
     * Set to 80 %, and by its probe at 72 % for sixteen days: what the pieces show is what the air explains, and the chamber
     * says so. Weighed exactly as a piece dries at 72 %, it goes on like that.
     */
    @Test
    void a_chamber_that_misses_its_set_point_is_forecast_as_it_runs_and_says_so(Someone owner) {
        Client client = owner.client();
        String chamber = client.chamber("Cabinet", 50_000);
        String piece = hungAgo(client, chamber, 16);
        JsonNode asSet = ahead(client, piece).path("atTarget");
        String token = client.deviceToken(UUID.randomUUID().toString(), chamber);
        client.recorded(token, 17, day -> 72);
        JsonNode asItRuns = ahead(client, piece).path("atTarget");
        assertThat(asItRuns.path("grams").asInt())
                .as("drier air, more gone")
                .isLessThan(asSet.path("grams").asInt() - 150);
        assertThat(client.get("/api/room").body().at("/chambers/0/setPointMiss").asString())
                .startsWith("Runs at 72.0 % RH, set to 80.0 %: pieces lose");
        Map<String, Object> scenario = Bodies.scenarioBody(chamber);
        JsonNode plan = client.must(client.post("/api/plan/forward", scenario)).body();
        assertThat(plan.path("humidityPercent").asDouble()).isCloseTo(72, within(0.1));
        assertThat(plan.path("setPointMiss").asString()).startsWith("Runs at 72.0 % RH");
        scenario.put("humidityPercent", 80);
        JsonNode set = client.must(client.post("/api/plan/forward", scenario)).body();
        assertThat(set.at("/target/grams").asInt())
                .isGreaterThan(plan.at("/target/grams").asInt());
    }

    private static int width(JsonNode day) {
        return day.path("mostGrams").asInt() - day.path("leastGrams").asInt();
    }

    @Test
    void a_surprising_weight_is_asked_about_and_kept_either_way(Someone owner) {
        Client client = owner.client();
        String piece = hungAgo(client, client.chamber("Cabinet", 50_000), 21);
        client.must(client.write(piece, weighed(5860, 18)));
        client.must(client.write(piece, weighed(5680, 13)));
        Map<String, Object> wet = weighed(5675, 1);
        Answer asked = client.write(piece, wet);
        assertThat(asked.questions()).containsExactly("surprising");
        assertThat(asked.body().path("detail").asString()).contains("was expected. That is more.");
        wet.put("answers", Map.of("surprising", "washed down"));
        Answer kept = client.must(client.write(piece, wet));
        assertThat(kept.body().at("/card/nowGrams").asInt()).isEqualTo(5675);
        assertThat(kept.body().at("/decisions/0/reason").asString()).isEqualTo("washed down");
    }

    @Test
    void a_weight_entered_late_is_held_against_the_day_it_was_taken(Someone owner) {
        Client client = owner.client();
        String piece = hungAgo(client, client.chamber("Cabinet", 50_000), 21);
        client.must(client.write(piece, weighed(5300, 1)));
        client.must(client.write(piece, weighed(5780, 16)));
        assertThat(client.write(piece, weighed(5310, 14)).questions()).containsExactly("surprising");
        assertThat(client.get("/api/pieces/" + piece)
                        .body()
                        .at("/card/nowGrams")
                        .asInt())
                .isEqualTo(5300);
    }

    @Test
    void a_piece_that_goes_its_own_way_is_said_to_drift_with_what_to_do(Someone owner) {
        Client client = owner.client();
        String piece = hungAgo(client, client.chamber("Cabinet", 50_000), 30);
        int[] grams = {5955, 5910, 5850, 5800, 5755, 5500, 5200, 4900, 4650};
        int[] daysAgo = {29, 27, 24, 21, 18, 14, 10, 6, 3};
        for (int index = 0; index < grams.length; index++) {
            client.must(client.write(piece, surely(weighed(grams[index], daysAgo[index]))));
        }
        JsonNode ahead = ahead(client, piece);
        assertThat(ahead.path("drift").asString()).isEqualTo("TOO_FAST");
        assertThat(ahead.path("driftAdvice").asString()).contains("Likely the air is too dry");
    }

    @Test
    void a_finished_piece_teaches_its_chamber_and_no_other(Someone owner) {
        Client client = owner.client();
        String chamber = client.chamber("Cabinet", 50_000);
        String finished = hungAgo(client, chamber, 40);
        client.must(client.write(finished, surely(weighed(5700, 30))));
        client.must(client.write(finished, surely(weighed(5450, 15))));
        client.must(client.write(finished, entry("PULLED", 5300)));
        client.must(client.write(finished, Bodies.pile("STEAK", 4300)));
        client.must(client.write(finished, Bodies.pile("DISCARD", 1000)));
        client.must(client.put("/api/bench/" + finished + "/close/" + UUID.randomUUID(), Map.of("answers", Map.of())));
        JsonNode here = ahead(client, hungAgo(client, chamber, 2));
        assertThat(here.path("restsOnPieces").asInt()).isEqualTo(1);
        assertThat(here.path("restsOnBenches").asInt()).isEqualTo(1);
        JsonNode elsewhere = ahead(client, hungAgo(client, client.chamber("Other", 50_000), 2));
        assertThat(elsewhere.path("restsOnPieces").asInt()).isZero();
        assertThat(width(here.path("atTarget"))).isLessThan(width(elsewhere.path("atTarget")));
    }

    @Test
    void a_piece_keeps_what_was_expected_of_it_when_it_was_hung(Someone owner) {
        Client client = owner.client();
        String piece = hungAgo(client, client.chamber("Cabinet", 50_000), 21);
        JsonNode plan = client.get("/api/pieces/" + piece).body().path("plan");
        assertThat(plan.path("days").asInt()).isEqualTo(42);
        client.must(client.write(piece, weighed(5300, 1)));
        JsonNode after = client.get("/api/pieces/" + piece).body();
        assertThat(after.path("plan")).isEqualTo(plan);
        assertThat(after.at("/ahead/atTarget/lost").asDouble())
                .isNotCloseTo(plan.path("lost").asDouble(), within(0.002));
    }

    @ParameterizedTest(name = "{0} %: {1}")
    @CsvSource({"10, 200", "61.9, 422", "0, 422", "96, 422"})
    void a_target_shrink_has_its_day_or_a_sentence(String percent, int status) {
        Client client = RunningApp.newWorkshop().client();
        String piece = hungAgo(client, client.chamber("Cabinet", 50_000), 1);
        Answer answer = client.get("/api/pieces/" + piece + "/reach?shrinkPercent=" + percent);
        assertThat(answer.status()).isEqualTo(status);
        if (status == 200) {
            assertThat(answer.body().path("earliest").asString())
                    .isLessThan(answer.body().path("expected").asString());
        } else {
            assertThat(answer.body().path("detail").asString()).isNotBlank();
        }
    }

    @Test
    void every_number_ahead_opens_its_working(Someone owner) {
        Client client = owner.client();
        String piece = hungAgo(client, client.chamber("Cabinet", 50_000), 1);
        assertThat(client.get("/api/pieces/" + piece)
                        .body()
                        .path("workings")
                        .valueStream()
                        .map(working -> working.path("name").asString()))
                .contains("Weight ahead", "80 % band", "Crust", "Steak ahead", "Tenderness", "Equivalent days");
    }
}
