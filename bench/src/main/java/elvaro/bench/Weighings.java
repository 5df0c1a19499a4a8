package elvaro.bench;

import elvaro.server.support.Bodies;
import elvaro.server.support.Client;
import java.io.IOException;
import java.net.InetSocketAddress;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;

/**
 * Weighings one after the other, and the same while 200 connections from another address each send a byte now and then; how soon
 * bodies that no screen sends are turned away; then how long the whole record takes to check.
 */
public final class Weighings {
    private static final int PIECES = 10;
    private static final int GRAMS = 4000;
    private static final int PER_SECOND = 20;
    private static final int SECONDS = 20;
    private static final int SLOW = 200;

    private Weighings() {}

    /** @param arguments the packaged application */
    public static void main(String[] arguments) throws Exception {
        Path log = Files.createTempFile("elvaro-bench", ".log");
        try (ServerUnderTest server = ServerUnderTest.start(Path.of(arguments[0]), log)) {
            Client owner = server.owner();
            int[] grams = new int[PIECES];
            java.util.Arrays.fill(grams, GRAMS);
            List<String> pieces = owner.hangToday(owner.chamber("North Room", PIECES * GRAMS), 28, grams);
            weigh(owner, pieces); // warm
            weigh(owner, pieces).print("Weighing  one after the other");
            List<Socket> slow = slow(server.port());
            Thread trickle = trickle(slow);
            weigh(owner, pieces).print("Weighing  beside 200 slow connections");
            trickle.interrupt();
            trickle.join();
            bodies(owner);
            long began = System.nanoTime();
            long links =
                    owner.get("/api/record/chain").body().at("/state/links").asLong();
            System.out.printf("Record of %d rows checked in %d ms%n", links, (System.nanoTime() - began) / 1_000_000);
        }
    }

    /** What no screen sends, each by itself: how soon it is turned away. */
    private static void bodies(Client owner) {
        String trial = "/api/trials/" + UUID.randomUUID();
        turnedAway(owner, "100,000 empty items, 300 kB", trial, "{\"arms\":[" + "{},".repeat(99_999) + "{}]}");
        turnedAway(owner, "40,000 empty items, 120 kB", trial, "{\"arms\":[" + "{},".repeat(39_999) + "{}]}");
        turnedAway(owner, "a name of 60 MB", trial, "{\"name\":\"" + "a".repeat(60_000_000) + "\"}");
        turnedAway(owner, "100,000 brackets", trial, "[".repeat(100_000));
    }

    private static void turnedAway(Client owner, String what, String path, String body) {
        byte[] sent = body.getBytes(StandardCharsets.UTF_8);
        long began = System.nanoTime();
        int status = owner.bytes("PUT", path, "application/json", sent).statusCode();
        System.out.printf("Body      %-32s %d after %d ms%n", what, status, (System.nanoTime() - began) / 1_000_000);
    }

    private static Result weigh(Client owner, List<String> pieces) throws InterruptedException {
        return Load.run(1, PER_SECOND, SECONDS, worker -> {
            String piece = pieces.get((int) (Math.random() * pieces.size()));
            return owner.put(
                                    "/api/pieces/%s/log/%s".formatted(piece, UUID.randomUUID()),
                                    Bodies.entry("WEIGHED", GRAMS))
                            .status()
                    == 200;
        });
    }

    private static List<Socket> slow(int port) throws IOException {
        List<Socket> slow = new ArrayList<>();
        String head = "POST /api/setup HTTP/1.1\r\nHost: localhost\r\nContent-Type: application/json\r\n";
        for (int each = 0; each < SLOW; each++) {
            Socket socket = new Socket();
            socket.bind(new InetSocketAddress("127.0.0.2", 0));
            socket.connect(new InetSocketAddress("127.0.0.1", port));
            String begun = each % 2 == 0 ? head + "Content-Length: 9000\r\n\r\n{" : head;
            socket.getOutputStream().write(begun.getBytes(StandardCharsets.US_ASCII));
            slow.add(socket);
        }
        return slow;
    }

    private static Thread trickle(List<Socket> slow) {
        Thread thread = new Thread(() -> {
            while (!Thread.currentThread().isInterrupted()) {
                slow.forEach(socket -> {
                    try {
                        socket.getOutputStream().write(' ');
                    } catch (IOException ended) {
                        // By the server, as it should.
                    }
                });
                try {
                    Thread.sleep(500);
                } catch (InterruptedException over) {
                    return;
                }
            }
        });
        thread.start();
        return thread;
    }
}
