package elvaro.server.stock;

/** What a pack, or part of it, was taken out for. */
public enum WithdrawalPurpose {
    SALE("sold"),
    TABLE("eaten here"),
    TASTING("tasted"),
    GRIND("ground"),
    RENDER("rendered"),
    GATHER("gathered"),
    CLEAN("cleaned"),
    DISCARD("thrown away");

    private final String label;

    WithdrawalPurpose(String label) {
        this.label = label;
    }

    public String label() {
        return label;
    }
}
