package elvaro.server.first;

import static org.assertj.core.api.Assertions.assertThat;

import elvaro.server.support.Client;
import elvaro.server.support.RunningApp;
import elvaro.server.support.RunningApp.Someone;
import java.util.HashMap;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** From nothing to the first hung piece. */
@ExtendWith(RunningApp.class)
class FirstPieceIT {
    @Test
    void a_piece_hangs_in_a_chamber_of_usual_air_and_a_question_leaves_nothing_behind(Someone owner) {
        Client client = owner.client();
        String piece = UUID.randomUUID().toString();
        Map<String, Object> body = new HashMap<>(Map.of(
                "chamberId",
                UUID.randomUUID().toString(),
                "kind",
                "REFRIGERATOR",
                "cutCode",
                "ribeye",
                "boneIn",
                false,
                "grams",
                300,
                "method",
                "MEMBRANE",
                "days",
                35));
        body.putAll(Map.of("priceMinorPerKg", 2_600, "answers", Map.of()));
        assertThat(client.put("/api/first/" + piece, body).questions()).containsExactly("weight-unusual");
        assertThat(client.get("/api/chambers").body()).isEmpty();
        assertThat(client.get("/api/lots").body()).isEmpty();
        body.put("grams", 4_800);
        client.must(client.put("/api/first/" + piece, body));
        client.must(client.put("/api/first/" + piece, body)); // A lost answer, tried again.
        JsonNode card = client.must(client.get("/api/pieces/" + piece)).body().path("card");
        assertThat(card.path("state").asString()).isEqualTo("HANGING");
        assertThat(card.path("chamberName").asString()).isEqualTo("Refrigerator");
        assertThat(client.get("/api/chambers")
                        .body()
                        .at("/0/setHumidityPercent")
                        .asInt())
                .isEqualTo(60);
        assertThat(client.get("/api/lots").body()).hasSize(1);
        body.put("chamberId", UUID.randomUUID().toString());
        assertThat(client.put("/api/first/" + UUID.randomUUID(), body).type()).isEqualTo("not-first");
    }

    @Test
    void only_the_owner_furnishes_the_house_and_an_unknown_cut_is_named(Someone owner) {
        Map<String, Object> body = new HashMap<>(Map.of(
                "chamberId",
                UUID.randomUUID().toString(),
                "kind",
                "CABINET",
                "cutCode",
                "unicorn",
                "boneIn",
                false,
                "grams",
                5_000,
                "method",
                "OPEN_AIR",
                "days",
                28));
        body.putAll(Map.of("priceMinorPerKg", 0, "answers", Map.of()));
        String path = "/api/first/" + UUID.randomUUID();
        assertThat(owner.benchHand().put(path, body).status()).isEqualTo(403);
        assertThat(owner.client().put(path, body).type()).isEqualTo("unknown-cut");
        body.put("kind", "CAVE");
        assertThat(owner.client().put(path, body).status()).isEqualTo(400);
        assertThat(owner.client().get("/api/chambers").body()).isEmpty();
    }
}
