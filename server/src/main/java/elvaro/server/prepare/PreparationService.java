package elvaro.server.prepare;

import elvaro.core.drying.Hanging;
import elvaro.core.prepare.Need;
import elvaro.core.prepare.Need.Sides;
import elvaro.core.prepare.PreparationStep;
import elvaro.server.account.AccountService;
import elvaro.server.hanging.PieceCard;
import elvaro.server.hanging.PieceQueries;
import elvaro.server.piece.Piece;
import elvaro.server.piece.PieceWriter;
import elvaro.server.shared.CurrentWorkshop;
import elvaro.server.shared.Refusal;
import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The preparation sheet of a piece. */
@Service
@Transactional
public class PreparationService {
    private final PieceWriter writer;
    private final PieceQueries pieces;
    private final AccountService accounts;
    private final CurrentWorkshop current;
    private final EntityManager entities;
    private final Clock clock;

    PreparationService(
            PieceWriter writer,
            PieceQueries pieces,
            AccountService accounts,
            CurrentWorkshop current,
            EntityManager entities,
            Clock clock) {
        this.writer = writer;
        this.pieces = pieces;
        this.accounts = accounts;
        this.current = current;
        this.entities = entities;
        this.clock = clock;
    }

    /** A step with whether it is done, when and by whom. */
    public record StepView(
            String key,
            String words,
            String why,
            boolean done,
            @Nullable Instant at,
            @Nullable String by) {}

    public record PreparationView(PieceCard card, List<StepView> steps, List<Need> needs) {}

    @Transactional(readOnly = true)
    public PreparationView view(UUID pieceId) {
        var worked = pieces.figures(List.of(pieceId)).get(0);
        Piece piece = worked.piece();
        Hanging hanging = hanging(piece);
        Map<String, PreparationTick> ticks = ticks(pieceId);
        Map<UUID, String> names = accounts.names();
        Sides sides =
                piece.sides().orElseGet(() -> Sides.usual(piece.cut().surface(), piece.greenGrams() / piece.count()));
        return new PreparationView(
                pieces.card(worked),
                PreparationStep.of(piece.cut(), hanging).stream()
                        .map(step -> view(step, ticks.get(step.key()), names))
                        .toList(),
                Need.of(hanging, sides));
    }

    private static StepView view(PreparationStep step, @Nullable PreparationTick tick, Map<UUID, String> names) {
        boolean done = tick != null && tick.done();
        return new StepView(
                step.key(),
                step.words(),
                step.why(),
                done,
                done ? tick.tickedAt() : null,
                done ? names.getOrDefault(tick.accountId(), "") : null);
    }

    /** Ticks a step, or takes its tick off; sent again, it is kept once. */
    public void tick(UUID id, UUID pieceId, String step, boolean done) {
        Piece piece = writer.lock(pieceId);
        if (entities.find(PreparationTick.class, id) != null) {
            return;
        }
        boolean known = PreparationStep.of(piece.cut(), hanging(piece)).stream()
                .anyMatch(each -> each.key().equals(step));
        if (!known) {
            throw Refusal.wrong("no-step", "step", "The preparation of this piece has no such step.");
        }
        Instant now = clock.instant().truncatedTo(ChronoUnit.MICROS);
        entities.persist(new PreparationTick(
                id, pieceId, step, done, now, current.person().accountId()));
    }

    private static Hanging hanging(Piece piece) {
        return piece.asItIsToHang()
                .orElseThrow(() ->
                        Refusal.conflict("wrong-state", "The piece was set aside fresh; nothing is prepared for it."));
    }

    private Map<String, PreparationTick> ticks(UUID pieceId) {
        Map<String, PreparationTick> last = new HashMap<>();
        entities.createQuery(
                        "select t from PreparationTick t where t.pieceId = :piece order by t.tickedAt, t.id",
                        PreparationTick.class)
                .setParameter("piece", pieceId)
                .getResultStream()
                .forEach(tick -> last.put(tick.step(), tick));
        return last;
    }
}
