package elvaro.server.reading;

import elvaro.core.air.HourlyAir;
import elvaro.core.keeping.Excursions;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** Reads recorded air. Every source it is given was looked up under the workshop, see {@link AirStore#sources}. */
@Component
class AirHours {
    private final JdbcClient database;

    AirHours(JdbcClient database) {
        this.database = database;
    }

    /**
     * Lowest, mean and highest of a stretch of time.
     *
     * @param from second since 1970 with which it begins
     */
    record Bucket(
            long from,
            @Nullable Double celsius,
            @Nullable Double celsiusMin,
            @Nullable Double celsiusMax,
            @Nullable Double humidity,
            @Nullable Double humidityMin,
            @Nullable Double humidityMax,
            @Nullable Double speed) {}

    /** An hour in which a temperature was measured. */
    record WarmestOf(
            long hour, int readings, long firstAt, long lastAt, double min, double max, boolean humidityStill) {}

    List<HourlyAir> means(long source, Instant from, Instant to) {
        return database.sql("""
                        select hour, celsius, humidity, speed from air_hour
                        where source_id = ? and hour >= ? and hour < ? and celsius is not null order by hour""")
                .params(source, hourOf(from), hourAfter(to))
                .query((row, number) -> new HourlyAir(
                        row.getLong(1),
                        AirReading.units(row.getDouble(2)),
                        AirReading.units(orNaN(row, 3)) / 100,
                        AirReading.units(orNaN(row, 4))))
                .list();
    }

    private static double orNaN(ResultSet row, int column) throws SQLException {
        double value = row.getDouble(column);
        return row.wasNull() ? Double.NaN : value;
    }

    /** Stretches of whole hours, from the hours. */
    List<Bucket> ofHours(long source, Instant from, Instant to, long hoursEach) {
        return database.sql("""
                        select (hour div :each) * :each * 3600, avg(celsius), min(celsius_min), max(celsius_max),
                        avg(humidity), min(humidity_min), max(humidity_max), avg(speed)
                        from air_hour where source_id = :source and hour >= :from and hour < :to
                        group by hour div :each order by 1""")
                .param("each", hoursEach)
                .param("source", source)
                .param("from", hourOf(from))
                .param("to", hourAfter(to))
                .query(AirHours::bucket)
                .list();
    }

    /** Stretches of seconds, from the readings themselves. */
    List<Bucket> ofReadings(long source, Instant from, Instant to, long secondsEach) {
        return database.sql("""
                        select (taken_at div :each) * :each, avg(celsius), min(celsius), max(celsius),
                        avg(humidity), min(humidity), max(humidity), avg(speed)
                        from air_reading where source_id = :source and taken_at >= :from and taken_at < :to
                        group by taken_at div :each order by 1""")
                .param("each", secondsEach)
                .param("source", source)
                .param("from", from.getEpochSecond())
                .param("to", to.getEpochSecond())
                .query(AirHours::bucket)
                .list();
    }

    private static Bucket bucket(ResultSet row, int number) throws SQLException {
        return new Bucket(
                row.getLong(1),
                hundredth(row, 2),
                hundredth(row, 3),
                hundredth(row, 4),
                hundredth(row, 5),
                hundredth(row, 6),
                hundredth(row, 7),
                hundredth(row, 8));
    }

    private static @Nullable Double hundredth(ResultSet row, int column) throws SQLException {
        double value = row.getDouble(column);
        return row.wasNull() ? null : AirReading.units(Math.round(value));
    }

    List<WarmestOf> warmest(long source, Instant from, Instant to) {
        return database.sql("""
                        select hour, readings, first_at, last_at, celsius_min, celsius_max,
                        humidity_min is null or humidity_min = humidity_max from air_hour
                        where source_id = ? and hour >= ? and hour < ? and first_at is not null order by hour""")
                .params(source, hourOf(from), hourAfter(to))
                .query((row, number) -> new WarmestOf(
                        row.getLong(1),
                        row.getInt(2),
                        row.getLong(3),
                        row.getLong(4),
                        AirReading.units(row.getDouble(5)),
                        AirReading.units(row.getDouble(6)),
                        row.getBoolean(7)))
                .list();
    }

    List<Excursions.TimedReading> temperatures(long source, long fromSecond, long toSecond) {
        return database.sql("""
                        select taken_at, celsius from air_reading where source_id = ? and taken_at between ? and ?
                        and celsius is not null order by taken_at""")
                .params(source, fromSecond, toSecond)
                .query((row, number) -> new Excursions.TimedReading(
                        Instant.ofEpochSecond(row.getLong(1)), AirReading.units(row.getDouble(2))))
                .list();
    }

    /** The last second before another of which a temperature is known. */
    Optional<Long> lastBefore(long source, long second) {
        return database.sql("select max(taken_at) from air_reading where source_id = ? and taken_at < ?"
                        + " and celsius is not null")
                .params(source, second)
                .query(Long.class)
                .optional();
    }

    /** Whether what is known of a second was measured by a probe, here or in another house, and not taken in from a file. */
    boolean cameFromProbe(long source, long second) {
        return database.sql("""
                        select count(*) from air_reading r left join air_origin o on o.id = r.origin_id
                        where r.source_id = ? and r.taken_at = ? and (o.id is null or o.kind in ('LATE', 'ARCHIVE'))""").params(source, second).query(Integer.class).single() > 0;
    }

    /** The first second after another of which a temperature is known. */
    Optional<Long> firstAfter(long source, long second) {
        return database.sql("select min(taken_at) from air_reading where source_id = ? and taken_at > ?"
                        + " and celsius is not null")
                .params(source, second)
                .query(Long.class)
                .optional();
    }

    /** The last reading there is. */
    Optional<AirReading> last(long source) {
        return database.sql("""
                        select taken_at, celsius, humidity, speed from air_reading where source_id = ?
                        order by taken_at desc limit 1""")
                .param(source)
                .query((row, number) ->
                        new AirReading(row.getLong(1), hundredth(row, 2), hundredth(row, 3), hundredth(row, 4)))
                .optional();
    }

    /** The first hour that has nothing of the time before it. */
    private static long hourAfter(Instant at) {
        return hourOf(at.plusSeconds(AirReading.SECONDS_PER_HOUR - 1));
    }

    private static long hourOf(Instant at) {
        return Math.floorDiv(at.getEpochSecond(), AirReading.SECONDS_PER_HOUR);
    }
}
