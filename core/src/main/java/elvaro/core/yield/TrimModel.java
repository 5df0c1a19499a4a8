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
        double bone = hanging.boneIn() ? cut.boneShare() : 0;
        return new TrimModel(hanging, cut.surface(), bone, fatCoverMm, order, Closeness.USUAL, 1, 0);
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
        double green = hanging.greenGrams();
        double now = Math.max(0, Math.min(1, 1 - lost));
        double fat = hanging.surface().fatGrams(fatCoverMm) / green;
        double depth = crustMm(lost);
        double cutDepth = depth == 0 ? 0 : Math.max(0, depth + order.marginMm() + closeness.moreMm());
        double crust = cutDepth * gramsPerMm() / green;
        double bone = Math.min(boneShare, now);
        double room = now - bone;
        double trimmed = Math.max(0, fat + crust - steakShift);
        double kept = Math.max(0, room - trimmed);
        double cut = room - kept;
        double fatPart = Math.min(fat, cut);
        return new Section(now, fatPart, bone, cut - fatPart, kept);
    }

    /** What a millimetre cut off all lean faces weighs, g. */
    double gramsPerMm() {
        return hanging.surface().lean() * SurfaceClass.LEAN_DENSITY;
    }
}
