package elvaro.core.cut;

import elvaro.core.caution.Caution;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * The animals whose meat is aged here, in the trade's grouping, each with all that follows from it. Least cores: USDA FSIS,
 * Safe Minimum Internal Temperature Chart, from memory. Tenderising: Dransfield, in Lawrie's Meat Science, from memory;
 * venison is taken to be like beef.
 */
public enum Species {
    BEEF("Beef", 63, true, 0.17, false, "strip", List.of()),
    VENISON(
            "Venison and other deer",
            63,
            true,
            0.17,
            true,
            "deer-saddle",
            List.of(Caution.GLOVES, Caution.WASTING, Caution.SHOT)),
    LAMB("Lamb and mutton", 63, true, 0.21, false, "lamb-saddle", List.of()),
    PORK("Pork", 63, true, 0.38, false, "pork-loin", List.of()),
    WATERFOWL("Waterfowl", 74, false, 0, true, "", List.of(Caution.WILDFOWL, Caution.SHOT)),
    SEA_FISH("Large sea fish", 63, false, 0, false, "", List.of(Caution.HISTAMINE, Caution.PARASITES));

    private final String label;
    private final int leastCoreCelsius;
    private final boolean restsAfterCooking;
    private final double tenderising;
    private final boolean game;
    private final String wholeCut;
    private final List<Caution> cautions;

    Species(
            String label,
            int leastCoreCelsius,
            boolean restsAfterCooking,
            double tenderising,
            boolean game,
            String wholeCut,
            List<Caution> cautions) {
        this.label = label;
        this.leastCoreCelsius = leastCoreCelsius;
        this.restsAfterCooking = restsAfterCooking;
        this.tenderising = tenderising;
        this.game = game;
        this.wholeCut = wholeCut;
        this.cautions = cautions;
    }

    public String label() {
        return label;
    }

    /** The least core official advice gives for whole cuts of it, °C. */
    public int leastCoreCelsius() {
        return leastCoreCelsius;
    }

    /** Whether that advice asks for three minutes' rest besides. */
    public boolean restsAfterCooking() {
        return restsAfterCooking;
    }

    /** How fast ageing makes it tender at 1 °C, 1/day; empty where nothing is to be gained. */
    public OptionalDouble tenderising() {
        return tenderising == 0 ? OptionalDouble.empty() : OptionalDouble.of(tenderising);
    }

    /** Whether it was shot, so that shot, glands and bloodshot meat are looked for. */
    public boolean isGame() {
        return game;
    }

    /** The code of a whole muscle to age instead of a small piece; empty where there is none. */
    public Optional<String> wholeCut() {
        return wholeCut.isEmpty() ? Optional.empty() : Optional.of(wholeCut);
    }

    /** What can hurt, the gravest first. */
    public List<Caution> cautions() {
        return cautions;
    }
}
