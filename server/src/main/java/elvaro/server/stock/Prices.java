package elvaro.server.stock;

import elvaro.server.forecast.Figures;
import elvaro.server.settings.WorkshopSettings;
import java.util.HashMap;
import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** What packs cost and what they are to be sold at, minor units a kg. What was made costs what went into it. */
final class Prices {
    private final Lineage lineage;
    private final Map<UUID, Figures> figures;
    private final WorkshopSettings settings;
    private final Map<UUID, Double> madeAt = new HashMap<>();

    /** @param figures of every piece of the lineage */
    Prices(Lineage lineage, Map<UUID, Figures> figures, WorkshopSettings settings) {
        this.lineage = lineage;
        this.figures = figures;
        this.settings = settings;
    }

    /** Absent where its piece has no cost of steak. */
    @Nullable
    Double cost(Pack pack) {
        return switch (pack.content()) {
            case STEAK, ROAST, CHOP, SHANK -> of(pack).steak().perKilogram().orElse(null);
            case TRIM, STEW -> (double) settings.usableTrimPriceMinorPerKg();
            case FAT -> (double) settings.fatPriceMinorPerKg();
            case BONE -> (double) settings.bonePriceMinorPerKg();
            case GRIND, TALLOW, JAR ->
                cost(lineage.makings().get(pack.makingId().orElseThrow()));
        };
    }

    private Figures of(Pack pack) {
        return figures.get(pack.pieceId().orElseThrow());
    }

    /** All that went in over what came out; absent where the price of anything that went in is not known. */
    @Nullable
    Double cost(Making making) {
        Double known = madeAt.get(making.id());
        if (known != null) {
            return known;
        }
        double spent = 0;
        for (PackOut out : lineage.into(making)) {
            Double each = cost(lineage.packs().get(out.packId()));
            if (each == null) {
                return null;
            }
            spent += each * out.grams() / 1000;
        }
        for (MakingBought bought : lineage.bought(making)) {
            spent += (double) bought.priceMinorPerKg() * bought.grams() / 1000;
        }
        double perKg = spent * 1000 / making.grams();
        madeAt.put(making.id(), perKg);
        return perKg;
    }

    /** With the workshop's target margin; trim, fat and bone as it prices them. */
    @Nullable
    Double price(Pack pack) {
        double margin = settings.targetMarginPercent() / 100.0;
        return switch (pack.content()) {
            case STEAK, ROAST, CHOP, SHANK -> of(pack).steak().priceFor(margin).orElse(null);
            case TRIM, STEW, FAT, BONE, JAR -> cost(pack);
            case GRIND, TALLOW -> {
                Double cost = cost(lineage.makings().get(pack.makingId().orElseThrow()));
                yield cost == null ? null : cost / (1 - margin);
            }
        };
    }
}
