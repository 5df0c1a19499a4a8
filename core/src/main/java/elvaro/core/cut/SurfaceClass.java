package elvaro.core.cut;

/**
 * How much surface a piece shows the air for its weight.
 *
 * <p>Surface A = c·(m/1060)^⅔ in m², m in kg, 1060 kg/m³ the density of lean meat. The coefficients c are engineering
 * estimates (EST) of the project's reference, section 3; the fish takes that of a long subprimal for want of a better
 * one.
 */
public enum SurfaceClass {
    COMPACT_ROAST(5.6, 0.75),
    LONG_SUBPRIMAL(6.5, 0.45),
    FLAT_CUT(8.0, 0.4),
    SINGLE_STEAK(7.0, 1.8),
    WHOLE_BIRD(6.0, 0.75),
    QUARTER_OR_SADDLE(7.0, 0.75),
    WHOLE_FISH(6.5, 0.45);

    /** Density of lean meat, kg/m³. */
    public static final double LEAN_DENSITY = 1060;

    private final double coefficient;
    private final double faceShare;

    /** @param faceShare cross-section over volume to the two thirds (EST) */
    SurfaceClass(double coefficient, double faceShare) {
        this.coefficient = coefficient;
        this.faceShare = faceShare;
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

    /** What a knife across a piece of this class lays bare, m². */
    double face(int grams) {
        return faceShare * Math.pow(grams / 1000.0 / LEAN_DENSITY, 2.0 / 3.0);
    }
}
