package elvaro.server.carcass;

import static elvaro.server.support.Bodies.carcassBody;
import static elvaro.server.support.Bodies.entry;
import static elvaro.server.support.Bodies.partBody;
import static elvaro.server.support.Bodies.pile;
import static elvaro.server.support.Bodies.today;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import elvaro.server.support.Api.Answer;
import elvaro.server.support.Client;
import elvaro.server.support.RunningApp;
import elvaro.server.support.RunningApp.Someone;
import java.time.Instant;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** What is seen to while an animal cools, hangs or lies on ice, and the schools of breaking it down. */
@ExtendWith(RunningApp.class)
class CarcassCareIT {
    private static final Map<String, String> IN_A_LARDER = Map.of("method-chamber", "");

    private static String id() {
        return UUID.randomUUID().toString();
    }

    private static String receive(Client client, Map<String, Object> body) {
        String id = id();
        client.must(client.put("/api/carcasses/" + id, body));
        return id;
    }

    private static Map<String, Object> deer(Client client, int grams) {
        Map<String, Object> deer = carcassBody(client.chamber("Larder " + id().substring(0, 4), 300_000), grams);
        deer.put("hungOn", today().toString()); // When it was killed may have been yesterday.
        return deer;
    }

    private static String takenDown(Client client, int grams) {
        String deer = receive(client, deer(client, grams));
        client.must(client.write(deer, entry("PULLED", grams - 500)));
        return deer;
    }

    private static Answer cutOff(Client client, String deer, String part, Map<String, Object> body) {
        return client.put("/api/carcasses/%s/parts/%s".formatted(deer, part), body);
    }

    private static JsonNode view(Client client, String deer) {
        return client.must(client.get("/api/carcasses/" + deer)).body();
    }

    private static JsonNode piece(Client client, String piece) {
        return client.must(client.get("/api/pieces/" + piece)).body();
    }

    private static List<String> inCalendar(Client client) {
        return client.text("/api/calendar.ics")
                .lines()
                .filter(line -> line.startsWith("UID:"))
                .toList();
    }

    private static List<Long> iceDays(Client client, String piece) {
        return client.get("/api/tasks?days=30")
                .body()
                .valueStream()
                .filter(task -> task.at("/subject/id").asString("").equals(piece))
                .filter(task -> task.path("work").asString().equals("CHANGE_ICE"))
                .map(task -> today().datesUntil(
                                java.time.LocalDate.parse(task.path("on").asString()))
                        .count())
                .toList();
    }

    @Test
    void two_in_one_chest_share_what_comes_in_through_its_walls(Someone owner) {
        Client client = owner.client();
        Map<String, Object> body = deer(client, 40_000);
        body.putAll(Map.of("method", "ON_ICE", "answers", IN_A_LARDER, "meatCelsius", 15, "outsideCelsius", 44));
        String first = receive(client, body);
        assertThat(iceDays(client, first)).containsExactly(3L, 6L, 9L);
        double alone = piece(client, first).at("/ice/perDayKg").asDouble();
        List<String> written = inCalendar(client);
        body.put("grams", 20_000);
        String beside = receive(client, body);
        assertThat(inCalendar(client)).as("less ice is the same appointment").containsAll(written);
        assertThat(piece(client, first).at("/ice/besideGrams").asInt()).isEqualTo(20_000);
        assertThat(piece(client, first).at("/ice/perDayKg").asDouble()).isCloseTo(alone * 2 / 3, within(1e-9));
        assertThat(piece(client, beside).at("/ice/perDayKg").asDouble()).isCloseTo(alone / 3, within(1e-9));
        client.must(client.write(beside, entry("PULLED", 20_000)));
        assertThat(piece(client, first).at("/ice/perDayKg").asDouble()).isEqualTo(alone);
    }

