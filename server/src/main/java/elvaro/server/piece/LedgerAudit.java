package elvaro.server.piece;

import elvaro.core.ledger.Balance;
import elvaro.core.ledger.LogFact;
import elvaro.core.ledger.LogFact.Kind;
import elvaro.core.ledger.PieceLog;
import elvaro.server.settings.WorkshopService;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Whether every finished piece's ledger closes, or somebody said why not when its bench was closed. */
@Service
@Transactional(readOnly = true)
public class LedgerAudit {
    private static final int READ_AT_ONCE = 500;

    private final PieceRepository pieces;
    private final LogRepository entries;
    private final WorkshopService workshops;

    LedgerAudit(PieceRepository pieces, LogRepository entries, WorkshopService workshops) {
        this.pieces = pieces;
        this.entries = entries;
        this.workshops = workshops;
    }

    /** @param open tags of finished pieces whose ledger neither closes nor has a reason */
    public record Found(int finished, List<String> open) {}

    public Found all() {
        List<Piece> finished = pieces.in(EnumSet.of(PieceState.CUT));
        List<String> open = new ArrayList<>();
        for (int from = 0; from < finished.size(); from += READ_AT_ONCE) {
            open(finished.subList(from, Math.min(finished.size(), from + READ_AT_ONCE)), open);
        }
        return new Found(finished.size(), open);
    }

    private void open(List<Piece> some, List<String> open) {
        Map<java.util.UUID, List<LogEntry>> all = entries
                .ofPieces(some.stream().map(Piece::id).toList())
                .stream()
                .collect(Collectors.groupingBy(LogEntry::pieceId));
        for (Piece piece : some) {
            List<LogEntry> log = all.getOrDefault(piece.id(), List.of());
            List<LogFact> facts = log.stream().map(LogEntry::fact).toList();
            PieceLog read = PieceLog.of(piece.greenGrams(), facts);
            boolean pulledAndClosed =
                    read.pull().isPresent() && read.last(Kind.CLOSED).isPresent();
            boolean refused = pulledAndClosed
                    && Balance.of(read.ledger(), workshops.mine().divisionGrams(), read.weighingsAtTheBench())
                                    .state()
                            == Balance.State.REFUSES;
            boolean explained = log.stream()
                    .anyMatch(entry ->
                            entry.kind() == Kind.CLOSED && !entry.words().isBlank());
            if (!pulledAndClosed || refused && !explained) {
                open.add(piece.tag());
            }
        }
    }
}
