package elvaro.server.reading;

import elvaro.server.shared.Changes;
import elvaro.server.shared.CurrentWorkshop;
import java.time.Clock;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.NavigableSet;
import java.util.TreeMap;
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
    private static final int ROWS_A_STATEMENT = 1_000;

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
        TreeMap<Long, AirReading> bySecond = new TreeMap<>();
        readings.forEach(reading -> bySecond.merge(reading.second(), reading, AirReading::and));
        long source = lock(chamberId);
        long first = bySecond.firstKey();
        long last = bySecond.lastKey();
        NavigableSet<Long> hours = new TreeSet<>();
        bySecond.values().forEach(reading -> hours.add(reading.hour()));
        boolean late = first < RecordedAir.settledUntil(clock.instant()).getEpochSecond();
        long before = count(source, first, last);
        insert(source, new ArrayList<>(bySecond.values()));
        rollUp(source, hours);
        if (late) {
            database.sql("update air_source set revision = revision + 1 where id = ?")
                    .param(source)
                    .update();
        }
        changes.raise(current.person().workshopId());
        return count(source, first, last) - before;
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
        for (int from = 0; from < rows.size(); from += ROWS_A_STATEMENT) {
            List<AirReading> some = rows.subList(from, Math.min(rows.size(), from + ROWS_A_STATEMENT));
            StringBuilder sql = new StringBuilder(
                    "insert into air_reading (source_id, taken_at, celsius, humidity, speed) values ");
            for (AirReading row : some) {
                // Numbers only, made here: thousands of placeholders cost more than the rows.
                sql.append(sql.charAt(sql.length() - 1) == ')' ? ",(" : "(")
                        .append(source)
                        .append(',')
                        .append(row.second())
                        .append(',')
                        .append(hundredths(row.celsius()))
                        .append(',')
                        .append(hundredths(row.humidity()))
                        .append(',')
                        .append(hundredths(row.speed()))
                        .append(')');
            }
            sql.append(" on duplicate key update celsius = coalesce(celsius, values(celsius)),"
                    + " humidity = coalesce(humidity, values(humidity)), speed = coalesce(speed, values(speed))");
            statements.update(sql.toString());
        }
    }

    private static @Nullable Long hundredths(@Nullable Double value) {
        return value == null ? null : Math.round(value * 100);
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
