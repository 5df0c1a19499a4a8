package elvaro.server.look;

import elvaro.server.shared.Chained;
import elvaro.server.shared.WorkshopRow;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.Immutable;
import org.jspecify.annotations.NullUnmarked;

/** A picture of a look. Written once. */
@Entity
@Immutable
@Chained("picture")
@Table(name = "look_photo")
@NullUnmarked
class LookPhoto extends WorkshopRow {
    private UUID lookId;

    @Column(length = 16_000_000)
    private byte[] jpeg;

    private Instant takenInAt;
    private UUID accountId;

    protected LookPhoto() {}

    LookPhoto(UUID id, UUID lookId, byte[] jpeg, Instant takenInAt, UUID accountId) {
        super(id);
        this.lookId = lookId;
        this.jpeg = jpeg.clone();
        this.takenInAt = takenInAt;
        this.accountId = accountId;
    }

    UUID lookId() {
        return lookId;
    }

    byte[] jpeg() {
        return jpeg.clone();
    }
}
