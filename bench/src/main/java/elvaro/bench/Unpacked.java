package elvaro.bench;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;

/** The packaged application, unpacked, with an archive of its classes, as the launcher keeps it: it starts in half the time. */
final class Unpacked {
    private Unpacked() {}

    /** @return what is started */
    static Path in(Path folder, Path packed) throws IOException, InterruptedException {
        Path app = folder.resolve("unpacked");
        new ProcessBuilder(
                        "java",
                        "-Djarmode=tools",
                        "-jar",
                        packed.toString(),
                        "extract",
                        "--force",
                        "--destination",
                        app.toString())
                .inheritIO()
                .start()
                .waitFor();
        return app.resolve(packed.getFileName());
    }

    /**
     * Beside the packed one, and made anew after it; the archive is made on the database the environment names.
     *
     * @return the options and the name of what is started
     */
    static List<String> archived(Path packed, List<String> options) throws IOException, InterruptedException {
        Path folder = packed.resolveSibling("as-launched");
        Path archive = folder.resolve("classes.jsa");
        Path app = folder.resolve("unpacked").resolve(packed.getFileName());
        if (!Files.exists(archive)
                || Files.getLastModifiedTime(archive).compareTo(Files.getLastModifiedTime(packed)) < 0) {
            in(folder, packed);
            List<String> command = new ArrayList<>(List.of("java"));
            command.addAll(options);
            command.addAll(List.of(
                    "-XX:ArchiveClassesAtExit=" + archive, "-Dspring.context.exit=onRefresh", "-jar", app.toString()));
            ProcessBuilder making = new ProcessBuilder(command)
                    .redirectErrorStream(true)
                    .redirectOutput(folder.resolve("log").toFile());
            making.environment().put("ELVARO_HTTP_PORT", "0");
            making.start().waitFor();
        }
        return List.of("-XX:SharedArchiveFile=" + archive, "-jar", app.toString());
    }
}
