package elvaro.server.room;

import static elvaro.server.support.Bodies.entry;
import static org.assertj.core.api.Assertions.assertThat;

import elvaro.server.support.Bodies;
import elvaro.server.support.Client;
import elvaro.server.support.RunningApp;
import elvaro.server.support.RunningApp.Someone;
import java.net.http.HttpResponse;
import java.time.Instant;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** The first screen: what hangs where, what is expected of it, and what to do now. */
@ExtendWith(RunningApp.class)
class RoomIT {

    private static JsonNode room(Client client) {
        return client.get("/api/room").body();
    }

    private static List<String> due(Client client) {
        return room(client)
                .path("due")
                .valueStream()
                .map(each -> each.path("work").asString() + " "
                        + each.at("/subject/tag").asString())
                .toList();
    }

    @Test
    void an_empty_house_has_nothing_to_do(Someone owner) {
        JsonNode room = room(owner.client());
        assertThat(room.path("due")).isEmpty();
        assertThat(room.path("chambers")).isEmpty();
    }

    @Test
    void what_hangs_today_is_on_its_rail_with_what_it_will_weigh(Someone owner) {
        Client client = owner.client();
        client.hangToday(client.chamber("Cabinet", 50_000), 28, 4000, 3000);
        JsonNode chamber = room(client).at("/chambers/0");
        assertThat(chamber.path("loadGrams").asInt()).isEqualTo(7000);
        JsonNode first = chamber.at("/pieces/0");
        assertThat(first.path("slot").asInt()).isEqualTo(1);
        assertThat(first.path("expectedPullGrams").asInt()).isBetween(3000, 3900);
        assertThat(first.path("expectedNowGrams").asInt()).isBetween(3950, 4000);
        assertThat(first.path("drift").asString()).isEqualTo("NONE");
        assertThat(due(client)).isEmpty();
    }

    @Test
    void a_pull_that_is_overdue_stands_before_everything_and_alone_for_its_piece(Someone owner) {
        Client client = owner.client();
        String chamber = client.chamber("Cabinet", 100_000);
        client.hang(chamber, 4000); // hung in January for 35 days
        client.must(client.post("/api/lots", Bodies.lotBody(UUID.randomUUID().toString(), 4000)));
        List<String> due = due(client);
        assertThat(due.get(0)).isEqualTo("PULL_OVERDUE 1A");
        assertThat(due)
                .contains("HANG 2")
                .filteredOn(each -> each.endsWith(" 1A"))
                .hasSize(1);
    }

    @Test
    void a_pulled_piece_waits_for_the_bench_and_leaves_its_rail(Someone owner) {
        Client client = owner.client();
        String piece = client.hang(client.chamber("Cabinet", 50_000), 4000).get(0);
        client.must(client.write(piece, entry("PULLED", 3400)));
        assertThat(due(client)).containsExactly("CUT 1A");
        assertThat(room(client).at("/chambers/0/pieces")).isEmpty();
        assertThat(room(client).at("/pulled/0/tag").asString()).isEqualTo("1A");
    }

    @Test
    void a_purchase_is_put_before_people_three_days_ahead(Someone owner) {
        Client client = owner.client();
        String chamber = client.chamber("Cabinet", 50_000);
        String plan = UUID.randomUUID().toString();
        Map<String, Object> body = Bodies.planBody(plan, chamber);
        client.must(client.put("/api/plans/" + plan, body));
        assertThat(due(client)).isEmpty();
        LocalDate today = LocalDate.parse(room(client).path("today").asString());
        body.put("version", 0);
        body.put("hangOn", today.plusDays(3).toString());
        client.must(client.put("/api/plans/" + plan, body));
        assertThat(due(client)).containsExactly("BUY Harvest supper");
        assertThat(room(client).at("/due/0/days").asInt()).isEqualTo(-3);
    }

