package elvaro.core.rehearsal;

import elvaro.core.air.ChamberKind;
import elvaro.core.drying.Coating;
import elvaro.core.drying.Method;
import java.util.EnumSet;
import java.util.Random;
import java.util.Set;

/** What goes wrong in a rehearsal, as it goes wrong in the trade. Common practice, no source. */
public enum Mishap {
    COMPRESSOR_FAILS("the compressor died in the night", true, 0.10, 0.55),
    DOOR_AJAR("the door was not shut", true, 0.10, 0.60),
    FAN_OFF("the fan stood still", true, 0.05, 0.30),
    RUNS_DRY("the room ran dry", true, 0.05, 0.20),
    HOT_SPELL("a hot spell came", false, 0.15, 0.40),
    LOAD_ADDED("fresh meat was hung beside it", false, 0.15, 0.50),
    SEAL_FAILS("the seal of the membrane let go", false, 0.12, 0.40),
    CONTACT_LIFTS("the membrane lifted off the meat", false, 0.10, 0.30),
    NEIGHBOUR_SCENTS("a neighbour soaked in spirit scented the room", true, 0.05, 0.25),
    FOLD_LEFT("a knife cut was left open on the underside", false, 0, 0),
    RAW_GARLIC("raw garlic lay under the cloth", false, 0, 0),
    DIRTY_ROOM("the room held spores of foreign mould", false, 0, 0),
    TRAY_ON_THE_SCALE("a tray was left on the scale", false, 0.05, 0.5);

    private final String told;
    private final boolean ofTheRoom;
    private final double earliest;
    private final double latest;

    Mishap(String told, boolean ofTheRoom, double earliest, double latest) {
        this.told = told;
        this.ofTheRoom = ofTheRoom;
        this.earliest = earliest;
        this.latest = latest;
    }

    /** As it stands in a sentence that looks back. */
    public String told() {
        return told;
    }

    /** Whether seeing to the room ends it. */
    public boolean isOfTheRoom() {
        return ofTheRoom;
    }

    /** One thing in four goes wrong, of those that can (EST). */
    private static final double GOES_WRONG = 0.25;

    /** What befalls such a piece in the world of a seed. */
    public static Set<Mishap> drawn(RehearsalPlan plan, long seed) {
        Set<Mishap> befall = EnumSet.noneOf(Mishap.class);
        Random chance = new Random(seed);
        chance.nextDouble(); // neighbouring seeds begin alike
        for (Mishap mishap : values()) {
            if (chance.nextDouble() < GOES_WRONG && mishap.canBefall(plan)) {
                befall.add(mishap);
            }
        }
        return befall;
    }

    private boolean canBefall(RehearsalPlan plan) {
        ChamberKind place = plan.place();
        boolean machine = place == ChamberKind.CABINET || place == ChamberKind.WALK_IN;
        return switch (this) {
            case COMPRESSOR_FAILS, FAN_OFF, RUNS_DRY -> machine;
            case DOOR_AJAR -> place != ChamberKind.ICE_CHEST;
            case HOT_SPELL -> place == ChamberKind.SHED || place == ChamberKind.REFRIGERATOR;
            case LOAD_ADDED -> machine || place == ChamberKind.SHED;
            case SEAL_FAILS, CONTACT_LIFTS -> plan.method() == Method.MEMBRANE;
            case NEIGHBOUR_SCENTS, DIRTY_ROOM, FOLD_LEFT -> plan.method() == Method.OPEN_AIR;
            case RAW_GARLIC -> plan.coating() == Coating.CLOTH;
            case TRAY_ON_THE_SCALE -> true;
        };
    }

    /** When it begins, by a draw from 0 to 1, as a day of a stay of so many planned days. */
    double day(double draw, int plannedDays) {
        return plannedDays * (earliest + (latest - earliest) * draw);
    }
}
