package elvaro.core.cooking;

import java.util.OptionalDouble;

/**
 * How heat is given. Films and usual fires of oven, grill and pan are estimates (EST) that give what cooks say of steaks: 25 mm
 * on a grill or in a pan in 8 to 10 minutes, 30 mm in an oven at 175 °C in some 19; their bands are wide.
 */
public enum Heat {
    BATH("Water bath, then seared", Slab.BATH_FILM, OptionalDouble.empty(), 0.1),
    /** Both faces by turns, so each has half of what a hot pan gives. */
    PAN("Pan", 45, OptionalDouble.of(200), 0.3),
    GRILL("Grill", 40, OptionalDouble.of(250), 0.3),
    OVEN("Oven, then seared", 25, OptionalDouble.of(175), 0.25);

    /** A bath is set so far above the core that is wanted, and its core is done half a degree below it. */
    private static final double BATH_ABOVE = 0.5;

    private final String label;
    private final double film;
    private final OptionalDouble usualFire;
    private final double doubt;

    Heat(String label, double film, OptionalDouble usualFire, double doubt) {
        this.label = label;
        this.film = film;
        this.usualFire = usualFire;
        this.doubt = doubt;
    }

    public String label() {
        return label;
    }

    /** W/m²K. */
    double film() {
        return film;
    }

    /** What the time may be off by, as a share of it. */
    double doubt() {
        return doubt;
    }

    /**
     * What heats it.
     *
     * @param said of oven, grill or pan, where somebody said
     * @return °C
     */
    public double fire(OptionalDouble said, double coreCelsius) {
        return this == BATH ? coreCelsius + BATH_ABOVE : said.orElseGet(usualFire::getAsDouble);
    }
}
