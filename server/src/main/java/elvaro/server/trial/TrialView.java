package elvaro.server.trial;

import elvaro.core.inspection.Observation;
import elvaro.core.inspection.Rule;
import elvaro.core.trial.Band;
import elvaro.core.trial.Conclusion;
import elvaro.core.trial.Design.Flaw;
import elvaro.core.trial.Factor;
import elvaro.core.trial.Judgement;
import elvaro.core.trial.Strength;
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
 * @param best the plate most tasters liked better than each other; absent where there is none, or arms alone were tasted
 * @param ageing what each grade gains by it; absent where something else is asked
 * @param together what it shows with the trials before it that it repeats
 * @param thread the line of trials it stands in, the first first; it alone where it stands alone
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
        @Nullable BestView best,
        @Nullable AgeingView ageing,
        List<String> together,
        List<ThreadView> thread) {

    /**
     * An arm.
     *
     * @param setUp what is done with its pieces, in a line
     * @param smells at the looks at its pieces, counted
     * @param curve of what its pieces lose on average, with the ends of the band
     * @param means over its cut pieces; absent before
     */
    record ArmView(
            UUID id,
            String name,
            boolean control,
            String setUp,
            List<ArmPieceView> pieces,
            List<SmellView> smells,
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
    record SeenView(UUID id, long day, Rule.Answer answer, String seen, Observation.Smell smell, List<UUID> photos) {}

    /** How often something was smelled. */
    record SmellView(String label, int times) {}

    /**
     * @param steaks of a piece; absent where they were not counted
     * @param perKgSteak minor units; absent where there is no steak, or its price is not known
     * @param perKgEaten the same of all that is eaten
     */
    record MeansView(
            int pieces,
            double shrink,
            double trim,
            double discard,
            double steakYield,
            double usableYield,
            @Nullable Double steaks,
            @Nullable Double perKgSteak,
            @Nullable Double perKgEaten) {}

    /**
     * The plate that won.
     *
     * @param proposal what to do next time, where what was put on it won
     */
    record BestView(String sentence, @Nullable String proposal) {}

    /**
     * Whether ageing pays.
     *
     * @param gains of each grade, the cheapest first
     * @param cheapAgainstDear the cheapest one aged against the dearest fresh; absent where there is one price only
     */
    record AgeingView(List<GainView> gains, @Nullable String cheapAgainstDear) {}

    /**
     * What one grade gains by ageing; costs are minor units for a kilogram of steak, scores those for liking, 1 to 7.
     *
     * @param shift of the scores, aged less fresh, with its interval; absent where fewer than two tasters scored both
     * @param liked how many liked it better, in a sentence
     */
    record GainView(
            String aged,
            String fresh,
            @Nullable Double paidMinorPerKg,
            @Nullable Double freshPerKg,
            @Nullable Double agedPerKg,
            @Nullable Double freshScore,
            @Nullable Double agedScore,
            @Nullable Double shift,
            @Nullable Band band,
            @Nullable String liked) {}

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
