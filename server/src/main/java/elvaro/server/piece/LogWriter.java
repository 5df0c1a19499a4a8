package elvaro.server.piece;

import jakarta.persistence.EntityManager;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** The only way into the log of a piece. The piece is locked, and the caller has checked the entry against its log. */
@Service
@Transactional(propagation = Propagation.MANDATORY)
public class LogWriter {
    private final EntityManager entities;

    LogWriter(EntityManager entities) {
        this.entities = entities;
    }

    public void append(Piece piece, LogEntry entry) {
        entities.persist(entry);
        piece.growLog();
    }

    /** Appends an entry that brings the piece into another state. */
    public void append(Piece piece, LogEntry entry, PieceState next) {
        append(piece, entry);
        piece.become(next);
    }
}
