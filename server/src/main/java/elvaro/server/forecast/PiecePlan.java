package elvaro.server.forecast;

import elvaro.core.plan.Outlook;
import elvaro.server.shared.WorkshopRow;
import jakarta.persistence.Convert;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.UUID;
import org.hibernate.annotations.Immutable;
import org.jspecify.annotations.NullUnmarked;

/** What was expected of a piece on the day it was hung, with what was done to it that day. Never changed. */
@Entity
@Immutable
@Table(name = "piece_plan")
@NullUnmarked
public class PiecePlan extends WorkshopRow {
    private UUID pieceId;
    private int days;

    @Convert(converter = PlanDays.class)
    private List<PlanDay> daily;

    private int restsOnPieces;
    private Instant madeAt;

    protected PiecePlan() {}

    /** @param ahead what is expected on each day from the hanging until some days past the target */
    PiecePlan(UUID id, UUID pieceId, int targetDays, Outlook outlook, List<Outlook.OutlookDay> ahead, Instant madeAt) {
        super(id);
        this.pieceId = pieceId;
        this.days = targetDays;
        this.daily = ahead.stream().map(PlanDay::of).toList();
        this.restsOnPieces = outlook.forecast().belief().pieces();
        this.madeAt = madeAt;
    }

    /** @param pulledOn the day it was pulled, or is to be; where nothing was noted for it, the nearest that was */
    public PiecePlanView on(int pulledOn) {
        PlanDay day = daily.stream()
                .min(Comparator.comparingInt(each -> Math.abs(each.day() - pulledOn)))
                .orElseThrow();
        return day.view(days, restsOnPieces, madeAt);
    }
}
