package elvaro.server.forecast;

import elvaro.core.plan.Outlook;
import elvaro.server.forecast.OutlookService.Drawing;
import elvaro.server.forecast.OutlookService.Planned;
import elvaro.server.piece.Piece;
import jakarta.persistence.EntityManager;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** Keeps what was expected of pieces when they were hung. */
@Service
@Transactional(propagation = Propagation.MANDATORY)
public class PiecePlans {
    private final EntityManager entities;
    private final OutlookService outlooks;

    PiecePlans(EntityManager entities, OutlookService outlooks) {
        this.entities = entities;
        this.outlooks = outlooks;
    }

    /** Notes what is expected of pieces that were just hung. */
    public void keep(List<Piece> hung, Instant now) {
        Drawing drawing = outlooks.drawing();
        for (Piece piece : hung) {
            piece.hanging().ifPresent(hanging -> {
                Outlook outlook = drawing.of(new Planned(
                        piece.cut(),
                        piece.lot().fatCoverMm(),
                        hanging,
                        drawing.air(piece.chamber().orElseThrow()),
                        piece.chamber().orElseThrow(),
                        piece.lot().priceMinorPerKg(),
                        piece.consumablesMinor()));
                int days = piece.targetDays().orElseThrow();
                // The piece has one plan; its id follows from the piece's, so that a retry makes the same one.
                UUID id = UUID.nameUUIDFromBytes((piece.id() + " plan").getBytes(StandardCharsets.UTF_8));
                entities.persist(new PiecePlan(
                        id, piece.id(), outlook, outlook.days(days).get(days), now));
            });
        }
    }

    public Optional<PiecePlan> of(UUID pieceId) {
        return entities.createQuery("select p from PiecePlan p where p.pieceId = :piece", PiecePlan.class)
                .setParameter("piece", pieceId)
                .getResultStream()
                .findFirst();
    }
}
