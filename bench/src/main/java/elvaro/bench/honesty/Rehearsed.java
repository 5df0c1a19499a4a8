package elvaro.bench.honesty;

import elvaro.core.air.ChamberKind;
import elvaro.core.air.Climate;
import elvaro.core.air.HourlyAir;
import elvaro.core.cut.Cut;
import elvaro.core.cut.CutCatalogue;
import elvaro.core.drying.Coating;
import elvaro.core.drying.Hanging;
import elvaro.core.drying.Method;
import elvaro.core.drying.Surface;
import elvaro.core.estimate.Estimates;
import elvaro.core.forecast.Belief;
import elvaro.core.forecast.Forecast;
import elvaro.core.forecast.Observed;
import elvaro.core.keeping.Excursions.TimedReading;
import elvaro.core.notice.AirLimits;
import elvaro.core.notice.AirTrouble;
import elvaro.core.notice.AirTrouble.Lately;
import elvaro.core.notice.NoticeKind;
import elvaro.core.rehearsal.Deed;
import elvaro.core.rehearsal.Heap;
import elvaro.core.rehearsal.Mishap;
import elvaro.core.rehearsal.RehearsalLesson;
import elvaro.core.rehearsal.RehearsalPlan;
import elvaro.core.rehearsal.RehearsalWorld;
import elvaro.core.rehearsal.SimulatedTaster;
import elvaro.core.rehearsal.Taste;
import elvaro.core.rehearsal.TrueAir;
import elvaro.core.tasting.Preference;
import elvaro.core.trial.Effect;
import elvaro.core.trial.Effect.ArmValue;
import elvaro.core.trial.Judgement;
import elvaro.core.trial.Judgement.Found;
import elvaro.core.trial.Strength;
import elvaro.core.trial.TrialMeasure;
import elvaro.core.yield.BenchOrder;
import elvaro.core.yield.Closeness;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.Random;
import java.util.Set;

/**
 * The world of the rehearsal as the outside check of the product: its forecast, its trials and its alarms, in a world that
 * shares none of their equations. Seeds 1 and up. Prints four tables.
 */
public final class Rehearsed {
    private static final Instant HUNG = Instant.parse("2026-01-05T00:00:00Z");
    private static final int PIECES = 300;
    private static final int DIVISION = 5;
    private static final int PULL = 35;
    private static final List<Deed> TURNED = List.of(new Deed(7, Deed.Kind.TURNED));

    private Rehearsed() {}

    /** One way of ageing, and what goes wrong in it. */
    private record Way(String name, String cut, int grams, Method method, ChamberKind place, Set<Mishap> mishaps) {
        RehearsalPlan plan(long seed) {
            return new RehearsalPlan(
                    CutCatalogue.get(cut), grams, false, 0, method, Coating.NONE, place, PULL, 0, mishaps, seed);
        }
    }

    private static List<Way> ways() {
        return List.of(
                new Way("cabinet, as it should be", "strip", 6000, Method.OPEN_AIR, ChamberKind.CABINET, Set.of()),
                new Way("walk-in, as it should be", "ribeye", 5000, Method.OPEN_AIR, ChamberKind.WALK_IN, Set.of()),
                new Way(
                        "fresh meat hung beside it",
                        "ribeye",
                        5000,
                        Method.OPEN_AIR,
                        ChamberKind.WALK_IN,
                        Set.of(Mishap.LOAD_ADDED)),
                new Way(
                        "a room that runs dry",
                        "strip",
                        6000,
                        Method.OPEN_AIR,
                        ChamberKind.CABINET,
                        Set.of(Mishap.RUNS_DRY)),
                new Way(
                        "a fan that stands",
                        "strip",
                        6000,
                        Method.OPEN_AIR,
                        ChamberKind.CABINET,
                        Set.of(Mishap.FAN_OFF)),
                new Way(
                        "a membrane in a refrigerator",
                        "strip",
                        5000,
                        Method.MEMBRANE,
                        ChamberKind.REFRIGERATOR,
                        Set.of()),
                new Way(
                        "a membrane that lifts",
                        "strip",
                        5000,
                        Method.MEMBRANE,
                        ChamberKind.REFRIGERATOR,
                        Set.of(Mishap.CONTACT_LIFTS)),
                new Way(
                        "a salt tray in a refrigerator",
                        "strip",
                        3000,
                        Method.SALT_TRAY,
                        ChamberKind.REFRIGERATOR,
                        Set.of()));
    }

