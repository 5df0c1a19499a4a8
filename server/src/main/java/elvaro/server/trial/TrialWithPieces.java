package elvaro.server.trial;

import elvaro.server.forecast.Figures;
import elvaro.server.piece.PieceState;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Stream;

/**
 * A trial with all that is known of its pieces.
 *
 * @param byArm the pieces of each arm, in the order of their blocks
 * @param blocks of the pieces
 */
record TrialWithPieces(Trial trial, List<TrialArm> arms, Map<UUID, List<Figures>> byArm, Map<UUID, String> blocks) {

    List<Figures> of(TrialArm arm) {
        return byArm.getOrDefault(arm.id(), List.of());
    }

    Stream<Figures> all() {
        return arms.stream().flatMap(arm -> of(arm).stream());
    }

    boolean ended() {
        return all().allMatch(TrialWithPieces::cut);
    }

    static boolean cut(Figures figures) {
        return figures.piece().state() == PieceState.CUT;
    }

    /** What the others are held against: the control, or the first where there is none. */
    TrialArm control() {
        return arms.stream().filter(TrialArm::control).findFirst().orElse(arms.get(0));
    }

    List<TrialArm> others() {
        return arms.stream().filter(arm -> arm != control()).toList();
    }
}
