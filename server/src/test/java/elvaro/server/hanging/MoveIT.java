package elvaro.server.hanging;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import elvaro.server.support.Api.Answer;
import elvaro.server.support.Bodies;
import elvaro.server.support.Client;
import elvaro.server.support.RunningApp;
import elvaro.server.support.RunningApp.Someone;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** A piece that is moved dries in the air of each chamber for as long as it is there. */
@ExtendWith(RunningApp.class)
class MoveIT {
    private static String chamber(Client client, String name, double celsius, int humidity, int limit) {
        String id = UUID.randomUUID().toString();
        Map<String, Object> body = new java.util.HashMap<>(Bodies.chamberBody(id, name, limit));
        body.put("setCelsius", celsius);
        body.put("setHumidityPercent", humidity);
        client.must(client.put("/api/chambers/" + id, body));
        return id;
    }

    private static Map<String, Object> to(String chamber) {
        return Map.of("chamberId", chamber, "words", "Wanted the place.", "answers", Map.of());
    }

    private static String move(String piece) {
        return "/api/pieces/%s/move/%s".formatted(piece, UUID.randomUUID());
    }

    private static int atThePull(Client client, String piece) {
        return client.get("/api/pieces/" + piece)
                .body()
                .at("/card/expectedPullGrams")
                .asInt();
    }

    @Test
    void the_forecast_lies_between_that_of_the_damp_and_that_of_the_dry_chamber(Someone owner) {
        Client client = owner.client();
        String damp = chamber(client, "Damp", 1, 92, 90_000);
        String dry = chamber(client, "Dry", 3, 65, 90_000);
        String stays = client.hangAgo(10, damp, 20, 4000).get(0);
        String goes = client.hangAgo(10, damp, 20, 4000).get(0);
        String always = client.hangAgo(10, dry, 20, 4000).get(0);
        assertThat(atThePull(client, goes)).isEqualTo(atThePull(client, stays));
        String path = move(goes);
        client.must(client.put(path, to(dry)));
        JsonNode moved = client.must(client.put(path, to(dry))).body();
        assertThat(moved.at("/card/chamberName").asString()).isEqualTo("Dry");
        assertThat(moved.at("/log").size()).isEqualTo(1);
        assertThat(moved.at("/log/0/words").asString()).isEqualTo("Damp to Dry. Wanted the place.");
        assertThat(atThePull(client, goes)).isBetween(atThePull(client, always) + 20, atThePull(client, stays) - 20);
        double age = client.get("/api/chambers/%s/ages".formatted(dry))
                .body()
                .valueStream()
                .filter(each -> each.path("id").asString().equals(goes))
                .findFirst()
                .orElseThrow()
                .path("equivalentDays")
                .asDouble();
        double inTheDamp = client.get("/api/chambers/%s/ages".formatted(damp))
                .body()
                .at("/0/equivalentDays")
                .asDouble();
        assertThat(age).isEqualTo(inTheDamp, within(0.1));
    }

    @Test
    void a_full_chamber_is_asked_about_and_a_move_to_where_it_hangs_is_none(Someone owner) {
        Client client = owner.client();
        String roomy = chamber(client, "Roomy", 2, 80, 90_000);
        String small = chamber(client, "Small", 2, 80, 3_000);
        String piece = client.hangAgo(1, roomy, 20, 4000).get(0);
        assertThat(client.put(move(piece), to(roomy)).type()).isEqualTo("there-already");
        Answer full = client.put(move(piece), to(small));
        assertThat(full.questions()).containsExactly("overload");
        client.must(client.put(
                move(piece), Map.of("chamberId", small, "words", "", "answers", Map.of("overload", "For one night."))));
        assertThat(client.get("/api/pieces/" + piece)
                        .body()
                        .at("/decisions/0/reason")
                        .asString())
                .isEqualTo("For one night.");
    }
}
