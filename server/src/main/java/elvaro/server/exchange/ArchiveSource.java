package elvaro.server.exchange;

import elvaro.server.shared.Refusal;
import java.io.FilterInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Pattern;
import java.util.zip.ZipEntry;
import java.util.zip.ZipFile;
import org.jspecify.annotations.Nullable;
import tools.jackson.core.JacksonException;
import tools.jackson.core.JsonParser;
import tools.jackson.core.JsonToken;
import tools.jackson.core.StreamReadConstraints;
import tools.jackson.core.json.JsonFactory;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * An archive that is read from its head to its end, once. Whatever is wrong with it is a {@link Refusal} that says where;
 * the file may come from anybody, so nothing in it is believed before it is counted.
 */
final class ArchiveSource implements AutoCloseable {
    /** JSON of one's own record packs some 20 to 1; a bomb packs 1000 to 1. */
    private static final int MOST_RATIO = 100;

    private static final int ALLOWANCE_BYTES = 1 << 20;
    private static final int MOST_PHOTO_BYTES = 15_000_000;
    private static final int MOST_CHAIN_BYTES = 64_000;
    private static final int LONGEST_FAULT = 300;
    private static final Pattern KNOWN_ENTRY =
            Pattern.compile("record\\.json|schema\\.json|chain\\.json|photos/[0-9a-f-]{36}\\.jpg");

    private static final JsonFactory JSON = JsonFactory.builder()
            .streamReadConstraints(StreamReadConstraints.builder()
                    .maxNestingDepth(4)
                    .maxNumberLength(40)
                    .maxNameLength(60)
                    .maxStringLength(20_000)
                    .build())
            .build();

    /**
     * What stands before the tables.
     *
     * @param workshop the values of its row, by column
     * @param rows how many each table has
     */
    record Head(Instant madeAt, Map<String, Object> workshop, Map<String, Integer> rows) {
        long allRows() {
            return rows.values().stream().mapToLong(Integer::longValue).sum();
        }
    }

    /** What is done with the rows. An {@link IllegalArgumentException} of it becomes a refusal that names the row. */
    interface Taker {
        void begin(ArchiveTable table);

        /** @param values in the order of the table's columns; theirs to change */
        void row(ArchiveTable table, @Nullable Object[] values);

        /** @param table all rows of it were given */
        void end(ArchiveTable table);
    }

    private final ArchiveFormat format;
    private final ZipFile zip;
    private final JsonParser json;
    private final Head head;
    private String table = "";
    private int row;

    /** @param file with an unbroken seal */
    ArchiveSource(Path file, ArchiveFormat format) throws IOException {
        this.format = format;
        ZipFile opened;
        try {
            opened = new ZipFile(file.toFile());
        } catch (IOException | IllegalArgumentException broken) {
            throw notOne("it is no ZIP file");
        }
        zip = opened;
        try {
            zip.stream().map(ZipEntry::getName).forEach(ArchiveSource::mustBeKnown);
            ZipEntry record = zip.getEntry(ArchiveWriter.RECORD);
            if (record == null) {
                throw notOne("there is no record.json in it");
            }
            long most = ALLOWANCE_BYTES + MOST_RATIO * Files.size(file);
            json = JSON.createParser(new Bounded(zip.getInputStream(record), most));
            head = wrapped(this::readHead);
        } catch (RuntimeException | IOException failure) {
            zip.close();
            throw failure;
        }
    }

    private static void mustBeKnown(String entry) {
        if (!KNOWN_ENTRY.matcher(entry).matches()) {
            throw notOne("“%.60s” in it is not known".formatted(entry));
        }
    }

    private static Refusal notOne(String why) {
        return Refusal.wrong(
                "bad-archive", "archive", "This is no archive of Elvaro, for %s. Nothing was taken in.".formatted(why));
    }

    /** Where the record it was made from was not whole any more, as it says itself; the first of it. */
    Optional<String> fault() {
        ZipEntry chain = zip.getEntry(ArchiveWriter.CHAIN);
        if (chain == null) {
            return Optional.empty();
        }
        try (InputStream in = zip.getInputStream(chain)) {
            JsonNode faults =
                    new JsonMapper().readTree(in.readNBytes(MOST_CHAIN_BYTES)).path("faults");
            return faults.valueStream()
                    .findFirst()
                    .map(fault -> fault.asString(""))
                    .map(fault -> fault.substring(0, Math.min(fault.length(), LONGEST_FAULT)));
        } catch (IOException | JacksonException broken) {
            throw notOne("its chain.json cannot be read");
        }
    }

    Head head() {
        return head;
    }

    private interface ValueReader<T> {
        T read();
    }

    /** Says where it was when something was wrong. */
    private <T> T wrapped(ValueReader<T> reading) {
        try {
            return reading.read();
        } catch (JacksonException broken) {
            throw wrong("it cannot be read as JSON from there on.");
        } catch (IllegalArgumentException wrong) {
            throw wrong(String.valueOf(wrong.getMessage()));
        }
    }

    private Refusal wrong(String sentence) {
        String where = table.isEmpty() ? "Its head" : "%s, row %d".formatted(table, row);
        return Refusal.wrong("bad-archive", "archive", "%s: %s Nothing was taken in.".formatted(where, sentence));
    }

