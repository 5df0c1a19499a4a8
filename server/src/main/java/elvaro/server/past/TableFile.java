package elvaro.server.past;

import elvaro.core.past.CellParser.Order;
import elvaro.core.past.CellParser.Unit;
import elvaro.core.past.PastField;
import elvaro.core.past.PastSheet;
import elvaro.core.table.TableRow;
import elvaro.server.shared.Refusal;
import elvaro.server.table.TableBook;
import elvaro.server.table.TableBook.TableSheet;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * A table as it stands in a file, and how it is likely meant.
 *
 * @param sheets of the file, by name
 * @param sheet the one that is shown, from 0
 * @param headRow the row the heads stand in, as a spreadsheet counts, from 1
 * @param columns the heads
 * @param rows all cells as text, as long as the head, in their places
 * @param guess which column is likely what
 * @param weighings columns that hold a weighing of each piece
 * @param unit of a weight without one
 * @param order of day and month
 * @param orderSure whether the table itself tells it
 */
record TableFile(
        List<String> sheets,
        int sheet,
        int headRow,
        List<String> columns,
        List<List<String>> rows,
        Map<PastField, Integer> guess,
        List<Integer> weighings,
        Unit unit,
        Order order,
        boolean orderSure) {
    static final int MOST_BYTES = 5_000_000;
    static final int MOST_ROWS = 5_000;
    static final int MOST_COLUMNS = 60;
    static final int LONGEST_CELL = 500;

    /**
     * @param sheet that was chosen, the first that has rows where none was
     * @param headRow that was chosen
     * @throws Refusal if it is no such file, or more than that
     */
    static TableFile read(byte[] file, @Nullable Integer sheet, @Nullable Integer headRow) {
        TableBook book = TableBook.read(file, MOST_ROWS, MOST_COLUMNS);
        int chosen = sheet == null || sheet >= book.sheets().size() ? 0 : sheet;
        TableSheet shown = book.sheets().get(chosen);
        PastSheet meant = PastSheet.of(shown.rows(), Optional.ofNullable(headRow));
        int last = shown.rows().get(shown.rows().size() - 1).number();
        if (last > MOST_ROWS || meant.heads().size() > MOST_COLUMNS) {
            throw Refusal.tooLarge(
                    "At most %d rows and %d columns at once. Nothing was kept.".formatted(MOST_ROWS, MOST_COLUMNS));
        }
        return new TableFile(
                book.sheets().stream().map(TableSheet::name).toList(),
                chosen,
                meant.headRow(),
                meant.heads(),
                placed(shown.rows(), meant.headRow(), meant.heads().size()),
                meant.columns(),
                meant.weighings(),
                meant.unit(),
                meant.order().orElse(Order.DAY_FIRST),
                meant.order().isPresent());
    }

    /** Rows keep their places, so that they are found again in the file. */
    private static List<List<String>> placed(List<TableRow> rows, int headRow, int columns) {
        List<List<String>> placed = new ArrayList<>();
        for (TableRow row : rows) {
            if (row.number() <= headRow) {
                continue;
            }
            while (placed.size() < row.number() - headRow - 1) {
                placed.add(Stream.generate(() -> "").limit(columns).toList());
            }
            placed.add(Stream.concat(row.cells().stream(), Stream.generate(() -> ""))
                    .limit(columns)
                    .map(cell -> cell.substring(0, Math.min(cell.length(), LONGEST_CELL)))
                    .toList());
        }
        return placed;
    }
}
