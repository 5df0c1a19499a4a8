package elvaro.core.treatment;

import java.util.List;

/**
 * A mixture of a workshop's own, in parts by weight.
 *
 * @param parts one or more
 */
public record Recipe(List<Ingredient> parts) {
    private static final double GRAMS_PER_KG = 1000;

    /**
     * One thing in it.
     *
     * @param parts how many parts of it by weight, above 0
     * @param priceMinorPerKg what a kilogram of it cost, minor units; 0 where nobody counts it
     */
    public record Ingredient(String name, double parts, int priceMinorPerKg) {
        /** @throws IllegalArgumentException if it is no part; the sentence says why */
        public Ingredient {
            if (name.isBlank()) {
                throw new IllegalArgumentException("Every part has a name.");
            }
            if (!(parts > 0) || !Double.isFinite(parts) || priceMinorPerKg < 0) {
                throw new IllegalArgumentException("%s: parts are above 0, a price is 0 or more.".formatted(name));
            }
        }
    }

    /**
     * What is weighed out of one part.
     *
     * @param costMinor of it, minor units
     */
    public record Amount(String name, double grams, double costMinor) {}

    /** @throws IllegalArgumentException if there is nothing in it */
    public Recipe {
        if (parts.isEmpty()) {
            throw new IllegalArgumentException("A recipe has one part at least.");
        }
        parts = List.copyOf(parts);
    }

    /**
     * Scaled.
     *
     * @param grams of the whole mixture, above 0
     */
    public List<Amount> amounts(double grams) {
        double all = parts.stream().mapToDouble(Ingredient::parts).sum();
        return parts.stream()
                .map(part -> {
                    double share = grams * part.parts() / all;
                    return new Amount(part.name(), share, share / GRAMS_PER_KG * part.priceMinorPerKg());
                })
                .toList();
    }

    /** What so many grams of it cost, minor units. */
    public double cost(double grams) {
        return amounts(grams).stream().mapToDouble(Amount::costMinor).sum();
    }
}
