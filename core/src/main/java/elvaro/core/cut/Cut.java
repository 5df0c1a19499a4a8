package elvaro.core.cut;

import java.util.Optional;

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
        double boneShare) {

    public boolean weightIsUsual(int grams) {
        return grams >= leastGrams && grams <= mostGrams;
    }
}
