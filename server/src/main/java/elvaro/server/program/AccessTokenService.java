package elvaro.server.program;

import elvaro.server.account.AccountService;
import elvaro.server.account.PasswordChanged;
import elvaro.server.settings.WorkshopService;
import elvaro.server.shared.CurrentWorkshop;
import elvaro.server.shared.MinuteLimit;
import elvaro.server.shared.Refusal;
import elvaro.server.shared.Role;
import elvaro.server.shared.Secret;
import elvaro.server.shared.SignedIn;
import java.sql.Timestamp;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.context.event.EventListener;
import org.springframework.dao.DataAccessException;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The tokens of the workshop. One is shown once, when it is made. */
@Service
class AccessTokenService {
    private static final Logger LOG = LoggerFactory.getLogger(AccessTokenService.class);

    private static final int MOST = 50;
    private static final Duration USED_IS_WRITTEN = Duration.ofHours(1);

    /** So that it is known as one where it turns up in files of others. */
    private static final String PREFIX = "elvaro_";

    private final AccessTokenRepository tokens;
    private final AccountService accounts;
    private final WorkshopService workshops;
    private final CurrentWorkshop current;
    private final JdbcClient database;
    private final MinuteLimit limit;
    private final Clock clock;
    private final int mostAMinute;

    AccessTokenService(
            AccessTokenRepository tokens,
            AccountService accounts,
            WorkshopService workshops,
            CurrentWorkshop current,
            JdbcClient database,
            MinuteLimit limit,
            Clock clock,
            @Value("${elvaro.program-requests-a-minute}") int mostAMinute) {
        this.tokens = tokens;
        this.accounts = accounts;
        this.workshops = workshops;
        this.current = current;
        this.database = database;
        this.limit = limit;
        this.clock = clock;
        this.mostAMinute = mostAMinute;
    }

    /**
     * A token as a person sees it.
     *
     * @param by whose it is, for whom the program speaks
     * @param ended whether its last day is over
     * @param usedAt when it was last used, within an hour
     * @param token right after it was made; it is not kept and not shown again
     */
    record AccessTokenView(
            UUID id,
            int version,
            String name,
            String by,
            Set<Scope> scopes,
            Instant madeAt,
            @Nullable LocalDate lastDay,
            boolean ended,
            @Nullable Instant usedAt,
            @Nullable String token) {}

    /** Those of the person; an owner sees everybody's. */
    @Transactional(readOnly = true)
    public List<AccessTokenView> mine() {
        SignedIn person = current.person();
        Map<UUID, String> names = accounts.names();
        return tokens.open().stream()
                .filter(token -> mayRemove(person, token))
                .map(token -> view(token, names, null))
                .toList();
    }

    private AccessTokenView view(AccessToken token, Map<UUID, String> names, @Nullable String secret) {
        return new AccessTokenView(
                token.id(),
                token.version(),
                token.name(),
                names.getOrDefault(token.accountId(), ""),
                token.scopes(),
                token.madeAt(),
                token.lastDay().orElse(null),
                token.lastDay().filter(day -> day.isBefore(workshops.today())).isPresent(),
                token.usedAt().orElse(null),
                secret);
    }

    private static boolean mayRemove(SignedIn person, AccessToken token) {
        return isOwner(person) || token.accountId().equals(person.accountId());
    }

    private static boolean isOwner(SignedIn person) {
        return person.getAuthorities().stream().anyMatch(each -> ("ROLE_" + Role.OWNER).equals(each.getAuthority()));
    }

    /**
     * Makes a token; asked again, it is there once and is not shown again.
     *
     * @param days how long it opens anything; null for ever
     * @throws Refusal if there are very many, or it would open more than the person may do
     */
    @Transactional
    public AccessTokenView make(UUID id, String name, Set<Scope> scopes, @Nullable Integer days) {
        workshops.lock(); // They are counted.
        SignedIn person = current.person();
        Map<UUID, String> names = accounts.names();
        Optional<AccessToken> known = tokens.findById(id);
        if (known.isPresent()) {
            return view(known.get(), names, null);
        }
        if (tokens.open().size() >= MOST) {
            throw Refusal.conflict("too-many", "At most %d tokens are open. Remove one first.".formatted(MOST));
        }
        Role role = isOwner(person) ? Role.OWNER : Role.BENCH_HAND;
        if (!scopes.stream().allMatch(scope -> scope.isFor(role))) {
            throw Refusal.wrong("not-yours", "scopes", "The whole record is the owner's to give away.");
        }
        String secret = PREFIX + Secret.make();
        AccessToken token = tokens.save(new AccessToken(
                id,
                person.accountId(),
                name,
                Secret.hash(secret),
                scopes,
                clock.instant().truncatedTo(ChronoUnit.MICROS),
                days == null ? null : workshops.today().plusDays(days)));
        return view(token, names, secret);
    }

