package elvaro.server.shared;

import jakarta.persistence.Column;
import jakarta.persistence.Id;
import jakarta.persistence.MappedSuperclass;
import java.util.UUID;
import org.hibernate.annotations.TenantId;
import org.jspecify.annotations.NullUnmarked;

/** A row that belongs to one workshop. The id is made by whoever first knew of the thing, so that a retry is known. */
@MappedSuperclass
@NullUnmarked
public abstract class WorkshopRow {
    @Id
    private UUID id;

    @TenantId
    @Column(name = "workshop_id", nullable = false, updatable = false)
    private UUID workshopId;

    protected WorkshopRow() {}

    protected WorkshopRow(UUID id) {
        this.id = id;
    }

    public UUID id() {
        return id;
    }
}
