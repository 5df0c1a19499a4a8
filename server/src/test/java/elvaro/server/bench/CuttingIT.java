package elvaro.server.bench;

import static elvaro.server.support.Bodies.entry;
import static elvaro.server.support.Bodies.pile;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import elvaro.server.support.Api.Answer;
import elvaro.server.support.Bodies;
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
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** What happens at the block: smelling, unwrapping, choosing how to cut, counting steaks, learning from it. */
@ExtendWith(RunningApp.class)
class CuttingIT {

    private static Answer close(Client client, String piece, Map<String, String> answers) {
        return client.put("/api/bench/" + piece + "/close/" + UUID.randomUUID(), Map.of("answers", answers));
    }

    /** The rules of the inspection hold at the block too: a bag that is faintly acid rests a day. */
    @Test
    void a_bag_that_smells_acid_rests_a_day_and_stands_in_the_room_until_it_is_smelled_again(Someone owner) {
        Client client = owner.client();
        String piece =
                client.hangToday(client.chamber("Cabinet", 50_000), 30, 4000).get(0);
        client.must(client.write(piece, entry("PULLED", 3990)));
        String looks = "/api/pieces/%s/looks/".formatted(piece);
        Answer looked = client.must(client.put(looks + UUID.randomUUID(), Bodies.lookBody("smell", "FAINTLY_ACID")));
        assertThat(looked.body().at("/0/answer").asString()).isEqualTo("ACT");
        assertThat(due(client, piece)).contains("REST", "CUT");
        client.must(client.write(piece, entry("RESTED", 0)));
        Answer resting = client.must(client.get("/api/bench/" + piece));
        Instant until = Instant.parse(resting.body().path("smellAgainAt").asString());
        assertThat(until)
                .isBetween(Instant.now().plusSeconds(86_000), Instant.now().plusSeconds(86_500));
        client.must(client.put(looks + UUID.randomUUID(), Bodies.lookBody()));
        assertThat(client.get("/api/bench/" + piece).body().path("smellAgainAt").isMissingNode())
                .isTrue();
        assertThat(due(client, piece)).containsExactly("CUT");
    }

    private static List<String> due(Client client, String piece) {
        return client.get("/api/room")
                .body()
                .path("due")
                .valueStream()
                .filter(due -> due.at("/subject/id").asString("").equals(piece))
                .map(due -> due.path("work").asString())
                .toList();
    }

    @Test
    void wrap_and_string_are_weighed_off_and_do_not_count_as_meat(Someone owner) {
        Client client = owner.client();
        String piece = client.hang(client.chamber("Cabinet", 50_000), 4000).get(0);
        client.must(client.write(piece, entry("PULLED", 3640)));
        assertThat(client.get("/api/bench/" + piece).body().path("wrapGrams").isMissingNode())
                .isTrue();
        client.must(client.write(piece, entry("UNWRAPPED", 3600)));
        var bench = client.get("/api/bench/" + piece).body();
        assertThat(bench.path("wrapGrams").asInt()).isEqualTo(40);
        assertThat(bench.at("/piece/ledger/agedGrams").asInt()).isEqualTo(3600);
        assertThat(bench.at("/piece/ledger/shrinkGrams").asInt()).isEqualTo(400);
        // A coat that is still on then is in the figure, and comes off it.
        String coated = client.hang(client.chamber("Locker", 50_000), 4000).get(0);
        client.must(client.write(coated, entry("COAT_ON", 300)));
        client.must(client.write(coated, entry("PULLED", 3940)));
        client.must(client.write(coated, entry("UNWRAPPED", 3900)));
        client.must(client.write(coated, entry("COAT_OFF", 280)));
        assertThat(client.get("/api/bench/" + coated)
                        .body()
                        .at("/piece/ledger/agedGrams")
                        .asInt())
                .isEqualTo(3620);
        assertThat(client.get("/api/bench/" + coated).body().path("wrapGrams").asInt())
                .isEqualTo(40);
    }

