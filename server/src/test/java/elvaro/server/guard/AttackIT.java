package elvaro.server.guard;

import static elvaro.server.support.Pictures.picture;
import static org.assertj.core.api.Assertions.assertThat;

import elvaro.server.support.Bodies;
import elvaro.server.support.Client;
import elvaro.server.support.RunningApp;
import elvaro.server.support.RunningApp.Someone;
import java.io.IOException;
import java.io.OutputStream;
import java.net.InetSocketAddress;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.UUID;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** People who send what no screen sends. After each of them the next honest request is answered. */
@ExtendWith(RunningApp.class)
class AttackIT {
    private static final Duration AT_ONCE = Duration.ofSeconds(4);

    private static void isAnswered(Client honest) {
        long began = System.nanoTime();
        assertThat(honest.get("/api/session").status()).isEqualTo(200);
        honest.chamber("Room " + UUID.randomUUID(), 100_000);
        assertThat(Duration.ofNanos(System.nanoTime() - began)).isLessThan(AT_ONCE);
    }

    private static int json(Client client, String method, String path, String body) {
        return client.bytes(method, path, "application/json", body.getBytes(StandardCharsets.UTF_8))
                .statusCode();
    }

    @Test
    void a_hundred_thousand_empty_items_are_turned_away_unread_and_fewer_at_the_first(Someone owner) {
        Client hand = owner.benchHand();
        String trial = "/api/trials/" + UUID.randomUUID();
        String many = "{\"arms\":[" + "{},".repeat(99_999) + "{}]}";
        assertThat(json(hand, "PUT", trial, many)).isEqualTo(413);
        String fewer = "{\"arms\":[" + "{},".repeat(40_000) + "{}]}";
        assertThat(json(hand, "PUT", trial, fewer)).isBetween(400, 422);
        assertThat(json(hand, "PUT", trial, "[".repeat(100_000))).isEqualTo(400);
        isAnswered(owner.client());
    }

    @Test
    void sixty_megabytes_are_read_by_no_route_that_people_type_into(Someone owner) {
        String filled = "{\"name\":\"" + "a".repeat(60_000_000) + "\"}";
        assertThat(json(owner.client(), "PUT", "/api/chambers/" + UUID.randomUUID(), filled))
                .isEqualTo(413);
        isAnswered(owner.client());
    }

    /** Half of them begin a body and send a byte now and then, half never end the head of their request. */
    @Test
    void two_hundred_slow_connections_do_not_keep_others_waiting(Someone owner) throws Exception {
        List<Socket> slow = new ArrayList<>();
        AtomicBoolean stop = new AtomicBoolean();
        String head = "POST /api/setup HTTP/1.1\r\nHost: localhost\r\nContent-Type: application/json\r\n";
        String token = owner.client().get("/api/session").body().toString(); // the honest one is in before
        assertThat(token).contains("Owner");
        for (int each = 0; each < 200; each++) {
            Socket socket = new Socket();
            socket.bind(new InetSocketAddress("127.0.0.2", 0));
            socket.connect(new InetSocketAddress("127.0.0.1", RunningApp.port()));
            String begun = each % 2 == 0 ? head + "Content-Length: 9000\r\n\r\n{" : head;
            socket.getOutputStream().write(begun.getBytes(StandardCharsets.US_ASCII));
            slow.add(socket);
        }
        Thread trickle = new Thread(() -> {
            while (!stop.get()) {
                slow.forEach(AttackIT::oneByteMore);
                pause(500);
            }
        });
        trickle.start();
        try {
            for (int time = 0; time < 10; time++) {
                isAnswered(owner.client());
                pause(300);
            }
        } finally {
            stop.set(true);
            trickle.join();
            for (Socket socket : slow) {
                socket.close();
            }
        }
        isAnswered(owner.client());
    }

    private static void oneByteMore(Socket socket) {
        try {
            OutputStream out = socket.getOutputStream();
            out.write(' ');
            out.flush();
        } catch (IOException ended) {
            // By the server, as it should.
        }
    }

    private static void pause(int millis) {
        try {
            Thread.sleep(millis);
        } catch (InterruptedException ending) {
            Thread.currentThread().interrupt();
        }
    }

