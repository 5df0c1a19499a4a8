package elvaro.devices.bridge;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.InputStream;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** At a pseudo-terminal, whose other end is a scale. */
class SerialScaleTest {
    @TempDir
    Path folder;

    private final ElvaroAtHand elvaro = new ElvaroAtHand();
    private Process cable;

    /** Lays the cable; the scale's end is what the program reads and writes. */
    private void plugIn() throws Exception {
        cable = new ProcessBuilder("socat", "-", "pty,raw,echo=0,link=" + folder.resolve("port")).start();
        Eventually.is(() -> Files.exists(folder.resolve("port")));
    }

    @AfterEach
    void end() {
        elvaro.close();
        cable.destroy();
    }

    private Bridge bridge(String more) throws Exception {
        return Bridge.start(Files.writeString(folder.resolve("bridge.yaml"), """
                elvaro: %s
                queue: %s
                scales:
                  - { name: Block, token: b, port: %s, %s }
                """.formatted(
                        elvaro.address(), folder.resolve("queue"), folder.resolve("port"), more)));
    }

    private void writes(String lines) throws Exception {
        OutputStream scale = cable.getOutputStream();
        scale.write(lines.getBytes(StandardCharsets.US_ASCII));
        scale.flush();
    }

    @Test
    void a_scale_that_speaks_by_itself_is_heard_and_found_again_after_it_was_unplugged() throws Exception {
        plugIn();
        try (Bridge bridge = bridge("pattern: commas")) {
            Eventually.is(() -> {
                writes("US,GS,+  2.100kg\r\nST,GS,+  4.215kg\r\n");
                return elvaro.heard("b").contains("4215.0");
            });
            cable.destroy();
            cable.waitFor();
            Files.deleteIfExists(folder.resolve("port"));
            plugIn();
            Eventually.is(() -> {
                writes("ST,GS,+  0.980kg\r\n");
                return elvaro.heard("b").contains("980.0");
            });
        }
    }

    @Test
    void a_scale_that_must_be_asked_is_asked() throws Exception {
        plugIn();
        try (Bridge bridge = bridge("pattern: letters, ask: 'S\\r\\n', unit: lb")) {
            InputStream question = cable.getInputStream();
            assertThat(new String(question.readNBytes(3), StandardCharsets.US_ASCII))
                    .isEqualTo("S\r\n");
            Eventually.is(() -> {
                writes("S S      9.29 lb\r\n");
                return elvaro.heard("b").contains("4213.9");
            });
        }
    }
}
