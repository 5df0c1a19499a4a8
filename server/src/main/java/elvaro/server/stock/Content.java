package elvaro.server.stock;

import elvaro.core.blend.Made.Product;
import elvaro.core.ledger.Stream;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** What is in a pack, and the pile it comes from or what was made. */
public enum Content {
    STEAK("Steaks", Stream.STEAK),
    ROAST("Roast", Stream.STEAK),
    CHOP("Chops", Stream.STEAK),
    SHANK("Cross-cut shanks", Stream.STEAK),
    STEW("Stew meat", Stream.USABLE_TRIM),
    TRIM("Trim for grinding", Stream.USABLE_TRIM, new Grinds(80, 25)),
    FAT("Fat for rendering", Stream.FAT, new Grinds(10, 0)),
    BONE("Bones", Stream.BONE),
    GRIND("Grind", Product.GRIND),
    TALLOW("Tallow", Product.TALLOW),
    JAR("Trim and fat, gathered", Product.JAR);

    /**
     * What goes into a grind, and what it is taken for until somebody says otherwise (common practice, no source).
     *
     * @param crustPercent how much of it is crust: what was trimmed and is good still has a quarter of it (EST)
     */
    record Grinds(int leanPercent, int crustPercent) {}

    private final String label;
    private final @Nullable Stream pile;
    private final @Nullable Product product;
    private final @Nullable Grinds grinds;

    Content(String label, Stream pile) {
        this(label, pile, null);
    }

    Content(String label, Stream pile, @Nullable Grinds grinds) {
        this.label = label;
        this.pile = pile;
        this.grinds = grinds;
        product = null;
    }

    Content(String label, Product product) {
        this.label = label;
        this.product = product;
        pile = null;
        grinds = null;
    }

    public String label() {
        return label;
    }

    /** Empty for what is made of packs. */
    Optional<Stream> pile() {
        return Optional.ofNullable(pile);
    }

    /** Empty for what comes straight from a piece. */
    Optional<Product> product() {
        return Optional.ofNullable(product);
    }

    /** Empty for what does not go into a grind. */
    Optional<Grinds> grinds() {
        return Optional.ofNullable(grinds);
    }

    /** Whether it goes into a grind: a jar is what lies in it. */
    boolean isForGrinding() {
        return grinds != null || this == JAR;
    }

    boolean isGround() {
        return this == TRIM || this == GRIND;
    }
}
