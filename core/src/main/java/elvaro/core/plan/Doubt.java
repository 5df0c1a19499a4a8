package elvaro.core.plan;

import static elvaro.core.working.Quantity.share;
import static elvaro.core.working.Quantity.temperature;

import elvaro.core.air.Air;
import elvaro.core.air.ChamberKind;
import elvaro.core.drying.Coating;
import elvaro.core.drying.Hanging;
import elvaro.core.drying.Method;
import elvaro.core.keeping.Excursions;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Something about a plan that will not go well, in a sentence with what to do instead.
 *
 * @param id stable key
 * @param sentence for the person who plans
 */
public record Doubt(String id, String sentence) {
    /** Meat begins to freeze about here (common handbook value, from memory). */
    private static final double FREEZING = -1.5;

    /** Damp above this grows mould on bare meat (EST). */
    private static final double DAMP = 0.88;

    private static final int EXPERIMENT_DAYS = 90;

    /**
     * @param hanging the piece
     * @param air of its chamber
     * @param kind of chamber, if one is chosen
     * @param days it is to hang
     */
    public static List<Doubt> about(Hanging hanging, Air air, Optional<ChamberKind> kind, int days) {
        List<Doubt> doubts = new ArrayList<>();
        Method method = hanging.method();
        boolean dries = method != Method.VACUUM && method != Method.ON_ICE;
        double activity = method == Method.FAT_SEAL
                ? Coating.FAT_SEAL.surfaceActivity()
                : hanging.coating().surfaceActivity();
        Air atPiece = method == Method.SALT_TRAY ? air.overSaltTray() : air;
        if (dries && atPiece.relativeHumidity() >= activity) {
            doubts.add(new Doubt(
                    "wetter-than-surface",
                    "At %s humidity the air is wetter than the surface (%s): nothing dries, it only grows mould. Choose drier air."
                            .formatted(share(atPiece.relativeHumidity()), share(activity))));
        } else if (dries && method != Method.MEMBRANE && atPiece.relativeHumidity() > DAMP) {
            doubts.add(new Doubt(
                    "damp",
                    "At %s humidity the crust forms late and mould comes early. 75 to 85 %% is usual."
                            .formatted(share(atPiece.relativeHumidity()))));
        }
        if (air.celsius() > Excursions.LIMIT_CELSIUS) {
            doubts.add(new Doubt(
                    "warm",
                    "%s is above the %s of cold holding. Elvaro aims at %s; local law decides."
                            .formatted(temperature(air.celsius()), temperature(5), temperature(0, 3))));
        }
        if (air.celsius() < FREEZING) {
            doubts.add(new Doubt(
                    "freezing",
                    "Below %s meat freezes, and frozen meat does not age.".formatted(temperature(FREEZING))));
        }
        if (method == Method.MEMBRANE && hanging.coating() == Coating.CLOTH) {
            doubts.add(new Doubt(
                    "cloth-in-membrane", "A soaked cloth inside a membrane breaks the contact: expect a poor seal."));
        }
        if (method == Method.OPEN_AIR
                && kind.filter(ChamberKind.REFRIGERATOR::equals).isPresent()) {
            doubts.add(new Doubt(
                    "open-in-refrigerator",
                    "A household refrigerator that is opened all day is not a chamber, and nothing ages openly beside"
                            + " uncovered food. A membrane suits it."));
        }
        kind.filter(each -> (each == ChamberKind.ICE_CHEST) != (method == Method.ON_ICE))
                .ifPresent(each -> doubts.add(new Doubt(
                        "method-chamber",
                        each == ChamberKind.ICE_CHEST
                                ? "This chamber holds ice; the method is another."
                                : "This chamber holds no ice.")));
        if (days >= EXPERIMENT_DAYS) {
            doubts.add(new Doubt("experiment", "Ninety days and more are an experiment, not a routine."));
        }
        return doubts;
    }
}
