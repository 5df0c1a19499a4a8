package elvaro.server.demo;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import elvaro.server.support.Client;
import elvaro.server.support.RunningApp;
import java.time.Instant;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** The invented workshop is one that a shop could have been. */
@ExtendWith(RunningApp.class)
class DemoIT {
    private final Client maren = RunningApp.signIn("maren@brackenrow.example");

    @Test
    void something_of_every_kind_is_due() {
        JsonNode due = maren.get("/api/room").body().path("due");
        assertThat(due.valueStream().map(each -> each.path("work").asString()))
                .contains("PULL_OVERDUE", "PULL", "CUT", "HANG", "WEIGH");
        assertThat(due.get(0).path("days").asInt())
                .as("the forgotten piece comes first")
                .isGreaterThan(30);
    }

    @Test
    void nothing_in_it_lies_in_the_future() {
        List<Instant> weighed = maren.get("/api/room")
                .body()
                .path("chambers")
                .valueStream()
                .flatMap(chamber -> chamber.path("pieces").valueStream())
                .filter(piece -> piece.has("lastWeighedAt"))
                .map(piece -> Instant.parse(piece.path("lastWeighedAt").asString()))
                .toList();
        assertThat(weighed).isNotEmpty().allMatch(at -> at.isBefore(Instant.now()));
    }

    @Test
    void every_finished_bench_adds_up_within_what_is_not_asked_about() {
        List<JsonNode> cut = maren.get("/api/pieces/cut").body().valueStream().toList();
        assertThat(cut).hasSizeGreaterThan(30);
        for (JsonNode piece : cut) {
            JsonNode bench =
                    maren.get("/api/bench/" + piece.path("id").asString()).body();
            assertThat(bench.path("balance").asString())
                    .as(piece.path("tag").asString())
                    .isEqualTo("CLOSES");
        }
    }

    /** Chambers miss their set-points as real ones do, and their air moves with what hangs in them. */
    @Test
    void its_chambers_run_otherwise_than_they_are_set_and_tell_what_their_load_does() {
        JsonNode chambers = maren.get("/api/room").body().path("chambers");
        assertThat(chambers.valueStream()
                        .map(chamber -> chamber.path("setPointMiss").asString(""))
                        .filter(miss -> miss.startsWith("Runs at ")))
                .hasSizeGreaterThanOrEqualTo(2);
        JsonNode water = maren.get(
                        "/api/chambers/%s/water".formatted(chambers.at("/0/id").asString()))
                .body();
        assertThat(water.path("restsOnDays").asInt()).isGreaterThan(80);
        assertThat(water.at("/perKilogram/mean").asDouble()).isPositive();
    }

    /** Four of five are meant to hold; the forecast knows neither the pieces nor the chambers beforehand. */
    @Test
    void its_forecasts_hold_as_often_as_they_promise_and_beat_the_straight_line() {
        JsonNode record = maren.get("/api/forecasts/record").body();
        for (JsonNode week : record.path("weeks")) {
            if (week.path("forecasts").asInt() >= 15) {
                assertThat(week.path("held").asDouble() / week.path("forecasts").asInt())
                        .as("day %d", week.path("day").asInt())
                        .isGreaterThan(0.6);
            }
        }
        JsonNode twoWeeks = record.path("weeks").path(2);
        assertThat(twoWeeks.path("medianMiss").asDouble())
                .isLessThan(twoWeeks.path("medianMissOfLine").asDouble());
    }

    /** Ahnström et al. 2006, Meat Science 73, from memory: 14 to 21 days open air, shrink 6.5 to 10.2 %, ±2.5 points. */
    @Test
    void open_air_pieces_of_three_weeks_shrink_as_published() {
        List<Double> shrink = maren.get("/api/pieces/cut")
                .body()
                .valueStream()
                .filter(piece -> piece.path("method").asString().equals("OPEN_AIR"))
                .filter(piece -> piece.path("species").asString().equals("BEEF"))
                .filter(piece -> piece.path("dayNumber").asInt() <= 23)
                .map(piece -> piece.path("shrinkFraction").asDouble() * 100)
                .toList();
        assertThat(shrink)
                .isNotEmpty()
                .allSatisfy(percent -> assertThat(percent).isCloseTo(8.35, within(4.35)));
    }

