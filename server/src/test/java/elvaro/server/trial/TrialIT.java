package elvaro.server.trial;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import elvaro.server.support.Api.Answer;
import elvaro.server.support.Bodies;
import elvaro.server.support.Client;
import elvaro.server.support.PaperRead;
import elvaro.server.support.RunningApp;
import elvaro.server.support.RunningApp.Someone;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;

/** Trials from the question to what was learnt. */
@ExtendWith(RunningApp.class)
class TrialIT {

    private static String lot(Client client, int grams, int daysAgo) {
        String id = UUID.randomUUID().toString();
        Map<String, Object> body = Bodies.lotBody(id, grams);
        body.putAll(Map.of("cutCode", "strip", "boneIn", false, "receivedOn", day(client, daysAgo)));
        body.put("answers", Map.of("weight-unusual", ""));
        client.must(client.post("/api/lots", body));
        return id;
    }

    private static String day(Client client, int daysAgo) {
        return LocalDate.parse(client.get("/api/session").body().at("/me/today").asString())
                .minusDays(daysAgo)
                .toString();
    }

    private static Map<String, Object> arm(String name, boolean control, String chamber, int days, Object treatment) {
        Map<String, Object> setUp = new HashMap<>(
                Map.of("method", "OPEN_AIR", "chamberId", chamber, "targetDays", days, "consumablesMinor", 0));
        setUp.put("treatments", treatment == null ? List.of() : List.of(treatment));
        return new HashMap<>(Map.of(
                "id", UUID.randomUUID().toString(),
                "name", name,
                "control", control,
                "setUp", setUp,
                "pieces", List.of()));
    }

    private static Map<String, Object> honey() {
        Map<String, Object> honey = Bodies.treatmentBody("SUGAR_COAT");
        honey.putAll(Map.of("exactly", "buckwheat honey", "amount", 22, "measure", "GRAM", "basis", "KILOGRAM"));
        honey.put("costMinor", 100);
        return honey;
    }

    private static Map<String, Object> trial(
            Client client, String lot, int daysAgo, List<Integer> parts, List<?> arms) {
        return new HashMap<>(Map.of(
                "question",
                "Does a honey coat change shrink or taste?",
                "factor",
                "TREATMENT",
                "measure",
                "SHRINK",
                "lotId",
                lot,
                "parts",
                parts,
                "hungOn",
                day(client, daysAgo),
                "arms",
                arms,
                "answers",
                Map.of("clash-sugar-hides-mould", "", "clash-smoke-in-company", "")));
    }

    /** A honey trial from one lot, hung so many days ago. */
    private static JsonNode honeyTrial(Client client, String id, int daysAgo, List<Integer> parts) {
        String chamber = client.chamber("North Room " + id.substring(0, 4), 100_000);
        String lot = lot(client, parts.stream().mapToInt(Integer::intValue).sum() + 20, daysAgo);
        Map<String, Object> body = trial(
                client,
                lot,
                daysAgo,
                parts,
                List.of(arm("Plain", true, chamber, 38, null), arm("Honey", false, chamber, 38, honey())));
        client.must(client.put("/api/trials/" + id, body));
        client.must(client.put("/api/trials/" + id, body)); // a lost answer, tried again
        return client.get("/api/trials/" + id).body();
    }

    private static List<JsonNode> pieces(JsonNode trial, int arm) {
        return trial.at("/arms/%d/pieces".formatted(arm)).valueStream().toList();
    }

    private static String id(JsonNode piece) {
        return piece.at("/card/id").asString();
    }

    /** Pulls a piece and cuts it up, the rest to the discard, and closes the bench. */
    private static void finish(Client client, String piece, int aged, int steak) {
        client.must(client.write(piece, Bodies.entry("PULLED", aged)));
        client.must(client.write(piece, Bodies.pile("STEAK", steak)));
        client.must(client.write(piece, Bodies.pile("DISCARD", aged - steak)));
        client.must(
                client.put("/api/bench/%s/close/%s".formatted(piece, UUID.randomUUID()), Map.of("answers", Map.of())));
    }

