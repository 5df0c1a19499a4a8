package elvaro.devices.bridge;

import static org.assertj.core.api.Assertions.assertThat;

import com.hivemq.client.mqtt.MqttGlobalPublishFilter;
import com.hivemq.client.mqtt.datatypes.MqttQos;
import com.hivemq.client.mqtt.mqtt3.Mqtt3BlockingClient;
import com.hivemq.client.mqtt.mqtt3.Mqtt3Client;
import java.io.IOException;
import java.net.ServerSocket;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;
import java.util.TreeMap;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Beside Debian's own broker, with passwords and encryption, and beside an Elvaro that is not there all the time. */
class BrokerTest {
    @TempDir
    Path folder;

    private final ElvaroAtHand elvaro = new ElvaroAtHand();
    private Process broker;
    private int port = freePort();

    private static int freePort() {
        try (ServerSocket any = new ServerSocket(0)) {
            return any.getLocalPort();
        } catch (IOException none) {
            throw new IllegalStateException(none);
        }
    }

    private static void run(Path in, String... command) throws Exception {
        Process process = new ProcessBuilder(command)
                .directory(in.toFile())
                .redirectErrorStream(true)
                .redirectOutput(in.resolve("out.log").toFile())
                .start();
        assertThat(process.waitFor()).as(String.join(" ", command)).isZero();
    }

    private void startBroker(String... more) throws Exception {
        Path settings = folder.resolve("broker.conf");
        Files.writeString(settings, """
                listener %d 127.0.0.1
                allow_anonymous false
                password_file %s
                persistence true
                persistence_location %s/
                autosave_on_changes true
                autosave_interval 1
                user root
                %s
                """.formatted(port, folder.resolve("passwords"), folder, String.join("\n", more)));
        if (!Files.exists(folder.resolve("passwords"))) {
            run(folder, "mosquitto_passwd", "-b", "-c", "passwords", "bridge", "quiet");
            run(folder, "chmod", "0644", "passwords");
        }
        broker = new ProcessBuilder("/usr/sbin/mosquitto", "-c", settings.toString())
                .redirectErrorStream(true)
                .redirectOutput(folder.resolve("broker.log").toFile())
                .start();
        Eventually.is(() -> Files.readString(folder.resolve("broker.log")).contains("running"));
    }

    @AfterEach
    void end() throws Exception {
        elvaro.close();
        if (broker != null) {
            broker.destroy();
            broker.waitFor(5, TimeUnit.SECONDS);
        }
    }

    private Path file(String address, String more) throws IOException {
        return Files.writeString(
                folder.resolve("bridge.yaml"), """
                elvaro: %s
                queue: %s
                broker: { address: "%s", user: bridge, password: quiet%s }
                probes:
                  - { name: North, token: n, topic: room/north, time: /at, temperature: /t, humidity: /rh }
                  - { name: South, token: s, temperature: { topic: room/south/t } }
                scales:
                  - { name: Counter, token: c, topic: shop/scale, weight: /kg }
                """.formatted(elvaro.address(), folder.resolve("queue"), address, more));
    }

    private Mqtt3BlockingClient probe() {
        Mqtt3BlockingClient client = Mqtt3Client.builder()
                .serverHost("127.0.0.1")
                .serverPort(port)
                .simpleAuth()
                .username("bridge")
                .password("quiet".getBytes(StandardCharsets.UTF_8))
                .applySimpleAuth()
                .buildBlocking();
        client.connect();
        return client;
    }

    private static void say(Mqtt3BlockingClient client, String topic, String message, boolean retained) {
        client.publishWith()
                .topic(topic)
                .payload(message.getBytes(StandardCharsets.UTF_8))
                .qos(MqttQos.AT_LEAST_ONCE)
                .retain(retained)
                .send();
    }

    @Test
    void what_probes_and_scales_say_reaches_elvaro() throws Exception {
        startBroker();
        Mqtt3BlockingClient probe = probe();
        say(probe, "room/south/t", "9.9", true); // of last year, perhaps
        try (Bridge bridge = Bridge.start(file("mqtt://127.0.0.1:" + port, ""))) {
            Eventually.is(() -> {
                say(probe, "shop/scale", "{\"kg\":4.215}", false);
                return elvaro.heard("c").contains("4215.0");
            });
            say(probe, "room/north", "{\"t\":2.1,\"rh\":81,\"at\":1795500000}", false);
            say(probe, "room/north", "no JSON", false);
            say(probe, "room/south/t", "1.5", false);
            Eventually.is(
                    () -> elvaro.heard("n").contains("2.1") && elvaro.heard("s").contains("1.5"));
            assertThat(elvaro.heard("s")).doesNotContain("9.9");
        }
    }

