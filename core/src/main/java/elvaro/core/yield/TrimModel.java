package elvaro.core.yield;

import elvaro.core.cut.Cut;
import elvaro.core.cut.SurfaceClass;
import elvaro.core.drying.Hanging;
import elvaro.core.drying.Method;
import elvaro.core.estimate.Estimates;

/**
 * What a piece will give when it is cut, from the water it has lost. Reference section 5.
 *
 * @param hanging the piece as it hangs
 * @param shape how it meets the air; a bird grows no crust that is cut away
 * @param boneShare share of the green weight that is bone, 0–1
 * @param fatCoverMm depth of the fat cap that is cut off, 0 or more
 * @param order which comes first at the bench
 * @param closeness how close to the crust the knife goes
 * @param crustFactor what the shop cuts away over what the law says, 1 where nothing is known
 * @param steakShift how much more of the green weight the shop gets as steak than the law says, 0 where nothing is known
 */
public record TrimModel(
        Hanging hanging,
        SurfaceClass shape,
        double boneShare,
        int fatCoverMm,
        BenchOrder order,
        Closeness closeness,
        double crustFactor,
        double steakShift) {

    /** As the law says, before the shop has taught it anything. */
    public static TrimModel of(Cut cut, Hanging hanging, int fatCoverMm, BenchOrder order) {
        return new TrimModel(hanging, cut.surface(), 0, fatCoverMm, order, Closeness.USUAL, 1, 0).onBone(cut, false);
    }

    /** Sawn through the bone, or off it: a bone that stays is steak. */
    public TrimModel onBone(Cut cut, boolean steaksOnBone) {
        double share = hanging.boneIn() && !steaksOnBone ? cut.boneShare() : 0;
        return new TrimModel(hanging, shape, share, fatCoverMm, order, closeness, crustFactor, steakShift);
    }

    /** As this shop cuts. */
    public TrimModel learnt(double shopsCrustFactor, double shopsSteakShift) {
        return new TrimModel(
                hanging, shape, boneShare, fatCoverMm, order, closeness, shopsCrustFactor, shopsSteakShift);
    }

    public TrimModel cutBy(BenchOrder other) {
        return cutBy(other, closeness);
    }

    public TrimModel cutBy(BenchOrder other, Closeness how) {
        return new TrimModel(hanging, shape, boneShare, fatCoverMm, other, how, crustFactor, steakShift);
    }

    /**
     * Depth of the crust: 2.0 mm and 1.0 mm for each kg of water lost per m² (EST).
     *
     * @param lost w, fraction of the green weight
     * @return mm, 0 where no crust forms
     */
    public double crustMm(double lost) {
        if (shape == SurfaceClass.WHOLE_BIRD
                || hanging.method() == Method.VACUUM
                || hanging.method() == Method.ON_ICE) {
            return 0;
        }
        double perSquareMetre = Math.max(0, lost)
                * hanging.greenGrams()
                / 1000.0
                / hanging.surface().drying();
        double depth = Estimates.CRUST_MM + Estimates.CRUST_MM_PER_KG * perSquareMetre;
        return depth * crustFactor * (hanging.method() == Method.MEMBRANE ? Estimates.MEMBRANE_CRUST : 1);
    }

    /**
     * What a cut through it would show.
     *
     * @param lost w, fraction of the green weight; below 0 counts as 0 for the crust
     * @return shares of the green weight that add up to what is left
     */
    public Section after(double lost) {
        double now = now(lost);
        double fat = fat();
        double bone = Math.min(boneShare, now);
        double room = now - bone;
        double kept = Math.max(0, Math.min(room, over(lost)));
        double cut = room - kept;
        double fatPart = Math.min(fat, cut);
        double pockets = Math.min(pockets(lost), cut - fatPart);
        return new Section(now, fatPart, bone, cut - fatPart - pockets, pockets, kept);
    }

    /**
     * What is left for steaks once all is cut away that has to be, share of the green weight; below 0 by as much as is wanting:
     * how surely nothing is left.
     */
    public double over(double lost) {
        return now(lost) - boneShare - fat() - crust(lost) - pockets(lost) + steakShift;
    }

    private static double now(double lost) {
        return Math.max(0, Math.min(1, 1 - lost));
    }

    private double fat() {
        return hanging.surface().fatGrams(fatCoverMm) / hanging.greenGrams();
    }

    /** What is cut off besides fat and bone, share of the green weight. */
    private double crust(double lost) {
        return solid().outside(cutMm(lost)) / hanging.greenGrams();
    }

    /** What spoils in pockets under a film that has lifted, share of the green weight. */
    private double pockets(double lost) {
        double depth = pocketMm(lost);
        return depth == 0 ? 0 : solid().outside(cutMm(lost) + depth) / hanging.greenGrams() - crust(lost);
    }

    /**
     * How deep that is, mm over all of it: the more the pockets join, the deeper; nothing on the day it is wrapped, and all of it
     * once it has dried for a while, as long as that takes.
     */
    double pocketMm(double lost) {
        double lifted = hanging.lifted();
        double share = Math.max(0, Math.min(1, lost / Estimates.POCKET_WHOLE_LOST));
        return share * lifted / (1 - lifted) * Estimates.POCKET_MM;
    }

    /** How deep is cut, mm: the crust and what the knife takes with it. */
    public double cutMm(double lost) {
        double depth = crustMm(lost);
        return depth == 0 ? 0 : Math.max(0, depth + order.marginMm() + closeness.moreMm());
    }

    /** What is cut off is its outside. */
    Solid solid() {
        return Solid.of(hanging.greenGrams(), hanging.surface(), shape);
    }
}
