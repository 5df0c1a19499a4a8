package elvaro.bench;

import elvaro.server.support.Bodies;
import elvaro.server.support.Client;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;

/**
 * Room with 200 hanging pieces and Compare with eight cut ones, under an even load of 50 requests a second for a minute, then
 * Room with 500; every piece forecast, and one weighed each second meanwhile, so that no answer is good for long; each beside
 * the same rows read through plain JDBC in the same run.
 */
public final class RoomAndCompare {
    private static final int HANGING = 200;
    private static final int MANY = 500;
    private static final int HUNG_DAYS_AGO = 40;
    private static final List<Integer> WEIGHED_ON = List.of(1, 3, 7, 14, 21, 28, 35, 39);
    private static final int CUT = 8;
    private static final int REQUESTS_A_SECOND = 50;
    private static final int MANY_A_SECOND = 50;

    private RoomAndCompare() {}

    /** @param arguments the packaged application; then the seconds of the load, 60 if left out */
    public static void main(String[] arguments) throws Exception {
        int seconds = arguments.length > 1 ? Integer.parseInt(arguments[1]) : 60;
        Path log = Files.createTempFile("elvaro-bench", ".log");
        try (ServerUnderTest server = ServerUnderTest.start(Path.of(arguments[0]), log)) {
            String cut = furnish(server.owner());
            List<Client> people = new ArrayList<>();
            for (int person = 0; person < 16; person++) {
                people.add(server.signedIn());
            }
            System.out.printf(
                    "%d hanging pieces with %d weighings each, %d cut; %s, %d cores%n",
                    HANGING,
                    WEIGHED_ON.size(),
                    CUT,
                    System.getProperty("java.version"),
                    Runtime.getRuntime().availableProcessors());
            Load.run(people, "/api/room", REQUESTS_A_SECOND, 20); // warms the server up
            Load.run(people, "/api/compare?pieces=" + cut, REQUESTS_A_SECOND, 10);
            Result room = whileWeighing(people, "/api/room", REQUESTS_A_SECOND, seconds);
            Result compare = whileWeighing(people, "/api/compare?pieces=" + cut, REQUESTS_A_SECOND, seconds);
            Result roomFloor = Floor.run(Floor.ROOM);
            Result compareFloor = Floor.run(Floor.compare(cut));
            report("Room", room, roomFloor);
            report("Compare", compare, compareFloor);
            hang(people.get(0), MANY - HANGING);
            Load.run(people, "/api/room", MANY_A_SECOND, 15); // forecasts the new ones
            Result many = whileWeighing(people, "/api/room", MANY_A_SECOND, seconds);
            report("Room 500", many, Floor.run(Floor.ROOM));
        }
    }

    private static Result whileWeighing(List<Client> people, String asked, int perSecond, int seconds)
            throws InterruptedException {
        Client hand = people.get(0);
        List<String> hanging = hand.get("/api/room")
                .body()
                .path("chambers")
                .valueStream()
                .flatMap(chamber -> chamber.path("pieces").valueStream())
                .map(piece -> piece.path("id").asString())
                .toList();
        AtomicInteger next = new AtomicInteger();
        ScheduledExecutorService scale = Executors.newSingleThreadScheduledExecutor();
        scale.scheduleAtFixedRate(
                () -> hand.must(hand.write(hanging.get(next.getAndIncrement() % hanging.size()), weighing())),
                500,
                1000,
                TimeUnit.MILLISECONDS);
        Result result = Load.run(people.subList(1, people.size()), asked, perSecond, seconds);
        scale.shutdown();
        scale.awaitTermination(10, TimeUnit.SECONDS);
        if (next.get() < seconds / 2) {
            throw new IllegalStateException("Only %d weighings were kept".formatted(next.get()));
        }
        return result;
    }

    private static Map<String, Object> weighing() {
        return Bodies.entry("WEIGHED", 3300);
    }

    private static void report(String view, Result http, Result floor) {
        System.out.printf(
                "%-8s %5.1f requests/s, median %5.1f ms, p95 %5.1f ms, failures %d; plain JDBC median %5.1f ms, p95 %5.1f"
                        + " ms; ratio of medians %.1f%n",
                view,
                http.perSecond(),
                http.quantile(0.5),
                http.quantile(0.95),
                http.failures(),
                floor.quantile(0.5),
                floor.quantile(0.95),
                http.quantile(0.5) / floor.quantile(0.5));
    }

