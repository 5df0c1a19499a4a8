package elvaro.server.rehearsal;

import static org.assertj.core.api.Assertions.assertThat;

import elvaro.core.rehearsal.RehearsalLesson;
import elvaro.server.support.Bodies;
import elvaro.server.support.Client;
import elvaro.server.support.RunningApp;
import elvaro.server.support.RunningApp.Someone;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** Lessons that ask something of several: a table whose tasters answer, a trial that a hand sees through. */
@ExtendWith(RunningApp.class)
class RehearsalAskingIT {
    /** In every second world there is something to find. */
    private static String begin(Client client, RehearsalLesson lesson, boolean somethingToFind) {
        String id = Stream.generate(UUID::randomUUID)
                .filter(each -> (each.getLeastSignificantBits() % 2 != 0) == somethingToFind)
                .findFirst()
                .orElseThrow()
                .toString();
        client.must(client.put("/api/rehearsals/" + id, Map.of("lesson", lesson.name(), "answers", Map.of())));
        client.must(client.post("/api/rehearsals/%s/enter".formatted(id), Map.of()));
        return id;
    }

    private static JsonNode asked(Client client) {
        return client.must(client.get("/api/rehearsal")).body().path("question");
    }

    /** A table before so many, whose tasters answer by themselves. */
    @SuppressWarnings("unchecked")
    private static String table(Client client, String kind, int tasters) {
        List<String> pieces = asked(client)
                .path("pieces")
                .valueStream()
                .map(piece -> piece.path("id").asString())
                .toList();
        assertThat(client.get("/api/tastings/first?piece=%s&piece=%s".formatted(pieces.get(0), pieces.get(1)))
                        .body()
                        .at("/samples/1/name")
                        .asString())
                .endsWith("1B");
        Map<String, Object> body = Bodies.tastingBody(kind, 2, tasters);
        List<Map<String, Object>> samples = (List<Map<String, Object>>) body.get("samples");
        samples.get(0).put("pieceId", pieces.get(1));
        samples.get(1).put("pieceId", pieces.get(0));
        String id = UUID.randomUUID().toString();
        client.must(client.put("/api/tastings/" + id, body));
        assertThat(client.post("/api/rehearsal/tasters", Map.of()).type())
                .as("a table that is not open")
                .isEqualTo("no-table");
        client.must(client.put("/api/tastings/%s/open".formatted(id), Map.of("version", 0)));
        assertThat(asked(client).path("unanswered").asInt()).isEqualTo(tasters);
        client.must(client.post("/api/rehearsal/tasters", Map.of()));
        assertThat(asked(client).path("unanswered").asInt()).isZero();
        return id;
    }

    private static JsonNode reveal(Client client, String table) {
        return client.must(client.put("/api/tastings/%s/reveal".formatted(table), Map.of("version", 1)))
                .body();
    }

    private static JsonNode says(Client client, String claim) {
        return client.must(client.post("/api/rehearsal/claim", Map.of("claim", claim)))
                .body()
                .at("/question/review");
    }

    @Test
    void three_tasters_prove_nothing_and_whoever_says_so_of_three_has_not_passed_either(Someone owner) {
        Client client = owner.client();
        begin(client, RehearsalLesson.THREE_TASTERS, true);
        assertThat(asked(client).path("pieces").size()).isEqualTo(2);
        assertThat(client.post("/api/rehearsal/claim", Map.of("claim", "SECOND"))
                        .type())
                .isEqualTo("nothing-shown");
        assertThat(client.get("/api/tastings/tasters").body().size()).isEqualTo(24);
        String table = table(client, "PAIRED", 3);
        assertThat(asked(client).path("choices").size()).as("before the reveal").isZero();
        reveal(client, table);
        JsonNode review = says(client, "NOT_SHOWN");
        assertThat(review.path("passed").asBoolean()).isFalse();
        assertThat(review.path("told").toString())
                .contains("You said: it does not tell.", "It showed: it does not tell.", "0 times in 100");
        assertThat(review.at("/again/0/label").asString()).isEqualTo("3 tasters");
        assertThat(review.at("/again/0/share").asDouble()).isZero();
        assertThat(says(client, "SECOND")).as("the first stands").isEqualTo(review);
        assertThat(client.put("/api/tastings/" + UUID.randomUUID(), Bodies.tastingBody("PAIRED", 2, 3))
                        .type())
                .isEqualTo("over");
    }

    /** What is said is what the table itself shows, whichever that is. */
    @Test
    void a_table_of_many_is_read_as_it_reads_itself(Someone owner) {
        Client client = owner.client();
        begin(client, RehearsalLesson.THREE_TASTERS, true);
        JsonNode pair = reveal(client, table(client, "PAIRED", 36)).at("/result/pairs/0");
        // The second piece lies first on the table.
        int second = pair.path("likedFirst").asInt();
        int first = pair.path("likedSecond").asInt();
        String shown = pair.path("p").asDouble() >= 0.05 ? "NOT_SHOWN" : second > first ? "SECOND" : "FIRST";
        JsonNode review = says(client, shown);
        assertThat(review.path("passed").asBoolean()).as(review.toString()).isTrue();
        client.must(client.post("/api/rehearsal/leave", Map.of()));
        JsonNode course = client.must(client.get("/api/rehearsals")).body();
        assertThat(course.path("lessons")
                        .valueStream()
                        .filter(line -> line.path("passed").asBoolean())
                        .map(line -> line.path("lesson").asString()))
                .containsExactly("THREE_TASTERS");
    }

