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
}
