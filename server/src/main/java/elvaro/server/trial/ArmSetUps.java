package elvaro.server.trial;

import elvaro.core.drying.Method;
import elvaro.server.forecast.Figures;
import elvaro.server.piece.Piece;
import elvaro.server.piece.PieceState;
import elvaro.server.treatment.Given;
import elvaro.server.treatment.TreatmentQueries;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** What was set up for the arms of trials, or what was done with the first piece of one whose pieces hung already. */
@Component
class ArmSetUps {
    private final TreatmentQueries treated;

    ArmSetUps(TreatmentQueries treated) {
        this.treated = treated;
    }

    /** By arm; an arm of which nobody knows it is left out. */
    Map<UUID, SetUp> of(List<TrialWithPieces> trials) {
        Map<UUID, List<Given>> given = treated.given(trials.stream()
                .flatMap(TrialWithPieces::all)
                .map(each -> each.piece().id())
                .toList());
        Map<UUID, SetUp> all = new HashMap<>();
        for (TrialWithPieces trial : trials) {
            for (TrialArm arm : trial.arms()) {
                of(trial, arm, given).ifPresent(setUp -> all.put(arm.id(), setUp));
            }
        }
        return all;
    }

    private static Optional<SetUp> of(TrialWithPieces trial, TrialArm arm, Map<UUID, List<Given>> given) {
        Optional<Piece> first = trial.of(arm).stream().map(Figures::piece).findFirst();
        // A dose that was measured afterwards is known of what was done, not of what was set up.
        Optional<List<Given>> done =
                first.map(piece -> given.getOrDefault(piece.id(), List.of())).filter(each -> !each.isEmpty());
        return arm.setUp()
                .map(setUp -> done.filter(
                                each -> each.size() == setUp.treatments().size())
                        .map(each -> setUp.given(each.stream().map(Given::form).toList()))
                        .orElse(setUp))
                .or(() -> first.flatMap(piece -> done(piece, done.orElse(List.of()))));
    }

    private static Optional<SetUp> done(Piece piece, List<Given> given) {
        boolean fresh = piece.method().isEmpty();
        if (!fresh && piece.chamber().isEmpty() || piece.state() == PieceState.WAITING) {
            return Optional.empty();
        }
        return Optional.of(new SetUp(
                fresh,
                piece.method().orElse(null),
                piece.chamber().map(chamber -> chamber.id()).orElse(null),
                fresh ? null : piece.targetDays().orElse(1),
                null,
                piece.method().map(Method::usualConsumablesMinor).orElse(0),
                piece.benchOrder().orElse(null),
                given.stream().map(Given::form).toList()));
    }
}