    @Test
    void one_step_draws_splits_hangs_and_treats_a_lot(Someone owner) {
        Client client = owner.client();
        String id = UUID.randomUUID().toString();
        JsonNode trial = honeyTrial(client, id, 0, List.of(2000, 2010, 1990, 2000));
        assertThat(trial.path("flaws")).isEmpty();
        assertThat(trial.path("seed").asString()).matches("-?\\d+");
        for (int arm = 0; arm < 2; arm++) {
            assertThat(pieces(trial, arm))
                    .extracting(piece -> piece.path("block").asString().replaceAll("^\\d+/", ""))
                    .containsExactly("1", "2");
        }
        for (JsonNode piece : pieces(trial, 1)) {
            JsonNode given =
                    client.get("/api/pieces/%s/treatments".formatted(id(piece))).body();
            assertThat(given.at("/0/words").asString()).contains("buckwheat honey, 22 g per kg");
            assertThat(piece.at("/card/role").asString()).isEqualTo("TREATED");
        }
        assertThat(client.get("/api/trials").body()).hasSize(1);
        assertThat(trial.path("conclusions")).isEmpty();
    }

    @Test
    void a_flawed_design_is_said_and_may_go_on_marked(Someone owner) {
        Client client = owner.client();
        String chamber = client.chamber("North Room", 100_000);
        String other = client.chamber("Stone Locker", 100_000);
        String lot = lot(client, 4100, 0);
        Map<String, Object> body = trial(
                client,
                lot,
                0,
                List.of(2400, 1650),
                List.of(arm("Plain", true, chamber, 38, null), arm("Honey", false, other, 48, honey())));
        assertThat(client.post("/api/trials/check", body)
                        .body()
                        .valueStream()
                        .map(flaw -> flaw.path("kind").asString()))
                .containsExactly("SEVERAL_CHANGES", "ALSO_DIFFERS", "ALSO_DIFFERS", "SIZES", "ANECDOTE");
        String id = UUID.randomUUID().toString();
        client.must(client.put("/api/trials/" + id, body));
        assertThat(client.get("/api/trials/" + id).body().path("flaws")).hasSize(5);
    }

    @Test
    void nothing_is_kept_of_a_trial_that_cannot_be(Someone owner) {
        Client client = owner.client();
        String chamber = client.chamber("North Room", 100_000);
        String lot = lot(client, 4100, 0);
        List<Object> arms = List.of(arm("Plain", true, chamber, 38, null), arm("Honey", false, chamber, 38, honey()));
        String id = UUID.randomUUID().toString();
        Map<String, Object> few = trial(client, lot, 0, List.of(4000), arms);
        assertThat(client.put("/api/trials/" + id, few).type()).isEqualTo("too-few-parts");
        Map<String, Object> heavy = trial(client, lot, 0, List.of(4000, 4000), arms);
        assertThat(client.put("/api/trials/" + id, heavy).type()).isEqualTo("more-than-lot");
        Map<String, Object> unasked = trial(client, lot, 0, List.of(2000, 2050), arms);
        unasked.put("answers", Map.of());
        assertThat(client.put("/api/trials/" + id, unasked).questions()).containsExactly("clash-sugar-hides-mould");
        assertThat(client.get("/api/trials").body()).isEmpty();
        assertThat(client.get("/api/lots/" + lot).body().path("pieces")).isEmpty();

        List<String> hung = client.hangToday(chamber, 20, 2000, 2000);
        Map<String, Object> twice = trial(client, lot, 0, List.of(), new ArrayList<>(arms));
        twice.remove("lotId");
        twice.put("arms", List.of(byHand("A", true, hung.get(0)), byHand("B", false, hung.get(0))));
        assertThat(client.put("/api/trials/" + id, twice).type()).isEqualTo("twice");
        twice.put("arms", List.of(byHand("A", true, hung.get(0)), byHand("B", false)));
        assertThat(client.put("/api/trials/" + id, twice).type()).isEqualTo("empty-arm");
        twice.put("arms", List.of(byHand("A", true, hung.get(0)), byHand("B", false, hung.get(1))));
        client.must(client.put("/api/trials/" + id, twice));
        assertThat(client.get("/api/trials/" + id).body().path("flaws").toString())
                .contains("NOTHING_COMPARED");
    }

