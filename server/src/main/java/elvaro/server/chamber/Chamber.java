package elvaro.server.chamber;

import elvaro.core.air.Air;
import elvaro.core.air.ChamberKind;
import elvaro.core.cost.LandedCost.ChamberRate;
import elvaro.core.schedule.Load;
import elvaro.server.shared.EditedRow;
import elvaro.server.shared.Inspected;
import elvaro.server.shared.Inspected.Written;
import elvaro.server.shared.InspectedRow;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Table;
import java.math.BigDecimal;
import java.util.Optional;
import java.util.UUID;
import org.hibernate.envers.Audited;
import org.jspecify.annotations.NullUnmarked;
import org.jspecify.annotations.Nullable;

/** A place that holds pieces: its rails and places, what it may carry, what it is set to, what it costs. */
@Entity
@Table(name = "chamber")
@Audited
@NullUnmarked
public class Chamber extends EditedRow implements InspectedRow {
    private static final double DAYS_PER_YEAR = 365.25;

    @Inspected("Name")
    private String name;

    @Inspected("Kind")
    @Enumerated(EnumType.STRING)
    private ChamberKind kind;

    private int position;

    @Inspected(value = "Rails", as = Written.NUMBER)
    private int rails;

    @Inspected(value = "Places on a rail", as = Written.NUMBER)
    private int placesPerRail;

    @Inspected(value = "Limit", as = Written.GRAMS)
    private int limitGrams;

    @Inspected(value = "Set to", as = Written.CELSIUS)
    private BigDecimal setCelsius;

    @Inspected(value = "Humidity set to", as = Written.PERCENT)
    private Integer setHumidityPercent;

    private BigDecimal setMetresPerSecond;
    private Integer shelfSquareCentimetres;
    private int purchaseMinor;
    private int lifeYears;
    private int powerWatts;

    @Inspected("For meat alone")
    private boolean forMeatAlone;

    private UUID keeperId;

    protected Chamber() {}

    Chamber(UUID id, int position, ChamberForm form) {
        super(id);
        this.position = position;
        apply(form);
    }

    void change(ChamberForm form) {
        mustStillBe(form.version());
        apply(form);
    }

    private void apply(ChamberForm form) {
        name = form.name().strip();
        kind = form.kind();
        rails = form.rails();
        placesPerRail = form.placesPerRail();
        limitGrams = form.limitGrams();
        setCelsius = BigDecimal.valueOf(form.setCelsius());
        setHumidityPercent = form.setHumidityPercent();
        setMetresPerSecond = BigDecimal.valueOf(form.setMetresPerSecond());
        shelfSquareCentimetres = form.shelfSquareCentimetres();
        purchaseMinor = form.purchaseMinor();
        lifeYears = form.lifeYears();
        powerWatts = form.powerWatts();
        forMeatAlone = form.forMeatAlone() == null ? kind.runsForMeatAlone() : form.forMeatAlone();
        keeperId = form.keeperId();
    }

    @Override
    public String inspectedName() {
        return name;
    }

    @Override
    public boolean isToldWhenAdded() {
        return true;
    }

    ChamberForm form() {
        return new ChamberForm(
                id(),
                version(),
                name,
                kind,
                rails,
                placesPerRail,
                limitGrams,
                setCelsius.doubleValue(),
                setHumidityPercent,
                setMetresPerSecond.doubleValue(),
                shelfSquareCentimetres,
                purchaseMinor,
                lifeYears,
                powerWatts,
                forMeatAlone,
                keeperId);
    }

    public ChamberRate rate(double tariffMinorPerKwh) {
        return new ChamberRate(
                purchaseMinor, lifeYears * DAYS_PER_YEAR, forMeatAlone ? powerWatts : 0, tariffMinorPerKwh);
    }

    public String name() {
        return name;
    }

    public ChamberKind kind() {
        return kind;
    }

    public int rails() {
        return rails;
    }

    public int placesPerRail() {
        return placesPerRail;
    }

    public int limitGrams() {
        return limitGrams;
    }

    public double setCelsius() {
        return setCelsius.doubleValue();
    }

    /** The air it is set to; where no humidity is set, the one usual for its kind. */
    public Air air() {
        double humidity = setHumidityPercent == null ? kind.usualAir().relativeHumidity() : setHumidityPercent / 100.0;
        return new Air(setCelsius.doubleValue(), humidity, setMetresPerSecond.doubleValue());
    }

    /** What it takes: weight, places, and shelf area where pieces lie. */
    public Load.Limits limits() {
        return new Load.Limits(
                limitGrams,
                rails * placesPerRail,
                Optional.ofNullable(shelfSquareCentimetres).map(area -> area / 10_000.0));
    }

    public @Nullable Integer setHumidityPercent() {
        return setHumidityPercent;
    }

    /** Whose work it is; empty for everybody's. */
    public Optional<UUID> keeperId() {
        return Optional.ofNullable(keeperId);
    }
}
