package elvaro.server.reading;

import elvaro.server.shared.Changes;
import elvaro.server.shared.CurrentWorkshop;
import java.sql.PreparedStatement;
import java.sql.SQLException;
import java.sql.Types;
import java.time.Clock;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.NavigableSet;
import java.util.TreeSet;
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
    private static final int ROWS_A_BATCH = 5_000;
    private static final double HUNDREDTHS = 100;

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
    record Source(long id, UUID chamberId, long revision) {}

    /** The sources of the workshop, by chamber. */
    Map<UUID, Source> sources() {
        return database
                .sql("select id, chamber_id, revision from air_source where workshop_id = ?")
                .param(current.person().workshopId())
                .query((row, number) -> new Source(
                        row.getLong("id"), UUID.fromString(row.getString("chamber_id")), row.getLong("revision")))
                .list()
                .stream()
                .collect(Collectors.toMap(Source::chamberId, source -> source));
    }

    /**
     * Keeps readings of a chamber; what is known of a second is not overwritten.
     *
     * @param readings at least one
     * @return how many seconds were new
     */
    long store(UUID chamberId, Collection<AirReading> readings) {
        Map<Long, AirReading> bySecond = new HashMap<>();
        readings.forEach(reading -> bySecond.merge(reading.second(), reading, AirReading::and));
        List<AirReading> rows = new ArrayList<>(bySecond.values());
        rows.sort(Comparator.comparingLong(AirReading::second));
        long source = lock(chamberId);
        long first = rows.get(0).second();
        long last = rows.get(rows.size() - 1).second();
        NavigableSet<Long> hours = new TreeSet<>();
        rows.forEach(reading -> hours.add(reading.hour()));
        boolean late = first < RecordedAir.settledUntil(clock.instant()).getEpochSecond();
        long before = count(source, first, last);
        insert(source, rows);
        long stored = count(source, first, last) - before;
        if (stored < rows.size()) {
            merge(source, rows);
        }
        rollUp(source, hours);
        if (late) {
            database.sql("update air_source set revision = revision + 1 where id = ?")
                    .param(source)
                    .update();
        }
        changes.raise(current.person().workshopId());
        return stored;
    }

    /** One writer at a time for a chamber, so that its hours are counted from all its readings. */
    private long lock(UUID chamberId) {
        UUID workshop = current.person().workshopId();
        database.sql("insert ignore into air_source (workshop_id, chamber_id) values (?, ?)")
                .params(workshop, chamberId)
                .update();
        return database.sql("select id from air_source where workshop_id = ? and chamber_id = ? for update")
                .params(workshop, chamberId)
                .query(Long.class)
                .single();
    }

    private long count(long source, long from, long to) {
        return database.sql("select count(*) from air_reading where source_id = ? and taken_at between ? and ?")
                .params(source, from, to)
                .query(Long.class)
                .single();
    }

    private void insert(long source, List<AirReading> rows) {
        // The driver sends this as one message; with "on duplicate key" it would send each row by itself.
        write(
                "insert ignore into air_reading (source_id, taken_at, celsius, humidity, speed) values (?, ?, ?, ?, ?)",
                source,
                rows);
    }

    /** Adds what was not known of seconds that were. */
    private void merge(long source, List<AirReading> rows) {
        write(
                "insert into air_reading (source_id, taken_at, celsius, humidity, speed) values (?, ?, ?, ?, ?)"
                        + " on duplicate key update celsius = coalesce(celsius, values(celsius)),"
                        + " humidity = coalesce(humidity, values(humidity)), speed = coalesce(speed, values(speed))",
                source,
                rows);
    }

    private void write(String sql, long source, List<AirReading> rows) {
        statements.batchUpdate(sql, rows, ROWS_A_BATCH, (statement, row) -> {
            statement.setLong(1, source);
            statement.setLong(2, row.second());
            set(statement, 3, row.celsius());
            set(statement, 4, row.humidity());
            set(statement, 5, row.speed());
        });
    }

    private static void set(PreparedStatement statement, int index, @Nullable Double value) throws SQLException {
        if (value == null) {
            statement.setNull(index, Types.SMALLINT);
        } else {
            statement.setInt(index, (int) Math.round(value * HUNDREDTHS));
        }
    }

    /** Counts the hours anew from their readings, one statement for each run of hours. */
    private void rollUp(long source, NavigableSet<Long> hours) {
        Long begin = null;
        Long before = null;
        for (long hour : hours) {
            if (begin == null || before == null || hour > before + 1) {
                if (begin != null && before != null) {
                    rollUp(source, begin, before);
                }
                begin = hour;
            }
            before = hour;
        }
        if (begin != null && before != null) {
            rollUp(source, begin, before);
        }
    }

    private void rollUp(long source, long first, long last) {
        database.sql("""
                        replace into air_hour
                        select source_id, taken_at div 3600, count(*), min(if(celsius is null, null, taken_at)),
                        max(if(celsius is null, null, taken_at)), avg(celsius), min(celsius), max(celsius), avg(humidity),
                        min(humidity), max(humidity), avg(speed)
                        from air_reading where source_id = ? and taken_at >= ? and taken_at < ?
                        group by source_id, taken_at div 3600""")
                .params(source, first * AirReading.SECONDS_PER_HOUR, (last + 1) * AirReading.SECONDS_PER_HOUR)
                .update();
    }
}