    @Test
    void an_overloaded_chamber_shows_its_load_beside_its_limit(Someone owner) {
        Client client = owner.client();
        String chamber = client.chamber("Cabinet", 5_000);
        String lot = UUID.randomUUID().toString();
        client.must(client.post("/api/lots", Bodies.lotBody(lot, 6000)));
        client.must(client.post(
                "/api/lots/" + lot + "/pieces",
                Map.of(
                        "pieces",
                        List.of(Bodies.hangBody(UUID.randomUUID().toString(), chamber, 6000)),
                        "answers",
                        Map.of("overload", "for two days only"))));
        JsonNode shown = room(client).at("/chambers/0");
        assertThat(shown.path("loadGrams").asInt())
                .isGreaterThan(shown.path("limitGrams").asInt());
        assertThat(client.get("/api/load").body().get(0).path("tooFullOn").asString())
                .isEqualTo(room(client).path("today").asString());
    }

    @Test
    void the_room_is_packed_for_a_slow_network(Someone owner) {
        Client client = owner.client();
        client.hangToday(client.chamber("Cabinet", 50_000), 28, 4000, 4100, 4200);
        assertThat(client.packing("/api/room")).isEqualTo("gzip");
    }

    @Test
    void a_room_that_did_not_change_is_not_sent_again_and_any_change_is_seen_at_once(Someone owner, Someone stranger) {
        Client client = owner.client();
        String chamber = client.chamber("Cabinet", 50_000);
        String piece = client.hangToday(chamber, 28, 4000).get(0);
        HttpResponse<String> first = client.whole("/api/room", "");
        String tag = first.headers().firstValue("ETag").orElseThrow();
        HttpResponse<String> second = client.whole("/api/room", tag);
        if (second.statusCode() != 304) { // the minute turned between the two
            tag = second.headers().firstValue("ETag").orElseThrow();
            second = client.whole("/api/room", tag);
        }
        assertThat(second.statusCode()).isEqualTo(304);
        assertThat(stranger.client().whole("/api/room", tag).statusCode()).isEqualTo(200);
        client.must(client.write(piece, entry("WEIGHED", 3990)));
        assertThat(client.whole("/api/room", tag).body()).contains("\"nowGrams\":3990");
        JsonNode before = client.get("/api/chambers").body().get(0);
        Map<String, Object> renamed = new HashMap<>(Bodies.chamberBody(chamber, "Larder", 50_000));
        renamed.put("version", before.path("version").asInt());
        client.must(client.put("/api/chambers/" + chamber, renamed));
        assertThat(room(client).at("/chambers/0/name").asString()).isEqualTo("Larder");
    }

    @Test
    void a_chamber_shows_its_air_and_warm_air_is_to_be_decided_about_until_somebody_has(Someone owner) {
        Client client = owner.client();
        String chamber = client.chamber("Cabinet", 50_000);
        String token = client.must(
                        client.put("/api/devices/" + UUID.randomUUID(), Map.of("name", "Probe", "chamberId", chamber)))
                .body()
                .path("token")
                .asString();
        client.must(client.pack(token, """
                [{"bn":"probe","u":"Cel","t":-120,"v":6.5},{"u":"Cel","t":-60,"v":2.25},{"u":"%RH","t":-60,"v":80.5}]"""));
        assertThat(due(client)).containsExactly("DECIDE Cabinet");
        JsonNode air = room(client).at("/chambers/0/air");
        assertThat(air.at("/latest/celsius").asDouble()).isEqualTo(2.25);
        assertThat(air.path("health").asString()).isEqualTo("WELL");
        String began = client.get("/api/chambers/%s/air?from=%s&to=%s"
                        .formatted(chamber, Instant.now().minusSeconds(3600), Instant.now()))
                .body()
                .at("/events/0/from")
                .asString();
        client.must(client.put(
                "/api/chambers/%s/air/decisions/%s".formatted(chamber, UUID.randomUUID()),
                Map.of("kind", "WARM", "beganAt", began, "words", "Loaded it; cold again within a minute.")));
        assertThat(due(client)).isEmpty();
    }
}
