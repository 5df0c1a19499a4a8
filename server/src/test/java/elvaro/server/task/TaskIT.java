package elvaro.server.task;

import static org.assertj.core.api.Assertions.assertThat;

import biweekly.Biweekly;
import biweekly.ICalendar;
import biweekly.component.VEvent;
import elvaro.server.support.Bodies;
import elvaro.server.support.Client;
import elvaro.server.support.Client.Answer;
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

    /** Read back by a library that had no part in writing it (biweekly). */
    @Test
    void the_calendar_is_read_by_another_program_as_it_was_meant(Someone owner) {
        Client client = owner.client();
        String piece = client.hangToday(client.chamber("Cabinet, upper", 50_000), 28, 6000)
                .get(0);
        String plan = UUID.randomUUID().toString();
        Map<String, Object> wish = Bodies.planBody(
                plan, client.get("/api/chambers").body().get(0).path("id").asString());
        wish.put("name", "Supper; for Ødegård, \"24\"");
        client.must(client.put("/api/plans/" + plan, wish));
        String text = client.text("/api/calendar.ics");
        ICalendar calendar = Biweekly.parse(text).first();
        List<VEvent> events = calendar.getEvents();
        assertThat(events.stream().map(event -> event.getSummary().getValue()))
                .contains("Weigh 1A", "Turn 1A", "Pull 1A", "Buy Supper; for Ødegård, \"24\"");
        VEvent pull = events.stream()
                .filter(event -> event.getSummary().getValue().equals("Pull 1A"))
                .findFirst()
                .orElseThrow();
        assertThat(pull.getDateStart().getValue().hasTime()).isFalse();
        assertThat(pull.getDateStart().getValue().getRawComponents().toDate().toString())
                .contains(String.valueOf(today(client).plusDays(28).getDayOfMonth()));
        assertThat(pull.getLocation().getValue()).isEqualTo("Cabinet, upper");
        assertThat(pull.getUid().getValue()).startsWith(piece);
        assertThat(events.stream().map(event -> event.getUid().getValue())).doesNotHaveDuplicates();
        assertThat(Biweekly.parse(text).all()).hasSize(1);
        assertThat(text).contains("\r\n").doesNotContain("\n\n");
        assertThat(calendar.validate(biweekly.ICalVersion.V2_0).toString()).isEmpty();
    }

    @Test
    void warm_air_nobody_decided_about_is_in_the_calendar_until_somebody_does(Someone owner) {
        Client client = owner.client();
        String chamber = client.chamber("Cabinet", 50_000);
        java.time.Instant warm =
                java.time.Instant.now().minusSeconds(3_600).truncatedTo(java.time.temporal.ChronoUnit.SECONDS);
        client.must(client.pack(
                client.deviceToken(UUID.randomUUID().toString(), chamber),
                "[{\"n\":\"t\",\"u\":\"Cel\",\"t\":%d,\"v\":9}]".formatted(warm.getEpochSecond())));
        List<VEvent> events =
                Biweekly.parse(client.text("/api/calendar.ics")).first().getEvents();
        assertThat(events.stream().map(event -> event.getSummary().getValue())).containsExactly("Decide Cabinet");
        client.must(client.put(
                "/api/chambers/%s/air/decisions/%s".formatted(chamber, UUID.randomUUID()),
                Map.of("kind", "WARM", "beganAt", warm.toString(), "words", "Door left open.")));
        assertThat(client.text("/api/calendar.ics")).doesNotContain("Decide");
    }

    @Test
    void a_calendar_address_opens_one_persons_calendar_until_it_is_made_anew_or_revoked(Someone owner) {
        Client client = owner.client();
        client.hangToday(client.chamber("Cabinet", 50_000), 28, 6000);
        assertThat(client.get("/api/me/calendar").body().path("made").asBoolean())
                .isFalse();
        String first = client.must(client.post("/api/me/calendar", null))
                .body()
                .path("path")
                .asString();
        Client program = new Client(RunningApp.port());
        assertThat(program.text(first)).contains("BEGIN:VCALENDAR", "Pull 1A");
        String second = client.must(client.post("/api/me/calendar", null))
                .body()
                .path("path")
                .asString();
        assertThat(program.get(first).status()).isEqualTo(404);
        assertThat(program.text(second)).contains("Pull 1A");
        JsonNode shown = client.get("/api/me/calendar").body();
        assertThat(shown.path("made").asBoolean()).isTrue();
        assertThat(shown.path("path").asString()).as("the secret is not kept").isEmpty();
        client.must(client.send("DELETE", "/api/me/calendar", null));
        assertThat(program.get(second).status()).isEqualTo(404);
    }

    @Test
    void nobody_guesses_a_calendar(Someone owner) {
        Client program = new Client(RunningApp.port());
        assertThat(program.get("/calendar/" + owner.person().accountId() + ".ics")
                        .status())
                .isEqualTo(404);
        assertThat(program.get("/api/calendar.ics").status()).isEqualTo(401);
    }
}
