package elvaro.server.prepare;

import static org.assertj.core.api.Assertions.assertThat;

import elvaro.server.support.Api.Answer;
import elvaro.server.support.Client;
import elvaro.server.support.RunningApp;
import elvaro.server.support.RunningApp.Someone;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

@ExtendWith(RunningApp.class)
class PreparationIT {

    private static JsonNode step(JsonNode sheet, String key) {
        return sheet.path("steps")
                .valueStream()
                .filter(step -> step.path("key").asString().equals(key))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void a_step_is_ticked_once_with_who_did_it_and_the_tick_can_be_taken_off(Someone owner) {
        Client client = owner.client();
        String piece =
                client.hangToday(client.chamber("Cabinet", 50_000), 28, 6000).get(0);
        String sheet = "/api/pieces/" + piece + "/preparation";
        assertThat(step(client.get(sheet).body(), "pat-dry").path("done").asBoolean())
                .isFalse();
        String tick = sheet + "/" + UUID.randomUUID();
        client.must(client.put(tick, Map.of("step", "pat-dry", "done", true)));
        Answer again = client.must(client.put(tick, Map.of("step", "pat-dry", "done", true)));
        assertThat(step(again.body(), "pat-dry").path("by").asString()).isEqualTo("Owner");
        Answer off = client.must(client.put(sheet + "/" + UUID.randomUUID(), Map.of("step", "pat-dry", "done", false)));
        assertThat(step(off.body(), "pat-dry").path("done").asBoolean()).isFalse();
        assertThat(client.put(sheet + "/" + UUID.randomUUID(), Map.of("step", "pray", "done", true))
                        .type())
                .isEqualTo("no-step");
    }

    @Test
    void a_sheet_says_what_is_needed_for_this_piece(Someone owner) {
        Client client = owner.client();
        String piece =
                client.hangToday(client.chamber("Cabinet", 50_000), 28, 6000).get(0);
        JsonNode needs =
                client.get("/api/pieces/" + piece + "/preparation").body().path("needs");
        assertThat(needs.valueStream().map(need -> need.path("what").asString()))
                .contains("Twine");
    }
}
