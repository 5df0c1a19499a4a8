package elvaro.server.stock;

/** How a pack is kept. */
public enum Keeping {
    CHILLED("chilled"),
    FROZEN("frozen");

    private final String label;

    Keeping(String label) {
        this.label = label;
    }

    public String label() {
        return label;
    }
}
