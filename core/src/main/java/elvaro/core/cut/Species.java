package elvaro.core.cut;

/** The animals whose meat is aged here, in the trade's grouping. */
public enum Species {
    BEEF("Beef"),
    VENISON("Venison and other deer"),
    LAMB("Lamb and mutton"),
    PORK("Pork"),
    WATERFOWL("Waterfowl"),
    SEA_FISH("Large sea fish");

    private final String label;

    Species(String label) {
        this.label = label;
    }

    public String label() {
        return label;
    }
}
