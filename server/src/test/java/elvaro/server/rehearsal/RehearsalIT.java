package elvaro.server.rehearsal;

import static elvaro.server.support.Bodies.entry;
import static elvaro.server.support.Bodies.lookBody;
import static elvaro.server.support.Bodies.pile;
import static org.assertj.core.api.Assertions.assertThat;

import elvaro.core.rehearsal.RehearsalLesson;
import elvaro.core.working.Units;
import elvaro.server.support.Api.Answer;
import elvaro.server.support.Client;
import elvaro.server.support.RunningApp;
import elvaro.server.support.RunningApp.Someone;
import java.time.LocalDate;
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
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.springframework.jdbc.core.simple.JdbcClient;
import tools.jackson.databind.JsonNode;

@ExtendWith(RunningApp.class)
class RehearsalIT {
    private static Map<String, Object> asks(RehearsalLesson lesson) {
        return Map.of("lesson", lesson.name(), "answers", Map.of());
    }

    /** Of one and the same world each time: the seed is the end of the id. */
    private static String inAWorld() {
        return new UUID(UUID.randomUUID().getMostSignificantBits(), Long.MIN_VALUE + 11).toString();
    }

    private static String begin(Client client, RehearsalLesson lesson) {
        String id = inAWorld();
        client.must(client.put("/api/rehearsals/" + id, asks(lesson)));
        client.must(client.post("/api/rehearsals/%s/enter".formatted(id), Map.of()));
        return id;
    }

    private static JsonNode here(Client client) {
        return client.must(client.get("/api/rehearsal")).body();
    }

    private static Answer pass(Client client, int days) {
        int shown = here(client).path("day").asInt();
        return client.must(client.post("/api/rehearsal/days", Map.of("days", days, "shownDay", shown)));
    }

    private static LocalDate today(Client client) {
        return LocalDate.parse(client.get("/api/session").body().at("/me/today").asString());
    }

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

    /** Weighs each heap and lays it where it belongs, or all of it among the steaks. */
    private static JsonNode finish(Client client, boolean carefully) {
        String piece = here(client).at("/piece/id").asString();
        int grams = (int) truly(client, null);
        client.must(client.write(piece, entry("PULLED", grams)));
        JsonNode down = here(client);
        assertThat(down.at("/piece/isDown").asBoolean()).isTrue();
        assertThat(down.at("/piece/heaps").size()).isPositive();
        for (JsonNode each : down.at("/piece/heaps")) {
            String heap = each.path("heap").asString();
            String stream = switch (heap) {
                case "STEAKS" -> "STEAK";
                case "CLEAN_CRUST" -> carefully ? "USABLE_TRIM" : "STEAK";
                case "FAT" -> "FAT";
                case "BONE" -> "BONE";
                default -> carefully ? "DISCARD" : "USABLE_TRIM";
            };
            client.must(client.write(piece, pile(stream, (int) truly(client, heap))));
        }
        Answer closed =
                client.put("/api/bench/%s/close/%s".formatted(piece, UUID.randomUUID()), Map.of("answers", Map.of()));
        if (closed.status() != 200) {
            Map<String, String> answers = new HashMap<>();
            closed.questions().forEach(question -> answers.put(question, "as it lay there"));
            client.must(client.put(
                    "/api/bench/%s/close/%s".formatted(piece, UUID.randomUUID()), Map.of("answers", answers)));
        }
        return client.must(client.post("/api/rehearsal/end", Map.of())).body().at("/piece/review");
    }

    /** What the scale shows of it. */
    private static double truly(Client client, String heap) {
        return shows(client, "/api/rehearsal/scale", heap == null ? Map.of() : Map.of("heap", heap));
    }

