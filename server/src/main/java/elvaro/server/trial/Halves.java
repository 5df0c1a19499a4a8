package elvaro.server.trial;

import elvaro.core.drying.Coating;
import elvaro.core.drying.Method;
import elvaro.core.trial.Factor;
import elvaro.core.trial.TrialMeasure;
import elvaro.server.hanging.HangingService;
import elvaro.server.hanging.SplitForm;
import elvaro.server.hanging.SplitForm.NewPiece;
import elvaro.server.piece.PieceRole;
import elvaro.server.shared.Ids;
import elvaro.server.treatment.TreatmentForm;
import elvaro.server.treatment.TreatmentService;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** A lot cut in two: one half gets something, the other is its control, and both are a trial. */
@Service
@Transactional
public class Halves {
    private final HangingService hanging;
    private final TreatmentService treatments;
    private final TrialService trials;

    Halves(HangingService hanging, TreatmentService treatments, TrialService trials) {
        this.hanging = hanging;
        this.treatments = treatments;
        this.trials = trials;
    }

    /** How both halves are aged. */
    public record Alike(Method method, UUID chamberId, LocalDate hungOn, int days, int consumablesMinor) {}

    /**
     * Hangs both; sent again, it happens once.
     *
     * @param plainId of the piece that is the control; the other's id follows from it
     * @param waitTogether whether the control waits for a half that is soaked first
     */
    public void hang(
            UUID lotId,
            UUID plainId,
            int plainGrams,
            int treatedGrams,
            Alike alike,
            TreatmentForm treatment,
            boolean waitTogether,
            Map<String, String> answers) {
        UUID treatedId = Ids.after(plainId, "half");
        boolean soaked = treatment.daysBefore() > 0;
        hanging.split(
                lotId,
                new SplitForm(
                        List.of(
                                piece(plainId, PieceRole.CONTROL, plainGrams, soaked && waitTogether, alike),
                                piece(treatedId, PieceRole.TREATED, treatedGrams, soaked, alike)),
                        answers));
        treatments.give(treatedId, Ids.after(treatedId, "treated"), treatment.beginning(alike.hungOn(), answers));
        UUID trial = Ids.after(plainId, "trial");
        String given = treatment.exactly().isBlank()
                ? treatment.kind().label()
                : treatment.exactly().strip();
        trials.create(
                trial,
                new TrialForm(
                        "Is it better with %s?".formatted(given),
                        Factor.TREATMENT,
                        TrialMeasure.LIKING,
                        null,
                        List.of(),
                        null,
                        List.of(
                                new TrialForm.ArmForm(
                                        Ids.after(trial, "treated"),
                                        given.substring(0, Math.min(80, given.length())),
                                        false,
                                        null,
                                        List.of(treatedId)),
                                new TrialForm.ArmForm(
                                        Ids.after(trial, "plain"), "Plain", true, null, List.of(plainId))),
                        null,
                        null,
                        null,
                        answers));
    }

    private static NewPiece piece(UUID id, PieceRole role, int grams, boolean waits, Alike alike) {
        return new NewPiece(
                id,
                role,
                grams,
                waits,
                alike.method(),
                waits ? null : alike.chamberId(),
                waits ? null : alike.hungOn(),
                alike.days(),
                0,
                alike.method() == Method.FAT_SEAL ? Coating.FAT_SEAL : Coating.NONE,
                null,
                null,
                null,
                null,
                null,
                alike.consumablesMinor());
    }
}
