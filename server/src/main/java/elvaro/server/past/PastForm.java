package elvaro.server.past;

import elvaro.core.cut.CutCatalogue;
import elvaro.core.drying.Method;
import elvaro.core.ledger.Stream;
import elvaro.core.past.CellParser.Order;
import elvaro.core.past.CellParser.Unit;
import elvaro.core.past.PastField;
import elvaro.core.past.PastTable.ColumnMapping;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/**
 * A table of the past and how it is meant.
 *
 * @param rows below the head, cells as text
 * @param headRow the row of the file the heads stand in, from 1
 * @param columns which column holds what, from 0
 * @param weighings columns that hold a weighing of each piece, with their heads
 * @param unit of a weight without one
 * @param order of day and month where both could be either
 * @param cutCode of pieces whose row does not say
 * @param method of pieces whose row does not say
 * @param chamberId where the pieces that are new hung
 * @param rest what the part of the aged weight was that no pile tells of
 */
record PastForm(
        @NotNull @Size(min = 1, max = TableFile.MOST_ROWS, message = "A table has 1 to 5000 rows.")
        List<@NotNull @Size(max = TableFile.MOST_COLUMNS) List<@NotNull @Size(max = TableFile.LONGEST_CELL) String>>
                rows,

        @NotNull @Min(1) @Max(TableFile.MOST_ROWS) Integer headRow,
        @NotNull Map<PastField, Integer> columns,

        @NotNull @Size(max = TableFile.MOST_COLUMNS)
        Map<@NotNull @Min(0) @Max(TableFile.MOST_COLUMNS) Integer, @NotNull @Size(max = TableFile.LONGEST_CELL) String>
                weighings,

        @NotNull Unit unit,
        @NotNull Order order,
        @Nullable String cutCode,
        @NotNull Method method,
        @Nullable UUID chamberId,
        @Nullable Stream rest) {
    static final int MOST_BYTES = 8_000_000;

    /** What the column of pieces names, in capitals as tags are. */
    Set<String> tags() {
        Integer column = columns.get(PastField.PIECE);
        return column == null
                ? Set.of()
                : rows.stream()
                        .filter(row -> column >= 0 && column < row.size())
                        .map(row -> row.get(column).strip().toUpperCase(Locale.ROOT))
                        .filter(tag -> !tag.isEmpty())
                        .collect(Collectors.toSet());
    }

    ColumnMapping manner() {
        return new ColumnMapping(
                headRow,
                columns.isEmpty() ? Map.of() : new EnumMap<>(columns),
                weighings,
                unit,
                order,
                Optional.ofNullable(cutCode).flatMap(CutCatalogue::find),
                method,
                Optional.ofNullable(rest));
    }
}
