package elvaro.server.stock;

import elvaro.server.shared.WorkshopRow;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Table;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Optional;
import java.util.UUID;
import org.hibernate.annotations.Immutable;
import org.jspecify.annotations.NullUnmarked;

/** A pack as it was made. Written once; what is left of it follows from what went out. */
@Entity
@Immutable
@Table(name = "pack")
@NullUnmarked
class Pack extends WorkshopRow {
    private int number;
    private UUID pieceId;

    @Enumerated(EnumType.STRING)
    private Content content;

    private int grams;

    @Enumerated(EnumType.STRING)
    private Wrap wrap;

    @Enumerated(EnumType.STRING)
    private Keeping keeping;

    private LocalDate packedOn;
    private LocalDate useBy;
    private String place;
    private UUID accountId;
    private Instant enteredAt;

    protected Pack() {}

    Pack(PackForm form, int number, UUID pieceId, UUID by, Instant at) {
        super(form.id());
        this.number = number;
        this.pieceId = pieceId;
        content = form.content();
        grams = form.grams();
        wrap = form.wrap();
        keeping = form.keeping();
        packedOn = form.packedOn();
        useBy = form.useBy();
        place = form.place().strip();
        accountId = by;
        enteredAt = at;
    }

    int number() {
        return number;
    }

    UUID pieceId() {
        return pieceId;
    }

    Content content() {
        return content;
    }

    int grams() {
        return grams;
    }

    Wrap wrap() {
        return wrap;
    }

    Keeping keeping() {
        return keeping;
    }

    LocalDate packedOn() {
        return packedOn;
    }

    /** Absent where the workshop has no rule and nobody said. */
    Optional<LocalDate> useBy() {
        return Optional.ofNullable(useBy);
    }

    String place() {
        return place;
    }

    UUID accountId() {
        return accountId;
    }
}
