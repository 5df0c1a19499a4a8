package elvaro.server.stock;

/** What a pack is wrapped in. */
public enum Wrap {
    VACUUM("vacuum"),
    WRAPPED("wrapped");

    private final String label;

    Wrap(String label) {
        this.label = label;
    }

    public String label() {
        return label;
    }
}
