package elvaro.server.tasting;

import elvaro.server.shared.EditedRow;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.util.UUID;
import org.jspecify.annotations.NullUnmarked;

/** A person who tastes. Whoever asks to be forgotten loses the name here; the answers stay and are nobody's. */
@Entity
@Table(name = "taster")
@NullUnmarked
class Taster extends EditedRow {
    private String name;

    protected Taster() {}

    Taster(UUID id, String name) {
        super(id);
        this.name = name.strip();
    }

    void forget() {
        name = null;
    }

    boolean forgotten() {
        return name == null;
    }

    /** As it is shown. */
    String label() {
        return name == null ? "Somebody" : name;
    }
}
