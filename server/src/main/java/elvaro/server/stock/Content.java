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
    TRIM("Trim for grinding", Stream.USABLE_TRIM),
    FAT("Fat for rendering", Stream.FAT),
    BONE("Bones", Stream.BONE),
    GRIND("Grind", Product.GRIND),
    TALLOW("Tallow", Product.TALLOW);

    private final String label;
    private final @Nullable Stream pile;
    private final @Nullable Product product;

    Content(String label, Stream pile) {
        this.label = label;
        this.pile = pile;
        product = null;
    }

    Content(String label, Product product) {
        this.label = label;
        this.product = product;
        pile = null;
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

    boolean isGround() {
        return this == TRIM || this == GRIND;
    }
}
