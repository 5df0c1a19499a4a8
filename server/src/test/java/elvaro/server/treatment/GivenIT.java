package elvaro.server.treatment;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import elvaro.core.treatment.TreatmentKind;
import elvaro.server.support.Api.Answer;
import elvaro.server.support.Bodies;
import elvaro.server.support.Client;
import elvaro.server.support.RunningApp;
import elvaro.server.support.RunningApp.Someone;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import tools.jackson.databind.JsonNode;

/** Treatments as they are given, done step by step, and taken back. */
@ExtendWith(RunningApp.class)
class GivenIT {

    private static List<String> toDo(Client client, String piece) {
        return client.get("/api/room")
                .body()
                .path("due")
                .valueStream()
                .filter(due -> due.path("work").asString().equals("TREAT")
                        && due.at("/subject/id").asString().equals(piece))
                .map(due -> due.path("words").asString())
                .toList();
    }

    private static Answer step(Client client, String piece, int number, Double celsius, Map<String, String> answers) {
        Map<String, Object> body = new HashMap<>(Map.of("number", number, "words", "", "answers", answers));
        body.put("meatCelsius", celsius);
        if (client.given(piece).path("kind").asString().equals("COLD_SMOKE")) {
            body.put("minutes", 10);
        }
        String id = client.given(piece).path("id").asString();
        return client.put("/api/pieces/%s/treatments/%s/steps/%s".formatted(piece, id, UUID.randomUUID()), body);
    }

    private static double share(JsonNode view, String name) {
        return Math.round(view.at("/ledger/" + name).asDouble() * 1000) / 10.0;
    }

    /** The two rib pieces of one animal of the trade's table, pounds turned into whole grams. Common practice, no source. */
    @Test
    void the_fat_sealed_piece_and_its_twin_come_out_as_the_trade_knows_them(Someone owner) {
        Client client = owner.client();
        List<String> twins = client.hangAgo(35, client.chamber("Walk-in", 100_000), 35, 4808, 4899);
        String plain = twins.get(0);
        String sealed = twins.get(1);
        Map<String, Object> seal = Bodies.treatmentBody("FAT_SEAL");
        seal.put("coatGrams", 905);
        client.must(client.give(sealed, seal));
        client.must(client.write(plain, Bodies.entry("PULLED", 4264)));
        client.must(client.write(plain, Bodies.pile("STEAK", 2722)));
        client.must(client.write(plain, Bodies.pile("USABLE_TRIM", 1361)));
        client.must(client.write(plain, Bodies.pile("DISCARD", 181)));
        client.must(client.write(sealed, Bodies.entry("PULLED", 4717 + 880)));
        assertThat(toDo(client, sealed)).singleElement().asString().startsWith("Take the seal off and weigh both");
        client.must(client.write(sealed, Bodies.entry("COAT_OFF", 880)));
        client.must(client.write(sealed, Bodies.pile("STEAK", 2631)));
        client.must(client.write(sealed, Bodies.pile("DISCARD", 2086)));

        JsonNode bare = client.get("/api/pieces/" + plain).body();
        assertThat(share(bare, "shrinkFraction")).isEqualTo(11.3);
        assertThat(share(bare, "steakYield")).isEqualTo(56.6);
        assertThat(share(bare, "usableYield")).isEqualTo(84.9);
        JsonNode fat = client.get("/api/pieces/" + sealed).body();
        assertThat(share(fat, "shrinkFraction")).isEqualTo(3.7);
        assertThat(share(fat, "steakYield")).isEqualTo(53.7);
        assertThat(share(fat, "usableYield")).isEqualTo(53.7);
        assertThat(fat.at("/ledger/piles/DISCARD").asInt() / 453.59237).isCloseTo(4.6, within(0.01));
        assertThat(bare.at("/ledger/shrinkGrams").asInt()
                        - fat.at("/ledger/shrinkGrams").asInt())
                .isEqualTo(362); // the seal saved 0.8 lb of water
    }

