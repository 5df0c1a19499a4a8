package elvaro.core.rehearsal;

import elvaro.core.drying.Method;
import elvaro.core.yield.BenchOrder;
import elvaro.core.yield.Closeness;
import java.util.EnumMap;
import java.util.Map;

/** A piece under the knife: what of it is steak, what is crust, and what has to go. Estimates (EST). */
final class CutUp {
    /** Grams; less sticks to the knife. */
    private static final int LEAST_HEAP = 20;

    /** Less than this is no steak, kg. */
    private static final double TOO_THIN = 0.05;

    /** What is cut out about a spot of mould, as so much more of the surface. */
    private static final double SPREADS = 3;

    /** No knife takes a thinner slice off a whole face, metres. */
    private static final double THINNEST_SLICE = 0.0045;

    private final PieceTruth truth;
    private final Method method;
    private final MeatLayers[] faces;
    private final Flora[] flora;

    CutUp(PieceTruth truth, Method method, MeatLayers[] faces, Flora[] flora) {
        this.truth = truth;
        this.method = method;
        this.faces = faces;
        this.flora = flora;
    }

    /**
     * @param fat of its cap, kg
     * @param bone in it, kg
     * @return whole grams that add up to what it weighs
     */
    Map<Heap, Integer> heaps(BenchOrder order, Closeness closeness, double fat, double bone) {
        double good = 0;
        double crust = 0;
        double spoilt = 0;
        double knife = (order.marginMm() + closeness.moreMm()) / 1000;
        for (int face = 0; face < faces.length; face++) {
            double all = faces[face].kilograms();
            double bad = truth.isLost() ? 1 : Math.min(1, flora[face].foreign() * SPREADS + badPockets());
            double dry = faces[face].crust();
            double off = Math.min(all, faces[face].kilogramsTo(hasSkin() ? Math.max(dry + knife, THINNEST_SLICE) : 0));
            double rotten = truth.isLost() ? all : Math.min(all, faces[face].kilogramsTo(depth(face)));
            spoilt += bad * rotten;
            crust += Math.max(0, off - bad * Math.min(off, rotten));
            good += all - off - bad * Math.max(0, rotten - off);
        }
        Map<Heap, Integer> heaps = new EnumMap<>(Heap.class);
        put(heaps, Heap.CLEAN_CRUST, crust);
        put(heaps, Heap.SPOILT, spoilt);
        put(heaps, truth.rancid() >= 1 ? Heap.TURNED_FAT : Heap.FAT, fat);
        put(heaps, Heap.BONE, bone);
        int others = heaps.values().stream().mapToInt(each -> each).sum();
        int whole = (int) Math.round(truth.grams());
        if (whole > others) {
            heaps.merge(good < TOO_THIN ? Heap.CLEAN_CRUST : Heap.STEAKS, whole - others, Integer::sum);
        }
        return heaps;
    }

    /** What was kept wet has none. */
    private boolean hasSkin() {
        return method != Method.VACUUM && method != Method.ON_ICE && method != Method.FAT_SEAL;
    }

    private static void put(Map<Heap, Integer> heaps, Heap heap, double kilograms) {
        int grams = (int) Math.round(1000 * kilograms);
        if (grams >= LEAST_HEAP) {
            heaps.put(heap, grams);
        }
    }

    /** How deep is cut where something foreign grew or rotted, metres. */
    private double depth(int face) {
        double rot = truth.pocketMm() >= PieceTruth.ROT_MM ? truth.pocketMm() / 1000 + 0.005 : 0;
        double mould = flora[face].foreign() >= PieceTruth.SPOT ? faces[face].crust() + 0.015 : 0;
        double slime = flora[face].bacteria() >= PieceTruth.SLIME ? 0.008 : 0;
        return Math.max(mould, Math.max(slime, rot));
    }

    /** Share of a face that is cut away for rot in pockets, or for slime. */
    private double badPockets() {
        if (truth.pocketMm() < PieceTruth.ROT_MM) {
            return truth.bacteria() >= PieceTruth.SLIME ? 0.6 : 0;
        }
        return method == Method.FAT_SEAL ? 1 : Math.max(0.15, truth.lifted());
    }
}