    public static void main(String[] arguments) {
        forecasts();
        trials();
        tables();
        alarms();
    }

    /** Tables before two steaks that are alike, and before two of which most people like the second. */
    private static void tables() {
        int tables = 20_000;
        System.out.printf("%nTables that are asked which of two is liked better, %d a cell, %% shown:%n", tables);
        System.out.printf("%-34s %8s %8s %8s %8s%n", "", "3", "6", "12", "24");
        for (long seed : new long[] {2, 1}) {
            List<Taste> two = RehearsalLesson.THREE_TASTERS.tasted(seed).stream()
                    .map(plan -> Taste.of(plan, new RehearsalWorld(plan, List.of()).at(plan.plannedDays())))
                    .toList();
            StringBuilder line =
                    new StringBuilder("%-34s".formatted(seed == 2 ? "two of 28 days" : "one of 10 and one of 45 days"));
            int person = 0;
            for (int tasters : new int[] {3, 6, 12, 24}) {
                int shown = 0;
                for (int table = 0; table < tables; table++) {
                    List<Integer> voices = new ArrayList<>();
                    for (int seat = 0; seat < tasters; seat++) {
                        OptionalInt liked =
                                new SimulatedTaster(seed, person++).eats(two, 0).liked();
                        voices.add(liked.isEmpty() ? 0 : liked.getAsInt() == 0 ? 1 : -1);
                    }
                    shown += Preference.count(voices).p() < Preference.LEVEL ? 1 : 0;
                }
                line.append("%9.1f".formatted(100.0 * shown / tables));
            }
            System.out.println(line);
        }
    }

    private static void forecasts() {
        System.out.println(
                "The 80 % band of the forecast for day 35 in the world of the rehearsal, 300 pieces a cell:");
        System.out.printf("%-34s %s%n", "", "  4: held  miss (line root)    8: held  miss (line root)");
        for (Way way : ways()) {
            StringBuilder line = new StringBuilder("%-34s".formatted(way.name()));
            for (int weighings : new int[] {4, 8}) {
                line.append(cell(way, weighings));
            }
            System.out.println(line);
        }
    }

    private static String cell(Way way, int weighings) {
        Random random = new Random(28L + weighings);
        int held = 0;
        double[] forecast = new double[PIECES];
        double[] straight = new double[PIECES];
        double[] root = new double[PIECES];
        for (int piece = 0; piece < PIECES; piece++) {
            RehearsalPlan plan = way.plan(piece + 1);
            RehearsalWorld world = new RehearsalWorld(plan, TURNED);
            double last = PULL * (0.35 + 0.25 * random.nextDouble());
            List<Observed> seen = new ArrayList<>();
            List<HourlyAir> recorded = new ArrayList<>();
            for (int index = 1; index <= weighings; index++) {
                double day = last * index / weighings;
                seen.add(new Observed(day, lost(world, plan, day, random)));
            }
            long first = HUNG.getEpochSecond() / 3600;
            for (int hour = 1; hour <= last * 24; hour++) {
                TrueAir air = world.shown(hour / 24.0);
                recorded.add(new HourlyAir(first + hour, air.celsius(), air.humidity(), Double.NaN));
            }
            Cut cut = plan.cut();
            Climate climate = HourlyAir.climate(
                    recorded,
                    HUNG,
                    HUNG.plus(Duration.ofMinutes((long) (last * 1440))),
                    way.place().usualAir(),
                    Estimates.SET_HUMIDITY_SD);
            Hanging hanging = new Hanging(
                    plan.greenGrams(),
                    Surface.of(cut.surface(), plan.greenGrams(), 0, false),
                    false,
                    way.method(),
                    Coating.NONE,
                    0.95);
            Forecast.Day day = Forecast.of(hanging.dryingIn(climate), Belief.ESTIMATES, seen, DIVISION)
                    .on(PULL);
            double truth = lost(world, plan, PULL, random);
            held += truth >= day.least() && truth <= day.most() ? 1 : 0;
            Observed end = seen.get(seen.size() - 1);
            forecast[piece] = Math.abs(day.lost() - truth);
            straight[piece] = Math.abs(end.lost() / end.day() * PULL - truth);
            root[piece] = Math.abs(end.lost() * Math.sqrt(PULL / end.day()) - truth);
        }
        return " %8.0f %% %5.2f (%4.2f %4.2f)"
                .formatted(100.0 * held / PIECES, median(forecast), median(straight), median(root));
    }

