package elvaro.server.treatment;

import elvaro.core.ledger.LogFact;
import elvaro.core.ledger.LogFact.LogFactKind;
import elvaro.core.treatment.Course.PlannedStep;
import elvaro.core.treatment.TreatmentStep;
import elvaro.server.piece.LogEntry;
import elvaro.server.piece.Piece;
import elvaro.server.piece.PieceHistory;
import elvaro.server.settings.HouseClock;
import elvaro.server.shared.Ids;
import jakarta.persistence.EntityManager;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** Takes in treatments that were given before, with the steps that were done since. */
@Service
@Transactional(propagation = Propagation.MANDATORY)
public class TreatmentHistory {
    private static final LocalTime MORNING = LocalTime.of(9, 15);
    private static final int MINUTES_A_SESSION = 20;

    private final TreatmentQueries treated;
    private final PieceHistory pieces;
    private final EntityManager entities;

    TreatmentHistory(TreatmentQueries treated, PieceHistory pieces, EntityManager entities) {
        this.treated = treated;
        this.pieces = pieces;
        this.entities = entities;
    }

    /**
     * @param at when it was given, the day its steps count from
     * @param by whom
     * @param until steps of earlier days are done
     */
    public void add(Piece piece, Given given, Instant at, UUID by, LocalDate until, HouseClock house) {
        UUID id = Ids.after(piece.id(), given.words());
        pieces.more(piece, entry(piece, id, LogFactKind.TREATED, at, given.words(), by));
        Treatment treatment = new Treatment(id, piece.id(), given, house.day(at), 0, List.of());
        entities.persist(treatment);
        entities.flush(); // Its steps point at it by id alone.
        LocalDate pulledOn = treated.pulledOn(piece.id()).orElse(until);
        for (PlannedStep step : treated.steps(piece, treatment)) {
            boolean beyond = step.step().moment() == TreatmentStep.Moment.AFTER_PULL;
            LocalDate end = beyond ? until : pulledOn;
            step.on().filter(day -> day.isBefore(end)).ifPresent(day -> {
                UUID done = Ids.after(id, "step " + step.number());
                Instant morning = house.at(day, MORNING);
                Instant then = morning.isBefore(at) ? at : morning;
                pieces.more(
                        piece,
                        entry(
                                piece,
                                done,
                                LogFactKind.STEP_DONE,
                                then,
                                step.step().words(),
                                by));
                entities.persist(new StepDone(done, treatment, smoked(treatment, step.number())));
            });
        }
    }

    /** Two bursts of ten minutes, the meat felt cold before each. */
    private static StepForm smoked(Treatment treatment, int number) {
        boolean smoke = treatment.kind().isSmokedInBursts();
        return new StepForm(
                number, null, smoke ? true : null, smoke ? MINUTES_A_SESSION : null, null, null, "", Map.of());
    }

    private static LogEntry entry(Piece piece, UUID id, LogFactKind kind, Instant at, String words, UUID by) {
        return new LogEntry(piece.id(), new LogFact(id, null, kind, at, 0, null), words, at, by);
    }
}
