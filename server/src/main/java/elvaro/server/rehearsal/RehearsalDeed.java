package elvaro.server.rehearsal;

import elvaro.core.rehearsal.Deed;
import elvaro.server.shared.WorkshopRow;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import org.jspecify.annotations.NullUnmarked;

/** Something done in a rehearsal that the log of a piece has no word for. */
@Entity
@Table(name = "rehearsal_deed")
@NullUnmarked
class RehearsalDeed extends WorkshopRow {
    @Enumerated(EnumType.STRING)
    private Deed.Kind kind;

    private Instant doneAt;

    protected RehearsalDeed() {}

    RehearsalDeed(UUID id, Deed.Kind kind, Instant doneAt) {
        super(id);
        this.kind = kind;
        this.doneAt = doneAt;
    }

    Deed.Kind kind() {
        return kind;
    }

    Instant doneAt() {
        return doneAt;
    }
}
