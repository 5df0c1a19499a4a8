package elvaro.server.backup;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.DateTimeException;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;

/**
 * How the last backup ended, and the last trial of restoring one, as the launcher wrote it down: a word, a moment, and into
 * which file or why not.
 */
@Component
public class LastBackup {
    private static final String CHECKED = "backup.checked";
    private static final String FOLDERS = "backup.to";

    private final Optional<Path> file;

    /** @param file where the launcher writes it, its neighbours beside it; empty where nobody does */
    LastBackup(@Value("${elvaro.backup-file}") String file) {
        this.file = file.isEmpty() ? Optional.empty() : Optional.of(Path.of(file));
    }

    /**
     * An attempt.
     *
     * @param made whether it went well
     * @param words into which file, or why not
     */
    public record Attempt(boolean made, Instant at, String words) {}

    /** The last backup; empty where none was tried yet. */
    public Optional<Attempt> last() {
        return file.flatMap(path -> attempt(path, "made"));
    }

    /** The last time one was restored beside the house and looked at; empty where none was yet. */
    Optional<Attempt> checked() {
        return file.flatMap(path -> attempt(path.resolveSibling(CHECKED), "whole"));
    }

    /** Where they go by themselves; empty where nobody chose, or they do not. */
    List<String> folders() {
        return file.map(path -> lines(path.resolveSibling(FOLDERS))).orElse(List.of());
    }

    /** Whether this house writes any by itself. */
    boolean byItself() {
        return file.isPresent();
    }

    private static Optional<Attempt> attempt(Path path, String well) {
        try {
            String[] parts = String.join(" ", lines(path)).split(" ", 3);
            return Optional.of(
                    new Attempt(parts[0].equals(well), Instant.parse(parts[1]), parts.length > 2 ? parts[2] : ""));
        } catch (DateTimeException | ArrayIndexOutOfBoundsException none) {
            return Optional.empty();
        }
    }

    private static List<String> lines(Path path) {
        try {
            return Files.readAllLines(path);
        } catch (IOException none) {
            return List.of();
        }
    }
}
