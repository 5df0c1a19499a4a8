package elvaro.server.treatment;

import elvaro.core.treatment.Dose;
import elvaro.core.treatment.DoseUnit;
import elvaro.server.shared.Chained;
import elvaro.server.shared.WorkshopRow;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Table;
import java.util.UUID;
import org.hibernate.annotations.Immutable;
import org.jspecify.annotations.NullUnmarked;

/** How much of a treatment was used, told afterwards, under the id of its log entry. Written once; the last one counts. */
@Entity
@Immutable
@Chained("dose")
@Table(name = "treatment_used")
@NullUnmarked
class DoseUsed extends WorkshopRow {
    private UUID treatmentId;
    private UUID pieceId;
    private double fullAmount;
    private double leftAmount;

    @Enumerated(EnumType.STRING)
    private DoseUnit measure;

    private int grams;

    protected DoseUsed() {}

    /** @param grams green weight of what it was put on, as it was then */
    DoseUsed(UUID entryId, Treatment treatment, double full, double left, DoseUnit measure, int grams) {
        super(entryId);
        treatmentId = treatment.id();
        pieceId = treatment.pieceId();
        fullAmount = full;
        leftAmount = left;
        this.measure = measure;
        this.grams = grams;
    }

    UUID treatmentId() {
        return treatmentId;
    }

    Dose dose() {
        return Dose.used(fullAmount, leftAmount, measure, grams);
    }
}
