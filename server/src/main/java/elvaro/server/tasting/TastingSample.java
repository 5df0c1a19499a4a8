package elvaro.server.tasting;

import elvaro.core.cooking.CookAlike;
import elvaro.core.tasting.Finish;
import elvaro.core.tasting.Weakness.Cooked;
import elvaro.server.shared.EditedRow;
import elvaro.server.tasting.TastingForm.SampleForm;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Table;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.UUID;
import org.hibernate.envers.Audited;
import org.jspecify.annotations.NullUnmarked;
import org.jspecify.annotations.Nullable;

/** What is tasted, and how it came to the table. */
@Entity
@Table(name = "tasting_sample")
@Audited
@NullUnmarked
class TastingSample extends EditedRow {
    private UUID tastingId;
    private int position;
    private String name;
    private UUID pieceId;
    private UUID armId;
    private int thicknessMm;
    private boolean thawed;

    @Enumerated(EnumType.STRING)
    private Finish finish = Finish.NOTHING;

    private boolean sameSeasoning = true;
    private Integer coreTenths;

    /** After how many minutes a probe showed what in its core; both or neither. */
    private Double probeMinutes;

    private Integer probeTenths;

    protected TastingSample() {}

    TastingSample(UUID tastingId, int position, SampleForm form) {
        super(form.id());
        this.tastingId = tastingId;
        this.position = position;
        name = form.name().strip();
        pieceId = form.pieceId();
        armId = form.armId();
        thicknessMm = form.thicknessMm();
        thawed = form.thawed();
        finish = form.finish() == null ? Finish.NOTHING : form.finish();
    }

    /**
     * @param coreCelsius as measured; absent where it was not
     * @param probe what it showed while it cooked; absent where nobody looked
     */
    void cooked(
            int thicknessMm,
            boolean thawed,
            boolean sameSeasoning,
            @Nullable Double coreCelsius,
            CookAlike.@Nullable Probe probe) {
        probeMinutes = probe == null ? null : probe.minutes();
        probeTenths = probe == null ? null : Tenths.of(probe.celsius());
        this.thicknessMm = thicknessMm;
        this.thawed = thawed;
        this.sameSeasoning = sameSeasoning;
        coreTenths = coreCelsius == null ? null : Tenths.of(coreCelsius);
    }

    /** As it lies over the fire. */
    CookAlike.Sample overTheFire() {
        return new CookAlike.Sample(thicknessMm, probe());
    }

    Optional<CookAlike.Probe> probe() {
        return probeMinutes == null || probeTenths == null
                ? Optional.empty()
                : Optional.of(new CookAlike.Probe(probeMinutes, probeTenths / 10.0));
    }

    Cooked cooked() {
        return new Cooked(
                name,
                coreTenths == null ? OptionalDouble.empty() : OptionalDouble.of(coreTenths / 10.0),
                sameSeasoning || finish != Finish.NOTHING, // What is put on it is what is asked about.
                thawed);
    }

    UUID tastingId() {
        return tastingId;
    }

    String name() {
        return name;
    }

    Optional<UUID> pieceId() {
        return Optional.ofNullable(pieceId);
    }

    Optional<UUID> armId() {
        return Optional.ofNullable(armId);
    }

    Finish finish() {
        return finish;
    }

    int thicknessMm() {
        return thicknessMm;
    }
}
