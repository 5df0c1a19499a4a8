package elvaro.core.rehearsal;

import elvaro.core.air.ChamberKind;
import elvaro.core.drying.Method;
import elvaro.core.keeping.Excursions;
import elvaro.core.yield.BenchOrder;
import elvaro.core.yield.Closeness;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;

/**
 * One piece in one room from its hanging on, hour by hour. What it does follows from the plan, its seed and what was done
 * to it, and from nothing else.
 */
public final class RehearsalWorld {
    private static final double HOUR = 1 / 24.0;
    private static final double SECONDS = 3600;

    /** The part of the surface that lies on the rack, where little air passes. */
    private static final double UNDERSIDE = 0.28;

    private static final double UNDERSIDE_AIR = 0.45;

    /** Where it hangs by a hook there is no underside. */
    private static final double HUNG_UNDERSIDE_AIR = 0.8;

    private static final double DENSITY = 1060;

    /** Above this it sours from the bone, °C (EST). */
    private static final double WARM_AT_THE_BONE = 6;

    /** A seal of fat, as a thousand and a half of the trade's tables, Pa·d·m²/kg (EST). */
    private static final double SEAL = 1500;

    /** Days times Pa·m²/kg, as the trade's tables give resistances, into seconds. */
    private static final double SECONDS_A_DAY = 86_400;

    /** Grams. */
    private static final int TRAY = 240;

    private final RehearsalPlan plan;
    private final Luck luck;
    private final List<Deed> deeds;
    private final TrueRoom room;
    private final TrueMembrane membrane;
    private final CoatEffect coat;
    private final MeatLayers[] faces = new MeatLayers[2];
    private final Flora[] flora = new Flora[2];
    private final double bone;
    private final double fat;
    private final double fatFace;
    private int below = 1;
    private boolean fold;
    private double pocketMm;
    private double rancid;
    private double scent;
    private double untender = 1;
    private long hour;

    /**
     * @param plan what is rehearsed
     * @param deeds what was and will be done to it
     */
    public RehearsalWorld(RehearsalPlan plan, List<Deed> deeds) {
        this.plan = plan;
        this.deeds = new ArrayList<>(deeds);
        luck = new Luck(plan);
        room = new TrueRoom(plan, luck, this.deeds);
        membrane = new TrueMembrane(plan, luck);
        coat = CoatEffect.of(plan);
        double kilograms = plan.greenGrams() / 1000.0;
        double area = Proportions.of(plan.cut().surface()).squareMetres(kilograms / DENSITY) * luck.surface;
        bone = plan.boneIn() ? kilograms * plan.cut().boneShare() : 0;
        fatFace = plan.fatCoverMm() >= 3 ? 0.3 : 0;
        fat = Math.min(0.3 * kilograms, area * fatFace * plan.fatCoverMm() / 1000 * 920);
        double lean = kilograms - bone - fat;
        double bare = area * (plan.boneIn() ? 0.85 : 1);
        double middle = 3 * lean / DENSITY / bare;
        double down = UNDERSIDE;
        faces[0] = new MeatLayers(bare * (1 - down), middle, luck.water);
        faces[1] = new MeatLayers(bare * down, middle, luck.water);
        for (int face = 0; face < 2; face++) {
            flora[face] = new Flora(luck.bacteria, luck.spores);
        }
        fold = plan.has(Mishap.FOLD_LEFT);
    }

    /**
     * Lives on to a day.
     *
     * @param day not before the day it stands at
     * @return how the piece is then
     */
    public PieceTruth at(double day) {
        while (hour * HOUR + 1e-9 < day) {
            double from = hour * HOUR;
            deeds.stream()
                    .filter(deed -> deed.day() >= from && deed.day() < from + HOUR)
                    .sorted(Comparator.comparingDouble(Deed::day))
                    .forEach(this::done);
            live(from + HOUR);
            hour++;
        }
        return truth();
    }

    /** Something more is done to it. @param deed on no day before the one it stands at */
    void isDone(Deed deed) {
        if (deed.day() < hour * HOUR - 1e-9) {
            throw new IllegalArgumentException("That day is over");
        }
        deeds.add(deed);
    }

    private void done(Deed deed) {
        switch (deed.kind()) {
            case TURNED -> below = 1 - below;
            case RESEALED -> membrane.seal(deed.day());
            case UNWRAPPED -> membrane.comeOff();
            case TRIMMED -> {
                fold = false;
                for (Flora each : flora) {
                    each.clean();
                }
            }
            case SAW_TO_THE_ROOM -> {} // the room asks for it
        }
    }

    private void live(double day) {
        TrueAir air = room.air(day);
        if (plan.method() == Method.SALT_TRAY) {
            air = new TrueAir(air.celsius(), air.humidity() + 0.55 * (0.755 - air.humidity()), air.speed());
        }
        if (plan.method() == Method.VACUUM || plan.method() == Method.ON_ICE) {
            air = new TrueAir(air.celsius(), 0.99, 0.05);
        }
        membrane.loosen(day, HOUR);
        boolean film = membrane.isOn();
        boolean seal = plan.method() == Method.FAT_SEAL;
        for (int face = 0; face < 2; face++) {
            boolean lies = face == below;
            double passes = hangsFreely() ? HUNG_UNDERSIDE_AIR : UNDERSIDE_AIR;
            TrueAir here = lies ? new TrueAir(air.celsius(), damped(air.humidity()), air.speed() * passes) : air;
            if (plan.method() != Method.VACUUM && plan.method() != Method.ON_ICE) {
                faces[face].pass(SECONDS, here, luck.film * uncovered(), between(seal), coat.binds(), luck.diffusion);
            }
            double activity = Math.min(coat.binds(), faces[face].activity());
            double pocket = film ? Math.max(0, membrane.lifted() - 0.1) : fold && lies ? 0.05 : 0;
            flora[face].pass(
                    HOUR,
                    CoatEffect.under(plan.coating(), here),
                    activity,
                    film && !membrane.isOpen(day) || seal,
                    pocket,
                    coat.feeds(),
                    coat.powders());
        }
        pocketMm += HOUR * pocketGrowth(air, film, seal);
        rancid += HOUR * Math.exp(0.08 * (air.celsius() - 2)) / 130 * (film || seal ? 0.4 : 1);
        scent = Math.min(3, scent + HOUR * (room.runs(Mishap.NEIGHBOUR_SCENTS, day) ? 0.25 : -0.02 * scent));
        double rate = plan.cut().species().tenderising().orElse(0) * Math.pow(2.5, (air.celsius() - 1) / 10);
        untender *= Math.exp(-HOUR * (air.celsius() < -1.5 ? 0 : rate));
    }

