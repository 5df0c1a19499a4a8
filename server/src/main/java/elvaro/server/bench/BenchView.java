package elvaro.server.bench;

import elvaro.core.ledger.Balance;
import elvaro.core.ledger.Stream;
import elvaro.core.question.Question;
import elvaro.core.yield.BenchOrder;
import elvaro.core.yield.Closeness;
import elvaro.core.yield.Section;
import elvaro.server.hanging.PieceView;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * The bench for one piece.
 *
 * @param expected what the piles were expected to be, as shares of the green weight
 * @param expectedPiles the same in grams
 * @param question what will be asked on closing, if anything
 * @param wrapGrams what wrap and string weighed; absent until the piece was weighed without them
 * @param smellAgainAt when a piece that rests unwrapped is to be smelled again
 * @param steaksOnBone whether steaks are sawn through the bone
 * @param crustTenthsMm crust measured at a cut face, tenths of a millimetre
 * @param choices every order and closeness with what it is expected to give
 * @param pileNames what the house and others call the piles of such a piece
 * @param cut the steaks as they were cut
 * @param knife what the weights say of the knife; absent while the bench is open, or where they say nothing
 */
public record BenchView(
        PieceView piece,
        Section expected,
        Map<Stream, Integer> expectedPiles,
        Balance.BalanceState balance,
        double askAboveGrams,
        double refuseAboveGrams,
        @Nullable Question question,
        @Nullable Integer wrapGrams,
        @Nullable Instant smellAgainAt,
        Closeness closeness,
        boolean steaksOnBone,
        @Nullable Integer crustTenthsMm,
        List<CutChoice> choices,
        List<String> pileNames,
        SteaksCutView cut,
        @Nullable KnifeView knife) {

    /**
     * One way to cut this piece.
     *
     * @param perKgSteak minor units; absent where no steak is left
     */
    public record CutChoice(
            BenchOrder order,
            Closeness closeness,
            int steakGrams,
            int trimGrams,
            @Nullable Double perKgSteak) {}

    /**
     * @param steaks that were counted
     * @param gramsEach mean of those
     * @param spreadGrams standard deviation of those weighed one by one
     * @param roastGrams ends and roasts
     */
    public record SteaksCutView(
            int steaks,
            @Nullable Double gramsEach,
            @Nullable Double spreadGrams,
            int roastGrams) {}

    /**
     * @param cutMm depth cut away
     * @param crustMm depth of the crust, measured or by the law
     * @param marginMm good meat that went with it
     * @param usualMarginMm what the order usually takes
     * @param steakOver steak found over steak expected, share of the green weight
     */
    public record KnifeView(
            double cutMm,
            double crustMm,
            boolean measured,
            double marginMm,
            double usualMarginMm,
            @Nullable Double steakOver) {}
}
