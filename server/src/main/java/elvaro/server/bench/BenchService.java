package elvaro.server.bench;

import elvaro.core.inspection.FollowUp;
import elvaro.core.ledger.Balance;
import elvaro.core.ledger.LogFact.LogFactKind;
import elvaro.core.ledger.PileNames;
import elvaro.core.ledger.Stream;
import elvaro.core.portion.Steaks;
import elvaro.core.portion.Steaks.Trimmed;
import elvaro.core.question.Question;
import elvaro.core.yield.Section;
import elvaro.server.bench.BenchController.CuttingForm;
import elvaro.server.bench.BenchController.SteaksAsked;
import elvaro.server.bench.Cutting.SteaksView;
import elvaro.server.forecast.Figures;
import elvaro.server.hanging.EntryForm;
import elvaro.server.hanging.LogService;
import elvaro.server.hanging.PieceQueries;
import elvaro.server.hanging.PieceView;
import elvaro.server.lot.DecisionService;
import elvaro.server.piece.Piece;
import elvaro.server.piece.PieceState;
import elvaro.server.piece.PieceWriter;
import elvaro.server.settings.WorkshopService;
import elvaro.server.shared.Answers;
import elvaro.server.shared.Ids;
import elvaro.server.shared.Refusal;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The cutting step: what is on the piles, whether it adds up, closing and opening again. */
@Service
@Transactional
public class BenchService {
    private static final String NOTHING_WEIGHED =
            "No pile was weighed. Closed like this its yields and costs are not known, and it counts in no figure but its shrink.";

    private final PieceWriter writer;
    private final LogService log;
    private final PieceQueries pieces;
    private final DecisionService decisions;
    private final WorkshopService workshops;

    BenchService(
            PieceWriter writer,
            LogService log,
            PieceQueries pieces,
            DecisionService decisions,
            WorkshopService workshops) {
        this.writer = writer;
        this.log = log;
        this.pieces = pieces;
        this.decisions = decisions;
        this.workshops = workshops;
    }

    @Transactional(readOnly = true)
    public BenchView view(UUID pieceId) {
        Figures figures = figures(pieceId);
        mustBeDown(figures.piece());
        Balance balance = balance(figures);
        Section expected = figures.expectedSection();
        PieceView piece = pieces.view(pieceId);
        boolean closed = figures.piece().state() == PieceState.CUT;
        return new BenchView(
                piece,
                expected,
                Cutting.piles(figures, expected).grams(),
                balance.state(),
                balance.askAbove(),
                balance.refuseAbove(),
                balance.question().orElse(null),
                figures.log().wrap().orElse(null),
                FollowUp.restsUntil(figures.log()).orElse(null),
                figures.piece().closeness(),
                figures.piece().steaksOnBone(),
                figures.piece().crustTenthsMm().orElse(null),
                closed ? List.of() : Cutting.choices(figures, workshops.settings()),
                java.util.stream.Stream.concat(
                                pieces.pileNames().stream(),
                                PileNames.usual(figures.piece().cut().species()).stream())
                        .distinct()
                        .toList(),
                Cutting.cut(piece.log()),
                closed ? Cutting.knife(figures) : null);
    }

    /** Steaks of a thickness, or of a weight, from what is expected to be left after trimming. */
    @Transactional(readOnly = true)
    SteaksView steaks(UUID pieceId, SteaksAsked asked) {
        Figures figures = figures(pieceId);
        mustBeDown(figures.piece());
        if ((asked.thicknessMm() == null) == (asked.gramsEach() == null)) {
            throw Refusal.wrong("thickness-or-weight", "thicknessMm", "Say how thick, or how heavy, and not both.");
        }
        Trimmed trimmed = Cutting.trimmed(figures, asked.lengthMm(), asked.saw(), asked.endMm());
        if (!(trimmed.grams() > 0)) {
            throw Refusal.conflict("no-steak", "Nothing is expected to be left for steaks.");
        }
        Steaks steaks = asked.thicknessMm() != null
                ? Steaks.ofThickness(trimmed, asked.thicknessMm())
                : Steaks.ofWeight(trimmed, Objects.requireNonNull(asked.gramsEach()));
        return SteaksView.of(steaks, trimmed);
    }

