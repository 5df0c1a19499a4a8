package elvaro.devices.bridge;

import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.file.Path;
import java.security.GeneralSecurityException;
import java.time.Duration;
import java.util.List;
import javax.net.ssl.SSLContext;
import org.jspecify.annotations.Nullable;

/** Elvaro as a device and as a program knows it. */
final class Elvaro {
    private static final Duration PATIENCE = Duration.ofSeconds(20);
    private static final Duration PATIENCE_FOR_A_FIGURE = Duration.ofSeconds(2);

    private final URI address;
    private final HttpClient http;

    /** @param trust of the authority that signed its certificate; null where the machine knows it */
    Elvaro(URI address, @Nullable Path trust) {
        this.address = URI.create(address.toString().replaceAll("/+$", ""));
        HttpClient.Builder builder = HttpClient.newBuilder().connectTimeout(Duration.ofSeconds(5));
        http = (trust == null ? builder : builder.sslContext(trusting(trust))).build();
    }

    private static SSLContext trusting(Path authority) {
        try {
            SSLContext encryption = SSLContext.getInstance("TLS");
            encryption.init(null, Trusted.by(authority).getTrustManagers(), null);
            return encryption;
        } catch (GeneralSecurityException impossible) {
            throw new IllegalStateException(impossible);
        }
    }

    /** What became of a pack. */
    enum Outcome {
        TAKEN,
        /** It is to be sent again later: Elvaro is away, busy, or does not know the device yet. */
        LATER,
        /** It can never be taken. */
        REFUSED
    }

    /** Hands in readings, SenML records as JSON each. */
    Outcome handIn(String name, String token, List<String> records) throws InterruptedException {
        try {
            var answer = http.send(
                    pack("/devices/readings", token, "[" + String.join(",", records) + "]", PATIENCE),
                    BodyHandlers.ofString());
            return switch (answer.statusCode()) {
                case 200 -> {
                    say(name, answer.body());
                    yield Outcome.TAKEN;
                }
                case 400, 413, 422 -> {
                    System.err.printf("%s: refused: %s%n", name, answer.body());
                    yield Outcome.REFUSED;
                }
                default -> {
                    System.err.printf("%s: not taken yet, kept: %d %s%n", name, answer.statusCode(), answer.body());
                    yield Outcome.LATER;
                }
            };
        } catch (IOException away) {
            System.err.printf("%s: not sent, kept: %s%n", name, away);
            return Outcome.LATER;
        }
    }

    /** What its sender should know. */
    private static void say(String name, String answer) {
        if (!answer.contains("\"says\":[]") && answer.contains("\"says\":[")) {
            System.err.printf("%s: %s%n", name, answer);
        }
    }

    /** Tells what a scale shows; what could not be told is of no use later. */
    void show(String name, String token, String record) throws InterruptedException {
        try {
            var answer = http.send(
                    pack("/devices/weights", token, "[" + record + "]", PATIENCE_FOR_A_FIGURE),
                    BodyHandlers.ofString());
            if (answer.statusCode() != 204) {
                System.err.printf("%s: %d %s%n", name, answer.statusCode(), answer.body());
            }
        } catch (IOException away) {
            System.err.printf("%s: not told: %s%n", name, away);
        }
    }

    private HttpRequest pack(String path, String token, String pack, Duration patience) {
        return HttpRequest.newBuilder(URI.create(address + path))
                .timeout(patience)
                .header("Authorization", "Bearer " + token)
                .header("Content-Type", "application/senml+json")
                .POST(BodyPublishers.ofString(pack))
                .build();
    }

    /** @throws IOException if it is away or turns the token away */
    String ask(String path, String token) throws IOException, InterruptedException {
        var answer = http.send(
                HttpRequest.newBuilder(URI.create(address + "/api/v1" + path))
                        .timeout(PATIENCE)
                        .header("Authorization", "Bearer " + token)
                        .build(),
                BodyHandlers.ofString());
        if (answer.statusCode() != 200) {
            throw new IOException(answer.statusCode() + " " + answer.body());
        }
        return answer.body();
    }
}
