package elvaro.server.rehearsal;

import elvaro.core.inspection.Appearance;
import elvaro.core.rehearsal.Claim;
import elvaro.core.rehearsal.Heap;
import elvaro.core.rehearsal.LessonWork;
import elvaro.core.rehearsal.Review.WeightOnDay;
import elvaro.core.rehearsal.Sight.LookTold;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * The rehearsal one is in.
 *
 * @param lesson absent in free play
 * @param day since it began, whole days
 * @param isOver whether it ended
 * @param piece the piece before one; absent where several are asked about
 * @param question what is asked of several; absent where one piece is aged
 */
record RehearsalView(
        UUID id,
        @Nullable String lesson,
        String title,
        String task,
        int day,
        int plannedDays,
        boolean isOver,
        @Nullable PieceBefore piece,
        @Nullable QuestionBefore question) {

    /**
     * The piece as it lies before one.
     *
     * @param appearance how it looks
     * @param feels how it feels under a gloved finger, in words
     * @param smells how it smells, in words
     * @param isDown whether it came down, so that it can be cut up
     * @param isDone whether all is done and it can be judged
     * @param heaps what lies on the block once it was cut up, each to be weighed
     * @param lastLook the last look, judged; absent before the first
     * @param review what is told now that it is over; absent before
     */
    record PieceBefore(
            UUID id,
            String tag,
            Appearance appearance,
            String feels,
            String smells,
            boolean isDown,
            boolean isDone,
            List<HeapOnBlock> heaps,
            @Nullable LookTold lastLook,
            @Nullable ReviewView review) {}

    /**
     * What is asked of several.
     *
     * @param pieces there are
     * @param lotId where they come from
     * @param askedId the table or trial that was made; absent before
     * @param unanswered sheets that no taster has filled in yet
     * @param hanging pieces that hang
     * @param choices what can be said of it; empty until it can be
     * @param review what is told now that it is over; absent before, and where it was given up
     */
    record QuestionBefore(
            LessonWork work,
            List<PieceOfLot> pieces,
            UUID lotId,
            @Nullable UUID askedId,
            int unanswered,
            int hanging,
            List<ClaimChoice> choices,
            @Nullable ClaimView review) {}

    record PieceOfLot(UUID id, String tag) {}

    record ClaimChoice(Claim claim, String label) {}

    /**
     * How well it was answered.
     *
     * @param score 0–100
     * @param told in sentences: what was said, what was shown, what is true
     * @param again how often as many would show it, in words and as a share
     * @param againOf what {@code again} is about, in words
     */
    record ClaimView(
            int score, boolean passed, String moral, List<String> told, String againOf, List<AgainLine> again) {}

    /** @param own whether it is as many as were asked */
    record AgainLine(String label, double share, boolean own) {}

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
     * @param wronglyWeighed weights that were written down with something else on the scale
     * @param paidMinor for meat, membranes and seals
     * @param keptMinor what the piles are worth that were kept
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
            int wronglyWeighed,
            int paidMinor,
            int keptMinor,
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

    /**
     * The same piece with one choice made otherwise.
     *
     * @param curve its weight by day
     * @param steakGrams more steak than as it was played; less where negative
     * @param worthMinor more money
     * @param spoiltGrams more that had to go
     */
    record ReplayView(List<WeightOnDay> curve, int steakGrams, int worthMinor, int spoiltGrams) {}
}
