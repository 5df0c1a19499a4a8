package elvaro.core.rehearsal;

import elvaro.core.ledger.LogFact.LogFactKind;
import elvaro.core.ledger.Piles;
import elvaro.core.ledger.Stream;
import elvaro.core.yield.BenchOrder;
import elvaro.core.yield.Closeness;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/** What a hand does that is trusted with a piece: turns it, weighs it once a week, takes it down as planned, cuts and sorts. */
public final class HandWork {
    private static final int A_WEEK = 7;

    private HandWork() {}

    /**
     * One thing done.
     *
     * @param day days since the piece was hung
     * @param kind of what
     * @param grams as the scale shows them, 0 where nothing is weighed
     * @param stream of a pile; absent otherwise
     */
    public record Done(
            double day,
            LogFactKind kind,
            int grams,
            @Nullable Stream stream) {}

    /** In the order it is done; the last is that the bench is closed. */
    public static List<Done> of(RehearsalPlan plan) {
        List<Deed> deeds = plan.isWrapped() ? List.of() : List.of(new Deed(A_WEEK, Deed.Kind.TURNED));
        RehearsalWorld world = new RehearsalWorld(plan, deeds);
        List<Done> all = new ArrayList<>();
        for (int day = A_WEEK; day < plan.plannedDays(); day += A_WEEK) {
            all.add(new Done(day, LogFactKind.WEIGHED, grams(world, day), null));
            if (day == A_WEEK && !deeds.isEmpty()) {
                all.add(new Done(day, LogFactKind.TURNED, 0, null));
            }
        }
        double end = plan.plannedDays();
        all.add(new Done(end, LogFactKind.PULLED, grams(world, end), null));
        Piles piles = piles(world.cutUp(BenchOrder.SLICE_FIRST, Closeness.USUAL));
        piles.grams().forEach((stream, grams) -> {
            if (grams > 0) {
                all.add(new Done(end, LogFactKind.PILE, grams, stream));
            }
        });
        all.add(new Done(end, LogFactKind.CLOSED, 0, null));
        return all;
    }

    private static int grams(RehearsalWorld world, double day) {
        return (int) Math.round(world.at(day).grams());
    }

    /** What lies on the block, sorted as it should be: what is spoilt goes away, clean crust is kept for grinding. */
    public static Piles piles(Map<Heap, Integer> heaps) {
        return Piles.of(
                heaps.getOrDefault(Heap.STEAKS, 0),
                heaps.getOrDefault(Heap.CLEAN_CRUST, 0),
                heaps.getOrDefault(Heap.FAT, 0),
                heaps.getOrDefault(Heap.BONE, 0),
                heaps.getOrDefault(Heap.SPOILT, 0) + heaps.getOrDefault(Heap.TURNED_FAT, 0));
    }
}
