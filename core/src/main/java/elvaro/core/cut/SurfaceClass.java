package elvaro.core.cut;

/**
 * How much surface a piece shows the air for its weight.
 *
 * <p>Surface A = c·(m/1060)^⅔ in m², m in kg, 1060 kg/m³ the density of lean meat. The coefficients c are engineering
 * estimates (EST) of the project's reference, section 3; the fish takes that of a long subprimal for want of a better
 * one.
 */
public enum SurfaceClass {
    COMPACT_ROAST(5.6),
    LONG_SUBPRIMAL(6.5),
    FLAT_CUT(8.0),
    SINGLE_STEAK(7.0),
    WHOLE_BIRD(6.0),
    QUARTER_OR_SADDLE(7.0),
    WHOLE_FISH(6.5);

    /** Density of lean meat, kg/m³. */
    public static final double LEAN_DENSITY = 1060;

    private final double coefficient;

    SurfaceClass(double coefficient) {
        this.coefficient = coefficient;
    }

    /**
     * Outer surface of a piece.
     *
     * @param grams weight, more than 0
     * @return m²
     * @throws IllegalArgumentException if the weight is not positive
     */
    public double squareMetres(int grams) {
        if (grams <= 0) {
            throw new IllegalArgumentException("A surface needs a weight above 0 g, not " + grams);
        }
        return coefficient * Math.pow(grams / 1000.0 / LEAN_DENSITY, 2.0 / 3.0);
    }
}
