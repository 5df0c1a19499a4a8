package elvaro.core.ledger;

/** The piles a piece is divided into at the bench. */
public enum Stream {
    STEAK("steaks and roasts"),
    USABLE_TRIM("usable trim"),
    FAT("rendering fat"),
    BONE("bone"),
    DISCARD("discard");

    private final String label;

    Stream(String label) {
        this.label = label;
    }

    public String label() {
        return label;
    }
}
