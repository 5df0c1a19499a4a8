package elvaro.core.rehearsal;

import elvaro.core.ledger.Piles;
import elvaro.core.ledger.Stream;
import elvaro.core.yield.BenchOrder;
import elvaro.core.yield.Closeness;
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

    /** Who is so late did not come by at all. */
    private static final double MISSED_DAYS = 6;

    private static final int PASSES = 60;

    private final Scenario scenario;
    private final List<Deed> deeds;
    private final Finish finish;
    private final List<Finding> findings = new ArrayList<>();
    private final List<WeightOnDay> curve = new ArrayList<>();
    private final Map<Heap, Integer> heaps;

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
     * @param scenario what was rehearsed
     * @param deeds what was done
     * @param finish how it ended
     */
    public Review(Scenario scenario, List<Deed> deeds, Finish finish) {
        this.scenario = scenario;
        this.deeds = List.copyOf(deeds);
        this.finish = finish;
        Map<Sign, Double> open = new EnumMap<>(Sign.class);
        Map<Sign, double[]> first = new EnumMap<>(Sign.class);
        RehearsalWorld world = new RehearsalWorld(scenario, deeds);
        for (double day = 0.5; day < finish.day(); day += 0.5) {
            PieceTruth truth = world.at(day);
            curve.add(new WeightOnDay(day, truth.grams()));
            Set<Sign> signs = day < scenario.beginsOnDay() ? Set.of() : Sign.of(scenario, truth);
            for (Sign sign : EnumSet.allOf(Sign.class)) {
                if (signs.contains(sign)) {
                    open.putIfAbsent(sign, day);
                } else if (open.containsKey(sign)) {
                    first.merge(sign, new double[] {open.remove(sign), day}, Review::longer);
                }
            }
        }
        curve.add(new WeightOnDay(finish.day(), world.at(finish.day()).grams()));
        open.forEach((sign, since) -> first.merge(sign, new double[] {since, finish.day()}, Review::longer));
        heaps = world.cutUp(finish.order(), finish.closeness());
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
        RehearsalWorld world = new RehearsalWorld(scenario, better);
        List<WeightOnDay> instead = new ArrayList<>();
        for (WeightOnDay point : curve) {
            if (point.day() >= since - 1) {
                instead.add(new WeightOnDay(point.day(), world.at(point.day()).grams()));
            }
        }
        world.at(finish.day());
        Map<Heap, Integer> kept = world.cutUp(finish.order(), finish.closeness());
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
    private static int worth(Map<Heap, Integer> heaps) {
        return heaps.getOrDefault(Heap.STEAKS, 0) * WORTH.get(Stream.STEAK) / 1000
                + heaps.getOrDefault(Heap.CLEAN_CRUST, 0) * WORTH.get(Stream.USABLE_TRIM) / 1000
                + heaps.getOrDefault(Heap.FAT, 0) * WORTH.get(Stream.FAT) / 1000;
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
                .filter(each -> !each.getKey().mayGoTo(Stream.STEAK)
                        && !each.getKey().mayGoTo(Stream.USABLE_TRIM)
                        && !each.getKey().mayGoTo(Stream.FAT)
                        && !each.getKey().mayGoTo(Stream.BONE))
                .mapToInt(Map.Entry::getValue)
                .sum();
        int short_ = bad - finish.piles().discard();
        return short_ > tolerance() ? short_ : 0;
    }

    /** Grams of good steak that were thrown away. */
    public int wasteGrams() {
        int over = heaps.getOrDefault(Heap.STEAKS, 0)
                - finish.piles().steak()
                - finish.piles().usableTrim();
        return over > tolerance() ? over : 0;
    }

    private int tolerance() {
        return Math.max(60, scenario.greenGrams() / 50);
    }

    /** Grams of crust that were kept as steak. */
    public int toughGrams() {
        int over = finish.piles().steak() - heaps.getOrDefault(Heap.STEAKS, 0);
        return over > tolerance() ? over : 0;
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
        lost += wasteGrams() > 0 ? GOOD_THROWN_AWAY + 60.0 * wasteGrams() / scenario.greenGrams() : 0;
        lost += toughGrams() > 0 ? CRUST_AS_STEAK : 0;
        double over = finish.day() - Math.max(scenario.plannedDays(), scenario.beginsOnDay()) - 7;
        lost += over > 0 ? Math.min(30, over) : 0;
        return (int) Math.max(0, Math.round(100 - lost));
    }

    public boolean isPassed() {
        return score() >= PASSES && findings.stream().noneMatch(finding -> finding.late() > MISSED_DAYS);
    }

    /** A careful person in the same world, who does what can be known to be right, as soon as they come by. */
    public static List<Deed> careful(Scenario scenario, int untilDay) {
        List<Deed> deeds = new ArrayList<>();
        if (!scenario.isWrapped()) {
            deeds.add(new Deed(7, Deed.Kind.TURNED));
        }
        Map<Sign, Double> done = new EnumMap<>(Sign.class);
        for (int round = 0; round < 12; round++) {
            RehearsalWorld world = new RehearsalWorld(scenario, deeds);
            Deed next = null;
            for (double day = 0.5; day < untilDay && next == null; day += 0.5) {
                for (Sign sign : Sign.of(scenario, world.at(day))) {
                    if (day >= scenario.beginsOnDay()
                            && !sign.isForTakingDown(scenario)
                            && day - done.getOrDefault(sign, -99.0) > 3) {
                        done.put(sign, day);
                        next = new Deed(day, sign.remedy());
                        break;
                    }
                }
            }
            if (next == null) {
                break;
            }
            deeds.add(next);
        }
        deeds.sort(Comparator.comparingDouble(Deed::day));
        return deeds;
    }

    /** The piles a careful person makes of what lies on the block. */
    public static Piles carefulPiles(Map<Heap, Integer> heaps) {
        return Piles.of(
                heaps.getOrDefault(Heap.STEAKS, 0),
                heaps.getOrDefault(Heap.CLEAN_CRUST, 0),
                heaps.getOrDefault(Heap.FAT, 0),
                heaps.getOrDefault(Heap.BONE, 0),
                heaps.getOrDefault(Heap.SPOILT, 0) + heaps.getOrDefault(Heap.TURNED_FAT, 0));
    }

    /** When a careful person takes it down: as planned, or early where it hangs warm and nobody can mend that. */
    public static double carefulEnd(Scenario scenario, List<Deed> deeds) {
        double last = Math.max(scenario.beginsOnDay() + 0.5, scenario.plannedDays());
        RehearsalWorld world = new RehearsalWorld(scenario, deeds);
        double warmSince = Double.POSITIVE_INFINITY;
        for (double day = scenario.beginsOnDay() + 0.5; day < last; day += 0.5) {
            Set<Sign> signs = Sign.of(scenario, world.at(day));
            boolean warm = signs.stream().anyMatch(sign -> sign.isForTakingDown(scenario));
            warmSince = warm ? Math.min(warmSince, day) : Double.POSITIVE_INFINITY;
            if (day - warmSince >= 1) {
                return day;
            }
        }
        return last;
    }

    /** How a careful person ends it. */
    public static Finish carefulFinish(Scenario scenario, List<Deed> deeds, double day) {
        RehearsalWorld world = new RehearsalWorld(scenario, deeds);
        world.at(day);
        return new Finish(
                day,
                BenchOrder.SLICE_FIRST,
                Closeness.USUAL,
                carefulPiles(world.cutUp(BenchOrder.SLICE_FIRST, Closeness.USUAL)));
    }
}
