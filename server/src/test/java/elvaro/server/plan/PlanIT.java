package elvaro.server.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import elvaro.server.support.Api.Answer;
import elvaro.server.support.Bodies;
import elvaro.server.support.Client;
import elvaro.server.support.RunningApp;
import elvaro.server.support.RunningApp.Someone;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;

@ExtendWith(RunningApp.class)
class PlanIT {

    private static LocalDate today(Client client) {
        return LocalDate.parse(client.get("/api/session").body().at("/me/today").asString());
    }

    private static Map<String, Object> table(Client client, String chamber, int portions, LocalDate day) {
        return Map.of(
                "scenario",
                Bodies.scenarioBody(chamber),
                "portions",
                portions,
                "portionGrams",
                300,
                "servedOn",
                day.toString());
    }

    @Test
    void a_scenario_is_answered_with_curve_ledger_cost_and_steaks_and_nothing_is_kept(Someone owner) {
        Client client = owner.client();
        String chamber = client.chamber("Cabinet", 50_000);
        JsonNode answer = client.must(client.post("/api/plan/forward", Bodies.scenarioBody(chamber)))
                .body();
        JsonNode target = answer.path("target");
        assertThat(answer.path("days")).hasSize(61);
        assertThat(target.path("day").asInt()).isEqualTo(28);
        JsonNode section = answer.path("section");
        double parts = section.path("steak").asDouble()
                + section.path("crust").asDouble()
                + section.path("fat").asDouble()
                + section.path("bone").asDouble();
        assertThat(parts).isCloseTo(section.path("now").asDouble(), within(1e-9));
        assertThat(target.path("costPerKg").asDouble()).isGreaterThan(2200);
        assertThat(answer.at("/steaks/count").asInt()).isPositive();
        assertThat(client.get("/api/lots").body()).isEmpty();
    }

    @Test
    void the_best_day_follows_the_price_list_of_the_workshop(Someone owner) {
        Client client = owner.client();
        String chamber = client.chamber("Cabinet", 50_000);
        Map<String, Object> settings = client.workshopBody();
        settings.put(
                "priceByAge",
                List.of(Map.of("fromDay", 14, "minorPerKg", 4000), Map.of("fromDay", 35, "minorPerKg", 7000)));
        client.must(client.put("/api/workshop", settings));
        assertThat(client.post("/api/plan/forward", Bodies.scenarioBody(chamber))
                        .body()
                        .path("bestDay")
                        .asInt())
                .isEqualTo(35);
        settings = client.workshopBody();
        settings.put(
                "priceByAge",
                List.of(Map.of("fromDay", 35, "minorPerKg", 7000), Map.of("fromDay", 14, "minorPerKg", 4000)));
        assertThat(client.put("/api/workshop", settings).body().path("field").asString())
                .isEqualTo("priceByAge");
    }

    @ParameterizedTest(name = "{0} = {1}: {2}")
    @CsvSource({
        "humidityPercent, 100, wetter-than-surface",
        "celsius, 8, warm",
        "celsius, -3, freezing",
        "targetDays, 120, experiment"
    })
    void what_will_not_go_well_is_said(String field, int value, String doubt) {
        Client client = RunningApp.newWorkshop().client();
        Map<String, Object> scenario = Bodies.scenarioBody(client.chamber("Cabinet", 50_000));
        scenario.put(field, value);
        assertThat(client.must(client.post("/api/plan/forward", scenario))
                        .body()
                        .path("doubts")
                        .valueStream()
                        .map(each -> each.path("id").asString()))
                .contains(doubt);
    }

    @ParameterizedTest(name = "{0} = {1}")
    @CsvSource({
        "greenGrams, 0",
        "targetDays, 0",
        "targetDays, 401",
        "humidityPercent, 101",
        "metresPerSecond, -1",
        "steakMm, 0",
        "cutCode, unicorn"
    })
    void a_scenario_that_cannot_be_is_refused_with_its_field(String field, String wrong) {
        Client client = RunningApp.newWorkshop().client();
        Map<String, Object> scenario = Bodies.scenarioBody(client.chamber("Cabinet", 50_000));
        scenario.put(field, wrong.matches("-?\\d+") ? (Object) Integer.valueOf(wrong) : wrong);
        Answer answer = client.post("/api/plan/forward", scenario);
        assertThat(answer.status()).isEqualTo(422);
        assertThat(answer.body().path("field").asString()).isEqualTo(field);
    }

    @Test
    void a_single_steak_is_told_how_little_it_keeps_and_one_that_is_used_up_that_nothing_is_left(Someone owner) {
        Client client = owner.client();
        Map<String, Object> scenario = Bodies.scenarioBody(client.chamber("Pantry fridge", 50_000));
        scenario.put("cutCode", "beef-steak");
        scenario.put("greenGrams", 500);
        scenario.put("method", "MEMBRANE");
        JsonNode answer =
                client.must(client.post("/api/plan/forward", scenario)).body();
        assertThat(answer.path("wholeInstead").asString())
                .contains("It is small")
                .contains("is kept as steak by day 28, of a whole ");
        assertThat(answer.has("steaks")).isFalse();
        scenario.remove("chamberId");
        scenario.put("kind", "WALK_IN");
        assertThat(client.must(client.post("/api/plan/forward", scenario))
                        .body()
                        .path("humidityPercent")
                        .asDouble())
                .as("the usual air of such a place")
                .isEqualTo(82);
        scenario.remove("kind");
        scenario.putAll(Map.of("targetDays", 90, "contactPercent", 60));
        assertThat(client.must(client.post("/api/plan/forward", scenario))
                        .body()
                        .path("doubts")
                        .valueStream()
                        .map(doubt -> doubt.path("id").asString()))
                .contains("nothing-left", "poor-contact");
    }

