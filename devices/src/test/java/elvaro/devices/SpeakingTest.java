package elvaro.devices;

import static org.assertj.core.api.Assertions.assertThat;

import com.sun.net.httpserver.HttpServer;
import java.io.IOException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** The programs at their public contract: what they send, and what they do when nobody takes it. */
class SpeakingTest {
    @TempDir
    private Path folder;

    private final BlockingQueue<String> taken = new LinkedBlockingQueue<>();
    private volatile int answer;
    private int refusals;
    private HttpServer elvaro;
    private Thread device;

    @BeforeEach
    void open() throws IOException {
        elvaro = HttpServer.create(new InetSocketAddress(InetAddress.getLoopbackAddress(), 0), 0);
        elvaro.createContext("/", exchange -> {
            String body = new String(exchange.getRequestBody().readAllBytes(), StandardCharsets.UTF_8);
            taken.add(exchange.getRequestURI()
                    + " "
                    + exchange.getRequestHeaders().getFirst("Authorization")
                    + " "
                    + body);
            exchange.sendResponseHeaders(refusals-- > 0 ? 503 : answer, -1);
            exchange.close();
        });
        elvaro.start();
    }

    @AfterEach
    void close() throws InterruptedException {
        device.interrupt();
        device.join();
        elvaro.stop(0);
    }

    private interface Program {
        void run(String address) throws IOException, InterruptedException;
    }

    private void start(Program program) {
        device = new Thread(() -> {
            try {
                program.run("http://127.0.0.1:" + elvaro.getAddress().getPort());
            } catch (InterruptedException done) {
                Thread.currentThread().interrupt();
            } catch (IOException failure) {
                throw new IllegalStateException(failure);
            }
        });
        device.start();
    }

    private String next() throws InterruptedException {
        return taken.poll(20, TimeUnit.SECONDS);
    }

    private static int readings(String pack) {
        return pack.split("\"u\":\"Cel\"", -1).length - 1;
    }

    @Test
    void a_probe_keeps_what_was_not_taken_and_sends_it_with_the_next() throws IOException, InterruptedException {
        Path probes = Files.writeString(folder.resolve("probes"), "secret 2 80 NONE\n\n");
        answer = 200;
        refusals = 2;
        start(address -> Probe.main(new String[] {address, probes.toString(), "1"}));
        String first = next();
        assertThat(first)
                .startsWith("/devices/readings Bearer secret [{\"n\":\"probe:temperature\",\"u\":\"Cel\",\"t\":");
        assertThat(readings(first)).isEqualTo(1);
        assertThat(readings(next())).isEqualTo(2);
        assertThat(readings(next())).isEqualTo(3);
        assertThat(readings(next())).isEqualTo(1);
    }

    @Test
    void a_silent_probe_says_nothing() throws IOException, InterruptedException {
        Path probes = Files.writeString(folder.resolve("probes"), "mute 2 80 SILENT\nloud 2 80 NONE\n");
        answer = 200;
        start(address -> Probe.main(new String[] {address, probes.toString(), "1"}));
        for (int pack = 0; pack < 3; pack++) {
            assertThat(next()).contains("Bearer loud");
        }
    }

    private String nextUntil(String part) throws InterruptedException {
        String pack = next();
        while (pack != null && !pack.contains(part)) {
            pack = next();
        }
        return pack;
    }

    @Test
    void a_scale_shows_what_the_last_word_of_its_file_says() throws IOException, InterruptedException {
        Path laid = Files.writeString(folder.resolve("laid"), "0");
        answer = 204;
        start(address -> Scale.main(new String[] {address, "secret", laid.toString(), "5", "30"}));
        assertThat(next()).startsWith("/devices/weights Bearer secret [{\"n\":\"scale\",\"u\":\"kg\",\"v\":");
        Files.writeString(laid, "0\n4.215\n");
        assertThat(nextUntil("\"v\":4.21")).isNotNull();
        Files.writeString(laid, "tare");
        assertThat(nextUntil("\"v\":0.00")).isNotNull();
        Files.writeString(laid, "40");
        assertThat(nextUntil("scale:overload")).isNotNull();
        Files.writeString(laid, "much"); // no weight: what lies there stays
        assertThat(List.of(next(), next())).allMatch(pack -> pack.contains("scale:overload"));
    }
}
