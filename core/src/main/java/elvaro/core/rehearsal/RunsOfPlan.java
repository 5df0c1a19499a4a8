package elvaro.core.rehearsal;

import elvaro.core.ledger.Piles;
import elvaro.core.yield.BenchOrder;
import elvaro.core.yield.Closeness;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.LongStream;

/**
 * A plan let run in many worlds, in each of which something may go wrong: once by somebody who looks after it, once by
 * somebody who comes back on the day it is due.
 *
 * @param runs one for each world, by their seeds
 */
public record RunsOfPlan(List<RunOfPlan> runs) {
    /**
     * In one world.
     *
     * @param seed of it: the same plan with the same seed runs the same again
     * @param lookedAfter what it came to, sorted as it should be
     * @param leftAlone the same where nobody looked
     * @param befell what went wrong
     */
    public record RunOfPlan(long seed, Piles lookedAfter, Piles leftAlone, Set<Mishap> befell) {}

    /** Of runs put in order: one in ten is below the least, one in ten above the most. */
    public record SpreadOfRuns(int least, int middle, int most) {}

    /** @param plan whose seed and mishaps are of no account */
    public static RunsOfPlan of(RehearsalPlan plan, int worlds) {
        return new RunsOfPlan(LongStream.rangeClosed(1, worlds)
                .parallel()
                .mapToObj(seed -> run(plan.befallen(Mishap.drawn(plan, seed), seed)))
                .sorted(Comparator.comparingLong(RunOfPlan::seed))
                .toList());
    }

    private static RunOfPlan run(RehearsalPlan plan) {
        RehearsalWorld alone = new RehearsalWorld(plan, List.of());
        alone.at(plan.plannedDays());
        return new RunOfPlan(
                plan.seed(),
                HandWork.piles(CarefulPerson.plays(plan).heaps()),
                HandWork.piles(alone.cutUp(BenchOrder.SLICE_FIRST, Closeness.USUAL)),
                alone.befell(plan.plannedDays()).keySet());
    }

    /** Grams of steak. */
    public SpreadOfRuns steak(Function<RunOfPlan, Piles> ofWhom) {
        int[] grams = runs.stream()
                .mapToInt(run -> ofWhom.apply(run).steak())
                .sorted()
                .toArray();
        return new SpreadOfRuns(grams[grams.length / 10], grams[grams.length / 2], grams[grams.length * 9 / 10]);
    }

    /** In how many something had to be thrown away. */
    public int thrownAway(Function<RunOfPlan, Piles> ofWhom) {
        return (int)
                runs.stream().filter(run -> ofWhom.apply(run).discard() > 0).count();
    }

    /** How often each thing went wrong. */
    public Map<Mishap, Integer> befell() {
        Map<Mishap, Integer> times = new EnumMap<>(Mishap.class);
        runs.forEach(run -> run.befell().forEach(mishap -> times.merge(mishap, 1, Integer::sum)));
        return times;
    }
}
