package elvaro.server.piece;

import elvaro.core.ledger.LogFact;
import elvaro.core.ledger.LogFact.LogFactKind;
import elvaro.core.ledger.PieceLog;
import elvaro.server.settings.HouseClock;
import jakarta.persistence.EntityManager;
import java.time.LocalDate;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** Takes in pieces whose story has been told already, rather than as it happens. */
@Service
@Transactional(propagation = Propagation.MANDATORY)
public class PieceHistory {
    private final EntityManager entities;

    PieceHistory(EntityManager entities) {
        this.entities = entities;
    }

    /**
     * @param draft of a piece that is new
     * @param state where its story has got to
     * @param log all of it; an entry that is corrected stands before the one that corrects it
     */
    public void add(PieceDraft draft, PieceState state, List<LogEntry> log) {
        Piece piece = draft.piece();
        piece.become(state);
        entities.persist(piece);
        entities.flush(); // Its log points at it by id alone; Hibernate would not know to write it first.
        log.forEach(entities::persist);
    }

    /** More of the story of a piece that was taken in. */
    public void more(Piece piece, LogEntry entry) {
        entities.persist(entry);
        piece.growLog();
        entities.flush(); // What is kept under the entry's id points at it by id alone.
    }

    /**
     * A piece that hangs or hung.
     *
     * @param pulledOn absent while it hangs
     * @param mostGrams what it can have weighed: as hung, with what was put on it
     * @param weighings known already, the day and the grams of each
     */
    public record HungPiece(
            Piece piece, LocalDate hungOn, @Nullable LocalDate pulledOn, int mostGrams, Set<String> weighings) {

        public boolean knows(LocalDate day, int grams) {
            return weighings.contains(key(day, grams));
        }

        private static String key(LocalDate day, int grams) {
            return day + " " + grams;
        }
    }

    /** Of these tags, in capitals, those that hang or hung here, by their tag. */
    public Map<String, HungPiece> hung(Collection<String> tags, HouseClock house) {
        if (tags.isEmpty()) {
            return Map.of();
        }
        return entities.createQuery(
                        "select p from Piece p join fetch p.lot where p.tag in :tags and p.hungOn is not null",
                        Piece.class)
                .setParameter("tags", tags)
                .getResultStream()
                .collect(Collectors.toMap(Piece::tag, piece -> hanged(piece, house)));
    }

    private HungPiece hanged(Piece piece, HouseClock house) {
        List<LogFact> facts = entities.createQuery("select e from LogEntry e where e.pieceId = :piece", LogEntry.class)
                .setParameter("piece", piece.id())
                .getResultStream()
                .map(LogEntry::fact)
                .toList();
        int coats = facts.stream()
                .filter(fact -> fact.kind() == LogFactKind.COAT_ON)
                .mapToInt(LogFact::grams)
                .sum();
        return new HungPiece(
                piece,
                piece.hungOn().orElseThrow(),
                PieceLog.of(piece.greenGrams(), facts)
                        .pull()
                        .map(pull -> house.day(pull.at()))
                        .orElse(null),
                piece.greenGrams() + coats,
                facts.stream()
                        .filter(fact -> fact.kind() == LogFactKind.WEIGHED)
                        .map(fact -> HungPiece.key(house.day(fact.at()), fact.grams()))
                        .collect(Collectors.toSet()));
    }

    public boolean isHere(UUID id) {
        return entities.find(Piece.class, id) != null;
    }

    /** Every piece by its tag, without its figures. */
    public Map<String, Piece> byTag() {
        return entities.createQuery("select p from Piece p join fetch p.lot", Piece.class)
                .getResultStream()
                .collect(Collectors.toMap(Piece::tag, piece -> piece));
    }
}
