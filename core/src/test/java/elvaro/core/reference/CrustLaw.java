package elvaro.core.reference;

/**
 * The linear–parabolic law: water leaves through a constant resistance and a crust that grows with what has left.
 *
 * <p>M = (−R₀ + √(R₀² + 2 r Δp t))/r, the closed form of the drying model in constant air with the approach to the
 * equilibrium weight left out (reference, section 3).
 *
 * @param resistance R₀, film, surface, membrane and coat together, Pa·d·m²/kg, above 0
 * @param crustResistivity r, Pa·d·m⁴/kg², above 0
 */
record CrustLaw(double resistance, double crustResistivity) {
    /** r of the reference, EST. */
    public static final double CRUST_RESISTIVITY = 100;

    public CrustLaw {
        if (!(resistance > 0) || !(crustResistivity > 0)) {
            throw new IllegalArgumentException("Resistances must be above 0");
        }
    }

    /**
     * Water lost per surface.
     *
     * @param pascal the vapour pressure difference Δp from the surface to the air, Pa; below 0 counts as 0
     * @param days t, 0 or more
     * @return M, kg/m²
     */
    public double lostPerSquareMetre(double pascal, double days) {
        double drive = Math.max(0, pascal);
        return (-resistance + Math.sqrt(resistance * resistance + 2 * crustResistivity * drive * days))
                / crustResistivity;
    }
}
