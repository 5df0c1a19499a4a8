package elvaro.core.rehearsal;

import elvaro.core.ledger.Stream;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * What is told when a rehearsal is over: what could have been noticed and when, what it cost, and how well it was judged. The
 * score measures against what could be known, so luck earns nothing and costs nothing.
 */
public final class Review {
    /** Minor units a kilogram, of an invented shop. */
    private static final Map<Stream, Integer> WORTH =
            Map.of(Stream.STEAK, 6800, Stream.USABLE_TRIM, 900, Stream.FAT, 250);

    private static final int A_SIGN_LATE = 4;
    private static final int MOST_FOR_A_SIGN = 30;
    private static final int GOOD_THROWN_AWAY = 15;
    private static final int CRUST_AS_STEAK = 45;
    private static final int WRONGLY_WEIGHED = 10;

    /** Scales and wet hands are off by less. */
    private static final double OFF_GRAMS = 60;

    private static final double OFF_SHARE = 0.01;

    /** Who is so late did not come by at all. */
    private static final double MISSED_DAYS = 6;

    private static final int PASSES = 60;
    private static final double HALF_A_DAY = 0.5;

    private final RehearsalPlan plan;
    private final List<Deed> deeds;
    private final Ending ending;
    private final List<Finding> findings = new ArrayList<>();
    private final List<WeightOnDay> curve = new ArrayList<>();
    private final Map<Heap, Integer> heaps;

    /** What a kilogram of a pile is worth in a rehearsal, minor units. */
    public static int worthMinorPerKg(Stream pile) {
        return WORTH.get(pile);
    }

    /** What a kilogram of it cost as it was bought, minor units. */
    public static final int GREEN_MINOR_PER_KG = 2200;

    /** What there is to buy a piece with, minor units. */
    public static final int PURSE_MINOR = 30_000;

    /** What it weighed on a day. */
    public record WeightOnDay(double day, double grams) {}

    /**
     * Something that could be noticed.
     *
     * @param sign which
     * @param since the first day it could be noticed
     * @param until the day something was done, or it came down
     * @param late days over what a careful person takes, 0 or more
     * @param costGrams of steak that doing it at once had kept, 0 or more
     * @param costMinor of money, 0 or more
     * @param instead the weight had it been done at once
     */
    public record Finding(
            Sign sign,
            double since,
            double until,
            double late,
            int costGrams,
            int costMinor,
            List<WeightOnDay> instead) {}

    /**
     * @param plan what was rehearsed
     * @param deeds what was done
     * @param ending how it ended
     */
    public Review(RehearsalPlan plan, List<Deed> deeds, Ending ending) {
        this.plan = plan;
        this.deeds = List.copyOf(deeds);
        this.ending = ending;
        Map<Sign, Double> open = new EnumMap<>(Sign.class);
        Map<Sign, double[]> first = new EnumMap<>(Sign.class);
        RehearsalWorld world = new RehearsalWorld(plan, deeds);
        for (double day = HALF_A_DAY; day < ending.day(); day += HALF_A_DAY) {
            PieceTruth truth = world.at(day);
            curve.add(new WeightOnDay(day, truth.grams()));
            Set<Sign> signs = day < plan.beginsOnDay() ? Set.of() : Sign.of(plan, truth);
            for (Sign sign : EnumSet.allOf(Sign.class)) {
                if (signs.contains(sign)) {
                    open.putIfAbsent(sign, day);
                } else if (open.containsKey(sign)) {
                    first.merge(sign, new double[] {open.remove(sign), day}, Review::longer);
                }
            }
        }
        curve.add(new WeightOnDay(ending.day(), world.at(ending.day()).grams()));
        open.forEach((sign, since) -> first.merge(sign, new double[] {since, ending.day()}, Review::longer));
        heaps = world.cutUp(ending.order(), ending.closeness());
        first.forEach((sign, stretch) -> findings.add(finding(sign, stretch[0], stretch[1])));
        findings.sort(Comparator.comparingDouble(Finding::since));
    }

    private static double[] longer(double[] one, double[] other) {
        return one[1] - one[0] >= other[1] - other[0] ? one : other;
    }

    private Finding finding(Sign sign, double since, double gone) {
        // Who did what could be done answered it, whether it helped or not.
        double until = deeds.stream()
                .filter(deed -> deed.kind() == sign.remedy() && deed.day() >= since && deed.day() < gone)
                .mapToDouble(Deed::day)
                .min()
                .orElse(gone);
        List<Deed> better = new ArrayList<>(deeds);
        better.add(new Deed(since, sign.remedy()));
        RehearsalWorld world = new RehearsalWorld(plan, better);
        List<WeightOnDay> instead = new ArrayList<>();
        for (WeightOnDay point : curve) {
            if (point.day() >= since - 1) {
                instead.add(new WeightOnDay(point.day(), world.at(point.day()).grams()));
            }
        }
        world.at(ending.day());
        Map<Heap, Integer> kept = world.cutUp(ending.order(), ending.closeness());
        int grams = kept.getOrDefault(Heap.STEAKS, 0) - heaps.getOrDefault(Heap.STEAKS, 0);
        return new Finding(
                sign,
                since,
                until,
                Math.max(0, until - since - sign.graceDays()),
                Math.max(0, grams),
                Math.max(0, worth(kept) - worth(heaps)),
                instead);
    }

