package elvaro.server.prepare;

import elvaro.server.shared.Chained;
import elvaro.server.shared.WorkshopRow;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.Immutable;
import org.jspecify.annotations.NullUnmarked;

/** A step ticked, or its tick taken off again. Written once; the last word about a step counts. */
@Entity
@Immutable
@Chained("step of the preparation")
@Table(name = "preparation_tick")
@NullUnmarked
public class PreparationTick extends WorkshopRow {
    private UUID pieceId;
    private String step;
    private boolean done;
    private Instant tickedAt;
    private UUID accountId;

    protected PreparationTick() {}

    PreparationTick(UUID id, UUID pieceId, String step, boolean done, Instant tickedAt, UUID accountId) {
        super(id);
        this.pieceId = pieceId;
        this.step = step;
        this.done = done;
        this.tickedAt = tickedAt;
        this.accountId = accountId;
    }

    String step() {
        return step;
    }

    boolean done() {
        return done;
    }

    Instant tickedAt() {
        return tickedAt;
    }

    UUID accountId() {
        return accountId;
    }
}
