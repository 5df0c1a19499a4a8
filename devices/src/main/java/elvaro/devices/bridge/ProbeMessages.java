package elvaro.devices.bridge;

import elvaro.devices.bridge.BridgeFile.ProbeSource;
import elvaro.devices.bridge.BridgeFile.Value;
import java.math.BigDecimal;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.time.format.DateTimeParseException;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import tools.jackson.core.JacksonException;
import tools.jackson.core.JsonPointer;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** Turns the messages of one probe into records of its readings. */
final class ProbeMessages {
    private static final JsonMapper JSON = new JsonMapper();

    /** A value may come with its unit behind it, as a text. */
    private static final Pattern NUMBER = Pattern.compile("\\s*([-+\\u2212]?\\d+(?:[.,]\\d+)?)\\s*\\D*");

    /** Seconds since 1970 stay below it for 3,000 years; milliseconds were above it in 1973. */
    private static final double MILLISECONDS_FROM = 1e11;

    /** A share of the values of this topic, and how it is told to Elvaro. */
    private record Measure(
            String name, String usualUnit, @Nullable Value value) {}

    private final ProbeSource source;
    private final List<Measure> measures;

    ProbeMessages(ProbeSource source) {
        this.source = source;
        measures = List.of(
                new Measure("temperature", "Cel", source.temperature()),
                new Measure("humidity", "%RH", source.humidity()),
                new Measure("speed", "m/s", source.speed()));
    }

    /** Topics, or patterns of topics, to be listened to. */
    Set<String> topics() {
        Set<String> topics = new TreeSet<>();
        values().forEach(value -> topics.add(topic(value)));
        return topics;
    }

    /** Whether a message says by itself when it was measured, so that it may arrive late. */
    boolean knowsItsTime() {
        return source.time() != null;
    }

    private Stream<Value> values() {
        return Stream.of(source.temperature(), source.humidity(), source.speed())
                .flatMap(Stream::ofNullable);
    }

    private String topic(Value value) {
        return value.topic() == null ? String.valueOf(source.topic()) : value.topic();
    }

    /**
     * @param arrived its moment, where it says none
     * @return SenML records (RFC 8428) as JSON; none where the message is of another probe or holds no value
     */
    List<String> records(String topic, byte[] message, Instant arrived) {
        if (values().noneMatch(value -> Topics.matches(topic(value), topic))) {
            return List.of();
        }
        String text = new String(message, StandardCharsets.UTF_8);
        Optional<JsonNode> tree = tree(text);
        if (!isOurs(tree.orElse(null))) {
            return List.of();
        }
        double second = source.time() == null
                ? arrived.toEpochMilli() / 1000.0
                : tree.flatMap(each -> second(each.at(JsonPointer.compile(source.time()))))
                        .orElseThrow(() -> new IllegalArgumentException("%s: there is no time at %s: %s"
                                .formatted(source.name(), source.time(), shortened(text))));
        List<String> records = new ArrayList<>();
        for (Measure measure : measures) {
            Value value = measure.value();
            if (value != null && Topics.matches(topic(value), topic)) {
                number(value, text, tree.orElse(null))
                        .ifPresent(number -> records.add(record(measure, value, number, second)));
            }
        }
        return records;
    }

    private static Optional<JsonNode> tree(String text) {
        try {
            return Optional.of(JSON.readTree(text));
        } catch (JacksonException noJson) {
            return Optional.empty();
        }
    }

    private boolean isOurs(@Nullable JsonNode tree) {
        for (Map.Entry<String, String> must : source.where().entrySet()) {
            if (tree == null
                    || !tree.at(JsonPointer.compile(must.getKey())).asString("").equals(must.getValue())) {
                return false;
            }
        }
        return true;
    }

    /** What is no number (unavailable, null, an empty text) is no reading. */
    private static Optional<BigDecimal> number(Value value, String text, @Nullable JsonNode tree) {
        String said = text;
        if (value.at() != null) {
            said = tree == null ? "" : tree.at(JsonPointer.compile(value.at())).asString("");
        }
        Matcher number = NUMBER.matcher(said);
        if (!number.matches()) {
            return Optional.empty();
        }
        BigDecimal read = new BigDecimal(number.group(1).replace(',', '.').replace('\u2212', '-'));
        return Optional.of(value.times() == null ? read : read.multiply(BigDecimal.valueOf(value.times())));
    }

    private static Optional<Double> second(JsonNode time) {
        if (time.isNumber() || time.isString() && time.asString().matches("\\d{9,}(\\.\\d+)?")) {
            double number = time.asDouble();
            return Optional.of(number >= MILLISECONDS_FROM ? number / 1000 : number);
        }
        try {
            return Optional.of(
                    OffsetDateTime.parse(time.asString("")).toInstant().toEpochMilli() / 1000.0);
        } catch (DateTimeParseException noTime) {
            return Optional.empty();
        }
    }

    private static String record(Measure measure, Value value, BigDecimal number, double second) {
        ObjectNode record = JsonNodeFactory.instance.objectNode();
        record.put("n", measure.name());
        record.put("u", value.unit() == null ? measure.usualUnit() : value.unit());
        record.put("t", second);
        record.put("v", number);
        return record.toString();
    }

    private static String shortened(String text) {
        return text.length() > 120 ? text.substring(0, 120) + "…" : text;
    }
}
