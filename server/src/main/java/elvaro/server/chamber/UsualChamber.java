package elvaro.server.chamber;

import elvaro.core.air.Air;
import elvaro.core.air.ChamberKind;
import java.util.UUID;

/** What a place of a kind usually is like, for whoever has not measured theirs. Common practice, no source. */
public final class UsualChamber {
    private static final int LIFE_YEARS = 10;

    private record Size(String name, int rails, int places, int limitGrams, int watts) {}

    private UsualChamber() {}

    /** As it is offered, to be kept under an id. */
    public static ChamberForm of(ChamberKind kind, UUID id) {
        Size size = size(kind);
        Air air = kind.usualAir();
        return new ChamberForm(
                id,
                0,
                size.name(),
                kind,
                size.rails(),
                size.places(),
                size.limitGrams(),
                air.celsius(),
                (int) Math.round(air.relativeHumidity() * 100),
                air.metresPerSecond(),
                null,
                0,
                LIFE_YEARS,
                size.watts(),
                kind.runsForMeatAlone(),
                null);
    }

    private static Size size(ChamberKind kind) {
        return switch (kind) {
            case REFRIGERATOR -> new Size("Refrigerator", 1, 4, 20_000, 40);
            case CABINET -> new Size("Cabinet", 1, 6, 45_000, 90);
            case WALK_IN -> new Size("Cold room", 2, 10, 180_000, 600);
            case SHED -> new Size("Shed", 1, 8, 80_000, 0);
            case ICE_CHEST -> new Size("Ice chest", 1, 4, 40_000, 0);
        };
    }
}
