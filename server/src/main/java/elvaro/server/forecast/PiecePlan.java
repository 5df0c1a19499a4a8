package elvaro.server.forecast;

import elvaro.core.plan.Outlook;
import elvaro.server.shared.WorkshopRow;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.Immutable;
import org.jspecify.annotations.NullUnmarked;

/** What was expected of a piece on the day it was hung. Never changed. */
@Entity
@Immutable
@Table(name = "piece_plan")
@NullUnmarked
public class PiecePlan extends WorkshopRow {
    private static final double MILLION = 1e6;

    private UUID pieceId;
    private int days;
    private int lostPpm;
    private int lostLeastPpm;
    private int lostMostPpm;
    private int steakPpm;
    private int steakLeastPpm;
    private int steakMostPpm;
    private int crustPpm;
    private Integer costMinorPerKg;
    private int restsOnPieces;
    private Instant madeAt;

    protected PiecePlan() {}

    PiecePlan(UUID id, UUID pieceId, Outlook outlook, Outlook.OutlookDay day, Instant madeAt) {
        super(id);
        this.pieceId = pieceId;
        this.days = day.day();
        this.lostPpm = ppm(day.weight().lost());
        this.lostLeastPpm = ppm(day.weight().least());
        this.lostMostPpm = ppm(day.weight().most());
        this.steakPpm = ppm(day.section().steak());
        this.steakLeastPpm = ppm(day.steakLeast());
        this.steakMostPpm = ppm(day.steakMost());
        this.crustPpm = ppm(day.section().crust());
        this.costMinorPerKg = day.stop()
                .costPerKg()
                .map(cost -> (int) Math.round(Math.min(cost, Integer.MAX_VALUE)))
                .orElse(null);
        this.restsOnPieces = outlook.forecast().belief().pieces();
        this.madeAt = madeAt;
    }

    private static int ppm(double share) {
        return (int) Math.round(share * MILLION);
    }

    public PiecePlanView view() {
        return new PiecePlanView(
                days,
                lostPpm / MILLION,
                lostLeastPpm / MILLION,
                lostMostPpm / MILLION,
                steakPpm / MILLION,
                steakLeastPpm / MILLION,
                steakMostPpm / MILLION,
                crustPpm / MILLION,
                costMinorPerKg == null ? null : costMinorPerKg.doubleValue(),
                restsOnPieces,
                madeAt);
    }
}
