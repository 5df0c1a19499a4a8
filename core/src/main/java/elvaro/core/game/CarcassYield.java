package elvaro.core.game;

import static elvaro.core.working.Quantity.mass;

import elvaro.core.game.Animal.Build;
import elvaro.core.working.Working;

/**
 * What an animal is to give, before anything is cut. Hoofed game: field-dressed weight / 1.331 is the carcass, × 0.67 what
 * an ideal shot gives boneless, × 0.70 what is really taken home (extension bulletins on deer, from memory; ±10 %). Birds
 * and fish: engineering estimates (EST). Reference section 12.
 *
 * @param build what the animal is built like, and so what was reckoned
 * @param carcassGrams skinned, without head and lower legs; of birds and fish as weighed
 * @param idealGrams boneless, nothing lost to the shot
 * @param realisticGrams boneless, as it usually comes out
 */
public record CarcassYield(Build build, double carcassGrams, double idealGrams, double realisticGrams) {
    private static final double FIELD_DRESSED_TO_CARCASS = 1.331;
    private static final double IDEAL = 0.67;
    private static final double REALISTIC = 0.70;

    /** Share of a drawn bird that is breast and legs off the bone. */
    private static final double BIRD = 0.46;

    /** Share of a gutted fish without its head that is loins and belly. */
    private static final double FISH = 0.62;

    private static final double BAND = 0.10;

    /** How an animal was weighed. */
    public enum Weighed {
        /** Opened and drawn, with skin and head. */
        FIELD_DRESSED,
        /** As it hangs: hoofed game skinned, without head and lower legs; birds drawn, fish gutted. */
        HANGING
    }

    /** @param grams as weighed, above 0 */
    public static CarcassYield of(Animal animal, int grams, Weighed weighed) {
        if (grams <= 0) {
            throw new IllegalArgumentException("An animal weighs more than 0 g");
        }
        if (animal.build() != Build.HOOFED) {
            double ideal = grams * (animal.build() == Build.BIRD ? BIRD : FISH);
            return new CarcassYield(animal.build(), grams, ideal, ideal);
        }
        double carcass = weighed == Weighed.FIELD_DRESSED ? grams / FIELD_DRESSED_TO_CARCASS : grams;
        return new CarcassYield(Build.HOOFED, carcass, carcass * IDEAL, carcass * IDEAL * REALISTIC);
    }

    public double leastGrams() {
        return realisticGrams * (1 - BAND);
    }

    public double mostGrams() {
        return realisticGrams * (1 + BAND);
    }

    public Working working() {
        return switch (build) {
            case HOOFED -> hoofed();
            case BIRD -> offTheBone("breast and legs off the bone", "drawn", BIRD);
            case FISH -> offTheBone("loins and belly off the frame", "gutted, without its head", FISH);
        };
    }

    private Working offTheBone(String what, String weighed, double share) {
        return new Working(
                "Boneless meat ahead",
                "as weighed, %s, × %.2f = %s; ± 10 %%".formatted(weighed, share, what),
                "as weighed %s, boneless %s".formatted(mass(Math.round(carcassGrams)), mass(Math.round(idealGrams))),
                "Engineering estimate (reference, section 12)");
    }

    private Working hoofed() {
        return new Working(
                "Boneless meat ahead",
                "field-dressed / 1.331 = carcass; × 0.67 = ideal; × 0.70 = realistic, ± 10 %",
                "carcass %s, ideal %s, realistic %s"
                        .formatted(
                                mass(Math.round(carcassGrams)),
                                mass(Math.round(idealGrams)),
                                mass(Math.round(realisticGrams))),
                "Extension bulletins on deer, from memory (reference, section 12)");
    }
}
