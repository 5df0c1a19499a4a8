package elvaro.server.task;

import static org.assertj.core.api.Assertions.assertThat;

import biweekly.Biweekly;
import biweekly.ICalVersion;
import biweekly.ICalendar;
import biweekly.component.VEvent;
import elvaro.server.support.Bodies;
import elvaro.server.support.Client;
import elvaro.server.support.RunningApp;
import elvaro.server.support.RunningApp.Someone;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.time.Instant;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

@ExtendWith(RunningApp.class)
class CalendarIT {

    private static LocalDate day(Client client, int ahead) {
        return LocalDate.parse(client.get("/api/session").body().at("/me/today").asString())
                .plusDays(ahead);
    }

    private static VEvent named(String calendar, String summary) {
        return Biweekly.parse(calendar).first().getEvents().stream()
                .filter(event -> event.getSummary().getValue().equals(summary))
                .findFirst()
                .orElseThrow();
    }

    private static LocalDate day(VEvent event) {
        return LocalDate.parse(
                event.getDateStart().getValue().getRawComponents().toString(false, true));
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
        VEvent pull = named(text, "Pull 1A");
        assertThat(pull.getDateStart().getValue().hasTime()).isFalse();
        assertThat(pull.getDateStart().getValue().getRawComponents().toDate().toString())
                .contains(String.valueOf(day(client, 28).getDayOfMonth()));
        assertThat(pull.getLocation().getValue()).isEqualTo("Cabinet, upper");
        assertThat(pull.getUid().getValue()).startsWith(piece);
        assertThat(events.stream().map(event -> event.getUid().getValue())).doesNotHaveDuplicates();
        assertThat(Biweekly.parse(text).all()).hasSize(1);
        assertThat(text).contains("\r\n").doesNotContain("\n\n");
        assertThat(calendar.validate(ICalVersion.V2_0).toString()).isEmpty();
        assertThat(pull.getUrl().getValue()).endsWith("/pieces/" + piece).startsWith("http://");
        assertThat(pull.getTransparency().isTransparent()).isTrue();
        assertThat(pull.getAlarms().stream()
                        .map(alarm -> alarm.getTrigger().getDuration().toString()))
                .as("the evening before and the morning itself")
                .containsExactly("-PT6H", "PT8H");
        assertThat(named(text, "Weigh 1A").getAlarms()).isEmpty();
        assertThat(calendar.getRefreshInterval().getValue().getHours()).isEqualTo(1);
    }

    @Test
    void warm_air_nobody_decided_about_is_in_the_calendar_until_somebody_does(Someone owner) {
        Client client = owner.client();
        String chamber = client.chamber("Cabinet", 50_000);
        Instant warm = Instant.now().minusSeconds(3_600).truncatedTo(ChronoUnit.SECONDS);
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

    @Test
    void what_is_past_its_day_stands_on_today_as_the_same_event_told_anew(Someone owner) {
        Client client = owner.client();
        String piece = client.hang(client.chamber("Cabinet", 50_000), 6000).get(0);
        VEvent late = named(client.text("/api/calendar.ics"), "Pull 1A");
        assertThat(day(late)).as("its target was long ago").isEqualTo(day(client, 0));
        assertThat(late.getDescription().getValue()).contains("days past its target");
        JsonNode card = client.get("/api/pieces/" + piece).body().path("card");
        int days = (int)
                ChronoUnit.DAYS.between(LocalDate.parse(card.path("hungOn").asString()), day(client, 9));
        client.must(client.put(
                "/api/pieces/%s/target".formatted(piece),
                Map.of(
                        "version",
                        card.path("version").asInt(),
                        "targetDays",
                        days,
                        "answers",
                        Map.of("later-target", "Nobody is here."))));
        VEvent moved = named(client.text("/api/calendar.ics"), "Pull 1A");
        assertThat(day(moved)).isEqualTo(day(client, 9));
        assertThat(moved.getUid().getValue()).isEqualTo(late.getUid().getValue());
        assertThat(moved.getSequence().getValue()).isEqualTo(late.getSequence().getValue() + 1);
        assertThat(moved.getLastModified().getValue())
                .isAfterOrEqualTo(late.getLastModified().getValue());
    }

    @Test
    void a_program_that_has_read_it_is_told_in_a_word_that_nothing_changed(Someone owner) throws Exception {
        Client client = owner.client();
        String chamber = client.chamber("Cabinet", 50_000);
        client.hangToday(chamber, 28, 6000);
        String path = client.must(client.post("/api/me/calendar", null))
                .body()
                .path("path")
                .asString();
        HttpResponse<String> first = read(path, "none");
        String known = first.headers().firstValue("ETag").orElseThrow();
        assertThat(read(path, known).statusCode()).isEqualTo(304);
        client.hangToday(chamber, 28, 5000);
        HttpResponse<String> after = read(path, known);
        assertThat(after.statusCode()).isEqualTo(200);
        assertThat(named(after.body(), "Pull 1A").getSequence().getValue())
                .as("what did not change is told as it was")
                .isEqualTo(named(first.body(), "Pull 1A").getSequence().getValue());
    }

    private static HttpResponse<String> read(String path, String known) throws Exception {
        HttpRequest request = HttpRequest.newBuilder(
                        URI.create("http://127.0.0.1:%d%s".formatted(RunningApp.port(), path)))
                .header("If-None-Match", known)
                .build();
        return HttpClient.newHttpClient().send(request, HttpResponse.BodyHandlers.ofString());
    }
}
