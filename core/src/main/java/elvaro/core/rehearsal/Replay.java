package elvaro.core.rehearsal;

import elvaro.core.rehearsal.Review.WeightOnDay;
import elvaro.core.yield.BenchOrder;
import elvaro.core.yield.Closeness;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * The same piece in the same world, with one choice made otherwise.
 *
 * @param curve its weight by day
 * @param heaps what lay on the block
 * @param steakGrams more steak than as it was played; less where negative
 * @param worthMinor more money than as it was played
 * @param spoiltGrams more that had to go
 */
public record Replay(
        List<WeightOnDay> curve, Map<Heap, Integer> heaps, int steakGrams, int worthMinor, int spoiltGrams) {
    /** What was chosen otherwise. */
    public enum ChoiceKind {
        /** Taken down on another day. */
        PULLED_ON,
        /** Cut closer to the crust, or less close. */
        CUT_SO_CLOSE,
        /** Trimmed first instead of sliced first, or the other way about. */
        OTHER_ORDER,
        /** Something more was done on a day. */
        DONE_ON,
        /** Nothing of a kind was done at all. */
        NEVER_DONE
    }

    /**
     * @param day for {@code PULLED_ON} and {@code DONE_ON}
     * @param deed for {@code DONE_ON} and {@code NEVER_DONE}
     * @param closeness for {@code CUT_SO_CLOSE}
     */
    public record Choice(
            ChoiceKind kind,
            @Nullable Integer day,
            Deed.@Nullable Kind deed,
            @Nullable Closeness closeness) {
        public Choice {
            boolean whole = switch (kind) {
                case PULLED_ON -> day != null && day >= 1;
                case CUT_SO_CLOSE -> closeness != null;
                case OTHER_ORDER -> true;
                case DONE_ON -> day != null && day >= 0 && deed != null;
                case NEVER_DONE -> deed != null;
            };
            if (!whole) {
                throw new IllegalArgumentException("A choice says what is chosen");
            }
        }
    }

    /** @param was what lay on the block as it was played */
    static Replay of(RehearsalPlan plan, List<Deed> deeds, Ending ending, Map<Heap, Integer> was, Choice choice) {
        List<Deed> others = new ArrayList<>(deeds);
        double end = ending.day();
        BenchOrder order = ending.order();
        Closeness closeness = ending.closeness();
        switch (choice.kind()) {
            case PULLED_ON -> end = choice.day();
            case CUT_SO_CLOSE -> closeness = choice.closeness();
            case OTHER_ORDER ->
                order = order == BenchOrder.SLICE_FIRST ? BenchOrder.TRIM_FIRST : BenchOrder.SLICE_FIRST;
            case DONE_ON -> others.add(new Deed(choice.day(), choice.deed()));
            case NEVER_DONE -> others.removeIf(deed -> deed.kind() == choice.deed());
        }
        RehearsalWorld world = new RehearsalWorld(plan, others);
        List<WeightOnDay> curve = Review.curve(world, end);
        Map<Heap, Integer> heaps = world.cutUp(order, closeness);
        return new Replay(
                curve,
                heaps,
                more(heaps, was, Heap.STEAKS),
                Review.worth(heaps) - Review.worth(was),
                more(heaps, was, Heap.SPOILT) + more(heaps, was, Heap.TURNED_FAT));
    }

    private static int more(Map<Heap, Integer> heaps, Map<Heap, Integer> was, Heap heap) {
        return heaps.getOrDefault(heap, 0) - was.getOrDefault(heap, 0);
    }
}
