package elvaro.server.tasting;

import elvaro.server.support.Api.Answer;
import elvaro.server.support.Bodies;
import elvaro.server.support.Client;
import java.util.Map;
import java.util.UUID;
import java.util.stream.IntStream;
import tools.jackson.databind.JsonNode;

/** A table that is set and open, with what a test needs to sit down at it. Places, rounds and samples count from 0. */
record LaidTable(Client host, String id, JsonNode view) {

    static LaidTable open(Client host, Map<String, Object> body) {
        String id = UUID.randomUUID().toString();
        host.must(host.put("/api/tastings/" + id, body));
        host.must(host.put("/api/tastings/" + id, body)); // a lost answer, tried again
        host.must(host.put("/api/tastings/%s/open".formatted(id), Map.of("version", 0)));
        return new LaidTable(host, id, host.get("/api/tastings/" + id).body());
    }

    JsonNode now() {
        return host.get("/api/tastings/" + id).body();
    }

    String token(int place) {
        return view.at("/places/%d/link".formatted(place)).asString().substring("/t/".length());
    }

    /** Of the first serving of a sample. */
    int code(int place, int round, int sample) {
        return view.path("plates")
                .valueStream()
                .filter(plate -> plate.path("place").asInt() == place + 1
                        && plate.path("round").asInt() == round)
                .flatMap(plate -> plate.path("servings").valueStream())
                .filter(serving -> serving.path("sample").asInt() == sample)
                .findFirst()
                .orElseThrow()
                .path("code")
                .asInt();
    }

    int code(int place, int round, String name) {
        return code(
                place,
                round,
                IntStream.range(0, view.path("samples").size())
                        .filter(sample -> view.at("/samples/%d/name".formatted(sample))
                                .asString()
                                .equals(name))
                        .findFirst()
                        .orElseThrow());
    }

    /** A sheet that scores the liking of two. */
    Map<String, Object> sheet(int place, int round, String liked, int honey, int plain) {
        Map<String, Object> sheet = picking(round, code(place, round, liked));
        sheet.put(
                "scores",
                Map.of("liking", Map.of(code(place, round, "Honey"), honey, code(place, round, "Plain"), plain)));
        return sheet;
    }

    private static Map<String, Object> picking(int round, int code) {
        Map<String, Object> sheet = Bodies.sheetBody();
        sheet.put("round", round);
        sheet.put("picked", code);
        return sheet;
    }

    void pick(int place, int round, int sample) {
        host.must(hand(place, picking(round, code(place, round, sample))));
    }

    Answer hand(int place, Map<String, ?> sheet) {
        return host.phone("PUT", "/taste/sheets/" + UUID.randomUUID(), token(place), sheet);
    }

    JsonNode reveal() {
        return host.must(host.put("/api/tastings/%s/reveal".formatted(id), Map.of("version", 1)))
                .body();
    }
}
