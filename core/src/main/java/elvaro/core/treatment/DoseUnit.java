package elvaro.core.treatment;

/**
 * What doses are measured in. The spoons are those of the United States, from the inch: 1 gallon is 231 cubic inches and
 * 768 teaspoons (NIST Handbook 44, appendix C, from memory).
 */
public enum DoseUnit {
    GRAM("g", 1),
    MILLILITRE("mL", 1),
    TEASPOON("tsp", 4.92892159375),
    TABLESPOON("tbsp", 3 * 4.92892159375);

    private final String symbol;
    private final double basic;

    DoseUnit(String symbol, double basic) {
        this.symbol = symbol;
        this.basic = basic;
    }

    /** As it stands behind a number. */
    public String symbol() {
        return symbol;
    }

    /** Whether it measures weight; otherwise it measures volume. */
    public boolean weighs() {
        return this == GRAM;
    }

    /**
     * An amount in another measure.
     *
     * @param amount in this measure
     * @throws IllegalArgumentException if one is a weight and the other a volume: no density is guessed
     */
    public double convert(DoseUnit other, double amount) {
        if (weighs() != other.weighs()) {
            throw new IllegalArgumentException(
                    "%s is not turned into %s: weigh it, or measure it, but the same each time."
                            .formatted(symbol, other.symbol));
        }
        return amount * basic / other.basic;
    }
}
