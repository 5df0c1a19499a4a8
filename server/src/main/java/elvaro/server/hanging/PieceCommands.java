package elvaro.server.hanging;

import elvaro.core.drying.Method;
import elvaro.core.plan.Doubt;
import elvaro.core.question.Question;
import elvaro.core.schedule.DayNumber;
import elvaro.core.working.Quantity;
import elvaro.server.lot.DecisionService;
import elvaro.server.lot.Lot;
import elvaro.server.lot.LotForm;
import elvaro.server.lot.LotService;
import elvaro.server.piece.Piece;
import elvaro.server.piece.PieceState;
import elvaro.server.piece.PieceWriter;
import elvaro.server.settings.WorkshopService;
import elvaro.server.shared.Answers;
import elvaro.server.shared.Refusal;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Changing what was planned for a piece, or said of it. */
@Service
@Transactional
public class PieceCommands {
    /** What is asked where a later day is set for the pull. */
    public static final String LATER_TARGET = "later-target";

    private final PieceQueries pieces;
    private final PieceWriter writer;
    private final LotService lots;
    private final DecisionService decisions;
    private final WorkshopService workshops;

    PieceCommands(
            PieceQueries pieces,
            PieceWriter writer,
            LotService lots,
            DecisionService decisions,
            WorkshopService workshops) {
        this.pieces = pieces;
        this.writer = writer;
        this.lots = lots;
        this.decisions = decisions;
        this.workshops = workshops;
    }

    /**
     * Sets another day for its pull.
     *
     * @throws Refusal if it no longer hangs, somebody else changed it, or a question is open
     */
    public void retarget(UUID id, int version, int days, Answers answers) {
        Piece piece = pieces.find(id);
        piece.mustStillBe(version);
        if (piece.state() != PieceState.HANGING) {
            throw Refusal.conflict("wrong-state", "The piece no longer hangs; its days are over.");
        }
        List<Answers.Settled> settled =
                answers.settle(laterTarget(piece, days).map(List::of).orElse(List.of()));
        writer.retarget(piece, days);
        decisions.keep(piece.lot().id(), id, settled);
    }

    /** A day that is later than anything known, or that only hides how long the piece is overdue. */
    private Optional<Question> laterTarget(Piece piece, int days) {
        int own = piece.targetDays().orElseThrow();
        long today = DayNumber.of(piece.hungOn().orElseThrow(), workshops.today());
        boolean overdue = today > own;
        Optional<Doubt> tooLong = Doubt.ofLength(days);
        if (days <= own || !overdue && tooLong.isEmpty()) {
            return Optional.empty();
        }
        String why = overdue
                ? "It is %s past its day.".formatted(Quantity.days(today - own))
                : tooLong.orElseThrow().sentence();
        return pieces.onAnotherDay(piece, (int) Math.max(own, today), days)
                .map(other -> "%s %s Is day %d meant?".formatted(why, other.sentence(), days))
                .map(sentence -> overdue
                        ? Question.reason(LATER_TARGET, "targetDays", sentence)
                        : Question.confirm(LATER_TARGET, "targetDays", sentence));
    }

    /** Puts a finished piece back among what the shop learns from, or leaves that to its weights again. */
    public void teach(UUID id, int version, boolean always) {
        Piece piece = pieces.find(id);
        piece.mustStillBe(version);
        if (piece.state() != PieceState.CUT) {
            throw Refusal.conflict("wrong-state", "Only a finished piece teaches anything.");
        }
        writer.teach(piece, always);
    }

    /** Says how warm the meat on ice was, and how warm it is round the chest now. */
    public void iced(UUID id, int version, double meatCelsius, double outsideCelsius, @Nullable Integer bagGrams) {
        Piece piece = pieces.find(id);
        piece.mustStillBe(version);
        if (piece.state() != PieceState.HANGING || piece.method().orElseThrow() != Method.ON_ICE) {
            throw Refusal.conflict("wrong-state", "It does not lie on ice.");
        }
        writer.layOnIce(piece, meatCelsius, outsideCelsius, bagGrams);
    }

    /** Corrects a lot, within what its pieces allow. */
    public Lot changeLot(LotForm form) {
        return lots.change(form, pieces.cutFrom(form.id()));
    }
}
