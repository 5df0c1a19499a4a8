package elvaro.server.exchange;

import elvaro.core.working.Units;
import elvaro.server.compare.EvidenceService;
import elvaro.server.compare.EvidenceService.FinishedTable;
import elvaro.server.settings.HouseClock;
import elvaro.server.settings.WorkshopService;
import java.io.IOException;
import java.io.OutputStream;
import java.math.BigDecimal;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Locale;
import java.util.stream.IntStream;
import org.dhatim.fastexcel.Workbook;
import org.dhatim.fastexcel.Worksheet;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/**
 * The record as a workbook (XLSX) to be read by people: the finished pieces first, then a sheet a table. The air is left
 * out, since a sheet does not hold so many rows; it is in the data package.
 */
@Component
class Spreadsheet {
    /** ECMA-376: a sheet has 1,048,576 rows. */
    private static final int ROWS_A_SHEET = 1_048_576;

    private static final int ROWS_AT_ONCE = 500;
    private static final double WIDTH = 16;
    private static final String DAY = "yyyy-mm-dd";
    private static final String MOMENT = "yyyy-mm-dd hh:mm";

    private final ArchiveFormat format;
    private final CarriedRows rows;
    private final EvidenceService evidence;
    private final WorkshopService workshops;

    Spreadsheet(ArchiveFormat format, CarriedRows rows, EvidenceService evidence, WorkshopService workshops) {
        this.format = format;
        this.rows = rows;
        this.evidence = evidence;
        this.workshops = workshops;
    }

    void write(OutputStream out) throws IOException {
        FinishedTable finished = evidence.finished();
        HouseClock house = workshops.mine().clock();
        Workbook book = new Workbook(out, "Elvaro", "1.0");
        SheetWriter first = new SheetWriter(book, "Finished pieces", finished.columns(), house);
        for (List<?> row : finished.rows()) {
            first.add(row.toArray());
        }
        first.end();
        rows.atOneMoment(() -> {
            for (ArchiveTable table : format.tables()) {
                if (table.name().equals(ArchiveFormat.AIR) || rows.count(table) == 0) {
                    continue;
                }
                SheetWriter sheet = new SheetWriter(
                        book,
                        title(table.name()),
                        table.columns().stream().map(ArchiveColumn::name).toList(),
                        house);
                rows.read(table, values -> sheet.add(asShown(table, values)));
                sheet.end();
            }
        });
        book.finish();
    }

    /** A spreadsheet rounds what has more digits than a double. */
    private static @Nullable Object[] asShown(ArchiveTable table, @Nullable Object[] values) {
        for (int column = 0; column < values.length; column++) {
            ArchiveColumn of = table.columns().get(column);
            if (values[column] == null) {
                continue;
            }
            if (of.isToldAsText()) {
                values[column] = String.valueOf(values[column]);
            } else if (of.kind() == ArchiveColumn.ColumnType.MOMENT) {
                values[column] = Instant.parse((String) values[column]);
            }
        }
        return values;
    }

    private static String title(String table) {
        String words = table.replace('_', ' ');
        return words.substring(0, 1).toUpperCase(Locale.ROOT) + words.substring(1);
    }

    /** One sheet, or as many as the rows need. */
    private static final class SheetWriter {
        private final Workbook book;
        private final String title;
        private final List<String> columns;
        private final HouseClock house;
        private Worksheet sheet;
        private int sheets = 1;
        private int next = 1;

        SheetWriter(Workbook book, String title, List<String> columns, HouseClock house) {
            this.book = book;
            this.title = title;
            this.columns = columns;
            this.house = house;
            this.sheet = begin(title);
        }

        private Worksheet begin(String name) {
            Worksheet begun = book.newWorksheet(name);
            begun.freezePane(0, 1);
            IntStream.range(0, columns.size()).forEach(column -> {
                begun.width(column, WIDTH);
                begun.value(0, column, columns.get(column));
                begun.style(0, column).bold().set();
            });
            return begun;
        }

        void add(@Nullable Object[] values) throws IOException {
            if (next == ROWS_A_SHEET) {
                sheet.finish();
                sheets++;
                sheet = begin("%s %d".formatted(title, sheets));
                next = 1;
            }
            for (int column = 0; column < values.length; column++) {
                if (values[column] != null) {
                    value(column, values[column]);
                }
            }
            next++;
            if (next % ROWS_AT_ONCE == 0) {
                sheet.flush();
            }
        }

        private void value(int column, Object value) {
            if (value instanceof BigDecimal decimal) {
                sheet.value(next, column, decimal);
            } else if (value instanceof Number number) {
                sheet.value(next, column, number);
            } else if (value instanceof Boolean truth) {
                sheet.value(next, column, truth);
            } else if (value instanceof LocalDate day) {
                sheet.value(next, column, day);
                sheet.style(next, column).format(DAY).set();
            } else if (value instanceof Instant moment) {
                sheet.value(next, column, house.shown(moment).toLocalDateTime());
                sheet.style(next, column).format(MOMENT).set();
            } else {
                String words = Units.PLAIN.sentence(value.toString());
                sheet.inlineString(next, column, words); // a table of all words would grow with the house
            }
        }

        void end() throws IOException {
            sheet.finish();
        }
    }
}
