package elvaro.server.trial;

import static elvaro.core.working.Quantity.share;

import elvaro.core.cut.ShapeClass;
import elvaro.core.trial.Design.Flaw;
import elvaro.core.trial.Design.FlawKind;
import elvaro.core.yield.Section;
import elvaro.server.hanging.LedgerView;
import elvaro.server.share.ShareLinks;
import elvaro.server.tasting.TasterLines;
import elvaro.server.trial.TrialView.ArmDay;
import elvaro.server.trial.TrialView.ArmPieceView;
import elvaro.server.trial.TrialView.ArmView;
import elvaro.server.trial.TrialView.ArmWeighing;
import elvaro.server.trial.TrialView.MeansView;
import elvaro.server.trial.TrialView.VerdictView;
import java.time.LocalDate;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * A trial as whoever has its link sees it: the question, the arms, what came of it and its doubt. No prices, no suppliers, no
 * people, no rooms, no tags.
 *
 * @param answers what was asked, in plain words, for each arm
 * @param beside what was seen beside it
 * @param statistics for whoever wants to check
 * @param tasted what was said at tables
 * @param lines what each taster said, without saying who
 * @param weakenedBy flaws of the design
 */
record SharedTrial(
        String question,
        String factor,
        String measure,
        LocalDate startedOn,
        boolean ended,
        List<SharedArm> arms,
        List<String> answers,
        List<String> beside,
        List<String> statistics,
        List<String> drying,
        List<String> tasted,
        List<TasterLines> lines,
        @Nullable String best,
        List<String> weakenedBy,
        String caution) {
    /** Flaws whose sentences name rooms, suppliers or lots; that they differ is told without them. */
    private static final Set<FlawKind> NAMING =
            EnumSet.of(FlawKind.ALSO_DIFFERS, FlawKind.OTHER_ANIMALS, FlawKind.SCENTED, FlawKind.MIXED_ARM);

    private static final String COST_STAYS = "What it costs stays in the house.";

    /**
     * @param done what is done with its pieces
     * @param means without what it cost
     */
    record SharedArm(
            String name,
            boolean control,
            String done,
            List<SharedPiece> pieces,
            List<ArmDay> curve,
            @Nullable SharedMeans means) {}

    record SharedPiece(
            ShapeClass shape,
            Section section,
            LedgerView ledger,
            List<ArmWeighing> weighings,
            List<SharedPhoto> photos) {}

    /** @param day of the hanging */
    record SharedPhoto(UUID id, long day) {}

    record SharedMeans(
            int pieces,
            double shrink,
            double discard,
            double steakYield,
            double usableYield,
            @Nullable Double steaks) {
        String words() {
            return "%s usable, %s steak, %s water lost, %s thrown away"
                    .formatted(share(usableYield), share(steakYield), share(shrink), share(discard));
        }

        static @Nullable SharedMeans of(@Nullable MeansView means) {
            return means == null
                    ? null
                    : new SharedMeans(
                            means.pieces(),
                            means.shrink(),
                            means.discard(),
                            means.steakYield(),
                            means.usableYield(),
                            means.steaks());
        }
    }

    /** @param done by arm, without rooms */
    static SharedTrial of(TrialView trial, Map<UUID, String> done) {
        List<VerdictView> shown = trial.verdicts().stream()
                .filter(verdict -> !verdict.measure().isCost())
                .filter(verdict -> verdict.asked() || verdict.measure().isOfPieces()) // what was tasted is said already
                .toList();
        return new SharedTrial(
                trial.question(),
                trial.factorLabel(),
                trial.measureLabel(),
                trial.startedOn(),
                trial.ended(),
                trial.arms().stream().map(arm -> arm(arm, done)).toList(),
                trial.measure().isCost()
                        ? List.of(COST_STAYS)
                        : trial.conclusions().stream()
                                .map(conclusion -> String.join(
                                        " ",
                                        Stream.concat(Stream.of(conclusion.sentence()), conclusion.more().stream())
                                                .toList()))
                                .toList(),
                shown.stream()
                        .filter(verdict -> !verdict.asked())
                        .map(VerdictView::sentence)
                        .toList(),
                shown.stream().map(VerdictView::statistics).distinct().toList(),
                trial.drying(),
                trial.tastings().stream()
                        .flatMap(tasted -> tasted.verdicts().stream().limit(1))
                        .map(said -> said.sentence())
                        .toList(),
                trial.tastings().stream()
                        .flatMap(tasted -> tasted.lines().stream())
                        .map(lines -> lines.shownAround(
                                trial.arms().stream().map(ArmView::id).toList()))
                        .toList(),
                trial.best() == null ? null : trial.best().sentence(),
                trial.flaws().stream()
                        .filter(flaw -> !NAMING.contains(flaw.kind()))
                        .map(Flaw::sentence)
                        .toList(),
                ShareLinks.CAUTION);
    }

    private static SharedArm arm(ArmView arm, Map<UUID, String> done) {
        return new SharedArm(
                arm.name(),
                arm.control(),
                done.getOrDefault(arm.id(), ""),
                arm.pieces().stream().map(SharedTrial::piece).toList(),
                arm.curve(),
                SharedMeans.of(arm.means()));
    }

    private static SharedPiece piece(ArmPieceView piece) {
        return new SharedPiece(
                piece.card().shape(),
                piece.card().section(),
                piece.ledger(),
                piece.weighings(),
                piece.looks().stream()
                        .flatMap(look -> look.photos().stream().map(photo -> new SharedPhoto(photo, look.day())))
                        .toList());
    }
}
