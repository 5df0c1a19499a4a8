package elvaro.core.ledger;

import static elvaro.core.working.Quantity.mass;
import static elvaro.core.working.Quantity.share;

import elvaro.core.question.Question;
import java.util.Optional;

/**
 * Whether the piles add up to the piece. Reference section 1: a residual above the larger of two scale divisions for
 * each weighing and 1 % of the aged weight is asked about; above 3 % it is refused until confirmed with a reason.
 *
 * @param residual E in grams, what the piles do not account for
 * @param askAbove the limit of |E| in grams above which it is asked about
 * @param refuseAbove the limit of |E| in grams above which a reason is needed
 */
public record Balance(int residual, double askAbove, double refuseAbove) {
    private static final double ASK_SHARE = 0.01;
    private static final double REFUSE_SHARE = 0.03;

    /** How far the sums are from closing. */
    public enum BalanceState {
        CLOSES,
        ASKS,
        REFUSES
    }

    /**
     * @param ledger with the piles as weighed
     * @param divisionGrams the scale's division, above 0
     * @param weighings how many weighings the piles rest on, 0 or more
     */
    public static Balance of(Ledger ledger, int divisionGrams, int weighings) {
        if (divisionGrams <= 0 || weighings < 0) {
            throw new IllegalArgumentException("The division must be above 0 g and the weighings 0 or more");
        }
        double ask = Math.max(2.0 * divisionGrams * weighings, ASK_SHARE * ledger.aged());
        double refuse = REFUSE_SHARE * ledger.aged();
        return new Balance(ledger.residual(), ask, refuse);
    }

    public BalanceState state() {
        int off = Math.abs(residual);
        if (off > refuseAbove && off > 0) {
            return BalanceState.REFUSES;
        }
        return off > askAbove ? BalanceState.ASKS : BalanceState.CLOSES;
    }

    /** What to ask before the bench is closed; empty when the piles add up. */
    public Optional<Question> question() {
        String sentence = residual >= 0
                ? "%s of the aged weight lies on no pile.".formatted(mass(residual))
                : "The piles weigh %s more than the piece did.".formatted(mass(-residual));
        return switch (state()) {
            case CLOSES -> Optional.empty();
            case ASKS ->
                Optional.of(Question.confirm(
                        "residual", "piles", sentence + " Is a pile missing, or was a container not tared?"));
            case REFUSES ->
                Optional.of(Question.reason(
                        "residual-large",
                        "piles",
                        sentence
                                + " That is more than %s of it. Weigh what is missing, or say where it went."
                                        .formatted(share(REFUSE_SHARE))));
        };
    }
}