    @Test
    void honey_is_weighed_on_costs_its_price_and_slows_the_drying(Someone owner) {
        Client client = owner.client();
        String piece =
                client.hangToday(client.chamber("Walk-in", 100_000), 38, 4000).get(0);
        double plain = client.get("/api/pieces/" + piece)
                .body()
                .at("/ahead/atTarget/lost")
                .asDouble();
        Map<String, Object> honey = Bodies.treatmentBody("SUGAR_COAT");
        honey.putAll(Map.of("exactly", "buckwheat honey", "amount", 22, "measure", "GRAM", "basis", "KILOGRAM"));
        honey.putAll(Map.of("coatGrams", 85, "costMinor", 140, "answers", Map.of()));
        String path = "/api/pieces/%s/treatments/%s".formatted(piece, UUID.randomUUID());
        assertThat(client.put(path, honey).questions()).containsExactly("clash-sugar-hides-mould");
        honey.put("answers", Map.of("clash-sugar-hides-mould", ""));
        client.must(client.put(path, honey));
        client.must(client.put(path, honey)); // a lost answer, tried again

        assertThat(client.get("/api/pieces/%s/treatments".formatted(piece))
                        .body()
                        .size())
                .isEqualTo(1);
        JsonNode given = client.given(piece);
        assertThat(given.path("words").asString())
                .isEqualTo("Sugar or syrup coat, buckwheat honey, 22 g per kg green weight");
        assertThat(given.path("amount").asString()).isEqualTo("88 g");
        JsonNode view = client.get("/api/pieces/" + piece).body();
        assertThat(view.at("/card/coatGrams").asInt()).isEqualTo(85);
        assertThat(view.at("/coating").asString()).isEqualTo("SYRUP");
        assertThat(view.at("/consumablesMinor").asInt()).isEqualTo(140);
        assertThat(view.at("/ahead/atTarget/lost").asDouble()).isLessThan(plain * 0.95);
        assertThat(view.at("/plan/lost").asDouble())
                .as("what was expected when it was hung was expected of it with its honey")
                .isCloseTo(view.at("/ahead/atTarget/lost").asDouble(), within(1e-3));
        assertThat(view.path("decisions").toString()).contains("A sticky face hides mould");
        assertThat(client.get("/api/tasks?days=20")
                        .body()
                        .valueStream()
                        .filter(task -> task.path("work").asString().equals("LOOK"))
                        .count())
                .isEqualTo(6); // every three days

        String back = "/api/pieces/%s/treatments/%s/back/%s"
                .formatted(piece, given.path("id").asString(), UUID.randomUUID());
        client.must(client.put(back, Map.of("words", "That was its twin.")));
        client.must(client.put(back, Map.of("words", "That was its twin.")));
        JsonNode bare = client.get("/api/pieces/" + piece).body();
        assertThat(bare.at("/coating").asString()).isEqualTo("NONE");
        assertThat(bare.at("/consumablesMinor").asInt()).isZero();
        assertThat(bare.at("/card/coatGrams").asInt()).isZero(); // weighed on with it, and taken back with it
        assertThat(toDo(client, piece)).isEmpty();
    }

    @Test
    void steps_are_due_on_their_day_until_they_are_done_and_again_when_that_is_taken_back(Someone owner) {
        Client client = owner.client();
        String piece =
                client.hangAgo(8, client.chamber("Walk-in", 100_000), 40, 4000).get(0);
        Map<String, Object> smoke = Bodies.treatmentBody("COLD_SMOKE");
        smoke.put("number", 2);
        smoke.put(
                "beganOn",
                client.get("/api/pieces/" + piece).body().at("/card/hungOn").asString());
        client.must(client.give(piece, smoke));
        assertThat(toDo(client, piece)).hasSize(2);

        assertThat(step(client, piece, 0, 4.6, Map.of()).body().path("detail").asString())
                .startsWith("The meat is above 4 °C.");
        assertThat(step(client, piece, 0, null, Map.of()).questions()).containsExactly("clash-smoke-unmeasured");
        assertThat(toDo(client, piece)).hasSize(2);
        client.must(step(client, piece, 0, 3.1, Map.of()));
        client.must(step(client, piece, 1, null, Map.of("clash-smoke-unmeasured", "")));
        assertThat(toDo(client, piece)).isEmpty();
        client.must(step(client, piece, 1, 3.0, Map.of())); // another burst
        assertThat(client.given(piece).path("smokedMinutes").asInt()).isEqualTo(30);
        JsonNode log = client.get("/api/pieces/" + piece).body().path("log");
        JsonNode done = log.valueStream()
                .filter(entry -> entry.path("words").asString().contains("Meat at 3.1 °C."))
                .findFirst()
                .orElseThrow();
        client.must(client.write(
                piece,
                Map.of(
                        "kind",
                        "TAKEN_BACK",
                        "grams",
                        0,
                        "words",
                        "",
                        "answers",
                        Map.of(),
                        "corrects",
                        done.path("id").asString())));
        assertThat(toDo(client, piece)).hasSize(1);
    }