    /** By hand: 0.5 W/K at 20 °C are 2.59 kg a day; 40 kg from 15 °C once 6.29 kg; topped up with 3 days' melt. */
    @Test
    void ice_and_its_days_follow_from_the_warmth_of_meat_and_air_and_again_when_the_weather_turns(Someone owner) {
        Client client = owner.client();
        Map<String, Object> body = deer(client, 40_000);
        body.put("method", "ON_ICE");
        body.put("answers", IN_A_LARDER);
        assertThat(client.put("/api/carcasses/" + id(), body).type()).isEqualTo("missing");
        body.putAll(Map.of("meatCelsius", 15, "outsideCelsius", 20));
        String deer = receive(client, body);
        JsonNode ice = piece(client, deer).path("ice");
        assertThat(ice.path("onceKg").asDouble()).isCloseTo(6.287, within(0.001));
        assertThat(ice.path("perDayKg").asDouble()).isCloseTo(2.587, within(0.001));
        assertThat(ice.path("topUpKg").asDouble()).isCloseTo(7.76, within(0.01));
        assertThat(iceDays(client, deer)).containsExactly(3L, 6L, 9L);
        assertThat(client.get("/api/tasks?days=30").body().toString())
                .contains("drain, add 8 kg of ice")
                .doesNotContain("WEIGH");

        int version = piece(client, deer).path("version").asInt();
        Map<String, Object> hot = Map.of("version", version, "meatCelsius", 15, "outsideCelsius", 44);
        client.must(client.put("/api/pieces/%s/ice".formatted(deer), hot));
        assertThat(iceDays(client, deer)).as("the same ice, warmer air").containsExactly(3L, 6L, 9L);
        assertThat(client.put("/api/pieces/%s/ice".formatted(deer), hot).type()).isEqualTo("changed-meanwhile");
        assertThat(client.put(
                                "/api/pieces/%s/ice".formatted(deer),
                                Map.of("version", version + 1, "meatCelsius", 15, "outsideCelsius", 60))
                        .body()
                        .toString())
                .contains("out of range");
        client.must(client.write(deer, entry("PULLED", 40_000)));
        assertThat(client.put(
                                "/api/pieces/%s/ice".formatted(deer),
                                Map.of("version", version + 2, "meatCelsius", 15, "outsideCelsius", 10))
                        .status())
                .isEqualTo(409);
    }

    /** By hand: 2 kg of its own weight in ice, and what melts once; half of it is gone within a day at 30 °C. */
    @Test
    void a_quarter_laid_on_ice_is_drained_by_its_own_balance(Someone owner) {
        Client client = owner.client();
        String deer = takenDown(client, 40_000);
        String haunch = id();
        Map<String, Object> iced = partBody("LEFT_HAUNCH", 2_000);
        iced.putAll(Map.of(
                "chamberId", client.chamber("Chest", 60_000), "method", "ON_ICE", "days", 5, "answers", IN_A_LARDER));
        assertThat(cutOff(client, deer, haunch, iced).type()).isEqualTo("missing");
        iced.putAll(Map.of("meatCelsius", 10, "outsideCelsius", 30));
        client.must(cutOff(client, deer, haunch, iced));
        assertThat(iceDays(client, haunch)).containsExactly(1L, 2L, 3L, 4L);
        assertThat(piece(client, haunch).at("/ice/topUpDays").asInt()).isEqualTo(1);
        assertThat(client.put(
                                "/api/pieces/%s/ice"
                                        .formatted(client.hang(client.chamber("Room", 50_000), 4_000)
                                                .get(0)),
                                Map.of("version", 0, "meatCelsius", 5, "outsideCelsius", 20))
                        .status())
                .as("what hangs in the air takes no ice")
                .isEqualTo(409);
    }