    private static void mustBeDown(Piece piece) {
        if (piece.state() != PieceState.PULLED && piece.state() != PieceState.CUT) {
            throw Refusal.conflict("wrong-state", "Only a piece that was pulled goes to the bench.");
        }
    }

    /** How it is cut, and the crust that was measured. A rule laid on after closing still counts. */
    public void cutting(UUID pieceId, CuttingForm form) {
        Piece piece = writer.lock(pieceId);
        mustBeDown(piece);
        boolean closed = piece.state() == PieceState.CUT;
        boolean sawn = form.steaksOnBone() != null && form.steaksOnBone() != piece.steaksOnBone();
        boolean another =
                sawn || form.order() != piece.benchOrder().orElse(null) || form.closeness() != piece.closeness();
        if (closed && another) {
            throw Refusal.conflict("wrong-state", "The bench is not open for this piece.");
        }
        if (form.order() != null) {
            writer.cutBy(piece, form.order());
        }
        if (sawn) {
            writer.saw(piece, form.steaksOnBone());
        }
        writer.trim(piece, form.closeness(), form.crustTenthsMm());
    }

    /**
     * Throws away all that lies on no pile yet, and closes. Sent again, it happens once.
     *
     * @param reason what was wrong with it
     */
    public void discardRest(UUID pieceId, UUID entryId, String reason) {
        Piece piece = writer.lock(pieceId);
        if (log.isRetry(pieceId, entryId, LogFactKind.CLOSED, 0, null)) {
            return;
        }
        mustBeWhole(piece);
        int left = figures(pieceId).ledger().residual();
        if (left > 0) {
            log.writeFor(
                    pieceId,
                    Ids.after(entryId, "pile"),
                    new EntryForm(LogFactKind.PILE, left, Stream.DISCARD, reason, null, null, Map.of()));
        }
        log.turn(piece, entryId, LogFactKind.CLOSED, reason);
    }

    /**
     * Closes the bench; sent again, it is closed once.
     *
     * @throws Refusal if no pile was weighed and nobody said so, or the piles do not add up and nobody said why
     */
    public void close(UUID pieceId, UUID entryId, Map<String, String> answers) {
        Piece piece = writer.lock(pieceId);
        if (log.isRetry(pieceId, entryId, LogFactKind.CLOSED, 0, null)) {
            return;
        }
        mustBeWhole(piece);
        Figures figures = figures(pieceId);
        boolean nothing =
                piece.state() == PieceState.PULLED && figures.ledger().piles().total() == 0;
        List<Question> questions = nothing
                ? List.of(Question.confirm("nothing-weighed", "piles", NOTHING_WEIGHED))
                : balance(figures).question().map(List::of).orElse(List.of());
        List<Answers.Settled> settled = Answers.of(answers).settle(questions);
        String reason =
                settled.stream().map(Answers.Settled::reason).findFirst().orElse("");
        log.turn(piece, entryId, LogFactKind.CLOSED, reason);
        decisions.keep(piece.lot().id(), pieceId, settled);
    }

    private void mustBeWhole(Piece piece) {
        if (pieces.isBrokenDown(piece)) {
            throw Refusal.conflict("broken-down", "Parts of it are off: it is closed on the page of the animal.");
        }
    }

    /** Opens a closed bench again, so that a pile can be corrected; the reason is kept. */
    public void reopen(UUID pieceId, UUID entryId, String reason) {
        Piece piece = writer.lock(pieceId);
        if (!log.isRetry(pieceId, entryId, LogFactKind.REOPENED, 0, null)) {
            log.turn(piece, entryId, LogFactKind.REOPENED, reason);
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
