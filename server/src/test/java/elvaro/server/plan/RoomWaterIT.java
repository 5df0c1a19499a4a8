package elvaro.server.plan;

import static org.assertj.core.api.Assertions.assertThat;

import elvaro.server.support.Bodies;
import elvaro.server.support.Client;
import elvaro.server.support.RunningApp;
import elvaro.server.support.RunningApp.Someone;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** The water of a chamber from its probe, its load and their history to the humidity of what is planned. */
@ExtendWith(RunningApp.class)
class RoomWaterIT {

    @Test
    void a_chamber_that_grew_damper_with_its_load_says_what_more_would_do(Someone owner) {
        Client client = owner.client();
        String chamber = client.chamber("North Room", 200_000);
        client.hangAgo(40, chamber, 90, 8000, 8000);
        client.hangAgo(14, chamber, 60, 8000, 8000, 8000);
        assertThat(client.get("/api/chambers/%s/water".formatted(chamber))
                        .body()
                        .has("sentence"))
                .as("nobody measured")
                .isFalse();
        client.recorded(
                client.deviceToken(UUID.randomUUID().toString(), chamber), 40, day -> day < 26 ? 74 : 80 - day / 60.0);
        JsonNode water = client.get("/api/chambers/%s/water".formatted(chamber)).body();
        assertThat(water.path("givenGrams").asDouble()).isBetween(50.0, 600.0);
        assertThat(water.path("restsOnDays").asInt()).isBetween(36, 40);
        assertThat(water.at("/perKilogram/mean").asDouble()).isGreaterThan(0.05);
        assertThat(water.path("days")).hasSize(28);
        assertThat(water.path("sentence").asString()).startsWith("With what hangs there North Room runs at ");

        Map<String, Object> scenario = Bodies.scenarioBody(chamber);
        Map<String, Object> room =
                Map.of("scenario", scenario, "pieces", 8, "from", Bodies.today().toString(), "showDays", 30);
        String humidity = client.must(client.post("/api/plan/room", room))
                .body()
                .at("/0/humidity")
                .asString();
        assertThat(humidity).startsWith("With them North Room runs at ").contains("Hang ", " now and ");
        Map<String, Object> later = new java.util.HashMap<>(room);
        later.put("from", Bodies.today().plusDays(45).toString());
        later.put("pieces", 20);
        assertThat(client.must(client.post("/api/plan/room", later))
                        .body()
                        .at("/0/humidity")
                        .asString())
                .as("six weeks ahead they count as well")
                .contains("above 85.0 %");
        assertThat(client.get("/api/load").body().path(0).has("humidity")).isFalse();
    }
}
