package elvaro.bench;

import elvaro.server.support.Client;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.SQLException;
import java.time.Duration;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;

/**
 * A year of one reading a minute for four chambers by SenML packs of ten thousand, as many as one may hold; the last of
 * them beside the same rows by a plain JDBC batch in the same run. Then the charts of every stretch, with spikes of one
 * minute planted a year deep.
 */
public final class Ingest {
    private static final int CHAMBERS = 4;
    private static final int YEAR = 525_600;
    private static final int PACK = 10_000;
    private static final double SPIKE = 12.5;
    private static final List<Integer> SPIKES = List.of(77_777, 300_003, 525_000);
    private static final Map<String, Duration> STRETCHES = Map.of(
            "hour", Duration.ofHours(1),
            "day", Duration.ofDays(1),
            "week", Duration.ofDays(7),
            "month", Duration.ofDays(31),
            "year", Duration.ofDays(366));

    private Ingest() {}

    /** @param arguments the packaged application; then how many readings a chamber gets, a year if left out */
    public static void main(String[] arguments) throws Exception {
        int readings = arguments.length > 1 ? Integer.parseInt(arguments[1]) : YEAR;
        Path log = Files.createTempFile("elvaro-bench", ".log");
        try (ServerUnderTest server = ServerUnderTest.start(Path.of(arguments[0]), log)) {
            Client owner = server.owner();
            Instant now = Instant.now().truncatedTo(ChronoUnit.MINUTES);
            Instant from = now.minus(Duration.ofMinutes(readings));
            List<String> chambers = new ArrayList<>();
            List<String> tokens = new ArrayList<>();
            for (int chamber = 0; chamber < CHAMBERS; chamber++) {
                String id = owner.chamber("Room " + chamber, 100_000);
                chambers.add(id);
                tokens.add(owner.must(owner.put(
                                "/api/devices/" + UUID.randomUUID(), Map.of("name", "Probe", "chamberId", id)))
                        .body()
                        .path("token")
                        .asString());
            }
            ExecutorService others = Executors.newFixedThreadPool(2);
            for (String token : tokens.subList(2, CHAMBERS)) {
                others.submit(() -> load(server, token, from, readings));
            }
            others.shutdown();
            others.awaitTermination(1, TimeUnit.HOURS);
            beside(server, tokens.get(0), PackOfReadings.JSON, from, readings);
            beside(server, tokens.get(1), PackOfReadings.CBOR, from, readings);
            for (String stretch : List.of("hour", "day", "week", "month", "year")) {
                charts(owner, chambers, stretch, now);
            }
            peaks(owner, chambers.get(1), now, readings);
            System.out.printf("Memory    %d MB resident, heap limited to 512 MB%n", server.residentMegabytes());
        }
    }

    static double celsius(int index) {
        return SPIKES.contains(index) ? SPIKE : 2 + Math.sin(index / 9.0) * 0.6;
    }

    static double humidity(int index) {
        return 80 + Math.cos(index / 9.0) * 3;
    }

    static Void load(ServerUnderTest server, String token, Instant from, int readings) {
        for (int first = 0; first < readings; first += PACK) {
            send(server, token, PackOfReadings.JSON, from, first, Math.min(readings, first + PACK));
        }
        return null;
    }

    /** Pack and batch by turns, so that both meet the same machine; the making of a pack does not count. */
    private static void beside(ServerUnderTest server, String token, PackOfReadings form, Instant from, int readings)
            throws SQLException {
        double sending = 0;
        double writing = 0;
        try (PlainBatch floor = new PlainBatch()) {
            for (int first = 0; first < readings; first += PACK) {
                int end = Math.min(readings, first + PACK);
                sending += send(server, token, form, from, first, end) / 1e9;
                writing += floor.write(from, first, end) / 1e9;
            }
        }
        System.out.printf(
                "Ingest    %6.0f readings/s by packs of %d in %s, plain JDBC batch %6.0f/s; share of the floor %.2f%n",
                readings / sending, PACK, form, readings / writing, writing / sending);
    }

    /** How many nanoseconds the answer took. */
    private static long send(
            ServerUnderTest server, String token, PackOfReadings form, Instant from, int first, int end) {
        byte[] body = form.of(from, first, end);
        long began = System.nanoTime();
        int status = server.pack(token, form.name().toLowerCase(Locale.ROOT), body);
        long took = System.nanoTime() - began;
        if (status != 200) {
            throw new IllegalStateException("A pack was refused: " + status);
        }
        return took;
    }

    private static String chart(String chamber, Instant from, Instant to) {
        return "/api/chambers/%s/air?from=%s&to=%s&points=400".formatted(chamber, from, to);
    }

    private static void charts(Client owner, List<String> chambers, String stretch, Instant now)
            throws InterruptedException {
        Duration length = STRETCHES.get(stretch);
        Load.Call call = each -> owner.status(
                        chart(chambers.get((int) (Math.random() * CHAMBERS)), now.minus(length), now.plusSeconds(1)))
                == 200;
        Load.run(1, 5, 3, call);
        Result result = Load.run(1, 5, 20, call);
        System.out.printf(
                "Chart     %-5s median %5.1f ms, p95 %5.1f ms, failures %d%n",
                stretch, result.quantile(0.5), result.quantile(0.95), result.failures());
    }

    private static void peaks(Client owner, String chamber, Instant now, int readings) {
        long planted = SPIKES.stream().filter(index -> index < readings).count();
        var air = owner.get(chart(chamber, now.minus(Duration.ofDays(366)), now.plusSeconds(1)))
                .body();
        long seen = air.path("points")
                .valueStream()
                .filter(point -> point.path("celsiusMax").asDouble() == SPIKE)
                .count();
        System.out.printf(
                "Peaks     %d planted, %d seen over a year in %d points, %d excursions%n",
                planted, seen, air.path("points").size(), air.path("events").size());
    }
}
