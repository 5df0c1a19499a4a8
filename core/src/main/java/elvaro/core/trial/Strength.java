package elvaro.core.trial;

/** How much is shown of what was asked. */
public enum Strength {
    /** By chance alone it would come out so in one of twenty at most. */
    SHOWN,
    /** In one of five at most. */
    LEANING,
    NOT_SHOWN,
    /** Nothing was done twice. */
    ANECDOTE;

    public static final double SHOWN_LEVEL = 0.05;
    public static final double LEANING_LEVEL = 0.2;

    /** @param p two-sided, adjusted for what else was asked */
    public static Strength of(double p) {
        return p < SHOWN_LEVEL ? SHOWN : p < LEANING_LEVEL ? LEANING : NOT_SHOWN;
    }
}
