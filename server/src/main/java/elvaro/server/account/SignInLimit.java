package elvaro.server.account;

import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.time.Clock;
import java.time.Duration;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.util.HexFormat;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/**
 * How often a name, and an address, may try to sign in: ten and sixty times in a quarter of an hour. Attempts stand in
 * the database, so that several instances count together and a restart forgives nothing. Each is written before it is
 * counted, so that many at once cannot slip through (docs/decisions/0003 says why no library does this).
 */
@Component
class SignInLimit {
    private static final Duration WINDOW = Duration.ofMinutes(15);
    private static final int TRIES_OF_A_NAME = 10;
    private static final int TRIES_OF_AN_ADDRESS = 60;

    private final JdbcClient database;
    private final Clock clock;

    SignInLimit(JdbcClient database, Clock clock) {
        this.database = database;
        this.clock = clock;
    }

    /** Counts one attempt; false once there were too many. */
    boolean allows(String signInName, String address) {
        return attempt("address " + address) <= TRIES_OF_AN_ADDRESS && attempt(nameKey(signInName)) <= TRIES_OF_A_NAME;
    }

    /** A person who got in starts afresh, and what is too old to count is cleared away. */
    void forgive(String signInName) {
        database.sql("delete from sign_in_attempt where who = ? or tried_at < ?")
                .params(nameKey(signInName), windowStart())
                .update();
    }

    private int attempt(String who) {
        database.sql("insert into sign_in_attempt (who, tried_at) values (?, ?)")
                .params(who, LocalDateTime.now(clock.withZone(ZoneOffset.UTC)))
                .update();
        return database.sql("select count(*) from sign_in_attempt where who = ? and tried_at >= ?")
                .params(who, windowStart())
                .query(Integer.class)
                .single();
    }

    private LocalDateTime windowStart() {
        return LocalDateTime.now(clock.withZone(ZoneOffset.UTC)).minus(WINDOW);
    }

    /** What is typed as a name may be anything of any length; its hash is short and tells nothing. */
    private static String nameKey(String signInName) {
        try {
            byte[] hash = MessageDigest.getInstance("SHA-256")
                    .digest(SignInDirectory.canonical(signInName).getBytes(StandardCharsets.UTF_8));
            return "name " + HexFormat.of().formatHex(hash);
        } catch (NoSuchAlgorithmException missing) {
            throw new IllegalStateException(missing);
        }
    }
}
