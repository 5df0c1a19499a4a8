package elvaro.server.task;

import elvaro.server.account.PasswordChanged;
import elvaro.server.shared.CurrentWorkshop;
import elvaro.server.shared.Refusal;
import elvaro.server.shared.Role;
import elvaro.server.shared.Secret;
import elvaro.server.shared.SignedIn;
import java.time.Clock;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.util.UUID;
import java.util.function.Supplier;
import org.springframework.context.event.EventListener;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * The private address of a person's calendar. A calendar program cannot sign in, so the address itself is the secret: 256
 * random bits, of which only the hash is kept. Looking one up crosses workshops, and so is plain SQL.
 */
@Service
public class CalendarFeeds {
    private final JdbcClient database;
    private final CurrentWorkshop current;
    private final Clock clock;

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
        String token = Secret.make();
        SignedIn person = current.person();
        database.sql("replace into calendar_feed (account_id, workshop_id, token_hash, made_at) values (?, ?, ?, ?)")
                .params(
                        person.accountId(),
                        person.workshopId(),
                        Secret.hash(token),
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

    /** Whoever saw the old password may have seen the address. */
    @EventListener
    void revoke(PasswordChanged changed) {
        database.sql("delete from calendar_feed where account_id = ?")
                .param(changed.accountId())
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
                .param(Secret.hash(token))
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
}
