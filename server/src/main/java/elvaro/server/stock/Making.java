package elvaro.server.stock;

import elvaro.core.blend.Made.Product;
import elvaro.server.shared.EditedRow;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.envers.Audited;
import org.jspecify.annotations.NullUnmarked;

/** A lot of grind or tallow. What went into it stands among what went out of packs, and beside it what was bought. */
@Entity
@Table(name = "making")
@Audited
@NullUnmarked
class Making extends EditedRow {
    private int number;

    @Enumerated(EnumType.STRING)
    private Product product;

    private int grams;
    private String words;
    private Instant madeAt;
    private UUID accountId;
    private boolean undone;

    protected Making() {}

    Making(UUID id, int number, Product product, Instant at, UUID by) {
        super(id);
        this.number = number;
        this.product = product;
        words = "";
        madeAt = at;
        accountId = by;
    }

    /** What came out of it, and what is to be said. */
    Making weighing(int outGrams, String said) {
        if (outGrams <= 0) {
            throw new IllegalArgumentException("Something came out");
        }
        grams = outGrams;
        words = said.strip();
        return this;
    }

    /** As if it had not been made: what went in is back in its packs. */
    void undo() {
        undone = true;
    }

    boolean isUndone() {
        return undone;
    }

    int number() {
        return number;
    }

    Product product() {
        return product;
    }

    int grams() {
        return grams;
    }

    String words() {
        return words;
    }

    Instant madeAt() {
        return madeAt;
    }

    UUID accountId() {
        return accountId;
    }

    /** As it is called on labels and in lists. */
    String name() {
        String label = product.label();
        return Character.toUpperCase(label.charAt(0)) + label.substring(1) + " " + number;
    }
}
