package elvaro.server.table;

import com.github.miachm.sods.SpreadSheet;
import elvaro.core.table.TableRow;
import elvaro.server.shared.Refusal;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.stream.Stream;
import org.apache.commons.compress.archivers.zip.ZipArchiveEntry;
import org.apache.commons.compress.archivers.zip.ZipFile;
import org.apache.commons.compress.utils.SeekableInMemoryByteChannel;
import org.dhatim.fastexcel.reader.Cell;
import org.dhatim.fastexcel.reader.CellType;
import org.dhatim.fastexcel.reader.ExcelReaderException;
import org.dhatim.fastexcel.reader.ReadableWorkbook;
import org.dhatim.fastexcel.reader.ReadingOptions;
import org.dhatim.fastexcel.reader.Row;
import org.jspecify.annotations.Nullable;

/**
 * A file of tables, wherever it was made: text with columns, a workbook (XLSX) or an open document (ODS).
 *
 * @param sheets those that have rows
 */
public record TableBook(List<TableSheet> sheets) {
    private static final int MOST_UNPACKED = 100_000_000;
    private static final byte[] OLD_WORKBOOK = {(byte) 0xd0, (byte) 0xcf, 0x11, (byte) 0xe0};
    private static final String OPEN_DOCUMENT = "application/vnd.oasis.opendocument.spreadsheet";
    private static final String WORKBOOK_PART = "xl/workbook.xml";

    /** ECMA-376 part 1, section 18.17.4.1: in which day the numbers of a workbook begin. */
    private static final LocalDate FIRST_1904 = LocalDate.of(1904, 1, 1);

    private static final LocalDate FIRST_1900 = LocalDate.of(1899, 12, 30);

    /**
     * A sheet.
     *
     * @param rows by their place, blank ones left out
     */
    public record TableSheet(String name, List<TableRow> rows) {}

    /**
     * @param mostRows of a sheet; more are not read
     * @throws Refusal that says what the file is instead
     */
    public static TableBook read(byte[] file, int mostRows, int mostColumns) {
        Limits limits = new Limits(mostRows, mostColumns);
        if (file.length > 3 && Arrays.equals(file, 0, 4, OLD_WORKBOOK, 0, 4)) {
            throw Refusal.wrong(
                    "bad-file",
                    "file",
                    "This is a workbook of the old kind (.xls). Save it as .xlsx, .ods or .csv and choose that. Nothing was kept.");
        }
        List<TableSheet> sheets =
                file.length > 1 && file[0] == 'P' && file[1] == 'K' ? packed(file, limits) : text(file, limits);
        List<TableSheet> filled =
                sheets.stream().filter(sheet -> sheet.rows().size() > 1).toList();
        if (filled.isEmpty()) {
            throw notOne();
        }
        return new TableBook(filled);
    }

    private record Limits(int rows, int columns) {}

    private static Refusal notOne() {
        return Refusal.wrong(
                "bad-file",
                "file",
                "This is no table with a line of heads and rows below, as CSV, XLSX or ODS. Nothing was kept.");
    }

    private static List<TableSheet> text(byte[] file, Limits limits) {
        try {
            return TableText.of(file).read(rows -> {
                List<TableRow> filled = new ArrayList<>();
                while (rows.hasNext() && filled.size() <= limits.rows) {
                    TableRow row = rows.next();
                    if (!row.isBlank()) {
                        filled.add(row);
                    }
                }
                return List.of(new TableSheet("", filled));
            });
        } catch (TableText.UnreadableTable broken) {
            throw notOne();
        }
    }

    private static List<TableSheet> packed(byte[] file, Limits limits) {
        Parts parts = parts(file);
        try {
            return parts.openDocument
                    ? openDocument(file, limits)
                    : workbook(file, parts.from1904 ? FIRST_1904 : FIRST_1900, limits);
        } catch (IOException
                | UncheckedIOException
                | ExcelReaderException
                | IllegalStateException
                | IllegalArgumentException broken) {
            throw notOne();
        }
    }

    private static List<TableSheet> workbook(byte[] file, LocalDate first, Limits limits) throws IOException {
        try (ReadableWorkbook book =
                new ReadableWorkbook(new ByteArrayInputStream(file), new ReadingOptions(true, false))) {
            return book.getSheets()
                    .map(sheet -> {
                        try (Stream<Row> rows = sheet.openStream()) {
                            return new TableSheet(
                                    sheet.getName(),
                                    rows.limit(limits.rows + 1L)
                                            .map(row -> row(row, first, limits))
                                            .filter(row -> !row.isBlank())
                                            .toList());
                        } catch (IOException broken) {
                            throw new UncheckedIOException(broken);
                        }
                    })
                    .toList();
        }
    }

