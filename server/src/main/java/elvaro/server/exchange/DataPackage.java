package elvaro.server.exchange;

import elvaro.server.exchange.ArchiveColumn.ColumnType;
import elvaro.server.shared.CsvFile;
import elvaro.server.shared.CurrentWorkshop;
import java.io.IOException;
import java.io.OutputStream;
import java.io.OutputStreamWriter;
import java.io.Writer;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.apache.commons.csv.CSVPrinter;
import org.springframework.stereotype.Component;
import tools.jackson.databind.SerializationFeature;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * The record as a tabular data package: a CSV file a table and a descriptor that says what stands in each column and which
 * names a row of another table. After the Data Package and Table Schema specifications, version 1.
 */
@Component
class DataPackage {
    private static final JsonMapper JSON =
            JsonMapper.builder().enable(SerializationFeature.INDENT_OUTPUT).build();

    private final ArchiveFormat format;
    private final CarriedRows rows;
    private final CurrentWorkshop current;

    DataPackage(ArchiveFormat format, CarriedRows rows, CurrentWorkshop current) {
        this.format = format;
        this.rows = rows;
        this.current = current;
    }

    void write(OutputStream out) throws IOException {
        ZipOutputStream zip = new ZipOutputStream(out, StandardCharsets.UTF_8);
        zip.putNextEntry(new ZipEntry("datapackage.json"));
        zip.write(JSON.writeValueAsBytes(descriptor()));
        zip.closeEntry();
        rows.atOneMoment(() -> {
            for (ArchiveTable table : format.tables()) {
                zip.putNextEntry(new ZipEntry(path(table)));
                Writer text = new OutputStreamWriter(zip, StandardCharsets.UTF_8);
                CSVPrinter csv = CsvFile.onto(
                        text, table.columns().stream().map(ArchiveColumn::name).toList());
                rows.read(table, values -> CsvFile.row(csv, Arrays.asList(values)));
                text.flush();
                zip.closeEntry();
            }
        });
        zip.finish();
    }

    private static String path(ArchiveTable table) {
        return "data/%s.csv".formatted(table.name());
    }

    private ObjectNode descriptor() {
        ObjectNode descriptor = JSON.createObjectNode();
        descriptor.put("profile", "tabular-data-package");
        descriptor.put("name", "elvaro-" + current.person().workshopId());
        descriptor.put("title", "The record of a workshop that ages meat");
        descriptor.put(
                "description",
                "Moments are in UTC, weights in grams, money in the smallest unit of the workshop's currency. Words that a"
                        + " spreadsheet would run as a formula have an apostrophe before them.");
        ArrayNode resources = descriptor.putArray("resources");
        format.tables().forEach(table -> resources.add(resource(table)));
        return descriptor;
    }

    private static ObjectNode resource(ArchiveTable table) {
        ObjectNode resource = JSON.createObjectNode();
        resource.put("profile", "tabular-data-resource")
                .put("name", table.name())
                .put("description", table.about())
                .put("path", path(table))
                .put("format", "csv")
                .put("mediatype", "text/csv")
                .put("encoding", "utf-8");
        resource.putObject("dialect") // so that nobody guesses it from what people wrote
                .put("delimiter", ",")
                .put("lineTerminator", "\r\n")
                .put("quoteChar", "\"")
                .put("doubleQuote", true)
                .put("header", true);
        ObjectNode schema = resource.putObject("schema");
        ArrayNode fields = schema.putArray("fields");
        ArrayNode foreign = JSON.createArrayNode();
        for (ArchiveColumn column : table.columns()) {
            fields.add(field(column));
            if (column.pointsAt() != null) {
                ObjectNode key = foreign.addObject();
                key.put("fields", column.name());
                key.putObject("reference")
                        .put("resource", column.pointsAt().equals(table.name()) ? "" : column.pointsAt())
                        .put("fields", "id");
            }
        }
        if (!foreign.isEmpty()) {
            schema.set("foreignKeys", foreign);
        }
        if (table.column("id").isPresent()) {
            schema.put("primaryKey", "id");
        }
        return resource;
    }

    private static ObjectNode field(ArchiveColumn column) {
        ObjectNode field = JSON.createObjectNode();
        field.put("name", column.name());
        ObjectNode bounds = field.putObject("constraints");
        // A text may be empty, and an empty cell is no value to whoever reads the table.
        bounds.put("required", !column.optional() && column.kind() != ColumnType.TEXT);
        switch (column.kind()) {
            case ID -> field.put("type", "string").put("format", "uuid");
            case TEXT -> field.put("type", "string");
            case CHOICE -> {
                field.put("type", "string");
                ArrayNode choices = bounds.putArray("enum");
                column.choices().forEach(choices::add);
            }
            case WHOLE -> field.put("type", column.isToldAsText() ? "string" : "integer");
            case DECIMAL, REAL -> field.put("type", "number");
            case TRUTH -> field.put("type", "boolean");
            case DAY -> field.put("type", "date");
            case MOMENT -> field.put("type", "datetime").put("format", "any");
        }
        return field;
    }
}
