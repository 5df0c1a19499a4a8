package elvaro.core.rehearsal;

import elvaro.core.yield.BenchOrder;
import elvaro.core.yield.Closeness;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Set;

/** Plays a rehearsal by what can be known, and by nothing else. */
final class CarefulPerson {
    private CarefulPerson() {}

    /** What they do, as soon as they come by. */
    static List<Deed> deeds(RehearsalPlan plan, int untilDay) {
        List<Deed> deeds = new ArrayList<>();
        if (!plan.isWrapped()) {
            deeds.add(new Deed(7, Deed.Kind.TURNED));
        }
        Map<Sign, Double> done = new EnumMap<>(Sign.class);
        for (int round = 0; round < 12; round++) {
            RehearsalWorld world = new RehearsalWorld(plan, deeds);
            Deed next = null;
            for (double day = 0.5; day < untilDay && next == null; day += 0.5) {
                for (Sign sign : Sign.of(plan, world.at(day))) {
                    if (day >= plan.beginsOnDay()
                            && !sign.isForTakingDown(plan)
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

    /** When a careful person takes it down: as planned, or early where it hangs warm and nobody can mend that. */
    static double end(RehearsalPlan plan, List<Deed> deeds) {
        double last = Math.max(plan.beginsOnDay() + 0.5, plan.plannedDays());
        RehearsalWorld world = new RehearsalWorld(plan, deeds);
        double warmSince = Double.POSITIVE_INFINITY;
        for (double day = plan.beginsOnDay() + 0.5; day < last; day += 0.5) {
            Set<Sign> signs = Sign.of(plan, world.at(day));
            boolean warm = signs.stream().anyMatch(sign -> sign.isForTakingDown(plan));
            warmSince = warm ? Math.min(warmSince, day) : Double.POSITIVE_INFINITY;
            if (day - warmSince >= 1) {
                return day;
            }
        }
        return last;
    }

    /** How a careful person ends it. */
    static Ending ending(RehearsalPlan plan, List<Deed> deeds, double day) {
        RehearsalWorld world = new RehearsalWorld(plan, deeds);
        world.at(day);
        return new Ending(
                day,
                BenchOrder.SLICE_FIRST,
                Closeness.USUAL,
                HandWork.piles(world.cutUp(BenchOrder.SLICE_FIRST, Closeness.USUAL)));
    }
}