    @Test
    void steaks_sawn_through_the_bone_count_it(Someone owner) {
        Client client = owner.client();
        Map<String, Object> scenario = Bodies.scenarioBody(client.chamber("Cabinet", 50_000));
        scenario.putAll(Map.of("cutCode", "export-rib", "boneIn", true));
        double off = steak(client, scenario);
        scenario.put("steaksOnBone", true);
        assertThat(steak(client, scenario)).isCloseTo(off + 0.14, within(1e-6));
        scenario.remove("steaksOnBone");
        scenario.put("cutCode", "short-loin");
        double usual = steak(client, scenario);
        scenario.put("steaksOnBone", false);
        assertThat(steak(client, scenario)).isCloseTo(usual - 0.15, within(1e-6));
    }

    private static double steak(Client client, Map<String, Object> scenario) {
        return client.must(client.post("/api/plan/forward", scenario))
                .body()
                .at("/target/steak")
                .asDouble();
    }

    @Test
    void a_table_is_answered_with_what_to_buy_by_when_and_where_it_finds_room(Someone owner) {
        Client client = owner.client();
        String chamber = client.chamber("Cabinet", 50_000);
        LocalDate served = today(client).plusDays(40);
        JsonNode answer = client.must(client.post("/api/plan/table", table(client, chamber, 24, served)))
                .body();
        assertThat(answer.path("hangBy").asString())
                .isEqualTo(today(client).plusDays(12).toString());
        assertThat(answer.path("pieces").asInt() * answer.path("portionsEach").asInt())
                .isGreaterThanOrEqualTo(24);
        assertThat(answer.path("greenGrams").asInt()).isGreaterThan(24 * 300);
        assertThat(answer.at("/rooms/0/fits").asBoolean()).isTrue();
        assertThat(answer.path("costPerPortionMinor").asDouble() * 24)
                .isCloseTo(answer.path("costMinor").asDouble(), within(1e-6));
    }

    @ParameterizedTest(name = "in {0} days: {1}")
    @CsvSource({"-1, past-date", "27, too-near"})
    void a_table_that_comes_too_soon_is_told_when_it_could_be(int inDays, String type) {
        Client client = RunningApp.newWorkshop().client();
        String chamber = client.chamber("Cabinet", 50_000);
        Answer answer = client.post(
                "/api/plan/table", table(client, chamber, 6, today(client).plusDays(inDays)));
        assertThat(answer.type()).isEqualTo(type);
        assertThat(answer.body().path("field").asString()).isEqualTo("servedOn");
    }

    @Test
    void a_kept_plan_takes_its_room_until_it_is_dropped(Someone owner) {
        Client client = owner.client();
        String chamber = client.chamber("Cabinet", 15_000);
        String plan = UUID.randomUUID().toString();
        client.must(client.put("/api/plans/" + plan, Bodies.planBody(plan, chamber)));
        Map<String, Object> room = Map.of(
                "scenario",
                Bodies.scenarioBody(chamber),
                "pieces",
                1,
                "from",
                today(client).toString(),
                "showDays",
                40);
        JsonNode taken = client.must(client.post("/api/plan/room", room)).body().get(0);
        assertThat(taken.path("fits").asBoolean()).isFalse();
        assertThat(taken.path("firstFit").asString())
                .isEqualTo(today(client).plusDays(38).toString());
        assertThat(taken.at("/days/10/grams").asInt()).isEqualTo(12_000);
        client.must(client.put("/api/plans/" + plan + "/drop", Map.of("version", 0)));
        assertThat(client.post("/api/plan/room", room)
                        .body()
                        .get(0)
                        .path("fits")
                        .asBoolean())
                .isTrue();
        assertThat(client.get("/api/plans").body()).isEmpty();
    }

    @Test
    void what_hangs_already_can_be_pulled_to_make_room_and_too_full_is_said(Someone owner) {
        Client client = owner.client();
        String chamber = client.chamber("Cabinet", 15_000);
        client.hangToday(chamber, 20, 6000);
        client.hangToday(chamber, 40, 6000);
        Map<String, Object> room = Map.of(
                "scenario",
                Bodies.scenarioBody(chamber),
                "pieces",
                1,
                "from",
                today(client).toString(),
                "showDays",
                30);
        JsonNode full = client.post("/api/plan/room", room).body().get(0);
        assertThat(full.path("pull").get(0).asString()).isEqualTo("1A");
        String plan = UUID.randomUUID().toString();
        Map<String, Object> body = Bodies.planBody(plan, chamber);
        client.must(client.put("/api/plans/" + plan, body));
        assertThat(client.get("/api/load").body().get(0).path("tooFullOn").asString())
                .isEqualTo(body.get("hangOn"));
    }

