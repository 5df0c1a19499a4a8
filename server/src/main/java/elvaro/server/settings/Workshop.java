package elvaro.server.settings;

import elvaro.server.shared.Inspected;
import elvaro.server.shared.Inspected.Written;
import elvaro.server.shared.InspectedRow;
import elvaro.server.shared.Refusal;
import jakarta.persistence.Convert;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.time.Instant;
import java.time.ZoneId;
import java.util.List;
import java.util.UUID;
import org.hibernate.envers.Audited;
import org.jspecify.annotations.NullUnmarked;

/** One household or shop, with its money, its scale and its prices. Its id is what every other row is bound to. */
@Entity
@Table(name = "workshop")
@Audited
@NullUnmarked
public class Workshop implements InspectedRow {
    @Id
    private UUID id;

    @Version
    private Integer version;

    @Inspected("Name")
    private String name;

    @Inspected("Currency")
    private String currency;

    @Inspected("Time zone")
    private String zone;

    @Inspected(value = "Scale division", as = Written.GRAMS)
    private int divisionGrams;

    private int nextLotNumber;

    @Inspected(value = "Electricity, per kWh", as = Written.MONEY)
    private int tariffMinorPerKwh;

    @Inspected(value = "Labour, per hour", as = Written.MONEY)
    private int labourMinorPerHour;

    private int benchMinutesPerPiece;
    private int benchSecondsPerSteak;
    private int benchSecondsPerKg;

    @Inspected(value = "List price of steak", as = Written.PRICE)
    private int steakPriceMinorPerKg;

    @Inspected(value = "Worth of usable trim", as = Written.PRICE)
    private int usableTrimPriceMinorPerKg;

    @Inspected(value = "Worth of fat", as = Written.PRICE)
    private int fatPriceMinorPerKg;

    @Inspected(value = "Worth of bone", as = Written.PRICE)
    private int bonePriceMinorPerKg;

    @Inspected(value = "Target margin", as = Written.PERCENT)
    private int targetMarginPercent;

    @Convert(converter = PriceSteps.class)
    private List<PriceStep> priceByAge;

    @Inspected("Public address")
    private String publicAddress;

    /** Zones it went by before, each until when. */
    @Convert(converter = ZonesBefore.class)
    private List<HouseClock.Before> zonesBefore = List.of();

    protected Workshop() {}

    public Workshop(UUID id, WorkshopSettings settings) {
        this.id = id;
        this.nextLotNumber = 1;
        apply(settings);
    }

    void change(WorkshopSettings settings, Instant now) {
        if (version != settings.version()) {
            throw Refusal.changedMeanwhile();
        }
        if (!settings.zone().equals(zone)) {
            zonesBefore = clock().goingBy(ZoneId.of(settings.zone()), now).before();
        }
        apply(settings);
    }

    @Override
    public String inspectedName() {
        return "Settings";
    }

    void takeOver(WorkshopSettings settings, List<HouseClock.Before> before) {
        String here = publicAddress;
        zonesBefore = before;
        zone = settings.zone();
        change(settings, Instant.EPOCH);
        publicAddress = here;
    }

    private void apply(WorkshopSettings settings) {
        name = settings.name().strip();
        currency = settings.currency();
        zone = settings.zone();
        divisionGrams = settings.divisionGrams();
        tariffMinorPerKwh = settings.tariffMinorPerKwh();
        labourMinorPerHour = settings.labourMinorPerHour();
        benchMinutesPerPiece = settings.benchMinutesPerPiece();
        benchSecondsPerSteak = settings.benchSecondsPerSteak();
        benchSecondsPerKg = settings.benchSecondsPerKg();
        steakPriceMinorPerKg = settings.steakPriceMinorPerKg();
        usableTrimPriceMinorPerKg = settings.usableTrimPriceMinorPerKg();
        fatPriceMinorPerKg = settings.fatPriceMinorPerKg();
        bonePriceMinorPerKg = settings.bonePriceMinorPerKg();
        targetMarginPercent = settings.targetMarginPercent();
        priceByAge = List.copyOf(settings.priceByAge());
        publicAddress = settings.publicAddress() == null ? "" : HouseAddress.withoutSlash(settings.publicAddress());
    }

    WorkshopSettings settings() {
        return new WorkshopSettings(
                version == null ? 0 : version,
                name,
                currency,
                zone,
                divisionGrams,
                tariffMinorPerKwh,
                labourMinorPerHour,
                benchMinutesPerPiece,
                benchSecondsPerSteak,
                benchSecondsPerKg,
                steakPriceMinorPerKg,
                usableTrimPriceMinorPerKg,
                fatPriceMinorPerKg,
                bonePriceMinorPerKg,
                targetMarginPercent,
                priceByAge,
                publicAddress);
    }

    /** The number of the next lot; the row is locked while it is taken. */
    int takeLotNumber() {
        return nextLotNumber++;
    }

    public UUID id() {
        return id;
    }

    public String name() {
        return name;
    }

    public HouseClock clock() {
        return new HouseClock(ZoneId.of(zone), zonesBefore);
    }

    public String currency() {
        return currency;
    }

    public int divisionGrams() {
        return divisionGrams;
    }
}
