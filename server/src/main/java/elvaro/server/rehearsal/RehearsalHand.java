package elvaro.server.rehearsal;

import elvaro.core.ledger.LogFact;
import elvaro.core.ledger.LogFact.LogFactKind;
import elvaro.core.rehearsal.HandWork;
import elvaro.core.rehearsal.RehearsalPlan;
import elvaro.core.yield.BenchOrder;
import elvaro.server.piece.LogEntry;
import elvaro.server.piece.LogWriter;
import elvaro.server.piece.Piece;
import elvaro.server.piece.PieceState;
import elvaro.server.piece.PieceWriter;
import elvaro.server.settings.WorkshopService;
import elvaro.server.shared.CurrentWorkshop;
import elvaro.server.shared.Ids;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** A hand that is trusted with the daily work on pieces that are asked about, so that a rehearsal of many takes minutes. */
@Component
class RehearsalHand {
    private static final double SECONDS_A_DAY = 86_400;

    private final PieceWriter pieces;
    private final LogWriter log;
    private final WorkshopService workshops;
    private final CurrentWorkshop current;

    RehearsalHand(PieceWriter pieces, LogWriter log, WorkshopService workshops, CurrentWorkshop current) {
        this.pieces = pieces;
        this.log = log;
        this.workshops = workshops;
        this.current = current;
    }

    /**
     * Weighs, turns, takes down, cuts and sorts a piece that hangs, all at its time.
     *
     * @return when the bench was closed
     */
    Instant seesThrough(Rehearsal rehearsal, UUID pieceId, RehearsalPlan plan) {
        Piece piece = pieces.lock(pieceId);
        Instant hung = piece.hungAt(workshops.mine().clock()).orElse(rehearsal.hungAt());
        List<HandWork.Done> all = HandWork.of(plan);
        Instant at = hung;
        for (int number = 0; number < all.size(); number++) {
            HandWork.Done done = all.get(number);
            at = hung.plusSeconds(Math.round(done.day() * SECONDS_A_DAY));
            LogFact fact = new LogFact(
                    Ids.after(pieceId, "hand " + number), null, done.kind(), at, done.grams(), done.stream());
            LogEntry entry =
                    new LogEntry(pieceId, fact, "", at, current.person().accountId());
            if (done.kind() == LogFactKind.PULLED) {
                log.append(piece, entry, PieceState.PULLED);
                pieces.cutBy(piece, BenchOrder.SLICE_FIRST);
            } else if (done.kind() == LogFactKind.CLOSED) {
                log.append(piece, entry, PieceState.CUT);
            } else {
                log.append(piece, entry);
            }
        }
        return at;
    }
}
