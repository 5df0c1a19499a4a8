package elvaro.server.record;

import elvaro.core.working.Quantity;
import elvaro.server.account.AccountService;
import elvaro.server.record.RecordView.RecordRow;
import elvaro.server.record.RecordView.Standing;
import elvaro.server.shared.FactChange;
import jakarta.persistence.EntityManager;
import jakarta.persistence.TypedQuery;
import java.time.Instant;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** What was changed of what an inspector is shown, as rows of a record. */
@Service
@Transactional(propagation = Propagation.MANDATORY)
class ChangeReader {
    private static final String CHANGES = "select c from FactChange c where ";
    private static final String IN_ORDER = " order by c.changedAt, c.fact";

    private final EntityManager entities;
    private final AccountService accounts;

    ChangeReader(EntityManager entities, AccountService accounts) {
        this.entities = entities;
        this.accounts = accounts;
    }

    /** Of some lots, pieces, chambers or whatever else, by their ids. */
    List<RecordRow> of(Collection<UUID> subjects) {
        return rows(entities.createQuery(CHANGES + "c.subjectId in :subjects" + IN_ORDER, FactChange.class)
                .setParameter("subjects", subjects));
    }

    /** Of all the house. */
    List<RecordRow> between(Instant from, Instant before) {
        return rows(entities.createQuery(
                        CHANGES + "c.changedAt >= :from and c.changedAt < :before" + IN_ORDER, FactChange.class)
                .setParameter("from", from)
                .setParameter("before", before));
    }

    private List<RecordRow> rows(TypedQuery<FactChange> changes) {
        Map<UUID, String> names = accounts.names();
        return changes.getResultStream()
                .map(change -> new RecordRow(
                        change.changedAt(),
                        change.changedAt(),
                        change.accountId() == null ? "" : names.getOrDefault(change.accountId(), ""),
                        Quantity.words(change.subject()),
                        change.fact(),
                        null,
                        words(change),
                        Standing.STANDS))
                .toList();
    }

    private static String words(FactChange change) {
        if (change.isAppearance()) {
            return "";
        }
        String told = "Was: %s. Is: %s.".formatted(orNothing(change.was()), orNothing(change.became()));
        return change.why().isEmpty() ? told : told + " " + Quantity.words(change.why());
    }

    private static String orNothing(String words) {
        return words.isEmpty() ? "nothing" : words;
    }
}
