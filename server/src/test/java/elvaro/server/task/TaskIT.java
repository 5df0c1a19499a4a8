package elvaro.server.task;

import static org.assertj.core.api.Assertions.assertThat;

import elvaro.server.support.Api.Answer;
import elvaro.server.support.Client;
import elvaro.server.support.RunningApp;
import elvaro.server.support.RunningApp.Someone;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;

@ExtendWith(RunningApp.class)
class TaskIT {

    private static LocalDate today(Client client) {
        return LocalDate.parse(client.get("/api/session").body().at("/me/today").asString());
    }

    private static Map<String, Object> decision(Client client, String piece, String work, int day, String verdict) {
        return new HashMap<>(Map.of(
                "pieceId", piece,
                "work", work,
                "plannedOn", today(client).plusDays(day).toString(),
                "verdict", verdict,
                "reason", ""));
    }

    private static Answer decide(Client client, Map<String, Object> decision) {
        return client.put("/api/tasks/" + UUID.randomUUID(), decision);
    }

    private static List<String> ahead(Client client) {
        return client.get("/api/tasks?days=60")
                .body()
                .valueStream()
                .map(task ->
                        task.path("work").asString() + " " + task.path("on").asString())
                .toList();
    }

    @Test
    void a_piece_says_the_next_three_things_to_do_with_their_day_and_reason(Someone owner) {
        Client client = owner.client();
        List<String> pieces = client.hangToday(client.chamber("Cabinet", 50_000), 28, 6000, 5000);
        List<JsonNode> next = client.get("/api/pieces/%s/next".formatted(pieces.get(1)))
                .body()
                .valueStream()
                .toList();
        assertThat(next)
                .hasSize(3)
                .allMatch(item -> item.at("/subject/id").asString().equals(pieces.get(1)))
                .noneMatch(item -> item.path("reason").asString().isBlank())
                .extracting(item -> item.path("on").asString())
                .isSorted()
                .contains(today(client).plusDays(7).toString());
    }

    @Test
    void a_task_is_moved_done_and_skipped_with_a_reason(Someone owner) {
        Client client = owner.client();
        String piece =
                client.hangToday(client.chamber("Cabinet", 50_000), 28, 6000).get(0);
        LocalDate today = today(client);
        assertThat(ahead(client)).contains("TURN " + today.plusDays(7), "LOOK " + today.plusDays(14));
        Map<String, Object> moved = decision(client, piece, "TURN", 7, "MOVED");
        moved.put("movedTo", today.plusDays(9).toString());
        client.must(decide(client, moved));
        assertThat(ahead(client)).contains("TURN " + today.plusDays(9)).doesNotContain("TURN " + today.plusDays(7));
        client.must(decide(client, decision(client, piece, "LOOK", 14, "DONE")));
        assertThat(ahead(client)).doesNotContain("LOOK " + today.plusDays(14));
        Map<String, Object> skipped = decision(client, piece, "LOOK", 21, "SKIPPED");
        assertThat(decide(client, skipped).body().path("field").asString()).isEqualTo("reason");
        skipped.put("reason", "seen with its twin");
        client.must(decide(client, skipped));
        assertThat(ahead(client)).doesNotContain("LOOK " + today.plusDays(21));
    }

    @Test
    void moving_a_pull_gives_the_piece_a_new_target(Someone owner) {
        Client client = owner.client();
        String piece =
                client.hangToday(client.chamber("Cabinet", 50_000), 28, 6000).get(0);
        Map<String, Object> moved = decision(client, piece, "PULL", 28, "MOVED");
        moved.put("movedTo", today(client).plusDays(35).toString());
        client.must(decide(client, moved));
        assertThat(client.get("/api/pieces/" + piece)
                        .body()
                        .at("/card/targetDays")
                        .asInt())
                .isEqualTo(35);
        assertThat(ahead(client)).contains("PULL " + today(client).plusDays(35));
    }

    @ParameterizedTest(name = "{0} on day {1}, {2}, to day {3}: {4}")
    @CsvSource({
        "WEIGH, 7, DONE, , weigh-it",
        "PULL, 28, SKIPPED, , pull-stays",
        "TURN, 7, MOVED, -1, wrong-day",
        "TURN, 7, MOVED, , wrong-day",
        "TURN, 8, DONE, , no-task"
    })
    void a_decision_that_does_not_suit_the_task_is_refused(
            String work, int day, String verdict, Integer movedTo, String type) {
        Client client = RunningApp.newWorkshop().client();
        String piece =
                client.hangToday(client.chamber("Cabinet", 50_000), 28, 6000).get(0);
        Map<String, Object> decision = decision(client, piece, work, day, verdict);
        if (movedTo != null) {
            decision.put("movedTo", today(client).plusDays(movedTo).toString());
        }
        Answer answer = decide(client, decision);
        assertThat(answer.type()).isEqualTo(type);
        assertThat(answer.body().path("detail").asString()).endsWith(".");
    }

    @Test
    void a_decision_sent_twice_is_kept_once(Someone owner) {
        Client client = owner.client();
        String piece =
                client.hangToday(client.chamber("Cabinet", 50_000), 28, 6000).get(0);
        String path = "/api/tasks/" + UUID.randomUUID();
        Map<String, Object> done = decision(client, piece, "TURN", 7, "DONE");
        assertThat(client.put(path, done).status()).isEqualTo(204);
        assertThat(client.put(path, done).status()).isEqualTo(204);
    }
}