    @Test
    void every_way_to_cut_says_what_it_gives_and_the_chosen_one_is_what_is_expected(Someone owner) {
        Client client = owner.client();
        String piece = client.hang(client.chamber("Cabinet", 50_000), 4000).get(0);
        client.must(client.write(piece, entry("PULLED", 3500)));
        var choices = client.get("/api/bench/" + piece).body().path("choices");
        Map<String, Integer> steak = new HashMap<>();
        choices.forEach(choice -> steak.put(
                choice.path("order").asString() + choice.path("closeness").asString(),
                choice.path("steakGrams").asInt()));
        assertThat(steak).hasSize(6);
        assertThat(steak.get("SLICE_FIRSTSTRONGER")).isGreaterThan(steak.get("SLICE_FIRSTUSUAL"));
        assertThat(steak.get("SLICE_FIRSTUSUAL")).isGreaterThan(steak.get("TRIM_FIRSTUSUAL"));
        assertThat(steak.get("TRIM_FIRSTUSUAL")).isGreaterThan(steak.get("TRIM_FIRSTMILDER"));
        String cutting = "/api/bench/%s/cutting".formatted(piece);
        var chosen = client.must(client.put(cutting, Map.of("order", "TRIM_FIRST", "closeness", "MILDER")))
                .body();
        assertThat(chosen.at("/expectedPiles/STEAK").asInt()).isCloseTo(steak.get("TRIM_FIRSTMILDER"), within(2));
        client.must(client.write(piece, pile("STEAK", 3000)));
        client.must(client.write(piece, pile("DISCARD", 500)));
        client.must(close(client, piece, Map.of()));
        assertThat(client.put(cutting, Map.of("order", "SLICE_FIRST", "closeness", "MILDER"))
                        .type())
                .isEqualTo("wrong-state");
    }

    @Test
    void steaks_are_sawn_through_the_bone_where_somebody_says_so(Someone owner) {
        Client client = owner.client();
        String lot = UUID.randomUUID().toString();
        client.must(client.post("/api/lots", elvaro.server.support.Bodies.lotBody(lot, 8000)));
        String piece = UUID.randomUUID().toString();
        client.must(client.post(
                "/api/lots/" + lot + "/pieces",
                Map.of(
                        "pieces",
                        List.of(Bodies.hangBody(piece, client.chamber("Cabinet", 50_000), 8000)),
                        "answers",
                        Map.of())));
        client.must(client.write(piece, entry("PULLED", 7400)));
        int off = client.get("/api/bench/" + piece)
                .body()
                .at("/expectedPiles/STEAK")
                .asInt();
        var sawn = client.must(client.put(
                        "/api/bench/%s/cutting".formatted(piece), Map.of("closeness", "USUAL", "steaksOnBone", true)))
                .body();
        assertThat(sawn.path("steaksOnBone").asBoolean()).isTrue();
        assertThat(sawn.at("/expectedPiles/STEAK").asInt()).isCloseTo(off + (int) (0.16 * 8000), within(3));
    }

