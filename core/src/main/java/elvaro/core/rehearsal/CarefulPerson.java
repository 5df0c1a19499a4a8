package elvaro.core.rehearsal;

import elvaro.core.yield.BenchOrder;
import elvaro.core.yield.Closeness;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Set;

/** Somebody who comes by twice a day, goes by what can be seen and by nothing else, and does what is known to be right. */
public final class CarefulPerson {
    private static final double COMES_BY = 0.5;

    /** Turned once after so many days, as is usual. */
    private static final int TURNS_ON = 7;

    /** What was done is given so many days to help. */
    private static final double WAITS = 3;

    /** Warm for so long where nobody can mend it, it comes down. */
    private static final double BEARS_WARMTH = 1;

    private CarefulPerson() {}

    /**
     * How they saw a piece through.
     *
     * @param deeds what they did, the first first
     * @param day it came down
     * @param heaps what lay on the block
     */
    public record Played(List<Deed> deeds, double day, Map<Heap, Integer> heaps) {
        /** As a rehearsal ends that was played so. */
        Ending ending() {
            return new Ending(day, BenchOrder.SLICE_FIRST, Closeness.USUAL, HandWork.piles(heaps), List.of());
        }
    }

    /** As planned, or less long where it hangs warm and nobody can mend that. */
    public static Played plays(RehearsalPlan plan) {
        List<Deed> deeds = new ArrayList<>();
        if (!plan.isWrapped()) {
            deeds.add(new Deed(TURNS_ON, Deed.Kind.TURNED));
        }
        RehearsalWorld world = new RehearsalWorld(plan, deeds);
        Map<Sign, Double> answered = new EnumMap<>(Sign.class);
        double end = Math.max(plan.beginsOnDay() + COMES_BY, plan.plannedDays());
        double warmSince = Double.POSITIVE_INFINITY;
        double day = plan.beginsOnDay() + COMES_BY;
        while (day < end) {
            Set<Sign> signs = Sign.of(plan, world.at(day));
            boolean warm = signs.stream().anyMatch(sign -> sign.isForTakingDown(plan));
            warmSince = warm ? Math.min(warmSince, day) : Double.POSITIVE_INFINITY;
            if (day - warmSince >= BEARS_WARMTH) {
                end = day;
                break;
            }
            for (Sign sign : signs) {
                if (!sign.isForTakingDown(plan)
                        && day - answered.getOrDefault(sign, Double.NEGATIVE_INFINITY) > WAITS) {
                    answered.put(sign, day);
                    Deed deed = new Deed(day, sign.remedy());
                    deeds.add(deed);
                    world.isDone(deed);
                }
            }
            day += COMES_BY;
        }
        world.at(end);
        deeds.sort((one, other) -> Double.compare(one.day(), other.day()));
        return new Played(List.copyOf(deeds), end, world.cutUp(BenchOrder.SLICE_FIRST, Closeness.USUAL));
    }
}
