package elvaro.server.look;

import elvaro.server.shared.Chained;
import elvaro.server.shared.WorkshopRow;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.Immutable;
import org.jspecify.annotations.NullUnmarked;

/**
 * A picture of a piece: one that goes with a look, or one taken at any other moment. Written once. Its table keeps the name it
 * had when only looks had pictures: under that name its rows are links of the chain.
 */
@Entity
@Immutable
@Chained("picture")
@Table(name = "look_photo")
@NullUnmarked
class Photo extends WorkshopRow {
    private UUID lookId;

    /** Absent with a look, which says of which piece it is, as when it was taken and what it shows. */
    private UUID pieceId;

    @Enumerated(EnumType.STRING)
    private PhotoMoment shows;

    private Instant takenAt;

    @Column(length = 16_000_000)
    private byte[] jpeg;

    private Instant takenInAt;
    private UUID accountId;

    protected Photo() {}

    private Photo(UUID id, byte[] jpeg, Instant takenInAt, UUID accountId) {
        super(id);
        this.jpeg = jpeg.clone();
        this.takenInAt = takenInAt;
        this.accountId = accountId;
    }

    static Photo ofLook(UUID id, UUID lookId, byte[] jpeg, Instant takenInAt, UUID accountId) {
        Photo photo = new Photo(id, jpeg, takenInAt, accountId);
        photo.lookId = lookId;
        return photo;
    }

    static Photo ofPiece(
            UUID id, UUID pieceId, PhotoMoment shows, Instant takenAt, byte[] jpeg, Instant takenInAt, UUID accountId) {
        Photo photo = new Photo(id, jpeg, takenInAt, accountId);
        photo.pieceId = pieceId;
        photo.shows = shows;
        photo.takenAt = takenAt;
        return photo;
    }

    UUID lookId() {
        return lookId;
    }

    byte[] jpeg() {
        return jpeg.clone();
    }
}
