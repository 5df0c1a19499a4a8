package elvaro.core.drying;

import java.util.List;

/**
 * Days on which a membrane let air in: its resistance is then none. Reference section 3.
 *
 * @param from day counted from the hanging, 0 or more
 * @param to later than {@code from}; infinite while it still leaks
 */
public record Leak(double from, double to) {
    public Leak {
        if (!(from >= 0 && to > from)) {
            throw new IllegalArgumentException("A leak begins on day 0 or later, and before it ends");
        }
    }

    static boolean on(double day, List<Leak> leaks) {
        return leaks.stream().anyMatch(leak -> day >= leak.from && day < leak.to);
    }

    /** The last day on which anything changes, 0 if nothing does. */
    static double settledFrom(List<Leak> leaks) {
        return leaks.stream()
                .mapToDouble(leak -> Double.isInfinite(leak.to) ? leak.from : leak.to)
                .max()
                .orElse(0);
    }
}
