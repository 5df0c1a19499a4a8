package elvaro.server.reading;

import elvaro.server.shared.Changes;
import elvaro.server.shared.CurrentWorkshop;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Types;
import java.time.Clock;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/**
 * Readings and their hours, in plain SQL: millions of rows of three small numbers are no entities. A chamber's number is
 * always looked up under the signed-in person's workshop, or under that of the device.
 */
@Component
class AirStore {
    private static final int ROWS_A_BATCH = 10_000;

    private final JdbcClient database;
    private final JdbcTemplate statements;
    private final CurrentWorkshop current;
    private final Changes changes;
    private final Clock clock;

    AirStore(JdbcClient database, JdbcTemplate statements, CurrentWorkshop current, Changes changes, Clock clock) {
        this.database = database;
        this.statements = statements;
        this.current = current;
        this.changes = changes;
        this.clock = clock;
    }

    /** A chamber's number, and how often air was written that forecasts had used already. */
    record AirSource(long id, UUID chamberId, long revision) {}

    /** The sources of the workshop, by chamber. */
    Map<UUID, AirSource> sources() {
        return database
                .sql("select id, chamber_id, revision from air_source where workshop_id = ?")
                .param(current.person().workshopId())
                .query((row, number) -> new AirSource(
                        row.getLong("id"), UUID.fromString(row.getString("chamber_id")), row.getLong("revision")))
                .list()
                .stream()
                .collect(Collectors.toMap(AirSource::chamberId, source -> source));
    }

    /** What became of readings: seconds of which nothing was known before, and those of which something was. */
    record Stored(int fresh, int known) {}

    /**
     * Keeps readings of a chamber; what is known of a second is not overwritten.
     *
     * @param readings at least one
     * @param originId of what is new among them; absent for what comes as it is measured
     */
    Stored store(UUID chamberId, Collection<AirReading> readings, @Nullable UUID originId) {
        List<AirReading> rows = AirReading.bySecond(readings);
        boolean late =
                rows.get(0).second() < RecordedAir.settledUntil(clock.instant()).getEpochSecond();
        long source = lock(chamberId, late);
        Addition addition = new Addition();
        for (int begin = 0, end = 0; begin < rows.size(); begin = end) {
            end = endOfRun(rows, begin);
            List<AirReading> run = rows.subList(begin, end);
            long first = run.get(0).hour();
            long last = run.get(run.size() - 1).hour();
            addition.add(known(source, first, last), run);
            forgetHours(source, first, last);
        }
        insert(source, addition.fresh(), originId);
        complete(source, addition.completed());
        writeHours(source, AirHour.of(addition.whole()));
        changes.raise(current.person().workshopId());
        return new Stored(
                addition.fresh().size(), rows.size() - addition.fresh().size());
    }

    /** Up to where each hour follows upon the one before, so that nothing between them has to be read. */
    private static int endOfRun(List<AirReading> rows, int begin) {
        int end = begin + 1;
        while (end < rows.size() && rows.get(end).hour() <= rows.get(end - 1).hour() + 1) {
            end++;
        }
        return end;
    }

    /**
     * One writer at a time for a chamber, so that its hours are counted from all its readings. Locked by an update, since
     * an insert that is ignored shares its lock, and two that share it wait for each other.
     */
    private long lock(UUID chamberId, boolean late) {
        UUID workshop = current.person().workshopId();
        if (!locked(workshop, chamberId, late)) {
            database.sql("insert ignore into air_source (workshop_id, chamber_id) values (?, ?)")
                    .params(workshop, chamberId)
                    .update();
            locked(workshop, chamberId, late);
        }
        return database.sql("select id from air_source where workshop_id = ? and chamber_id = ? for update")
                .params(workshop, chamberId)
                .query(Long.class)
                .single();
    }

    private boolean locked(UUID workshop, UUID chamberId, boolean late) {
        return database.sql("update air_source set revision = revision + ? where workshop_id = ? and chamber_id = ?")
                        .params(late ? 1 : 0, workshop, chamberId)
                        .update()
                > 0;
    }

    private List<AirReading> known(long source, long firstHour, long lastHour) {
        return database.sql("""
                        select taken_at, celsius, humidity, speed from air_reading
                        where source_id = ? and taken_at >= ? and taken_at < ? order by taken_at""")
                .params(source, firstHour * AirReading.SECONDS_PER_HOUR, (lastHour + 1) * AirReading.SECONDS_PER_HOUR)
                .query((row, number) -> new AirReading(row.getLong(1), units(row, 2), units(row, 3), units(row, 4)))
                .list();
    }

    private static @Nullable Double units(ResultSet row, int column) throws SQLException {
        int value = row.getInt(column);
        return row.wasNull() ? null : AirReading.units(value);
    }

    private void insert(long source, List<AirReading> rows, @Nullable UUID originId) {
        // What all rows share is said once and not sent with each.
        String shared = "%d, %s".formatted(source, originId == null ? "null" : "'%s'".formatted(originId));
        statements.batchUpdate(
                "insert into air_reading (source_id, origin_id, taken_at, celsius, humidity, speed) values (%s, ?, ?, ?, ?)"
                        .formatted(shared),
                rows,
                ROWS_A_BATCH,
                (statement, row) -> {
                    statement.setLong(1, row.second());
                    set(statement, 2, row.celsius());
                    set(statement, 3, row.humidity());
                    set(statement, 4, row.speed());
                });
    }

    /** Where they are from stays what it was. */
    private void complete(long source, List<AirReading> rows) {
        statements.batchUpdate(
                "update air_reading set celsius = ?, humidity = ?, speed = ? where source_id = ? and taken_at = ?",
                rows,
                ROWS_A_BATCH,
                (statement, row) -> {
                    set(statement, 1, row.celsius());
                    set(statement, 2, row.humidity());
                    set(statement, 3, row.speed());
                    statement.setLong(4, source);
                    statement.setLong(5, row.second());
                });
    }

    private static void set(PreparedStatement statement, int index, @Nullable Double value) throws SQLException {
        if (value == null) {
            statement.setNull(index, Types.SMALLINT);
        } else {
            statement.setInt(index, AirReading.hundredths(value));
        }
    }

    private void forgetHours(long source, long first, long last) {
        database.sql("delete from air_hour where source_id = ? and hour between ? and ?")
                .params(source, first, last)
                .update();
    }

    private void writeHours(long source, List<AirHour> hours) {
        statements.batchUpdate(
                "insert into air_hour values (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)",
                hours,
                ROWS_A_BATCH,
                (statement, hour) -> {
                    statement.setLong(1, source);
                    statement.setLong(2, hour.hour());
                    statement.setInt(3, hour.readings());
                    statement.setObject(4, hour.firstAt(), Types.BIGINT);
                    statement.setObject(5, hour.lastAt(), Types.BIGINT);
                    set(statement, 6, hour.celsius());
                    set(statement, 9, hour.humidity());
                    statement.setObject(12, hour.speed(), Types.FLOAT);
                });
    }

    private static void set(PreparedStatement statement, int first, AirHour.@Nullable Range range) throws SQLException {
        statement.setObject(first, range == null ? null : range.mean(), Types.FLOAT);
        statement.setObject(first + 1, range == null ? null : range.least(), Types.INTEGER);
        statement.setObject(first + 2, range == null ? null : range.most(), Types.INTEGER);
    }
}
