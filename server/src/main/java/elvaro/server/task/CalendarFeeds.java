package elvaro.server.task;

import elvaro.server.shared.CurrentWorkshop;
import elvaro.server.shared.Refusal;
import elvaro.server.shared.Role;
import elvaro.server.shared.SignedIn;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.security.SecureRandom;
import java.time.Clock;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.util.Base64;
import java.util.HexFormat;
import java.util.UUID;
import java.util.function.Supplier;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * The private address of a person's calendar. A calendar program cannot sign in, so the address itself is the secret: 256
 * random bits, of which only the hash is kept. Looking one up crosses workshops, and so is plain SQL.
 */
@Service
public class CalendarFeeds {
    private static final int SECRET_BYTES = 32;

    private final JdbcClient database;
    private final CurrentWorkshop current;
    private final Clock clock;
    private final SecureRandom random = new SecureRandom();

    CalendarFeeds(JdbcClient database, CurrentWorkshop current, Clock clock) {
        this.database = database;
        this.current = current;
        this.clock = clock;
    }

    public boolean isMade() {
        return database.sql("select count(*) from calendar_feed where account_id = ?")
                        .param(current.person().accountId())
                        .query(Integer.class)
                        .single()
                > 0;
    }

    /** Makes a new secret for the signed-in person; the one before no longer opens anything. */
    @Transactional
    public String make() {
        byte[] secret = new byte[SECRET_BYTES];
        random.nextBytes(secret);
        String token = Base64.getUrlEncoder().withoutPadding().encodeToString(secret);
        SignedIn person = current.person();
        database.sql("replace into calendar_feed (account_id, workshop_id, token_hash, made_at) values (?, ?, ?, ?)")
                .params(
                        person.accountId(),
                        person.workshopId(),
                        hash(token),
                        LocalDateTime.now(clock.withZone(ZoneOffset.UTC)))
                .update();
        return token;
    }

    @Transactional
    public void revoke() {
        database.sql("delete from calendar_feed where account_id = ?")
                .param(current.person().accountId())
                .update();
    }

    /**
     * Reads for the person whose secret this is.
     *
     * @throws Refusal if it is nobody's, or the person may no longer sign in
     */
    public String asOwner(String token, Supplier<String> read) {
        SignedIn person = database.sql("""
                        select a.id, a.workshop_id, a.role from calendar_feed f
                        join account a on a.id = f.account_id and a.workshop_id = f.workshop_id
                        where f.token_hash = ? and a.active
                        """)
                .param(hash(token))
                .query((row, number) -> new SignedIn(
                        UUID.fromString(row.getString("id")),
                        UUID.fromString(row.getString("workshop_id")),
                        Role.valueOf(row.getString("role")),
                        true,
                        null))
                .optional()
                .orElseThrow(() -> Refusal.notFound("calendar"));
        return current.actingAs(person, read);
    }

    private static String hash(String token) {
        try {
            byte[] hash = MessageDigest.getInstance("SHA-256").digest(token.getBytes(StandardCharsets.UTF_8));
            return HexFormat.of().formatHex(hash);
        } catch (NoSuchAlgorithmException missing) {
            throw new IllegalStateException(missing);
        }
    }
}
