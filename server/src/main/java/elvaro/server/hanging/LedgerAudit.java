package elvaro.server.hanging;

import elvaro.core.ledger.Balance;
import elvaro.core.ledger.LogFact.LogFactKind;
import elvaro.core.ledger.PieceLog;
import elvaro.server.piece.LogEntry;
import elvaro.server.piece.LogReader;
import elvaro.server.piece.Piece;
import elvaro.server.piece.PieceReader;
import elvaro.server.piece.PieceState;
import elvaro.server.settings.WorkshopService;
import jakarta.persistence.EntityManager;
import java.util.ArrayList;
import java.util.Collection;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Whether what is written of a piece can be read, and every finished piece's ledger closes, or somebody said why not when its bench was closed. */
@Service
@Transactional(readOnly = true)
public class LedgerAudit {
    private static final int READ_AT_ONCE = 500;

    private final PieceReader pieces;
    private final LogReader entries;
    private final WorkshopService workshops;
    private final EntityManager entities;

    LedgerAudit(PieceReader pieces, LogReader entries, WorkshopService workshops, EntityManager entities) {
        this.pieces = pieces;
        this.entries = entries;
        this.entities = entities;
        this.workshops = workshops;
    }

    /** @param open tags of finished pieces whose ledger neither closes nor has a reason */
    public record AuditResult(int finished, List<String> open) {}

    public AuditResult all() {
        List<String> open = new ArrayList<>();
        List<UUID> finished = pieces.inState(EnumSet.of(PieceState.CUT)).stream()
                .map(Piece::id)
                .toList();
        for (int from = 0; from < finished.size(); from += READ_AT_ONCE) {
            open(finished.subList(from, Math.min(finished.size(), from + READ_AT_ONCE)), open);
        }
        return new AuditResult(finished.size(), open);
    }

    /** Of some pieces, finished or not: that what is written of each can be read, and closes where it must. */
    public AuditResult of(Collection<UUID> some) {
        List<UUID> ids = List.copyOf(some);
        List<String> open = new ArrayList<>();
        for (int from = 0; from < ids.size(); from += READ_AT_ONCE) {
            open(ids.subList(from, Math.min(ids.size(), from + READ_AT_ONCE)), open);
            entities.clear(); // all that was read is of no more use, and there may be much
        }
        return new AuditResult(ids.size(), open);
    }

    private void open(List<UUID> ids, List<String> open) {
        List<Piece> some = pieces.findAll(ids);
        Map<UUID, List<LogEntry>> all =
                entries.ofPieces(ids).stream().collect(Collectors.groupingBy(LogEntry::pieceId));
        for (Piece piece : some) {
            if (!closes(piece, all.getOrDefault(piece.id(), List.of()))) {
                open.add(piece.tag());
            }
        }
    }

    private boolean closes(Piece piece, List<LogEntry> log) {
        try {
            PieceLog read = PieceLog.of(
                    piece.greenGrams(), log.stream().map(LogEntry::fact).toList());
            if (piece.state() != PieceState.CUT) {
                return true;
            }
            boolean pulledAndClosed =
                    read.pull().isPresent() && read.last(LogFactKind.CLOSED).isPresent();
            boolean refused = pulledAndClosed
                    && Balance.of(read.ledger(), workshops.mine().divisionGrams(), read.weighingsAtTheBench())
                                    .state()
                            == Balance.BalanceState.REFUSES;
            boolean explained = log.stream()
                    .anyMatch(entry ->
                            entry.kind() == LogFactKind.CLOSED && !entry.words().isBlank());
            return pulledAndClosed && (!refused || explained);
        } catch (IllegalArgumentException | IllegalStateException contradiction) {
            return false;
        }
    }
}