    @Test
    void nothing_is_lost_while_elvaro_or_the_bridge_or_the_broker_is_away() throws Exception {
        startBroker();
        Path file = file("mqtt://127.0.0.1:" + port, "");
        Mqtt3BlockingClient probe = probe();
        try (Bridge bridge = Bridge.start(file)) {
            Eventually.is(() -> {
                say(probe, "shop/scale", "{\"kg\":1}", false);
                return elvaro.heard("c").contains("1000.0");
            });
            elvaro.isAway(true);
            say(probe, "room/north", "{\"t\":1.01,\"at\":1795500001}", false);
            Eventually.is(() -> elvaro.turnedAway() > 0);
        }
        say(probe, "room/north", "{\"t\":1.02,\"at\":1795500002}", false); // the broker keeps it
        probe.disconnect();
        broker.destroy();
        broker.waitFor(5, TimeUnit.SECONDS);
        elvaro.isAway(false);
        try (Bridge again = Bridge.start(file)) {
            Eventually.is(() -> elvaro.heard("n").contains("1.01"));
            startBroker();
            Eventually.is(() -> elvaro.heard("n").contains("1.02"));
        }
    }

    @Test
    void a_value_that_cannot_be_takes_no_other_with_it() throws Exception {
        startBroker();
        elvaro.isAway(true); // so that all are in one pack
        Mqtt3BlockingClient probe = probe();
        try (Bridge bridge = Bridge.start(file("mqtt://127.0.0.1:" + port, ""))) {
            Path queue = folder.resolve("queue/North");
            Eventually.is(() -> {
                for (int second = 0; second < 5; second++) {
                    say(
                            probe,
                            "room/north",
                            "{\"t\":%s,\"at\":179550000%d}".formatted(second == 2 ? "850" : "1.5", second),
                            false);
                }
                return elvaro.turnedAway() > 0;
            });
            elvaro.isAway(false);
            Eventually.is(() -> elvaro.heard("n").contains("1.795500004E9") && Files.exists(queue.resolve("refused")));
            assertThat(elvaro.heard("n"))
                    .contains("1.7955E9", "1.795500001E9", "1.795500003E9")
                    .doesNotContain("850");
        }
    }

    @Test
    void an_encrypted_broker_is_trusted_by_its_authority_and_by_no_other() throws Exception {
        for (String authority : new String[] {"ours", "theirs"}) {
            run(
                    folder,
                    "openssl",
                    "req",
                    "-x509",
                    "-newkey",
                    "ec",
                    "-pkeyopt",
                    "ec_paramgen_curve:P-256",
                    "-nodes",
                    "-days",
                    "2",
                    "-subj",
                    "/CN=127.0.0.1",
                    "-addext",
                    "subjectAltName=IP:127.0.0.1",
                    "-keyout",
                    authority + ".key",
                    "-out",
                    authority + ".crt");
        }
        startBroker("certfile " + folder.resolve("ours.crt"), "keyfile " + folder.resolve("ours.key"));
        String address = "mqtts://127.0.0.1:" + port;
        String bad = ", trust: " + folder.resolve("theirs.crt");
        try (Bridge bridge = Bridge.start(file(address, bad))) {
            Eventually.is(() -> Files.readString(folder.resolve("broker.log")).contains("error"));
            assertThat(Files.readString(folder.resolve("broker.log"))).doesNotContain("New client connected");
        }
        String good = ", trust: " + folder.resolve("ours.crt");
        try (Bridge bridge = Bridge.start(file(address, good))) {
            Eventually.is(() -> Files.readString(folder.resolve("broker.log")).contains("as elvaro-bridge"));
        }
    }

    @Test
    void others_find_each_chamber_and_what_is_wrong_at_any_time() throws Exception {
        startBroker();
        Files.writeString(
                folder.resolve("bridge.yaml"), """
                elvaro: %s
                queue: %s
                broker: { address: "mqtt://127.0.0.1:%d", user: bridge, password: quiet }
                state: { topic: house, token: r, seconds: 1 }
                """.formatted(elvaro.address(), folder.resolve("queue"), port));
        try (Bridge bridge = Bridge.start(folder.resolve("bridge.yaml"))) {
            Eventually.is(() -> elvaro.asked() > 2);
            Mqtt3BlockingClient hub = probe();
            try (var heard = hub.publishes(MqttGlobalPublishFilter.ALL)) {
                hub.subscribeWith().topicFilter("house/#").send();
                Map<String, String> state = new TreeMap<>();
                Eventually.is(() -> {
                    heard.receive(1, TimeUnit.SECONDS)
                            .ifPresent(each -> state.put(
                                    each.getTopic().toString(),
                                    new String(each.getPayloadAsBytes(), StandardCharsets.UTF_8)));
                    return state.size() == 5;
                });
                assertThat(state.get("house/chambers/north-room"))
                        .contains("\"celsius\":7.4", "\"alarm\":true", "above 5 °C");
                assertThat(state.get("house/chambers/north-room/about")).contains("\"at\":\"/celsius\"", "°C");
                assertThat(state.get("house/alarms")).doesNotContain("over");
                assertThat(state.get("house/elvaro")).isEqualTo("online");
                assertThat(state.get("house/bridge")).isEqualTo("online");
            }
        }
    }
}
