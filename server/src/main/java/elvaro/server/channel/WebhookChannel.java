package elvaro.server.channel;

import elvaro.core.notice.NoticeText.Said;
import elvaro.core.notice.NoticeText.Section;
import java.net.URI;
import java.net.http.HttpRequest.BodyPublishers;
import java.nio.charset.StandardCharsets;
import java.security.GeneralSecurityException;
import java.time.Clock;
import java.util.HexFormat;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import javax.crypto.Mac;
import javax.crypto.spec.SecretKeySpec;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;

/**
 * Calls a program of the house with what is told, as JSON, signed: the header {@code Elvaro-Signature} is
 * {@code t=SECONDS, v1=HEX}, the HMAC-SHA256 of {@code SECONDS.BODY} under the secret both know. The format is in
 * docs/webhook.md.
 */
@Component
public class WebhookChannel {
    private static final String ALGORITHM = "HmacSHA256";

    private final JsonMapper json;
    private final Clock clock;

    WebhookChannel(JsonMapper json, Clock clock) {
        this.json = json;
        this.clock = clock;
    }

    public Sent send(String address, String secret, Outgoing message) {
        URI to = URI.create(address);
        // A house's own programs stand in its network; only what a cloud keeps for its machines does not.
        if (Objects.requireNonNullElse(to.getHost(), "").startsWith("169.254.")) {
            return Sent.refused("That address is none of a program.");
        }
        String body = json.writeValueAsString(content(message));
        long seconds = clock.instant().getEpochSecond();
        return HttpCall.send(
                HttpCall.to(address)
                        .header("Content-Type", "application/json")
                        .header("Idempotency-Key", message.key())
                        .header("Elvaro-Signature", "t=%d, v1=%s".formatted(seconds, sign(secret, seconds, body)))
                        .POST(BodyPublishers.ofString(body))
                        .build(),
                "The program");
    }

    private static Map<String, Object> content(Outgoing message) {
        Map<String, Object> content = new LinkedHashMap<>();
        content.put("key", message.key());
        content.put("kind", message.kind().name());
        content.put("loudness", message.loudness().name());
        content.put("house", message.house());
        content.put("at", message.madeAt().toString());
        content.put("title", message.text().title());
        content.put(
                "sections",
                message.text().sections().stream()
                        .map(section -> section(message, section))
                        .toList());
        content.put("url", message.address() + message.path());
        return content;
    }

    private static Map<String, Object> section(Outgoing message, Section section) {
        List<Map<String, String>> lines =
                section.said().stream().map(said -> line(message, said)).toList();
        return Map.of("heading", section.heading(), "lines", lines);
    }

    private static Map<String, String> line(Outgoing message, Said said) {
        Map<String, String> line = new LinkedHashMap<>();
        line.put("words", said.words());
        said.at().ifPresent(at -> line.put("url", message.address() + at));
        return line;
    }

    static String sign(String secret, long seconds, String body) {
        try {
            Mac mac = Mac.getInstance(ALGORITHM);
            mac.init(new SecretKeySpec(secret.getBytes(StandardCharsets.UTF_8), ALGORITHM));
            return HexFormat.of().formatHex(mac.doFinal((seconds + "." + body).getBytes(StandardCharsets.UTF_8)));
        } catch (GeneralSecurityException impossible) {
            throw new IllegalStateException(impossible);
        }
    }
}
