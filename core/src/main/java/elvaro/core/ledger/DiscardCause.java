package elvaro.core.ledger;

/** Why meat was thrown away. Common practice, no source. */
public enum DiscardCause {
    CRUST("crust"),
    ROT("rot"),
    MOULD("mould"),
    SMELL("a bad smell"),
    BLOODSHOT("bloodshot meat and glands"),
    SOILED("soiled");

    private final String label;

    DiscardCause(String label) {
        this.label = label;
    }

    /** As it stands in a sentence. */
    public String label() {
        return label;
    }
}
