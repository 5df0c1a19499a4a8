package elvaro.core.blend;

/**
 * A batch of grind.
 *
 * @param grams of the batch, above 0
 * @param lean share, 0–1
 * @param mostCrust share of the batch, 0–1
 * @param mostAgedFat share of the batch, 0–1
 */
public record Wanted(int grams, double lean, double mostCrust, double mostAgedFat) {
    /** Crust is strong: a small share only. Common practice, no source. */
    public static final double USUAL_CRUST = 0.05;

    public Wanted {
        boolean shares =
                lean >= 0 && lean <= 1 && mostCrust >= 0 && mostCrust <= 1 && mostAgedFat >= 0 && mostAgedFat <= 1;
        if (grams <= 0 || !shares) {
            throw new IllegalArgumentException("A batch weighs something, and shares lie between 0 and 1.");
        }
    }
}
