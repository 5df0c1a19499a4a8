package elvaro.server.stock;

import elvaro.server.shared.Chained;
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
import org.jspecify.annotations.Nullable;

/** A pack as it was made. Written once; what is left of it follows from what went out. */
@Entity
@Immutable
@Chained("pack")
@Table(name = "pack")
@NullUnmarked
class Pack extends WorkshopRow {
    private int number;
    private UUID pieceId;
    private UUID makingId;

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
    private String name;
    private boolean toClean;
    private UUID accountId;
    private Instant enteredAt;

    protected Pack() {}

    Pack(PackForm form, int number, Origin from, UUID by, Instant at) {
        super(form.id());
        this.number = number;
        pieceId = from.pieceId();
        makingId = from.makingId();
        content = form.content();
        grams = form.grams();
        wrap = form.wrap();
        keeping = form.keeping();
        packedOn = form.packedOn();
        useBy = form.useBy();
        place = form.place().strip();
        name = form.name() == null || form.name().isBlank() ? null : form.name().strip();
        toClean = form.isToClean();
        accountId = by;
        enteredAt = at;
    }

    int number() {
        return number;
    }

    /**
     * What is in a pack comes from a piece or from something made.
     *
     * @param pieceId absent for what was made
     * @param makingId absent for what comes straight from a piece
     */
    record Origin(@Nullable UUID pieceId, @Nullable UUID makingId) {
        static Origin piece(UUID id) {
            return new Origin(id, null);
        }

        static Origin making(UUID id) {
            return new Origin(null, id);
        }
    }

    Optional<UUID> pieceId() {
        return Optional.ofNullable(pieceId);
    }

    Optional<UUID> makingId() {
        return Optional.ofNullable(makingId);
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

    /** The house's own for what is in it. */
    Optional<String> name() {
        return Optional.ofNullable(name);
    }

    /** Whether it was packed untrimmed. */
    boolean toClean() {
        return toClean;
    }

    UUID accountId() {
        return accountId;
    }
}
