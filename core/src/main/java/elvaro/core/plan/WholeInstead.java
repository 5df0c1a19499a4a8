package elvaro.core.plan;

import static elvaro.core.working.Quantity.mass;
import static elvaro.core.working.Quantity.share;
import static elvaro.core.working.Quantity.surface;

import elvaro.core.air.Climate;
import elvaro.core.cut.Cut;
import elvaro.core.cut.CutCatalogue;
import elvaro.core.cut.SurfaceClass;
import elvaro.core.drying.Hanging;
import elvaro.core.drying.Parameters;
import elvaro.core.drying.Surface;
import java.util.Optional;

/** Why a small piece loses so much, and what a whole one would lose in the same air: one sentence. */
public final class WholeInstead {
    /** Below this a piece is small for ageing (EST). */
    private static final int SMALL_GRAMS = 1500;

    private WholeInstead() {}

    /**
     * @param cut what is planned
     * @param hanging the small piece
     * @param climate its air
     * @param day the day it is pulled
     * @return empty where the piece is no small one, or its animal has no larger cut that is aged
     */
    public static Optional<String> sentence(Cut cut, Hanging hanging, Climate climate, int day) {
        boolean small = cut.surface() == SurfaceClass.SINGLE_STEAK || hanging.greenGrams() < SMALL_GRAMS;
        return !small
                ? Optional.empty()
                : cut.species().wholeCut().map(CutCatalogue::get).map(larger -> compare(larger, hanging, climate, day));
    }

    private static String compare(Cut larger, Hanging hanging, Climate climate, int day) {
        int grams = (larger.leastGrams() + larger.mostGrams()) / 2 / 100 * 100;
        Surface surface = Surface.of(larger.surface(), grams, 0, false);
        Hanging whole = new Hanging(grams, surface, false, hanging.method(), hanging.coating(), hanging.contact());
        double lost = hanging.dryingIn(climate).on(day, Parameters.NONE).fraction();
        double wholeLost = whole.dryingIn(climate).on(day, Parameters.NONE).fraction();
        double perKg = hanging.surface().squareMetres() * 1e7 / hanging.greenGrams();
        double wholePerKg = surface.squareMetres() * 1e7 / grams;
        return ("It is small: it shows the air %s, a whole %s of %s only %s. In the same air"
                        + " that would lose %s by day %d instead of %s.")
                .formatted(
                        surface(perKg),
                        larger.name().toLowerCase(java.util.Locale.ROOT),
                        mass(grams),
                        surface(wholePerKg),
                        share(wholeLost),
                        day,
                        share(lost));
    }
}