    @Test
    void who_looks_for_the_odd_one_learns_nothing_of_what_is_liked(Someone owner) {
        Client client = owner.client();
        begin(client, RehearsalLesson.THREE_TASTERS, true);
        JsonNode odd = reveal(client, table(client, "TRIANGLE", 24)).at("/result/odd");
        assertThat(odd.path("correct").asInt()).as("they are noticed to differ").isGreaterThan(13);
        assertThat(says(client, "SECOND").path("score").asInt()).isZero();
    }

    /** @param method null for meat that is kept fresh */
    private static Map<String, Object> arm(String name, boolean control, @Nullable String method, String chamber) {
        Map<String, Object> setUp = new HashMap<>(Map.of("consumablesMinor", 0, "treatments", List.of()));
        setUp.putAll(
                method == null
                        ? Map.of("fresh", true)
                        : Map.of("method", method, "chamberId", chamber, "targetDays", 21));
        return Map.of(
                "id", UUID.randomUUID().toString(),
                "name", name,
                "control", control,
                "setUp", setUp,
                "pieces", List.of());
    }

    /** A trial of the lot that lies there, so many pieces an arm, seen through by the hand. */
    private static JsonNode trial(Client client, int each) {
        JsonNode trial = trial(client, each, "SALT_TRAY");
        assertThat(asked(client).path("hanging").asInt()).isEqualTo(2 * each);
        client.must(client.post("/api/rehearsal/hand", Map.of()));
        JsonNode view = client.must(client.get("/api/rehearsal")).body();
        assertThat(view.path("day").asInt()).isEqualTo(21);
        assertThat(view.at("/question/hanging").asInt()).isZero();
        assertThat(client.get("/api/room").status()).isEqualTo(200);
        return client.must(client.get("/api/trials/" + trial.path("id").asString()))
                .body();
    }

    /** As it is begun. */
    private static JsonNode trial(Client client, int each, @Nullable String method) {
        String chamber = client.get("/api/chambers").body().at("/0/id").asString();
        String lot = asked(client).path("lotId").asString();
        assertThat(client.post("/api/rehearsal/hand", Map.of()).type()).isEqualTo("nothing-hangs");
        Map<String, Object> body = new HashMap<>(Map.of(
                "question",
                "Does a salt tray keep more weight in it?",
                "factor",
                method == null ? "AGEING" : "METHOD",
                "measure",
                "SHRINK",
                "lotId",
                lot,
                "parts",
                Collections.nCopies(2 * each, 9000 / (2 * each)),
                "arms",
                List.of(arm("Open", true, "OPEN_AIR", chamber), arm("Tray", false, method, chamber)),
                "answers",
                Map.of()));
        String id = UUID.randomUUID().toString();
        Client.Answer answer = client.put("/api/trials/" + id, body);
        if (answer.status() != 200) {
            Map<String, String> answers = new HashMap<>();
            answer.questions().forEach(question -> answers.put(question, "It is a lesson."));
            body.put("answers", answers);
            answer = client.put("/api/trials/" + id, body);
        }
        return client.must(answer).body();
    }

    private static String shown(JsonNode trial) {
        JsonNode verdict = trial.path("verdicts")
                .valueStream()
                .filter(each -> each.path("asked").asBoolean())
                .findFirst()
                .orElseThrow();
        return !verdict.path("strength").asString().equals("SHOWN")
                ? "NOT_SHOWN"
                : verdict.path("value").asDouble() < 0 ? "FIRST" : "SECOND";
    }

    @Test
    void one_piece_against_one_proves_nothing_whatever_it_came_to(Someone owner) {
        Client client = owner.client();
        begin(client, RehearsalLesson.PROVED_NOTHING, true);
        assertThat(shown(trial(client, 1))).isEqualTo("NOT_SHOWN");
        JsonNode review = says(client, "FIRST");
        assertThat(review.path("score").asInt()).isZero();
        assertThat(review.path("told").toString()).contains("“Tray” has less shrink than “Open”", "in 100");
    }

    @Test
    void several_in_an_arm_are_read_as_the_trial_reads_itself(Someone owner) {
        Client client = owner.client();
        begin(client, RehearsalLesson.PROVED_NOTHING, false);
        JsonNode trial = trial(client, 4);
        assertThat(trial.path("ended").asBoolean()).isTrue();
        assertThat(trial.at("/arms/0/pieces/0/weighings").size()).isEqualTo(3);
        JsonNode review = says(client, shown(trial));
        assertThat(review.path("passed").asBoolean()).as(review.toString()).isTrue();
    }

    @Test
    void of_what_was_kept_fresh_nothing_is_said_as_it_never_lived_here(Someone owner) {
        Client client = owner.client();
        begin(client, RehearsalLesson.PROVED_NOTHING, true);
        trial(client, 1, null);
        client.must(client.post("/api/rehearsal/hand", Map.of()));
        assertThat(asked(client).path("hanging").asInt()).isZero();
        assertThat(client.post("/api/rehearsal/claim", Map.of("claim", "FIRST")).type())
                .isEqualTo("nothing-shown");
        assertThat(asked(client).path("review").isMissingNode()).isTrue();
    }

    @Test
    void a_lesson_of_one_piece_asks_nothing_of_several(Someone owner) {
        Client client = owner.client();
        begin(client, RehearsalLesson.ONE_STEAK, true);
        assertThat(client.post("/api/rehearsal/tasters", Map.of()).status()).isEqualTo(404);
        assertThat(client.post("/api/rehearsal/hand", Map.of()).status()).isEqualTo(404);
        assertThat(client.post("/api/rehearsal/claim", Map.of("claim", "FIRST")).status())
                .isEqualTo(409);
    }
}
