package elvaro.core.cooking;

import elvaro.core.cut.Species;
import java.util.Locale;
import java.util.Optional;

/** The least core temperatures official advice gives. From memory: USDA FSIS, Safe Minimum Internal Temperature Chart. */
public final class LeastCore {
    public static final String FOR_WHOM =
            "Below it, eating is each one's own informed choice, and never for the pregnant,"
                    + " the very young or old, or anybody whose defences are weak. Local law and a licensed practitioner decide.";

    /** For tasters, whom it must not tell what lies before them. */
    public static final String ABOUT_THIS_TABLE = "What is served here is cooked to a core below official advice. "
            + FOR_WHOM
            + " If you are one of them, do not taste; say so to your host.";

    /** Of ground meat, and so of trim with crust in it, °C. */
    public static final double GROUND_CELSIUS = 71;

    private LeastCore() {}

    /** °C. */
    public static double celsius(Species species) {
        return species == Species.WATERFOWL ? 74 : 63;
    }

    /** What to tell the table, where a core is aimed lower than that. */
    public static Optional<String> caution(Species species, double coreCelsius) {
        double least = celsius(species);
        return coreCelsius >= least
                ? Optional.empty()
                : Optional.of(String.format(
                        Locale.ROOT,
                        "%s: official advice is a core of %.0f °C%s; %.1f °C is below it. %s",
                        species.label(),
                        least,
                        species == Species.WATERFOWL || species == Species.SEA_FISH ? "" : " and three minutes' rest",
                        coreCelsius,
                        FOR_WHOM));
    }
}