    /** @throws Refusal if there is none of the person's, or somebody changed it meanwhile */
    @Transactional
    public void remove(UUID id, int version) {
        AccessToken token = tokens.findById(id)
                .filter(each -> mayRemove(current.person(), each))
                .orElseThrow(() -> Refusal.notFound("token"));
        if (!token.isRemoved()) {
            token.remove(version);
            tokens.save(token);
        }
    }

    /** Whoever changes a password closes what was opened while the old one was good, also what a thief opened. */
    @EventListener
    void remove(PasswordChanged changed) {
        tokens.open().stream()
                .filter(token -> token.accountId().equals(changed.accountId()))
                .forEach(token -> {
                    token.remove(token.version());
                    tokens.save(token);
                });
    }

    /**
     * Whom a program speaks for.
     *
     * @param name of the token
     */
    record Program(UUID id, String name, SignedIn person, Set<Scope> scopes) {}

    private record KnownToken(
            Program program,
            @Nullable LocalDate lastDay,
            @Nullable Instant usedAt) {}

    /**
     * The program whose token this is. Looking it up crosses workshops, and so is plain SQL.
     *
     * @return nothing where it was removed, is over, or its person is no longer of the house
     * @throws Refusal if requests come too fast
     */
    Optional<Program> of(String secret) {
        Instant now = clock.instant();
        Optional<KnownToken> known = database.sql("select t.id, t.workshop_id, t.account_id, t.name, t.scopes,"
                        + " t.last_day, t.used_at, a.role from access_token t"
                        + " join account a on a.workshop_id = t.workshop_id and a.id = t.account_id"
                        + " where t.token_hash = ? and not t.removed and a.active")
                .param(Secret.hash(secret))
                .query((row, number) -> {
                    Role role = Role.valueOf(row.getString("role"));
                    SignedIn person = new SignedIn(
                            UUID.fromString(row.getString("account_id")),
                            UUID.fromString(row.getString("workshop_id")),
                            role,
                            true,
                            null);
                    Set<Scope> scopes = AccessToken.scopes(row.getString("scopes")).stream()
                            .filter(scope -> scope.isFor(role)) // who is no owner any more gives no more away
                            .collect(Collectors.toUnmodifiableSet());
                    LocalDateTime used = row.getObject("used_at", LocalDateTime.class);
                    return new KnownToken(
                            new Program(UUID.fromString(row.getString("id")), row.getString("name"), person, scopes),
                            row.getObject("last_day", LocalDate.class),
                            used == null ? null : used.toInstant(ZoneOffset.UTC));
                })
                .optional()
                .filter(each -> each.lastDay() == null || !isOver(each));
        known.ifPresent(each -> {
            if (!limit.allows("program " + each.program().id(), mostAMinute)) {
                throw Refusal.tooMany("At most %d requests a minute. Wait a minute; ask for more in one, or less often."
                        .formatted(mostAMinute));
            }
            if (each.usedAt() == null || each.usedAt().plus(USED_IS_WRITTEN).isBefore(now)) {
                used(each.program(), now);
            }
        });
        return known.map(KnownToken::program);
    }

    /** A program that only asks is answered although nothing can be kept, as on a disk that is full. */
    private void used(Program program, Instant now) {
        try {
            database.sql("update access_token set used_at = ? where id = ?")
                    .params(Timestamp.valueOf(LocalDateTime.ofInstant(now, ZoneOffset.UTC)), program.id())
                    .update();
        } catch (DataAccessException notNow) {
            LOG.warn("When a program was last used was not kept: {}", notNow.getMessage());
        }
    }

    /** By the calendar of the house. */
    private boolean isOver(KnownToken token) {
        return current.actingAs(token.program().person(), workshops::today).isAfter(token.lastDay());
    }
}
