package elvaro.bench;

import elvaro.server.support.Client;
import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Timestamp;
import java.time.Instant;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.UUID;

/** A house of 20,000 finished pieces with 400,000 weighings, the rows of one piece copied with other weights. */
final class LargeHouse {
    static final int PIECES = 20_000;
    private static final int PIECES_A_LOT = 10;
    private static final int WEIGHINGS = 20;
    private static final int FLUSHED_AT = 100;

    private LargeHouse() {}

    /** One piece is cut as people do it, and its rows are copied with other weights; returns a piece that hangs. */
    static String fill(Client owner) throws SQLException {
        String cut = owner.cut();
        for (int room = 1; room <= 3; room++) {
            owner.chamber("Room " + room, 50_000_000);
        }
        try (Connection connection = PlainJdbc.connect()) {
            connection.setAutoCommit(false);
            List<String> rooms = strings(connection, "select id from chamber where name like 'Room _'");
            Map<String, Object> piece = row(connection, "select * from piece where id = '" + cut + "'");
            Map<String, Object> lot = row(connection, "select * from lot where id = '" + piece.get("lot_id") + "'");
            Map<String, Object> entry =
                    row(connection, "select * from log_entry where piece_id = '" + cut + "' limit 1");
            Random random = new Random(20_261);
            try (Copies lots = new Copies(connection, "lot", lot);
                    Copies pieces = new Copies(connection, "piece", piece);
                    Copies entries = new Copies(connection, "log_entry", entry)) {
                for (int number = 0; number < PIECES; number++) {
                    if (number % PIECES_A_LOT == 0) {
                        lot.put("id", UUID.randomUUID().toString());
                        lot.put("number", 1000 + number / PIECES_A_LOT);
                        lot.put("supplier", "Farm " + random.nextInt(8));
                        lot.put("grade", List.of("heifer", "steer", "old cow").get(random.nextInt(3)));
                        lots.add(lot);
                    }
                    piece.put("lot_id", lot.get("id"));
                    if (number % FLUSHED_AT == 0) {
                        lots.flush();
                        pieces.flush(); // A row is there before another points at it.
                        entries.flush();
                    }
                    copy(random, piece, rooms.get(random.nextInt(3)), number, pieces, entry, entries);
                }
                lots.flush();
                pieces.flush();
                entries.flush();
            }
            connection.commit();
            connection.createStatement().execute("analyze table lot, piece, log_entry");
        }
        return owner.hangToday(owner.chamber("Hanging", 90_000), 30, 4_000).get(0);
    }

    private static void copy(
            Random random,
            Map<String, Object> piece,
            String room,
            int number,
            Copies pieces,
            Map<String, Object> entry,
            Copies entries)
            throws SQLException {
        int days = 15 + random.nextInt(40);
        LocalDate hung = LocalDate.now().minusDays(60 + random.nextInt(2_000));
        int green = 3_000 + random.nextInt(6_000);
        piece.put("id", UUID.randomUUID().toString());
        piece.put("tag", (1000 + number / PIECES_A_LOT) + String.valueOf((char) ('A' + number % PIECES_A_LOT)));
        piece.put("chamber_id", room);
        piece.put("hung_on", hung);
        piece.put("green_grams", green);
        pieces.add(piece);
        entry.put("piece_id", piece.get("id"));
        Instant at = hung.atStartOfDay(java.time.ZoneOffset.UTC).toInstant().plus(9, ChronoUnit.HOURS);
        double lost = 0.03 * Math.sqrt(days) * (0.8 + 0.4 * random.nextDouble());
        for (int weighing = 0; weighing < WEIGHINGS; weighing++) {
            double share = (double) (weighing + 1) / (WEIGHINGS + 1);
            write(entry, entries, "WEIGHED", null, green * (1 - lost * Math.sqrt(share)), at.plusSeconds((long)
                    (share * days * 86_400)));
        }
        Instant pulled = at.plus(days, ChronoUnit.DAYS);
        double aged = green * (1 - lost);
        write(entry, entries, "PULLED", null, aged, pulled);
        write(entry, entries, "PILE", "STEAK", aged * 0.7, pulled.plusSeconds(60));
        write(entry, entries, "PILE", "USABLE_TRIM", aged * 0.15, pulled.plusSeconds(120));
        write(entry, entries, "PILE", "DISCARD", aged * 0.149, pulled.plusSeconds(180));
        write(entry, entries, "CLOSED", null, 0, pulled.plusSeconds(240));
    }

    private static void write(
            Map<String, Object> entry, Copies entries, String kind, String stream, double grams, Instant at)
            throws SQLException {
        entry.put("id", UUID.randomUUID().toString());
        entry.put("kind", kind);
        entry.put("stream", stream);
        entry.put("grams", (int) grams);
        entry.put("happened_at", Timestamp.from(at));
        entry.put("recorded_at", Timestamp.from(at));
        entries.add(entry);
    }

    /** Rows like one that is there. */
    private static final class Copies implements AutoCloseable {
        private final PreparedStatement insert;
        private final List<String> columns;

        Copies(Connection connection, String table, Map<String, Object> like) throws SQLException {
            columns = List.copyOf(like.keySet());
            insert = connection.prepareStatement("insert into %s (%s) values (%s)"
                    .formatted(table, String.join(",", columns), "?,".repeat(columns.size() - 1) + "?"));
        }

        void add(Map<String, Object> row) throws SQLException {
            for (int column = 0; column < columns.size(); column++) {
                insert.setObject(column + 1, row.get(columns.get(column)));
            }
            insert.addBatch();
        }

        void flush() throws SQLException {
            insert.executeBatch();
        }

        @Override
        public void close() throws SQLException {
            insert.close();
        }
    }

    private static Map<String, Object> row(Connection connection, String query) throws SQLException {
        try (ResultSet found = connection.createStatement().executeQuery(query)) {
            found.next();
            Map<String, Object> row = new LinkedHashMap<>();
            for (int column = 1; column <= found.getMetaData().getColumnCount(); column++) {
                Object value = found.getObject(column);
                row.put(found.getMetaData().getColumnName(column), value instanceof UUID ? value.toString() : value);
            }
            return row;
        }
    }

    private static List<String> strings(Connection connection, String query) throws SQLException {
        List<String> found = new java.util.ArrayList<>();
        try (ResultSet rows = connection.createStatement().executeQuery(query)) {
            while (rows.next()) {
                found.add(rows.getString(1));
            }
        }
        return found;
    }
}
