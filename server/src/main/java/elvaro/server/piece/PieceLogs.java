package elvaro.server.piece;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import elvaro.core.ledger.LogFact;
import elvaro.core.ledger.PieceLog;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/**
 * The logs of pieces, read for their figures. Reading them was most of the first screen's time, so what was read is kept
 * in memory under the piece's id and the version of its log. Every entry raises that version in its own transaction, so
 * nothing needs to be invalidated, on this instance or another: an outdated log is never asked for again. The pieces
 * themselves are always read from the database, bound to the workshop.
 */
@Component
public class PieceLogs {
    private static final int MOST_LOGS_KEPT = 5_000;

    private record LogKey(UUID pieceId, int logVersion) {}

    private final Cache<LogKey, PieceLog> kept =
            Caffeine.newBuilder().maximumSize(MOST_LOGS_KEPT).build();
    private final LogReader entries;

    PieceLogs(LogReader entries) {
        this.entries = entries;
    }

    /** The log of each piece, by the piece's id. */
    public Map<UUID, PieceLog> of(List<Piece> pieces) {
        Map<UUID, PieceLog> logs = new HashMap<>();
        List<Piece> unread = pieces.stream()
                .filter(piece -> {
                    PieceLog log = kept.getIfPresent(key(piece));
                    if (log != null && log.green() == piece.greenGrams()) {
                        logs.put(piece.id(), log);
                        return false;
                    }
                    return true;
                })
                .toList();
        if (!unread.isEmpty()) {
            Map<UUID, List<LogFact>> facts = entries
                    .factsOf(unread.stream().map(Piece::id).toList())
                    .stream()
                    .collect(Collectors.groupingBy(
                            FactRow::pieceId, Collectors.mapping(FactRow::fact, Collectors.toList())));
            unread.forEach(piece -> {
                PieceLog log = PieceLog.of(piece.greenGrams(), facts.getOrDefault(piece.id(), List.of()));
                kept.put(key(piece), log);
                logs.put(piece.id(), log);
            });
        }
        return logs;
    }

    private static LogKey key(Piece piece) {
        return new LogKey(piece.id(), piece.logVersion());
    }
}