    @Test
    void steaks_are_counted_as_they_were_cut_and_planned_by_thickness_or_weight(Someone owner) {
        Client client = owner.client();
        String piece = client.hang(client.chamber("Cabinet", 50_000), 4000).get(0);
        client.must(client.write(piece, entry("PULLED", 3500)));
        String ask = "/api/bench/%s/steaks?saw=false&endMm=20&lengthMm=400".formatted(piece);
        var byThickness = client.must(client.get(ask + "&thicknessMm=30")).body();
        assertThat(byThickness.path("count").asInt()).isEqualTo(12);
        int each = (int) Math.round(byThickness.path("gramsEach").asDouble());
        assertThat(client.must(client.get(ask + "&gramsEach=" + each))
                        .body()
                        .path("thicknessMm")
                        .asDouble())
                .isCloseTo(30, within(0.1));
        assertThat(client.get(ask).type()).isEqualTo("thickness-or-weight");
        for (int grams : new int[] {280, 300, 320}) {
            client.must(client.write(piece, steaks(grams, 1)));
        }
        client.must(client.write(piece, steaks(600, 2)));
        client.must(client.write(piece, steaks(450, 0)));
        var cut = client.get("/api/bench/" + piece).body().path("cut");
        assertThat(cut.path("steaks").asInt()).isEqualTo(5);
        assertThat(cut.path("gramsEach").asDouble()).isCloseTo(300, within(1e-9));
        assertThat(cut.path("spreadGrams").asDouble()).isCloseTo(20, within(1e-9));
        assertThat(cut.path("roastGrams").asInt()).isEqualTo(450);
        Map<String, Object> bones = pile("BONE", 100);
        bones.put("steaks", 1);
        assertThat(client.write(piece, bones).type()).isEqualTo("not-steaks");
    }

    private static Map<String, Object> steaks(int grams, int count) {
        Map<String, Object> pile = pile("STEAK", grams);
        pile.put("steaks", count);
        return pile;
    }

    @Test
    void the_bench_tells_knife_from_crust_and_learns_by_order_and_by_person(Someone owner) {
        Client client = owner.client();
        String chamber = client.chamber("Cabinet", 50_000);
        String piece = client.hang(chamber, 4000).get(0);
        client.must(client.write(piece, entry("PULLED", 3500)));
        client.must(client.write(piece, pile("STEAK", 2700)));
        client.must(client.write(piece, pile("USABLE_TRIM", 400)));
        client.must(client.write(piece, pile("DISCARD", 400)));
        client.must(close(client, piece, Map.of()));
        client.must(client.put(
                "/api/bench/%s/cutting".formatted(piece), Map.of("closeness", "USUAL", "crustTenthsMm", 25)));
        var knife = client.get("/api/bench/" + piece).body().path("knife");
        assertThat(knife.path("measured").asBoolean()).isTrue();
        assertThat(knife.path("cutMm").asDouble() - knife.path("marginMm").asDouble())
                .isCloseTo(2.5, within(1e-9));
        var lessons = client.must(client.get("/api/bench-lessons")).body();
        assertThat(lessons.at("/margin/0/benches").asInt()).isOne();
        double found = knife.path("marginMm").asDouble();
        double usual = knife.path("usualMarginMm").asDouble();
        assertThat(lessons.at("/margin/0/value").asDouble())
                .as("one bench moves it, but not all the way")
                .isBetween(Math.min(found, usual), Math.max(found, usual));
        assertThat(lessons.at("/byPerson/0/name").asString()).isEqualTo("Owner");
        assertThat(lessons.at("/crust/benches").asInt()).isOne();
        assertThat(lessons.at("/steak/benches").asInt()).isOne();
    }

    @Test
    void what_is_bad_through_and_through_is_thrown_away_in_one_step_and_once(Someone owner) {
        Client client = owner.client();
        String piece = client.hang(client.chamber("Cabinet", 50_000), 4000).get(0);
        client.must(client.write(piece, entry("PULLED", 3500)));
        client.must(client.write(piece, pile("BONE", 500)));
        String discard = "/api/bench/%s/discard/%s".formatted(piece, UUID.randomUUID());
        assertThat(client.put(discard, Map.of("reason", " ")).status()).isEqualTo(422);
        client.must(client.put(discard, Map.of("reason", "putrid at the bone")));
        var ledger = client.must(client.put(discard, Map.of("reason", "putrid at the bone")))
                .body()
                .at("/piece/ledger");
        assertThat(ledger.at("/piles/DISCARD").asInt()).isEqualTo(3000);
        assertThat(ledger.path("residualGrams").asInt()).isZero();
        assertThat(client.get("/api/bench/" + piece).body().path("knife").isMissingNode())
                .as("a spoilt piece says nothing of the knife")
                .isTrue();
    }

