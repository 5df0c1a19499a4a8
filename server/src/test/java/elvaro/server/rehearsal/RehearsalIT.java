package elvaro.server.rehearsal;

import static elvaro.server.rehearsal.Rehearsing.asks;
import static elvaro.server.rehearsal.Rehearsing.begin;
import static elvaro.server.rehearsal.Rehearsing.here;
import static elvaro.server.rehearsal.Rehearsing.pass;
import static elvaro.server.rehearsal.Rehearsing.today;
import static elvaro.server.support.Bodies.entry;
import static org.assertj.core.api.Assertions.assertThat;

import elvaro.core.rehearsal.RehearsalLesson;
import elvaro.server.support.Client;
import elvaro.server.support.RunningApp;
import elvaro.server.support.RunningApp.Someone;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.jdbc.core.simple.JdbcClient;
import tools.jackson.databind.JsonNode;

/** A house apart, who gets into it and how one gets out, and the course a shop asks for. */
@ExtendWith(RunningApp.class)
class RehearsalIT {
    @Test
    void is_a_house_apart_that_begins_once_and_is_left_as_it_was_entered(Someone owner) {
        Client client = owner.client();
        String real = client.hang(client.chamber("Cabinet", 50_000), 4000).get(0);
        String name = client.get("/api/session").body().at("/me/workshopName").asString();
        String id = begin(client, RehearsalLesson.DRY_ROOM);
        assertThat(client.get("/api/session").body().at("/me/workshopName").asString())
                .isEqualTo("Rehearsal: The room that ran dry");
        assertThat(client.get("/api/pieces/" + real).status()).isEqualTo(404);
        String piece = here(client).at("/piece/id").asString();
        assertThat(client.get("/api/pieces/" + piece).status()).isEqualTo(200);
        assertThat(client.get("/api/rehearsals").type()).isEqualTo("in-rehearsal");
        client.must(client.post("/api/rehearsal/leave", Map.of()));
        assertThat(client.get("/api/session").body().at("/me/workshopName").asString())
                .isEqualTo(name);
        assertThat(client.get("/api/pieces/" + piece).status()).isEqualTo(404);
        assertThat(client.get("/api/pieces/" + real).status()).isEqualTo(200);
        assertThat(client.get("/api/people").status()).as("an owner again").isEqualTo(200);
        // Sent again it is there once, and goes on where it stood.
        client.must(client.put("/api/rehearsals/" + id, asks(RehearsalLesson.DRY_ROOM)));
        assertThat(client.get("/api/rehearsals").body().path("running").size()).isOne();
        client.must(client.post("/api/rehearsals/%s/enter".formatted(id), Map.of()));
        assertThat(here(client).at("/piece/id").asString()).isEqualTo(piece);
    }

    @Test
    void nothing_beyond_the_work_on_a_piece_is_open_in_it(Someone owner) {
        Client client = owner.client();
        begin(client, RehearsalLesson.ONE_STEAK);
        assertThat(client.post("/api/me/recovery-codes", Map.of("password", RunningApp.PASSWORD))
                        .type())
                .isEqualTo("in-rehearsal");
        assertThat(client.put("/api/devices/" + UUID.randomUUID(), Map.of("name", "Probe"))
                        .status())
                .isIn(403, 409);
        assertThat(client.get("/api/people").status()).isEqualTo(403);
        assertThat(client.get("/api/backups").status()).isIn(403, 404);
    }

    @Test
    void nobody_gets_into_the_rehearsal_of_another(Someone owner) {
        Client client = owner.client();
        String id = UUID.randomUUID().toString();
        client.must(client.put("/api/rehearsals/" + id, asks(RehearsalLesson.THE_BAG)));
        Client hand = owner.benchHand();
        assertThat(hand.post("/api/rehearsals/%s/enter".formatted(id), Map.of()).status())
                .isEqualTo(404);
        Client stranger = RunningApp.newWorkshop().client();
        assertThat(stranger.post("/api/rehearsals/%s/enter".formatted(id), Map.of())
                        .status())
                .isEqualTo(404);
    }

    @Test
    void a_clock_that_goes_only_when_days_are_let_by_and_a_probe_that_measures_meanwhile(Someone owner) {
        Client client = owner.client();
        LocalDate real = today(client);
        begin(client, RehearsalLesson.DRY_ROOM);
        pass(client, 7);
        pass(client, 3);
        assertThat(today(client)).isEqualTo(real.plusDays(10));
        JsonNode view = here(client);
        assertThat(view.path("day").asInt()).isEqualTo(10);
        String chamber = client.get("/api/room")
                .body()
                .at("/chambers/0/id")
                .asString(client.get("/api/chambers").body().at("/0/id").asString());
        String from = real.atStartOfDay() + ":00Z";
        String to = real.plusDays(12).atStartOfDay() + ":00Z";
        JsonNode air = client.must(client.get("/api/chambers/%s/air?from=%s&to=%s".formatted(chamber, from, to)))
                .body();
        assertThat(air.toString()).contains("celsius");
        assertThat(client.put(
                                "/api/pieces/%s/log/%s"
                                        .formatted(view.at("/piece/id").asString(), UUID.randomUUID()),
                                entry("WEIGHED", 5500))
                        .status())
                .isEqualTo(200);
        client.must(client.post("/api/rehearsal/leave", Map.of()));
        assertThat(today(client)).isEqualTo(real);
    }