    /** What came of it, at the prices of the rehearsal, minor units. */
    static int worth(Map<Heap, Integer> heaps) {
        return heaps.getOrDefault(Heap.STEAKS, 0) * WORTH.get(Stream.STEAK) / 1000
                + heaps.getOrDefault(Heap.CLEAN_CRUST, 0) * WORTH.get(Stream.USABLE_TRIM) / 1000
                + heaps.getOrDefault(Heap.FAT, 0) * WORTH.get(Stream.FAT) / 1000;
    }

    /** Every half day until it came down. */
    static List<WeightOnDay> curve(RehearsalWorld world, double end) {
        List<WeightOnDay> points = new ArrayList<>();
        for (double day = HALF_A_DAY; day < end; day += HALF_A_DAY) {
            points.add(new WeightOnDay(day, world.at(day).grams()));
        }
        points.add(new WeightOnDay(end, world.at(end).grams()));
        return points;
    }

    /** The same piece with one choice made otherwise. */
    public Replay replay(Replay.Choice choice) {
        return Replay.of(plan, deeds, ending, heaps, choice);
    }

    /** What was paid: for the meat, and for each membrane or seal it was given, minor units. */
    public int paidMinor() {
        long seals =
                deeds.stream().filter(deed -> deed.kind() == Deed.Kind.RESEALED).count();
        return (int) Math.round(plan.greenGrams() * (GREEN_MINOR_PER_KG / 1000.0)
                + (1 + seals) * plan.method().usualConsumablesMinor());
    }

    /** What the piles are worth that were kept; nothing where what had turned was kept among them. */
    public int keptMinor() {
        return dangerGrams() > 0
                ? 0
                : WORTH.keySet().stream()
                        .mapToInt(pile -> ending.piles().of(pile) * WORTH.get(pile) / 1000)
                        .sum();
    }

    /** What could be noticed, the first first. */
    public List<Finding> findings() {
        return List.copyOf(findings);
    }

    /** Its weight day by day. */
    public List<WeightOnDay> curve() {
        return List.copyOf(curve);
    }

    /** What truly lay on the block. */
    public Map<Heap, Integer> heaps() {
        return Map.copyOf(heaps);
    }

    /** Grams of what had to be thrown away and was kept. */
    public int dangerGrams() {
        int bad = heaps.entrySet().stream()
                .filter(each -> each.getKey().mustGo())
                .mapToInt(Map.Entry::getValue)
                .sum();
        return above(bad - ending.piles().discard());
    }

    /** Grams of good steak that were thrown away. */
    public int wasteGrams() {
        int over = heaps.getOrDefault(Heap.STEAKS, 0)
                - ending.piles().steak()
                - ending.piles().usableTrim();
        return above(over);
    }

    /** What scales and knives leave open is nobody's fault. */
    private int above(int grams) {
        return grams > Math.max(60, plan.greenGrams() / 50) ? grams : 0;
    }

    /** Grams of crust that were kept as steak. */
    public int toughGrams() {
        int over = ending.piles().steak() - heaps.getOrDefault(Heap.STEAKS, 0);
        return above(over);
    }

    /** How many weights were written down that had something else on the scale, or were never seen on it. */
    public int wronglyWeighed() {
        RehearsalWorld world = new RehearsalWorld(plan, deeds);
        int wrong = 0;
        for (WeightOnDay each : ending.written().stream()
                .sorted(Comparator.comparingDouble(WeightOnDay::day))
                .toList()) {
            double truly = world.at(each.day()).grams();
            wrong += Math.abs(each.grams() - truly) > Math.max(OFF_GRAMS, OFF_SHARE * truly) ? 1 : 0;
        }
        return wrong;
    }

    /** 0 to 100; 0 where what had turned was kept for eating. */
    public int score() {
        if (dangerGrams() > 0) {
            return 0;
        }
        double lost = 0;
        for (Finding finding : findings) {
            lost += Math.min(MOST_FOR_A_SIGN, A_SIGN_LATE * finding.late());
        }
        lost += wasteGrams() > 0 ? GOOD_THROWN_AWAY + 60.0 * wasteGrams() / plan.greenGrams() : 0;
        lost += toughGrams() > 0 ? CRUST_AS_STEAK : 0;
        lost += Math.min(MOST_FOR_A_SIGN, WRONGLY_WEIGHED * wronglyWeighed());
        double over = ending.day() - Math.max(plan.plannedDays(), plan.beginsOnDay()) - 7;
        lost += over > 0 ? Math.min(30, over) : 0;
        return (int) Math.max(0, Math.round(100 - lost));
    }

    public boolean isPassed() {
        return score() >= PASSES && findings.stream().noneMatch(finding -> finding.late() > MISSED_DAYS);
    }
}
