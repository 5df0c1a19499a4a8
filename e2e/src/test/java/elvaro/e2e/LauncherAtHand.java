package elvaro.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.util.HashMap;
import java.util.Map;
import java.util.concurrent.TimeUnit;

/** The launcher of one house in a folder, and what stands before the machine's own tools on its path. */
final class LauncherAtHand {
    final int httpPort = House.freePort();
    final int dbPort = House.freePort();
    final Path tools;
    final Map<String, String> environment = new HashMap<>();
    Path folder;

    /** @param tools of the path first, none at the beginning */
    LauncherAtHand(Path folder, Path tools) {
        this.folder = folder;
        this.tools = tools;
        environment.put("PATH", tools + ":" + System.getenv("PATH"));
    }

    ProcessBuilder launcher(String... words) {
        ProcessBuilder process = Launcher.on(folder, httpPort, dbPort, words);
        process.environment().putAll(environment);
        return process;
    }

    /** Runs it to its end, which is not far. */
    String said(String... words) throws Exception {
        Process process = launcher(words).start();
        assertThat(process.waitFor(90, TimeUnit.SECONDS)).isTrue();
        return new String(process.getInputStream().readAllBytes()).strip();
    }

    /** Puts a script in the place of a tool. */
    void pretend(String tool, String script) throws IOException {
        Path file = Files.writeString(tools.resolve(tool), "#!/bin/sh\n" + script + "\n");
        Files.setPosixFilePermissions(file, PosixFilePermissions.fromString("rwxr-xr-x"));
    }

    Process start() throws Exception {
        return start("start", "--empty");
    }

    /** Until it answers. */
    Process start(String... words) throws Exception {
        Path log = Files.createTempFile(tools, "launcher", ".log");
        Process running = launcher(words).redirectOutput(log.toFile()).start();
        House.awaitReady("http://127.0.0.1:" + httpPort, running, log);
        // Ready is not announced yet: the launcher looks once every fifth of a second.
        House.pause(1000);
        return running;
    }
}
