package elvaro.server.share;

import elvaro.server.shared.CurrentWorkshop;
import elvaro.server.shared.Refusal;
import elvaro.server.shared.RequestLimit;
import elvaro.server.shared.Role;
import elvaro.server.shared.Secret;
import elvaro.server.shared.SignedIn;
import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.time.temporal.ChronoUnit;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionTemplate;

/** Making, taking back and opening the links of pages that are shown around. */
@Service
public class ShareLinks {
    /** Stands on everything that is shown around. */
    public static final String CAUTION =
            "Written down with Elvaro. A page of one house's own record: no advice, and no word on whether meat may be eaten."
                    + " Local law and a licensed practitioner decide.";

    private static final int OPENED_A_MINUTE = 240;
    private static final int GUESSES_A_MINUTE = 30;
    private static final String BEARER = "Bearer ";

    private final RequestLimit<UUID> opened = new RequestLimit<>();
    private final RequestLimit<String> guesses = new RequestLimit<>();
    private final EntityManager entities;
    private final JdbcClient database;
    private final CurrentWorkshop current;
    private final TransactionTemplate transactions;
    private final Clock clock;

    ShareLinks(
            EntityManager entities,
            JdbcClient database,
            CurrentWorkshop current,
            TransactionTemplate transactions,
            Clock clock) {
        this.entities = entities;
        this.database = database;
        this.current = current;
        this.transactions = transactions;
        this.clock = clock;
    }

    private record KnownPage(UUID id, UUID subjectId, UUID workshopId) {}

    /** Where it is shown; empty while it is not. */
    @Transactional(readOnly = true)
    public Optional<String> path(SharedKind kind, UUID subjectId) {
        return standing(kind, subjectId).map(SharedPage::path);
    }

    /** Shows it around; asked again, it is the same link. The caller has seen that there is such a thing. */
    @Transactional
    public String share(SharedKind kind, UUID subjectId) {
        return standing(kind, subjectId)
                .orElseGet(() -> {
                    SharedPage page = new SharedPage(
                            kind,
                            subjectId,
                            Secret.make(),
                            clock.instant().truncatedTo(ChronoUnit.MICROS),
                            current.person().accountId());
                    entities.persist(page);
                    return page;
                })
                .path();
    }

    /** Takes the link back: whoever has it sees nothing any more. */
    @Transactional
    public void takeBack(SharedKind kind, UUID subjectId) {
        standing(kind, subjectId).ifPresent(SharedPage::takeBack);
    }

    private Optional<SharedPage> standing(SharedKind kind, UUID subjectId) {
        return entities.createQuery(
                        "select p from SharedPage p where p.kind = :kind and p.subjectId = :subject"
                                + " and p.token is not null",
                        SharedPage.class)
                .setParameter("kind", kind)
                .setParameter("subject", subjectId)
                .getResultStream()
                .findFirst();
    }

    /**
     * Looks at what a link opens, as nobody in particular of its workshop. Looking a token up crosses workshops, and so is plain
     * SQL.
     *
     * @param authorization the token as a bearer: so it stands in no log of addresses
     * @param address from where it is asked; whoever tries many links that open nothing is turned away
     * @param look what is to be seen of it, by its id
     * @throws Refusal if the link opens nothing
     */
    public <T> T open(SharedKind kind, String authorization, String address, Function<UUID, T> look) {
        String token = authorization.startsWith(BEARER) ? authorization.substring(BEARER.length()) : "";
        KnownPage page = database.sql(
                        "select id, subject_id, workshop_id from shared_page where token = ? and kind = ?")
                .params(token, kind.name())
                .query((row, number) -> new KnownPage(
                        UUID.fromString(row.getString(1)),
                        UUID.fromString(row.getString(2)),
                        UUID.fromString(row.getString(3))))
                .optional()
                .orElseThrow(() -> guesses.allows(address, GUESSES_A_MINUTE)
                        ? Refusal.unknownLink()
                        : Refusal.tooMany("Too many links that open nothing. Wait a minute and try the right one."));
        if (!opened.allows(page.id(), OPENED_A_MINUTE)) {
            throw Refusal.tooMany("That was too much at once. Wait a minute.");
        }
        SignedIn onlooker = new SignedIn(page.id(), page.workshopId(), Role.BENCH_HAND, true, null);
        return current.actingAs(onlooker, () -> transactions.execute(status -> look.apply(page.subjectId())));
    }
}
