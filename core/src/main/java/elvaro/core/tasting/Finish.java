package elvaro.core.tasting;

/** What was put on a sample at the table. A sample is a piece and its finish. */
public enum Finish {
    NOTHING("nothing on it"),
    BUTTER("flavour butter"),
    SAUCE("sauce"),
    SALT("finishing salt"),
    OTHER("something else");

    private final String label;

    Finish(String label) {
        this.label = label;
    }

    /** As it stands in a sentence. */
    public String label() {
        return label;
    }

    /** A thing with it: {@code Plain with flavour butter}; itself where nothing was put on. */
    public String on(String thing) {
        return this == NOTHING ? thing : "%s with %s".formatted(thing, label);
    }
}
