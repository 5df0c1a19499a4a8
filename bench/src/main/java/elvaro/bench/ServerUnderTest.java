package elvaro.bench;

import elvaro.server.support.Client;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;

/** The packaged application in a process of its own, with 512 MB of heap, an empty house and its owner. */
final class ServerUnderTest implements AutoCloseable {
    private static final String OWNER = "bench@brackenrow.example";
    private static final String PASSWORD = "bone and tallow";

    /** As the launcher starts it, which says so. */
    private static final List<String> AS_LAUNCHED =
            List.of(Objects.requireNonNull(System.getenv("ELVARO_JVM"), "started by './elvaro bench'")
                    .split(" "));

    private final Process process;
    private final int port;
    private final Client probe;

    private ServerUnderTest(Process process, int port) {
        this.process = process;
        this.port = port;
        probe = new Client(port);
    }

    /** Starts it on the database the environment names, and makes the owner. */
    static ServerUnderTest start(Path jar, Path log) throws IOException, InterruptedException {
        ServerUnderTest server = again(jar, log);
        String code = Launched.code(log);
        Client client = server.client();
        client.must(client.setUp(code, OWNER, PASSWORD));
        return server;
    }

    /** Starts it on data that are there. */
    static ServerUnderTest again(Path jar, Path log) throws IOException, InterruptedException {
        int port = Launched.freePort();
        List<String> command = new ArrayList<>(List.of("java"));
        command.addAll(AS_LAUNCHED);
        command.addAll(Unpacked.archived(jar, AS_LAUNCHED));
        ProcessBuilder builder =
                new ProcessBuilder(command).redirectErrorStream(true).redirectOutput(log.toFile());
        builder.environment().put("ELVARO_HTTP_PORT", String.valueOf(port));
        builder.environment().put("ELVARO_PACKS_A_MINUTE", "1000000");
        ServerUnderTest server = new ServerUnderTest(builder.start(), port);
        for (int tries = 0; !Launched.isReady("127.0.0.1", server.port); tries++) {
            if (!server.process.isAlive() || tries > 600) {
                throw new IllegalStateException("The server did not start:\n" + Files.readString(log));
            }
            Thread.sleep(200);
        }
        return server;
    }

    int port() {
        return port;
    }

    /**
     * Sends a pack as a probe does.
     *
     * @param form what it is written in: {@code json} or {@code cbor}
     */
    int pack(String token, String form, byte[] body) {
        return probe.plainly(
                "POST",
                "/devices/readings",
                Map.of("Authorization", "Bearer " + token, "Content-Type", "application/senml+" + form),
                body);
    }

    Client client() {
        return new Client(port);
    }

    Client signedIn() {
        Client client = client();
        client.must(client.signIn(OWNER, PASSWORD));
        return client;
    }

    Client owner() {
        return signedIn();
    }

    /** What the process holds of the machine's memory. */
    long residentMegabytes() throws IOException {
        return Files.readAllLines(Path.of("/proc/" + process.pid() + "/status")).stream()
                .filter(line -> line.startsWith("VmRSS"))
                .mapToLong(line -> Long.parseLong(line.replaceAll("\\D", "")) / 1024)
                .findFirst()
                .orElseThrow();
    }

    @Override
    public void close() throws InterruptedException {
        process.destroy();
        process.waitFor();
    }
}