    @Test
    void days_that_are_sent_again_go_by_once_and_a_rehearsal_ends_once(Someone owner) {
        Client client = owner.client();
        begin(client, RehearsalLesson.DRY_ROOM);
        Map<String, Integer> week = Map.of("days", 7, "shownDay", 0);
        client.must(client.post("/api/rehearsal/days", week));
        client.must(client.post("/api/rehearsal/days", week));
        assertThat(here(client).path("day").asInt()).isEqualTo(7);
        JsonNode over = client.must(client.post("/api/rehearsal/end", Map.of())).body();
        JsonNode again =
                client.must(client.post("/api/rehearsal/end", Map.of())).body();
        assertThat(again.at("/piece/review")).isEqualTo(over.at("/piece/review"));
    }

    @Test
    void what_is_given_up_is_not_passed_and_more_than_a_few_do_not_run_at_once(Someone owner) {
        Client client = owner.client();
        for (RehearsalLesson lesson : List.of(
                RehearsalLesson.ONE_STEAK,
                RehearsalLesson.THE_BAG,
                RehearsalLesson.DRY_ROOM,
                RehearsalLesson.OPEN_CUT)) {
            client.must(client.put("/api/rehearsals/" + UUID.randomUUID(), asks(lesson)));
        }
        assertThat(client.put("/api/rehearsals/" + UUID.randomUUID(), asks(RehearsalLesson.GARLIC))
                        .type())
                .isEqualTo("enough-running");
        String running =
                client.get("/api/rehearsals").body().at("/running/0/id").asString();
        client.must(client.post("/api/rehearsals/%s/enter".formatted(running), Map.of()));
        JsonNode over = client.must(client.post("/api/rehearsal/end", Map.of())).body();
        assertThat(over.at("/piece/review/passed").asBoolean()).isFalse();
    }

    @Test
    void a_person_begins_so_many_in_a_day_and_no_more(Someone owner, JdbcClient database) {
        Client client = owner.client();
        String first = UUID.randomUUID().toString();
        client.must(client.put("/api/rehearsals/" + first, asks(RehearsalLesson.ONE_STEAK)));
        database.sql("update rehearsal set ended_at = begun_at where id = ?")
                .param(first)
                .update();
        String columns = database.sql("select group_concat(column_name) from information_schema.columns"
                        + " where table_schema = database() and table_name = 'rehearsal' and column_name <> 'id'")
                .query(String.class)
                .single();
        for (int more = 1; more < 40; more++) {
            database.sql("insert into rehearsal (id, %s) select uuid(), %s from rehearsal where id = ?"
                            .formatted(columns, columns))
                    .param(first)
                    .update();
        }
        assertThat(client.put("/api/rehearsals/" + UUID.randomUUID(), asks(RehearsalLesson.THE_BAG))
                        .status())
                .isEqualTo(429);
    }

    @Test
    void whoever_may_no_longer_sign_in_is_out_of_the_rehearsal_too(Someone owner) {
        Client hand = owner.benchHand();
        begin(hand, RehearsalLesson.ONE_STEAK);
        JsonNode people = owner.client().get("/api/people").body();
        JsonNode idris = people.valueStream()
                .filter(each -> each.path("role").asString().equals("BENCH_HAND"))
                .findFirst()
                .orElseThrow();
        owner.client()
                .must(owner.client()
                        .put(
                                "/api/people/" + idris.path("id").asString(),
                                Map.of(
                                        "version",
                                        idris.path("version").asInt(),
                                        "name",
                                        "Idris Vale",
                                        "role",
                                        "BENCH_HAND",
                                        "active",
                                        false)));
        assertThat(hand.get("/api/rehearsal").status()).isEqualTo(401);
    }

    @Test
    void no_reminder_comes_of_a_rehearsal(Someone owner, JdbcClient database) {
        begin(owner.client(), RehearsalLesson.DEAD_MACHINE);
        assertThat(database.sql("select count(*) from account a join rehearsal r on r.workshop_id = a.workshop_id"
                                + " where a.role = 'OWNER'")
                        .query(Integer.class)
                        .single())
                .isZero();
    }

    @Test
    void a_shop_asks_for_lessons_before_somebody_works_alone(Someone owner) {
        Client client = owner.client();
        Client hand = owner.benchHand();
        JsonNode idris = client.get("/api/rehearsals")
                .body()
                .path("hands")
                .valueStream()
                .filter(each -> each.path("name").asString().equals("Idris Vale"))
                .findFirst()
                .orElseThrow();
        String path = "/api/people/%s/lessons".formatted(idris.path("id").asString());
        Map<String, List<String>> two = Map.of("lessons", List.of("THE_BAG", "DEAD_MACHINE"));
        assertThat(hand.put(path, two).status()).isEqualTo(403);
        client.must(client.put(path, two));
        client.must(client.put(path, two));
        assertThat(asked(hand)).containsExactly("THE_BAG", "DEAD_MACHINE");
        assertThat(asked(client)).as("of the owner nothing is asked").isEmpty();
        client.must(client.put(path, Map.of("lessons", List.of("GARLIC"))));
        assertThat(asked(hand)).containsExactly("GARLIC");
        Client stranger = RunningApp.newWorkshop().client();
        assertThat(stranger.put(path, two).status()).isEqualTo(404);
    }

    private static Stream<String> asked(Client client) {
        return client.get("/api/rehearsals")
                .body()
                .path("lessons")
                .valueStream()
                .filter(each -> each.path("asked").asBoolean())
                .map(each -> each.path("lesson").asString());
    }
}
