package elvaro.server.compare;

import elvaro.server.shared.EditedRow;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.util.UUID;
import org.hibernate.envers.Audited;
import org.jspecify.annotations.NullUnmarked;

/** A question that was kept, to be asked again of what has come since. */
@Entity
@Table(name = "ask")
@Audited
@NullUnmarked
class Ask extends EditedRow {
    private String name;
    private String query;

    protected Ask() {}

    Ask(UUID id, String name, String query) {
        super(id);
        this.name = name;
        this.query = query;
    }

    void change(int seenVersion, String newName, String newQuery) {
        mustStillBe(seenVersion);
        name = newName;
        query = newQuery;
    }

    String name() {
        return name;
    }

    String query() {
        return query;
    }
}
