package elvaro.core.air;

/** Water vapour over liquid water. Alduchov &amp; Eskridge 1996, J. Appl. Meteorol. 35 (Magnus form). */
public final class Vapour {
    private static final double P0 = 610.94;
    private static final double A = 17.625;
    private static final double B = 243.04;

    private Vapour() {}

    /**
     * Saturation pressure p_s = 610.94·exp(17.625 T/(243.04 + T)).
     *
     * @param celsius T, −40 to 50 °C
     * @return Pa
     * @throws IllegalArgumentException outside the range of the formula
     */
    public static double saturationPascal(double celsius) {
        if (!(celsius >= -40 && celsius <= 50)) {
            throw new IllegalArgumentException("The formula holds from −40 to 50 °C, not at " + celsius);
        }
        return P0 * Math.exp(A * celsius / (B + celsius));
    }

    /**
     * Slope Δ = dp_s/dT of the saturation pressure, the derivative of the formula above.
     *
     * @param celsius T, −40 to 50 °C
     * @return Pa/K
     */
    public static double slopePascalPerKelvin(double celsius) {
        double sum = B + celsius;
        return saturationPascal(celsius) * A * B / (sum * sum);
    }

    /**
     * The temperature at which air of this vapour pressure is saturated: the formula above, inverted.
     *
     * @param pascal vapour pressure, above 0 Pa
     * @return °C
     */
    public static double dewPointCelsius(double pascal) {
        if (!(pascal > 0)) {
            throw new IllegalArgumentException("A dew point needs a vapour pressure above 0 Pa");
        }
        double logarithm = Math.log(pascal / P0);
        return B * logarithm / (A - logarithm);
    }
}
