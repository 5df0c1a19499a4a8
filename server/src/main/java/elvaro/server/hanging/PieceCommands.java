package elvaro.server.hanging;

import elvaro.core.drying.Method;
import elvaro.server.lot.Lot;
import elvaro.server.lot.LotForm;
import elvaro.server.lot.LotService;
import elvaro.server.piece.Piece;
import elvaro.server.piece.PieceState;
import elvaro.server.piece.PieceWriter;
import elvaro.server.shared.Refusal;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Changing what was planned for a piece, or said of it. */
@Service
@Transactional
public class PieceCommands {
    private final PieceQueries pieces;
    private final PieceWriter writer;
    private final LotService lots;

    PieceCommands(PieceQueries pieces, PieceWriter writer, LotService lots) {
        this.pieces = pieces;
        this.writer = writer;
        this.lots = lots;
    }

    /** Changes for how many days a hanging piece is meant to hang. */
    public void retarget(UUID id, int version, int days) {
        Piece piece = pieces.find(id);
        piece.mustStillBe(version);
        if (piece.state() != PieceState.HANGING) {
            throw Refusal.conflict("wrong-state", "The piece no longer hangs; its days are over.");
        }
        writer.retarget(piece, days);
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
    public void iced(UUID id, int version, double meatCelsius, double outsideCelsius) {
        Piece piece = pieces.find(id);
        piece.mustStillBe(version);
        if (piece.state() != PieceState.HANGING || piece.method().orElseThrow() != Method.ON_ICE) {
            throw Refusal.conflict("wrong-state", "It does not lie on ice.");
        }
        writer.layOnIce(piece, meatCelsius, outsideCelsius);
    }

    /** Corrects a lot, within what its pieces allow. */
    public Lot changeLot(LotForm form) {
        return lots.change(form, pieces.cutFrom(form.id()));
    }
}
