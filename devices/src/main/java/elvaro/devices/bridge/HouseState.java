package elvaro.devices.bridge;

import elvaro.devices.bridge.BridgeFile.StateTopics;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** Tells over the broker what Elvaro knows: each chamber, what its values mean, and what is wrong. */
final class HouseState implements Runnable {
    private static final JsonMapper JSON = new JsonMapper();
    private static final JsonNodeFactory NODES = JsonNodeFactory.instance;

    private final StateTopics state;
    private final Elvaro elvaro;
    private final MessageBroker broker;

    HouseState(StateTopics state, Elvaro elvaro, MessageBroker broker) {
        this.state = state;
        this.elvaro = elvaro;
        this.broker = broker;
    }

    /** Where the bridge says whether it is there. */
    static String bridgeTopic(StateTopics state) {
        return state.topic() + "/bridge";
    }

    /** Until it is interrupted. */
    @Override
    public void run() {
        try {
            while (true) {
                broker.tell(bridgeTopic(state), "online");
                broker.tell(state.topic() + "/elvaro", tellAll() ? "online" : "offline");
                Thread.sleep(state.seconds() * 1000L);
            }
        } catch (InterruptedException ended) {
            Thread.currentThread().interrupt();
        }
    }

    private boolean tellAll() throws InterruptedException {
        try {
            ArrayNode open = NODES.arrayNode();
            JSON.readTree(elvaro.ask("/alarms", state.token()))
                    .valueStream()
                    .filter(alarm -> !alarm.has("endedAt"))
                    .forEach(open::add);
            broker.tell(state.topic() + "/alarms", open.toString());
            List<String> taken = new ArrayList<>();
            JSON.readTree(elvaro.ask("/chambers", state.token())).valueStream().forEach(chamber -> {
                String topic = state.topic() + "/chambers/" + word(chamber, taken);
                broker.tell(topic, chamber(chamber, open).toString());
                broker.tell(topic + "/about", about(chamber).toString());
            });
            return true;
        } catch (IOException | JacksonException away) {
            System.err.println("State not told: " + away.getMessage());
            return false;
        }
    }

    /** Its name as a level of a topic; a second one of the same letters gets the begin of its id as well. */
    private static String word(JsonNode chamber, List<String> taken) {
        String word = chamber.path("name")
                .asString()
                .toLowerCase(Locale.ROOT)
                .replaceAll("[^\\p{L}\\p{N}]+", "-")
                .replaceAll("^-|-$", "");
        if (taken.contains(word) || word.isEmpty()) {
            word = word + "-" + chamber.path("id").asString().substring(0, 8);
        }
        taken.add(word);
        return word;
    }

    private static ObjectNode chamber(JsonNode chamber, ArrayNode open) {
        ObjectNode told = NODES.objectNode();
        List.of("name", "celsius", "humidityPercent", "measuredAt", "probe")
                .forEach(each ->
                        told.set(each, chamber.path(each).isMissingNode() ? NODES.nullNode() : chamber.path(each)));
        List<String> wrong = open.valueStream()
                .filter(alarm -> alarm.path("chamberId").equals(chamber.path("id")))
                .map(alarm -> alarm.path("words").asString())
                .toList();
        told.put("alarm", !wrong.isEmpty());
        told.put("words", String.join("; ", wrong));
        return told;
    }

    /** What a program has to know to show it without being told by a person. */
    private static ObjectNode about(JsonNode chamber) {
        ObjectNode about = NODES.objectNode();
        about.put("name", chamber.path("name").asString());
        ArrayNode values = about.putArray("values");
        values.addObject().put("name", "temperature").put("at", "/celsius").put("unit", "°C");
        values.addObject().put("name", "humidity").put("at", "/humidityPercent").put("unit", "%");
        values.addObject().put("name", "measured").put("at", "/measuredAt").put("type", "date-time");
        values.addObject().put("name", "alarm").put("at", "/alarm").put("type", "boolean");
        return about;
    }
}
