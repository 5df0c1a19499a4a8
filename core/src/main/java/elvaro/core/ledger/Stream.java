package elvaro.core.ledger;

/** The piles a piece is divided into at the bench, each with what follows from lying on it. */
public enum Stream {
    STEAK("steaks and roasts", true, false),
    USABLE_TRIM("usable trim", true, true),
    FAT("rendering fat", true, false),
    BONE("bone", false, false),
    DISCARD("discard", false, true);

    private final String label;
    private final boolean usable;
    private final boolean ofTheCrust;

    Stream(String label, boolean usable, boolean ofTheCrust) {
        this.label = label;
        this.usable = usable;
        this.ofTheCrust = ofTheCrust;
    }

    public String label() {
        return label;
    }

    /** Whether it can be sold or eaten. */
    public boolean isUsable() {
        return usable;
    }

    /** Whether what lies on it was cut away from the outside with the crust. */
    public boolean isOfTheCrust() {
        return ofTheCrust;
    }
}
