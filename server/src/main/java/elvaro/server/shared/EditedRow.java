package elvaro.server.shared;

import jakarta.persistence.MappedSuperclass;
import jakarta.persistence.Version;
import java.util.UUID;
import org.jspecify.annotations.NullUnmarked;

/** A row that people edit: two who change it at once are told, and neither overwrites the other. */
@MappedSuperclass
@NullUnmarked
public abstract class EditedRow extends WorkshopRow {
    @Version
    private Integer version;

    protected EditedRow() {}

    protected EditedRow(UUID id) {
        super(id);
    }

    public int version() {
        return version == null ? 0 : version;
    }

    /** @throws Refusal if somebody changed the row since the version the person saw */
    public void mustStillBe(int seenVersion) {
        if (version() != seenVersion) {
            throw Refusal.changedMeanwhile();
        }
    }
}