    @ParameterizedTest(name = "{0}")
    @ValueSource(
            strings = {
                "thicknessMm=2&saw=false&endMm=15",
                "thicknessMm=301&saw=false&endMm=15",
                "gramsEach=10&saw=false&endMm=15",
                "thicknessMm=30&saw=false&endMm=-1",
                "thicknessMm=30&saw=false&endMm=15&lengthMm=5"
            })
    void a_steak_that_cannot_be_is_refused_in_a_sentence(String asked, Someone owner) {
        Client client = owner.client();
        String piece = client.hang(client.chamber("Cabinet", 50_000), 4000).get(0);
        assertThat(client.get("/api/bench/%s/steaks?%s".formatted(piece, "thicknessMm=30&saw=false&endMm=15"))
                        .type())
                .as("it still hangs")
                .isEqualTo("wrong-state");
        client.must(client.write(piece, entry("PULLED", 3500)));
        Answer answer = client.get("/api/bench/%s/steaks?%s".formatted(piece, asked));
        assertThat(answer.status()).isEqualTo(422);
        assertThat(answer.body().path("detail").asString()).endsWith(".");
    }

    /** A lost answer, tried again: the container lies there once, and a touch too many is taken back in the open. */
    @Test
    void a_container_sent_twice_lies_there_once_and_a_wrong_touch_is_taken_back(Someone owner) {
        Client client = owner.client();
        String piece = client.hang(client.chamber("Cabinet", 50_000), 4000).get(0);
        client.must(client.write(piece, entry("PULLED", 3500)));
        String path = "/api/pieces/%s/log/%s".formatted(piece, UUID.randomUUID());
        client.must(client.put(path, steaks(900, 3)));
        client.must(client.put(path, steaks(900, 3)));
        assertThat(client.put(path, steaks(950, 3)).type()).isEqualTo("id-used");
        var bench = client.get("/api/bench/" + piece).body();
        assertThat(bench.at("/piece/ledger/piles/STEAK").asInt()).isEqualTo(900);
        assertThat(bench.at("/cut/steaks").asInt()).isEqualTo(3);
        Map<String, Object> back = entry("TAKEN_BACK", 0);
        back.put("corrects", path.substring(path.lastIndexOf('/') + 1));
        client.must(client.write(piece, back));
        var after = client.get("/api/bench/" + piece).body();
        assertThat(after.at("/piece/ledger/piles/STEAK").asInt()).isZero();
        assertThat(after.at("/cut/steaks").asInt()).isZero();
        assertThat(after.at("/piece/log")).as("both stay in the log").hasSize(3);
    }

    /** Unwrapping says nothing until it was weighed, and is taken back like any entry. */
    @Test
    void a_slip_at_unwrapping_is_corrected_and_the_pull_counts_again(Someone owner) {
        Client client = owner.client();
        String piece = client.hang(client.chamber("Cabinet", 50_000), 4000).get(0);
        assertThat(client.write(piece, entry("UNWRAPPED", 3900)).type())
                .as("what hangs is not unwrapped at the bench")
                .isEqualTo("wrong-state");
        client.must(client.write(piece, entry("PULLED", 3640)));
        assertThat(client.write(piece, entry("UNWRAPPED", 3800)).questions())
                .as("heavier than with its wrap")
                .containsExactly("heavier-than-before");
        String slip = UUID.randomUUID().toString();
        client.must(client.put("/api/pieces/%s/log/%s".formatted(piece, slip), entry("UNWRAPPED", 3500)));
        Map<String, Object> right = entry("UNWRAPPED", 3600);
        right.put("corrects", slip);
        client.must(client.write(piece, right));
        assertThat(client.get("/api/bench/" + piece).body().path("wrapGrams").asInt())
                .isEqualTo(40);
    }
}
