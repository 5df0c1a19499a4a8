package elvaro.server.lot;

import elvaro.server.account.AccountService;
import elvaro.server.shared.Answers;
import elvaro.server.shared.CurrentWorkshop;
import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** Keeps what people decided about dubious values, for whoever inspects the records. */
@Service
@Transactional(propagation = Propagation.MANDATORY)
public class DecisionService {
    private final EntityManager entities;
    private final AccountService accounts;
    private final CurrentWorkshop current;
    private final Clock clock;

    DecisionService(EntityManager entities, AccountService accounts, CurrentWorkshop current, Clock clock) {
        this.entities = entities;
        this.accounts = accounts;
        this.current = current;
        this.clock = clock;
    }

    /** One decision, as it is shown. */
    public record DecisionView(String sentence, String reason, Instant decidedAt, String by) {}

    public void keep(UUID lotId, @Nullable UUID pieceId, List<Answers.Settled> settled) {
        Instant now = clock.instant().truncatedTo(ChronoUnit.MICROS);
        UUID by = current.person().accountId();
        settled.forEach(answer -> entities.persist(new Decision(
                lotId, pieceId, answer.question().id(), answer.question().sentence(), answer.reason(), now, by)));
    }

    /** The decisions about a lot and, where a piece is given, about that piece. */
    public List<DecisionView> about(UUID lotId, @Nullable UUID pieceId) {
        Map<UUID, String> names = accounts.names();
        return entities.createQuery(
                        "select d from Decision d where d.lotId = :lot order by d.decidedAt", Decision.class)
                .setParameter("lot", lotId)
                .getResultStream()
                .filter(decision ->
                        decision.pieceId() == null || decision.pieceId().equals(pieceId))
                .map(decision -> view(decision, names))
                .toList();
    }

    /** All decisions of a stretch of time. */
    public List<DecisionView> between(Instant from, Instant before) {
        Map<UUID, String> names = accounts.names();
        return entities.createQuery(
                        "select d from Decision d where d.decidedAt >= :from and d.decidedAt < :before order by d.decidedAt",
                        Decision.class)
                .setParameter("from", from)
                .setParameter("before", before)
                .getResultStream()
                .map(decision -> view(decision, names))
                .toList();
    }

    private static DecisionView view(Decision decision, Map<UUID, String> names) {
        return new DecisionView(
                decision.sentence(),
                decision.reason(),
                decision.decidedAt(),
                names.getOrDefault(decision.accountId(), ""));
    }
}
