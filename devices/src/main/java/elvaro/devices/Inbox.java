package elvaro.devices;

import com.sun.net.httpserver.HttpExchange;
import com.sun.net.httpserver.HttpServer;
import java.io.IOException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.GeneralSecurityException;
import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Properties;
import org.subethamail.smtp.server.SMTPServer;

/**
 * A mail server and a push service that are not there, with the people's mailboxes and phones behind them: what the house
 * sends is kept in memory and read on a page. Beside it lies a file that says how they are reached.
 */
public final class Inbox implements AutoCloseable {
    private static final int LARGEST_PUSH = 5_000;

    private final ReceivedMessages received = new ReceivedMessages();
    private final Map<String, SimulatedPhone> phones = new LinkedHashMap<>();
    private final SMTPServer mail;
    private final HttpServer http;

    /**
     * @param mailPort of the mail server, and {@code pagePort} of push service and page; 0 for any
     * @param secrets a file in which the phones' keys are kept, so that a phone is the same after the next start
     * @param people whose phones there are
     */
    public Inbox(int mailPort, int pagePort, Path secrets, String... people)
            throws IOException, GeneralSecurityException {
        Properties keys = new Properties();
        if (Files.exists(secrets)) {
            keys.load(Files.newBufferedReader(secrets));
        }
        for (String person : people) {
            phones.put(person, SimulatedPhone.of(keys, person));
        }
        try (var out = Files.newBufferedWriter(secrets)) {
            keys.store(out, null);
        }
        mail = SMTPServer.port(mailPort)
                .bindAddress(InetAddress.getLoopbackAddress())
                .messageHandler((context, from, to, data) -> received.mail(to, data))
                .build();
        http = HttpServer.create(new InetSocketAddress(InetAddress.getLoopbackAddress(), pagePort), 0);
        http.createContext("/push/", this::push);
        http.createContext("/messages.json", exchange -> answer(exchange, 200, "application/json", received.json()));
        http.createContext("/", exchange -> answer(exchange, 200, "text/html;charset=utf-8", received.page()));
    }

    public void start() {
        mail.start();
        http.start();
    }

    @Override
    public void close() {
        mail.stop();
        http.stop(0);
    }

    public int mailPort() {
        return mail.getPortAllocated();
    }

    public int pagePort() {
        return http.getAddress().getPort();
    }

    public ReceivedMessages received() {
        return received;
    }

    /** How mail server and phones are reached, for the demo: {@code mail} and {@code page} are ports, each phone {@code ENDPOINT KEY SECRET}. */
    public Properties reachedBy() {
        Properties reached = new Properties();
        reached.setProperty("mail", String.valueOf(mailPort()));
        reached.setProperty("page", String.valueOf(pagePort()));
        phones.forEach((person, phone) -> reached.setProperty(
                person,
                "http://127.0.0.1:%d/push/%s %s %s".formatted(pagePort(), person, phone.openKey(), phone.shared())));
        return reached;
    }

    private void push(HttpExchange exchange) throws IOException {
        String person = exchange.getRequestURI().getPath().substring("/push/".length());
        SimulatedPhone phone = phones.get(person);
        byte[] body = exchange.getRequestBody().readNBytes(LARGEST_PUSH);
        if (phone == null) {
            answer(exchange, 404, "text/plain", "There is no such phone.");
            return;
        }
        String authorization = String.valueOf(exchange.getRequestHeaders().getFirst("Authorization"));
        try {
            SimulatedPhone.verify(authorization, "http://127.0.0.1:" + pagePort(), Instant.now());
            received.push(person, phone.open(body), exchange.getRequestHeaders().getFirst("Urgency"));
            answer(exchange, 201, "text/plain", "");
        } catch (GeneralSecurityException | RuntimeException wrong) {
            answer(exchange, 403, "text/plain", String.valueOf(wrong.getMessage()));
        }
    }

    private static void answer(HttpExchange exchange, int status, String type, String text) throws IOException {
        byte[] bytes = text.getBytes(StandardCharsets.UTF_8);
        exchange.getResponseHeaders().set("Content-Type", type);
        exchange.sendResponseHeaders(status, bytes.length == 0 ? -1 : bytes.length);
        if (bytes.length > 0) {
            exchange.getResponseBody().write(bytes);
        }
        exchange.close();
    }

    /** @param arguments mail port, page port, file of keys, file that says how all is reached, and the people */
    public static void main(String[] arguments) throws IOException, GeneralSecurityException {
        if (arguments.length < 5) {
            System.err.println("Usage: Inbox MAIL_PORT PAGE_PORT KEYS REACHED PERSON …");
            System.exit(2);
        }
        String[] people = new String[arguments.length - 4];
        System.arraycopy(arguments, 4, people, 0, people.length);
        Inbox inbox = new Inbox(
                Integer.parseInt(arguments[0]), Integer.parseInt(arguments[1]), Path.of(arguments[2]), people);
        inbox.start();
        Path reached = Path.of(arguments[3]);
        Path half = reached.resolveSibling(reached.getFileName() + ".new");
        try (var out = Files.newBufferedWriter(half)) {
            inbox.reachedBy().store(out, null);
        }
        Files.move(half, reached, java.nio.file.StandardCopyOption.REPLACE_EXISTING);
    }
}
