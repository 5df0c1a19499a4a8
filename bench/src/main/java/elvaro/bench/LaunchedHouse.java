package elvaro.bench;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.Map;
import java.util.Optional;

/** An empty house in a folder of its own, opened and kept open by the launcher, whose parts are killed. */
final class LaunchedHouse implements AutoCloseable {
    private static final int READY_SECONDS = 240;

    private final Path launcherScript;
    private final String command;
    private final Path folder;
    private final Path jar;
    private final int httpPort = Launched.freePort();
    private final int dbPort = Launched.freePort();
    private Process launcher;

    /**
     * @param launcherScript of the sources
     * @param packed the packaged application
     * @param command {@code start} or {@code cluster}
     */
    LaunchedHouse(Path launcherScript, Path packed, String command) throws IOException, InterruptedException {
        this.launcherScript = launcherScript;
        this.command = command;
        folder = Files.createTempDirectory("elvaro-kills");
        jar = Unpacked.in(folder, packed);
        open("-XX:ArchiveClassesAtExit=" + archive());
        end(); // with the archive written it starts in half the time
        open("-XX:SharedArchiveFile=" + archive());
    }

    private Path archive() {
        return folder.resolve("classes.jsa");
    }

    private void open(String javaOption) throws IOException, InterruptedException {
        launcher = launching(javaOption).start();
        awaitReady(javaOption);
    }

    private ProcessBuilder launching(String javaOption) {
        ProcessBuilder process = new ProcessBuilder(
                        launcherScript.toString(),
                        command,
                        "--empty",
                        "--dir",
                        folder.toString(),
                        "--http-port",
                        String.valueOf(httpPort),
                        "--db-port",
                        String.valueOf(dbPort))
                .redirectErrorStream(true)
                .redirectOutput(ProcessBuilder.Redirect.appendTo(log().toFile()));
        process.environment().keySet().removeIf(name -> name.startsWith("ELVARO_DB_"));
        process.environment()
                .putAll(Map.of(
                        "ELVARO_JAR",
                        jar.toString(),
                        "ELVARO_NIGHT",
                        "never",
                        "ELVARO_PACKS_A_MINUTE",
                        "1000000", // it is not what is tried here
                        "JAVA_TOOL_OPTIONS",
                        "-XX:TieredStopAtLevel=1 " + javaOption));
        return process;
    }

    /** Until it is served; after a few deaths in an hour the launcher gives up, as it should: somebody starts it again. */
    void awaitReady() throws IOException, InterruptedException {
        awaitReady("-XX:SharedArchiveFile=" + archive());
    }

    private void awaitReady(String javaOption) throws IOException, InterruptedException {
        Instant deadline = Instant.now().plusSeconds(READY_SECONDS);
        while (!Launched.isReady("127.0.0.1", httpPort)) {
            if (!launcher.isAlive()) {
                launcher = launching(javaOption).start();
            }
            if (Instant.now().isAfter(deadline)) {
                throw new IllegalStateException(Files.readString(log()));
            }
            Thread.sleep(100);
        }
    }

    int httpPort() {
        return httpPort;
    }

    String code() throws IOException {
        return Launched.code(folder.resolve("log/app.log"));
    }

    private Path log() {
        return folder.resolve("launcher.log");
    }

    String said() throws IOException {
        return Files.readString(log());
    }

    /** @return whether this part of it runs: app, db, app1, balancer … */
    boolean runs(String part) {
        return process(part).map(ProcessHandle::isAlive).orElse(false);
    }

    /** @return whether there was anything to kill: it may just be started again */
    boolean kill(String part) {
        return process(part).filter(ProcessHandle::destroyForcibly).isPresent();
    }

    private Optional<ProcessHandle> process(String part) {
        try {
            String pid =
                    Files.readString(folder.resolve("run/" + part + ".pid")).strip();
            return pid.isEmpty() ? Optional.empty() : ProcessHandle.of(Long.parseLong(pid));
        } catch (IOException justMade) {
            return Optional.empty();
        }
    }

    /** @return the socket of its database */
    String socket() {
        return folder.resolve("run/db.sock").toString();
    }

    /** @return the socket of a node of its cluster, as the launcher names it */
    String socket(int node) throws IOException {
        String name = "printf '/tmp/elvaro-%%s/%%s-%d.sock' $(id -u) $(printf '%%s' '%s' | cksum | cut -d' ' -f1)";
        Process bash = new ProcessBuilder("bash", "-c", name.formatted(node, folder)).start();
        return new String(bash.getInputStream().readAllBytes());
    }

    private void end() throws InterruptedException {
        launcher.destroy();
        launcher.waitFor();
    }

    @Override
    public void close() throws InterruptedException {
        end();
    }
}
