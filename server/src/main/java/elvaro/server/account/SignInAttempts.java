package elvaro.server.account;

import java.time.Clock;
import java.time.Duration;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/**
 * Attempts to sign in, by who made them. They stand in the database, so that several instances count together and a restart
 * forgives nothing.
 */
@Repository
class SignInAttempts {
    private final JdbcClient database;
    private final Clock clock;

    SignInAttempts(JdbcClient database, Clock clock) {
        this.database = database;
        this.clock = clock;
    }

    /** Writes one down, and says how many there were within the time; written first, so that many at once are all counted. */
    int count(String who, Duration within) {
        database.sql("insert into sign_in_attempt (who, tried_at) values (?, ?)")
                .params(who, now())
                .update();
        return database.sql("select count(*) from sign_in_attempt where who = ? and tried_at >= ?")
                .params(who, now().minus(within))
                .query(Integer.class)
                .single();
    }

    /** Takes away those of one, and all that are older. */
    void clear(String who, Duration older) {
        database.sql("delete from sign_in_attempt where who = ? or tried_at < ?")
                .params(who, now().minus(older))
                .update();
    }

    private LocalDateTime now() {
        return LocalDateTime.now(clock.withZone(ZoneOffset.UTC));
    }
}
