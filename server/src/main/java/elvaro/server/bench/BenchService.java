package elvaro.server.bench;

import elvaro.core.ledger.Balance;
import elvaro.core.ledger.LogFact.Kind;
import elvaro.core.question.Question;
import elvaro.core.yield.BenchOrder;
import elvaro.core.yield.Section;
import elvaro.server.lot.DecisionService;
import elvaro.server.piece.Figures;
import elvaro.server.piece.LogService;
import elvaro.server.piece.Piece;
import elvaro.server.piece.PieceService;
import elvaro.server.piece.PieceState;
import elvaro.server.piece.PieceView;
import elvaro.server.settings.WorkshopService;
import elvaro.server.shared.Answers;
import elvaro.server.shared.Refusal;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The cutting step: what is on the piles, whether it adds up, closing and opening again. */
@Service
@Transactional
public class BenchService {
    private final LogService log;
    private final PieceService pieces;
    private final DecisionService decisions;
    private final WorkshopService workshops;

    BenchService(LogService log, PieceService pieces, DecisionService decisions, WorkshopService workshops) {
        this.log = log;
        this.pieces = pieces;
        this.decisions = decisions;
        this.workshops = workshops;
    }

    /**
     * The bench for one piece.
     *
     * @param expected what the piles were expected to be, as shares of the green weight
     * @param question what will be asked on closing, if anything
     */
    public record BenchView(
            PieceView piece,
            Section expected,
            Balance.State balance,
            double askAboveGrams,
            double refuseAboveGrams,
            @Nullable Question question) {}

    @Transactional(readOnly = true)
    public BenchView view(UUID pieceId) {
        Figures figures = figures(pieceId);
        if (figures.piece().state() == PieceState.HANGING || figures.piece().state() == PieceState.FRESH) {
            throw Refusal.conflict("wrong-state", "Only a piece that was pulled goes to the bench.");
        }
        Balance balance = balance(figures);
        return new BenchView(
                pieces.view(pieceId),
                figures.expectedSection(),
                balance.state(),
                balance.askAbove(),
                balance.refuseAbove(),
                balance.question().orElse(null));
    }

    public void order(UUID pieceId, BenchOrder order) {
        Piece piece = log.lock(pieceId);
        if (piece.state() != PieceState.PULLED) {
            throw Refusal.conflict("wrong-state", "The bench is not open for this piece.");
        }
        piece.cutBy(order);
    }

    /**
     * Closes the bench; sent again, it is closed once.
     *
     * @throws Refusal if no pile was weighed, or the piles do not add up and nobody said why
     */
    public void close(UUID pieceId, UUID entryId, Map<String, String> answers) {
        Piece piece = log.lock(pieceId);
        if (log.isRetry(pieceId, entryId, Kind.CLOSED, 0, null)) {
            return;
        }
        Figures figures = figures(pieceId);
        if (piece.state() == PieceState.PULLED && figures.ledger().piles().total() == 0) {
            throw Refusal.wrong("no-piles", "piles", "Weigh the piles first; none was entered.");
        }
        List<Question> questions = balance(figures).question().map(List::of).orElse(List.of());
        List<Answers.Settled> settled = Answers.of(answers).settle(questions);
        String reason =
                settled.stream().map(Answers.Settled::reason).findFirst().orElse("");
        log.turn(piece, entryId, Kind.CLOSED, reason);
        decisions.keep(piece.lot().id(), pieceId, settled);
    }

    /** Opens a closed bench again, so that a pile can be corrected; the reason is kept. */
    public void reopen(UUID pieceId, UUID entryId, String reason) {
        Piece piece = log.lock(pieceId);
        if (!log.isRetry(pieceId, entryId, Kind.REOPENED, 0, null)) {
            log.turn(piece, entryId, Kind.REOPENED, reason);
        }
    }

    private Figures figures(UUID pieceId) {
        return pieces.figures(List.of(pieceId)).get(0);
    }

    private Balance balance(Figures figures) {
        return Balance.of(
                figures.ledger(),
                workshops.mine().divisionGrams(),
                figures.log().weighingsAtTheBench());
    }
}
