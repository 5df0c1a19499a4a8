package elvaro.core.yield;

import elvaro.core.cut.Cut;
import elvaro.core.drying.Method;
import elvaro.core.drying.Surface;
import elvaro.core.estimate.Estimates;
import elvaro.core.ledger.Ledger;
import elvaro.core.ledger.Piles;

/**
 * What a cut through the piece would show, as shares of its green weight. The picture of a piece is drawn from this:
 * outline 1, inside it what it weighs now, and in that fat, bone, crust and the steak to come.
 *
 * @param now what it weighs now
 * @param fat the fat cap to be cut off, or the fat cut off
 * @param bone the bone in it, or cut out
 * @param crust the dried outside and other lean trim
 * @param pockets what has spoilt under a film that lifted, to be thrown away; 0 where it clings, or once it was cut
 * @param steak what is left for steaks and roasts
 */
public record Section(double now, double fat, double bone, double crust, double pockets, double steak) {

    /** Share of the crust and lean trim that is fit for grinding: none of what lay under a seal (EST). */
    public static double usableShareOfCrust(Method method) {
        return method == Method.FAT_SEAL ? 0 : Estimates.USABLE_SHARE_OF_CRUST;
    }

    /** A cut as it came: whole, its fat still on it, nothing dried. */
    public static Section asItCame(Cut cut, int grams, int fatCoverMm, boolean boneIn) {
        double bone = boneIn ? cut.boneShare() : 0;
        double fat = Math.min(
                1 - bone, Surface.of(cut.surface(), grams, fatCoverMm, boneIn).fatGrams(fatCoverMm) / grams);
        return new Section(1, fat, bone, 0, 0, 1 - bone - fat);
    }

    /** The piles to be expected of it, whole grams that add up to what it weighs. */
    public Piles piles(int greenGrams, Method method) {
        int all = (int) Math.round(now * greenGrams);
        int fatGrams = (int) Math.round(fat * greenGrams);
        int boneGrams = (int) Math.round(bone * greenGrams);
        int crustGrams = (int) Math.round(crust * greenGrams);
        int pocketGrams = (int) Math.round(pockets * greenGrams);
        int usable = (int) Math.round(crustGrams * usableShareOfCrust(method));
        int steaks = Math.max(0, all - fatGrams - boneGrams - crustGrams - pocketGrams);
        return Piles.of(steaks, usable, fatGrams, boneGrams, crustGrams - usable + pocketGrams);
    }

    /** What is left of it after slices were taken across: of everything the same share. */
    public Section part(double left) {
        return new Section(now * left, fat * left, bone * left, crust * left, pockets * left, steak * left);
    }

    /** What the bench found. */
    public static Section found(Ledger ledger) {
        double green = ledger.green();
        return new Section(
                ledger.piles().total() / green,
                ledger.piles().fat() / green,
                ledger.piles().bone() / green,
                (ledger.piles().usableTrim() + ledger.piles().discard()) / green,
                0,
                ledger.piles().steak() / green);
    }
}
