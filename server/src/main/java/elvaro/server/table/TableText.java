package elvaro.server.table;

import elvaro.core.table.TableRow;
import java.io.IOException;
import java.io.StringReader;
import java.io.UncheckedIOException;
import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.util.Iterator;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;

/**
 * A table in plain text, as programs of all kinds write it.
 *
 * @param text without marks of its encoding
 * @param separator what parts its columns
 * @param firstLine where its rows begin, from 1: a line may say before them what parts the columns
 */
public record TableText(String text, char separator, int firstLine) {
    /** In this order where several would do. */
    private static final List<Character> SEPARATORS = List.of(';', '\t', '|', ',');

    private static final int LOOKED_AT = 80;
    private static final String SAYS_ITS_SEPARATOR = "sep=";

    /** @return what these bytes say; never refused, since any bytes are some text */
    public static TableText of(byte[] file) {
        String text = decoded(file);
        String first = text.lines().findFirst().orElse("").strip();
        if (first.startsWith(SAYS_ITS_SEPARATOR) && first.length() == SAYS_ITS_SEPARATOR.length() + 1
                || first.equals("sep=")) {
            char said = first.length() > SAYS_ITS_SEPARATOR.length() ? first.charAt(SAYS_ITS_SEPARATOR.length()) : '\t';
            int end = text.indexOf('\n');
            return new TableText(end < 0 ? "" : text.substring(end + 1), said, 2);
        }
        return new TableText(text, separator(text), 1);
    }

    /** By its mark, by where its zeros stand, as UTF-8, or as what older programs write. */
    private static String decoded(byte[] file) {
        if (file.length >= 2) {
            int mark = (file[0] & 0xff) << 8 | file[1] & 0xff;
            if (mark == 0xfffe || mark != 0xfeff && file[1] == 0 && file[0] != 0) {
                return unmarked(new String(file, StandardCharsets.UTF_16LE));
            }
            if (mark == 0xfeff || file[0] == 0 && file[1] != 0) {
                return unmarked(new String(file, StandardCharsets.UTF_16BE));
            }
        }
        try {
            return unmarked(StandardCharsets.UTF_8
                    .newDecoder()
                    .decode(ByteBuffer.wrap(file))
                    .toString());
        } catch (CharacterCodingException older) {
            return new String(file, Charset.forName("windows-1252"));
        }
    }

    private static String unmarked(String text) {
        return text.startsWith("\uFEFF") ? text.substring(1) : text;
    }

    /** The one by which most lines have the same number of columns; a title or a sum may have another. */
    private static char separator(String text) {
        List<String> lines =
                text.lines().filter(line -> !line.isBlank()).limit(LOOKED_AT).toList();
        char best = ',';
        long most = 0;
        for (char separator : SEPARATORS) {
            long alike = lines.stream()
                    .map(line -> parts(line, separator))
                    .filter(parts -> parts > 1)
                    .collect(Collectors.groupingBy(Function.identity(), Collectors.counting()))
                    .entrySet()
                    .stream()
                    .max(Map.Entry.comparingByValue())
                    .map(Map.Entry::getValue)
                    .orElse(0L);
            if (alike > most) {
                most = alike;
                best = separator;
            }
        }
        return best;
    }

    private static long parts(String line, char separator) {
        boolean quoted = false;
        long parts = 1;
        for (int index = 0; index < line.length(); index++) {
            char letter = line.charAt(index);
            if (letter == '"') {
                quoted = !quoted;
            } else if (letter == separator && !quoted) {
                parts++;
            }
        }
        return parts;
    }

    /** What reads rows, in turn. */
    public interface RowReader<T> {
        T read(Iterator<TableRow> rows);
    }

    /**
     * Reads the rows as they come, however many they are; blank lines are among them.
     *
     * @throws UnreadableTable if quotes are opened and never closed in a way no reader follows
     */
    public <T> T read(RowReader<T> reader) {
        CSVFormat format = CSVFormat.DEFAULT
                .builder()
                .setDelimiter(separator)
                .setIgnoreEmptyLines(false)
                .setTrim(true)
                .setTrailingData(true)
                .setLenientEof(true)
                .get();
        try (CSVParser parser = CSVParser.parse(new StringReader(text), format)) {
            Iterator<CSVRecord> records = parser.iterator();
            return reader.read(new Iterator<>() {
                @Override
                public boolean hasNext() {
                    return records.hasNext();
                }

                @Override
                public TableRow next() {
                    List<String> cells = records.next().toList();
                    return new TableRow((int) parser.getCurrentLineNumber() + firstLine - 1, cells);
                }
            });
        } catch (IOException | UncheckedIOException | IllegalStateException broken) {
            throw new UnreadableTable(broken);
        }
    }

    /** No reader follows it. */
    public static final class UnreadableTable extends RuntimeException {
        private static final long serialVersionUID = 1;

        UnreadableTable(Exception cause) {
            super(cause);
        }
    }
}