    @Test
    void its_core_is_measured_until_it_is_cold_and_a_wrong_reading_is_corrected_by_another(Someone owner) {
        Client client = owner.client();
        Map<String, Object> body = deer(client, 40_000);
        body.remove("cooledAt");
        Instant killed = Instant.parse(body.get("killedAt").toString());
        String deer = receive(client, body);
        String cores = "/api/carcasses/%s/cores/".formatted(deer);
        String wrong = id();
        Map<String, Object> first =
                Map.of("celsius", 3.0, "at", killed.plusSeconds(3600).toString());
        client.must(client.put(cores + wrong, first));
        JsonNode cold = client.must(client.put(cores + wrong, first)).body().path("cooling");
        assertThat(cold.path("cores")).as("once").hasSize(1);
        assertThat(cold.path("hours").asDouble()).isEqualTo(1);
        Map<String, Object> right = new HashMap<>(first);
        right.putAll(Map.of("celsius", 33.0, "corrects", wrong));
        client.must(client.put(cores + id(), right));
        assertThat(client.put(cores + id(), right).type()).isEqualTo("corrected-already");
        JsonNode warm = client.must(client.put(
                        cores + id(),
                        Map.of(
                                "celsius",
                                18.0,
                                "at",
                                killed.plusSeconds(5 * 3600).toString())))
                .body()
                .path("cooling");
        assertThat(warm.path("cores")).hasSize(2);
        assertThat(warm.path("coldAt").isMissingNode()).isTrue();
        // The larder is set to 2 °C: (33 - 2) to (18 - 2) in 4 h, then (18 - 2) to (7 - 2) takes 7.04 h.
        assertThat(Instant.parse(warm.path("expectedColdAt").asString()))
                .isCloseTo(
                        killed.plusSeconds(Math.round(12.04 * 3600)), within(2, java.time.temporal.ChronoUnit.MINUTES));
        assertThat(warm.path("late").asBoolean()).isFalse();
        assertThat(client.put(
                                cores + id(),
                                Map.of(
                                        "celsius",
                                        5.0,
                                        "at",
                                        killed.minusSeconds(60).toString()))
                        .type())
                .isEqualTo("core-hour");
        assertThat(client.put(cores + id(), Map.of("celsius", 70.0)).status()).isEqualTo(422);
    }

    @Test
    void a_hide_taken_off_while_it_hangs_is_no_water_lost_and_it_dries_faster_from_then_on(Someone owner) {
        Client client = owner.client();
        Map<String, Object> body = deer(client, 40_000);
        String hidden = receive(client, body);
        body.put("skinOn", false);
        String bare = receive(client, body);
        assertThat(piece(client, hidden).at("/ahead/atTarget/lost").asDouble())
                .as("it dries slower in its hide")
                .isLessThan(0.8 * piece(client, bare).at("/ahead/atTarget/lost").asDouble());
        assertThat(client.put("/api/pieces/%s/hide/%s".formatted(bare, id()), Map.of("grams", 3_000))
                        .type())
                .isEqualTo("no-hide");
        assertThat(client.put("/api/pieces/%s/hide/%s".formatted(hidden, id()), Map.of("grams", 50_000))
                        .type())
                .isEqualTo("impossible-weight");
        String entry = id();
        for (int times = 0; times < 2; times++) { // A lost answer, tried again.
            client.must(client.put("/api/pieces/%s/hide/%s".formatted(hidden, entry), Map.of("grams", 3_200)));
        }
        JsonNode skinned = piece(client, hidden);
        assertThat(skinned.at("/card/nowGrams").asInt()).isEqualTo(36_800);
        assertThat(skinned.at("/card/shrinkGrams").asInt()).isZero();
        assertThat(skinned.path("coating").asString()).isEqualTo("NONE");
        assertThat(view(client, hidden).path("hideOn").asBoolean()).isFalse();
        assertThat(view(client, hidden).path("skinOn").asBoolean())
                .as("as it came in")
                .isTrue();
    }

