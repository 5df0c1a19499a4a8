package elvaro.devices;

import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.Locale;

/**
 * A scale that is not there. What lies on it is the last word of a file, in kg, or {@code tare} for the scale's own tare. It
 * sends five figures a second while they move and one a second at rest; what could not be sent is of no use later.
 */
public final class Scale {
    private static final Duration TICK = Duration.ofMillis(200);
    private static final int TICKS_AT_REST = 5;

    private Scale() {}

    /** @param arguments address of Elvaro, token, the file, division in g, capacity in kg */
    public static void main(String[] arguments) throws InterruptedException {
        if (arguments.length != 5) {
            System.err.println("Usage: Scale http://127.0.0.1:8306 TOKEN FILE DIVISION_G CAPACITY_KG");
            System.exit(2);
        }
        URI address = URI.create(arguments[0] + "/devices/weights");
        Path file = Path.of(arguments[2]);
        SimulatedScale scale = new SimulatedScale(
                Double.parseDouble(arguments[3]), 1000 * Double.parseDouble(arguments[4]), arguments[1].hashCode());
        HttpClient http =
                HttpClient.newBuilder().connectTimeout(Duration.ofSeconds(2)).build();
        String laid = "";
        for (int tick = 0; ; tick++) {
            String word = lastWord(file);
            if (!word.equals(laid)) {
                laid = word;
                lay(scale, word);
                tick = 0;
            }
            if (scale.moving() || tick < 2 * TICKS_AT_REST || tick % TICKS_AT_REST == 0) {
                send(http, address, arguments[1], record(scale));
            }
            Thread.sleep(TICK.toMillis());
            scale.after(TICK.toMillis() / 1000.0);
        }
    }

    private static String lastWord(Path file) {
        try {
            String text = Files.readString(file).strip();
            return text.substring(text.lastIndexOf('\n') + 1).strip();
        } catch (IOException notThere) {
            return "";
        }
    }

    private static void lay(SimulatedScale scale, String word) {
        if (word.equals("tare")) {
            scale.tare();
            return;
        }
        try {
            scale.lay(word.isEmpty() ? 0 : 1000 * Double.parseDouble(word));
        } catch (NumberFormatException unreadable) {
            System.err.println("Not a weight in kg: " + word);
        }
    }

    /** One SenML record, RFC 8428. */
    static String record(SimulatedScale scale) {
        return scale.overloaded()
                ? "[{\"n\":\"scale:overload\",\"vb\":true}]"
                : String.format(Locale.ROOT, "[{\"n\":\"scale\",\"u\":\"kg\",\"v\":%.4f}]", scale.shown() / 1000);
    }

    private static void send(HttpClient http, URI address, String token, String pack) throws InterruptedException {
        HttpRequest request = HttpRequest.newBuilder(address)
                .timeout(Duration.ofSeconds(2))
                .header("Authorization", "Bearer " + token)
                .header("Content-Type", "application/senml+json")
                .POST(BodyPublishers.ofString(pack))
                .build();
        try {
            var response = http.send(request, BodyHandlers.ofString());
            if (response.statusCode() != 204) {
                System.err.println(response.statusCode() + " " + response.body());
            }
        } catch (IOException away) {
            System.err.println("Not sent: " + away);
        }
    }
}
