package elvaro.server.channel;

import elvaro.core.notice.Loudness;
import elvaro.core.notice.NoticeText.Said;
import elvaro.core.notice.NoticeText.Section;
import elvaro.server.shared.Refusal;
import elvaro.server.shared.Sha256;
import java.net.URI;
import java.net.http.HttpRequest.BodyPublishers;
import java.nio.charset.StandardCharsets;
import java.security.GeneralSecurityException;
import java.time.Clock;
import java.util.Base64;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;

/**
 * Sends to the application installed on a phone, through the push service of its browser (RFC 8030): what is sent is locked
 * for that browser, and signed by the house.
 */
@Component
public class PushChannel {
    private static final String SERVICE = "The push service";
    private static final int DAY_SECONDS = 24 * 3600;
    private static final int LONGEST_TOPIC = 32;
    private static final int LONGEST_WORDS = 600;

    /** More of them a phone does not show. */
    private static final int MOST_LINES = 6;

    private static final Base64.Decoder TEXT = Base64.getUrlDecoder();

    private final PushKeys keys;
    private final JsonMapper json;
    private final boolean inside;
    private final Clock clock;

    /** @param inside whether a push service may stand on this machine: the stand-in of the demo, and tests */
    PushChannel(PushKeys keys, JsonMapper json, @Value("${elvaro.push-inside}") boolean inside, Clock clock) {
        this.keys = keys;
        this.json = json;
        this.inside = inside;
        this.clock = clock;
    }

    /**
     * One browser on one phone.
     *
     * @param endpoint of its push service
     * @param key its public key, and {@code shared} the secret it shares with the sender, both in URL-safe Base64
     */
    public record Browser(String endpoint, String key, String shared) {}

    /** @throws Refusal if nothing could be sent to it */
    public void check(Browser phone) {
        try {
            URI endpoint = URI.create(phone.endpoint);
            boolean known = endpoint.getHost() != null
                    && (inside || "https".equals(endpoint.getScheme()) && !HttpCall.isInside(endpoint.getHost()));
            if (!known) {
                throw new IllegalArgumentException("not a push service");
            }
            PushEncryption.lock(new byte[0], TEXT.decode(phone.key), TEXT.decode(phone.shared));
        } catch (IllegalArgumentException | GeneralSecurityException none) {
            throw Refusal.wrong("no-push", "endpoint", "This browser's push service cannot be used from here.");
        }
    }

    /** @param contact whom the push service's operator may ask, {@code mailto:} or {@code https:} */
    public Sent send(Browser phone, String contact, Outgoing message) {
        URI endpoint = URI.create(phone.endpoint);
        if (!inside && HttpCall.isInside(endpoint.getHost())) {
            return Sent.refused("Its push service is inside this network.");
        }
        String service = "%s://%s".formatted(endpoint.getScheme(), endpoint.getAuthority());
        try {
            byte[] body = PushEncryption.lock(payload(message), TEXT.decode(phone.key), TEXT.decode(phone.shared));
            return HttpCall.send(
                    HttpCall.to(phone.endpoint)
                            .header("TTL", String.valueOf(DAY_SECONDS))
                            .header("Urgency", message.loudness() == Loudness.LOUD ? "high" : "normal")
                            .header("Topic", topic(message.key()))
                            .header("Content-Encoding", "aes128gcm")
                            .header("Content-Type", "application/octet-stream")
                            .header("Authorization", keys.authorization(service, contact, clock.instant()))
                            .POST(BodyPublishers.ofByteArray(body))
                            .build(),
                    SERVICE);
        } catch (GeneralSecurityException broken) {
            return Sent.refused("The phone's key is none.");
        }
    }

    /** Of two under one topic that wait for a phone it gets the later: one message is there once, however often sent. */
    private static String topic(String key) {
        return Sha256.of(key.getBytes(StandardCharsets.UTF_8)).substring(0, LONGEST_TOPIC);
    }

    private byte[] payload(Outgoing message) {
        String words = message.text().sections().stream()
                .flatMap(PushChannel::lines)
                .limit(MOST_LINES)
                .collect(Collectors.joining("\n"));
        Map<String, Object> said = new LinkedHashMap<>();
        said.put("key", message.key());
        said.put("title", message.text().title());
        said.put("body", words.length() > LONGEST_WORDS ? words.substring(0, LONGEST_WORDS) + " …" : words);
        said.put("path", message.path());
        said.put("loud", message.loudness() == Loudness.LOUD);
        said.put("at", message.madeAt().toEpochMilli());
        byte[] bytes = json.writeValueAsBytes(said);
        if (bytes.length > PushEncryption.MOST_BYTES) { // of letters that take many bytes
            said.put("body", "");
            bytes = json.writeValueAsBytes(said);
        }
        return bytes;
    }

    private static Stream<String> lines(Section section) {
        return section.said().stream().map(Said::words);
    }

    /** By which browsers know this house. */
    public String openKey() {
        return keys.open();
    }

    /** @param mail of somebody of the house */
    public static String contact(String address, Optional<String> mail) {
        return address.startsWith("https://") ? address : "mailto:" + mail.orElse("nobody@elvaro.invalid");
    }
}
