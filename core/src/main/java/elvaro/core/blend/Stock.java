package elvaro.core.blend;

/**
 * Something to grind.
 *
 * @param grams there is, 0 or more
 * @param minorPerKg what it is worth, minor units of the currency, 0 or more
 * @param lean share that is lean, 0–1; the rest is fat
 * @param crust share that is aged crust, 0–1
 * @param aged whether its fat was aged, and tastes of it
 */
public record Stock(String name, int grams, double minorPerKg, double lean, double crust, boolean aged) {
    public Stock {
        if (grams < 0 || minorPerKg < 0 || lean < 0 || lean > 1 || crust < 0 || crust > 1) {
            throw new IllegalArgumentException("Weights and prices are not negative, shares lie between 0 and 1.");
        }
    }

    double agedFat() {
        return aged ? 1 - lean : 0;
    }
}