    @Test
    void its_trials_have_one_clear_answer_one_that_shows_nothing_and_anecdotes() {
        List<JsonNode> trials = maren.get("/api/trials").body().valueStream().toList();
        List<String> conclusions = trials.stream()
                .flatMap(trial -> trial.path("conclusions").valueStream())
                .map(JsonNode::asString)
                .toList();
        assertThat(trials).hasSizeGreaterThan(8);
        assertThat(conclusions)
                .anyMatch(each -> each.contains("less shrink than Plain") && each.endsWith("That is not chance."));
        assertThat(conclusions)
                .anyMatch(each -> each.endsWith("No difference is shown, which is not to say there is none."));
        assertThat(conclusions).anyMatch(each -> each.endsWith("Nothing was done twice: an anecdote."));
        String seal = trials.stream()
                .filter(trial -> trial.path("question").asString().startsWith("Goose-fat seal"))
                .map(trial -> trial.path("id").asString())
                .findFirst()
                .orElseThrow();
        assertThat(maren.get("/api/trials/" + seal)
                        .body()
                        .at("/conclusions/0/more/0")
                        .asString())
                .matches("Sealed kept .* of water and cost .* of meat: .* of it was thrown away \\(rot\\)\\.");
        assertThat(trials.stream().filter(trial -> !trial.path("ended").asBoolean()))
                .hasSizeGreaterThan(2);
    }

    @Test
    void its_tastings_have_one_clear_answer_one_that_shows_nothing_and_one_that_still_goes_on() {
        List<JsonNode> tastings =
                maren.get("/api/tastings").body().valueStream().toList();
        List<String> said = tastings.stream()
                .map(tasting -> tasting.at("/verdicts/0/sentence").asString(""))
                .toList();
        assertThat(said).anyMatch(each -> each.endsWith("That is not chance."));
        assertThat(said).anyMatch(each -> each.endsWith("No difference is shown, which is not to say there is none."));
        JsonNode open = tastings.stream()
                .filter(tasting -> tasting.path("state").asString().equals("OPEN"))
                .findFirst()
                .orElseThrow();
        assertThat(open.path("sheets").asInt()).isEqualTo(4);
        assertThat(open.path("sheetsAsked").asInt()).isEqualTo(6);
        JsonNode rooms = tastings.stream()
                .filter(tasting -> tasting.path("question").asString().startsWith("Room or locker"))
                .map(tasting -> maren.get("/api/tastings/" + tasting.path("id").asString())
                        .body())
                .findFirst()
                .orElseThrow();
        assertThat(rooms.path("weakenedBy").toString()).contains("more than 2 degrees apart");
        assertThat(maren.get("/api/trials").body().toString()).contains("6 of 6 liked Porcini better than Plain.");
    }

    @Test
    void what_it_packed_came_off_the_piles_and_the_old_is_sold() {
        JsonNode stock = maren.get("/api/stock").body();
        assertThat(stock.path("packs")).isNotEmpty();
        assertThat(stock.path("rules")).hasSize(4);
        for (JsonNode piece : maren.get("/api/pieces/cut").body()) {
            String id = piece.path("id").asString();
            int steak = maren.get("/api/pieces/" + id)
                    .body()
                    .at("/ledger/piles/STEAK")
                    .asInt();
            int packed = maren.get("/api/pieces/%s/packs".formatted(id))
                    .body()
                    .valueStream()
                    .filter(pack -> pack.path("content").asString().equals("STEAK"))
                    .mapToInt(pack -> pack.path("grams").asInt())
                    .sum();
            assertThat(packed).isLessThanOrEqualTo(steak);
        }
    }

    @Test
    void what_it_learnt_of_honey_rests_on_three_pairs_and_points_the_way_the_model_dries() {
        JsonNode honey = maren.get("/api/trials/lessons")
                .body()
                .path("treatments")
                .valueStream()
                .filter(each -> each.path("kind").asString().equals("SUGAR_COAT"))
                .findFirst()
                .orElseThrow();
        JsonNode shrink = honey.path("measures")
                .valueStream()
                .filter(each -> each.path("measure").asString().equals("SHRINK"))
                .findFirst()
                .orElseThrow();
        assertThat(honey.path("pieces").asInt()).isEqualTo(3);
        assertThat(shrink.at("/band/high").asDouble()).isNegative();
        assertThat(Math.abs(shrink.path("value").asDouble()))
                .isLessThan(Math.abs(shrink.path("unshrunk").asDouble()));
    }

    @Test
    void a_step_of_a_treatment_is_due_in_it() {
        assertThat(maren.get("/api/room")
                        .body()
                        .path("due")
                        .valueStream()
                        .filter(due -> due.path("work").asString().equals("TREAT"))
                        .map(due -> due.path("words").asString()))
                .anyMatch(words -> words.startsWith("Feel the cloth"));
    }
}
