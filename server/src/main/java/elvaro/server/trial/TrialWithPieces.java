package elvaro.server.trial;

import elvaro.core.trial.Factor;
import elvaro.server.forecast.Figures;
import elvaro.server.piece.PieceRole;
import elvaro.server.piece.PieceState;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
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

    /** Whether its piles were weighed, and its weight at the pull: else it has days, looks and taste, and no figures. */
    static boolean measured(Figures figures) {
        return cut(figures)
                && !figures.log().isEstimated()
                && figures.ledger().piles().total() + figures.ledger().cutAway() > 0;
    }

    /** What the others are held against: the control, or the first where there is none. */
    TrialArm control() {
        return arms.stream().filter(TrialArm::control).findFirst().orElse(arms.get(0));
    }

    /**
     * What an arm is held against: the control; where it is asked whether ageing pays, the arm that was kept fresh of its own
     * animals.
     */
    TrialArm controlOf(TrialArm arm) {
        if (trial.factor() != Factor.AGEING) {
            return control();
        }
        Set<UUID> lots = lots(arm);
        return arms.stream()
                .filter(each -> isFresh(each) && !Collections.disjoint(lots(each), lots))
                .findFirst()
                .orElse(control());
    }

    /** By arm, what it is held against. */
    Map<UUID, UUID> controls() {
        return others().stream()
                .collect(Collectors.toMap(TrialArm::id, arm -> controlOf(arm).id()));
    }

    /** Every arm that is held against another one. */
    List<TrialArm> others() {
        return arms.stream()
                .filter(arm -> trial.factor() == Factor.AGEING ? !isFresh(arm) : arm != control())
                .toList();
    }

    boolean isFresh(TrialArm arm) {
        return of(arm).stream().anyMatch(each -> each.piece().role() == PieceRole.FRESH);
    }

    private Set<UUID> lots(TrialArm arm) {
        return of(arm).stream().map(each -> each.piece().lot().id()).collect(Collectors.toSet());
    }
}