    private static Map<String, Object> byHand(String name, boolean control, String... pieces) {
        return Map.of("id", UUID.randomUUID().toString(), "name", name, "control", control, "pieces", List.of(pieces));
    }

    @Test
    void an_arm_that_is_soaked_waits_and_is_said_to_start_later(Someone owner) {
        Client client = owner.client();
        String chamber = client.chamber("North Room", 100_000);
        Map<String, Object> stout = Bodies.treatmentBody("LIQUID_SOAK");
        stout.putAll(Map.of("amount", 250, "measure", "MILLILITRE", "basis", "KILOGRAM"));
        Map<String, Object> body = trial(
                client,
                lot(client, 4020, 0),
                0,
                List.of(2000, 2000),
                List.of(arm("Plain", true, chamber, 33, null), arm("Stout", false, chamber, 33, stout)));
        assertThat(client.post("/api/trials/check", body)
                        .body()
                        .valueStream()
                        .map(flaw -> flaw.path("kind").asString()))
                .containsExactly("OTHER_START", "ANECDOTE");
        String id = UUID.randomUUID().toString();
        client.must(client.put("/api/trials/" + id, body));
        JsonNode trial = client.get("/api/trials/" + id).body();
        assertThat(trial.at("/arms/1/pieces/0/card/state").asString()).isEqualTo("WAITING");
        assertThat(trial.at("/arms/0/pieces/0/card/state").asString()).isEqualTo("HANGING");
    }

    @Test
    void a_running_trial_says_how_the_arms_dry(Someone owner) {
        Client client = owner.client();
        String id = UUID.randomUUID().toString();
        JsonNode trial = honeyTrial(client, id, 12, List.of(4000, 4000));
        for (JsonNode piece : pieces(trial, 0)) {
            client.must(client.write(id(piece), Bodies.entry("WEIGHED", 3740)));
        }
        for (JsonNode piece : pieces(trial, 1)) {
            client.must(client.write(id(piece), Bodies.entry("WEIGHED", 3830)));
        }
        JsonNode now = client.get("/api/trials/" + id).body();
        assertThat(now.at("/drying/0").asString()).matches("Honey dries \\d+ % slower than Plain \\(80 %: .*\\)\\.");
        assertThat(now.at("/arms/0/curve")).hasSize(39);
        assertThat(now.at("/arms/1/curve/38/lost").asDouble())
                .isLessThan(now.at("/arms/0/curve/38/lost").asDouble());
        assertThat(now.at("/arms/1/pieces/0/weighings/0/lost").asDouble()).isCloseTo(170 / 4000.0, within(1e-9));
        assertThat(now.path("ended").asBoolean()).isFalse();
    }

