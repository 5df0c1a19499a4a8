package elvaro.server.stock;

import elvaro.server.shared.Chained;
import elvaro.server.shared.WorkshopRow;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.util.UUID;
import org.hibernate.annotations.Immutable;
import org.jspecify.annotations.NullUnmarked;

/** Meat bought for a grind, and how much of it went in. */
@Entity
@Immutable
@Chained("bought making")
@Table(name = "making_bought")
@NullUnmarked
class MakingBought extends WorkshopRow {
    private UUID makingId;
    private String name;
    private int grams;
    private int priceMinorPerKg;

    protected MakingBought() {}

    MakingBought(UUID id, UUID makingId, String name, int grams, int priceMinorPerKg) {
        super(id);
        this.makingId = makingId;
        this.name = name.strip();
        this.grams = grams;
        this.priceMinorPerKg = priceMinorPerKg;
    }

    UUID makingId() {
        return makingId;
    }

    String name() {
        return name;
    }

    int grams() {
        return grams;
    }

    int priceMinorPerKg() {
        return priceMinorPerKg;
    }
}
