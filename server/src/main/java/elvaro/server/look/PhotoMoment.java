package elvaro.server.look;

/** What a picture shows, in the order of a piece's life. */
public enum PhotoMoment {
    AS_HUNG("as hung"),
    HANGING(""),
    /** Goes with a look, which says what was seen. */
    LOOK("a look"),
    PULLED("at the pull"),
    CUT_FACE("the cut face"),
    STEAKS("the steaks"),
    PLATE("on the plate"),
    OTHER("");

    private final String label;

    PhotoMoment(String label) {
        this.label = label;
    }

    /** As it stands under a picture; empty where there is nothing to say. */
    public String label() {
        return label;
    }
}
