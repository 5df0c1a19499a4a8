package elvaro.core.tasting;

import java.util.List;

/** How often a taster says what the others say, or the same twice. */
public record Agreement(int agreed, int of) {
    public static final Agreement NONE = new Agreement(0, 0);

    /**
     * With the majority of the others.
     *
     * @param own 1, −1 or 0 for neither
     * @param others likewise
     */
    public static Agreement of(int own, List<Integer> others) {
        int majority =
                Integer.signum(others.stream().mapToInt(Integer::intValue).sum());
        return own == 0 || majority == 0 ? NONE : new Agreement(own == majority ? 1 : 0, 1);
    }

    public Agreement plus(Agreement other) {
        return new Agreement(agreed + other.agreed, of + other.of);
    }
}
