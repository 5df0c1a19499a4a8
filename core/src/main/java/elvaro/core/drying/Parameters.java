package elvaro.core.drying;

/**
 * What is not known about a piece before it is weighed. 0 is as the estimates say.
 *
 * @param resistance logarithm of a multiplier on everything that resists from the first day: film, surface, membrane, coat
 * @param crust logarithm of a multiplier on the crust's resistivity
 * @param exponent p − 1, where the crust resists by r·M^p
 */
public record Parameters(double resistance, double crust, double exponent) {
    /** As the estimates say. */
    public static final Parameters NONE = new Parameters(0, 0);

    /** With a crust that resists in proportion to the water lost. */
    public Parameters(double resistance, double crust) {
        this(resistance, crust, 0);
    }
}