    @Test
    void a_finished_trial_has_its_verdict_teaches_and_leads_to_the_next(Someone owner, @TempDir Path folder)
            throws Exception {
        Client client = owner.client();
        String id = UUID.randomUUID().toString();
        JsonNode trial = honeyTrial(client, id, 38, List.of(2000, 2000, 2000, 2000));
        // By block: plain loses 340 and 320 g, honey 300 and 276: 2.0 and 2.2 points less.
        finish(client, id(pieces(trial, 0).get(0)), 1660, 1200);
        finish(client, id(pieces(trial, 0).get(1)), 1680, 1240);
        finish(client, id(pieces(trial, 1).get(0)), 1700, 1200);
        finish(client, id(pieces(trial, 1).get(1)), 1724, 1230);
        JsonNode done = client.get("/api/trials/" + id).body();
        assertThat(done.path("ended").asBoolean()).isTrue();
        JsonNode shrink = done.path("verdicts").get(0);
        assertThat(shrink.path("value").asDouble()).isCloseTo(-0.021, within(1e-9));
        // t with one degree of freedom is 3.0777 at 90 %. Differences of 0.020 and 0.022 are closer than a scale of 10
        // g can
        // tell on 2 kg; 2 · 0.005²/12 is their variance at least, so the standard error is 0.0014434.
        assertThat(shrink.at("/band/low").asDouble()).isCloseTo(-0.021 - 3.0777 * 0.0014434, within(1e-5));
        assertThat(shrink.path("strength").asString()).isEqualTo("SHOWN");
        assertThat(done.at("/conclusions/0/sentence").asString())
                .isEqualTo("Honey has 2.1 points less shrink than Plain, 14.4 % against 16.5 %. That is not chance.");
        assertThat(done.at("/arms/0/means/shrink").asDouble()).isCloseTo(0.165, within(1e-9));

        JsonNode lesson = client.get("/api/trials/lessons").body().at("/treatments/0");
        assertThat(lesson.path("label").asString()).isEqualTo("Sugar or syrup coat");
        assertThat(lesson.path("pieces").asInt()).isEqualTo(2);
        assertThat(measure(lesson, "SHRINK").path("unshrunk").asDouble()).isCloseTo(-0.021, within(1e-9));
        assertThat(measure(lesson, "SHRINK").path("value").asDouble()).isBetween(-0.021, -0.015);

        Answer learnt = client.put("/api/trials/%s/learnt".formatted(id), Map.of("version", 0, "words", "Too sweet."));
        client.must(learnt);
        assertThat(client.put("/api/trials/%s/learnt".formatted(id), Map.of("version", 0, "words", "No."))
                        .type())
                .isEqualTo("changed-meanwhile");
        String report = PaperRead.words(client, "/api/trials/%s/report".formatted(id), folder)
                .replaceAll("\\s+", " ");
        assertThat(report)
                .contains(
                        done.at("/question").asString(),
                        "Honey has 2.1 points less shrink than Plain, 14.4 % against 16.5 %. That is not chance.",
                        "Student's t on 2 pairs",
                        "Plain (control)",
                        "16.5 %",
                        "Too sweet.");

        JsonNode next = client.get("/api/trials/%s/next".formatted(id)).body();
        JsonNode half = next.at("/arms/1/choices/1");
        assertThat(half.path("reason").asString()).isEqualTo("It was said of Honey: “Too sweet”.");
        assertThat(half.at("/setUp/treatments/0/amount").asDouble()).isEqualTo(11);

        String second = UUID.randomUUID().toString();
        Map<String, Object> body = trial(
                client,
                lot(client, 4020, 0),
                0,
                List.of(2000, 2000),
                List.of(asArm(next.at("/arms/0"), 0), asArm(next.at("/arms/1"), 1)));
        body.put("fromId", id);
        client.must(client.put("/api/trials/" + second, body));
        JsonNode thread = client.get("/api/trials/" + second).body().path("thread");
        assertThat(thread.valueStream().map(each -> each.path("id").asString())).containsExactly(id, second);
        assertThat(thread.at("/0/learnt").asString()).isEqualTo("Too sweet.");
        assertThat(thread.at("/1/changed").asString())
                .isEqualTo("Honey: Sugar or syrup coat, buckwheat honey, 11 g per kg green weight instead of"
                        + " Sugar or syrup coat, buckwheat honey, 22 g per kg green weight");
    }

    @Test
    void pieces_that_hung_before_anybody_asked_are_compared_by_chamber(Someone owner) {
        Client client = owner.client();
        String north = client.chamber("North Room", 100_000);
        String stone = client.chamber("Stone Locker", 100_000);
        List<String> here = client.hangAgo(30, north, 30, 2000, 2010);
        List<String> there = client.hangAgo(30, stone, 30, 2000, 2010);
        Map<String, Object> body = trial(client, "", 0, List.of(), List.of());
        body.remove("lotId");
        body.put("factor", "CHAMBER");
        body.put(
                "arms",
                List.of(
                        byHand("North", true, here.toArray(String[]::new)),
                        byHand("Stone", false, there.toArray(String[]::new))));
        String id = UUID.randomUUID().toString();
        client.must(client.put("/api/trials/" + id, body));
        here.forEach(piece -> finish(client, piece, 1700, 1200));
        there.forEach(piece -> finish(client, piece, 1740, 1200));
        JsonNode trial = client.get("/api/trials/" + id).body();
        // Each arm is one animal, so its two pieces say one thing; losses of 15.0 and 15.4 % against 13.0 and 13.4 %.
        assertThat(trial.path("flaws")
                        .valueStream()
                        .map(flaw -> flaw.path("kind").asString()))
                .containsExactly("OTHER_ANIMALS", "ANECDOTE");
        assertThat(trial.at("/verdicts/0/strength").asString()).isEqualTo("ANECDOTE");
        assertThat(trial.at("/verdicts/0/statistics").asString()).startsWith("One animal in an arm");
        assertThat(trial.at("/verdicts/0/value").asDouble()).isCloseTo(-0.0199, within(0.0001));
        assertThat(trial.at("/conclusions/0/weakenedBy/0").asString()).contains("do not come from the same animals");
        assertThat(client.get("/api/trials/lessons").body().path("treatments")).isEmpty();
    }

