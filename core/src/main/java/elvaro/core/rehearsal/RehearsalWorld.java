package elvaro.core.rehearsal;

import elvaro.core.air.ChamberKind;
import elvaro.core.cut.SurfaceClass;
import elvaro.core.drying.Coating;
import elvaro.core.drying.Method;
import elvaro.core.yield.BenchOrder;
import elvaro.core.yield.Closeness;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;

/**
 * One piece in one room from its hanging on, hour by hour. What it does follows from the scenario, its seed and what was done
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

    private static final int LEAST_HEAP = 20;

    /** Less than this is no steak, kg. */
    private static final double TOO_THIN = 0.05;

    /** What is cut out about a spot of mould, as so much more of the surface. */
    private static final double SPREADS = 3;

    /** Above this it sours from the bone, °C (EST). */
    private static final double WARM_AT_THE_BONE = 6;

    /** Days times Pa·m²/kg, as the trade's tables give resistances, into seconds. */
    private static final double SECONDS_A_DAY = 86_400;

    private final Scenario scenario;
    private final Luck luck;
    private final List<Deed> deeds;
    private final TrueRoom room;
    private final MeatLayers[] faces = new MeatLayers[2];
    private final Flora[] flora = new Flora[2];
    private final double bone;
    private final double fat;
    private final double fatFace;
    private int below = 1;
    private double lifted;
    private boolean wrapped;
    private boolean fold;
    private double pocketMm;
    private double rancid;
    private double scent;
    private double untender = 1;
    private double tightSince;
    private long hour;

    /**
     * @param scenario what is rehearsed
     * @param deeds what was and will be done to it
     */
    public RehearsalWorld(Scenario scenario, List<Deed> deeds) {
        this.scenario = scenario;
        this.deeds =
                deeds.stream().sorted(Comparator.comparingDouble(Deed::day)).toList();
        luck = new Luck(scenario);
        room = new TrueRoom(scenario, luck, this.deeds);
        double kilograms = scenario.greenGrams() / 1000.0;
        double area = Box.of(scenario.cut().surface()).squareMetres(kilograms / DENSITY) * luck.surface;
        bone = scenario.boneIn() ? kilograms * scenario.cut().boneShare() : 0;
        fatFace = scenario.fatCoverMm() >= 3 ? 0.3 : 0;
        fat = Math.min(0.3 * kilograms, area * fatFace * scenario.fatCoverMm() / 1000 * 920);
        double lean = kilograms - bone - fat;
        double bare = area * (scenario.boneIn() ? 0.85 : 1);
        double middle = 3 * lean / DENSITY / bare;
        double down = UNDERSIDE;
        faces[0] = new MeatLayers(bare * (1 - down), middle, luck.water);
        faces[1] = new MeatLayers(bare * down, middle, luck.water);
        for (int face = 0; face < 2; face++) {
            flora[face] = new Flora(luck.bacteria, luck.spores);
        }
        wrapped = scenario.isWrapped();
        lifted = scenario.method() == Method.MEMBRANE ? 0.05 : 0;
        fold = scenario.has(Mishap.FOLD_LEFT);
    }

    /** A block of the proportions of a cut. Estimates (EST) of this world's own. */
    private record Box(double height, double width, double length) {
        static Box of(SurfaceClass shape) {
            return switch (shape) {
                case COMPACT_ROAST -> new Box(1, 1.3, 1.6);
                case LONG_SUBPRIMAL, WHOLE_FISH -> new Box(1, 1.6, 3.2);
                case FLAT_CUT -> new Box(1, 3, 5);
                case SINGLE_STEAK -> new Box(1, 3.2, 5);
                case WHOLE_BIRD -> new Box(1, 1.3, 1.5);
                case QUARTER_OR_SADDLE -> new Box(1, 1.8, 3.2);
            };
        }

        double squareMetres(double cubicMetres) {
            double surface = 2 * (height * width + height * length + width * length);
            return surface * Math.pow(cubicMetres / (height * width * length), 2.0 / 3);
        }
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
                    .forEach(this::done);
            live(from + HOUR);
            hour++;
        }
        return truth();
    }

    private void done(Deed deed) {
        switch (deed.kind()) {
            case TURNED -> below = 1 - below;
            case RESEALED -> {
                lifted = 0.05;
                tightSince = deed.day();
            }
            case UNWRAPPED -> {
                wrapped = false;
                lifted = 0;
            }
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
        if (scenario.method() == Method.SALT_TRAY) {
            air = new TrueAir(air.celsius(), air.humidity() + 0.55 * (0.755 - air.humidity()), air.speed());
        }
        if (scenario.method() == Method.VACUUM || scenario.method() == Method.ON_ICE) {
            air = new TrueAir(air.celsius(), 0.99, 0.05);
        }
        loosen(day);
        boolean film = wrapped;
        boolean seal = scenario.method() == Method.FAT_SEAL;
        for (int face = 0; face < 2; face++) {
            boolean lies = face == below;
            double passes = hangsFreely() ? HUNG_UNDERSIDE_AIR : UNDERSIDE_AIR;
            TrueAir here = lies ? new TrueAir(air.celsius(), damped(air.humidity()), air.speed() * passes) : air;
            if (scenario.method() != Method.VACUUM && scenario.method() != Method.ON_ICE) {
                faces[face].pass(SECONDS, here, luck.film * uncovered(), between(film, seal), binds(), luck.diffusion);
            }
            double activity = Math.min(binds(), faces[face].activity());
            double pocket = film ? Math.max(0, lifted - 0.1) : fold && lies ? 0.05 : 0;
            flora[face].pass(HOUR, under(here), activity, film && !isOpen(day) || seal, pocket, feeds(), powders());
        }
        pocketMm += HOUR * pocketGrowth(air, film, seal);
        rancid += HOUR * Math.exp(0.08 * (air.celsius() - 2)) / 130 * (film || seal ? 0.4 : 1);
        scent = Math.min(3, scent + HOUR * (room.runs(Mishap.NEIGHBOUR_SCENTS, day) ? 0.25 : -0.02 * scent));
        double rate = scenario.cut().species().tenderising().orElse(0) * Math.pow(2.5, (air.celsius() - 1) / 10);
        untender *= Math.exp(-HOUR * (air.celsius() < -1.5 ? 0 : rate));
    }

    private static double damped(double humidity) {
        return humidity + 0.12 * (0.97 - humidity);
    }

    private boolean hangsFreely() {
        return scenario.place() == ChamberKind.WALK_IN || scenario.place() == ChamberKind.SHED;
    }

    /** The film lifts a little by itself, and a lot where it is to. */
    private void loosen(double day) {
        if (!wrapped || scenario.method() != Method.MEMBRANE) {
            return;
        }
        boolean lets = luck.hasBegun(Mishap.CONTACT_LIFTS, day) && luck.begins(Mishap.CONTACT_LIFTS) >= tightSince;
        boolean open = isOpen(day);
        double most = lets ? 0.55 : open ? 0.40 : 0.12;
        double cloth = scenario.coating() == Coating.CLOTH ? 0.35 : 0;
        lifted += HOUR * (lets || open || cloth > 0 ? 0.12 : 0.004) * Math.max(0, Math.max(most, cloth) - lifted);
    }

    private boolean isOpen(double day) {
        return wrapped && luck.hasBegun(Mishap.SEAL_FAILS, day) && luck.begins(Mishap.SEAL_FAILS) >= tightSince;
    }

    /** Pa·s·m²/kg that lie between meat and air. */
    private double between(boolean film, boolean seal) {
        double days = 0;
        if (film) {
            days = isOpen(hour * HOUR) ? 90 : 480 / Math.max(0.2, 1 - lifted);
        }
        if (seal) {
            days += 1500;
        }
        days += switch (scenario.coating()) {
            case NONE, SALT_RUB, POWDER, SYRUP -> 0;
            case PASTE -> 160;
            case CLOTH -> 90;
            case FAT_SEAL -> 1500;
            case HIDE -> 1200;
        };
        return days * SECONDS_A_DAY;
    }

    private double binds() {
        return switch (scenario.coating()) {
            case SYRUP -> 0.90;
            case SALT_RUB -> 0.93;
            default -> 1;
        };
    }

    /** Under a cloth the air stands and is damp. */
    private TrueAir under(TrueAir air) {
        return scenario.coating() == Coating.CLOTH
                ? new TrueAir(air.celsius(), 0.4 * air.humidity() + 0.6 * 0.98, 0.05)
                : air;
    }

    private double powders() {
        return scenario.coating() == Coating.SYRUP ? 0.25 : 1;
    }

    private double feeds() {
        return switch (scenario.coating()) {
            case CLOTH -> scenario.has(Mishap.RAW_GARLIC) ? 1.1 : 0.35;
            case PASTE -> 1.3;
            case SYRUP, SALT_RUB -> 0.5;
            default -> 1;
        };
    }

    /** The fat cap keeps most of what lies under it. */
    private double uncovered() {
        return (1 - fatFace * 0.7) * (scenario.coating() == Coating.POWDER ? 1.6 : 1);
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
        if (film && lifted > 0.25) {
            return 0.40 * warmth;
        }
        double atTheBone = scenario.boneIn() ? Math.max(0, 0.2 * (air.celsius() - WARM_AT_THE_BONE)) : 0;
        return fold && !film ? 0.12 * warmth : atTheBone;
    }

    /** What a probe at it shows on a day: not quite what the air is. */
    public TrueAir shown(double day) {
        TrueAir air = room.air(Math.max(HOUR, day));
        return new TrueAir(air.celsius(), Math.max(0, Math.min(1, air.humidity() + luck.probeOff)), air.speed());
    }

    /** When an alarm calls between two days: two hours above 5 °C where a machine cools; empty where none does. */
    public OptionalDouble callsBetween(double from, double to) {
        if (scenario.place() != ChamberKind.CABINET && scenario.place() != ChamberKind.WALK_IN) {
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
        return day > 0 && shown(day).celsius() > 5;
    }

    /** What is wrong with the room on a day, for whoever goes and looks. */
    public List<Mishap> wrongWithTheRoom(double day) {
        return scenario.mishaps().stream()
                .filter(mishap -> mishap.isOfTheRoom() && room.runs(mishap, day))
                .sorted()
                .toList();
    }

    /** All that befell the piece up to a day, and since when. */
    public Map<Mishap, Double> befell(double day) {
        Map<Mishap, Double> all = new EnumMap<>(Mishap.class);
        scenario.mishaps().stream()
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
        PieceTruth truth = truth();
        double good = 0;
        double crust = 0;
        double spoilt = 0;
        double knife = (order.marginMm() + closeness.moreMm()) / 1000;
        for (int face = 0; face < 2; face++) {
            double all = faces[face].kilograms();
            double bad = truth.isLost() ? 1 : Math.min(1, flora[face].foreign() * SPREADS + badPockets());
            double deep = depth(face, truth);
            double off = faces[face].kilogramsTo(Math.max(0, crust(face) + (crust(face) > 0 ? knife : 0)));
            double rotten = truth.isLost() ? all : Math.min(all, faces[face].kilogramsTo(deep));
            spoilt += bad * rotten;
            crust += Math.max(0, Math.min(off, all) - bad * Math.min(off, rotten));
            good += all - Math.max(Math.min(off, all), 0) - bad * Math.max(0, rotten - Math.min(off, all));
        }
        Map<Heap, Integer> heaps = new EnumMap<>(Heap.class);
        put(heaps, Heap.CLEAN_CRUST, crust);
        put(heaps, Heap.SPOILT, spoilt);
        put(heaps, truth.rancid() >= 1 ? Heap.TURNED_FAT : Heap.FAT, fat);
        put(heaps, Heap.BONE, bone);
        int others = heaps.values().stream().mapToInt(each -> each).sum();
        int whole = (int) Math.round(truth.grams());
        Heap rest = good < TOO_THIN ? Heap.CLEAN_CRUST : Heap.STEAKS;
        if (whole > others) {
            heaps.merge(rest, whole - others, Integer::sum);
        }
        return heaps;
    }

    private static void put(Map<Heap, Integer> heaps, Heap heap, double kilograms) {
        int grams = (int) Math.round(1000 * kilograms);
        if (grams >= LEAST_HEAP) { // less sticks to the knife
            heaps.put(heap, grams);
        }
    }

    /** How deep is cut where something foreign grew or rotted, metres. */
    private double depth(int face, PieceTruth truth) {
        double rot = truth.pocketMm() / 1000 + 0.005;
        double mould = flora[face].foreign() >= PieceTruth.SPOT ? crust(face) + 0.015 : 0;
        double slime = flora[face].bacteria() >= PieceTruth.SLIME ? 0.008 : 0;
        return Math.max(mould, Math.max(slime, truth.pocketMm() >= PieceTruth.ROT_MM ? rot : 0));
    }

    /** Share of a face over pockets that rotted. */
    private double badPockets() {
        if (pocketMm < PieceTruth.ROT_MM) {
            return flora[0].bacteria() >= PieceTruth.SLIME || flora[1].bacteria() >= PieceTruth.SLIME ? 0.6 : 0;
        }
        return scenario.method() == Method.FAT_SEAL ? 1 : Math.max(0.15, lifted);
    }

    private PieceTruth truth() {
        double day = hour * HOUR;
        double meat = bone + fat + faces[0].kilograms() + faces[1].kilograms();
        double purge = switch (scenario.method()) {
            case VACUUM -> 0.015 * (1 - Math.exp(-day / 8));
            default -> 0;
        };
        double share = 1 - UNDERSIDE;
        return new PieceTruth(
                day,
                1000 * (meat - purge * scenario.greenGrams() / 1000.0),
                room.air(Math.max(HOUR, day)),
                Math.min(faces[0].skinWater(), faces[1].skinWater()),
                Math.max(faces[0].activity(), faces[1].activity()),
                1000 * Math.max(crust(0), crust(1)),
                Math.max(flora[0].bacteria(), flora[1].bacteria()),
                Math.max(flora[0].acid(), flora[1].acid()),
                share * flora[0].bloom() + (1 - share) * flora[1].bloom(),
                share * flora[0].foreign() + (1 - share) * flora[1].foreign(),
                wrapped,
                wrapped ? lifted : 0,
                isOpen(day),
                pocketMm,
                fold,
                rancid,
                scent,
                1 - untender);
    }

    private double crust(int face) {
        return faces[face].crust(TOO_DRY);
    }

    /** Water over dry solids below which it chews, kg/kg (EST). */
    private static final double TOO_DRY = 1.55;
}
