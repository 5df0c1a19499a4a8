package elvaro.server.treatment;

import elvaro.server.shared.Chained;
import elvaro.server.shared.WorkshopRow;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.math.BigDecimal;
import java.util.UUID;
import org.hibernate.annotations.Immutable;
import org.jspecify.annotations.NullUnmarked;

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
    private Boolean feltCold;
    private Integer minutes;
    private boolean last;

    protected StepDone() {}

    StepDone(UUID entryId, Treatment treatment, StepForm form) {
        super(entryId);
        treatmentId = treatment.id();
        pieceId = treatment.pieceId();
        number = form.number();
        meatCelsius = form.meatCelsius() == null ? null : BigDecimal.valueOf(form.meatCelsius());
        feltCold = form.feltCold();
        minutes = form.minutes();
        last = form.isLast();
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

    /** Of smoke; 0 where none is counted. */
    int minutes() {
        return minutes == null ? 0 : minutes;
    }

    /** Whether nothing more of the treatment was to come. */
    boolean last() {
        return last;
    }
}
