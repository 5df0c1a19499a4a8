package elvaro.core.table;

import java.util.List;

/**
 * A row of a table that somebody wrote.
 *
 * @param number as an editor or a spreadsheet counts, from 1
 * @param cells as they stand
 */
public record TableRow(int number, List<String> cells) {
    /** Beyond its end a row says nothing. */
    public String cell(int column) {
        return column < cells.size() ? cells.get(column).strip() : "";
    }

    public boolean isBlank() {
        return cells.stream().allMatch(String::isBlank);
    }

    /** How many cells say something. */
    public long filled() {
        return cells.stream().filter(cell -> !cell.isBlank()).count();
    }
}
