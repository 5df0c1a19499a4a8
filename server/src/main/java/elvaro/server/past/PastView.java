package elvaro.server.past;

import elvaro.core.past.PastField;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * What a table of the past brings.
 *
 * @param pieces that are new here
 * @param weighings that are new here
 * @param known weighings that are here already
 * @param stories one a piece
 * @param leftOut rows that are no piece's, in sentences
 * @param faults cells that cannot be; while there is one, nothing is taken in
 */
record PastView(
        int pieces, int weighings, int known, List<StoryLine> stories, List<String> leftOut, List<CellFault> faults) {

    /**
     * One piece.
     *
     * @param row its first, as a spreadsheet counts
     * @param here whether it is here already
     * @param sentence what is understood of it
     */
    record StoryLine(String name, int row, boolean here, String sentence) {}

    /** A cell, or a whole row, that cannot be. */
    record CellFault(int row, @Nullable PastField field, String sentence) {}
}
