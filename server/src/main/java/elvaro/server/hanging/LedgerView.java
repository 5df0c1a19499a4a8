package elvaro.server.hanging;

import elvaro.core.ledger.Ledger;
import elvaro.core.ledger.Stream;
import java.util.Map;

/** The mass ledger with its shares worked out. Before the pull the last weight known stands for the aged weight. */
public record LedgerView(
        int greenGrams,
        int withdrawnGrams,
        int cutAwayGrams,
        int agedGrams,
        int shrinkGrams,
        Map<Stream, Integer> piles,
        int residualGrams,
        double shrinkFraction,
        double shrinkFractionWithoutWithdrawals,
        double steakYield,
        double steakYieldWithoutWithdrawals,
        double usableYield,
        double trimFraction,
        double discardFraction) {
    public static LedgerView of(Ledger ledger) {
        return new LedgerView(
                ledger.green(),
                ledger.withdrawn(),
                ledger.cutAway(),
                ledger.aged(),
                ledger.shrink(),
                ledger.piles().grams(),
                ledger.residual(),
                ledger.shrinkFraction(),
                ledger.shrinkFractionWithoutWithdrawals(),
                ledger.steakYield(),
                ledger.steakYieldWithoutWithdrawals(),
                ledger.usableYield(),
                ledger.trimFraction(),
                ledger.discardFraction());
    }
}
