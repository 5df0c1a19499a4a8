package elvaro.core.past;

import elvaro.core.cut.Cut;
import elvaro.core.drying.Method;
import elvaro.core.ledger.Stream;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * A piece as a table of the past tells it.
 *
 * @param name as the table calls it
 * @param row the first that tells of it, as a spreadsheet counts
 * @param weighings while it hung, in the order of their days
 * @param story all but the weighings; empty of a piece that is here already
 */
public record PastPiece(String name, int row, List<Weighing> weighings, Optional<CompletedPiece> story) {

    /** One weight on one day. */
    public record Weighing(LocalDate day, int grams, int row) {}

    /**
     * A finished piece.
     *
     * @param priceMinorPerKg 0 where the table does not say
     * @param piles what the bench weighed, grams
     */
    public record CompletedPiece(
            Cut cut,
            String supplier,
            String grade,
            int priceMinorPerKg,
            Method method,
            LocalDate hungOn,
            int greenGrams,
            LocalDate pulledOn,
            int agedGrams,
            Map<Stream, Integer> piles) {}
}
