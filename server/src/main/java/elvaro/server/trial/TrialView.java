package elvaro.server.trial;

import elvaro.core.inspection.Rule;
import elvaro.core.trial.Band;
import elvaro.core.trial.Change;
import elvaro.core.trial.Conclusion;
import elvaro.core.trial.Design.Flaw;
import elvaro.core.trial.Strength;
import elvaro.core.trial.Factor;
import elvaro.core.trial.Judgement;
import elvaro.core.trial.TrialMeasure;
import elvaro.core.trial.TrialVerdict;
import elvaro.server.hanging.CostView;
import elvaro.server.hanging.LedgerView;
import elvaro.server.hanging.PieceCard;
import elvaro.server.tasting.TrialTastings.TastedView;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * A trial.
 *
 * @param seed of the draw; absent where the pieces were chosen by hand
 * @param ended whether every piece is cut
 * @param flaws of the design, the worst first
 * @param drying how fast each arm dries against the control so far, in words
 * @param verdicts by arm and measure, of what is cut
 * @param conclusions one for each arm that has a verdict or was tasted
 * @param thread the line of trials it stands in, the first first; it alone where it stands alone
 * @param next what a next trial may change
 */
record TrialView(
        UUID id,
        int version,
        String question,
        Factor factor,
        String factorLabel,
        TrialMeasure measure,
        String measureLabel,
        LocalDate startedOn,
        @Nullable String seed,
        String learnt,
        boolean ended,
        List<ArmView> arms,
        List<Flaw> flaws,
        List<String> drying,
        List<VerdictView> verdicts,
        List<TastedView> tastings,
        List<Conclusion> conclusions,
        List<ThreadView> thread,
        List<NextView> next) {

    /**
     * An arm.
     *
     * @param setUp what is done with its pieces, in a line
     * @param curve of what its pieces lose on average, with the ends of the band
     * @param means over its cut pieces; absent before
     */
    record ArmView(
            UUID id,
            String name,
            boolean control,
            String setUp,
            List<ArmPieceView> pieces,
            List<ArmDay> curve,
            @Nullable MeansView means) {}

    /** @param block pieces of one block lay side by side */
    record ArmPieceView(
            PieceCard card,
            String block,
            LedgerView ledger,
            CostView cost,
            List<ArmWeighing> weighings,
            List<SeenView> looks) {}

    record ArmDay(int day, double lost, double least, double most) {}

    record ArmWeighing(double day, double lost) {}

    /** A look on a day of the hanging. */
    record SeenView(UUID id, long day, Rule.Answer answer, String seen, List<UUID> photos) {}

    /** @param perKgSteak minor units; absent where no steak has a cost */
    record MeansView(
            int pieces,
            double shrink,
            double trim,
            double discard,
            double steakYield,
            double usableYield,
            @Nullable Double perKgSteak) {}

    /**
     * An arm against the control in one measure.
     *
     * @param asked whether it is the measure that was named beforehand
     * @param value arm less control, as the band
     * @param strength of what was asked; what was only seen is never more than not shown
     * @param standsOut whether what was only seen is more than chance among all that was looked at
     * @param sentence in plain words
     * @param statistics for whoever wants to check it
     */
    record VerdictView(
            UUID arm,
            TrialMeasure measure,
            boolean asked,
            @Nullable Double value,
            @Nullable Band band,
            Strength strength,
            boolean standsOut,
            String sentence,
            String statistics) {
        static VerdictView of(UUID arm, TrialVerdict verdict) {
            Judgement judgement = verdict.judgement();
            return new VerdictView(
                    arm,
                    judgement.found().measure(),
                    judgement.asked(),
                    verdict.value().orElse(null),
                    verdict.band().orElse(null),
                    judgement.strength(),
                    judgement.standsOut(),
                    "%s %s".formatted(verdict.sentence(), verdict.surety()).strip(),
                    verdict.statistics());
        }
    }

    /** @param conclusions in words, of one that has ended */
    record ThreadView(
            UUID id,
            String question,
            String changed,
            LocalDate startedOn,
            boolean ended,
            List<String> conclusions,
            String learnt) {}

    record NextView(Change change, String label) {}

    /** A trial in a list. */
    record TrialLine(
            UUID id,
            String question,
            String factorLabel,
            LocalDate startedOn,
            boolean ended,
            int flaws,
            List<ArmLine> arms,
            List<String> conclusions) {}

    record ArmLine(String name, boolean control, List<PieceCard> pieces) {}
}