    @Test
    void a_plan_becomes_its_lot_its_pieces_and_their_tasks_in_one_step_however_often_it_is_sent(Someone owner) {
        Client client = owner.client();
        String chamber = client.chamber("Cabinet", 50_000);
        String plan = UUID.randomUUID().toString();
        client.must(client.put("/api/plans/" + plan, Bodies.planBody(plan, chamber)));
        String lot = UUID.randomUUID().toString();
        Map<String, Object> hang = Bodies.hangPlanBody(chamber, today(client).toString(), lot, 9_000);
        client.must(client.post("/api/plans/" + plan + "/hang", hang));
        client.must(client.post("/api/plans/" + plan + "/hang", hang));
        assertThat(client.get("/api/lots").body()).hasSize(1);
        assertThat(client.get("/api/lots/" + lot).body().path("pieces")).hasSize(2);
        assertThat(client.get("/api/tasks?days=30")
                        .body()
                        .valueStream()
                        .map(task -> task.path("work").asString()))
                .contains("WEIGH", "TURN", "LOOK", "PULL")
                .doesNotContain("BUY");
        assertThat(client.put("/api/plans/" + plan + "/drop", Map.of("version", 1))
                        .type())
                .isEqualTo("plan-settled");
    }

    @Test
    void a_hanging_that_is_questioned_leaves_nothing_behind(Someone owner) {
        Client client = owner.client();
        String chamber = client.chamber("Cabinet", 5_000);
        String plan = UUID.randomUUID().toString();
        client.must(client.put("/api/plans/" + plan, Bodies.planBody(plan, chamber)));
        String lot = UUID.randomUUID().toString();
        Answer asked = client.post(
                "/api/plans/" + plan + "/hang",
                Bodies.hangPlanBody(chamber, today(client).toString(), lot, 9_000));
        assertThat(asked.questions()).containsExactly("overload");
        assertThat(client.get("/api/lots").body()).isEmpty();
        assertThat(client.get("/api/plans").body()).hasSize(1);
    }

    @Test
    void of_two_who_change_a_plan_at_once_the_second_is_told(Someone owner) {
        Client client = owner.client();
        String chamber = client.chamber("Cabinet", 50_000);
        String plan = UUID.randomUUID().toString();
        Map<String, Object> body = Bodies.planBody(plan, chamber);
        client.must(client.put("/api/plans/" + plan, body));
        body.put("pieces", 3);
        client.must(client.put("/api/plans/" + plan, body));
        body.put("pieces", 4);
        assertThat(client.put("/api/plans/" + plan, body).type()).isEqualTo("changed-meanwhile");
        body.put("hangOn", "2026-01-01");
        body.put("version", 1);
        assertThat(client.put("/api/plans/" + plan, body).type()).isEqualTo("past-date");
    }

    /** A shop that pays more for bought steak saves more; equipment of its own costs what its life and its current say. */
    @Test
    void ageing_is_worth_it_from_so_many_pieces_a_year(Someone owner) {
        Client client = owner.client();
        Map<String, Object> piece =
                new java.util.HashMap<>(Bodies.scenarioBody(UUID.randomUUID().toString()));
        piece.remove("chamberId");
        Map<String, Object> cabinet = Map.of(
                "method", "OPEN_AIR",
                "days", 30,
                "purchaseMinor", 300_000,
                "lifeYears", 10,
                "watts", 100,
                "atOnce", 2,
                "consumablesMinor", 0);
        Map<String, Object> body = new java.util.HashMap<>(
                Map.of("piece", piece, "piecesAYear", 12, "boughtMinorPerKg", 9_000, "ways", List.of(cabinet)));
        JsonNode worth = client.must(client.post("/api/plan/worth", body)).body();
        JsonNode way = worth.at("/ways/0");
        double steakKg = way.path("steakGrams").asDouble() / 1000;
        // 300 a year and 0.1 kW for 180 days, by hand at the workshop's tariff.
        double yearly = 30_000
                + 0.1
                        * 24
                        * 180
                        * client.get("/api/workshop")
                                .body()
                                .path("tariffMinorPerKwh")
                                .asInt();
        assertThat(way.path("equipmentPerKg").asDouble()).isCloseTo(yearly / 12 / steakKg, within(0.5));
        assertThat(way.path("perKg").asDouble())
                .isGreaterThan(worth.path("freshPerKg").asDouble());
        assertThat(way.path("savedAYear").asDouble())
                .isCloseTo(12 * steakKg * (9_000 - way.path("perKg").asDouble()), within(1.0));
        body.put("boughtMinorPerKg", 1);
        assertThat(client.must(client.post("/api/plan/worth", body))
                        .body()
                        .at("/ways/0/breakEven")
                        .isMissingNode())
                .isTrue();
        body.put("piecesAYear", 0);
        assertThat(client.post("/api/plan/worth", body).status()).isEqualTo(422);
    }
}
