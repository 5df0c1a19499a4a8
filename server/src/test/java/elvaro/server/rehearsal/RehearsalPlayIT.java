package elvaro.server.rehearsal;

import static elvaro.server.rehearsal.Rehearsing.begin;
import static elvaro.server.rehearsal.Rehearsing.finish;
import static elvaro.server.rehearsal.Rehearsing.here;
import static elvaro.server.rehearsal.Rehearsing.pass;
import static elvaro.server.rehearsal.Rehearsing.shows;
import static elvaro.server.rehearsal.Rehearsing.truly;
import static elvaro.server.support.Bodies.entry;
import static elvaro.server.support.Bodies.lookBody;
import static org.assertj.core.api.Assertions.assertThat;

import elvaro.core.rehearsal.RehearsalLesson;
import elvaro.core.working.Units;
import elvaro.server.support.Api.Answer;
import elvaro.server.support.Client;
import elvaro.server.support.RunningApp;
import elvaro.server.support.RunningApp.Someone;
import java.util.Currency;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.springframework.jdbc.core.simple.JdbcClient;
import tools.jackson.databind.JsonNode;

/** Rehearsals played from the first day to what they came to. */
@ExtendWith(RunningApp.class)
class RehearsalPlayIT {
    @ParameterizedTest
    @EnumSource(
            value = RehearsalLesson.class,
            names = {"PROVED_NOTHING", "THREE_TASTERS"},
            mode = EnumSource.Mode.EXCLUDE)
    void every_lesson_begins_and_shows_its_piece(RehearsalLesson lesson) {
        Client client = RunningApp.newWorkshop().client();
        begin(client, lesson);
        JsonNode view = here(client);
        assertThat(view.path("title").asString()).isEqualTo(lesson.title());
        assertThat(view.path("day").asInt()).isEqualTo(lesson.plan(1).beginsOnDay());
        assertThat(client.get("/api/room").body().toString())
                .contains(view.at("/piece/tag").asString());
    }

    @Test
    void a_machine_that_dies_calls_and_stops_the_days(Someone owner) {
        Client client = owner.client();
        begin(client, RehearsalLesson.DEAD_MACHINE);
        client.reads(new Units(Units.Mass.POUND, true, true, Currency.getInstance("USD"), Locale.US));
        int called = 0;
        for (int step = 0; step < 6 && called == 0; step++) {
            Answer passed = pass(client, 5);
            if (!passed.body().path("called").asString("").isEmpty()) {
                assertThat(passed.body().path("called").asString()).contains("above 41 °F");
                called = here(client).path("day").asInt();
            }
        }
        assertThat(called).isBetween(2, 16);
        JsonNode seen = client.must(client.put("/api/rehearsal/room/" + UUID.randomUUID(), Map.of()))
                .body();
        assertThat(seen.toString()).contains("the compressor died in the night");
        assertThat(pass(client, 5).body().path("called").asString("")).isEmpty();
    }

    /** A scale shows its figure every moment, and each is a write. */
    @Test
    void no_day_is_lost_while_something_lies_on_the_scale(Someone owner) throws InterruptedException {
        Client client = owner.client();
        begin(client, RehearsalLesson.DRY_ROOM);
        AtomicBoolean lies = new AtomicBoolean(true);
        List<Thread> scales = Stream.generate(() -> new Thread(() -> {
                    while (lies.get()) {
                        client.must(client.post("/api/rehearsal/scale", Map.of()));
                    }
                }))
                .limit(3)
                .toList();
        scales.forEach(Thread::start);
        for (int day = 1; day <= 20; day++) {
            pass(client, 1);
            assertThat(here(client).path("day").asInt()).isEqualTo(day);
        }
        lies.set(false);
        for (Thread scale : scales) {
            scale.join();
        }
    }

    /** What lies on the scale before the piece does is seen when the scale is emptied, and taken off by its tare. */
    @Test
    void a_tray_that_was_left_on_the_scale_is_tared_by_who_looks(Someone owner, JdbcClient database) {
        Client client = owner.client();
        String id = begin(client, RehearsalLesson.DRY_ROOM);
        database.sql("update rehearsal set mishaps = 'TRAY_ON_THE_SCALE' where id = ?")
                .param(id)
                .update();
        double hung = truly(client, null);
        pass(client, 21);
        double withTray = truly(client, null);
        double tray = shows(client, "/api/rehearsal/scale/clear", Map.of());
        assertThat(tray).isEqualTo(240);
        assertThat(withTray).isLessThan(hung);
        String scale = client.get("/api/devices").body().at("/0/id").asString();
        Answer tared = null;
        for (int figure = 0; figure < 1000 && (tared == null || tared.status() != 200); figure++) {
            client.must(client.post("/api/rehearsal/scale/clear", Map.of()));
            tared = client.put("/api/scales/%s/tare".formatted(scale), Map.of());
        }
        client.must(tared);
        assertThat(truly(client, null)).isEqualTo(withTray - 240);
    }

