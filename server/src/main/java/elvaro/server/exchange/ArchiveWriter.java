package elvaro.server.exchange;

import elvaro.server.chain.ChainCheck;
import elvaro.server.chain.HouseKey;
import elvaro.server.shared.CurrentWorkshop;
import java.io.IOException;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.math.BigDecimal;
import java.time.Clock;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.zip.Deflater;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import tools.jackson.core.JsonGenerator;
import tools.jackson.core.StreamWriteFeature;
import tools.jackson.core.json.JsonFactory;
import tools.jackson.databind.json.JsonMapper;

/**
 * Writes the whole record of a workshop as an archive: a sealed ZIP file of {@code record.json}, its JSON Schema and the
 * photos. Rows go out as they come in, so its size does not matter.
 */
@Component
class ArchiveWriter {
    static final String RECORD = "record.json";
    static final String CHAIN = "chain.json";
    static final String SCHEMA = "schema.json";
    private static final int ROWS_A_STEP = 100;

    private final ArchiveFormat format;
    private final ArchiveSchema schema;
    private final CarriedRows rows;
    private final CurrentWorkshop current;
    private final HouseKey key;
    private final ChainCheck chain;
    private final Clock clock;
    private final JsonFactory json =
            JsonFactory.builder().disable(StreamWriteFeature.AUTO_CLOSE_TARGET).build();

    ArchiveWriter(
            ArchiveFormat format,
            ArchiveSchema schema,
            CarriedRows rows,
            CurrentWorkshop current,
            HouseKey key,
            ChainCheck chain,
            Clock clock) {
        this.chain = chain;
        this.key = key;
        this.format = format;
        this.schema = schema;
        this.rows = rows;
        this.current = current;
        this.clock = clock;
    }

    /** @param out is closed at the end; if it fails before, what was written has no seal */
    void write(OutputStream out) throws IOException {
        Sealed.SealedStream sealed = new Sealed.SealedStream(out, key);
        ZipOutputStream zip = new ZipOutputStream(sealed);
        zip.setComment(Sealed.BLANK);
        zip.setLevel(Deflater.BEST_SPEED); // somebody waits for it, and most of the time went into packing it tighter
        byte[] state =
                new JsonMapper().writeValueAsBytes(chain.signed(current.person().workshopId()));
        rows.atOneMoment(() -> {
            entry(zip, RECORD);
            try (JsonGenerator record = json.createGenerator(zip);
                    HandedOn writing = new HandedOn("writes an archive")) {
                record(record, writing);
            }
            zip.closeEntry();
            photos(zip);
        });
        entry(zip, SCHEMA);
        zip.write(schema.bytes());
        zip.closeEntry();
        entry(zip, CHAIN);
        zip.write(state);
        zip.closeEntry();
        zip.close();
    }

    /** Rows are read here and written there. */
    private void record(JsonGenerator record, HandedOn writing) throws IOException {
        writing.hand(() -> {
            record.writeStartObject();
            record.writeStringProperty("format", ArchiveFormat.NAME);
            record.writeNumberProperty("version", ArchiveFormat.VERSION);
            record.writeStringProperty(
                    "made_at", clock.instant().truncatedTo(ChronoUnit.SECONDS).toString());
            record.writeName("workshop");
        });
        rows.read(format.workshop(), values -> {
            @Nullable Object[] row = values.clone();
            writing.hand(() -> row(record, format.workshop(), row));
        });
        Map<String, Integer> counts = new LinkedHashMap<>();
        format.tables().forEach(table -> counts.put(table.name(), rows.count(table)));
        writing.hand(() -> {
            record.writeObjectPropertyStart("rows");
            counts.forEach(record::writeNumberProperty);
            record.writeEndObject();
        });
        for (ArchiveTable table : format.tables()) {
            writing.hand(() -> record.writeArrayPropertyStart(table.name()));
            List<@Nullable Object[]> some = new ArrayList<>();
            rows.read(table, values -> {
                some.add(values.clone());
                if (some.size() == ROWS_A_STEP) {
                    writing.hand(rows(record, table, some));
                    some.clear();
                }
            });
            writing.hand(rows(record, table, some));
            writing.hand(record::writeEndArray);
        }
        writing.hand(record::writeEndObject);
    }

    private static HandedOn.Step rows(JsonGenerator record, ArchiveTable table, List<@Nullable Object[]> some) {
        List<@Nullable Object[]> these = List.copyOf(some);
        return () -> these.forEach(row -> {
            record.writeRaw("\n");
            row(record, table, row);
        });
    }

    private static void row(JsonGenerator record, ArchiveTable table, @Nullable Object[] values) {
        record.writeStartObject();
        for (int index = 0; index < values.length; index++) {
            if (values[index] != null) {
                record.writeName(table.columns().get(index).name());
                value(record, values[index]);
            }
        }
        record.writeEndObject();
    }

    private static void value(JsonGenerator record, Object value) {
        if (value instanceof Long whole) {
            record.writeNumber(whole);
        } else if (value instanceof BigDecimal decimal) {
            record.writeNumber(decimal);
        } else if (value instanceof Double real) {
            record.writeNumber(real);
        } else if (value instanceof Boolean truth) {
            record.writeBoolean(truth);
        } else {
            record.writeString(value.toString());
        }
    }

    private void photos(ZipOutputStream zip) throws IOException {
        try {
            rows.photos((id, jpeg) -> {
                try {
                    entry(zip, photo(id));
                    zip.write(jpeg);
                    zip.closeEntry();
                } catch (IOException failure) {
                    throw new UncheckedIOException(failure);
                }
            });
        } catch (UncheckedIOException failure) {
            throw failure.getCause();
        }
    }

    static String photo(String id) {
        return "photos/%s.jpg".formatted(id);
    }

    private void entry(ZipOutputStream zip, String name) throws IOException {
        ZipEntry entry = new ZipEntry(name);
        entry.setTime(clock.millis());
        zip.putNextEntry(entry);
    }
}
