package elvaro.server.hanging;

import elvaro.core.ledger.LogFact.LogFactKind;
import elvaro.core.question.Question;
import elvaro.server.chamber.Chamber;
import elvaro.server.chamber.ChamberService;
import elvaro.server.lot.DecisionService;
import elvaro.server.piece.Piece;
import elvaro.server.piece.PieceReader;
import elvaro.server.piece.PieceState;
import elvaro.server.piece.PieceWriter;
import elvaro.server.settings.WorkshopService;
import elvaro.server.shared.Answers;
import elvaro.server.shared.Refusal;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Hanging a piece in another chamber. */
@Service
@Transactional
public class MoveService {
    private final PieceReader pieces;
    private final PieceWriter writer;
    private final LogService log;
    private final ChamberService chambers;
    private final DecisionService decisions;
    private final WorkshopService workshops;
    private final Neighbours neighbours;

    MoveService(
            PieceReader pieces,
            PieceWriter writer,
            LogService log,
            ChamberService chambers,
            DecisionService decisions,
            WorkshopService workshops,
            Neighbours neighbours) {
        this.pieces = pieces;
        this.writer = writer;
        this.log = log;
        this.chambers = chambers;
        this.decisions = decisions;
        this.workshops = workshops;
        this.neighbours = neighbours;
    }

    /**
     * Moves a piece; sent again, it is moved once.
     *
     * @throws Refusal if it does not hang, hangs there already, or a question about the new chamber is open
     */
    public void move(UUID pieceId, UUID entryId, UUID chamberId, String words, Map<String, String> answers) {
        workshops.lock(); // Places and loads of the chambers are counted below.
        Piece piece = writer.lock(pieceId);
        if (log.isRetry(pieceId, entryId, LogFactKind.MOVED, 0, null)) {
            return;
        }
        Chamber to = chambers.find(chamberId)
                .orElseThrow(() -> Refusal.wrong("missing", "chamberId", "Choose the chamber it goes to."));
        if (piece.state() != PieceState.HANGING) {
            throw Refusal.conflict("wrong-state", "Only a piece that hangs is moved.");
        }
        Chamber from = piece.chamber().orElseThrow();
        if (from.id().equals(chamberId)) {
            throw Refusal.conflict("there-already", "It hangs in %s already.".formatted(to.name()));
        }
        Occupancy occupancy = new Occupancy(to, pieces.hangingIn(chamberId));
        List<Question> questions = new ArrayList<>(
                occupancy.questions(piece.greenGrams(), List.of(piece.method().orElseThrow())));
        questions.addAll(neighbours.onHangingIn(to));
        List<Answers.Settled> settled = Answers.of(answers).settle(questions);
        String said =
                "%s to %s. %s".formatted(from.name(), to.name(), words.strip()).strip();
        log.writeFor(pieceId, entryId, new EntryForm(LogFactKind.MOVED, 0, null, said, null, null, Map.of()));
        writer.move(piece, entryId, to, occupancy.takePlace());
        decisions.keep(piece.lot().id(), pieceId, settled);
    }
}
