package elvaro.e2e;

import java.io.IOException;
import java.nio.channels.FileChannel;
import java.nio.channels.FileLock;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;

/**
 * The packaged application, unpacked and with an archive of its classes as the launcher keeps them, since tests start
 * it a dozen times. Made by whichever test process comes first; the others wait for it.
 */
final class Packaged {
    private static final Path BUILT =
            Path.of("../server/target").toAbsolutePath().normalize();
    private static final Path FOLDER = BUILT.resolve("app");

    static final Path JAR = FOLDER.resolve("elvaro.jar");

    /** Houses are started often and live for minutes: they do without what pays over hours only. */
    private static final List<String> FOR_MINUTES = List.of("-XX:TieredStopAtLevel=1", "-XX:+UseSerialGC");

    private static final Path CLASSES = FOLDER.resolve("elvaro.jsa");

    static final List<String> QUICK_TO_START = Stream.concat(
                    FOR_MINUTES.stream(), Stream.of("-XX:SharedArchiveFile=" + CLASSES))
            .toList();

    static {
        try (FileChannel lock = FileChannel.open(
                        BUILT.resolve("app.lock"), StandardOpenOption.CREATE, StandardOpenOption.WRITE);
                FileLock held = lock.lock()) {
            Path done = FOLDER.resolve("done");
            String stamp =
                    Files.getLastModifiedTime(BUILT.resolve("elvaro.jar")).toString();
            if (!Files.exists(done) || !Files.readString(done).equals(stamp)) {
                java(
                        List.of("-Djarmode=tools"),
                        BUILT.resolve("elvaro.jar"),
                        "extract",
                        "--force",
                        "--destination",
                        FOLDER.toString());
                List<String> archive = new ArrayList<>(FOR_MINUTES);
                archive.add("-XX:ArchiveClassesAtExit=" + CLASSES);
                archive.add("-Dspring.context.exit=onRefresh");
                java(archive, JAR);
                Files.writeString(done, stamp);
            }
        } catch (IOException failure) {
            throw new IllegalStateException(failure);
        }
    }

    private Packaged() {}

    private static void java(List<String> options, Path jar, String... words) throws IOException {
        ProcessBuilder process = new ProcessBuilder("java").redirectErrorStream(true);
        process.command().addAll(options);
        process.command().addAll(List.of("-jar", jar.toString()));
        process.command().addAll(List.of(words));
        process.environment().put("ELVARO_HTTP_PORT", "0");
        String database = System.getenv("ELVARO_DB_URL") + "_archive";
        process.environment().put("ELVARO_DB_URL", database);
        process.environment().put("ELVARO_DB_OWNER_URL", database + "?createDatabaseIfNotExist=true");
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
