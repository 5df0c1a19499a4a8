package elvaro.server.lot;

import elvaro.core.cut.Cut;
import elvaro.core.cut.CutCatalogue;
import elvaro.server.shared.EditedRow;
import elvaro.server.shared.Refusal;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.Optional;
import org.hibernate.envers.Audited;
import org.jspecify.annotations.NullUnmarked;
import org.jspecify.annotations.Nullable;

/** What was bought: one subprimal, saddle, carcass, bird or fish. */
@Entity
@Table(name = "lot")
@Audited
@NullUnmarked
public class Lot extends EditedRow {
    private int number;
    private String cutCode;
    private String grade;
    private boolean boneIn;
    private int fatCoverMm;
    private int receivedGrams;
    private Integer priceMinorPerKg;
    private String supplier;
    private LocalDate packedOn;
    private LocalDate receivedOn;
    private BigDecimal arrivalCelsius;
    private String sourceTag;
    private String note;
    private String held;

    protected Lot() {}

    Lot(int number, LotForm form) {
        super(form.id());
        this.number = number;
        apply(form);
    }

    void change(LotForm form) {
        mustStillBe(form.version());
        apply(form);
    }

    private void apply(LotForm form) {
        cutCode = form.cutCode();
        grade = form.grade().strip();
        boneIn = form.boneIn();
        fatCoverMm = form.fatCoverMm();
        receivedGrams = form.receivedGrams();
        priceMinorPerKg = form.priceMinorPerKg();
        supplier = form.supplier().strip();
        packedOn = form.packedOn();
        receivedOn = form.receivedOn();
        arrivalCelsius = form.arrivalCelsius() == null ? null : BigDecimal.valueOf(form.arrivalCelsius());
        sourceTag = form.sourceTag().strip();
        note = form.note().strip();
    }

    /** Holds it back from packing and sharing, for a reason in words; none lets it go. */
    void hold(@Nullable String because) {
        held = because;
    }

    /** @throws Refusal if nothing of it may be packed, sold or shared yet */
    public void mustNotBeHeld() {
        if (held != null) {
            throw Refusal.conflict("held", "Lot %d is held back: %s.".formatted(number, held));
        }
    }

    public Optional<String> held() {
        return Optional.ofNullable(held);
    }

    public int number() {
        return number;
    }

    public Cut cut() {
        return CutCatalogue.get(cutCode);
    }

    public String grade() {
        return grade;
    }

    public boolean boneIn() {
        return boneIn;
    }

    public int fatCoverMm() {
        return fatCoverMm;
    }

    public int receivedGrams() {
        return receivedGrams;
    }

    /** What was paid, minor units per kg; absent where nobody wrote it down, 0 for what cost nothing. */
    public @Nullable Integer priceMinorPerKg() {
        return priceMinorPerKg;
    }

    public String supplier() {
        return supplier;
    }

    public @Nullable LocalDate packedOn() {
        return packedOn;
    }

    public LocalDate receivedOn() {
        return receivedOn;
    }

    public @Nullable Double arrivalCelsius() {
        return arrivalCelsius == null ? null : arrivalCelsius.doubleValue();
    }

    public String sourceTag() {
        return sourceTag;
    }

    public String note() {
        return note;
    }
}
