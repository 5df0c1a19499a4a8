package elvaro.core.yield;

import elvaro.core.ledger.Ledger;

/**
 * What a cut through the piece would show, as shares of its green weight. The picture of a piece is drawn from this:
 * outline 1, inside it what it weighs now, and in that fat, bone, crust and the steak to come.
 *
 * @param now what it weighs now
 * @param fat the fat cap to be cut off, or the fat cut off
 * @param bone the bone in it, or cut out
 * @param crust the dried outside and other lean trim
 * @param steak what is left for steaks and roasts
 */
public record Section(double now, double fat, double bone, double crust, double steak) {

    /** The same piece after a slice was taken from its steak. */
    public Section without(double share) {
        double taken = Math.min(share, steak);
        return new Section(now - taken, fat, bone, crust, steak - taken);
    }

    /** What the bench found. */
    public static Section found(Ledger ledger) {
        double green = ledger.green();
        return new Section(
                ledger.piles().total() / green,
                ledger.piles().fat() / green,
                ledger.piles().bone() / green,
                (ledger.piles().usableTrim() + ledger.piles().discard()) / green,
                ledger.steakYield());
    }
}
