package elvaro.server.tasting;

import static org.assertj.core.api.Assertions.assertThat;

import elvaro.server.support.Api.Answer;
import elvaro.server.support.Bodies;
import elvaro.server.support.Client;
import elvaro.server.support.RunningApp;
import elvaro.server.support.RunningApp.Someone;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Stream;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

/** What cannot be a tasting, and what is said then. */
@ExtendWith(RunningApp.class)
class TastingFormIT {
    private static Client host;

    @BeforeAll
    static void workshop() {
        host = RunningApp.newWorkshop().client();
    }

    private static Map<String, Object> with(String kind, int samples, int tasters, String field, Object value) {
        Map<String, Object> body = Bodies.tastingBody(kind, samples, tasters);
        body.put(field, value);
        return body;
    }

    private static Map<String, Object> taster(String id, String name) {
        return Map.of("id", id, "name", name);
    }

    static Stream<Arguments> wrong() {
        String twice = UUID.randomUUID().toString();
        Map<String, Object> sameName = Bodies.tastingBody("PAIRED", 2, 2);
        ((List<Map<String, Object>>) sameName.get("samples")).get(1).put("name", " Honey ");
        Map<String, Object> nameless = Bodies.tastingBody("PAIRED", 2, 2);
        ((List<Map<String, Object>>) nameless.get("samples")).get(0).put("name", " ");
        Map<String, Object> thick = Bodies.tastingBody("PAIRED", 2, 2);
        ((List<Map<String, Object>>) thick.get("samples")).get(0).put("thicknessMm", 201);
        Map<String, Object> liking = Map.of("key", "liking", "label", "Liking", "low", "none", "high", "much");
        return Stream.of(
                Arguments.of(Bodies.tastingBody("PAIRED", 3, 2), "This way of asking takes 2 samples."),
                Arguments.of(Bodies.tastingBody("TRIANGLE", 3, 2), "This way of asking takes 2 samples."),
                Arguments.of(Bodies.tastingBody("RANKING", 2, 2), "This way of asking takes 3 to 6 samples."),
                Arguments.of(sameName, "Give every sample a name of its own."),
                Arguments.of(nameless, "Every sample has a name."),
                Arguments.of(thick, "At most 200 mm."),
                Arguments.of(with("SCORES", 2, 2, "attributes", List.of()), "Choose what is scored."),
                Arguments.of(
                        with("TRIANGLE", 2, 2, "attributes", List.of(liking)),
                        "With the odd one nothing is scored: it would be looked for."),
                Arguments.of(
                        with("PAIRED", 2, 2, "attributes", List.of(liking, liking)),
                        "An attribute stands there twice."),
                Arguments.of(with("PAIRED", 2, 2, "tasters", List.of()), "One taster at least, 300 at most."),
                Arguments.of(
                        with("PAIRED", 2, 2, "tasters", List.of(taster(twice, "Tove"), taster(twice, "Rhea"))),
                        "A taster sits at one place only."),
                Arguments.of(with("PAIRED", 2, 2, "rounds", 4), "Three rounds at most: tongues tire."),
                Arguments.of(with("PAIRED", 2, 2, "question", " "), "Put the question in words."),
                Arguments.of(with("PAIRED", 2, 2, "coreCelsius", 20), "A core is at least 40 °C."),
                Arguments.of(with("PAIRED", 2, 2, "coreCelsius", 120), "A core is at most 95 °C."),
                Arguments.of(with("PAIRED", 2, 2, "restMinutes", -1), "Rest is not negative."));
    }

    @ParameterizedTest(name = "{1}")
    @MethodSource("wrong")
    void what_cannot_be_is_refused_with_a_sentence_and_nothing_is_kept(Map<String, Object> body, String sentence) {
        String id = UUID.randomUUID().toString();
        Answer answer = host.put("/api/tastings/" + id, body);
        assertThat(answer.status()).isEqualTo(422);
        assertThat(answer.body().path("detail").asString()).isEqualTo(sentence);
        assertThat(host.post("/api/tastings/check", body).status()).isEqualTo(422);
        assertThat(host.get("/api/tastings/" + id).status()).isEqualTo(404);
        assertThat(host.get("/api/tastings/tasters").body()).isEmpty();
    }

    @Test
    void a_piece_or_a_trial_of_nobody_cannot_be_tasted() {
        Map<String, Object> body = Bodies.tastingBody("PAIRED", 2, 1);
        ((List<Map<String, Object>>) body.get("samples"))
                .get(0)
                .put("pieceId", UUID.randomUUID().toString());
        assertThat(host.put("/api/tastings/" + UUID.randomUUID(), body).status())
                .isEqualTo(404);
        Map<String, Object> ofTrial =
                with("PAIRED", 2, 1, "trialId", UUID.randomUUID().toString());
        assertThat(host.put("/api/tastings/" + UUID.randomUUID(), ofTrial).status())
                .isEqualTo(409);
        assertThat(host.get("/api/tastings").body()).isEmpty();
    }

    @Test
    void nothing_is_done_twice_or_out_of_turn(Someone owner) {
        Client other = owner.client();
        String id = UUID.randomUUID().toString();
        other.must(other.put("/api/tastings/" + id, Bodies.tastingBody("PAIRED", 2, 1)));
        String address = "/api/tastings/%s/".formatted(id);
        assertThat(other.put(address + "reveal", Map.of("version", 0)).type()).isEqualTo("changed-meanwhile");
        other.must(other.put(address + "open", Map.of("version", 0)));
        assertThat(other.put(address + "open", Map.of("version", 0)).type()).isEqualTo("changed-meanwhile");
        assertThat(other.put(address + "open", Map.of("version", 1)).type()).isEqualTo("changed-meanwhile");
        other.must(other.put(address + "reveal", Map.of("version", 1)));
        assertThat(other.put(address + "reveal", Map.of("version", 2)).type()).isEqualTo("changed-meanwhile");
        assertThat(other.put(address + "drop", Map.of("version", 2)).type()).isEqualTo("tasting-revealed");
    }
}
