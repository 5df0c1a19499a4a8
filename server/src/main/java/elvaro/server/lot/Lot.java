package elvaro.server.lot;

import elvaro.core.cut.Cut;
import elvaro.core.cut.CutCatalogue;
import elvaro.server.shared.EditedRow;
import elvaro.server.shared.Inspected;
import elvaro.server.shared.Inspected.Written;
import elvaro.server.shared.InspectedRow;
import elvaro.server.shared.Refusal;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import jakarta.persistence.Transient;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import org.hibernate.envers.Audited;
import org.jspecify.annotations.NullUnmarked;
import org.jspecify.annotations.Nullable;

/** What was bought: one subprimal, saddle, carcass, bird or fish. */
@Entity
@Table(name = "lot")
@Audited
@NullUnmarked
public class Lot extends EditedRow implements InspectedRow {
    private int number;

    @Inspected(value = "Cut", as = Written.CUT)
    private String cutCode;

    @Inspected("Grade")
    private String grade;

    @Inspected("On the bone")
    private boolean boneIn;

    @Inspected(value = "Fat cover", as = Written.MILLIMETRES)
    private int fatCoverMm;

    @Inspected(value = "Weight", as = Written.GRAMS)
    private int receivedGrams;

    @Inspected(value = "Price", as = Written.PRICE)
    private Integer priceMinorPerKg;

    @Inspected("Supplier")
    private String supplier;

    @Inspected("Packed on")
    private LocalDate packedOn;

    @Inspected("Came on")
    private LocalDate receivedOn;

    @Inspected(value = "Temperature on arrival", as = Written.CELSIUS)
    private BigDecimal arrivalCelsius;

    @Inspected("Seller's lot or game tag")
    private String sourceTag;

    @Inspected("Note")
    private String note;

    @Inspected("Held back")
    private String held;

    /** Why it is being changed. */
    @Transient
    private String why;

    protected Lot() {}

    Lot(int number, LotForm form) {
        super(form.id());
        this.number = number;
        apply(form);
    }

    /** @param because why, for the record; empty where nobody was asked */
    void change(LotForm form, String because) {
        mustStillBe(form.version());
        why = because;
        apply(form);
    }

    /** What the form says otherwise than was written down when it came, by its names. */
    List<String> otherwise(LotForm form) {
        Map<String, Boolean> same = new LinkedHashMap<>();
        same.put("cut", cutCode.equals(form.cutCode()));
        same.put("weight", receivedGrams == form.receivedGrams());
        same.put("supplier", supplier.equals(form.supplier().strip()));
        same.put("seller's lot or game tag", sourceTag.equals(form.sourceTag().strip()));
        same.put("day it was packed", Objects.equals(packedOn, form.packedOn()));
        same.put("day it came", receivedOn.equals(form.receivedOn()));
        same.put("temperature on arrival", Objects.equals(arrivalCelsius(), form.arrivalCelsius()));
        return same.entrySet().stream()
                .filter(fact -> !fact.getValue())
                .map(Map.Entry::getKey)
                .toList();
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

    @Override
    public String inspectedName() {
        return "Lot " + number;
    }

    @Override
    public String why() {
        return why == null ? "" : why;
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
