package elvaro.server.practice;

import static org.assertj.core.api.Assertions.assertThat;

import elvaro.core.working.Units;
import elvaro.server.support.Api.Answer;
import elvaro.server.support.Client;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Currency;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import org.yaml.snakeyaml.Yaml;
import tools.jackson.databind.JsonNode;

/**
 * One practice: steps in the order they are done, each a request and what must come of it.
 *
 * <p>A step names its {@code put}, {@code post} or {@code get}. Its {@code body} lies over the usual one named by {@code with}.
 * {@code asks} are the questions it must raise, each with its answer: it is sent without them first. {@code refused} is how it
 * must be refused. {@code keep} keeps values of the answer by name. {@code holds} are places of the answer with what stands
 * there, {@code says} and {@code never} words in it, as the reader's screen writes them. {@code taste} holds a tasting to its
 * end, with each taster's {@code liking} of each sample.
 */
record Practice(String title, String units, List<Map<String, Object>> steps) {
    private static final Units POUNDS = new Units(Units.Mass.POUND, true, true, Currency.getInstance("USD"), Locale.US);
    private static final Set<String> MAY_SAY = Set.of(
            "do", "taste", "liking", "put", "post", "get", "with", "body", "asks", "refused", "keep", "holds", "says",
            "never");

    @SuppressWarnings("unchecked")
    static Practice read(Path file) {
        try {
            Map<String, Object> said = new Yaml().load(Files.readString(file));
            return new Practice(
                    file.getFileName().toString().substring(0, 2) + " " + said.get("practice"),
                    String.valueOf(said.get("units")),
                    (List<Map<String, Object>>) said.get("steps"));
        } catch (IOException failure) {
            throw new UncheckedIOException(failure);
        }
    }

    void enact(Client client) {
        boolean pounds = units.equals("pounds");
        client.reads(pounds ? POUNDS : Units.PLAIN);
        Values values = new Values();
        for (Map<String, Object> step : steps) {
            assertThat(MAY_SAY).as("words of a step").containsAll(step.keySet());
            enact(client, values, step);
        }
    }

    private static void enact(Client client, Values values, Map<String, Object> step) {
        if (step.containsKey("taste")) {
            new TastingEvening(client, values.text(String.valueOf(step.get("taste")))).hold(map(step, "liking"));
            return;
        }
        String method = step.containsKey("put") ? "PUT" : step.containsKey("post") ? "POST" : "GET";
        String path = values.text(String.valueOf(step.get(method.toLowerCase(Locale.ROOT))));
        String what = step.getOrDefault("do", "") + " " + method + " " + path;
        Answer answer = answer(client, values, step, method, path, what);
        if (step.containsKey("refused")) {
            assertThat(answer.type()).as(what).isEqualTo(step.get("refused"));
        } else {
            assertThat(answer.status()).as(what + " → " + answer.body()).isBetween(200, 299);
        }
        map(step, "keep").forEach((name, place) -> values.keep(name, Places.at(answer.body(), place.toString())));
        map(step, "holds")
                .forEach((place, expected) -> Places.mustHold(
                        what + " " + place, Places.at(answer.body(), values.text(place)), values.of(expected)));
        String told = answer.body().toString();
        list(step, "says").forEach(words -> assertThat(told).as(what).contains(values.text(words)));
        list(step, "never").forEach(words -> assertThat(told).as(what).doesNotContain(values.text(words)));
    }

    private static Answer answer(
            Client client, Values values, Map<String, Object> step, String method, String path, String what) {
        if (method.equals("GET")) {
            return client.get(path);
        }
        Map<String, Object> body = values.usual(String.valueOf(step.getOrDefault("with", "")));
        map(step, "body").forEach((key, value) -> body.put(key, values.of(value)));
        Map<String, Object> asks = map(step, "asks");
        if (asks.isEmpty()) {
            return client.send(method, path, body);
        }
        Map<String, Object> unanswered = new HashMap<>(body);
        unanswered.put("answers", Map.of());
        Answer asked = client.send(method, path, unanswered);
        assertThat(asked.questions())
                .as(what + " → " + asked.body())
                .containsExactlyInAnyOrderElementsOf(asks.keySet());
        body.put("answers", asks);
        Answer answer = client.send(method, path, body);
        list(step, "says")
                .forEach(words ->
                        assertThat(asked.body() + " " + answer.body()).as(what).contains(values.text(words)));
        step.put("says", List.of());
        return answer;
    }

    @SuppressWarnings("unchecked")
    private static Map<String, Object> map(Map<String, Object> step, String key) {
        return (Map<String, Object>) step.getOrDefault(key, Map.of());
    }

    @SuppressWarnings("unchecked")
    private static List<String> list(Map<String, Object> step, String key) {
        return (List<String>) step.getOrDefault(key, List.of());
    }

    /** Places in an answer. */
    static final class Places {
        private Places() {}

        /** By a pointer whose parts may also be {@code [key=value]}: the first of a list that has it. */
        static JsonNode at(JsonNode body, String place) {
            JsonNode node = body;
            for (String part : place.substring(1).split("/")) {
                node = part.startsWith("[") ? first(node, part.substring(1, part.length() - 1)) : node.at("/" + part);
            }
            return node;
        }

        private static JsonNode first(JsonNode list, String condition) {
            String[] sides = condition.split("=", 2);
            return list.valueStream()
                    .filter(each -> each.path(sides[0]).asString("").equals(sides[1]))
                    .findFirst()
                    .orElseThrow(() -> new AssertionError("None with " + condition + " in " + list));
        }

        /** {@code 28 ± 1} is near; {@code none} is missing or empty; a list holds exactly these. */
        static void mustHold(String what, JsonNode found, Object expected) {
            String words = String.valueOf(expected);
            if (expected instanceof List<?> all) {
                assertThat(found.valueStream().map(each -> each.asString()).toList())
                        .as(what)
                        .isEqualTo(all.stream().map(String::valueOf).toList());
            } else if (words.contains(" ± ")) {
                String[] sides = words.split(" ± ");
                assertThat(found.isNumber()).as(what + " is " + found).isTrue();
                assertThat(found.asDouble())
                        .as(what)
                        .isCloseTo(
                                Double.parseDouble(sides[0]),
                                org.assertj.core.api.Assertions.within(Double.parseDouble(sides[1])));
            } else if (words.startsWith("< ") || words.startsWith("> ")) {
                double other = Double.parseDouble(words.substring(2));
                assertThat(found.asDouble() - other)
                        .as(what + ": " + found + " " + words)
                        .matches(difference -> words.startsWith("<") ? difference < 0 : difference > 0);
            } else if (words.equals("none")) {
                assertThat(found.isMissingNode() || found.isNull() || found.isEmpty() && found.isContainer())
                        .as(what + " is " + found)
                        .isTrue();
            } else {
                assertThat(found.isContainer() ? found.toString() : found.asString())
                        .as(what)
                        .isEqualTo(words);
            }
        }
    }
}
