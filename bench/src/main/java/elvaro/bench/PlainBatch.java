package elvaro.bench;

import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.SQLException;
import java.sql.Statement;
import java.sql.Types;
import java.time.Instant;
import java.util.UUID;

/** The floor of {@link Ingest}: the same rows into a table of the same form by a JDBC batch, and nothing else. */
final class PlainBatch implements AutoCloseable {
    private final Connection connection;
    private final PreparedStatement insert;

    PlainBatch() throws SQLException {
        connection = PlainJdbc.connect();
        try (Statement statement = connection.createStatement()) {
            statement.execute("create table floor_reading like air_reading");
        }
        connection.setAutoCommit(false);
        // What comes late has where it is from, as in the packs.
        insert = connection.prepareStatement("insert into floor_reading"
                + " (source_id, origin_id, taken_at, celsius, humidity, speed) values (1, '%s', ?, ?, ?, ?)"
                        .formatted(UUID.randomUUID()));
    }

    /** How many nanoseconds the readings of these minutes take. */
    long write(Instant from, int first, int end) throws SQLException {
        long began = System.nanoTime();
        for (int index = first; index < end; index++) {
            insert.setLong(1, from.getEpochSecond() + index * 60L);
            insert.setInt(2, (int) Math.round(Ingest.celsius(index) * 100));
            insert.setInt(3, (int) Math.round(Ingest.humidity(index) * 100));
            insert.setNull(4, Types.INTEGER);
            insert.addBatch();
        }
        insert.executeBatch();
        connection.commit();
        return System.nanoTime() - began;
    }

    @Override
    public void close() throws SQLException {
        try (Statement statement = connection.createStatement()) {
            statement.execute("drop table floor_reading");
        } finally {
            connection.close();
        }
    }
}
