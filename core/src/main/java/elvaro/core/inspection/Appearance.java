package elvaro.core.inspection;

import elvaro.core.inspection.Observation.Mould;
import java.util.EnumMap;
import java.util.Map;

/**
 * How the outside of a piece looks, in the numbers it is drawn from. Shares are 0 to 1.
 *
 * @param dark how far bright red has gone dark
 * @param brown how far it has gone brown
 * @param grey how far it has lost its colour
 * @param green how green its sheen is
 * @param gloss how much it shines: dry meat not at all, wet meat much
 * @param leather how much of a crust it wears
 * @param slime how much slime lies on it
 * @param moulds of each kind that grows on it, the share of the surface
 * @param pockets share that is dark and soft
 * @param film whether a membrane is about it
 * @param lifted share of that membrane that does not touch
 * @param sealOpen whether its seal is open
 * @param imprint how deep the film's folds are printed on it
 * @param syrup how much syrup weeps from it
 * @param fold whether a cut or fold lies open
 * @param gas whether the membrane is blown up
 * @param bloodshot whether it is bloodshot, or a gland sits in it
 * @param cover what hides most of it
 */
public record Appearance(
        double dark,
        double brown,
        double grey,
        double green,
        double gloss,
        double leather,
        double slime,
        Map<Mould, Double> moulds,
        double pockets,
        boolean film,
        double lifted,
        boolean sealOpen,
        double imprint,
        double syrup,
        boolean fold,
        boolean gas,
        boolean bloodshot,
        Cover cover) {
    /** What may lie all about a piece. */
    public enum Cover {
        NONE,
        FAT,
        CLOTH
    }

    /** Red, damp, with nothing on it. */
    public static final Appearance FRESH =
            new Appearance(0, 0, 0, 0, 0.5, 0, 0, Map.of(), 0, false, 0, false, 0, 0, false, false, false, Cover.NONE);

    public Appearance {
        moulds = Map.copyOf(moulds);
        for (double share :
                new double[] {dark, brown, grey, green, gloss, leather, slime, pockets, lifted, imprint, syrup}) {
            if (!(share >= 0 && share <= 1)) {
                throw new IllegalArgumentException("A share lies between 0 and 1, not at " + share);
            }
        }
    }

    /** Of another colour. */
    Appearance coloured(double darker, double browner, double greyer, double greener) {
        return new Appearance(
                darker, browner, greyer, greener, gloss, leather, slime, moulds, pockets, film, lifted, sealOpen,
                imprint, syrup, fold, gas, bloodshot, cover);
    }

    /** As it feels otherwise. */
    Appearance feeling(double shines, double crust, double slimy) {
        return new Appearance(
                dark, brown, grey, green, shines, crust, slimy, moulds, pockets, film, lifted, sealOpen, imprint, syrup,
                fold, gas, bloodshot, cover);
    }

    /** Under so much of one more mould. */
    Appearance under(Mould mould, double share) {
        Map<Mould, Double> more = new EnumMap<>(Mould.class);
        more.putAll(moulds);
        more.put(mould, share);
        return new Appearance(
                dark, brown, grey, green, gloss, leather, slime, more, pockets, film, lifted, sealOpen, imprint, syrup,
                fold, gas, bloodshot, cover);
    }

    /** In a membrane. */
    Appearance wrapped(double loose, boolean open, boolean blown) {
        return new Appearance(
                dark, brown, grey, green, gloss, leather, slime, moulds, pockets, true, loose, open, 0.5, syrup, fold,
                blown, bloodshot, cover);
    }

    /** With something else found on it. */
    Appearance with(double soft, boolean cut, boolean gland) {
        return new Appearance(
                dark, brown, grey, green, gloss, leather, slime, moulds, soft, film, lifted, sealOpen, imprint, syrup,
                cut, gas, gland, cover);
    }
}
