package elvaro.e2e;

import elvaro.server.support.Client;
import java.io.IOException;
import java.net.HttpURLConnection;
import java.net.ServerSocket;
import java.net.URI;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * The packaged application as a person starts it, on a database of its own beside the one the launcher gives the tests.
 */
final class House {
    static final String OWNER = "maren@brackenrow.example";
    static final String PASSWORD = "bone and tallow";

    /** So long a slow machine may take to come up; nothing is measured by it. */
    static final Duration PATIENCE = Duration.ofMinutes(5);

    /** Tests run in several processes, each with houses of its own. */
    private static final String OF_THIS_PROCESS = "_" + ProcessHandle.current().pid();

    private static final Map<String, House> OPEN = new HashMap<>();

    final String address;
    private final Path log;
    private final Path clock;

    private House(String address, Path log, Path clock) {
        this.address = address;
        this.log = log;
        this.clock = clock;
    }

    /** The demo workshop; started once and shared, so a test that changes something leaves it as it was. */
    static House demo() {
        return open("demo", true);
    }

    /** A house nobody lives in yet. */
    static House empty() {
        return open("empty", false);
    }

    /** A house nobody lives in yet, of people who think in pounds. */
    static House abroad() {
        return open("abroad", false);
    }

    /** Maren's shop with nothing in it but what tests hang there; each leaves nothing to weigh. */
    static House shop() {
        return settled("shop");
    }

    private static House settled(String name) {
        House house = open(name, false);
        Client client = house.client();
        if (client.get("/api/session").body().path("setupNeeded").asBoolean()) {
            client.must(client.setUp(typed(house.code()), OWNER, PASSWORD));
        }
        return house;
    }

    /** Another shop, with a name of its own. */
    static House neighbour() {
        House house = settled("neighbour");
        Client owner = house.client();
        owner.must(owner.signIn(OWNER, PASSWORD));
        Map<String, Object> named = owner.workshopBody();
        named.put("name", "Sallow Estate");
        owner.put("/api/workshop", named);
        return house;
    }

    /** Maren's shop on a clock of its own, which only goes on when a test says so. */
    static House ofWeeks() {
        return settled("weeks");
    }

    /** Lets so many days go by, counted from the start. */
    void onDay(int days) {
        try {
            // In one move: the house reads it at any moment.
            Path next = Files.writeString(
                    clock.resolveSibling(clock.getFileName() + ".next"),
                    Duration.ofDays(days).toString());
            Files.move(next, clock, StandardCopyOption.ATOMIC_MOVE, StandardCopyOption.REPLACE_EXISTING);
        } catch (IOException failure) {
            throw new IllegalStateException(failure);
        }
    }

    /** The API of this house, for nobody yet. */
    Client client() {
        return new Client(URI.create(address).getPort());
    }

    private static synchronized House open(String name, boolean demo) {
        return OPEN.computeIfAbsent(name, key -> start(key, demo));
    }

    private static House start(String name, boolean demo) {
        try {
            int port = freePort();
            Path log = Files.createTempFile("elvaro-e2e-" + name, ".log");
            Path clock = Files.writeString(Files.createTempFile("elvaro-e2e-" + name, ".clock"), "PT0S");
            List<String> command = new ArrayList<>(List.of("java", "-Xmx512m"));
            command.addAll(Packaged.QUICK_TO_START);
            command.addAll(List.of("-jar", Packaged.JAR.toString()));
            ProcessBuilder process =
                    new ProcessBuilder(command).redirectErrorStream(true).redirectOutput(log.toFile());
            Map<String, String> environment = process.environment();
            String database = environment.get("ELVARO_DB_URL") + "_" + name + OF_THIS_PROCESS;
            environment.put("ELVARO_DB_URL", database);
            environment.put("ELVARO_DB_OWNER_URL", database + "?createDatabaseIfNotExist=true");
            environment.put("ELVARO_HTTP_PORT", String.valueOf(port));
            if (name.equals("weeks")) {
                environment.put("ELVARO_CLOCK_FILE", clock.toString());
            }
            environment.put("ELVARO_PUSH_INSIDE", "true"); // to the simulated phones
            environment.put("ELVARO_DEMO", String.valueOf(demo));
            environment.put("ELVARO_DEMO_PASSWORD", PASSWORD);
            Process running = process.start();
            Runtime.getRuntime().addShutdownHook(new Thread(running::destroy));
            String address = "http://127.0.0.1:" + port;
            awaitReady(address, running, log);
            return new House(address, log, clock);
        } catch (IOException failure) {
            throw new IllegalStateException(failure);
        }
    }

    /** Ready, however slow the machine; what has ended or stands still is not waited for. */
    static void awaitReady(String address, Process running, Path log) throws IOException {
        Instant deadline = Instant.now().plus(PATIENCE);
        while (!answers(address + "/actuator/health/readiness")) {
            if (!running.isAlive() || Instant.now().isAfter(deadline)) {
                throw new IllegalStateException("It did not start:\n" + Files.readString(log));
            }
            pause(200);
        }
    }

    static boolean answers(String url) {
        try {
            HttpURLConnection connection =
                    (HttpURLConnection) URI.create(url).toURL().openConnection();
            connection.setConnectTimeout(1000);
            connection.setReadTimeout(3000);
            return connection.getResponseCode() == 200;
        } catch (IOException notYet) {
            return false;
        }
    }

    /** As a person types what they read. */
    private static String typed(String code) {
        return code.toLowerCase(java.util.Locale.ROOT).replace("-", " ");
    }

    /** The one-time code as it was printed. */
    String code() {
        return codeIn(log);
    }

    static String codeIn(Path log) {
        try {
            List<String> lines = Files.readAllLines(log);
            return lines.stream()
                    .map(String::strip)
                    .filter(line -> line.startsWith("One-time code for the first visit: "))
                    .reduce((first, last) -> last)
                    .orElseThrow()
                    .replaceAll(".*: ", "");
        } catch (IOException failure) {
            throw new IllegalStateException(failure);
        }
    }

    static int freePort() {
        try (ServerSocket socket = new ServerSocket(0)) {
            return socket.getLocalPort();
        } catch (IOException failure) {
            throw new IllegalStateException(failure);
        }
    }

    static void pause(long milliseconds) {
        try {
            Thread.sleep(milliseconds);
        } catch (InterruptedException interrupted) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException(interrupted);
        }
    }
}
