package elvaro.server.reading;

import elvaro.core.keeping.Excursions;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.Period;
import java.time.ZoneOffset;
import java.util.List;
import net.javacrumbs.shedlock.spring.annotation.SchedulerLock;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Rolls readings older than a chosen time up to their hours: of an ordinary hour its first and last reading stay, its coldest
 * and its warmest, and the hour's own row with its means, which is what charts and forecasts read. Hours that were too warm
 * and those beside them stay whole, so that nothing a person had to decide about becomes less exact. Without a time, all
 * readings stay for ever.
 */
@Component
class AirThinning {
    private static final Logger LOG = LoggerFactory.getLogger(AirThinning.class);

    /** In each transaction; a probe that sends meanwhile waits for no more than that. */
    private static final Duration AT_ONCE = Duration.ofDays(7);

    private static final long HOUR = AirReading.SECONDS_PER_HOUR;

    private final JdbcClient database;
    private final TransactionTemplate transaction;
    private final Clock clock;
    private final @Nullable Period whole;

    /**
     * @param whole for how long readings stay as they are, as {@code P2Y}; empty for ever
     * @param onlyLookedAt whether the house was restored to be looked at: nothing of it is then changed
     */
    AirThinning(
            JdbcClient database,
            TransactionTemplate transaction,
            Clock clock,
            @Value("${elvaro.readings-whole-for}") String whole,
            @Value("${elvaro.check}") boolean onlyLookedAt) {
        this.database = database;
        this.transaction = transaction;
        this.clock = clock;
        this.whole = onlyLookedAt || whole.isEmpty() ? null : Period.parse(whole);
    }

    @Scheduled(initialDelayString = "PT20M", fixedDelayString = "PT12H")
    @SchedulerLock(name = "air-thinning", lockAtMostFor = "PT2H")
    void work() {
        if (whole == null) {
            return;
        }
        Instant until = clock.instant().atZone(ZoneOffset.UTC).minus(whole).toInstant();
        for (long source : sources()) {
            long gone = thin(source, until);
            if (gone > 0) {
                LOG.info("{} readings of the time before {} are told by the hour now.", gone, until);
            }
        }
    }

    /** Of all houses: how long a machine keeps them is its own affair. */
    private List<Long> sources() {
        return database.sql("select id from air_source").query(Long.class).list();
    }

    /** @return how many readings went */
    long thin(long source, Instant until) {
        long last = until.getEpochSecond() / HOUR * HOUR;
        long step = AT_ONCE.toSeconds();
        long gone = 0;
        // What was done before is skipped: whole weeks that have nothing to give are few rows.
        for (long from = first(source); from < last; from += step) {
            long begin = from;
            gone += transaction.execute(status -> thin(source, begin, Math.min(last, begin + step)));
        }
        return gone;
    }

    private long first(long source) {
        long first = database.sql(
                        "select coalesce(min(taken_at), unix_timestamp()) from air_reading where source_id = ?")
                .param(source)
                .query(Long.class)
                .single();
        return first / HOUR * HOUR;
    }

    private long thin(long source, long from, long to) {
        return database.sql("""
                        delete r from air_reading r join (select taken_at,
                        row_number() over (of_hour order by taken_at) as early,
                        row_number() over (of_hour order by taken_at desc) as late,
                        row_number() over (of_hour order by celsius, taken_at) as cold,
                        row_number() over (of_hour order by celsius desc, taken_at) as warm
                        from air_reading where source_id = :source and taken_at >= :from and taken_at < :to
                        window of_hour as (partition by taken_at div :hour)) more on more.taken_at = r.taken_at
                        left join air_hour h1 on h1.source_id = r.source_id
                        and h1.hour = r.taken_at div :hour - 1 and h1.celsius_max > :limit
                        left join air_hour h2 on h2.source_id = r.source_id
                        and h2.hour = r.taken_at div :hour and h2.celsius_max > :limit
                        left join air_hour h3 on h3.source_id = r.source_id
                        and h3.hour = r.taken_at div :hour + 1 and h3.celsius_max > :limit
                        where r.source_id = :source and early > 1 and late > 1 and cold > 1 and warm > 1
                        and h1.hour is null and h2.hour is null and h3.hour is null""")
                .param("source", source)
                .param("from", from)
                .param("to", to)
                .param("hour", HOUR)
                .param("limit", AirReading.hundredths(Excursions.LIMIT_CELSIUS))
                .update();
    }
}
