package elvaro.server.hanging;

import elvaro.core.drying.Coating;
import elvaro.core.ledger.LogFact.LogFactKind;
import elvaro.server.piece.Piece;
import elvaro.server.piece.PieceState;
import elvaro.server.piece.PieceWriter;
import elvaro.server.shared.Refusal;
import java.util.Map;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Takes the hide off game that hangs: from then on it dries bare, and the hide's weight is no water lost. */
@Service
@Transactional
class HideService {
    private final PieceWriter writer;
    private final LogService log;

    HideService(PieceWriter writer, LogService log) {
        this.writer = writer;
        this.log = log;
    }

    /**
     * Sent again, it happens once.
     *
     * @throws Refusal if it hangs no longer, has no hide on, or is lighter than that
     */
    void takeOff(UUID pieceId, UUID entryId, int grams) {
        Piece piece = writer.lock(pieceId);
        if (log.isRetry(pieceId, entryId, LogFactKind.CUT_AWAY, grams, null)) {
            return;
        }
        if (piece.coating() != Coating.HIDE) {
            throw Refusal.conflict("no-hide", "Its hide is off already. Look again.");
        }
        if (piece.state() != PieceState.HANGING) {
            throw Refusal.conflict("wrong-state", "It was taken down: the hide goes onto the discard at the bench.");
        }
        log.writeFor(
                pieceId,
                entryId,
                new EntryForm(LogFactKind.CUT_AWAY, grams, null, "Its hide, taken off", null, null, Map.of()));
        writer.coat(piece, Coating.NONE);
    }
}
