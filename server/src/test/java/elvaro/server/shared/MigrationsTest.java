package elvaro.server.shared;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.MessageDigest;
import java.util.HexFormat;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** A step of the schema that was taken somewhere is not changed any more: data that took it would be refused. */
class MigrationsTest {
    private static final Path STEPS = Path.of("src/main/resources/db/migration");
    private static final Path SUMS = Path.of("src/test/resources/migrations.sha256");

    @Test
    void a_step_once_taken_stays_as_it_was() throws Exception {
        Map<String, String> known = Files.readAllLines(SUMS).stream()
                .map(line -> line.split("  "))
                .collect(Collectors.toMap(each -> each[1], each -> each[0]));
        List<Path> steps;
        try (Stream<Path> files = Files.list(STEPS)) {
            steps = files.toList();
        }
        assertThat(steps)
                .as("a new step is written down: sha256sum its file into " + SUMS)
                .allSatisfy(
                        step -> assertThat(known).containsKey(step.getFileName().toString()));
        assertThat(steps)
                .as("what is to change in the schema is a new step")
                .allSatisfy(step -> assertThat(sum(step))
                        .isEqualTo(known.get(step.getFileName().toString())))
                .hasSameSizeAs(known.entrySet());
    }

    private static String sum(Path file) throws IOException {
        try {
            return HexFormat.of().formatHex(MessageDigest.getInstance("SHA-256").digest(Files.readAllBytes(file)));
        } catch (java.security.NoSuchAlgorithmException impossible) {
            throw new IllegalStateException(impossible);
        }
    }
}
