package elvaro.core.treatment;

/**
 * How much of a treatment a piece gets.
 *
 * @param amount above 0, of the measure for each unit of the basis
 */
public record Dose(double amount, DoseUnit measure, Basis basis) {
    /** More than this many times the dose on the label is asked about. Common practice, no source. */
    public static final double LABEL_TIMES = 3;

    private static final double GRAMS_PER_KG = 1000;
    private static final double GRAMS_PER_POUND = 453.59237;

    /** What the amount is for. */
    public enum Basis {
        KILOGRAM("per kg green weight"),
        FIVE_POUNDS("per 5 lb green weight"),
        PERCENT("% of green weight"),
        SQUARE_METRE("per m² of surface"),
        /** All of a bottle, or so many spoons. */
        PIECE("on the whole piece");

        private final String label;

        Basis(String label) {
            this.label = label;
        }

        public String label() {
            return label;
        }

        private double units(int grams, double squareMetres) {
            return switch (this) {
                case KILOGRAM -> grams / GRAMS_PER_KG;
                case FIVE_POUNDS -> grams / (5 * GRAMS_PER_POUND);
                case PERCENT -> grams / 100.0;
                case SQUARE_METRE -> squareMetres;
                case PIECE -> 1;
            };
        }
    }

    /** @throws IllegalArgumentException if it is no dose; the sentence says why */
    public Dose {
        if (!(amount > 0) || !Double.isFinite(amount)) {
            throw new IllegalArgumentException("A dose is above 0.");
        }
        if (basis == Basis.PERCENT && (!measure.weighs() || amount > 100)) {
            throw new IllegalArgumentException("A percentage of the weight is weighed in grams, at most 100 %.");
        }
    }

    /**
     * A guess made a dose afterwards: what was in the bottle, and what is left of it.
     *
     * @param full in the measure, before
     * @param left after, less than before
     * @param grams green weight of all it was put on, above 0
     * @throws IllegalArgumentException if nothing was used; the sentence says so
     */
    public static Dose used(double full, double left, DoseUnit measure, int grams) {
        if (!(left >= 0) || !(full > left)) {
            throw new IllegalArgumentException("More was in it before than is left now.");
        }
        return new Dose((full - left) / (grams / GRAMS_PER_KG), measure, Basis.KILOGRAM);
    }

    /**
     * @param grams green weight, above 0
     * @param squareMetres surface, above 0; of no matter to doses by weight
     * @return the whole amount, in the measure of the dose
     */
    public double forPiece(int grams, double squareMetres) {
        return amount * basis.units(grams, squareMetres);
    }

    /**
     * How many times another dose this is, on a given piece.
     *
     * @throws IllegalArgumentException if one is weighed and the other measured
     */
    public double times(Dose label, int grams, double squareMetres) {
        return measure.convert(label.measure, forPiece(grams, squareMetres)) / label.forPiece(grams, squareMetres);
    }

    /** As it stands on a label, {@code 22 g per kg green weight}; whole doses without a point. */
    public String words() {
        String figure = amount == Math.rint(amount) ? String.valueOf((long) amount) : String.valueOf(amount);
        return basis == Basis.PERCENT
                ? figure + " " + basis.label()
                : "%s %s %s".formatted(figure, measure.symbol(), basis.label());
    }
}