    private static double lost(RehearsalWorld world, RehearsalPlan plan, double day, Random random) {
        double grams = world.at(day).grams() * (1 + 0.002 * random.nextGaussian());
        return 1 - Math.round(grams / DIVISION) * DIVISION / (double) plan.greenGrams();
    }

    /** In points. */
    private static double median(double[] values) {
        double[] sorted = values.clone();
        Arrays.sort(sorted);
        return 100 * (sorted[sorted.length / 2] + sorted[(sorted.length - 1) / 2]) / 2;
    }

    /** Pieces of a pool that differ by nothing but luck, drawn into arms. */
    private static void trials() {
        int trials = 20_000;
        System.out.printf(
                "%nTrials between arms of one kind, each piece of an animal of its own, %d trials a cell, %%:%n",
                trials);
        System.out.printf("%-34s %6s %8s %8s %8s%n", "", "arms", "pieces", "shown", "leans");
        for (Way way : List.of(ways().get(0), ways().get(5))) {
            List<Map<TrialMeasure, Double>> pool = new ArrayList<>();
            for (long seed = 1; seed <= 400; seed++) {
                pool.add(figures(way.plan(seed)));
            }
            for (int arms = 1; arms <= 3; arms++) {
                for (int pieces : new int[] {2, 4, 8}) {
                    Random random = new Random(29L * arms + pieces);
                    int shown = 0;
                    int leans = 0;
                    for (int trial = 0; trial < trials; trial++) {
                        List<Judgement> judged = trial(pool, arms, pieces, random);
                        boolean any = judged.stream().anyMatch(each -> each.strength() == Strength.SHOWN);
                        shown += any ? 1 : 0;
                        leans += !any && judged.stream().anyMatch(each -> each.strength() == Strength.LEANING) ? 1 : 0;
                    }
                    System.out.printf(
                            "%-34s %6d %8d %8.1f %8.1f%n",
                            way.name(), arms, pieces, 100.0 * shown / trials, 100.0 * leans / trials);
                }
            }
        }
    }

    private static Map<TrialMeasure, Double> figures(RehearsalPlan plan) {
        RehearsalWorld world = new RehearsalWorld(plan, TURNED);
        double green = plan.greenGrams();
        double aged = world.at(PULL).grams();
        Map<Heap, Integer> heaps = world.cutUp(BenchOrder.SLICE_FIRST, Closeness.USUAL);
        double steak = heaps.getOrDefault(Heap.STEAKS, 0) / green;
        double trim = heaps.getOrDefault(Heap.CLEAN_CRUST, 0) / green;
        Map<TrialMeasure, Double> all = new EnumMap<>(TrialMeasure.class);
        all.put(TrialMeasure.SHRINK, 1 - aged / green);
        all.put(TrialMeasure.DISCARD, heaps.getOrDefault(Heap.SPOILT, 0) / green);
        all.put(TrialMeasure.USABLE_YIELD, steak + trim);
        all.put(TrialMeasure.STEAK_YIELD, steak);
        return all;
    }

    private static List<Judgement> trial(List<Map<TrialMeasure, Double>> pool, int arms, int pieces, Random random) {
        List<Integer> drawn = random.ints(0, pool.size())
                .distinct()
                .limit((arms + 1L) * pieces)
                .boxed()
                .toList();
        List<Found> found = new ArrayList<>();
        for (int arm = 1; arm <= arms; arm++) {
            for (TrialMeasure measure : pool.get(0).keySet()) {
                Effect effect = Effect.of(
                        values(pool, drawn, 0, pieces, measure),
                        values(pool, drawn, arm, pieces, measure),
                        measure.step());
                found.add(new Found(arm - 1, measure, effect.p(), effect.freedom() > 0));
            }
        }
        return Judgement.of(TrialMeasure.STEAK_YIELD, found);
    }

