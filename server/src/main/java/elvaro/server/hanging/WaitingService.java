package elvaro.server.hanging;

import static elvaro.core.working.Quantity.mass;
import static elvaro.core.working.Quantity.share;

import elvaro.core.ledger.LogFact.LogFactKind;
import elvaro.core.question.Question;
import elvaro.server.chamber.Chamber;
import elvaro.server.chamber.ChamberService;
import elvaro.server.forecast.PiecePlans;
import elvaro.server.lot.DecisionService;
import elvaro.server.piece.Piece;
import elvaro.server.piece.PieceReader;
import elvaro.server.piece.PieceState;
import elvaro.server.piece.PieceWriter;
import elvaro.server.settings.WorkshopService;
import elvaro.server.shared.Answers;
import elvaro.server.shared.Refusal;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Hanging what was treated for days first. */
@Service
@Transactional
public class WaitingService {
    /** A soak that adds or takes more than this share of the weight is asked about (EST). */
    private static final double ODD_CHANGE = 0.1;

    private final PieceReader pieces;
    private final PieceWriter writer;
    private final LogService log;
    private final ChamberService chambers;
    private final DecisionService decisions;
    private final WorkshopService workshops;
    private final PiecePlans plans;
    private final Neighbours neighbours;
    private final Clock clock;

    WaitingService(
            PieceReader pieces,
            PieceWriter writer,
            LogService log,
            ChamberService chambers,
            DecisionService decisions,
            WorkshopService workshops,
            PiecePlans plans,
            Neighbours neighbours,
            Clock clock) {
        this.pieces = pieces;
        this.writer = writer;
        this.log = log;
        this.chambers = chambers;
        this.decisions = decisions;
        this.workshops = workshops;
        this.plans = plans;
        this.neighbours = neighbours;
        this.clock = clock;
    }

    /**
     * Hangs a piece that waited; sent again, it is hung once.
     *
     * @throws Refusal if it does not wait, or a question is open
     */
    public void hang(UUID pieceId, UUID entryId, HungForm form) {
        workshops.lock(); // Places and loads of the chambers are counted below.
        Piece piece = writer.lock(pieceId);
        if (log.isRetry(pieceId, entryId, LogFactKind.HUNG, 0, null)) {
            return;
        }
        if (piece.state() != PieceState.WAITING) {
            throw Refusal.conflict("wrong-state", "Only a piece that does not hang yet is hung.");
        }
        Chamber chamber = chambers.find(form.chamberId())
                .orElseThrow(() -> Refusal.wrong("missing", "chamberId", "Choose the chamber it hangs in."));
        Occupancy occupancy = new Occupancy(chamber, pieces.hangingIn(chamber.id()));
        List<Answers.Settled> settled = Answers.of(form.answers()).settle(questions(piece, form, occupancy));
        String words = "%s as it was cut, %s as it hangs".formatted(mass(piece.greenGrams()), mass(form.greenGrams()));
        LocalDate hungOn = hungOn(piece, form);
        Instant now = clock.instant().truncatedTo(ChronoUnit.MICROS);
        // Of an earlier day nobody noted the hour.
        boolean today = hungOn.equals(workshops.today());
        Instant noon = workshops.mine().clock().at(hungOn, LocalTime.NOON);
        log.writeFor(
                pieceId, entryId, new EntryForm(LogFactKind.HUNG, 0, null, words, today ? null : noon, null, Map.of()));
        writer.hang(
                piece,
                form.greenGrams(),
                hungOn,
                today ? now : noon,
                form.targetDays(),
                chamber,
                occupancy.takePlace());
        plans.keep(List.of(piece), now);
        decisions.keep(piece.lot().id(), pieceId, settled);
    }

    private LocalDate hungOn(Piece piece, HungForm form) {
        LocalDate hungOn = form.hungOn() == null ? workshops.today() : form.hungOn();
        if (hungOn.isAfter(workshops.today())) {
            throw Refusal.wrong("future-date", "hungOn", "A piece cannot have been hung in the future.");
        }
        if (hungOn.isBefore(piece.lot().receivedOn())) {
            throw Refusal.wrong("before-arrival", "hungOn", "It cannot have been hung before the lot came.");
        }
        return hungOn;
    }

    private List<Question> questions(Piece piece, HungForm form, Occupancy occupancy) {
        List<Question> questions = new ArrayList<>(
                occupancy.questions(form.greenGrams(), piece.method().stream().toList()));
        questions.addAll(neighbours.onHangingIn(occupancy.chamber()));
        double change = (double) (form.greenGrams() - piece.greenGrams()) / piece.greenGrams();
        if (Math.abs(change) > ODD_CHANGE) {
            questions.add(Question.confirm(
                    "soak-change",
                    "greenGrams",
                    "It weighed %s when it was cut and %s now, %s %s. Is it the right piece, and drained?"
                            .formatted(
                                    mass(piece.greenGrams()),
                                    mass(form.greenGrams()),
                                    share(Math.abs(change)),
                                    change > 0 ? "more" : "less")));
        }
        return questions;
    }
}
