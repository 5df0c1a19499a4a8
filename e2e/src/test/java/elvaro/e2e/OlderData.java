package elvaro.e2e;

import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.MessageDigest;
import java.util.HexFormat;

/** What earlier versions wrote, as the backups of the first kind, which were not signed. */
final class OlderData {
    private OlderData() {}

    /** @param step the newest step of the schema it has been through */
    static Path backup(int step, Path into) throws Exception {
        Path data = into.resolve("data.sql.gz");
        try (InputStream dump =
                OlderData.class.getResourceAsStream("/data-of-older-versions/step-" + step + ".sql.gz")) {
            Files.write(data, dump.readAllBytes());
        }
        String sum =
                HexFormat.of().formatHex(MessageDigest.getInstance("SHA-256").digest(Files.readAllBytes(data)));
        Files.writeString(
                into.resolve("about"),
                "elvaro-backup 1\nmade 2026-11-24T12:00:00Z\nhouse empty\nschema %d\nsha256 %s\n".formatted(step, sum));
        Path file = into.resolve("step-" + step + ".backup");
        Process packed = new ProcessBuilder("tar", "-cf", file.toString(), "about", "data.sql.gz")
                .directory(into.toFile())
                .inheritIO()
                .start();
        if (packed.waitFor() != 0) {
            throw new IllegalStateException("tar failed");
        }
        return file;
    }
}
