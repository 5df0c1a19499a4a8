package elvaro.server.shared;

import elvaro.core.working.Units;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.List;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.ResponseEntity;

/** A table as CSV (RFC 4180), with the unit of a figure in the name of its column, and nothing a spreadsheet would run. */
public final class CsvFile {
    public static final String TYPE = "text/csv;charset=UTF-8";

    private CsvFile() {}

    /** @param rows each as long as the columns; words are made harmless, figures stand as they are */
    public static String of(List<String> columns, List<? extends List<?>> rows) {
        StringBuilder text = new StringBuilder();
        try {
            CSVPrinter csv = onto(text, columns);
            for (List<?> row : rows) {
                if (row.size() != columns.size()) {
                    throw new IllegalArgumentException(
                            "A row of %d cells in a table of %d".formatted(row.size(), columns.size()));
                }
                row(csv, row);
            }
        } catch (IOException impossible) {
            throw new UncheckedIOException(impossible);
        }
        return text.toString();
    }

    /** For a table too large to be held; its columns are written, its rows follow by {@link #row}. */
    public static CSVPrinter onto(Appendable out, List<String> columns) throws IOException {
        return CSVFormat.RFC4180
                .builder()
                .setHeader(columns.toArray(String[]::new))
                .get()
                .print(out);
    }

    public static void row(CSVPrinter csv, List<?> row) throws IOException {
        for (Object value : row) {
            csv.print(value instanceof String words ? harmless(Units.PLAIN.sentence(words)) : value);
        }
        csv.println();
    }

    /** A spreadsheet runs what begins like a formula; a mark before it makes it words. */
    private static String harmless(String words) {
        return !words.isEmpty() && "=+-@\t\r".indexOf(words.charAt(0)) >= 0 ? "'" + words : words;
    }

    /** As a file to be saved. */
    public static ResponseEntity<String> attached(String name, String text) {
        return ResponseEntity.ok()
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment()
                                .filename(name.replaceAll("[^A-Za-z0-9.]+", "-"))
                                .build()
                                .toString())
                .body(text);
    }
}
