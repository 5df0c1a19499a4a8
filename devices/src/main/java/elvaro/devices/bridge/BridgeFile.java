package elvaro.devices.bridge;

import com.fasterxml.jackson.annotation.JsonCreator;
import elvaro.core.weighing.MassUnit;
import elvaro.core.weighing.ScaleLine;
import java.io.IOException;
import java.net.URI;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import tools.jackson.core.JacksonException;
import tools.jackson.core.TokenStreamLocation;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.MapperFeature;
import tools.jackson.databind.PropertyNamingStrategies;
import tools.jackson.dataformat.yaml.YAMLMapper;

/**
 * What the bridge is told, in YAML.
 *
 * @param elvaro its address
 * @param queue a folder for what Elvaro has not taken yet
 * @param elvaroTrust a PEM file of the authority that signed its certificate, as a house makes one for itself
 * @param broker of messages; needed where a topic is named
 * @param state what is told to others over the broker
 */
record BridgeFile(
        URI elvaro,
        @Nullable Path elvaroTrust,
        Path queue,
        @Nullable Broker broker,
        List<ProbeSource> probes,
        List<ScaleSource> scales,
        @Nullable StateTopics state) {

    BridgeFile {
        need(elvaro, "elvaro: the address of Elvaro");
        need(queue, "queue: a folder for what is still to be sent");
        probes = Objects.requireNonNullElse(probes, List.of());
        scales = Objects.requireNonNullElse(scales, List.of());
        if (probes.isEmpty() && scales.isEmpty() && state == null) {
            throw new IllegalArgumentException("It names no probe, no scale and no state.");
        }
        boolean messages =
                state != null || !probes.isEmpty() || scales.stream().anyMatch(scale -> scale.topic() != null);
        if (messages && broker == null) {
            throw new IllegalArgumentException("broker: the address of the broker is missing.");
        }
        Set<String> names = new HashSet<>();
        Stream.concat(probes.stream().map(ProbeSource::name), scales.stream().map(ScaleSource::name))
                .filter(name -> !names.add(folder(name)))
                .findFirst()
                .ifPresent(twice -> {
                    throw new IllegalArgumentException("Two devices are called “%s”, or nearly so.".formatted(twice));
                });
    }

    /**
     * Where messages come from.
     *
     * @param address {@code mqtt://HOST:1883}, or {@code mqtts://HOST:8883} encrypted
     * @param trust a PEM file of the authority that signed its certificate, where that is none of the machine's
     * @param client by which the broker knows the bridge again, and keeps messages for it
     */
    record Broker(
            URI address,
            @Nullable String user,
            @Nullable String password,
            @Nullable Path passwordFile,
            @Nullable Path trust,
            @Nullable String client) {
        Broker {
            need(address, "broker: address");
            if (!List.of("mqtt", "mqtts").contains(String.valueOf(address.getScheme())) || address.getHost() == null) {
                throw new IllegalArgumentException(
                        "broker: the address is like mqtt://192.168.1.5:1883 or mqtts://HOST:8883, not " + address
                                + ".");
            }
            client = Objects.requireNonNullElse(client, "elvaro-bridge");
        }

        boolean encrypted() {
            return "mqtts".equals(address.getScheme());
        }

        int port() {
            int usual = encrypted() ? 8883 : 1883;
            return address.getPort() < 0 ? usual : address.getPort();
        }

        @Nullable
        String secret() {
            try {
                return passwordFile == null
                        ? password
                        : Files.readString(passwordFile).strip();
            } catch (IOException unreadable) {
                throw new IllegalArgumentException("broker: the password file cannot be read: " + passwordFile);
            }
        }
    }

    /**
     * Where one value stands. Written as a text it is only {@code at}.
     *
     * @param topic where it comes by itself; left out, that of its probe
     * @param at where in the message, as a JSON Pointer (RFC 6901); left out, the message is the value
     * @param unit as it is told to Elvaro; left out, Cel, %RH, m/s or kg
     * @param times by what it is to be multiplied, as where tenths are sent
     */
    record Value(
            @Nullable String topic,
            @Nullable String at,
            @Nullable String unit,
            @Nullable Double times) {
        @JsonCreator
        static Value at(String pointer) {
            return new Value(null, pointer, null, null);
        }

        @JsonCreator
        Value {
            if (at != null && !at.startsWith("/")) {
                throw new IllegalArgumentException("at: “%s” begins with a stroke, as /temperature.".formatted(at));
            }
        }
    }

    /**
     * A probe of Elvaro's and the messages that are its readings.
     *
     * @param token that Settings showed
     * @param where what must stand in a message for it to be of this probe: a value by JSON Pointer
     * @param time where the moment stands: seconds or milliseconds since 1970, or ISO 8601; left out, as it comes
     */
    record ProbeSource(
            String name,
            String token,
            @Nullable String topic,
            Map<String, String> where,
            @Nullable String time,
            @Nullable Value temperature,
            @Nullable Value humidity,
            @Nullable Value speed) {
        ProbeSource {
            need(name, "probes: each has a name");
            need(token, "%s: its token".formatted(name));
            where = Objects.requireNonNullElse(where, Map.of());
            if (temperature == null && humidity == null && speed == null) {
                throw new IllegalArgumentException(
                        "%s: say where its temperature, humidity or speed stands.".formatted(name));
            }
            for (Value value : Stream.of(temperature, humidity, speed)
                    .filter(Objects::nonNull)
                    .toList()) {
                if (value.topic() == null && topic == null) {
                    throw new IllegalArgumentException("%s: say in which topic its values come.".formatted(name));
                }
            }
        }
    }

    /**
     * A scale of Elvaro's.
     *
     * @param topic of its messages; or
     * @param port of its cable, as /dev/ttyUSB0
     * @param baud bits a second on it, 9600 if left out
     * @param pattern how it writes a line: one of {@link ScaleLine}, or an expression of its own
     * @param ask what is sent to hear a weight; left out, it speaks by itself
     * @param unit where a line or message has none: kg, g, lb or oz
     */
    record ScaleSource(
            String name,
            String token,
            @Nullable String topic,
            @Nullable Value weight,
            @Nullable String port,
            @Nullable Integer baud,
            @Nullable String pattern,
            @Nullable String ask,
            @Nullable String unit) {
        ScaleSource {
            need(name, "scales: each has a name");
            need(token, "%s: its token".formatted(name));
            if ((topic == null) == (port == null)) {
                throw new IllegalArgumentException("%s: it has a topic or a port.".formatted(name));
            }
            if (unit != null) {
                MassUnit.of(unit); // known, or a sentence
            }
            ScaleLine.of(pattern);
        }
    }

    /**
     * What is told to others, retained, so that a hub finds it at any time.
     *
     * @param topic under which
     * @param token of Settings, Programs, that may see pieces and chambers
     * @param seconds between two tellings, 30 if left out
     */
    record StateTopics(String topic, String token, @Nullable Integer seconds) {
        StateTopics {
            need(topic, "state: topic");
            need(token, "state: token");
            seconds = Objects.requireNonNullElse(seconds, 30);
        }
    }

    /** Of a device, in the folder of what is still to be sent. */
    static String folder(String name) {
        return name.replaceAll("[^\\p{L}\\p{N}]+", "-");
    }

    private static void need(@Nullable Object value, String what) {
        if (value == null) {
            throw new IllegalArgumentException(what + " is missing.");
        }
    }

    /** @throws IllegalArgumentException with a sentence that names the line */
    static BridgeFile read(Path file) throws IOException {
        YAMLMapper yaml = YAMLMapper.builder()
                .propertyNamingStrategy(PropertyNamingStrategies.KEBAB_CASE)
                .enable(DeserializationFeature.FAIL_ON_UNKNOWN_PROPERTIES)
                .enable(MapperFeature.ACCEPT_CASE_INSENSITIVE_ENUMS)
                .build();
        try {
            return yaml.readValue(Files.readString(file), BridgeFile.class);
        } catch (JacksonException wrong) {
            TokenStreamLocation place = wrong.getLocation();
            Throwable cause = wrong.getCause() == null ? wrong : wrong.getCause();
            throw new IllegalArgumentException("%s, line %d: %s"
                    .formatted(
                            file,
                            place == null ? 0 : place.getLineNr(),
                            String.valueOf(
                                            cause instanceof JacksonException own
                                                    ? own.getOriginalMessage()
                                                    : cause.getMessage())
                                    .replaceAll(" \\(class [^)]*\\).*", "")));
        }
    }
}
