package elvaro.server.reading;

import static org.assertj.core.api.Assertions.assertThat;

import elvaro.server.shared.RetriedTransaction;
import elvaro.server.support.Client;
import elvaro.server.support.RunningApp;
import elvaro.server.support.RunningApp.Someone;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.UUID;
import java.util.function.IntToDoubleFunction;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import javax.sql.DataSource;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.jdbc.support.JdbcTransactionManager;
import tools.jackson.databind.JsonNode;

@ExtendWith(RunningApp.class)
class AirThinningIT {
    private static final Instant NOW = Instant.now().truncatedTo(ChronoUnit.HOURS);
    private static final int HOURS = 48;

    private static String pack(Instant from, IntToDoubleFunction celsius) {
        return IntStream.range(0, HOURS * 60)
                .mapToObj(minute -> "{\"n\":\"t\",\"u\":\"Cel\",\"t\":%d,\"v\":%s}"
                        .formatted(from.getEpochSecond() + minute * 60L, celsius.applyAsDouble(minute)))
                .collect(Collectors.joining(",", "[", "]"));
    }

    /** Two days a reading a minute, the second night warm for forty minutes, and nobody measured for seven hours before. */
    @Test
    void what_was_ordinary_is_told_by_the_hour_and_what_was_not_stays_to_the_minute(
            Someone owner, JdbcClient database, DataSource source) {
        Client client = owner.client();
        String chamber = client.chamber("Cabinet", 50_000);
        String token = client.deviceToken(UUID.randomUUID().toString(), chamber);
        Instant from = NOW.minus(Duration.ofDays(10));
        client.must(client.pack(
                token, pack(from, minute -> minute >= 1830 && minute < 1870 ? 7.5 : 2 + minute % 7 / 10.)));
        client.must(client.pack(token, pack(from.minus(Duration.ofHours(HOURS + 7)), minute -> 2)));
        String before = told(client, chamber);
        long id = database.sql("select id from air_source where chamber_id = ?")
                .param(UUID.fromString(chamber))
                .query(Long.class)
                .single();
        AirThinning thinning = thinning(database, source);
        long gone = thinning.thin(id, NOW);
        long left = count(database, id);
        assertThat(gone + left).isEqualTo(2 * HOURS * 60);
        assertThat(left)
                .as("four an hour at most, and three hours whole")
                .isBetween(3L * 60, 3L * 60 + (2 * HOURS - 3) * 4);
        assertThat(told(client, chamber)).as("warm air, silences and the chart").isEqualTo(before);
        assertThat(thinning.thin(id, NOW)).as("again").isZero();
    }

    @Test
    void what_is_not_old_enough_stays(Someone owner, JdbcClient database, DataSource source) {
        Client client = owner.client();
        String chamber = client.chamber("Cabinet", 50_000);
        String token = client.deviceToken(UUID.randomUUID().toString(), chamber);
        client.must(client.pack(token, pack(NOW.minus(Duration.ofHours(HOURS)), minute -> 2)));
        long id = database.sql("select id from air_source where chamber_id = ?")
                .param(UUID.fromString(chamber))
                .query(Long.class)
                .single();
        thinning(database, source).thin(id, NOW.minus(Duration.ofDays(3)));
        assertThat(count(database, id)).isEqualTo(HOURS * 60);
    }

    private static AirThinning thinning(JdbcClient database, DataSource source) {
        return new AirThinning(
                database, new RetriedTransaction(new JdbcTransactionManager(source)), Clock.systemUTC(), "", false);
    }

    private static long count(JdbcClient database, long source) {
        return database.sql("select count(*) from air_reading where source_id = ?")
                .param(source)
                .query(Long.class)
                .single();
    }

    private static String told(Client client, String chamber) {
        JsonNode air = client.must(client.get("/api/chambers/%s/air?from=%s&to=%s&points=100"
                        .formatted(chamber, NOW.minus(Duration.ofDays(15)), NOW)))
                .body();
        String events = air.path("events")
                .valueStream()
                .filter(event -> !event.path("lasting").asBoolean()) // which ends now, whenever that is
                .toList()
                .toString();
        return events + air.path("points");
    }
}
