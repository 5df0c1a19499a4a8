package elvaro.server.forecast;

import elvaro.core.plan.Outlook;
import elvaro.server.forecast.OutlookService.Drawing;
import elvaro.server.forecast.OutlookService.Planned;
import elvaro.server.piece.Piece;
import elvaro.server.piece.PieceLogs;
import elvaro.server.piece.PieceReader;
import jakarta.persistence.EntityManager;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
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
    /** Who pulls later than this was not told what to expect. */
    private static final int BEYOND_TARGET = 30;

    private final EntityManager entities;
    private final PieceReader pieces;
    private final OutlookService outlooks;
    private final PieceLogs logs;
    private final Clock clock;

    PiecePlans(EntityManager entities, PieceReader pieces, OutlookService outlooks, PieceLogs logs, Clock clock) {
        this.entities = entities;
        this.pieces = pieces;
        this.outlooks = outlooks;
        this.logs = logs;
        this.clock = clock;
    }

    /** Notes what is expected of pieces that were just hung. */
    public void keep(List<Piece> hung, Instant now) {
        Drawing drawing = outlooks.drawing();
        PaidShares paid = new PaidShares(pieces.cutFrom(
                hung.stream().map(piece -> piece.lot().id()).distinct().toList()));
        for (Piece piece : hung) {
            piece.hanging().ifPresent(hanging -> {
                Outlook outlook = drawing.of(new Planned(
                        piece.cut(),
                        piece.lot().fatCoverMm(),
                        piece.steaksOnBone(),
                        hanging,
                        drawing.air(piece.chamber().orElseThrow()),
                        piece.chamber().orElseThrow(),
                        true,
                        paid.of(piece),
                        piece.consumablesMinor()));
                int days = piece.targetDays().orElseThrow();
                entities.persist(
                        new PiecePlan(idOf(piece), piece.id(), days, outlook, outlook.days(days + BEYOND_TARGET), now));
            });
        }
    }

    /** The piece has one plan; its id follows from the piece's, so that a retry makes the same one. */
    private static UUID idOf(Piece piece) {
        return UUID.nameUUIDFromBytes((piece.id() + " plan").getBytes(StandardCharsets.UTF_8));
    }

    /**
     * Notes it anew for a piece that is given a coat as it is hung, or from which such a one is taken back. One that was weighed
     * since, or had it later, keeps what was expected of it then.
     *
     * @param beganOn when the treatment began
     */
    public void coatChanged(Piece piece, LocalDate beganOn) {
        boolean asItWasHung =
                piece.hungOn().filter(hungOn -> !beganOn.isAfter(hungOn)).isPresent()
                        && logs.of(List.of(piece)).get(piece.id()).weighings().isEmpty();
        if (asItWasHung) {
            of(piece.id()).ifPresent(plain -> {
                entities.remove(plain);
                entities.flush();
                keep(List.of(piece), clock.instant().truncatedTo(ChronoUnit.MICROS));
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
