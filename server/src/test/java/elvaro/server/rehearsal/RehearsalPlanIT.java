package elvaro.server.rehearsal;

import static elvaro.server.rehearsal.Rehearsing.finish;
import static elvaro.server.rehearsal.Rehearsing.inAWorld;
import static elvaro.server.rehearsal.Rehearsing.pass;
import static org.assertj.core.api.Assertions.assertThat;

import elvaro.server.support.Api.Answer;
import elvaro.server.support.Client;
import elvaro.server.support.RunningApp;
import elvaro.server.support.RunningApp.Someone;
import java.util.HashMap;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.jdbc.core.simple.JdbcClient;
import tools.jackson.databind.JsonNode;

/** Plans of one’s own, rehearsed and run. */
@ExtendWith(RunningApp.class)
class RehearsalPlanIT {
    private static final Map<String, Object> PLAN = Map.of(
            "cutCode", "strip",
            "grams", 5000,
            "boneIn", false,
            "method", "MEMBRANE",
            "coating", "NONE",
            "place", "REFRIGERATOR",
            "days", 35);

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
}
