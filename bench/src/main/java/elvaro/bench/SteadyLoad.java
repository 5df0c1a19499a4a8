package elvaro.bench;

import elvaro.server.support.Api.Answer;
import elvaro.server.support.Bodies;
import elvaro.server.support.Client;
import java.io.IOException;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.atomic.AtomicLong;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import tools.jackson.databind.JsonNode;

/**
 * Four hands that weigh and two probes that measure, without pause and whatever is killed meanwhile: each entry is sent again
 * under its name until it is taken. Keeps what was sent and what was confirmed, and how long nobody was served.
 */
final class SteadyLoad {
    static final String OWNER = "maren@brackenrow.example";
    static final String PASSWORD = "bone and tallow";

    private static final int HANDS = 4;
    private static final int LOTS = 8;
    private static final int PROBES = 2;
    private static final int PAUSE_MILLIS = 100;

    private final int port;
    private final Set<String> sent = ConcurrentHashMap.newKeySet();
    private final Set<String> confirmed = ConcurrentHashMap.newKeySet();
    private final Map<String, Set<Long>> measured = new ConcurrentHashMap<>();
    private final AtomicLong lastServed = new AtomicLong();
    private final AtomicLong longestGap = new AtomicLong();
    private final Map<String, AtomicLong> turnedAway = new ConcurrentHashMap<>();
    private final List<String> pieces = new ArrayList<>();
    private final Map<String, String> probes = new HashMap<>();
    private final List<Thread> threads = new ArrayList<>();
    private volatile boolean over;

    /** @param port where it is served */
    SteadyLoad(int port) {
        this.port = port;
    }

    /** Makes the house of it, with the code of the first visit, and begins. */
    void begin(String code) {
        Client owner = new Client(port);
        owner.must(owner.setUp(code, OWNER, PASSWORD));
        owner.must(owner.signIn(OWNER, PASSWORD));
        String chamber = owner.chamber("North Room", 4_000_000);
        for (int lot = 0; lot < LOTS; lot++) {
            pieces.addAll(owner.hangToday(
                    chamber, 28, IntStream.generate(() -> 4000).limit(25).toArray()));
        }
        for (int index = 0; index < PROBES; index++) {
            String measures = owner.chamber("Room " + index, 90_000);
            probes.put(measures, owner.deviceToken(UUID.randomUUID().toString(), measures));
        }
        lastServed.set(System.nanoTime());
        for (int hand = 0; hand < HANDS; hand++) {
            int first = hand;
            threads.add(new Thread(() -> weighFrom(first)));
        }
        probes.forEach((measures, token) -> threads.add(new Thread(() -> measure(measures, token))));
        threads.forEach(Thread::start);
    }

    void end() throws InterruptedException {
        over = true;
        for (Thread each : threads) {
            each.join();
        }
    }

    /** One piece after the other. */
    private void weighFrom(int first) {
        Client hand = signedIn();
        for (int index = first; !over; index++) {
            String piece = pieces.get(index % pieces.size());
            String entry = UUID.randomUUID().toString();
            sent.add(entry);
            while (!over) {
                if (served(() -> hand.put("/api/pieces/" + piece + "/log/" + entry, Bodies.entry("WEIGHED", 3900)))) {
                    confirmed.add(entry);
                    break;
                }
            }
            pause();
        }
    }

    private void measure(String chamber, String token) {
        Set<Long> taken = measured.computeIfAbsent(chamber, each -> ConcurrentHashMap.newKeySet());
        long moment = Instant.now().minus(Duration.ofDays(2)).getEpochSecond();
        while (!over) {
            long at = moment++;
            String pack = "[{\"n\":\"t\",\"u\":\"Cel\",\"t\":%d,\"v\":2.1}]".formatted(at);
            while (!over) {
                if (served(() -> new Client(port).pack(token, pack))) {
                    taken.add(at);
                    break;
                }
            }
            pause();
        }
    }

