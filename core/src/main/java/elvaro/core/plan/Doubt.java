package elvaro.core.plan;

import static elvaro.core.working.Quantity.share;
import static elvaro.core.working.Quantity.temperature;

import elvaro.core.air.Air;
import elvaro.core.air.ChamberKind;
import elvaro.core.drying.Coating;
import elvaro.core.drying.Hanging;
import elvaro.core.drying.Method;
import elvaro.core.estimate.Estimates;
import elvaro.core.keeping.Excursions;
import elvaro.core.plan.Outlook.OutlookDay;
import elvaro.core.yield.Section;
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

    /** Below this share of what was hung there is hardly a steak to cut (EST). */
    private static final double HARDLY_ANY = 0.05;

    /**
     * That a piece is hung until next to nothing of it is left, and why.
     *
     * @param days its outlook from day 0 on
     * @param target the day it is to be pulled, one of them
     */
    public static Optional<Doubt> ofNothingLeft(List<OutlookDay> days, int target) {
        OutlookDay pulled = days.get(target);
        if (pulled.section().steak() >= HARDLY_ANY) {
            return Optional.empty();
        }
        Section section = pulled.section();
        String gone =
                "By day %d %s is left for steaks, at most %s: %s is water gone, %s crust and what is trimmed with it"
                        .formatted(
                                target,
                                section.steak() > 0 ? "only " + share(section.steak()) : "nothing",
                                share(pulled.steakMost()),
                                share(1 - section.now()),
                                share(section.crust()));
        return Optional.of(new Doubt(
                "nothing-left",
                days.stream()
                        .filter(day -> day.section().steak() >= HARDLY_ANY)
                        .reduce((one, later) -> later)
                        .map(last -> "%s. On day %d it still gives %s; a larger piece gives more for longer."
                                .formatted(
                                        gone, last.day(), share(last.section().steak())))
                        .orElse(gone + ". Take a larger piece.")));
    }

    /** That it is to hang longer than anybody knows much about. */
    public static Optional<Doubt> ofLength(int days) {
        return days < EXPERIMENT_DAYS
                ? Optional.empty()
                : Optional.of(new Doubt("experiment", "Ninety days and more are an experiment, not a routine."));
    }

    /**
     * That too little of a membrane touches.
     *
     * @param contact share of it on the meat, above 0 to 1
     */
    public static Optional<Doubt> ofContact(Method method, double contact) {
        return method != Method.MEMBRANE || contact >= Estimates.LEAST_CONTACT
                ? Optional.empty()
                : Optional.of(new Doubt(
                        "poor-contact",
                        ("Only %s of the film touches the meat, and %s is the least: in the pockets it stays wet and"
                                        + " rots. Draw the air out and seal it again until it clings.")
                                .formatted(share(contact), share(Estimates.LEAST_CONTACT))));
    }

    /**
     * @param hanging the piece
     * @param air of its chamber
     * @param kind of chamber, if one is chosen
     * @param days it is to hang
     */
    public static List<Doubt> about(Hanging hanging, Air air, Optional<ChamberKind> kind, int days) {
        List<Doubt> doubts = new ArrayList<>();
        Method method = hanging.method();
        boolean dries = hanging.dries();
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
        ofContact(method, hanging.contact()).ifPresent(doubts::add);
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
        ofLength(days).ifPresent(doubts::add);
        return doubts;
    }
}
