package elvaro.devices.bridge;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import elvaro.devices.bridge.BridgeFile.ProbeSource;
import elvaro.devices.bridge.BridgeFile.Value;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

class ProbeMessagesTest {
    private static final Instant ARRIVED = Instant.ofEpochSecond(1_795_500_000);

    private static List<String> records(ProbeSource source, String topic, String message) {
        return new ProbeMessages(source).records(topic, message.getBytes(StandardCharsets.UTF_8), ARRIVED);
    }

    private static ProbeSource source(Map<String, String> where, String time, Value temperature, Value humidity) {
        return new ProbeSource("North", "token", "room/+/climate", where, time, temperature, humidity, null);
    }

    @Test
    void one_message_holds_both_values() {
        assertThat(records(
                        source(null, null, Value.at("/t"), Value.at("/climate/rh")),
                        "room/1/climate",
                        "{\"t\": 2.1, \"climate\": {\"rh\": \"81.5 %\"}, \"battery\": 88}"))
                .containsExactly(
                        "{\"n\":\"temperature\",\"u\":\"Cel\",\"t\":1.7955E9,\"v\":2.1}",
                        "{\"n\":\"humidity\",\"u\":\"%RH\",\"t\":1.7955E9,\"v\":81.5}");
    }

    @Test
    void each_value_comes_in_a_topic_of_its_own_as_a_bare_figure() {
        ProbeSource source =
                source(null, null, new Value("house/t", null, "degF", null), new Value("house/h", null, null, null));
        assertThat(records(source, "house/t", "35.8"))
                .containsExactly("{\"n\":\"temperature\",\"u\":\"degF\",\"t\":1.7955E9,\"v\":35.8}");
        assertThat(records(source, "house/h", "unavailable")).isEmpty();
        assertThat(records(source, "house/x", "7")).isEmpty();
    }

    @Test
    void a_gateway_says_which_probe_it_is_and_tenths_are_told() {
        ProbeSource source = source(Map.of("/id", "A4C1"), null, new Value(null, "/temp", null, 0.1), null);
        assertThat(records(source, "room/7/climate", "{\"id\":\"A4C1\",\"temp\":-21}")
                        .get(0))
                .contains("\"v\":-2.1");
        assertThat(records(source, "room/7/climate", "{\"id\":\"B000\",\"temp\":21}"))
                .isEmpty();
    }

    @Test
    void a_moment_in_the_message_counts_and_not_its_arrival() {
        ProbeSource source = source(null, "/time", Value.at("/t"), null);
        for (String time :
                new String[] {"1795400000", "1795400000000", "\"2026-11-23T02:13:20Z\"", "\"2026-11-23T03:13:20+01:00\""
                }) {
            assertThat(records(source, "room/1/climate", "{\"t\":2,\"time\":" + time + "}")
                            .get(0))
                    .as(time)
                    .contains("\"t\":1.7954E9");
        }
        assertThatThrownBy(() -> records(source, "room/1/climate", "{\"t\":2}"))
                .hasMessageContaining("no time at /time");
        assertThat(records(source, "house/other", "{\"t\":2}")).isEmpty();
    }

    /** MQTT 5.0, section 4.7.1, its own examples. */
    @Test
    void patterns_of_topics_match_as_the_standard_says() {
        assertThat(Topics.matches("sport/tennis/player1/#", "sport/tennis/player1"))
                .isTrue();
        assertThat(Topics.matches("sport/tennis/player1/#", "sport/tennis/player1/score/wimbledon"))
                .isTrue();
        assertThat(Topics.matches("sport/tennis/+", "sport/tennis/player1")).isTrue();
        assertThat(Topics.matches("sport/tennis/+", "sport/tennis/player1/ranking"))
                .isFalse();
        assertThat(Topics.matches("sport/+", "sport")).isFalse();
        assertThat(Topics.matches("sport/+", "sport/")).isTrue();
        assertThat(Topics.matches("+/+", "/finance")).isTrue();
    }
}