    private static List<ArmValue> values(
            List<Map<TrialMeasure, Double>> pool, List<Integer> drawn, int arm, int pieces, TrialMeasure measure) {
        List<ArmValue> values = new ArrayList<>();
        for (int piece = 0; piece < pieces; piece++) {
            String animal = arm + "-" + piece;
            values.add(new ArmValue(
                    animal, animal, pool.get(drawn.get(arm * pieces + piece)).get(measure)));
        }
        return values;
    }

    /** How often it calls where nothing is wrong, and how soon where something is. */
    private static void alarms() {
        System.out.printf(
                "%nAlarms of a cabinet set to 2 °C and 80 %% RH, looked at every hour for 35 days, 100 worlds a row:%n");
        System.out.printf("%-34s %10s %14s %12s%n", "", "told", "hours after", "never told");
        for (Mishap mishap :
                new Mishap[] {null, Mishap.COMPRESSOR_FAILS, Mishap.DOOR_AJAR, Mishap.RUNS_DRY, Mishap.FAN_OFF}) {
            int told = 0;
            int never = 0;
            List<Double> after = new ArrayList<>();
            for (long seed = 1; seed <= 100; seed++) {
                Set<Mishap> all = mishap == null ? Set.of() : Set.of(mishap);
                RehearsalPlan plan = new Way("", "strip", 6000, Method.OPEN_AIR, ChamberKind.CABINET, all).plan(seed);
                RehearsalWorld world = new RehearsalWorld(plan, TURNED);
                double begins = mishap == null
                        ? Double.POSITIVE_INFINITY
                        : world.befell(PULL).get(mishap);
                Told of = told(world, begins);
                told += of.times();
                if (mishap != null) {
                    of.hoursAfter().ifPresent(after::add);
                    never += of.hoursAfter().isEmpty() ? 1 : 0;
                }
            }
            double[] hours = after.stream().mapToDouble(each -> each).sorted().toArray();
            System.out.printf(
                    "%-34s %10d %14s %12d%n",
                    mishap == null ? "nothing wrong" : mishap.told(),
                    told,
                    hours.length == 0 ? "–" : "%.0f (%.0f)".formatted(hours[hours.length / 2], hours[hours.length - 1]),
                    never);
        }
    }

    private record Told(int times, OptionalDouble hoursAfter) {}

    private static Told told(RehearsalWorld world, double begins) {
        AirLimits limits = AirLimits.of(
                2,
                Duration.ofMinutes(AirLimits.WARM_MINUTES),
                Duration.ofMinutes(AirLimits.SILENT_MINUTES),
                OptionalDouble.of(0.80));
        List<TimedReading> readings = new ArrayList<>();
        List<HourlyAir> hours = new ArrayList<>();
        Set<NoticeKind> open = EnumSet.noneOf(NoticeKind.class);
        int times = 0;
        OptionalDouble after = OptionalDouble.empty();
        for (int hour = 1; hour <= PULL * 24; hour++) {
            for (int part = 1; part <= 4; part++) {
                double day = (hour - 1 + part / 4.0) / 24;
                readings.add(new TimedReading(
                        HUNG.plusSeconds(Math.round(day * 86_400)),
                        world.shown(day).celsius()));
            }
            TrueAir air = world.shown(hour / 24.0);
            hours.add(
                    new HourlyAir(HUNG.getEpochSecond() / 3600 + hour - 1, air.celsius(), air.humidity(), Double.NaN));
            Instant now = HUNG.plus(Duration.ofHours(hour));
            List<AirTrouble> found = AirTrouble.of(
                    new Lately(
                            readings.subList(Math.max(0, readings.size() - 4 * 48), readings.size()),
                            hours.subList(Math.max(0, hours.size() - 15 * 24), hours.size()),
                            true),
                    limits,
                    open,
                    now);
            Set<NoticeKind> still = EnumSet.noneOf(NoticeKind.class);
            for (AirTrouble trouble : found) {
                if (trouble.told()) {
                    still.add(trouble.kind());
                    times += open.contains(trouble.kind()) ? 0 : 1;
                    if (!open.contains(trouble.kind()) && after.isEmpty() && hour / 24.0 >= begins) {
                        after = OptionalDouble.of(hour - begins * 24);
                    }
                }
            }
            open = still;
        }
        return new Told(times, after);
    }
}
