package elvaro.server.piece;

import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.Query;

/** Reading logs. What only wants the figures of a piece reads {@link PieceLogs}. */
public interface LogReader {
    String FACT = "select new elvaro.server.piece.FactRow(e.pieceId, e.id, e.correctsId, e.kind, e.happenedAt,"
            + " e.grams, e.stream, e.steaks, e.cause, e.estimated) from LogEntry e ";

    Optional<LogEntry> findById(UUID id);

    @Query("select e from LogEntry e where e.pieceId = :pieceId order by e.happenedAt, e.recordedAt, e.id")
    List<LogEntry> ofPiece(UUID pieceId);

    @Query("select e from LogEntry e where e.pieceId in :pieceIds order by e.happenedAt, e.recordedAt, e.id")
    List<LogEntry> ofPieces(Collection<UUID> pieceIds);

    /** Who closed a bench. */
    record CloserRow(UUID pieceId, UUID accountId) {}

    /** The last to close one last. */
    @Query(
            "select new elvaro.server.piece.LogReader$CloserRow(e.pieceId, e.accountId) from LogEntry e"
                    + " where e.pieceId in :pieceIds and e.kind = elvaro.core.ledger.LogFact$LogFactKind.CLOSED order by e.recordedAt")
    List<CloserRow> closersOf(Collection<UUID> pieceIds);

    /** What the house called its piles, those used most first. */
    @Query(
            "select e.pile from LogEntry e where e.pile is not null group by e.pile order by count(e) desc, e.pile limit 40")
    List<String> pileNames();

    @Query(FACT + "where e.pieceId in :pieceIds")
    List<FactRow> factsOf(Collection<UUID> pieceIds);
}
