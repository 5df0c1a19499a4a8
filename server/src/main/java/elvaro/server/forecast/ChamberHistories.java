package elvaro.server.forecast;

import elvaro.core.ledger.LogFact.LogFactKind;
import elvaro.core.ledger.PieceLog;
import elvaro.server.piece.Piece;
import elvaro.server.piece.PieceMove;
import elvaro.server.settings.WorkshopService;
import jakarta.persistence.EntityManager;
import java.util.Map;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Where pieces hung before they came to where they hang. */
@Component
public class ChamberHistories {
    private final EntityManager entities;
    private final WorkshopService workshops;

    ChamberHistories(EntityManager entities, WorkshopService workshops) {
        this.entities = entities;
        this.workshops = workshops;
    }

    /** Where a piece hung; asked of the database only for one that was moved. */
    @Transactional(readOnly = true)
    public ChamberHistory of(Piece piece, PieceLog log) {
        Map<UUID, PieceMove> moves = log.last(LogFactKind.MOVED).isEmpty()
                ? Map.of()
                : entities.createQuery(
                                "select m from PieceMove m join fetch m.from join fetch m.to where m.pieceId = :piece",
                                PieceMove.class)
                        .setParameter("piece", piece.id())
                        .getResultStream()
                        .collect(Collectors.toMap(PieceMove::id, Function.identity()));
        return ChamberHistory.of(piece, piece.hungAt(workshops.mine().clock()).orElseThrow(), log, moves);
    }
}
