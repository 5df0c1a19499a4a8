package elvaro.devices.bridge;

import com.hivemq.client.mqtt.MqttClientSslConfig;
import com.hivemq.client.mqtt.MqttGlobalPublishFilter;
import com.hivemq.client.mqtt.datatypes.MqttQos;
import com.hivemq.client.mqtt.mqtt3.Mqtt3AsyncClient;
import com.hivemq.client.mqtt.mqtt3.Mqtt3Client;
import com.hivemq.client.mqtt.mqtt3.Mqtt3ClientBuilder;
import com.hivemq.client.mqtt.mqtt3.message.publish.Mqtt3Publish;
import elvaro.devices.bridge.BridgeFile.Broker;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.Map;
import java.util.Objects;
import java.util.TreeMap;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import org.jspecify.annotations.Nullable;

/**
 * The connection to a broker, MQTT 3.1.1 as every broker speaks it: it comes back by itself, and a message counts as received
 * only when whoever handles it is done.
 */
final class MessageBroker implements AutoCloseable {
    private static final int LEAST_PAUSE_SECONDS = 1;
    private static final int MOST_PAUSE_SECONDS = 30;

    private final Mqtt3AsyncClient client;
    private final Broker broker;
    private final Map<String, MqttQos> subscribed = new TreeMap<>();
    private volatile boolean closed;

    /** What handles messages. */
    interface Listener {
        /** @throws IOException if it cannot be kept now; the broker is to send it again */
        void hears(String topic, byte[] message, boolean retained, Instant arrived) throws IOException;
    }

    /** @param lastWill the topic that says whether the bridge is there; null for none */
    MessageBroker(Broker broker, Listener listener, @Nullable String lastWill) {
        this.broker = broker;
        Mqtt3ClientBuilder builder = Mqtt3Client.builder()
                .identifier(Objects.requireNonNull(broker.client()))
                .serverHost(broker.address().getHost())
                .serverPort(broker.port())
                .automaticReconnect()
                .initialDelay(LEAST_PAUSE_SECONDS, TimeUnit.SECONDS)
                .maxDelay(MOST_PAUSE_SECONDS, TimeUnit.SECONDS)
                .applyAutomaticReconnect()
                .addConnectedListener(connected -> System.err.printf("Connected to %s.%n", broker.address()))
                .addDisconnectedListener(away -> {
                    if (closed) {
                        away.getReconnector().reconnect(false);
                    } else {
                        System.err.printf(
                                "Not connected to %s: %s%n",
                                broker.address(), away.getCause().getMessage());
                    }
                });
        if (broker.encrypted()) {
            builder = builder.sslConfig(encryption(broker));
        }
        String secret = broker.secret();
        if (broker.user() != null && secret != null) {
            builder = builder.simpleAuth()
                    .username(broker.user())
                    .password(secret.getBytes(StandardCharsets.UTF_8))
                    .applySimpleAuth();
        }
        if (lastWill != null) {
            builder = builder.willPublish(state(lastWill, "offline"));
        }
        client = builder.buildAsync();
        client.publishes(
                MqttGlobalPublishFilter.ALL,
                message -> take(message, listener),
                Executors.newSingleThreadExecutor(work -> {
                    Thread thread = new Thread(work, "messages");
                    thread.setDaemon(true);
                    return thread;
                }),
                true);
    }

    private static void take(Mqtt3Publish message, Listener listener) {
        String topic = message.getTopic().toString();
        try {
            listener.hears(topic, message.getPayloadAsBytes(), message.isRetain(), Instant.now());
            message.acknowledge();
        } catch (IOException notKept) {
            System.err.printf("%s: not kept, and not acknowledged: %s%n", topic, notKept);
        } catch (RuntimeException wrong) {
            System.err.printf("%s: left out: %s%n", topic, wrong.getMessage());
            message.acknowledge(); // sent again it would be as wrong
        }
    }

    private static MqttClientSslConfig encryption(Broker broker) {
        var encryption = MqttClientSslConfig.builder();
        return broker.trust() == null
                ? encryption.build()
                : encryption.trustManagerFactory(Trusted.by(broker.trust())).build();
    }

    /** @param queued whether the broker keeps messages while the bridge is away */
    void listen(String pattern, boolean queued) {
        subscribed.merge(
                pattern,
                queued ? MqttQos.AT_LEAST_ONCE : MqttQos.AT_MOST_ONCE,
                (one, other) -> one.getCode() > other.getCode() ? one : other);
    }

    /** Connects, now or when the broker is there, and listens. */
    void connect() {
        client.connectWith()
                .cleanSession(false)
                .keepAlive(30)
                .send()
                .thenAccept(connected -> subscribed.forEach((pattern, quality) -> client.subscribeWith()
                        .topicFilter(pattern)
                        .qos(quality)
                        .send()
                        .whenComplete((granted, refused) -> {
                            if (refused != null) {
                                System.err.printf("%s: not listened to: %s%n", pattern, refused.getMessage());
                            }
                        })))
                .exceptionally(refused -> {
                    System.err.printf("Not connected to %s: %s%n", broker.address(), refused.getMessage());
                    return null;
                });
    }

    private static Mqtt3Publish state(String topic, String state) {
        return Mqtt3Publish.builder()
                .topic(topic)
                .payload(state.getBytes(StandardCharsets.UTF_8))
                .qos(MqttQos.AT_LEAST_ONCE)
                .retain(true)
                .build();
    }

    /** So that whoever comes later hears it as well. Nothing is told while the broker is away: it would be old by then. */
    void tell(String topic, String state) {
        if (client.getState().isConnected()) {
            client.publish(state(topic, state));
        }
    }

    @Override
    public void close() {
        closed = true;
        try {
            client.disconnect().get(2, TimeUnit.SECONDS);
        } catch (InterruptedException ended) {
            Thread.currentThread().interrupt();
        } catch (ExecutionException | TimeoutException notConnected) {
            // There is nobody to take leave of.
        }
    }
}
