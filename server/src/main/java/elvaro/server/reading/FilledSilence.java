package elvaro.server.reading;

import elvaro.server.shared.Chained;
import elvaro.server.shared.WorkshopRow;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.Immutable;
import org.jspecify.annotations.NullUnmarked;

/** A silence of over six hours into which a file was laid afterwards. Nobody watched then, whatever they say: it stays an event. */
@Entity
@Immutable
@Chained("filled silence")
@Table(name = "filled_silence")
@NullUnmarked
class FilledSilence extends WorkshopRow {
    private UUID chamberId;
    private UUID originId;
    private Instant beganAt;
    private Instant endedAt;

    protected FilledSilence() {}

    FilledSilence(UUID chamberId, UUID originId, Instant beganAt, Instant endedAt) {
        super(UUID.randomUUID());
        this.chamberId = chamberId;
        this.originId = originId;
        this.beganAt = beganAt;
        this.endedAt = endedAt;
    }

    UUID originId() {
        return originId;
    }

    Instant beganAt() {
        return beganAt;
    }

    Instant endedAt() {
        return endedAt;
    }

    /** Whether it went on at that moment. */
    boolean holds(Instant at) {
        return !at.isBefore(beganAt) && !at.isAfter(endedAt);
    }
}
