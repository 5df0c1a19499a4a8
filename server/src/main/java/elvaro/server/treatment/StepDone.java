package elvaro.server.treatment;

import elvaro.server.shared.Chained;
import elvaro.server.shared.WorkshopRow;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.math.BigDecimal;
import java.util.UUID;
import org.hibernate.annotations.Immutable;
import org.jspecify.annotations.NullUnmarked;
import org.jspecify.annotations.Nullable;

/** A step that was done, under the id of its log entry. Written once. */
@Entity
@Immutable
@Chained("step of a treatment")
@Table(name = "treatment_step")
@NullUnmarked
class StepDone extends WorkshopRow {
    private UUID treatmentId;
    private UUID pieceId;
    private int number;
    private BigDecimal meatCelsius;

    protected StepDone() {}

    StepDone(UUID entryId, Treatment treatment, int number, @Nullable Double meatCelsius) {
        super(entryId);
        this.treatmentId = treatment.id();
        this.pieceId = treatment.pieceId();
        this.number = number;
        this.meatCelsius = meatCelsius == null ? null : BigDecimal.valueOf(meatCelsius);
    }

    UUID treatmentId() {
        return treatmentId;
    }

    UUID pieceId() {
        return pieceId;
    }

    int number() {
        return number;
    }

    @Nullable
    Double meatCelsius() {
        return meatCelsius == null ? null : meatCelsius.doubleValue();
    }
}