    private static double damped(double humidity) {
        return humidity + 0.12 * (0.97 - humidity);
    }

    private boolean hangsFreely() {
        return plan.place() == ChamberKind.WALK_IN || plan.place() == ChamberKind.SHED;
    }

    /** Pa·s·m²/kg that lie between meat and air. */
    private double between(boolean seal) {
        return (membrane.between(hour * HOUR) + (seal ? SEAL : 0) + coat.between()) * SECONDS_A_DAY;
    }

    /** The fat cap keeps most of what lies under it. */
    private double uncovered() {
        return (1 - fatFace * 0.7) * coat.draws();
    }

    /** Rot under film that does not touch, under a seal, in a fold: it needs neither moving air nor much warmth. */
    private double pocketGrowth(TrueAir air, boolean film, boolean seal) {
        if (air.celsius() < -1.5) {
            return 0;
        }
        double warmth = Math.pow(2.4, (air.celsius() - 2) / 10);
        if (seal) {
            return 0.62 * warmth;
        }
        if (film && membrane.lifted() > 0.25) {
            return 0.40 * warmth;
        }
        double atTheBone = plan.boneIn() ? Math.max(0, 0.2 * (air.celsius() - WARM_AT_THE_BONE)) : 0;
        return fold && !film ? 0.12 * warmth : atTheBone;
    }

    /** What a probe at it shows on a day: not quite what the air is. */
    public TrueAir shown(double day) {
        TrueAir air = room.air(Math.max(HOUR, day));
        return new TrueAir(air.celsius(), Math.max(0, Math.min(1, air.humidity() + luck.probeOff)), air.speed());
    }

    /** What lies on the scale before anything is weighed, g. */
    public int onTheScale(double day) {
        return luck.hasBegun(Mishap.TRAY_ON_THE_SCALE, day) ? TRAY : 0;
    }

    /** When an alarm calls between two days: two hours above 5 °C where a machine cools; empty where none does. */
    public OptionalDouble callsBetween(double from, double to) {
        if (plan.place() != ChamberKind.CABINET && plan.place() != ChamberKind.WALK_IN) {
            return OptionalDouble.empty();
        }
        for (double day = from + HOUR; day <= to; day += HOUR) {
            boolean warm = isWarm(day) && isWarm(day - HOUR) && isWarm(day - 2 * HOUR);
            boolean before = isWarm(day - 3 * HOUR);
            if (warm && !before) {
                return OptionalDouble.of(day);
            }
        }
        return OptionalDouble.empty();
    }

    private boolean isWarm(double day) {
        return day > 0 && shown(day).celsius() > Excursions.LIMIT_CELSIUS;
    }

    /** What is wrong with the room on a day, for whoever goes and looks. */
    public List<Mishap> wrongWithTheRoom(double day) {
        return plan.mishaps().stream()
                .filter(mishap -> mishap.isOfTheRoom() && room.runs(mishap, day))
                .sorted()
                .toList();
    }

    /** All that befell the piece up to a day, and since when. */
    public Map<Mishap, Double> befell(double day) {
        Map<Mishap, Double> all = new EnumMap<>(Mishap.class);
        plan.mishaps().stream()
                .filter(mishap -> luck.begins(mishap) <= day)
                .forEach(mishap -> all.put(mishap, luck.begins(mishap)));
        return all;
    }

    /**
     * Cuts it up as it is.
     *
     * @param order which comes first
     * @param closeness how close to the crust the knife goes
     * @return whole grams that add up to what it weighs
     */
    public Map<Heap, Integer> cutUp(BenchOrder order, Closeness closeness) {
        return new CutUp(truth(), plan.method(), faces, flora).heaps(order, closeness, fat, bone);
    }

    private PieceTruth truth() {
        double day = hour * HOUR;
        double meat = bone + fat + faces[0].kilograms() + faces[1].kilograms();
        double purge = switch (plan.method()) {
            case VACUUM -> 0.015 * (1 - Math.exp(-day / 8));
            default -> 0;
        };
        double share = 1 - UNDERSIDE;
        return new PieceTruth(
                day,
                1000 * (meat - purge * plan.greenGrams() / 1000.0),
                room.air(Math.max(HOUR, day)),
                Math.min(faces[0].skinWater(), faces[1].skinWater()),
                Math.max(faces[0].activity(), faces[1].activity()),
                1000 * Math.max(faces[0].crust(), faces[1].crust()),
                Math.max(flora[0].bacteria(), flora[1].bacteria()),
                Math.max(flora[0].acid(), flora[1].acid()),
                share * flora[0].bloom() + (1 - share) * flora[1].bloom(),
                share * flora[0].foreign() + (1 - share) * flora[1].foreign(),
                membrane.isOn(),
                membrane.lifted(),
                membrane.isOpen(day),
                pocketMm,
                fold,
                rancid,
                scent,
                1 - untender);
    }
}
