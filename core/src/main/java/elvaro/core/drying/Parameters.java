package elvaro.core.drying;

/**
 * What is not known about a piece before it is weighed: natural logarithms of multipliers. 0 is as the estimates say.
 *
 * @param resistance on everything that resists from the first day: film, surface, membrane, coat
 * @param crust on the crust's resistivity
 */
public record Parameters(double resistance, double crust) {
    /** As the estimates say. */
    public static final Parameters NONE = new Parameters(0, 0);
}