    @Test
    void a_bag_that_let_go_is_passed_by_who_looks_and_seals_it(Someone owner) {
        Client client = owner.client();
        begin(client, RehearsalLesson.THE_BAG);
        String piece = here(client).at("/piece/id").asString();
        for (int day = 0; day < 35; day += 3) {
            pass(client, 3);
            double lifted = here(client).at("/piece/appearance/lifted").asDouble();
            Map<String, Object> seen = new HashMap<>(lookBody());
            seen.put("liftedPercent", (int) Math.round(100 * lifted));
            client.must(client.put("/api/pieces/%s/looks/%s".formatted(piece, UUID.randomUUID()), seen));
            if (lifted >= 0.25) {
                assertThat(here(client).at("/piece/lastLook/right").asString()).isIn("ACT", "STOP");
                client.must(client.write(piece, entry("RESEALED", 0)));
            }
        }
        JsonNode review = finish(client, true);
        assertThat(review.path("passed").asBoolean()).as(review.toString()).isTrue();
        assertThat(review.at("/befell/0/told").asString()).isEqualTo("the membrane lifted off the meat");
        assertThat(review.path("curve").size()).isGreaterThan(60);
        assertThat(client.post("/api/rehearsal/days", Map.of("days", 1, "shownDay", 35))
                        .type())
                .isEqualTo("over");
        client.must(client.post("/api/rehearsal/leave", Map.of()));
        JsonNode course = client.must(client.get("/api/rehearsals")).body();
        assertThat(course.path("running").size()).isZero();
        assertThat(course.at("/lessons/1/passed").asBoolean()).isTrue();
        assertThat(course.at("/hands/0/passed").size()).isOne();
        assertThat(owner.benchHand().get("/api/rehearsals").body().path("hands").size())
                .isZero();
    }

    /** Every lesson played over the API by somebody who looks at nothing and eats everything. */
    @ParameterizedTest
    @EnumSource(
            value = RehearsalLesson.class,
            names = {"FAT_SEAL", "FORGOTTEN", "GARLIC"})
    void who_keeps_what_is_not_to_be_eaten_does_not_pass(RehearsalLesson lesson) {
        Client client = RunningApp.newWorkshop().client();
        begin(client, lesson);
        for (int day = 0; day < lesson.plan(1).plannedDays() && lesson != RehearsalLesson.FORGOTTEN; day += 7) {
            pass(client, 7);
        }
        JsonNode review = finish(client, false);
        assertThat(review.path("score").asInt()).isLessThan(60);
        assertThat(review.path("passed").asBoolean()).isFalse();
        assertThat(review.path("dangerGrams").asInt()
                        + review.path("toughGrams").asInt())
                .isPositive();
    }

    @Test
    void what_is_over_is_played_again_with_one_choice_made_otherwise(Someone owner) {
        Client client = owner.client();
        begin(client, RehearsalLesson.DRY_ROOM);
        Map<String, Object> longer = Map.of("kind", "PULLED_ON", "day", 60);
        assertThat(client.post("/api/rehearsal/replay", longer).type()).isEqualTo("not-over");
        pass(client, 28);
        JsonNode review = finish(client, true);
        assertThat(review.path("paidMinor").asInt()).isEqualTo(6 * 2200);
        assertThat(review.path("keptMinor").asInt()).isPositive();
        JsonNode replay =
                client.must(client.post("/api/rehearsal/replay", longer)).body();
        assertThat(replay.path("steakGrams").asInt()).isNegative();
        assertThat(replay.path("curve").size()).isEqualTo(120);
        JsonNode seen = client.must(client.post(
                        "/api/rehearsal/replay", Map.of("kind", "DONE_ON", "day", 8, "deed", "SAW_TO_THE_ROOM")))
                .body();
        assertThat(seen.path("steakGrams").asInt()).isPositive();
        assertThat(client.post("/api/rehearsal/replay", Map.of("kind", "DONE_ON"))
                        .status())
                .isEqualTo(422);
    }
}