    @Test
    void a_marinade_is_due_after_the_pull_and_goes_on_when_the_bench_is_closed(Someone owner) {
        Client client = owner.client();
        String duck =
                client.hangAgo(8, client.chamber("Larder", 100_000), 8, 1200).get(0);
        Map<String, Object> juice = Bodies.treatmentBody("MARINADE");
        juice.putAll(Map.of("exactly", "orange juice", "amount", 300, "measure", "MILLILITRE", "basis", "KILOGRAM"));
        client.must(client.give(duck, juice));
        assertThat(toDo(client, duck)).isEmpty();
        client.must(client.write(duck, Bodies.entry("PULLED", 1120)));
        assertThat(toDo(client, duck)).singleElement().asString().startsWith("Trim it, lay it in the juice");
        client.must(client.write(duck, Bodies.pile("STEAK", 1120)));
        client.must(
                client.put("/api/bench/%s/close/%s".formatted(duck, UUID.randomUUID()), Map.of("answers", Map.of())));
        assertThat(toDo(client, duck)).hasSize(1);
        client.must(step(client, duck, 0, null, Map.of()));
        assertThat(toDo(client, duck)).isEmpty();
        assertThat(client.get("/api/tasks?days=2").body().toString())
                .contains("Take it out, dry it, and throw the juice away.");
        assertThat(client.get("/api/pieces/" + duck)
                        .body()
                        .at("/ledger/steakYield")
                        .asDouble())
                .isCloseTo(1120 / 1200.0, within(1e-9)); // what is done after the ageing changes no drying
    }

    @Test
    void what_clashes_stops_or_asks_where_it_is_given(Someone owner) {
        Client client = owner.client();
        String chamber = client.chamber("Walk-in", 100_000);
        List<String> pieces = client.hangToday(chamber, 38, 4000, 4000);
        String piece = pieces.get(0);
        Map<String, Object> garlic = Bodies.treatmentBody("PASTE");
        garlic.putAll(Map.of("rawGarlicOrHerbs", true, "oil", true));
        Map<String, Object> seal = Bodies.treatmentBody("FAT_SEAL");
        seal.putAll(Map.of("rawGarlicOrHerbs", true, "oil", true));
        assertThat(client.give(piece, seal).type()).isEqualTo("clash");
        assertThat(client.give(piece, garlic).questions()).containsExactly("clash-garlic-in-oil-under-cover");
        assertThat(client.give(piece, Bodies.treatmentBody("SPIRIT_SPRAY")).questions())
                .containsExactly("clash-spirit-in-company");

        Map<String, Object> liquid = Bodies.treatmentBody("LIQUID_SMOKE");
        liquid.putAll(Map.of("amount", 4, "measure", "TEASPOON", "basis", "FIVE_POUNDS"));
        Answer over = client.give(piece, liquid);
        assertThat(over.questions()).containsExactly("clash-smoke-in-company", "over-label");
        liquid.put("answers", Map.of("over-label", "", "clash-smoke-in-company", ""));
        assertThat(client.give(piece, liquid).questions()).containsExactly("over-label"); // it wants a reason
        liquid.put("number", 3);
        liquid.put("amount", -1);
        assertThat(client.give(piece, liquid).body().path("field").asString()).isEqualTo("amount");
        Map<String, Object> late = Bodies.treatmentBody("LIQUID_SOAK");
        late.put("number", 90);
        assertThat(client.give(piece, late).body().path("field").asString()).isEqualTo("number");
    }

    @Test
    void smoke_told_afterwards_leaves_nothing_overdue_and_what_feels_warm_is_stopped(Someone owner) {
        Client client = owner.client();
        String piece =
                client.hangAgo(70, client.chamber("Walk-in", 100_000), 80, 4000).get(0);
        Map<String, Object> smoke = Bodies.treatmentBody("COLD_SMOKE");
        smoke.putAll(Map.of("number", 3, "beganOn", Bodies.today().minusDays(70).toString()));
        client.must(client.give(piece, smoke));
        assertThat(toDo(client, piece)).isNotEmpty();
        String id = client.given(piece).path("id").asString();
        Map<String, Object> burst =
                new HashMap<>(Map.of("number", 0, "words", "", "answers", Map.of(), "minutes", 10, "feltCold", false));
        String path = "/api/pieces/%s/treatments/%s/steps/".formatted(piece, id);
        assertThat(client.put(path + UUID.randomUUID(), burst)
                        .body()
                        .path("detail")
                        .asString())
                .startsWith("The meat is above 4 °C.");
        burst.putAll(Map.of(
                "minutes",
                60,
                "feltCold",
                true,
                "last",
                true,
                "on",
                Bodies.today().minusDays(69).toString()));
        client.must(client.put(path + UUID.randomUUID(), burst));
        assertThat(toDo(client, piece)).isEmpty();
        JsonNode told = client.given(piece);
        assertThat(told.path("smokedMinutes").asInt()).isEqualTo(60);
        assertThat(told.path("over").asBoolean()).isTrue();
        assertThat(client.put(path + UUID.randomUUID(), burst).type()).isEqualTo("over-already");
    }