    /** Returns the ids of the cut pieces, comma separated. */
    private static String furnish(Client owner) {
        List<String> chambers = List.of(
                owner.chamber("North Room", 4_000_000),
                owner.chamber("Stone Locker", 4_000_000),
                owner.chamber("Game larder", 4_000_000));
        hang(owner, HANGING);
        List<String> cut = new ArrayList<>();
        for (int lot = 0; lot < CUT / 2; lot++) {
            cut.addAll(owner.hang(chambers.get(0), 4000, 4000));
        }
        for (String piece : cut) {
            owner.must(owner.write(piece, Bodies.entry("PULLED", 3600)));
            owner.must(owner.write(piece, Bodies.pile("STEAK", 2600)));
            owner.must(owner.write(piece, Bodies.pile("USABLE_TRIM", 600)));
            owner.must(owner.write(piece, Bodies.pile("DISCARD", 390)));
            owner.must(owner.put("/api/bench/" + piece + "/close/" + UUID.randomUUID(), Map.of("answers", Map.of())));
        }
        return String.join(",", cut);
    }

    /** Hangs striploins weeks ago and weighs them as they dried since. */
    private static void hang(Client owner, int pieces) {
        Instant hungAt = Instant.now().minus(HUNG_DAYS_AGO, ChronoUnit.DAYS);
        String day = hungAt.toString().substring(0, 10);
        var chambers = owner.get("/api/chambers").body();
        for (int lot = 0; lot < pieces / 4; lot++) {
            String chamber = chambers.get(lot % 3).path("id").asString();
            String id = UUID.randomUUID().toString();
            Map<String, Object> received = Bodies.lotBody(id, 4 * 3900);
            received.put("cutCode", "rib-bone-in");
            received.put("receivedOn", day);
            owner.must(owner.post("/api/lots", received));
            List<Map<String, Object>> hung = new ArrayList<>();
            for (int piece = 0; piece < 4; piece++) {
                Map<String, Object> body = Bodies.hangBody(UUID.randomUUID().toString(), chamber, 3900);
                body.put("hungOn", day);
                body.put("targetDays", 60);
                hung.add(body);
            }
            owner.must(owner.post("/api/lots/" + id + "/pieces", Map.of("pieces", hung, "answers", Map.of())));
            for (Map<String, Object> piece : hung) {
                for (int weighedOn : WEIGHED_ON) {
                    Map<String, Object> entry = Bodies.entry("WEIGHED", 3900 - (int) (95 * Math.sqrt(weighedOn)));
                    entry.put("at", hungAt.plus(weighedOn, ChronoUnit.DAYS).toString());
                    owner.must(owner.write(String.valueOf(piece.get("id")), entry));
                }
                decide(owner, piece, "TURN", hungAt.plus(7, ChronoUnit.DAYS));
                decide(owner, piece, "LOOK", hungAt.plus(35, ChronoUnit.DAYS));
            }
        }
    }

    private static void decide(Client owner, Map<String, Object> piece, String work, Instant plannedOn) {
        owner.must(owner.put(
                "/api/tasks/" + UUID.randomUUID(),
                Map.of(
                        "pieceId",
                        piece.get("id"),
                        "work",
                        work,
                        "plannedOn",
                        plannedOn.toString().substring(0, 10),
                        "verdict",
                        "DONE",
                        "reason",
                        "")));
    }

    /** The same rows, read by hand through one connection and thrown away. */
    private static final class Floor {
        private static final String PIECES = """
                select p.*, l.*, c.name from piece p join lot l on l.workshop_id = p.workshop_id and l.id = p.lot_id
                left join chamber c on c.workshop_id = p.workshop_id and c.id = p.chamber_id
                where p.workshop_id = (select id from workshop) and
                """;

        static final String ROOM = PIECES + """
                p.state in ('HANGING', 'PULLED');
                select e.* from log_entry e join piece p on p.workshop_id = e.workshop_id and p.id = e.piece_id
                where p.workshop_id = (select id from workshop) and p.state in ('HANGING', 'PULLED')
                """;

        static String compare(String ids) {
            String list = "'" + ids.replace(",", "','") + "'";
            return PIECES + """
                    p.id in (%s);
                    select * from log_entry where workshop_id = (select id from workshop) and piece_id in (%s);
                    select p.id, p.green_grams, p.hung_on, (select max(e.happened_at) from log_entry e
                    where e.workshop_id = p.workshop_id and e.piece_id = p.id and e.kind = 'PULLED') from piece p
                    where p.workshop_id = (select id from workshop) and p.chamber_id =
                    (select chamber_id from piece where id = %s)
                    """.formatted(list, list, list.split(",")[0]);
        }

        /** Few enough a second that one connection keeps up. */
        static Result run(String statements) throws Exception {
            try (Connection connection = PlainJdbc.connect()) {
                return Load.run(1, 5, 20, worker -> {
                    for (String statement : statements.split(";")) {
                        read(connection, statement);
                    }
                    return true;
                });
            }
        }

        private static void read(Connection connection, String statement) throws SQLException {
            try (PreparedStatement prepared = connection.prepareStatement(statement);
                    ResultSet rows = prepared.executeQuery()) {
                int columns = rows.getMetaData().getColumnCount();
                while (rows.next()) {
                    for (int column = 1; column <= columns; column++) {
                        rows.getObject(column);
                    }
                }
            }
        }
    }
}
