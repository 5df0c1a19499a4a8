package elvaro.server.tasting;

import elvaro.server.shared.WorkshopRow;
import jakarta.persistence.Entity;
import jakarta.persistence.FetchType;
import jakarta.persistence.JoinColumn;
import jakarta.persistence.ManyToOne;
import jakarta.persistence.Table;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.NullUnmarked;
import org.jspecify.annotations.Nullable;

/** A taster's place at one table, with the token of the phone that answers there. */
@Entity
@Table(name = "tasting_place")
@NullUnmarked
class TastingPlace extends WorkshopRow {
    private UUID tastingId;
    private int position;

    @ManyToOne(fetch = FetchType.LAZY)
    @JoinColumn(name = "taster_id")
    private Taster taster;

    private String token;

    protected TastingPlace() {}

    TastingPlace(UUID id, UUID tastingId, int position, Taster taster, @Nullable String token) {
        super(id);
        this.tastingId = tastingId;
        this.position = position;
        this.taster = taster;
        this.token = token;
    }

    UUID tastingId() {
        return tastingId;
    }

    int position() {
        return position;
    }

    Taster taster() {
        return taster;
    }

    /** Absent once the tasting is over. */
    Optional<String> token() {
        return Optional.ofNullable(token);
    }
}
