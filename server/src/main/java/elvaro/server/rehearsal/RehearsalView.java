package elvaro.server.rehearsal;

import elvaro.core.inspection.Appearance;
import elvaro.core.rehearsal.Heap;
import elvaro.core.rehearsal.Review.WeightOnDay;
import elvaro.core.rehearsal.Sight.LookTold;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * The rehearsal one is in.
 *
 * @param lesson absent in free play
 * @param day since its piece was hung, whole days
 * @param appearance how the piece looks
 * @param feels how it feels under a gloved finger, in words
 * @param smells how it smells, in words
 * @param isDown whether it came down, so that it can be cut up
 * @param isDone whether all is done and it can be judged
 * @param heaps what lies on the block once it was cut up, each to be weighed
 * @param lastLook the last look, judged; absent before the first
 * @param review what is told now that it is over; absent before
 */
record RehearsalView(
        UUID id,
        @Nullable String lesson,
        String title,
        String task,
        int day,
        int plannedDays,
        UUID pieceId,
        String tag,
        Appearance appearance,
        String feels,
        String smells,
        boolean isDown,
        boolean isDone,
        List<HeapOnBlock> heaps,
        @Nullable LookTold lastLook,
        @Nullable ReviewView review) {

    /** A heap on the block, as it lies there. */
    record HeapOnBlock(Heap heap, String label) {}

    /**
     * What is told when it is over.
     *
     * @param score 0–100
     * @param moral what the lesson teaches; absent in free play
     * @param dangerGrams of what had turned and was kept
     * @param wasteGrams of good steak that was thrown away
     * @param toughGrams of crust that was kept as steak
     * @param befell what befell the piece, the first first
     * @param findings what could be noticed, the first first
     * @param curve its weight by day
     * @param truth what truly lay on the block
     */
    record ReviewView(
            int score,
            boolean passed,
            @Nullable String moral,
            int dangerGrams,
            int wasteGrams,
            int toughGrams,
            List<BefellLine> befell,
            List<FindingLine> findings,
            List<WeightOnDay> curve,
            List<WeighedHeap> truth) {}

    /** @param day on which it began */
    record BefellLine(String told, int day) {}

    /**
     * Something that could be noticed.
     *
     * @param sinceDay first day it could be noticed
     * @param untilDay day something was done, or it came down
     * @param lateDays over what a careful person takes
     * @param instead its weight had it been done at once
     */
    record FindingLine(
            String told,
            int sinceDay,
            int untilDay,
            int lateDays,
            int costGrams,
            int costMinor,
            List<WeightOnDay> instead) {}

    record WeighedHeap(String label, int grams) {}
}
