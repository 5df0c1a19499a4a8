package elvaro.bench;

import elvaro.server.support.Client;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.List;
import java.util.Locale;
import java.util.UUID;

/**
 * A house of 20,000 pieces and 400,000 weighings leaves as files and comes into an empty one, with 512 MB of heap. Beside it
 * the same rows by plain JDBC: read cell by cell, and written in batches in one transaction, with the same keys.
 */
public final class Carry {
    private static final int ROWS_AT_ONCE = 1000;
    private static final List<String> FLOOR = List.of("chamber", "lot", "piece", "log_entry");

    private Carry() {}

    /** @param arguments the packaged application */
    public static void main(String[] arguments) throws Exception {
        Path log = Files.createTempFile("elvaro-bench", ".log");
        try (ServerUnderTest server = ServerUnderTest.start(Path.of(arguments[0]), log)) {
            Client owner = server.owner();
            LargeHouse.fill(owner);
            byte[] archive = file(owner, "archive.zip");
            archive = file(owner, "archive.zip");
            file(owner, "tables.zip");
            file(owner, "workbook.xlsx");
            System.out.printf(
                    Locale.ROOT, "Carry  the server holds %d MB of the machine%n", server.residentMegabytes());
            String house = workshop(1);
            read(house);
            Client tried = server.client();
            tried.must(tried.signIn(house(2), "bone and tallow"));
            take(tried, archive, true);
            long rows = take(tried, archive, false);
            write(house, workshop(3));
            System.out.printf(Locale.ROOT, "Carry  rows of the archive: %,d%n", rows);
            System.out.printf(
                    Locale.ROOT, "Carry  the server holds %d MB of the machine%n", server.residentMegabytes());
        }
    }

    private static byte[] file(Client owner, String name) {
        long began = System.nanoTime();
        var answer = owner.bytes("GET", "/api/exchange/" + name, "application/zip", new byte[0]);
        if (answer.statusCode() != 200) {
            throw new IllegalStateException(name + " was not given: " + answer.statusCode());
        }
        print(name + " out, %.1f MB".formatted(answer.body().length / 1e6), began);
        return answer.body();
    }

    private static long take(Client owner, byte[] archive, boolean dry) {
        long began = System.nanoTime();
        var answer = owner.bytes("POST", "/api/exchange/archive?dry=" + dry, "application/zip", archive);
        String[] lines =
                new String(answer.body(), StandardCharsets.UTF_8).strip().split("\n");
        String last = lines[lines.length - 1];
        if (!last.contains("\"taken\"")) {
            throw new IllegalStateException(last);
        }
        print(dry ? "archive in, tried" : "archive in", began);
        return Long.parseLong(lines[0].replaceAll(".*\"of\":(\\d+).*", "$1"));
    }

    private static void print(String what, long began) {
        System.out.printf(Locale.ROOT, "Carry  %-40s %6.1f s%n", what, (System.nanoTime() - began) / 1e9);
    }

    private static String house(int number) {
        return "house%d@brackenrow.example".formatted(number);
    }

    /** The workshop of the bench, or another beside it with an owner of the same password; returns its id. */
    private static String workshop(int number) throws SQLException {
        try (Connection connection = PlainJdbc.connect();
                Statement statement = connection.createStatement()) {
            try (ResultSet first =
                    statement.executeQuery("select workshop_id from account order by sign_in_name limit 1")) {
                first.next();
                if (number == 1) {
                    String id = first.getString(1);
                    copy(connection, id, 2);
                    return id;
                }
                return copy(connection, first.getString(1), number);
            }
        }
    }

    private static String copy(Connection connection, String like, int number) throws SQLException {
        String id = UUID.randomUUID().toString();
        for (String copy : List.of(
                "create temporary table w as select * from workshop where id = '%s'".formatted(like),
                "update w set id = '%s', next_lot_number = 1".formatted(id),
                "insert into workshop select * from w",
                "drop temporary table w",
                "create temporary table a as select * from account where workshop_id = '%s' limit 1".formatted(like),
                "update a set id = uuid(), workshop_id = '%s', sign_in_name = '%s'".formatted(id, house(number)),
                "insert into account select * from a",
                "drop temporary table a")) {
            connection.createStatement().execute(copy);
        }
        return id;
    }

    private static void read(String house) throws SQLException {
        long began = System.nanoTime();
        try (Connection connection = PlainJdbc.connect()) {
            for (String table : FLOOR) {
                try (PreparedStatement query = connection.prepareStatement(
                        "select * from %s where workshop_id = '%s'".formatted(table, house))) {
                    query.setFetchSize(ROWS_AT_ONCE);
                    PlainJdbc.read(query);
                }
            }
        }
        print("the same rows read by plain JDBC", began);
    }

    /** The rows of one house into another, with other ids. */
    private static void write(String from, String into) throws SQLException {
        long began = System.nanoTime();
        try (Connection source = PlainJdbc.connect();
                Connection target = PlainJdbc.connect()) {
            target.setAutoCommit(false);
            String author;
            try (ResultSet account = target.createStatement()
                    .executeQuery("select id from account where workshop_id = '%s'".formatted(into))) {
                account.next();
                author = account.getString(1);
            }
            for (String table : FLOOR) {
                write(source, target, table, from, into, author);
            }
            target.commit();
        }
        print("the same rows written by plain JDBC", began);
    }

    private static void write(
            Connection source, Connection target, String table, String from, String into, String author)
            throws SQLException {
        try (PreparedStatement query = source.prepareStatement(
                "select * from %s where workshop_id = '%s' order by id".formatted(table, from))) {
            query.setFetchSize(ROWS_AT_ONCE);
            try (ResultSet rows = query.executeQuery()) {
                int columns = rows.getMetaData().getColumnCount();
                PreparedStatement insert = target.prepareStatement(
                        "insert into %s values (?%s)".formatted(table, ", ?".repeat(columns - 1)));
                for (int row = 1; rows.next(); row++) {
                    for (int column = 1; column <= columns; column++) {
                        String name = rows.getMetaData().getColumnName(column);
                        Object value = rows.getObject(column);
                        insert.setObject(column, other(name, value, into, author));
                    }
                    insert.addBatch();
                    if (row % ROWS_AT_ONCE == 0) {
                        insert.executeBatch();
                    }
                }
                insert.executeBatch();
            }
        }
    }

    private static Object other(String column, Object value, String into, String author) {
        if (!(value instanceof UUID)) {
            return value;
        }
        return switch (column) {
            case "workshop_id" -> into;
            case "account_id" -> author;
            default ->
                UUID.nameUUIDFromBytes((into + value).getBytes(StandardCharsets.UTF_8))
                        .toString();
        };
    }
}
