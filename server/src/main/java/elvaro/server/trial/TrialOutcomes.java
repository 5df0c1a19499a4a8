package elvaro.server.trial;

import elvaro.core.trial.Strength;
import elvaro.core.trial.TrialMeasure;
import elvaro.server.piece.Piece;
import elvaro.server.tasting.TrialTastings.Tasted;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What trials came to, for those who ask nothing else of them. */
@Service
@Transactional(readOnly = true)
public class TrialOutcomes {
    private final TrialGathering trials;
    private final TrialVerdicts verdicts;

    TrialOutcomes(TrialGathering trials, TrialVerdicts verdicts) {
        this.trials = trials;
        this.verdicts = verdicts;
    }

    /**
     * An arm against what it is held against.
     *
     * @param measure what it is judged by
     * @param value arm less control in it; 0 where nothing is known
     */
    public record TrialOutcome(
            UUID trialId,
            TrialMeasure measure,
            String controlName,
            List<Piece> control,
            String armName,
            List<Piece> arm,
            Strength strength,
            double value) {}

    /** Of the newest trial, its first arm. */
    public Optional<TrialOutcome> newest() {
        return trials.newest().stream().findFirst().map(asked -> outcome(trials.whole(asked)));
    }

    private TrialOutcome outcome(TrialWithPieces trial) {
        TrialArm arm = trial.others().get(0);
        TrialArm control = trial.controlOf(arm);
        Map<UUID, Tasted> tasted = trials.tasted(List.of(trial));
        TrialMeasure measure = trial.trial().measure();
        var asked = verdicts.of(trial, tasted.getOrDefault(trial.trial().id(), Tasted.NOTHING)).stream()
                .map(TrialVerdicts.OfArm::verdict)
                .filter(verdict -> verdict.judgement().asked())
                .findFirst();
        return new TrialOutcome(
                trial.trial().id(),
                measure,
                control.name(),
                pieces(trial, control),
                arm.name(),
                pieces(trial, arm),
                asked.map(verdict -> verdict.judgement().strength()).orElse(Strength.NOT_SHOWN),
                asked.map(verdict -> verdict.value().orElse(0.0)).orElse(0.0));
    }

    private static List<Piece> pieces(TrialWithPieces trial, TrialArm arm) {
        return trial.of(arm).stream().map(figures -> figures.piece()).toList();
    }
}
