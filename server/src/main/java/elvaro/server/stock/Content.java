package elvaro.server.stock;

import elvaro.core.ledger.Stream;

/** What is in a pack, and the pile it comes from. */
public enum Content {
    STEAK("Steaks", Stream.STEAK),
    ROAST("Roast", Stream.STEAK),
    TRIM("Trim for grinding", Stream.USABLE_TRIM),
    FAT("Fat for rendering", Stream.FAT),
    BONE("Bones", Stream.BONE);

    private final String label;
    private final Stream pile;

    Content(String label, Stream pile) {
        this.label = label;
        this.pile = pile;
    }

    public String label() {
        return label;
    }

    Stream pile() {
        return pile;
    }
}
