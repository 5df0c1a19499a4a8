package elvaro.server.hanging;

import static elvaro.server.support.Bodies.entry;
import static org.assertj.core.api.Assertions.assertThat;

import elvaro.server.support.Client;
import elvaro.server.support.RunningApp;
import elvaro.server.support.RunningApp.Someone;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** When things happened, whatever the hour, the zone and the clock of a device. */
@ExtendWith(RunningApp.class)
class RightTimeIT {
    private static final ZoneId BERLIN = ZoneId.of("Europe/Berlin");

    private static void goBy(Client client, String zone) {
        Map<String, Object> settings = new JsonMapper()
                .convertValue(client.get("/api/workshop").body(), new TypeReference<HashMap<String, Object>>() {});
        settings.put("zone", zone);
        client.must(client.put("/api/workshop", settings));
    }

    @Test
    void a_piece_that_is_hung_now_and_weighed_at_once_is_weighed_on_day_nought(Someone owner) {
        Client client = owner.client();
        String room = client.chamber("Cabinet", 50_000);
        for (String zone : List.of("Pacific/Kiritimati", "Pacific/Pago_Pago")) { // one of them is in its evening
            goBy(client, zone);
            String piece = client.hangAgo(0, room, 20, 4000).get(0);
            JsonNode view =
                    client.must(client.write(piece, entry("WEIGHED", 3990))).body();
            assertThat(view.at("/weighings/0/day").asDouble()).as(zone).isBetween(0.0, 0.01);
        }
    }

    @Test
    void another_zone_moves_no_day_that_is_past(Someone owner) {
        Client client = owner.client();
        goBy(client, "Europe/Berlin");
        String piece =
                client.hangAgo(12, client.chamber("Cabinet", 50_000), 20, 4000).get(0);
        LocalDate today = LocalDate.parse(
                client.get("/api/session").body().at("/me/today").asString());
        Map<String, Object> weighed = entry("WEIGHED", 3700);
        weighed.put("at", today.minusDays(4).atStartOfDay(BERLIN).toInstant().toString());
        client.must(client.write(piece, weighed));
        Map<String, Object> pulled = entry("PULLED", 3600);
        pulled.put("at", today.minusDays(2).atStartOfDay(BERLIN).toInstant().toString());
        JsonNode before = client.must(client.write(piece, pulled)).body();
        assertThat(before.at("/card/dayNumber").asLong()).isEqualTo(10);
        goBy(client, "Pacific/Pago_Pago"); // half a day behind
        JsonNode after = client.get("/api/pieces/" + piece).body();
        assertThat(after.at("/card/dayNumber").asLong()).isEqualTo(10);
        assertThat(after.path("weighings")).isEqualTo(before.path("weighings"));
    }

    @Test
    void a_weight_from_a_device_whose_clock_runs_ahead_does_not_stay_the_current_one(Someone owner) {
        Client client = owner.client();
        String piece =
                client.hangAgo(3, client.chamber("Cabinet", 50_000), 20, 4000).get(0);
        Map<String, Object> ahead = entry("WEIGHED", 3800);
        Instant wrong = Instant.now().plusSeconds(3 * 3600);
        ahead.put("at", wrong.toString());
        assertThat(client.write(piece, ahead).type()).isEqualTo("future-date");
        ahead.put("sentAt", wrong.plusSeconds(60).toString());
        client.must(client.write(piece, ahead));
        JsonNode now = client.must(client.write(piece, entry("WEIGHED", 3790))).body();
        assertThat(now.at("/card/nowGrams").asInt()).isEqualTo(3790);
    }
}
