package elvaro.server.account;

import java.time.Clock;
import java.time.Duration;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.TransactionDefinition;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Attempts to sign in, by who made them. They stand in the database, so that several instances count together and a restart
 * forgives nothing.
 */
@Repository
class SignInAttempts {
    private final JdbcClient database;
    private final Clock clock;

    private final TransactionTemplate byItself;

    SignInAttempts(JdbcClient database, PlatformTransactionManager transactions, Clock clock) {
        this.database = database;
        this.byItself = new TransactionTemplate(transactions);
        this.byItself.setPropagationBehavior(TransactionDefinition.PROPAGATION_REQUIRES_NEW);
        this.clock = clock;
    }

    /**
     * Writes one down, and says how many there were within the time; written first, so that many at once are all counted, and
     * for good, whatever becomes of what is being tried.
     */
    int count(String who, Duration within) {
        byItself.executeWithoutResult(
                status -> database.sql("insert into sign_in_attempt (who, tried_at) values (?, ?)")
                        .params(who, now())
                        .update());
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
