package elvaro.server.scale;

import static org.assertj.core.api.Assertions.assertThat;

import elvaro.server.support.Api.Answer;
import elvaro.server.support.Client;
import elvaro.server.support.RunningApp;
import elvaro.server.support.RunningApp.Someone;
import java.util.Iterator;
import java.util.UUID;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** From the scale to the screen. */
@ExtendWith(RunningApp.class)
class ScaleIT {
    private static final String FIGURE = "[{\"n\":\"scale\",\"u\":\"%s\",\"v\":%s}]";

    private static Answer send(String token, String pack) {
        return new Client(RunningApp.port()).device("/devices/weights", token, pack);
    }

    private static void rest(String token, String kg) throws InterruptedException {
        for (int figure = 0; figure < 4; figure++) {
            assertThat(send(token, FIGURE.formatted("kg", kg)).status()).isEqualTo(204);
            Thread.sleep(400);
        }
    }

    private static JsonNode nextSteady(Iterator<String> lines) {
        while (true) {
            String line = lines.next();
            if (line.startsWith("data:")) {
                JsonNode shown = new JsonMapper().readTree(line.substring(5));
                if (shown.path("steady").asBoolean()) {
                    return shown;
                }
            }
        }
    }

    @Test
    void a_steady_figure_reaches_the_screen_that_watches_net_of_what_was_tared(Someone owner)
            throws InterruptedException {
        Client client = owner.client();
        String scale = UUID.randomUUID().toString();
        String token = client.deviceToken(scale, null);
        send(token, FIGURE.formatted("kg", "0.8501"));
        Answer moving = client.put("/api/scales/" + scale + "/tare", java.util.Map.of());
        assertThat(moving.type()).isEqualTo("not-steady");
        rest(token, "0.8501");
        Answer tared = client.must(client.put("/api/scales/" + scale + "/tare", java.util.Map.of()));
        assertThat(tared.body().path("tareGrams").asInt()).isEqualTo(850);
        Thread sender = new Thread(() -> {
            try {
                Thread.sleep(300);
                rest(token, "5.0652");
            } catch (InterruptedException ended) {
                Thread.currentThread().interrupt();
            }
        });
        sender.start();
        try (Stream<String> lines = client.events("/api/scales/" + scale + "/figures")) {
            JsonNode shown = nextSteady(lines.iterator());
            assertThat(shown.path("grams").asInt()).isEqualTo(4215);
            assertThat(shown.path("laying").asInt()).isEqualTo(2);
        }
        sender.join();
    }

    @ParameterizedTest(name = "{0}")
    @CsvSource(
            delimiter = '|',
            value = {
                "a temperature|[{'n':'s','u':'Cel','v':4}]|no weight in kg or g",
                "no value|[{'n':'s','u':'kg','vs':'4'}]|has no weight",
                "a lorry|[{'n':'s','u':'kg','v':4000}]|more than 1000 kg",
                "no SenML|{}|A pack is a JSON array",
            })
    void what_is_no_weight_is_refused(String what, String pack, String sentence, Someone owner) {
        String token = owner.client().deviceToken(UUID.randomUUID().toString(), null);
        Answer answer = send(token, pack.replace('\'', '"'));
        assertThat(answer.status()).isEqualTo(422);
        assertThat(answer.body().path("detail").asString()).contains(sentence);
    }

    @Test
    void a_probe_weighs_nothing_and_a_scale_measures_no_air(Someone owner) {
        Client client = owner.client();
        String probe = client.deviceToken(UUID.randomUUID().toString(), client.chamber("Cabinet", 50_000));
        String scale = client.deviceToken(UUID.randomUUID().toString(), null);
        assertThat(send(probe, FIGURE.formatted("kg", "4")).status()).isEqualTo(401);
        assertThat(client.pack(scale, "[{\"n\":\"t\",\"u\":\"Cel\",\"v\":2}]").status())
                .isEqualTo(401);
    }

    @Test
    void figures_that_come_too_fast_are_turned_away(Someone owner) {
        String token = owner.client().deviceToken(UUID.randomUUID().toString(), null);
        String figure = FIGURE.formatted("g", "4215");
        // Several at once, so that a busy machine is quick enough too.
        assertThat(IntStream.range(0, 1_500)
                        .parallel()
                        .mapToObj(number -> send(token, figure).status()))
                .contains(204)
                .contains(429);
    }
}
