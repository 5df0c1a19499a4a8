package elvaro.core.blend;

import static elvaro.core.working.Quantity.mass;

import elvaro.core.estimate.Estimates;
import elvaro.core.question.Question;
import elvaro.core.working.Quantity;
import java.util.Optional;

/**
 * What came out of grinding or rendering. Mass balance; the limits are engineering estimates (EST) and only ask.
 *
 * @param product what was made
 * @param in what went in, g, above 0
 * @param out what came out, g, above 0
 */
public record Made(Product product, int in, int out) {

    /** What is made of trim and fat. */
    public enum Product {
        GRIND("grind", 0.96, 1),
        TALLOW("tallow", 0.5, 0.92),
        /** Trim and fat of several pieces gathered in one container, nothing done to it. */
        JAR("jar", 0.97, 1);

        private final String label;
        private final double least;
        private final double most;

        Product(String label, double least, double most) {
            this.label = label;
            this.least = least;
            this.most = most;
        }

        public String label() {
            return label;
        }
    }

    public Made {
        if (in <= 0 || out <= 0) {
            throw new IllegalArgumentException("Something goes in, and something comes out");
        }
    }

    /** What is to be expected of so much fat, g. */
    public static int expected(Product product, int in) {
        return product != Product.TALLOW ? in : (int) Math.round(in * Estimates.TALLOW_SHARE);
    }

    /** Share of what went in. */
    public double share() {
        return (double) out / in;
    }

    /** Whether more came out than went in by more than the scale explains: nothing comes of nothing. */
    public boolean isImpossible(int divisionGrams, int weighings) {
        return out > in + 2 * divisionGrams * weighings;
    }

    /** What to ask before it is kept. */
    public Optional<Question> question() {
        if (share() >= product.least && share() <= product.most) {
            return Optional.empty();
        }
        return Optional.of(Question.confirm(
                "yield",
                "grams",
                "%s of %s is %s; %s to %s is usual. Is everything on the scale, and was the container tared?"
                        .formatted(
                                mass(out),
                                mass(in),
                                Quantity.share(share()),
                                Quantity.share(product.least),
                                Quantity.share(product.most))));
    }
}
