package elvaro.server.piece;

import jakarta.persistence.EntityManager;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** Takes in pieces whose story has been told already, rather than as it happens. */
@Service
@Transactional(propagation = Propagation.MANDATORY)
public class PieceArchive {
    private final EntityManager entities;

    PieceArchive(EntityManager entities) {
        this.entities = entities;
    }

    /**
     * @param piece new
     * @param state where its story has got to
     * @param log all of it; an entry that is corrected stands before the one that corrects it
     */
    public void add(Piece piece, PieceState state, List<LogEntry> log) {
        piece.becomes(state);
        entities.persist(piece);
        entities.flush(); // Its log points at it by id alone; Hibernate would not know to write it first.
        log.forEach(entities::persist);
    }

    /** More of the story of a piece that was taken in. */
    public void more(Piece piece, LogEntry entry) {
        entities.persist(entry);
        piece.logGrows();
        entities.flush(); // What is kept under the entry's id points at it by id alone.
    }

    /** Every piece by its tag, without its figures. */
    public Map<String, Piece> byTag() {
        return entities.createQuery("select p from Piece p join fetch p.lot", Piece.class)
                .getResultStream()
                .collect(Collectors.toMap(Piece::tag, piece -> piece));
    }
}
