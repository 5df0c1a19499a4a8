package elvaro.core.cut;

import java.util.Optional;
import java.util.OptionalInt;

/**
 * A cut as it is bought.
 *
 * @param code stable key, lower case with hyphens
 * @param species the animal
 * @param name the usual name
 * @param otherNames further usual names, comma separated; may be empty
 * @param imps the item number of the Institutional Meat Purchase Specifications, empty where there is none; the numbers
 *     were written down from memory
 * @param shape how it is drawn
 * @param surface how it meets the air
 * @param leastGrams below this one asks whether the weight is right (common practice, no source)
 * @param mostGrams above this one asks whether the weight is right (common practice, no source)
 * @param boneShare share of the green weight that is bone when bought bone-in (common practice, no source)
 * @param faceSquareCm what a knife across it lays bare, cm² (EST): a short piece has the same face as a long one; empty for
 *     what is not sliced along its length
 * @param steaksOnBone whether its steaks are usually sawn through the bone, which is then part of them
 */
public record Cut(
        String code,
        Species species,
        String name,
        String otherNames,
        Optional<String> imps,
        ShapeClass shape,
        SurfaceClass surface,
        int leastGrams,
        int mostGrams,
        double boneShare,
        OptionalInt faceSquareCm,
        boolean steaksOnBone) {

    public boolean weightIsUsual(int grams) {
        return grams >= leastGrams && grams <= mostGrams;
    }

    /**
     * What a knife across a piece lays bare: what is usual of the cut, else by the volume of the piece and its class.
     *
     * @param grams green weight, above 0
     * @return m²
     */
    public double face(int grams) {
        return faceSquareCm.isPresent() ? faceSquareCm.getAsInt() / 10_000.0 : surface.face(grams);
    }

    /** Whether steaks are cut from it across its length. */
    public boolean sliced() {
        return surface != SurfaceClass.SINGLE_STEAK && surface != SurfaceClass.WHOLE_BIRD;
    }
}
