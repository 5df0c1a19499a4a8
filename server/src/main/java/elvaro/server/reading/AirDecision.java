package elvaro.server.reading;

import elvaro.server.shared.Chained;
import elvaro.server.shared.WorkshopRow;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.Immutable;
import org.jspecify.annotations.NullUnmarked;

/** What a person decided about warm air, or about a silence. Never changed; a second decision stands beside the first. */
@Entity
@Immutable
@Chained("decision about air")
@Table(name = "air_decision")
@NullUnmarked
class AirDecision extends WorkshopRow {
    private UUID chamberId;

    @Enumerated(EnumType.STRING)
    private AirEvent kind;

    private Instant beganAt;
    private String words;
    private Instant decidedAt;
    private UUID accountId;

    protected AirDecision() {}

    AirDecision(
            UUID id, UUID chamberId, AirEvent kind, Instant beganAt, String words, Instant decidedAt, UUID accountId) {
        super(id);
        this.chamberId = chamberId;
        this.kind = kind;
        this.beganAt = beganAt;
        this.words = words;
        this.decidedAt = decidedAt;
        this.accountId = accountId;
    }

    AirEvent kind() {
        return kind;
    }

    Instant beganAt() {
        return beganAt;
    }

    UUID chamberId() {
        return chamberId;
    }

    String words() {
        return words;
    }

    Instant decidedAt() {
        return decidedAt;
    }

    UUID accountId() {
        return accountId;
    }
}
