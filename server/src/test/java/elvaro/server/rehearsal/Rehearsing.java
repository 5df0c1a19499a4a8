package elvaro.server.rehearsal;

import static elvaro.server.support.Bodies.entry;
import static elvaro.server.support.Bodies.pile;
import static org.assertj.core.api.Assertions.assertThat;

import elvaro.core.rehearsal.RehearsalLesson;
import elvaro.server.support.Api.Answer;
import elvaro.server.support.Client;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.Map;
import java.util.UUID;
import tools.jackson.databind.JsonNode;

/** What whoever rehearses does over the API: begins in a world that is the same each time, lets days go by, finishes. */
final class Rehearsing {
    private Rehearsing() {}

    static Map<String, Object> asks(RehearsalLesson lesson) {
        return Map.of("lesson", lesson.name(), "answers", Map.of());
    }

    /** Of one and the same world each time: the seed is the end of the id. */
    static String inAWorld() {
        return new UUID(UUID.randomUUID().getMostSignificantBits(), Long.MIN_VALUE + 11).toString();
    }

    static String begin(Client client, RehearsalLesson lesson) {
        String id = inAWorld();
        client.must(client.put("/api/rehearsals/" + id, asks(lesson)));
        client.must(client.post("/api/rehearsals/%s/enter".formatted(id), Map.of()));
        return id;
    }

    static JsonNode here(Client client) {
        return client.must(client.get("/api/rehearsal")).body();
    }

    static Answer pass(Client client, int days) {
        int shown = here(client).path("day").asInt();
        return client.must(client.post("/api/rehearsal/days", Map.of("days", days, "shownDay", shown)));
    }

    static LocalDate today(Client client) {
        return LocalDate.parse(client.get("/api/session").body().at("/me/today").asString());
    }

    /** Weighs each heap and lays it where it belongs, or all of it among the steaks. */
    static JsonNode finish(Client client, boolean carefully) {
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
    static double truly(Client client, String heap) {
        return shows(client, "/api/rehearsal/scale", heap == null ? Map.of() : Map.of("heap", heap));
    }

    static double shows(Client client, String done, Map<String, String> laid) {
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
}