    @Test
    void two_tablets_do_a_step_once(Someone owner) {
        Client client = owner.client();
        String piece =
                client.hangToday(client.chamber("Walk-in", 100_000), 26, 4000).get(0);
        client.must(client.give(piece, Bodies.treatmentBody("PASTE")));
        String treatment = client.given(piece).path("id").asString();
        List<Integer> answers = Stream.generate(() -> UUID.randomUUID())
                .limit(6)
                .parallel()
                .map(entry -> client.put(
                                "/api/pieces/%s/treatments/%s/steps/%s".formatted(piece, treatment, entry),
                                Map.of("number", 0, "words", "", "answers", Map.of()))
                        .status())
                .sorted()
                .toList();
        assertThat(answers).containsExactly(200, 409, 409, 409, 409, 409);
        assertThat(client.get("/api/pieces/" + piece)
                        .body()
                        .path("log")
                        .valueStream()
                        .filter(entry -> entry.path("kind").asString().equals("STEP_DONE")))
                .hasSize(1);
    }

    @Test
    void a_treatment_is_not_taken_back_by_the_log_alone(Someone owner) {
        Client client = owner.client();
        String piece =
                client.hangToday(client.chamber("Walk-in", 100_000), 26, 4000).get(0);
        client.must(client.give(piece, Bodies.treatmentBody("PASTE")));
        Map<String, Object> back = Map.of(
                "kind",
                "TAKEN_BACK",
                "grams",
                0,
                "words",
                "",
                "answers",
                Map.of(),
                "corrects",
                client.given(piece).path("id").asString());
        assertThat(client.write(piece, back).type()).isEqualTo("its-own-line");
        assertThat(client.get("/api/pieces/" + piece).body().path("coating").asString())
                .isEqualTo("PASTE");
    }

    @Test
    void every_step_is_an_event_of_its_own_in_the_calendar_and_a_line_of_the_record(Someone owner) {
        Client client = owner.client();
        String piece =
                client.hangToday(client.chamber("Walk-in", 100_000), 40, 4000).get(0);
        client.must(client.give(piece, Bodies.treatmentBody("LIQUID_SMOKE")));
        String calendar = client.text("/api/calendar.ics").replace("\r\n ", ""); // unfolded, RFC 5545 section 3.1
        List<String> uids = calendar.lines()
                .filter(line -> line.startsWith("UID:") && line.contains("treat"))
                .toList();
        assertThat(uids).hasSize(2).doesNotHaveDuplicates(); // two steps on one day
        assertThat(calendar).contains("Measure it out and brush it on evenly.");
        client.must(step(client, piece, 0, null, Map.of()));
        String record = client.text("/api/pieces/%s/record.csv".formatted(piece));
        assertThat(record).contains("Treated").contains("Step done").contains("brush it on evenly");
    }

    /** The trade's twelve kinds; a soak is done before the hanging and has begun in time. */
    @ParameterizedTest
    @EnumSource(TreatmentKind.class)
    void every_kind_can_be_given_and_taken_back_and_leaves_the_piece_as_it_was(TreatmentKind kind, Someone owner) {
        Client client = owner.client();
        String chamber = client.chamber("Walk-in", 100_000);
        String piece = client.hangAgo(3, chamber, 40, 4000).get(0);
        JsonNode before = client.get("/api/pieces/" + piece).body();
        Map<String, Object> body = Bodies.treatmentBody(kind.name());
        kind.first()
                .ifPresent(dose -> body.putAll(Map.of(
                        "amount", dose.amount(),
                        "measure", dose.measure().name(),
                        "basis", dose.basis().name())));
        body.put("costMinor", 130);
        if (kind == TreatmentKind.LIQUID_SOAK) {
            assertThat(client.give(piece, body).type()).isEqualTo("hangs-already");
            return;
        }
        Answer answer = client.give(piece, body);
        if (answer.status() == 422) {
            Map<String, String> answers = new HashMap<>();
            answer.questions().forEach(question -> answers.put(question, ""));
            body.put("answers", answers);
            answer = client.give(piece, body);
        }
        client.must(answer);
        JsonNode given = client.given(piece);
        assertThat(given.path("steps")).hasSameSizeAs(kind.course().steps());
        assertThat(given.path("words").asString()).startsWith(kind.label());
        JsonNode during = client.get("/api/pieces/" + piece).body();
        assertThat(during.path("coating").asString()).isEqualTo(kind.coating().name());
        assertThat(during.at("/consumablesMinor").asInt()).isEqualTo(130);
        client.must(client.put(
                "/api/pieces/%s/treatments/%s/back/%s"
                        .formatted(piece, given.path("id").asString(), UUID.randomUUID()),
                Map.of("words", "The wrong piece.")));
        JsonNode after = client.get("/api/pieces/" + piece).body();
        assertThat(after.path("coating")).isEqualTo(before.path("coating"));
        assertThat(after.path("consumablesMinor")).isEqualTo(before.path("consumablesMinor"));
        assertThat(after.at("/ahead/atTarget/lost")).isEqualTo(before.at("/ahead/atTarget/lost"));
        assertThat(toDo(client, piece)).isEmpty();
    }
}
