package elvaro.devices;

import elvaro.devices.SimulatedChamber.Fault;
import elvaro.devices.SimulatedChamber.Sample;
import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;

/**
 * Climate probes that are not there, one for each line of a file: token, set temperature in °C, usual humidity in %, and
 * what is wrong (NONE, WARMING, STUCK, SILENT). Each sends a reading every so many seconds. What could not be sent is kept
 * and sent with the next, as a real probe should do it.
 */
public final class Probe {
    /** A day of one a minute; what is older is given up. */
    private static final int MOST_KEPT = 1_440;

    private final String token;
    private final SimulatedChamber chamber;
    private final Fault fault;
    private final Deque<String> unsent = new ArrayDeque<>();

    private Probe(String line) {
        String[] words = line.strip().split("\\s+");
        if (words.length != 4) {
            throw new IllegalArgumentException("A line has a token, °C, % RH and a fault, not: " + line);
        }
        token = words[0];
        chamber = new SimulatedChamber(Double.parseDouble(words[1]), Double.parseDouble(words[2]), token.hashCode());
        fault = Fault.valueOf(words[3]);
    }

    /** @param arguments address of Elvaro, the file, and seconds between readings */
    public static void main(String[] arguments) throws IOException, InterruptedException {
        if (arguments.length != 3) {
            System.err.println("Usage: Probe http://127.0.0.1:8306 FILE SECONDS");
            System.exit(2);
        }
        URI address = URI.create(arguments[0] + "/devices/readings");
        int seconds = Integer.parseInt(arguments[2]);
        List<Probe> probes = new ArrayList<>();
        for (String line : Files.readAllLines(Path.of(arguments[1]))) {
            if (!line.isBlank()) {
                probes.add(new Probe(line));
            }
        }
        HttpClient http =
                HttpClient.newBuilder().connectTimeout(Duration.ofSeconds(5)).build();
        while (true) {
            for (Probe probe : probes) {
                probe.measure(Instant.now(), seconds / 3600.0);
                probe.send(http, address);
            }
            Thread.sleep(Duration.ofSeconds(seconds).toMillis());
        }
    }

    void measure(Instant now, double hours) {
        Sample sample = chamber.after(hours, fault);
        if (fault == Fault.SILENT) {
            return;
        }
        unsent.add(record(now, sample));
        if (unsent.size() > MOST_KEPT) {
            unsent.remove();
        }
    }

    /** Two SenML records, RFC 8428, each with its own time. */
    static String record(Instant now, Sample sample) {
        return String.format(
                Locale.ROOT,
                "{\"n\":\"probe:temperature\",\"u\":\"Cel\",\"t\":%1$d,\"v\":%2$.2f},"
                        + "{\"n\":\"probe:humidity\",\"u\":\"%%RH\",\"t\":%1$d,\"v\":%3$.1f}",
                now.getEpochSecond(),
                sample.celsius(),
                sample.humidity());
    }

    private void send(HttpClient http, URI address) throws InterruptedException {
        if (unsent.isEmpty()) {
            return;
        }
        HttpRequest request = HttpRequest.newBuilder(address)
                .timeout(Duration.ofSeconds(20))
                .header("Authorization", "Bearer " + token)
                .header("Content-Type", "application/senml+json")
                .POST(BodyPublishers.ofString(unsent.stream().collect(Collectors.joining(",", "[", "]"))))
                .build();
        try {
            var response = http.send(request, BodyHandlers.ofString());
            if (response.statusCode() == 200) {
                unsent.clear();
            } else {
                System.err.println(Instant.now() + " " + response.statusCode() + " " + response.body());
            }
        } catch (IOException away) {
            System.err.println(Instant.now() + " not sent, kept: " + away);
        }
    }
}
