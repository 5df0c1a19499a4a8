package elvaro.core.plan;

import static elvaro.core.working.Quantity.limit;
import static elvaro.core.working.Quantity.share;
import static elvaro.core.working.Quantity.surface;

import elvaro.core.air.Climate;
import elvaro.core.cut.Cut;
import elvaro.core.cut.CutCatalogue;
import elvaro.core.cut.SurfaceClass;
import elvaro.core.drying.Hanging;
import elvaro.core.drying.Parameters;
import elvaro.core.drying.Surface;
import elvaro.core.yield.TrimModel;
import java.util.Locale;
import java.util.Optional;

/** How little a small piece keeps, and what a whole one would keep in the same air: one sentence. */
public final class WholeInstead {
    /** Below this a piece is small for ageing (EST). */
    private static final int SMALL_GRAMS = 1500;

    private WholeInstead() {}

    /**
     * @param cut what is planned
     * @param small how the small piece would be cut
     * @param climate its air
     * @param day the day it is pulled
     * @return empty where the piece is no small one, or its animal has no larger cut that is aged
     */
    public static Optional<String> sentence(Cut cut, TrimModel small, Climate climate, int day) {
        boolean isSmall =
                cut.surface() == SurfaceClass.SINGLE_STEAK || small.hanging().greenGrams() < SMALL_GRAMS;
        return !isSmall
                ? Optional.empty()
                : cut.species().wholeCut().map(CutCatalogue::get).map(larger -> compare(larger, small, climate, day));
    }

    private static String compare(Cut larger, TrimModel small, Climate climate, int day) {
        Hanging hanging = small.hanging();
        int grams = (larger.leastGrams() + larger.mostGrams()) / 2 / 100 * 100;
        Surface surface = Surface.of(larger.surface(), grams, 0, false);
        TrimModel whole = TrimModel.of(
                larger,
                new Hanging(grams, surface, false, hanging.method(), hanging.coating(), hanging.contact()),
                0,
                small.order());
        return ("It is small: of it %s is kept as steak by day %d, of a whole %s of %s in the same air %s. It shows"
                        + " the air %s, the whole one only %s.")
                .formatted(
                        share(kept(small, climate, day)),
                        day,
                        larger.name().toLowerCase(Locale.ROOT),
                        limit(grams),
                        share(kept(whole, climate, day)),
                        surface(perKg(hanging)),
                        surface(perKg(whole.hanging())));
    }

    private static double kept(TrimModel piece, Climate climate, int day) {
        double lost = piece.hanging().dryingIn(climate).on(day, Parameters.NONE).fraction();
        return piece.after(lost).steak();
    }

    /** cm² a kg. */
    private static double perKg(Hanging hanging) {
        return hanging.surface().squareMetres() * 1e7 / hanging.greenGrams();
    }
}
