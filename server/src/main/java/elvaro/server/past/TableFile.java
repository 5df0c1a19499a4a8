package elvaro.server.past;

import elvaro.core.past.PastField;
import elvaro.server.shared.Refusal;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.StringReader;
import java.io.UncheckedIOException;
import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.apache.commons.compress.archivers.zip.ZipArchiveEntry;
import org.apache.commons.compress.archivers.zip.ZipFile;
import org.apache.commons.compress.utils.SeekableInMemoryByteChannel;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;
import org.dhatim.fastexcel.reader.Cell;
import org.dhatim.fastexcel.reader.CellType;
import org.dhatim.fastexcel.reader.ExcelReaderException;
import org.dhatim.fastexcel.reader.ReadableWorkbook;
import org.dhatim.fastexcel.reader.ReadingOptions;
import org.dhatim.fastexcel.reader.Row;

/**
 * A table as it stands in a file: a CSV file, or the first sheet of a workbook (XLSX) that has rows.
 *
 * @param headRow the row the heads stand in, as a spreadsheet counts, from 1
 * @param columns the heads
 * @param rows all cells as text, as long as the head
 * @param guess which column is likely what
 */
record TableFile(int headRow, List<String> columns, List<List<String>> rows, Map<PastField, Integer> guess) {
    static final int MOST_BYTES = 5_000_000;
    static final int MOST_ROWS = 5_000;
    static final int MOST_COLUMNS = 60;
    static final int LONGEST_CELL = 500;
    private static final int MOST_UNPACKED = 100_000_000;

    /** @throws Refusal if it is no such file, or more than that */
    static TableFile read(byte[] file) {
        List<List<String>> all = file.length > 1 && file[0] == 'P' && file[1] == 'K' ? workbook(file) : csv(text(file));
        List<List<String>> lines = all.stream()
                .filter(row -> row.stream().anyMatch(cell -> !cell.isBlank()))
                .toList();
        if (lines.size() < 2) {
            throw notOne();
        }
        // Rows keep their places, so that they are found again in the file.
        int head = all.indexOf(lines.get(0));
        List<String> columns = all.get(head);
        if (all.size() > MOST_ROWS || columns.size() > MOST_COLUMNS) {
            throw Refusal.tooLarge(
                    "At most %d rows and %d columns at once. Nothing was kept.".formatted(MOST_ROWS, MOST_COLUMNS));
        }
        List<List<String>> rows = all.subList(head + 1, all.size()).stream()
                .map(row -> Stream.concat(row.stream(), Stream.generate(() -> ""))
                        .limit(columns.size())
                        .map(cell -> cell.substring(0, Math.min(cell.length(), LONGEST_CELL)))
                        .toList())
                .toList();
        return new TableFile(head + 1, columns, rows, PastField.guess(columns));
    }

    private static Refusal notOne() {
        return Refusal.wrong(
                "bad-file",
                "file",
                "This is no table with a line of heads and rows below, as CSV or XLSX. Nothing was kept.");
    }

    /** UTF-8, or what older programs write. */
    private static String text(byte[] file) {
        try {
            String text = StandardCharsets.UTF_8
                    .newDecoder()
                    .decode(ByteBuffer.wrap(file))
                    .toString();
            return text.startsWith("\uFEFF") ? text.substring(1) : text;
        } catch (CharacterCodingException older) {
            return new String(file, Charset.forName("windows-1252"));
        }
    }

    private static List<List<String>> csv(String text) {
        String head = text.lines().filter(line -> !line.isBlank()).findFirst().orElse("");
        char separator = head.contains(";") ? ';' : head.contains("\t") ? '\t' : ',';
        CSVFormat format = CSVFormat.DEFAULT
                .builder()
                .setDelimiter(separator)
                .setIgnoreEmptyLines(false)
                .setTrim(true)
                .get();
        try (CSVParser parser = CSVParser.parse(new StringReader(text), format)) {
            List<List<String>> rows = new ArrayList<>();
            for (CSVRecord line : parser) {
                rows.add(line.toList());
                if (rows.size() > MOST_ROWS) {
                    break;
                }
            }
            return rows;
        } catch (IOException | UncheckedIOException | IllegalArgumentException broken) {
            throw notOne();
        }
    }

    private static List<List<String>> workbook(byte[] file) {
        mustNotBeABomb(file);
        try (ReadableWorkbook book =
                new ReadableWorkbook(new ByteArrayInputStream(file), new ReadingOptions(true, false))) {
            return book.getSheets()
                    .map(sheet -> {
                        try (Stream<Row> rows = sheet.openStream()) {
                            return placed(rows.limit(MOST_ROWS + 1L).toList());
                        } catch (IOException broken) {
                            throw new UncheckedIOException(broken);
                        }
                    })
                    .filter(rows -> rows.size() > 1)
                    .findFirst()
                    .orElseThrow(TableFile::notOne);
        } catch (IOException | UncheckedIOException | ExcelReaderException | IllegalStateException broken) {

            throw notOne();
        }
    }

    /** A sheet leaves out rows without cells. */
    private static List<List<String>> placed(List<Row> rows) {
        List<List<String>> placed = new ArrayList<>();
        for (Row row : rows) {
            while (placed.size() < row.getRowNum() - 1 && placed.size() <= MOST_ROWS) {
                placed.add(List.of());
            }
            List<String> cells = new ArrayList<>();
            for (int column = 0; column < Math.min(row.getCellCount(), MOST_COLUMNS + 1); column++) {
                cells.add(row.getOptionalCell(column).map(TableFile::text).orElse(""));
            }
            placed.add(cells);
        }
        return placed;
    }

    /** A day is a number in a sheet, told by how it is shown. */
    private static String text(Cell cell) {
        String shown = cell.getDataFormatString();
        if (cell.getType() == CellType.NUMBER && shown != null && shown.matches("(?i).*(d.*m|m.*d|y).*")) {
            var moment = cell.asDate();
            return moment.toLocalTime().equals(LocalTime.MIDNIGHT)
                    ? moment.toLocalDate().toString()
                    : moment.toString();
        }
        return cell.getText();
    }

    private static void mustNotBeABomb(byte[] file) {
        byte[] buffer = new byte[1 << 16];
        long left = MOST_UNPACKED;
        try (ZipFile zip = ZipFile.builder()
                .setSeekableByteChannel(new SeekableInMemoryByteChannel(file))
                .get()) {
            for (ZipArchiveEntry entry : Collections.list(zip.getEntries())) {
                InputStream part = zip.getInputStream(entry);
                for (int read = part.read(buffer); read >= 0; read = part.read(buffer)) {
                    left -= read;
                    if (left < 0) {
                        throw Refusal.tooLarge(
                                "This workbook unpacks to more than a table of weights. Nothing was kept.");
                    }
                }
            }
        } catch (IOException broken) {
            throw notOne();
        }
    }
}