    private boolean served(Supplier<Answer> request) {
        String said;
        try {
            Answer answer = request.get();
            if (answer.status() / 100 == 2) {
                long now = System.nanoTime();
                long before = lastServed.getAndSet(now);
                longestGap.accumulateAndGet(now - before, Math::max);
                return true;
            }
            said = answer.status() + " " + answer.type();
        } catch (RuntimeException away) {
            said = "no answer";
        }
        turnedAway.computeIfAbsent(said, each -> new AtomicLong()).incrementAndGet();
        pause();
        return false;
    }

    private static void pause() {
        try {
            Thread.sleep(PAUSE_MILLIS);
        } catch (InterruptedException ended) {
            Thread.currentThread().interrupt();
        }
    }

    private Client signedIn() {
        while (true) {
            try {
                Client client = new Client(port);
                client.must(client.signIn(OWNER, PASSWORD));
                return client;
            } catch (RuntimeException | AssertionError away) {
                pause();
            }
        }
    }

    /** @return how long nobody was served at the longest since this was last asked, in nanoseconds */
    long longestGap() {
        return longestGap.getAndSet(0);
    }

    /** What is done while nobody is served. */
    interface Meanwhile {
        void look() throws IOException, InterruptedException;
    }

    /** Until something was served that was asked after this moment. */
    void awaitServed(Meanwhile meanwhile) throws IOException, InterruptedException {
        long now = System.nanoTime();
        while (lastServed.get() < now) {
            Thread.sleep(50);
            if (lastServed.get() < now) {
                meanwhile.look();
            }
        }
    }

    /** @return how often it was turned away with this status */
    long turnedAway(int status) {
        return turnedAway.entrySet().stream()
                .filter(each -> each.getKey().startsWith(status + " "))
                .mapToLong(each -> each.getValue().get())
                .sum();
    }

    /**
     * Compares what was confirmed with what is there, in the application and in the database.
     *
     * @param socket of the database
     */
    void report(String socket) throws IOException, InterruptedException {
        Client owner = signedIn();
        Map<String, Integer> found = new HashMap<>();
        for (String piece : Set.copyOf(pieces)) {
            for (JsonNode entry :
                    owner.must(owner.get("/api/pieces/" + piece)).body().path("log")) {
                if (entry.path("kind").asString().equals("WEIGHED")) {
                    found.merge(entry.path("id").asString(), 1, Integer::sum);
                }
            }
        }
        long lost = confirmed.stream().filter(id -> !found.containsKey(id)).count();
        // What is there and was sent by nobody is something done again under another name.
        long twice = found.values().stream().filter(times -> times > 1).count()
                + found.keySet().stream().filter(id -> !sent.contains(id)).count();
        System.out.printf("  %d weighings confirmed, %d lost, %d twice%n", confirmed.size(), lost, twice);
        long readings = 0;
        long readingsLost = 0;
        for (Map.Entry<String, Set<Long>> each : measured.entrySet()) {
            Set<Long> there = readingsOf(each.getKey(), socket);
            readings += each.getValue().size();
            readingsLost +=
                    each.getValue().stream().filter(at -> !there.contains(at)).count();
        }
        System.out.printf("  %d readings confirmed, %d lost; one a moment by their key%n", readings, readingsLost);
        new TreeMap<>(turnedAway)
                .forEach((said, times) -> System.out.printf("  turned away %d times: %s%n", times.get(), said));
    }

    private static Set<Long> readingsOf(String chamber, String socket) throws IOException, InterruptedException {
        Process process = new ProcessBuilder(
                        "mariadb",
                        "--no-defaults",
                        "--socket=" + socket,
                        "-N",
                        "-e",
                        "select taken_at from elvaro.air_reading join elvaro.air_source on id = source_id where chamber_id = '%s'"
                                .formatted(chamber))
                .redirectError(ProcessBuilder.Redirect.INHERIT)
                .start();
        Set<Long> moments = new String(process.getInputStream().readAllBytes())
                .lines()
                .map(Long::valueOf)
                .collect(Collectors.toCollection(HashSet::new));
        process.waitFor();
        return moments;
    }
}
