package elvaro.core.tasting;

/** What a taster is asked. */
public enum TastingKind {
    /** Two samples: which do you like more? */
    PAIRED("Which of two is liked more", 2, 2, 2),
    /** Three servings, two of one sample: which is the odd one? */
    TRIANGLE("Whether a difference is noticed: find the odd one of three", 2, 2, 3),
    /** Three to six samples, from best to worst. */
    RANKING("Three to six put in order", 3, 6, 0),
    /** Each by itself, on scales. */
    SCORES("Each scored by itself", 2, 6, 0);

    private final String label;
    private final int fewest;
    private final int most;
    private final int servings;

    TastingKind(String label, int fewest, int most, int servings) {
        this.label = label;
        this.fewest = fewest;
        this.most = most;
        this.servings = servings;
    }

    public String label() {
        return label;
    }

    /** Samples it takes at least. */
    public int fewest() {
        return fewest;
    }

    /** Samples it takes at most. */
    public int most() {
        return most;
    }

    /** What stands before a taster in one round. */
    public int servings(int samples) {
        return servings == 0 ? samples : servings;
    }

    /** The odd one is looked for without thinking of how it tastes (ISO 4120); everything else may be scored as well. */
    public boolean maySayScores() {
        return this != TRIANGLE;
    }

    public boolean mustSayScores() {
        return this == SCORES;
    }
}
