package elvaro.server.compare;

import static org.assertj.core.api.Assertions.assertThat;

import elvaro.server.support.Bodies;
import elvaro.server.support.Client;
import elvaro.server.support.RunningApp;
import elvaro.server.support.RunningApp.Someone;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** What finished pieces say of the forecasts there were of them, and which of them the shop does not learn from. */
@ExtendWith(RunningApp.class)
class TrackRecordIT {
    private static final LocalDate FIRST = LocalDate.of(2025, 1, 6);

    /** A row for each weighing: 5 kg for 28 days, some more than ten parts of a hundred of it gone by then. */
    private static void piece(List<List<String>> rows, int number, int agedGrams) {
        LocalDate hung = FIRST.plusDays(30L * number);
        String tag = "old " + number;
        String aged = String.valueOf(agedGrams / 1000.0);
        double gone = 5000 - agedGrams;
        for (int day : new int[] {7, 14, 21}) {
            String weight = String.valueOf(Math.round(5000 - gone * Math.pow(day / 28.0, 0.9)) / 1000.0);
            rows.add(List.of(
                    tag,
                    hung.toString(),
                    "5",
                    hung.plusDays(28).toString(),
                    aged,
                    aged,
                    hung.plusDays(day).toString(),
                    weight));
        }
    }

    private static String finished(Client client, int... agedGrams) {
        String chamber = client.chamber("Cabinet", 50_000);
        List<List<String>> rows = new ArrayList<>();
        for (int number = 0; number < agedGrams.length; number++) {
            piece(rows, number, agedGrams[number]);
        }
        Map<String, Object> form = new java.util.HashMap<>(Bodies.pastBody(chamber));
        form.put("rows", rows);
        form.put(
                "columns",
                Map.of(
                        "PIECE",
                        0,
                        "HUNG_ON",
                        1,
                        "GREEN",
                        2,
                        "PULLED_ON",
                        3,
                        "AGED",
                        4,
                        "STEAK",
                        5,
                        "DAY",
                        6,
                        "WEIGHT",
                        7));
        client.must(client.put("/api/past/" + UUID.randomUUID(), form));
        return chamber;
    }

    @Test
    void forecasts_are_held_against_what_was_pulled_beside_a_straight_line(Someone owner) {
        Client client = owner.client();
        String chamber = finished(client, 4420, 4380, 4450, 4400, 4390, 4430);
        JsonNode record = client.get("/api/forecasts/record").body();
        assertThat(record.path("weeks")
                        .valueStream()
                        .map(week -> week.path("day").asInt()))
                .containsExactly(0, 7, 14, 21);
        record.path("weeks")
                .forEach(week -> assertThat(week.path("forecasts").asInt()).isEqualTo(6));
        assertThat(record.at("/weeks/0/medianMissOfLine").isMissingNode()).isTrue();
        assertThat(record.at("/weeks/2/medianMiss").asDouble())
                .isLessThan(record.at("/weeks/0/medianMiss").asDouble());
        assertThat(record.at("/weeks/3/held").asInt()).isGreaterThanOrEqualTo(4);
        assertThat(record.path("contradictions")).isEmpty();

        String piece = client.hangAgo(15, chamber, 40, 5000).get(0);
        assertThat(client.get("/api/pieces/%s/forecast/record".formatted(piece))
                        .body()
                        .path("sentence")
                        .asString())
                .startsWith("Of 6 forecasts like this, made on day 14, ")
                .contains("half were off by less than", "a straight line by");
        assertThat(client.get("/api/forecasts/like?method=MEMBRANE")
                        .body()
                        .path("sentence")
                        .asString())
                .as("of all, where a method has none")
                .startsWith("Of 6 forecasts like this, made on the day it was hung, ");
    }

    /** One that was pulled at its green weight and waved through moves nothing until somebody says that it is right. */
    @Test
    void a_piece_that_contradicts_the_rest_is_left_out_with_its_reason_and_can_be_put_back(Someone owner) {
        Client client = owner.client();
        String chamber = finished(client, 4420, 4380, 4450, 4400, 4390, 4430, 4995);
        JsonNode odd = client.get("/api/forecasts/record")
                .body()
                .path("contradictions")
                .path(0);
        assertThat(odd.path("counts").asBoolean()).isFalse();
        assertThat(odd.path("reason").asString()).startsWith("It had lost 0.1 % on day 28, where the others lead");
        double without = ahead(client, chamber);

        String path = "/api/pieces/%s/teaches".formatted(odd.path("pieceId").asString());
        int version = odd.path("version").asInt();
        JsonNode back = client.must(client.put(path, Map.of("version", version, "counts", true)))
                .body();
        assertThat(back.at("/contradictions/0/counts").asBoolean()).isTrue();
        assertThat(ahead(client, chamber)).isLessThan(without - 0.005);
        assertThat(client.put(path, Map.of("version", version, "counts", false)).type())
                .isEqualTo("changed-meanwhile");
        client.must(client.put(path, Map.of("version", version + 1, "counts", false)));
        assertThat(ahead(client, chamber)).isEqualTo(without);
    }

    private static double ahead(Client client, String chamber) {
        return client.must(client.post("/api/plan/forward", Bodies.scenarioBody(chamber)))
                .body()
                .at("/target/lost")
                .asDouble();
    }
}
