package elvaro.server.tasting;

import elvaro.server.shared.WorkshopRow;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.util.UUID;
import org.hibernate.annotations.Immutable;
import org.jspecify.annotations.NullUnmarked;

/** A taster's words about one sample. Written once. */
@Entity
@Immutable
@Table(name = "tasting_note")
@NullUnmarked
class TastingNote extends WorkshopRow {
    private UUID tastingId;
    private UUID sheetId;
    private UUID sampleId;
    private String words;

    protected TastingNote() {}

    TastingNote(UUID id, TastingSheet sheet, UUID sampleId, String words) {
        super(id);
        tastingId = sheet.tastingId();
        sheetId = sheet.id();
        this.sampleId = sampleId;
        this.words = words;
    }

    UUID tastingId() {
        return tastingId;
    }

    UUID sheetId() {
        return sheetId;
    }

    UUID sampleId() {
        return sampleId;
    }

    String words() {
        return words;
    }
}