    @Test
    void what_is_held_against_a_treated_piece_teaches_nothing(Someone owner) {
        Client client = owner.client();
        String chamber = client.chamber("North Room", 100_000);
        Map<String, Object> two = Bodies.treatmentBody("COLD_SMOKE");
        two.put("number", 2);
        Map<String, Object> five = Bodies.treatmentBody("COLD_SMOKE");
        five.put("number", 5);
        String id = UUID.randomUUID().toString();
        client.must(client.put(
                "/api/trials/" + id,
                trial(
                        client,
                        lot(client, 8020, 30),
                        30,
                        List.of(2000, 2000, 2000, 2000),
                        List.of(arm("Two", true, chamber, 30, two), arm("Five", false, chamber, 30, five)))));
        JsonNode trial = client.get("/api/trials/" + id).body();
        assertThat(trial.path("flaws")).isEmpty();
        pieces(trial, 0).forEach(piece -> finish(client, id(piece), 1700, 1200));
        pieces(trial, 1).forEach(piece -> finish(client, id(piece), 1702, 1200));
        JsonNode lessons = client.get("/api/trials/lessons").body();
        assertThat(lessons.path("treatments")).isEmpty();
        assertThat(lessons.path("leftOut").asInt()).isOne();
    }

    @Test
    void the_order_at_the_bench_is_set_up_with_the_trial(Someone owner) {
        Client client = owner.client();
        String chamber = client.chamber("North Room", 100_000);
        Map<String, Object> slice = arm("Slice first", true, chamber, 30, null);
        Map<String, Object> trim = arm("Trim first", false, chamber, 30, null);
        inside(slice).put("benchOrder", "SLICE_FIRST");
        inside(trim).put("benchOrder", "TRIM_FIRST");
        Map<String, Object> body = trial(client, lot(client, 4020, 0), 0, List.of(2000, 2000), List.of(slice, trim));
        body.put("factor", "BENCH_ORDER");
        String id = UUID.randomUUID().toString();
        client.must(client.put("/api/trials/" + id, body));
        JsonNode trial = client.get("/api/trials/" + id).body();
        assertThat(trial.path("flaws")
                        .valueStream()
                        .map(flaw -> flaw.path("kind").asString()))
                .containsExactly("ANECDOTE");
        String trimmed = id(pieces(trial, 1).get(0));
        assertThat(client.get("/api/pieces/" + trimmed)
                        .body()
                        .path("benchOrder")
                        .asString())
                .isEqualTo("TRIM_FIRST");
    }

    @SuppressWarnings("unchecked")
    private static Map<String, Object> inside(Map<String, Object> arm) {
        return (Map<String, Object>) arm.get("setUp");
    }

    @Test
    void two_trials_of_one_treatment_are_heard_together(Someone owner) {
        Client client = owner.client();
        for (int round = 0; round < 2; round++) {
            String id = UUID.randomUUID().toString();
            JsonNode trial = honeyTrial(client, id, 38, List.of(2000, 2000, 2000, 2000));
            pieces(trial, 0).forEach(piece -> finish(client, id(piece), 1660, 1200));
            pieces(trial, 1).forEach(piece -> finish(client, id(piece), 1700, 1240));
        }
        JsonNode lesson = client.get("/api/trials/lessons").body().at("/treatments/0");
        assertThat(lesson.path("trials").asInt()).isEqualTo(2);
        assertThat(lesson.path("pieces").asInt()).isEqualTo(4);
        JsonNode shrink = measure(lesson, "SHRINK");
        assertThat(shrink.path("pairs").asInt()).isEqualTo(4);
        assertThat(shrink.path("unshrunk").asDouble()).isCloseTo(-0.02, within(1e-9)); // 40 g of 2 kg, each time
        JsonNode steak = measure(lesson, "STEAK_YIELD");
        assertThat(steak.path("unshrunk").asDouble()).isCloseTo(0.02, within(1e-9));
        JsonNode cost = measure(lesson, "COST");
        assertThat(cost.path("value").asDouble()).isNegative(); // more steak for a euro of honey
    }