    private Head readHead() {
        expect(JsonToken.START_OBJECT);
        name("format");
        if (!ArchiveFormat.NAME.equals(string())) {
            throw notOne("it says it is something else");
        }
        name("version");
        expect(JsonToken.VALUE_NUMBER_INT);
        if (json.getIntValue() != ArchiveFormat.VERSION) {
            throw Refusal.wrong(
                    "other-version",
                    "archive",
                    "This archive has version %d of the format, and this Elvaro reads version %d. Bring it up to date."
                            .formatted(json.getIntValue(), ArchiveFormat.VERSION));
        }
        name("made_at");
        Instant madeAt = ArchiveColumn.moment(string(), "made_at");
        name("workshop");
        expect(JsonToken.START_OBJECT);
        @Nullable Object[] values = values(format.workshop());
        Map<String, Object> workshop = new HashMap<>();
        for (int index = 0; index < values.length; index++) {
            Object value = values[index];
            if (value != null) {
                workshop.put(format.workshop().columns().get(index).name(), value);
            }
        }
        name("rows");
        return new Head(madeAt, workshop, counts());
    }

    private Map<String, Integer> counts() {
        expect(JsonToken.START_OBJECT);
        Map<String, Integer> rows = new HashMap<>();
        while (json.nextToken() != JsonToken.END_OBJECT) {
            String counted = json.currentName();
            boolean known =
                    format.tables().stream().anyMatch(each -> each.name().equals(counted));
            expect(JsonToken.VALUE_NUMBER_INT);
            if (!known || json.getIntValue() < 0 || rows.put(counted, json.getIntValue()) != null) {
                throw new IllegalArgumentException("the rows of “%.40s” are not known.".formatted(counted));
            }
        }
        return rows;
    }

    /** Gives every row, table by table in the order of the format. */
    void rows(Taker taker) {
        wrapped(() -> {
            for (ArchiveTable each : format.tables()) {
                table = each.name();
                row = 0;
                name(each.name());
                expect(JsonToken.START_ARRAY);
                taker.begin(each);
                while (json.nextToken() == JsonToken.START_OBJECT) {
                    row++;
                    taker.row(each, values(each));
                }
                if (json.currentToken() != JsonToken.END_ARRAY) {
                    throw new IllegalArgumentException("what follows is no row.");
                }
                if (row != head.rows().getOrDefault(each.name(), -1)) {
                    throw new IllegalArgumentException("there are not as many rows as the head says.");
                }
                taker.end(each);
            }
            expect(JsonToken.END_OBJECT);
            if (json.nextToken() != null) {
                throw new IllegalArgumentException("something follows after the end.");
            }
            return true;
        });
    }

    /** The object that has begun, to its end. */
    private @Nullable Object[] values(ArchiveTable of) {
        @Nullable Object[] values = new Object[of.columns().size()];
        boolean[] given = new boolean[values.length];
        while (json.nextToken() != JsonToken.END_OBJECT) {
            String column = json.currentName();
            int index = of.column(column).isEmpty() ? -1 : of.indexOf(column);
            if (index < 0 || given[index]) {
                throw new IllegalArgumentException("“%.40s” is not known there, or is there twice.".formatted(column));
            }
            json.nextToken();
            given[index] = true;
            values[index] = of.columns().get(index).read(json);
        }
        for (int index = 0; index < values.length; index++) {
            ArchiveColumn column = of.columns().get(index);
            if (!given[index] && !column.optional()) {
                throw new IllegalArgumentException("%s is missing.".formatted(column.name()));
            }
        }
        return values;
    }

    private void name(String wanted) {
        if (json.nextToken() != JsonToken.PROPERTY_NAME || !wanted.equals(json.currentName())) {
            throw new IllegalArgumentException("%s should follow.".formatted(wanted));
        }
    }

    private void expect(JsonToken token) {
        if (json.nextToken() != token) {
            throw new IllegalArgumentException("what follows has the wrong form.");
        }
    }

    private String string() {
        expect(JsonToken.VALUE_STRING);
        return json.getString();
    }

    /** @throws IllegalArgumentException if it is not there or too large */
    byte[] photo(String id) {
        ZipEntry entry = zip.getEntry(ArchiveWriter.photo(id));
        if (entry == null) {
            throw new IllegalArgumentException("%s is missing.".formatted(ArchiveWriter.photo(id)));
        }
        try (InputStream in = zip.getInputStream(entry)) {
            byte[] bytes = in.readNBytes(MOST_PHOTO_BYTES + 1);
            if (bytes.length > MOST_PHOTO_BYTES) {
                throw new IllegalArgumentException("%s is too large.".formatted(ArchiveWriter.photo(id)));
            }
            return bytes;
        } catch (IOException broken) {
            throw new IllegalArgumentException("%s cannot be read.".formatted(ArchiveWriter.photo(id)));
        }
    }

    @Override
    public void close() throws IOException {
        zip.close();
    }

    /** Ends with a failure where a file unpacks to more than it can honestly be. */
    private static final class Bounded extends FilterInputStream {
        private long left;

        Bounded(InputStream in, long most) {
            super(in);
            left = most;
        }

        @Override
        public int read() throws IOException {
            byte[] one = new byte[1];
            return read(one, 0, 1) < 0 ? -1 : one[0] & 0xff;
        }

        @Override
        public int read(byte[] bytes, int from, int length) throws IOException {
            int read = super.read(bytes, from, length);
            left -= Math.max(read, 0);
            if (left < 0) {
                throw new IllegalArgumentException("it unpacks to far more than a record holds.");
            }
            return read;
        }
    }
}
