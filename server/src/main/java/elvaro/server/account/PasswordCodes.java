package elvaro.server.account;

import elvaro.server.shared.CurrentWorkshop;
import elvaro.server.shared.Refusal;
import elvaro.server.shared.Role;
import elvaro.server.shared.Sha256;
import elvaro.server.shared.SignedIn;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.Duration;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.util.List;
import java.util.UUID;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Codes that let somebody choose their password, each once: an invitation from the owner, for a week, and those a person keeps on
 * paper for the day they forgot it. {@code ./elvaro recover} makes one too. Looking one up crosses workshops, and so is plain
 * SQL; a code is random enough to be kept as a plain hash.
 */
@Service
class PasswordCodes {
    static final int KEPT = 8;

    private static final int GROUPS = 5;
    private static final Duration INVITED_FOR = Duration.ofDays(7);

    private enum CodeKind {
        INVITED,
        KEPT
    }

    private final JdbcClient database;
    private final AccountService accounts;
    private final CurrentWorkshop current;
    private final TransactionTemplate transaction;
    private final Clock clock;

    PasswordCodes(
            JdbcClient database,
            AccountService accounts,
            CurrentWorkshop current,
            TransactionTemplate transaction,
            Clock clock) {
        this.database = database;
        this.accounts = accounts;
        this.current = current;
        this.transaction = transaction;
        this.clock = clock;
    }

    private static String hash(String code) {
        return Sha256.of(TypedCode.read(code).getBytes(StandardCharsets.UTF_8));
    }

    /** For somebody of this workshop, for a week; an earlier one opens nothing any more. */
    @Transactional
    public String invite(UUID accountId) {
        accounts.mustBeHere(accountId);
        forget(accountId, CodeKind.INVITED);
        return make(accountId, CodeKind.INVITED, now().plus(INVITED_FOR));
    }

    /**
     * New ones for the signed-in person to keep; those before open nothing any more.
     *
     * @throws Refusal if the password is not theirs
     */
    @Transactional
    public List<String> keep(String password) {
        accounts.mustKnowPassword(password);
        UUID me = current.person().accountId();
        forget(me, CodeKind.KEPT);
        return Stream.generate(() -> make(me, CodeKind.KEPT, null)).limit(KEPT).toList();
    }

    /** How many the signed-in person has left. */
    public int left() {
        return database.sql("select count(*) from password_code where account_id = ? and kind = ?")
                .params(current.person().accountId().toString(), CodeKind.KEPT.name())
                .query(Integer.class)
                .single();
    }

    private String make(UUID accountId, CodeKind kind, @Nullable LocalDateTime endsAt) {
        String code = TypedCode.fresh(GROUPS);
        database.sql(
                        "insert into password_code (code_hash, workshop_id, account_id, kind, ends_at) values (?, ?, ?, ?, ?)")
                .params(hash(code), current.person().workshopId().toString(), accountId.toString(), kind.name(), endsAt)
                .update();
        return code;
    }

    private void forget(UUID accountId, CodeKind kind) {
        database.sql("delete from password_code where account_id = ? and kind = ?")
                .params(accountId.toString(), kind.name())
                .update();
    }

    private record Owner(SignedIn person, CodeKind kind) {}

    /**
     * Gives the password of whoever the code is for; it is then used up, and with it every invitation of theirs.
     *
     * @return the name they sign in with
     * @throws Refusal if it opens nothing
     */
    String use(String code, String password) {
        Owner owner = database.sql("select c.account_id, c.workshop_id, c.kind, a.role from password_code c"
                        + " join account a on a.id = c.account_id and a.workshop_id = c.workshop_id"
                        + " where c.code_hash = ? and a.active and (c.ends_at is null or c.ends_at > ?)")
                .params(hash(code), now())
                .query((row, number) -> new Owner(
                        new SignedIn(
                                UUID.fromString(row.getString("account_id")),
                                UUID.fromString(row.getString("workshop_id")),
                                Role.valueOf(row.getString("role")),
                                true,
                                null),
                        CodeKind.valueOf(row.getString("kind"))))
                .optional()
                .orElseThrow(PasswordCodes::opensNothing);
        return current.actingAs(
                owner.person(),
                () -> java.util.Objects.requireNonNull(transaction.execute(status -> {
                    int used = database.sql("delete from password_code where code_hash = ?")
                            .param(hash(code))
                            .update();
                    if (used == 0) {
                        throw opensNothing(); // somebody else was quicker
                    }
                    forget(owner.person().accountId(), CodeKind.INVITED);
                    return accounts.choosePassword(owner.person().accountId(), password);
                })));
    }

    private static Refusal opensNothing() {
        return Refusal.wrong(
                "wrong-code",
                "code",
                "This code opens nothing: it was used, a newer one was made, or its time is over. Ask the owner for a new"
                        + " one.");
    }

    private LocalDateTime now() {
        return LocalDateTime.now(clock.withZone(ZoneOffset.UTC));
    }
}
