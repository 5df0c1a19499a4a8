package elvaro.server.hanging;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import elvaro.server.support.Bodies;
import elvaro.server.support.Client;
import elvaro.server.support.RunningApp;
import elvaro.server.support.RunningApp.Someone;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** Like things hung as one: six ducks, four steaks. */
@ExtendWith(RunningApp.class)
class BatchIT {

    private static String batch(Client client, String chamber, int grams, int count, int daysAgo) {
        String lot = UUID.randomUUID().toString();
        String day = Bodies.today().minusDays(daysAgo).toString();
        Map<String, Object> received = Bodies.lotBody(lot, grams);
        received.putAll(Map.of("cutCode", "duck", "receivedOn", day, "answers", Map.of("weight-unusual", "")));
        client.must(client.post("/api/lots", received));
        Map<String, Object> piece = Bodies.hangBody(UUID.randomUUID().toString(), chamber, grams);
        piece.putAll(Map.of("count", count, "hungOn", day, "targetDays", 8));
        client.must(client.post("/api/lots/" + lot + "/pieces", Map.of("pieces", List.of(piece), "answers", Map.of())));
        return String.valueOf(piece.get("id"));
    }

    private static JsonNode view(Client client, String piece) {
        return client.get("/api/pieces/" + piece).body();
    }

    @Test
    void six_ducks_dry_as_six_ducks_and_not_as_one_of_their_weight(Someone owner) {
        Client client = owner.client();
        String chamber = client.chamber("Rack", 50_000);
        double six = view(client, batch(client, chamber, 6000, 6, 0))
                .at("/ahead/atTarget/lost")
                .asDouble();
        double alone = view(client, batch(client, chamber, 1000, 1, 0))
                .at("/ahead/atTarget/lost")
                .asDouble();
        double goose = view(client, batch(client, chamber, 6000, 1, 0))
                .at("/ahead/atTarget/lost")
                .asDouble();
        assertThat(six).isCloseTo(alone, within(0.01)).isGreaterThan(goose * 1.2);
    }

    @Test
    void a_batch_taken_apart_leaves_pieces_that_add_up_with_what_they_lost_so_far(Someone owner) {
        Client client = owner.client();
        String batch = batch(client, client.chamber("Rack", 50_000), 4000, 4, 4);
        client.must(client.write(batch, Bodies.entry("WEIGHED", 3800)));
        List<Map<String, Object>> things = List.of(940, 950, 960, 950).stream()
                .map(grams -> Map.<String, Object>of("id", UUID.randomUUID().toString(), "grams", grams))
                .toList();
        String path = "/api/pieces/%s/apart/%s".formatted(batch, UUID.randomUUID());
        assertThat(client.put(path, Map.of("things", things.subList(0, 3))).type())
                .as("each is weighed")
                .isEqualTo("count");
        client.must(client.put(path, Map.of("things", things)));
        client.must(client.put(path, Map.of("things", things))); // Sent again.
        List<JsonNode> made = things.stream()
                .map(thing -> view(client, String.valueOf(thing.get("id"))))
                .toList();
        assertThat(made.stream()
                        .mapToInt(each -> each.at("/card/greenGrams").asInt())
                        .sum())
                .isEqualTo(4000);
        assertThat(made).allSatisfy(each -> {
            assertThat(each.at("/card/shrinkFraction").asDouble()).isCloseTo(0.05, within(0.001));
            assertThat(each.at("/card/dayNumber").asInt()).isEqualTo(4);
            assertThat(each.at("/card/count").asInt()).isEqualTo(1);
        });
        assertThat(view(client, batch).at("/card/state").asString()).isEqualTo("PARTED");
        assertThat(client.put(
                                "/api/pieces/%s/apart/%s"
                                        .formatted(made.get(0).at("/card/id").asString(), UUID.randomUUID()),
                                Map.of("things", things))
                        .type())
                .isEqualTo("no-batch");
        assertThat(client.get("/api/tasks").body().toString()).doesNotContain(batch);
    }

    @Test
    void a_coated_batch_may_weigh_more_than_it_was_hung_with(Someone owner) {
        Client client = owner.client();
        String batch = batch(client, client.chamber("Rack", 50_000), 4000, 4, 4);
        client.must(client.write(batch, Bodies.entry("COAT_ON", 400)));
        List<Map<String, Object>> things = Stream.generate(
                        () -> Map.<String, Object>of("id", UUID.randomUUID().toString(), "grams", 1080))
                .limit(4)
                .toList();
        client.must(
                client.put("/api/pieces/%s/apart/%s".formatted(batch, UUID.randomUUID()), Map.of("things", things)));
        assertThat(things)
                .allSatisfy(thing -> assertThat(view(client, String.valueOf(thing.get("id")))
                                .at("/card/shrinkFraction")
                                .asDouble())
                        .isCloseTo(0.02, within(0.001)));
    }
}