    @Test
    void the_spine_is_not_sawn_before_the_test_is_clear_and_the_school_says_what_is_packed(Someone owner) {
        Client client = owner.client();
        Map<String, Object> body = deer(client, 40_000);
        body.put("test", "AWAITED");
        String deer = receive(client, body);
        String school = "/api/carcasses/%s/school".formatted(deer);
        Map<String, Object> saw = Map.of("version", 0, "knife", "SAW", "trim", "LATER");
        assertThat(client.put(school, saw).type()).isEqualTo("spine");
        client.must(client.put("/api/carcasses/%s/test".formatted(deer), Map.of("version", 0, "test", "CLEAR")));
        assertThat(client.put(school, saw).type()).isEqualTo("changed-meanwhile");
        JsonNode sawn = client.must(client.put(school, Map.of("version", 1, "knife", "SAW", "trim", "LATER")))
                .body();
        assertThat(sawn.at("/packed/packedGrams").asDouble())
                .isGreaterThan(sawn.at("/ahead/realisticGrams").asDouble());
        assertThat(sawn.at("/packed/laterGrams").asDouble()).isPositive();
        client.must(client.write(deer, entry("PULLED", 39_000)));
        String saddle = id();
        Map<String, Object> whole = partBody("SADDLE", 4_000);
        whole.put("asItIs", true);
        client.must(cutOff(client, deer, saddle, whole));
        client.must(cutOff(client, deer, saddle, whole));
        assertThat(piece(client, saddle).at("/card/boneIn").asBoolean()).isTrue();
        assertThat(piece(client, saddle).at("/ledger/piles/STEAK").asInt())
                .as("all of it on the pile of roasts, to be packed whole")
                .isEqualTo(4_000);
        body.putAll(Map.of("animal", "GOOSE", "test", "NOT_ASKED", "weighed", "HANGING", "grams", 3_200, "days", 8));
        assertThat(client.put("/api/carcasses/%s/school".formatted(receive(client, body)), saw)
                        .type())
                .isEqualTo("no-school");
    }

    @Test
    void a_part_weighed_wrongly_is_weighed_again_and_the_sheet_follows(Someone owner) {
        Client client = owner.client();
        String deer = takenDown(client, 40_000);
        String neck = id();
        client.must(cutOff(client, deer, neck, partBody("NECK", 2_500)));
        Map<String, Object> again = entry("PULLED", 2_900);
        again.put("corrects", piece(client, neck).at("/log/0/id").asString());
        client.must(client.write(neck, again));
        assertThat(view(client, deer).at("/sheet/partsGrams").asInt()).isEqualTo(2_900);
        assertThat(piece(client, neck).at("/card/greenGrams").asInt()).isEqualTo(2_900);
        assertThat(piece(client, neck).at("/card/shrinkGrams").asInt()).isZero();
        assertThat(client.write(deer, pile("BONE", 37_000)).type())
                .as("39.5 kg were taken down, and the neck is off it")
                .isEqualTo("impossible-weight");
        client.must(client.write(deer, pile("BONE", 36_600)));
        client.must(client.write(neck, pile("USABLE_TRIM", 2_000)));
        assertThat(client.write(neck, pile("BONE", 1_000)).type()).isEqualTo("impossible-weight");
    }

    @Test
    void a_part_hangs_on_in_its_hide_and_birds_have_none(Someone owner) {
        Client client = owner.client();
        String deer = takenDown(client, 40_000);
        String hung = further(client, deer, "LEFT_HAUNCH", client.chamber("Air", 60_000), "OPEN_AIR");
        assertThat(piece(client, hung).path("coating").asString()).isEqualTo("HIDE");
        client.must(client.put("/api/pieces/%s/hide/%s".formatted(hung, id()), Map.of("grams", 400)));
        assertThat(piece(client, hung).at("/card/nowGrams").asInt()).isEqualTo(6_100);
        Map<String, Object> body = deer(client, 3_200);
        body.putAll(Map.of("animal", "GOOSE", "weighed", "HANGING", "days", 8));
        String goose = receive(client, body);
        assertThat(piece(client, goose).path("coating").asString()).isEqualTo("NONE");
        assertThat(view(client, goose).at("/cooling/limitCelsius").asDouble()).isEqualTo(4);
        client.must(client.write(deer, pile("DISCARD", 3_000)));
        assertThat(client.put("/api/pieces/%s/hide/%s".formatted(deer, id()), Map.of("grams", 3_000))
                        .type())
                .as("it was taken down")
                .isEqualTo("wrong-state");
    }

