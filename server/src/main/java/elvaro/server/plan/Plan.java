package elvaro.server.plan;

import elvaro.core.cut.Cut;
import elvaro.core.cut.CutCatalogue;
import elvaro.core.drying.Coating;
import elvaro.core.drying.Hanging;
import elvaro.core.drying.Method;
import elvaro.server.chamber.Chamber;
import elvaro.server.piece.HangingFactory;
import elvaro.server.shared.EditedRow;
import elvaro.server.shared.Refusal;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.FetchType;
import jakarta.persistence.JoinColumn;
import jakarta.persistence.ManyToOne;
import jakarta.persistence.Table;
import java.time.LocalDate;
import java.util.UUID;
import org.hibernate.envers.Audited;
import org.jspecify.annotations.NullUnmarked;

/** A purchase that is planned: it keeps its places in the chamber until it hangs or is dropped. */
@Entity
@Table(name = "plan")
@Audited
@NullUnmarked
public class Plan extends EditedRow {
    private String name;

    @Enumerated(EnumType.STRING)
    private PlanState state;

    private String cutCode;
    private boolean boneIn;
    private int fatCoverMm;
    private int pieces;
    private int greenGrams;

    @Enumerated(EnumType.STRING)
    private Method method;

    @Enumerated(EnumType.STRING)
    private Coating coating;

    private Integer contactPercent;

    @ManyToOne(fetch = FetchType.LAZY, optional = false)
    @JoinColumn(name = "chamber_id")
    private Chamber chamber;

    private LocalDate hangOn;
    private int targetDays;
    private int priceMinorPerKg;
    private int consumablesMinor;
    private UUID lotId;

    protected Plan() {}

    Plan(PlanForm form, Chamber chamber) {
        super(form.id());
        state = PlanState.OPEN;
        apply(form, chamber);
    }

    void change(PlanForm form, Chamber where) {
        mustStillBe(form.version());
        mustBeOpen();
        apply(form, where);
    }

    private void apply(PlanForm form, Chamber where) {
        name = form.name().strip();
        cutCode = form.cutCode();
        boneIn = form.boneIn();
        fatCoverMm = form.fatCoverMm();
        pieces = form.pieces();
        greenGrams = form.greenGrams();
        method = form.method();
        coating = form.coating();
        contactPercent = form.contactPercent();
        chamber = where;
        hangOn = form.hangOn();
        targetDays = form.targetDays();
        priceMinorPerKg = form.priceMinorPerKg();
        consumablesMinor = form.consumablesMinor();
    }

    void drop(int version) {
        mustStillBe(version);
        mustBeOpen();
        state = PlanState.DROPPED;
    }

    void hungAs(UUID lot) {
        mustBeOpen();
        state = PlanState.HUNG;
        lotId = lot;
    }

    private void mustBeOpen() {
        if (state != PlanState.OPEN) {
            throw Refusal.conflict("plan-settled", "This plan was hung or dropped already.");
        }
    }

    PlanView view() {
        PlanForm form = new PlanForm(
                id(),
                version(),
                name,
                cutCode,
                boneIn,
                fatCoverMm,
                pieces,
                greenGrams,
                method,
                coating,
                contactPercent,
                chamber.id(),
                hangOn,
                targetDays,
                priceMinorPerKg,
                consumablesMinor);
        return new PlanView(form, state, cut().name(), chamber.name(), lotId);
    }

    Hanging hanging() {
        return HangingFactory.of(cut(), greenGrams, boneIn, fatCoverMm, method, coating, contactPercent, null);
    }

    PlanState state() {
        return state;
    }

    UUID lotId() {
        return lotId;
    }

    int pieces() {
        return pieces;
    }

    int targetDays() {
        return targetDays;
    }

    public String name() {
        return name;
    }

    public Cut cut() {
        return CutCatalogue.get(cutCode);
    }

    public Chamber chamber() {
        return chamber;
    }

    public LocalDate hangOn() {
        return hangOn;
    }
}
