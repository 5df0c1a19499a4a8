package elvaro.bench;

import elvaro.server.support.Bodies;
import elvaro.server.support.Client;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Stream;

/**
 * Ten thousand packs in ten lots: how long it takes to say which came of one lot and where they went, and of a lot that is
 * all of them, beside the same rows read by plain JDBC in the same run.
 */
public final class Recall {
    private static final int LOTS = 10;
    private static final int PIECES = 5;
    private static final int MOST_PIECES_OF_A_LOT = 25;
    private static final int PACKS_AT_ONCE = 200;
    private static final int PACK_GRAMS = 20;
    private static final int AGED_GRAMS = 9_800;
    private static final int SECONDS = 20;

    private Recall() {}

    /** @param arguments the packaged application */
    public static void main(String[] arguments) throws Exception {
        Path log = Files.createTempFile("elvaro-bench", ".log");
        try (ServerUnderTest server = ServerUnderTest.start(Path.of(arguments[0]), log)) {
            Client owner = server.owner();
            List<String> many = new ArrayList<>();
            for (int lot = 0; lot < LOTS; lot++) {
                many.add(lot(owner, PIECES, 1));
            }
            // As many again in one lot: nobody has such a lot, but nothing may break on it.
            String whole = lot(owner, MOST_PIECES_OF_A_LOT, 2);
            sell();
            load(owner, many, 5).print("Recall    a lot of 1,000 among 20,000 packs");
            load(owner, List.of(whole), 2).print("Recall    a lot of 10,000 packs");
            floor(many, 5).print("Recall    rows of 1,000 by plain JDBC");
            floor(List.of(whole), 2).print("Recall    rows of 10,000 by plain JDBC");
        }
    }

    private static Result load(Client owner, List<String> lots, int perSecond) throws InterruptedException {
        owner.status("/api/lots/%s/recall".formatted(lots.get(0)));
        return Load.run(
                2,
                perSecond,
                SECONDS,
                worker -> owner.status("/api/lots/%s/recall".formatted(lots.get((int) (Math.random() * lots.size()))))
                        == 200);
    }

    /** A lot hung in pieces, each cut and packed. */
    private static String lot(Client owner, int pieces, int times) {
        String chamber = owner.chamber("Room " + UUID.randomUUID().toString().substring(0, 8), 900_000);
        int[] grams = new int[pieces];
        java.util.Arrays.fill(grams, 10_000);
        List<String> hung = owner.hangToday(chamber, 30, grams);
        for (String piece : hung) {
            int steak = times * PACKS_AT_ONCE * PACK_GRAMS;
            owner.must(owner.write(piece, Bodies.entry("PULLED", AGED_GRAMS)));
            owner.must(owner.write(piece, Bodies.pile("STEAK", steak)));
            owner.must(owner.write(piece, Bodies.pile("DISCARD", AGED_GRAMS - steak)));
            owner.must(owner.put(
                    "/api/bench/%s/close/%s".formatted(piece, UUID.randomUUID()), Map.of("answers", Map.of())));
            for (int time = 0; time < times; time++) {
                List<Map<String, Object>> packs = Stream.generate(() -> Bodies.packBody("STEAK", PACK_GRAMS))
                        .limit(PACKS_AT_ONCE)
                        .toList();
                owner.must(owner.put("/api/pieces/%s/packs".formatted(piece), Map.of("packs", packs)));
            }
        }
        return owner.get("/api/pieces/" + hung.get(0)).body().at("/card/lotId").asString();
    }

    /** Each pack went over the counter; written directly, as it is not what is measured. */
    private static void sell() throws SQLException {
        try (Connection connection = PlainJdbc.connect();
                Statement statement = connection.createStatement()) {
            statement.executeUpdate(
                    "insert into pack_out (id, workshop_id, pack_id, way, grams, words, happened_at, account_id)"
                            + " select uuid(), workshop_id, id, 'SALE', grams, 'over the counter', utc_timestamp(6),"
                            + " account_id from pack");
            // MariaDB does so by itself after a while.
            statement.execute("analyze table piece, pack, pack_out");
        }
    }

    private static Result floor(List<String> lots, int perSecond) throws Exception {
        try (Connection connection = PlainJdbc.connect()) {
            return Load.run(
                    1, perSecond, SECONDS, worker -> read(connection, lots.get((int) (Math.random() * lots.size()))));
        }
    }

    private static boolean read(Connection connection, String lot) throws SQLException {
        try (PreparedStatement query = connection.prepareStatement(
                "select k.*, o.* from piece p join pack k on k.workshop_id = p.workshop_id and k.piece_id = p.id"
                        + " join pack_out o on o.workshop_id = k.workshop_id and o.pack_id = k.id where p.lot_id = ?")) {
            query.setString(1, lot);
            return PlainJdbc.read(query) > 0;
        }
    }
}