    @Test
    void pictures_made_to_fill_the_memory_are_told_by_their_heads_and_real_ones_are_taken_eight_at_once(Someone owner) {
        Client client = owner.client();
        String piece = client.hang(client.chamber("Larder", 100_000), 4000).get(0);
        String look = UUID.randomUUID().toString();
        client.must(client.put("/api/pieces/%s/looks/%s".formatted(piece, look), Bodies.lookBody()));
        String photos = "/api/pieces/%s/looks/%s/photos/".formatted(piece, look);
        byte[] bomb = picture("png", 7700, 7700);
        assertThat(bomb.length).isLessThan(1_000_000);
        long began = System.nanoTime();
        assertThat(client.bytes("PUT", photos + UUID.randomUUID(), bomb).statusCode())
                .isEqualTo(413);
        assertThat(Duration.ofNanos(System.nanoTime() - began)).isLessThan(AT_ONCE);
        byte[] passes = picture("jpg", 4000, 4000);
        byte[] many = java.util.Arrays.copyOf(passes, passes.length + 200);
        for (int at = passes.length; at < many.length; at += 2) {
            many[at] = (byte) 0xff;
            many[at + 1] = (byte) 0xda;
        }
        assertThat(client.bytes("PUT", photos + UUID.randomUUID(), many).statusCode())
                .isEqualTo(413);
        byte[] real = picture("jpg", 6000, 4000);
        List<Integer> answers = IntStream.range(0, 8)
                .parallel()
                .mapToObj(each ->
                        client.bytes("PUT", photos + UUID.randomUUID(), real).statusCode())
                .toList();
        assertThat(answers).containsOnly(204);
        isAnswered(client);
    }

    @Test
    void a_person_watches_scales_on_so_many_screens_and_no_more(Someone owner) {
        Client client = owner.client();
        String scale = UUID.randomUUID().toString();
        client.deviceToken(scale, null);
        String figures = "/api/scales/%s/figures".formatted(scale);
        List<Stream<String>> screens = new ArrayList<>();
        for (int each = 0; each < 8; each++) {
            screens.add(client.events(figures));
        }
        assertThat(client.get(figures).status()).isEqualTo(429);
        screens.forEach(Stream::close);
    }

    /** Nobody's: whoever has no session, no link and no token is turned away before what they send is looked at. */
    @Test
    void what_a_device_sends_is_read_once_its_token_is_known(Someone owner) {
        assertThat(owner.client()
                        .pack("nobody", "[" + " ".repeat(1_900_000) + "]")
                        .status())
                .isEqualTo(401);
    }

    /** Seeded: the same thousand every time. */
    @Test
    void after_a_thousand_hostile_requests_on_every_route_the_next_honest_one_is_answered(Someone owner) {
        Random chance = new Random(23);
        Client hand = owner.benchHand();
        List<String[]> routes = RunningApp.mapping().getHandlerMethods().keySet().stream()
                .flatMap(route -> route.getPatternValues().stream()
                        .flatMap(path -> route.getMethodsCondition().getMethods().stream()
                                .map(method -> new String[] {method.name(), path})))
                .filter(route -> !route[1].contains("sign-out"))
                .sorted(java.util.Comparator.comparing(route -> route[1] + route[0]))
                .toList();
        assertThat(routes).hasSizeGreaterThan(150);
        List<String> failed = new ArrayList<>();
        for (int each = 0; each < 1000; each++) {
            String[] route = routes.get(each % routes.size());
            String path = route[1].replaceAll(
                    "\\{[^}]+}", chance.nextBoolean() ? UUID.randomUUID().toString() : "7");
            String hostile = hostile(chance, 0);
            String body = route[0].equals("GET") ? "" : hostile.substring(0, Math.min(hostile.length(), 300_000));
            int status = path.contains("/figures") ? 404 : json(hand, route[0], path, body);
            if (status >= 500 && status != 503) {
                failed.add("%s %s: %d to %.200s".formatted(route[0], path, status, body));
            }
        }
        assertThat(failed).isEmpty();
        isAnswered(owner.client());
    }

    /** Words of the trade where a number belongs, numbers beyond all measure, and nests of everything. */
    private static String hostile(Random chance, int depth) {
        return switch (chance.nextInt(depth > 3 ? 6 : 9)) {
            case 0 -> "null";
            case 1 -> String.valueOf(chance.nextLong());
            case 2 -> "1e" + chance.nextInt(400_000);
            case 3 -> "\"" + "\u0000\\u0000é".repeat(chance.nextInt(2000)).replace("\u0000", "x") + "\"";
            case 4 -> "-0.0";
            case 5 -> "[".repeat(chance.nextInt(80)) + "]".repeat(chance.nextInt(80));
            case 6 -> "[" + (hostile(chance, depth + 1) + ",").repeat(chance.nextInt(200 >> 2 * depth)) + "0]";
            default ->
                "{"
                        + Map.of("version", 1, "name", 2, "grams", 3, "answers", 4, "pieces", 5, "arms", 6)
                                .keySet()
                                .stream()
                                .sorted()
                                .map(name -> "\"%s\":%s".formatted(name, hostile(chance, depth + 1)))
                                .reduce((a, b) -> a + "," + b)
                                .orElse("")
                        + "}";
        };
    }
}
