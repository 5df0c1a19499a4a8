package elvaro.e2e;

import java.io.IOException;
import java.nio.channels.FileChannel;
import java.nio.channels.FileLock;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.util.List;

/**
 * The packaged application, unpacked and with an archive of its classes as the launcher keeps them, since tests start
 * it a dozen times. Made by whichever test process comes first; the others wait for it.
 */
final class Packaged {
    private static final Path BUILT =
            Path.of("../server/target").toAbsolutePath().normalize();
    private static final Path FOLDER = BUILT.resolve("app");

    static final Path JAR = FOLDER.resolve("elvaro.jar");
    static final String CLASSES = "-XX:SharedArchiveFile=" + FOLDER.resolve("elvaro.jsa");

    static {
        try (FileChannel lock = FileChannel.open(
                        BUILT.resolve("app.lock"), StandardOpenOption.CREATE, StandardOpenOption.WRITE);
                FileLock held = lock.lock()) {
            Path done = FOLDER.resolve("done");
            String stamp =
                    Files.getLastModifiedTime(BUILT.resolve("elvaro.jar")).toString();
            if (!Files.exists(done) || !Files.readString(done).equals(stamp)) {
                java(
                        "-Djarmode=tools",
                        "-jar",
                        BUILT.resolve("elvaro.jar").toString(),
                        "extract",
                        "--force",
                        "--destination",
                        FOLDER.toString());
                java(
                        CLASSES.replace("SharedArchiveFile", "ArchiveClassesAtExit"),
                        House.QUICK_TO_START,
                        "-Dspring.context.exit=onRefresh",
                        "-jar",
                        JAR.toString());
                Files.writeString(done, stamp);
            }
        } catch (IOException failure) {
            throw new IllegalStateException(failure);
        }
    }

    private Packaged() {}

    private static void java(String... words) throws IOException {
        ProcessBuilder process = new ProcessBuilder("java").redirectErrorStream(true);
        process.command().addAll(List.of(words));
        process.environment().put("ELVARO_HTTP_PORT", "0");
        process.environment().compute("ELVARO_DB_URL", (name, url) -> url + "_archive?createDatabaseIfNotExist=true");
        Path log = Files.createTempFile(BUILT, "packaged", ".log");
        try {
            if (process.redirectOutput(log.toFile()).start().waitFor() != 0) {
                throw new IllegalStateException(Files.readString(log));
            }
        } catch (InterruptedException interrupted) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException(interrupted);
        } finally {
            Files.delete(log);
        }
    }
}
