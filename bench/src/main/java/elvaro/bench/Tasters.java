package elvaro.bench;

import elvaro.server.support.Bodies;
import elvaro.server.support.Client;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.atomic.AtomicInteger;
import tools.jackson.databind.JsonNode;

/**
 * Two hundred tasters with phones hand in three rounds, each within ten seconds, at three tables one after the other, the first
 * right after the start: whether any sheet is lost, and how long one takes from its due moment, beside the same rows by plain
 * JDBC, a commit for each sheet, in the same run.
 */
public final class Tasters {
    private static final int TASTERS = 200;
    private static final int TABLES = 3;
    private static final int ROUNDS = 3;
    private static final int SECONDS = 10;
    private static final int PHONES_AT_ONCE = 48;

    private Tasters() {}

    /** @param arguments the packaged application */
    public static void main(String[] arguments) throws Exception {
        Path log = Files.createTempFile("elvaro-bench", ".log");
        try (ServerUnderTest server = ServerUnderTest.start(Path.of(arguments[0]), log)) {
            Client host = server.owner();
            for (int table = 1; table <= TABLES; table++) {
                seat(server, host, "Table %d  ".formatted(table));
            }
            report("Table     the same rows by plain JDBC", floor());
        }
    }

    /** Two hundred open their sheets and hand in round after round. */
    private static void seat(ServerUnderTest server, Client host, String name) throws Exception {
        JsonNode table = set(host);
        List<String> tokens = table.path("places")
                .valueStream()
                .map(place -> place.path("link").asString().substring("/t/".length()))
                .toList();
        List<Client> phones = java.util.stream.Stream.generate(server::client)
                .limit(PHONES_AT_ONCE)
                .toList();
        AtomicInteger next = new AtomicInteger();
        Result opened = Load.run(
                PHONES_AT_ONCE,
                TASTERS / SECONDS,
                SECONDS,
                worker -> phones.get(worker).status("GET", "/taste/sheets", tokens.get(next.getAndIncrement()), null)
                        == 200);
        report(name + " sheets opened", opened);
        for (int round = 0; round < ROUNDS; round++) {
            int now = round;
            AtomicInteger turn = new AtomicInteger();
            Result handedIn = Load.run(PHONES_AT_ONCE, TASTERS / SECONDS, SECONDS, worker -> {
                int taster = turn.getAndIncrement();
                return phones.get(worker)
                                .status(
                                        "PUT",
                                        "/taste/sheets/" + UUID.randomUUID(),
                                        tokens.get(taster),
                                        sheet(table, taster, now))
                        == 204;
            });
            report(name + " sheets handed in, round " + (round + 1), handedIn);
        }
        JsonNode after =
                host.get("/api/tastings/" + table.path("id").asString()).body();
        long arrived = after.path("places")
                .valueStream()
                .flatMap(place -> place.path("arrived").valueStream())
                .filter(JsonNode::asBoolean)
                .count();
        System.out.printf(Locale.ROOT, "%s %d of %d sheets arrived%n", name, arrived, TASTERS * ROUNDS);
    }

    private static void report(String what, Result result) {
        System.out.printf(
                Locale.ROOT,
                "%-40s median %6.1f ms, p95 %6.1f ms, %d failed, %.0f a second%n",
                what,
                result.quantile(0.5),
                result.quantile(0.95),
                result.failures(),
                result.perSecond());
    }

    private static JsonNode set(Client host) {
        String id = UUID.randomUUID().toString();
        Map<String, Object> body = Bodies.tastingBody("PAIRED", 2, TASTERS);
        body.put("rounds", ROUNDS);
        host.must(host.put("/api/tastings/" + id, body));
        host.must(host.put("/api/tastings/%s/open".formatted(id), Map.of("version", 0)));
        return host.get("/api/tastings/" + id).body();
    }

    private static Map<String, Object> sheet(JsonNode table, int taster, int round) {
        JsonNode plate = table.at("/plates/%d/servings".formatted(round * TASTERS + taster));
        int first = plate.at("/0/code").asInt();
        int second = plate.at("/1/code").asInt();
        Map<String, Object> sheet = Bodies.sheetBody();
        sheet.put("round", round);
        sheet.put("picked", taster % 3 == 0 ? first : second);
        sheet.put("scores", Map.of("liking", Map.of(first, 4, second, 6)));
        sheet.put("words", Map.of(first, "nutty, buttery"));
        return sheet;
    }

    /** A sheet and its words into tables of the same form, and nothing else. */
    private static Result floor() throws Exception {
        try (Connection connection = PlainJdbc.connect()) {
            try (Statement statement = connection.createStatement()) {
                statement.execute("create table floor_sheet like tasting_sheet");
                statement.execute("create table floor_note like tasting_note");
            }
            connection.setAutoCommit(false);
            try {
                return Load.run(1, TASTERS * ROUNDS / SECONDS, SECONDS, worker -> write(connection));
            } finally {
                try (Statement statement = connection.createStatement()) {
                    statement.execute("drop table floor_sheet");
                    statement.execute("drop table floor_note");
                }
            }
        }
    }

    private static boolean write(Connection connection) throws SQLException {
        String sheet = UUID.randomUUID().toString();
        try (PreparedStatement insert = connection.prepareStatement(
                        "insert into floor_sheet select ?, w.id, ?, ?, 0, ?, false, utc_timestamp(6), null from workshop w limit 1");
                PreparedStatement note = connection.prepareStatement(
                        "insert into floor_note select ?, w.id, ?, ?, ?, 'nutty, buttery' from workshop w limit 1")) {
            insert.setString(1, sheet);
            insert.setString(2, UUID.randomUUID().toString());
            insert.setString(3, UUID.randomUUID().toString());
            insert.setString(4, "{\"picked\":412,\"ranks\":{},\"scores\":{\"liking\":{\"412\":4,\"709\":6}}}");
            insert.executeUpdate();
            note.setString(1, UUID.randomUUID().toString());
            note.setString(2, UUID.randomUUID().toString());
            note.setString(3, sheet);
            note.setString(4, UUID.randomUUID().toString());
            note.executeUpdate();
        }
        connection.commit();
        return true;
    }
}