    private static double shows(Client client, String done, Map<String, String> laid) {
        String scale = client.get("/api/devices").body().at("/0/id").asString();
        try (var figures = client.events("/api/scales/%s/figures".formatted(scale))) {
            var lines = figures.iterator();
            client.must(client.post(done, laid));
            while (lines.hasNext()) {
                String line = lines.next();
                if (line.startsWith("data:")) {
                    return Double.parseDouble(line.replaceAll(".*\"grams\":(-?[0-9]+).*", "$1"));
                }
            }
        }
        throw new IllegalStateException("The scale showed nothing");
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
    void a_plan_of_ones_own_can_be_rehearsed_and_what_cannot_be_is_said(Someone owner) {
        Client client = owner.client();
        Map<String, Object> plan = new HashMap<>(Map.of(
                "cutCode", "ribeye",
                "grams", 5000,
                "boneIn", false,
                "method", "MEMBRANE",
                "coating", "NONE",
                "place", "REFRIGERATOR",
                "days", 35));
        String id = UUID.randomUUID().toString();
        client.must(client.put("/api/rehearsals/" + id, Map.of("plan", plan, "answers", Map.of())));
        plan.put("grams", 15_000);
        Answer dear = client.put("/api/rehearsals/" + UUID.randomUUID(), Map.of("plan", plan, "answers", Map.of()));
        assertThat(dear.type()).isEqualTo("too-dear");
        assertThat(dear.body().toString()).contains("300.00", "22.00");
        plan.put("grams", 5000);
        plan.put("cutCode", "unicorn");
        assertThat(client.put("/api/rehearsals/" + UUID.randomUUID(), Map.of("plan", plan, "answers", Map.of()))
                        .status())
                .isEqualTo(422);
        assertThat(client.put("/api/rehearsals/" + UUID.randomUUID(), Map.of("answers", Map.of()))
                        .status())
                .isEqualTo(422);
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

    /** Whatever is odd about it is asked, as with the real thing; answered, it hangs or lies there. */
    @ParameterizedTest
    @CsvSource({
        "deer-haunch, ON_ICE, ICE_CHEST",
        "deer-haunch, OPEN_AIR, SHED",
        "strip, VACUUM, REFRIGERATOR",
        "strip, SALT_TRAY, CABINET",
        "rib-bone-in, FAT_SEAL, WALK_IN"
    })
    void a_piece_is_aged_in_every_place(String cut, String method, String place, JdbcClient database) {
        Client client = RunningApp.newWorkshop().client();
        Map<String, Object> plan = new HashMap<>(PLAN);
        plan.putAll(Map.of("cutCode", cut, "method", method, "place", place, "days", 10));
        String id = inAWorld();
        String path = "/api/rehearsals/" + id;
        Answer begun = client.put(path, Map.of("plan", plan, "answers", Map.of()));
        if (begun.status() == 422) {
            Map<String, String> answers = new HashMap<>();
            begun.questions().forEach(question -> answers.put(question, "It is a rehearsal."));
            begun = client.put(path, Map.of("plan", plan, "answers", answers));
        }
        client.must(begun);
        database.sql("update rehearsal set mishaps = '' where id = ?").param(id).update();
        client.must(client.post(path + "/enter", Map.of()));
        pass(client, 10);
        assertThat(finish(client, true).path("score").asInt()).isPositive();
        client.must(client.post("/api/rehearsal/leave", Map.of()));
        assertThat(client.must(client.post("/api/rehearsals/runs", plan))
                        .body()
                        .path("runs")
                        .size())
                .isEqualTo(20);
    }

    private static final Map<String, Object> PLAN = Map.of(
            "cutCode", "strip",
            "grams", 5000,
            "boneIn", false,
            "method", "MEMBRANE",
            "coating", "NONE",
            "place", "REFRIGERATOR",
            "days", 35);

    @Test
    void a_plan_runs_twenty_times_and_keeps_nothing(Someone owner) {
        Client client = owner.client();
        JsonNode runs = client.must(client.post("/api/rehearsals/runs", PLAN)).body();
        assertThat(runs.path("runs").size()).isEqualTo(20);
        assertThat(runs.at("/told/0").asString())
                .matches("Looked after, it gives [0-9]+.* of steak, [0-9]+ g in the middle; .*");
        assertThat(runs.at("/told/1").asString())
                .startsWith("Left alone until day 35")
                .contains("something had to be thrown away");
        assertThat(runs.path("befell").toString()).contains("the membrane lifted off the meat");
        assertThat(client.post("/api/rehearsals/runs", PLAN).body()).isEqualTo(runs);
        assertThat(client.get("/api/rehearsals").body().path("running").size()).isZero();
        Map<String, Object> forEver = new HashMap<>(PLAN);
        forEver.put("days", 400);
        assertThat(client.post("/api/rehearsals/runs", forEver).status()).isEqualTo(422);
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
