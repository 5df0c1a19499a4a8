package elvaro.server.trial;

import elvaro.core.trial.Design.Flaw;
import elvaro.server.forecast.Figures;
import elvaro.server.hanging.PieceQueries;
import elvaro.server.shared.Refusal;
import elvaro.server.tasting.TrialTastings;
import elvaro.server.tasting.TrialTastings.Tasted;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** Trials with all that belongs to them, read at once for any number. */
@Component
class TrialGathering {
    private final TrialRepository trials;
    private final PieceQueries pieces;
    private final TrialDesigns designs;
    private final TrialTastings tasted;

    TrialGathering(TrialRepository trials, PieceQueries pieces, TrialDesigns designs, TrialTastings tasted) {
        this.trials = trials;
        this.pieces = pieces;
        this.designs = designs;
        this.tasted = tasted;
    }

    /** @throws Refusal if there is none */
    Trial find(UUID id) {
        return trials.findById(id).orElseThrow(() -> Refusal.notFound("trial"));
    }

    List<Trial> newest() {
        return trials.newest();
    }

    TrialWithPieces whole(Trial asked) {
        return whole(List.of(asked)).get(0);
    }

    /** In the order given. */
    List<TrialWithPieces> whole(List<Trial> asked) {
        if (asked.isEmpty()) {
            return List.of();
        }
        List<UUID> ids = asked.stream().map(Trial::id).toList();
        Map<UUID, List<TrialArm>> arms = trials.armsOf(ids).stream().collect(Collectors.groupingBy(TrialArm::trialId));
        Map<UUID, List<TrialPiece>> rows =
                trials.piecesOf(ids).stream().collect(Collectors.groupingBy(TrialPiece::trialId));
        List<UUID> pieceIds = rows.values().stream()
                .flatMap(Collection::stream)
                .map(TrialPiece::pieceId)
                .distinct()
                .toList();
        Map<UUID, Figures> figures = pieces.figures(pieceIds).stream()
                .collect(Collectors.toMap(each -> each.piece().id(), Function.identity()));
        return asked.stream()
                .map(trial -> {
                    Map<UUID, List<Figures>> byArm = new HashMap<>();
                    Map<UUID, String> blocks = new HashMap<>();
                    for (TrialPiece row : rows.getOrDefault(trial.id(), List.of())) {
                        byArm.computeIfAbsent(row.armId(), arm -> new ArrayList<>())
                                .add(figures.get(row.pieceId()));
                        blocks.put(row.pieceId(), row.block());
                    }
                    return new TrialWithPieces(trial, arms.getOrDefault(trial.id(), List.of()), byArm, blocks);
                })
                .toList();
    }

    List<Flaw> flaws(TrialWithPieces trial) {
        return designs.of(trial.trial().factor(), trial.arms(), trial.byArm()).flaws();
    }

    /** What was tasted and revealed of each, by trial. */
    Map<UUID, Tasted> tasted(List<TrialWithPieces> all) {
        return tasted.revealed(
                all.stream().collect(Collectors.toMap(each -> each.trial().id(), TrialWithPieces::controls)));
    }
}
