package elvaro.core.yield;

import elvaro.core.cut.Cut;
import elvaro.core.cut.SurfaceClass;
import elvaro.core.drying.Method;
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
    /** Crust depth at hanging and its growth per kg/m² of water lost, mm. EST, reference section 5. */
    private static final double DEPTH_MM = 2.0;

    private static final double DEPTH_MM_PER_KG = 1.0;

    /** The outside of a membrane-aged piece dries thinner. EST, reference section 5. */
    private static final double MEMBRANE_FACTOR = 0.7;

    /** Share of the surface a fat cap covers, one face of a long piece. EST. */
    private static final double CAP_SHARE = 0.35;

    /** Fat of at least this depth protects the lean under it. Reference section 3. */
    private static final int PROTECTING_FAT_MM = 5;

    /** Share of the drying a protected face keeps: 0.35 under fat. EST, reference section 3. */
    private static final double UNDER_FAT = 0.35;

    /** Density of fat, kg/m³ (common handbook value, from memory). */
    private static final double FAT_DENSITY = 920;

    /**
     * What is to be expected of a piece that still hangs, from its weighed shrink.
     *
     * @param cut its cut
     * @param boneIn whether it was bought on the bone
     * @param fatCoverMm depth of its fat cover, 0 or more
     * @param method how it is aged
     * @param ledger green weight and last weight known
     */
    public static Section expected(Cut cut, boolean boneIn, int fatCoverMm, Method method, Ledger ledger) {
        double green = ledger.green();
        double squareMetres = cut.surface().squareMetres(ledger.green());
        double now = clamp(ledger.aged() / green, 0, 1);
        double bone = boneIn ? cut.boneShare() : 0;
        double fat = fatCoverMm / 1000.0 * CAP_SHARE * squareMetres * FAT_DENSITY * 1000 / green;
        double crust = crustGrams(cut, fatCoverMm, method, ledger, squareMetres) / green;
        double room = Math.max(0, now - bone);
        double trimmed = fat + crust;
        double fit = trimmed > room ? room / trimmed : 1;
        return new Section(now, fat * fit, Math.min(bone, now), crust * fit, Math.max(0, room - trimmed * fit));
    }

    private static double crustGrams(Cut cut, int fatCoverMm, Method method, Ledger ledger, double squareMetres) {
        if (cut.surface() == SurfaceClass.WHOLE_BIRD || method == Method.VACUUM || method == Method.ON_ICE) {
            return 0;
        }
        double lostPerSquareMetre = Math.max(0, ledger.shrink()) / 1000.0 / squareMetres;
        double depth = DEPTH_MM + DEPTH_MM_PER_KG * lostPerSquareMetre;
        double lean = squareMetres * (fatCoverMm >= PROTECTING_FAT_MM ? 1 - CAP_SHARE * (1 - UNDER_FAT) : 1);
        double factor = method == Method.MEMBRANE ? MEMBRANE_FACTOR : 1;
        return factor * depth / 1000 * lean * SurfaceClass.LEAN_DENSITY * 1000;
    }

    /** What the bench found. */
    public static Section found(Ledger ledger) {
        double green = ledger.green();
        double now = ledger.piles().total() / green;
        return new Section(
                now,
                ledger.piles().fat() / green,
                ledger.piles().bone() / green,
                (ledger.piles().usableTrim() + ledger.piles().discard()) / green,
                ledger.steakYield());
    }

    private static double clamp(double value, double least, double most) {
        return Math.max(least, Math.min(most, value));
    }
}
