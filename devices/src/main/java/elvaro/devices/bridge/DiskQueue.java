package elvaro.devices.bridge;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * Records of one device that Elvaro has not taken yet, on disk, in parts that are sent whole. What may have been sent already
 * is sent again after a restart: Elvaro keeps it once.
 */
final class DiskQueue {
    /** So many records a part: well under what a pack may hold. */
    private static final int PART = 1_000;

    /** A month and a half of temperature and humidity every minute; beyond it the oldest part is given up, and that is said. */
    private static final int MOST_PARTS = 130;

    private static final String ENDING = ".jsonl";

    private final Path folder;
    private @Nullable FileChannel open;
    private Path openPart = Path.of("");
    private int records;
    private int next;

    DiskQueue(Path folder) throws IOException {
        this.folder = folder;
        Files.createDirectories(folder);
        List<Path> parts = parts();
        next = parts.isEmpty() ? 1 : number(parts.get(parts.size() - 1)) + 1;
    }

    private static int number(Path part) {
        return Integer.parseInt(part.getFileName().toString().replace(ENDING, ""));
    }

    private List<Path> parts() throws IOException {
        try (Stream<Path> files = Files.list(folder)) {
            return files.filter(file -> file.getFileName().toString().matches("\\d{8}\\.jsonl"))
                    .sorted()
                    .collect(Collectors.toCollection(ArrayList::new));
        }
    }

    /** On the disk once this returns. */
    synchronized void add(String record) throws IOException {
        if (open == null) {
            openPart = folder.resolve("%08d%s".formatted(next++, ENDING));
            open = FileChannel.open(openPart, StandardOpenOption.CREATE_NEW, StandardOpenOption.WRITE);
            records = 0;
        }
        ByteBuffer line = ByteBuffer.wrap((record + "\n").getBytes(StandardCharsets.UTF_8));
        while (line.hasRemaining()) {
            open.write(line);
        }
        open.force(false);
        if (++records >= PART) {
            closePart();
        }
    }

    private void closePart() throws IOException {
        if (open != null) {
            open.close();
            open = null;
        }
    }

    /** Records that are sent together, and the file they are in. */
    record Part(Path file, List<String> records) {}

    /**
     * The oldest; what comes from now on goes into another.
     *
     * @return nothing where all was taken
     */
    synchronized Optional<Part> oldest() throws IOException {
        List<Path> parts = parts();
        while (parts.size() > MOST_PARTS) {
            System.err.printf("%s is full; its oldest part was given up.%n", folder);
            Files.delete(parts.remove(0));
        }
        if (parts.isEmpty()) {
            return Optional.empty();
        }
        Path first = parts.get(0);
        if (first.equals(openPart)) {
            closePart();
        }
        String text = Files.readString(first);
        // A line that was being written as the machine stopped has no end.
        List<String> lines = text.lines()
                .limit(text.chars().filter(each -> each == '\n').count())
                .toList();
        if (lines.isEmpty()) {
            Files.delete(first);
            return oldest();
        }
        return Optional.of(new Part(first, lines));
    }

    /**
     * It needs not be sent again.
     *
     * @param refused what of it can never be taken; it is put aside for a person to look at
     */
    synchronized void done(Part part, List<String> refused) throws IOException {
        if (!refused.isEmpty()) {
            Path aside = Files.createDirectories(folder.resolve("refused"));
            Files.write(aside.resolve(part.file().getFileName()), refused);
        }
        Files.delete(part.file());
    }
}