    private static TableRow row(Row row, LocalDate first, Limits limits) {
        List<String> cells = new ArrayList<>();
        for (int column = 0; column < Math.min(row.getCellCount(), limits.columns + 1); column++) {
            cells.add(row.getOptionalCell(column).map(cell -> text(cell, first)).orElse(""));
        }
        return new TableRow(row.getRowNum(), cells);
    }

    /** A day is a number in a sheet, told by how it is shown. */
    private static String text(Cell cell, LocalDate first) {
        String shown = cell.getDataFormatString();
        if (cell.getType() == CellType.NUMBER && shown != null && shown.matches("(?i).*(d.*m|m.*d|y).*")) {
            double days = cell.asNumber().doubleValue();
            long seconds = Math.round(
                    (days - Math.floor(days)) * ChronoUnit.DAYS.getDuration().toSeconds());
            return moment(first.plusDays((long) Math.floor(days)).atStartOfDay().plusSeconds(seconds));
        }
        return cell.getText();
    }

    private static String moment(LocalDateTime moment) {
        return moment.toLocalTime().equals(LocalTime.MIDNIGHT)
                ? moment.toLocalDate().toString()
                : moment.toString();
    }

    private static List<TableSheet> openDocument(byte[] file, Limits limits) throws IOException {
        return new SpreadSheet(new ByteArrayInputStream(file))
                .getSheets().stream()
                        .map(sheet -> {
                            List<TableRow> rows = new ArrayList<>();
                            if (sheet.getMaxRows() > 0 && sheet.getMaxColumns() > 0) {
                                Object[][] values = sheet.getDataRange().getValues();
                                for (int index = 0; index < values.length && rows.size() <= limits.rows; index++) {
                                    List<String> cells = Arrays.stream(values[index])
                                            .limit(limits.columns + 1L)
                                            .map(TableBook::text)
                                            .toList();
                                    TableRow row = new TableRow(index + 1, cells);
                                    if (!row.isBlank()) {
                                        rows.add(row);
                                    }
                                }
                            }
                            return new TableSheet(sheet.getName(), rows);
                        })
                        .toList();
    }

    private static String text(@Nullable Object value) {
        if (value instanceof LocalDateTime moment) {
            return moment(moment);
        }
        if (value instanceof Double number) {
            return number == Math.rint(number) && Math.abs(number) < 1e15
                    ? String.valueOf(number.longValue())
                    : String.valueOf(number);
        }
        return value == null ? "" : String.valueOf(value);
    }

    /** What the parts of a packed file say of it, none of which may unpack without end. */
    private record Parts(boolean openDocument, boolean from1904) {}

    private static Parts parts(byte[] file) {
        boolean open = false;
        boolean from1904 = false;
        byte[] buffer = new byte[1 << 16];
        long left = MOST_UNPACKED;
        try (ZipFile zip = ZipFile.builder()
                .setSeekableByteChannel(new SeekableInMemoryByteChannel(file))
                .get()) {
            for (ZipArchiveEntry entry : Collections.list(zip.getEntries())) {
                StringBuilder text = new StringBuilder();
                boolean told =
                        entry.getName().equals(WORKBOOK_PART) || entry.getName().equals("mimetype");
                try (InputStream part = zip.getInputStream(entry)) {
                    for (int read = part.read(buffer); read >= 0; read = part.read(buffer)) {
                        left -= read;
                        if (left < 0) {
                            throw Refusal.tooLarge(
                                    "This workbook unpacks to more than a table of weights. Nothing was kept.");
                        }
                        if (told) {
                            text.append(new String(buffer, 0, read, StandardCharsets.UTF_8));
                        }
                    }
                }
                open |= entry.getName().equals("mimetype")
                        && text.toString().strip().equals(OPEN_DOCUMENT);
                from1904 |= text.toString().matches("(?s).*<(\\w+:)?workbookPr\\b[^>]*\\bdate1904=\"(1|true)\".*");
            }
        } catch (IOException broken) {
            throw notOne();
        }
        return new Parts(open, from1904);
    }
}