    @Test
    void two_people_who_split_one_lot_at_once_make_one_trial(Someone owner) {
        Client client = owner.client();
        String chamber = client.chamber("North Room", 100_000);
        Map<String, Object> body = trial(
                client,
                lot(client, 4020, 0),
                0,
                List.of(2000, 2000),
                List.of(arm("Plain", true, chamber, 38, null), arm("Honey", false, chamber, 38, honey())));
        List<Integer> answers = java.util.stream.IntStream.range(0, 4)
                .parallel()
                .mapToObj(each -> {
                    Map<String, Object> own = new HashMap<>(body);
                    own.put(
                            "arms",
                            List.of(arm("Plain", true, chamber, 38, null), arm("Honey", false, chamber, 38, honey())));
                    return client.put("/api/trials/" + UUID.randomUUID(), own).status();
                })
                .sorted()
                .toList();
        assertThat(answers).containsExactly(200, 409, 409, 409);
        assertThat(client.get("/api/trials").body()).hasSize(1);
        assertThat(client.get("/api/lots/" + body.get("lotId")).body().path("pieces"))
                .hasSize(2);
    }

    @Test
    void looks_stand_under_each_other_by_the_day_of_the_hanging(Someone owner) {
        Client client = owner.client();
        String id = UUID.randomUUID().toString();
        JsonNode trial = honeyTrial(client, id, 9, List.of(2000, 2000));
        String honeyed = id(pieces(trial, 1).get(0));
        java.time.Instant now = java.time.Instant.now();
        look(client, honeyed, now.toString(), "WET");
        look(client, honeyed, now.minus(java.time.Duration.ofDays(6)).toString(), "TACKY");
        look(client, id(pieces(trial, 0).get(0)), now.toString(), "DRY");
        JsonNode seen = client.get("/api/trials/" + id).body();
        List<JsonNode> ofHoney = seen.at("/arms/1/pieces/0/looks").valueStream().toList();
        assertThat(ofHoney).hasSize(2);
        long first = ofHoney.get(0).path("day").asLong();
        assertThat(ofHoney.get(1).path("day").asLong() - first).isEqualTo(6);
        assertThat(ofHoney.get(0).path("seen").asString()).contains("tacky");
        assertThat(ofHoney.get(1).path("answer").asString()).isEqualTo("ACT"); // wet after a week in the air
        assertThat(seen.at("/arms/0/pieces/0/looks/0/day").asLong())
                .isEqualTo(ofHoney.get(1).path("day").asLong());
    }

    private static void look(Client client, String piece, String at, String surface) {
        client.must(client.put(
                "/api/pieces/%s/looks/%s".formatted(piece, UUID.randomUUID()),
                Bodies.lookBody("surface", surface, "at", at)));
    }

    /** An arm of a next trial, with one of the ways to do it. */
    private static Map<String, Object> asArm(JsonNode arm, int choice) {
        Map<String, Object> body = new HashMap<>(Map.of(
                "id", UUID.randomUUID().toString(),
                "name", arm.path("name").asString(),
                "control", arm.path("control").asBoolean(),
                "pieces", List.of()));
        body.put(
                "setUp",
                new tools.jackson.databind.json.JsonMapper()
                        .convertValue(
                                arm.at("/choices/%d/setUp".formatted(choice)),
                                new tools.jackson.core.type.TypeReference<Map<String, Object>>() {}));
        return body;
    }

    private static JsonNode measure(JsonNode lesson, String measure) {
        return lesson.path("measures")
                .valueStream()
                .filter(each -> each.path("measure").asString().equals(measure))
                .findFirst()
                .orElseThrow();
    }
}
