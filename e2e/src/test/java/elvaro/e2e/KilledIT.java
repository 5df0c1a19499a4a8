package elvaro.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import elvaro.server.support.Bodies;
import elvaro.server.support.Client;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;
import org.junit.jupiter.api.io.TempDir;

/** Whatever is killed, whatever was confirmed is there. Through the launcher, with the durable database it starts. */
@TestInstance(TestInstance.Lifecycle.PER_CLASS) // one house for all
class KilledIT {
    private static final String OWNER = "maren@brackenrow.example";

    @TempDir
    static Path folder;

    private final int httpPort = House.freePort();
    private final int dbPort = House.freePort();
    private final Set<String> confirmed = ConcurrentHashMap.newKeySet();
    private final List<String> pieces = new ArrayList<>();
    private final Set<String> hungLots = ConcurrentHashMap.newKeySet();
    private final AtomicInteger measured = new AtomicInteger();
    private String chamber;
    private Process launcher;
    private final String tasting = UUID.randomUUID().toString();
    private final List<Integer> handedIn = new java.util.concurrent.CopyOnWriteArrayList<>();
    private Path log;

    @BeforeAll
    void furnish() throws Exception {
        start();
        Client client = new Client(httpPort);
        client.must(client.setUp(House.codeIn(folder.resolve("log/app.log")), OWNER, House.PASSWORD));
        Client owner = signedIn();
        chamber = owner.chamber("North Room", 4_000_000);
        pieces.addAll(owner.hangToday(chamber, 28, 4000, 4000));
        pieces.addAll(owner.hangToday(chamber, 28, 4000, 4000));
    }

    @AfterAll
    void end() throws Exception {
        launcher.destroy();
        launcher.waitFor();
    }

    private void start() throws Exception {
        log = Files.createTempFile(folder, "launcher", ".log");
        launcher = Launcher.on(folder, httpPort, dbPort, "start", "--empty")
                .redirectOutput(log.toFile())
                .start();
        House.awaitReady("http://127.0.0.1:" + httpPort, launcher, log);
    }

    private Client signedIn() {
        Client client = new Client(httpPort);
        assertThat(client.signIn(OWNER, House.PASSWORD).status()).isEqualTo(204);
        return client;
    }

    private void kill(String pidFile) throws IOException {
        long pid = Long.parseLong(Files.readString(folder.resolve(pidFile)).strip());
        ProcessHandle.of(pid).orElseThrow().destroyForcibly();
    }

    /** Weighs four pieces from four hands, without pause, until told to stop. */
    private List<Thread> weighUntil(AtomicBoolean stop) {
        List<Thread> hands = new ArrayList<>();
        for (String piece : pieces) {
            Client hand = signedIn();
            Thread thread = new Thread(() -> {
                while (!stop.get()) {
                    String entry = UUID.randomUUID().toString();
                    try {
                        if (hand.put("/api/pieces/" + piece + "/log/" + entry, Bodies.entry("WEIGHED", 3900))
                                        .status()
                                == 200) {
                            confirmed.add(entry);
                        }
                    } catch (RuntimeException | AssertionError connectionLost) {
                        House.pause(50);
                    }
                }
            });
            thread.start();
            hands.add(thread);
        }
        return hands;
    }

    /** Keeps plans and hangs them, without pause, until told to stop. */
    private Thread hangUntil(AtomicBoolean stop) {
        Client hand = signedIn();
        String today = hand.get("/api/session").body().at("/me/today").asString();
        Thread thread = new Thread(() -> {
            while (!stop.get()) {
                String plan = UUID.randomUUID().toString();
                String lot = UUID.randomUUID().toString();
                try {
                    hand.must(hand.put("/api/plans/" + plan, Bodies.planBody(plan, chamber)));
                    hand.must(
                            hand.post("/api/plans/" + plan + "/hang", Bodies.hangPlanBody(chamber, today, lot, 9_000)));
                    hungLots.add(lot);
                } catch (RuntimeException | AssertionError connectionLost) {
                    House.pause(50);
                }
            }
        });
        thread.start();
        return thread;
    }

    /** A probe that sends a reading in every pack, without pause, until told to stop. */
    private Thread measureUntil(AtomicBoolean stop) {
        Client owner = signedIn();
        String token = owner.must(
                        owner.put("/api/devices/" + UUID.randomUUID(), Map.of("name", "Probe", "chamberId", chamber)))
                .body()
                .path("token")
                .asString();
        Client probe = new Client(httpPort);
        Thread thread = new Thread(() -> {
            long second = Instant.now().minus(Duration.ofDays(1)).getEpochSecond();
            while (!stop.get()) {
                try {
                    String pack = "[{\"n\":\"t\",\"u\":\"Cel\",\"v\":2,\"t\":%d}]".formatted(second);
                    if (probe.pack(token, pack).status() == 200) {
                        measured.incrementAndGet();
                        second += 60;
                    }
                    House.pause(550); // at most so many packs a minute
                } catch (RuntimeException | AssertionError connectionLost) {
                    House.pause(50);
                }
            }
        });
        thread.start();
        return thread;
    }

    /** A phone after the other hands its sheet in, until told to stop or all are in. */
    private Thread tasteUntil(AtomicBoolean stop) {
        Client host = signedIn();
        host.must(host.put("/api/tastings/" + tasting, Bodies.tastingBody("PAIRED", 2, 200)));
        host.must(host.put("/api/tastings/%s/open".formatted(tasting), Map.of("version", 0)));
        List<String> tokens = host.get("/api/tastings/" + tasting)
                .body()
                .path("places")
                .valueStream()
                .map(place -> place.path("link").asString().substring("/t/".length()))
                .toList();
        Client phone = new Client(httpPort);
        Thread thread = new Thread(() -> {
            for (int place = 0; place < tokens.size() && !stop.get(); ) {
                try {
                    String sheet = "/taste/sheets/" + UUID.nameUUIDFromBytes(new byte[] {(byte) place});
                    if (phone.phone("PUT", sheet, tokens.get(place), Bodies.sheetBody())
                                    .status()
                            == 204) {
                        handedIn.add(++place);
                    }
                    House.pause(100);
                } catch (RuntimeException | AssertionError connectionLost) {
                    House.pause(50);
                }
            }
        });
        thread.start();
        return thread;
    }

