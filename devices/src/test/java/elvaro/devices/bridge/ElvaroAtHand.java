package elvaro.devices.bridge;

import com.sun.net.httpserver.HttpExchange;
import com.sun.net.httpserver.HttpServer;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.InetSocketAddress;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.Executors;
import java.util.concurrent.atomic.AtomicInteger;

/** Answers as Elvaro does, and remembers what it was told, by token; or is away. */
final class ElvaroAtHand implements AutoCloseable {
    private static final Map<String, String> SAYS = Map.of(
            "/api/v1/chambers",
            "[{\"id\":\"1b\",\"name\":\"North Room\",\"probe\":\"WELL\",\"celsius\":7.4,\"humidityPercent\":80}]",
            "/api/v1/alarms",
            "[{\"chamberId\":\"1b\",\"words\":\"7.4 °C, above 5 °C\"},{\"chamberId\":\"1b\",\"words\":\"over\",\"endedAt\":\"x\"}]");

    private final Map<String, String> heard = new ConcurrentHashMap<>();
    private final AtomicInteger turnedAway = new AtomicInteger();
    private final AtomicInteger asked = new AtomicInteger();
    private final HttpServer server;
    private volatile boolean away;

    ElvaroAtHand() {
        try {
            server = HttpServer.create(new InetSocketAddress("127.0.0.1", 0), 0);
        } catch (IOException none) {
            throw new UncheckedIOException(none);
        }
        server.createContext("/", this::answer);
        server.setExecutor(Executors.newCachedThreadPool());
        server.start();
    }

    private void answer(HttpExchange exchange) throws IOException {
        String body = new String(exchange.getRequestBody().readAllBytes(), StandardCharsets.UTF_8);
        String path = exchange.getRequestURI().getPath();
        String token = exchange.getRequestHeaders().getFirst("Authorization").replace("Bearer ", "");
        if (away) {
            turnedAway.incrementAndGet();
            exchange.sendResponseHeaders(503, -1);
        } else if (path.startsWith("/api")) {
            asked.incrementAndGet();
            byte[] says = SAYS.get(path).getBytes(StandardCharsets.UTF_8);
            exchange.sendResponseHeaders(200, says.length);
            exchange.getResponseBody().write(says);
        } else if (body.contains("850")) { // as a broken sensor says
            byte[] says = "{\"detail\":\"850 is out of range.\"}".getBytes(StandardCharsets.UTF_8);
            exchange.sendResponseHeaders(422, says.length);
            exchange.getResponseBody().write(says);
        } else {
            heard.merge(token, body, String::concat);
            exchange.sendResponseHeaders(path.endsWith("weights") ? 204 : 200, -1);
        }
        exchange.close();
    }

    String address() {
        return "http://127.0.0.1:" + server.getAddress().getPort();
    }

    String heard(String token) {
        return heard.getOrDefault(token, "");
    }

    int turnedAway() {
        return turnedAway.get();
    }

    int asked() {
        return asked.get();
    }

    void isAway(boolean now) {
        away = now;
    }

    @Override
    public void close() {
        server.stop(0);
    }
}