    /** A fish on ice: parts of a fish, its own cautions, and how it is made ready for the ice. */
    @Test
    void a_fish_on_ice_is_made_ready_and_cut_as_a_fish(Someone owner) {
        Client client = owner.client();
        Map<String, Object> body = deer(client, 12_000);
        body.putAll(Map.of("animal", "SEA_FISH", "weighed", "HANGING", "method", "ON_ICE", "days", 9));
        body.putAll(Map.of("meatCelsius", 8, "outsideCelsius", 16, "answers", IN_A_LARDER));
        JsonNode fish = view(client, receive(client, body));
        assertThat(fish.path("readying").toString()).contains("strip of scales", "head and gills off", "drain open");
        assertThat(fish.at("/animal/cautions").toString()).contains("Histamine").doesNotContain("Wasting");
        assertThat(fish.path("parts").toString())
                .contains("LEFT_BELLY", "SCRAPED")
                .doesNotContain("HAUNCH");
        assertThat(fish.path("hideOn").asBoolean()).isFalse();
        assertThat(fish.path("packed").isMissingNode()).isTrue();
        String id = fish.path("id").asString();
        assertThat(piece(client, id).at("/ice/perDayKg").asDouble())
                .as("0.5 W/K at 16 °C, by hand")
                .isCloseTo(2.07, within(0.01));
        assertThat(piece(client, id).at("/ahead/now/tenderness").isMissingNode())
                .as("fish gains no tenderness")
                .isTrue();
    }

    /** Two haunches of one animal answer the question; two animals do too, and it is said that they are two. */
    @Test
    void hung_against_iced_is_a_trial_and_honest_about_the_animals(Someone owner) {
        Client client = owner.client();
        String deer = takenDown(client, 40_000);
        String other = takenDown(client, 42_000);
        String chest = client.chamber("Chest", 60_000);
        String larder = client.chamber("Air", 60_000);
        String iced = further(client, deer, "LEFT_HAUNCH", chest, "ON_ICE");
        String hung = further(client, deer, "RIGHT_HAUNCH", larder, "OPEN_AIR");
        String others = further(client, other, "RIGHT_HAUNCH", larder, "OPEN_AIR");
        String twins = client.must(client.post("/api/trials/check", trial(iced, hung)))
                .body()
                .toString();
        assertThat(twins).contains("ANECDOTE").doesNotContain("OTHER_ANIMALS").doesNotContain("SEVERAL_CHANGES");
        client.must(client.put("/api/trials/" + id(), trial(iced, hung)));
        assertThat(client.must(client.post("/api/trials/check", trial(iced, others)))
                        .body()
                        .toString())
                .contains("OTHER_ANIMALS", "two halves of one animal");
    }

    private static String further(Client client, String deer, String part, String chamber, String method) {
        Map<String, Object> body = partBody(part, 6_500);
        body.putAll(Map.of("chamberId", chamber, "method", method, "days", 9, "answers", IN_A_LARDER));
        if (method.equals("ON_ICE")) {
            body.putAll(Map.of("meatCelsius", 6, "outsideCelsius", 12));
        }
        String piece = id();
        client.must(cutOff(client, deer, piece, body));
        return piece;
    }

    private static Map<String, Object> trial(String iced, String hung) {
        return Map.of(
                "question",
                "Hung or iced, nine days?",
                "factor",
                "HANG_OR_ICE",
                "measure",
                "USABLE_YIELD",
                "parts",
                List.of(),
                "arms",
                List.of(arm("hung", true, hung), arm("iced", false, iced)),
                "answers",
                Map.of());
    }

    private static Map<String, Object> arm(String name, boolean control, String piece) {
        return Map.of("id", id(), "name", name, "control", control, "pieces", List.of(piece));
    }
}
