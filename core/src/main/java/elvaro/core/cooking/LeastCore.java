package elvaro.core.cooking;

import static elvaro.core.working.Quantity.temperature;

import elvaro.core.caution.Caution;
import elvaro.core.cut.Species;
import java.util.Optional;

/** The least core temperatures official advice gives. From memory: USDA FSIS, Safe Minimum Internal Temperature Chart. */
public final class LeastCore {
    public static final String FOR_WHOM =
            "Below it, eating is each one's own informed choice, and never for the pregnant,"
                    + " the very young or old, or anybody whose defences are weak.";

    /** For tasters, whom it must not tell what lies before them. */
    public static final String ABOUT_THIS_TABLE = "What is served here is cooked to a core below official advice. "
            + FOR_WHOM
            + " If you are one of them, do not taste; say so to your host. "
            + Caution.LAW;

    private LeastCore() {}

    /** What to tell the table, where a core is aimed lower than that. */
    public static Optional<String> caution(Species species, double coreCelsius) {
        int least = species.leastCoreCelsius();
        return coreCelsius >= least
                ? Optional.empty()
                : Optional.of("%s: official advice is a core of %s%s; %s is below it. %s"
                        .formatted(
                                species.label(),
                                temperature(least),
                                species.restsAfterCooking() ? " and three minutes' rest" : "",
                                temperature(coreCelsius),
                                FOR_WHOM));
    }
}