    private void assertEverySheetThatWasTakenInIsThere() {
        List<Integer> arrived = signedIn()
                .get("/api/tastings/" + tasting)
                .body()
                .path("places")
                .valueStream()
                .filter(place -> place.at("/arrived/0").asBoolean())
                .map(place -> place.path("number").asInt())
                .toList();
        assertThat(handedIn).hasSizeGreaterThan(10);
        assertThat(arrived).containsAll(handedIn);
    }

    /** Every minute that was acknowledged is a point, and at most one more whose answer was lost. */
    private void assertEveryMeasuredMinuteIsThere() {
        Instant to = Instant.now();
        int minutes = signedIn()
                .get("/api/chambers/%s/air?from=%s&to=%s&points=2000"
                        .formatted(chamber, to.minus(Duration.ofHours(25)), to))
                .body()
                .path("points")
                .size();
        assertThat(measured.get()).isGreaterThan(3);
        assertThat(minutes).isBetween(measured.get(), measured.get() + 1);
    }

    private void assertEveryHungPlanIsThereAndNoneByHalf() {
        Client owner = signedIn();
        List<String> lots = owner.get("/api/lots")
                .body()
                .valueStream()
                .map(lot -> lot.path("id").asString())
                .toList();
        assertThat(hungLots).isNotEmpty();
        assertThat(lots).containsAll(hungLots);
        assertThat(lots)
                .allSatisfy(
                        lot -> assertThat(owner.get("/api/lots/" + lot).body().path("pieces"))
                                .hasSize(2));
    }

    private void assertEveryConfirmedEntryIsThere() {
        Client owner = signedIn();
        Set<String> stored = pieces.stream()
                .flatMap(piece -> owner.must(owner.get("/api/pieces/" + piece))
                        .body()
                        .path("log")
                        .valueStream())
                .map(entry -> entry.path("id").asString())
                .collect(Collectors.toSet());
        assertThat(confirmed).hasSizeGreaterThan(20);
        assertThat(stored).containsAll(confirmed);
    }

    private static void join(List<Thread> hands) throws InterruptedException {
        for (Thread hand : hands) {
            hand.join();
        }
    }

    @Test
    void the_database_and_then_the_application_killed_while_saving_lose_nothing_that_was_confirmed() throws Exception {
        AtomicBoolean stop = new AtomicBoolean();
        List<Thread> hands = weighUntil(stop);
        hands.add(hangUntil(stop));
        hands.add(measureUntil(stop));
        hands.add(tasteUntil(stop));
        House.pause(3000);
        kill("run/db.pid");
        goOnByThemselves();
        assertThat(Files.readString(log)).contains("The database ended unexpectedly; starting it again");
        kill("run/app.pid");
        goOnByThemselves();
        stop.set(true);
        join(hands);
        assertThat(Files.readString(log)).contains("The application ended unexpectedly; starting it again");
        assertEveryConfirmedEntryIsThere();
        assertEveryHungPlanIsThereAndNoneByHalf();
        assertEveryMeasuredMinuteIsThere();
        assertEverySheetThatWasTakenInIsThere();
    }

    private void goOnByThemselves() {
        int before = confirmed.size();
        Instant deadline = Instant.now().plus(House.PATIENCE);
        while (confirmed.size() < before + 20 && Instant.now().isBefore(deadline)) {
            House.pause(200);
        }
        assertThat(confirmed.size()).as("work goes on by itself").isGreaterThanOrEqualTo(before + 20);
    }

    /** Stopped and not ended: connections stay open and nothing comes back. */
    @Test
    void a_database_that_hangs_is_told_within_five_seconds_on_every_route_and_what_waited_goes_on() throws Exception {
        Client owner = signedIn();
        String pid = Files.readString(folder.resolve("run/db.pid")).strip();
        signal("STOP", pid);
        try {
            List<String> slow = Stream.of(
                            "/api/session",
                            "/api/room",
                            "/api/pieces/" + pieces.get(0),
                            "/api/workshop",
                            "/taste/sheets")
                    .parallel()
                    .map(path -> {
                        Instant began = Instant.now();
                        Client.Answer answer = owner.get(path);
                        long millis = Duration.between(began, Instant.now()).toMillis();
                        return answer.status() == 503 && answer.type().equals("database-away") && millis < 5_500
                                ? ""
                                : "%s: %s after %d ms".formatted(path, answer, millis);
                    })
                    .filter(fault -> !fault.isEmpty())
                    .toList();
            assertThat(slow).isEmpty();
            assertThat(new Client(httpPort).signIn(OWNER, House.PASSWORD).status())
                    .isEqualTo(503);
            assertThat(House.answers("http://127.0.0.1:" + httpPort + "/actuator/health/readiness"))
                    .isFalse();
        } finally {
            signal("CONT", pid);
        }
        assertThat(owner.put(
                                "/api/pieces/%s/log/%s".formatted(pieces.get(0), UUID.randomUUID()),
                                Bodies.entry("WEIGHED", 3900))
                        .status())
                .isEqualTo(200);
    }

    private static void signal(String which, String pid) throws Exception {
        assertThat(new ProcessBuilder("kill", "-" + which, pid).start().waitFor())
                .isZero();
    }
}
