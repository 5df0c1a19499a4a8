package elvaro.core.trial;

/** The ends of an interval, the lower first. */
public record Band(double low, double high) {
    boolean holdsZero() {
        return low <= 0 && high >= 0;
    }
}
