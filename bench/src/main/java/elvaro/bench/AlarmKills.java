package elvaro.bench;

import elvaro.devices.Inbox;
import elvaro.devices.ReceivedMessages.Received;
import elvaro.server.support.Client;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.UUID;
import java.util.concurrent.TimeUnit;
import java.util.stream.Collectors;
import tools.jackson.databind.json.JsonMapper;

/**
 * Meat gets warm in one chamber after the other, and each time the application or its database is killed at some moment between
 * the reading and the mail: whether every alarm is told, and none twice under two names. Through the launcher, which starts
 * again what was killed, on the durable database it starts.
 */
public final class AlarmKills {
    private static final long SEED = 20_261_129;
    private static final int LONGEST_BEFORE_MILLIS = 7_000;
    private static final double OF_THE_DATABASE = 0.3;
    private static final int QUIET_AFTER_SECONDS = 90;

    private final LaunchedHouse house;

    private AlarmKills(LaunchedHouse house) {
        this.house = house;
    }

    /** @param arguments the launcher, the packaged application, how many kills */
    public static void main(String[] arguments) throws Exception {
        try (LaunchedHouse house = new LaunchedHouse(Path.of(arguments[0]), Path.of(arguments[1]), "start");
                Inbox inbox = new Inbox(0, 0, Files.createTempDirectory("elvaro-phones"), "maren")) {
            inbox.start();
            new AlarmKills(house).run(inbox, Integer.parseInt(arguments[2]));
        }
    }

    private void run(Inbox inbox, int count) throws Exception {
        Client setup = new Client(house.httpPort());
        setup.must(setup.setUp(house.code(), SteadyLoad.OWNER, SteadyLoad.PASSWORD));
        Client owner = signedIn();
        mailTo(owner, inbox.mailPort());
        Map<String, String> tokens = new HashMap<>();
        List<String> names = new ArrayList<>();
        for (int index = 0; index < count; index++) {
            String name = "Room %03d".formatted(index);
            String chamber = owner.chamber(name, 90_000);
            owner.hangToday(chamber, 28, 5000);
            tokens.put(name, owner.deviceToken(UUID.randomUUID().toString(), chamber));
            names.add(name);
        }
        Random random = new Random(SEED);
        int ofDatabase = 0;
        long began = System.nanoTime();
        for (String name : names) {
            warm(tokens.get(name));
            Thread.sleep(random.nextInt(LONGEST_BEFORE_MILLIS));
            boolean database = random.nextDouble() < OF_THE_DATABASE;
            ofDatabase += database ? 1 : 0;
            house.kill(database ? "db" : "app");
            Thread.sleep(1_500); // what was just killed is not taken for alive
            house.awaitReady();
        }
        Map<String, List<Received>> told = settled(inbox, names);
        long lost = names.stream()
                .filter(name -> told.getOrDefault(name, List.of()).isEmpty())
                .count();
        long twice = told.values().stream()
                .filter(mails -> mails.stream()
                                .filter(mail -> mail.key().contains("-1."))
                                .count()
                        > 1)
                .count();
        System.out.printf(
                "Alarms under %d kills (%d of the database) in %d min: %d raised, %d lost, %d told under two names,"
                        + " %d mails came again under the same name%n",
                count,
                ofDatabase,
                TimeUnit.NANOSECONDS.toMinutes(System.nanoTime() - began),
                told.size(),
                lost,
                twice,
                inbox.received().repeated());
    }

    /** Mails of alarms by their chamber, once none came for a while. */
    private static Map<String, List<Received>> settled(Inbox inbox, List<String> names) throws InterruptedException {
        for (int waited = 0; waited < QUIET_AFTER_SECONDS; waited++) {
            Thread.sleep(1_000);
        }
        return inbox.received().all().stream()
                .filter(mail -> mail.title().contains("above"))
                .filter(mail -> names.contains(mail.title().split(":")[0]))
                .collect(Collectors.groupingBy(mail -> mail.title().split(":")[0]));
    }

    private static void mailTo(Client owner, int port) {
        @SuppressWarnings("unchecked")
        Map<String, Object> house = JsonMapper.shared()
                .convertValue(owner.must(owner.get("/api/notices/house")).body(), HashMap.class);
        house.putAll(Map.of(
                "mailHost", "127.0.0.1",
                "mailPort", port,
                "mailSecurity", "NONE",
                "mailFrom", "elvaro@brackenrow.example"));
        owner.must(owner.put("/api/notices/house", house));
    }

    /** Sent again until it is taken, as a probe does. */
    private void warm(String token) throws InterruptedException {
        Instant now = Instant.now();
        StringBuilder pack = new StringBuilder("[");
        for (int minute = 40; minute >= 0; minute -= 5) {
            pack.append(pack.length() > 1 ? "," : "")
                    .append("{\"n\":\"t\",\"u\":\"Cel\",\"t\":%d,\"v\":9.2}"
                            .formatted(now.minus(Duration.ofMinutes(minute)).getEpochSecond()));
        }
        String text = pack.append("]").toString();
        for (int tries = 0; tries < 100; tries++) {
            try {
                if (new Client(house.httpPort()).pack(token, text).status() == 200) {
                    return;
                }
            } catch (RuntimeException away) {
                // it is being started again
            }
            Thread.sleep(300);
        }
        throw new IllegalStateException("A probe was not heard");
    }

    private Client signedIn() {
        Client client = new Client(house.httpPort());
        client.must(client.signIn(SteadyLoad.OWNER, SteadyLoad.PASSWORD));
        return client;
    }
}
