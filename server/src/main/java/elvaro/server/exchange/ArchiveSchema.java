package elvaro.server.exchange;

import java.util.ArrayList;
import java.util.List;
import org.springframework.stereotype.Component;
import tools.jackson.databind.SerializationFeature;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** The JSON Schema (draft 2020-12) of an archive's record, for whoever reads or writes one. */
@Component
class ArchiveSchema {
    private static final JsonMapper JSON =
            JsonMapper.builder().enable(SerializationFeature.INDENT_OUTPUT).build();
    private static final String ID = "^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}$";

    private final byte[] bytes;

    ArchiveSchema(ArchiveFormat format) {
        ObjectNode schema = JSON.createObjectNode();
        schema.put("$schema", "https://json-schema.org/draft/2020-12/schema");
        schema.put("title", "The record of a workshop that ages meat, as Elvaro carries it");
        schema.put("type", "object");
        schema.put("additionalProperties", false);
        ObjectNode properties = schema.putObject("properties");
        properties.putObject("format").put("const", ArchiveFormat.NAME);
        properties.putObject("version").put("const", ArchiveFormat.VERSION);
        properties.putObject("made_at").put("type", "string").put("format", "date-time");
        properties.set("workshop", row(format.workshop()));
        ObjectNode counts = properties.putObject("rows");
        counts.put("description", "How many rows each table has, for a reader to know that none is missing.");
        counts.put("type", "object").put("additionalProperties", false);
        List<String> required = new ArrayList<>(List.of("format", "version", "made_at", "workshop", "rows"));
        for (ArchiveTable table : format.tables()) {
            counts.withObjectProperty("properties")
                    .putObject(table.name())
                    .put("type", "integer")
                    .put("minimum", 0);
            ObjectNode rows = properties.putObject(table.name());
            rows.put("type", "array");
            rows.set("items", row(table));
            required.add(table.name());
        }
        require(schema, required);
        bytes = JSON.writeValueAsBytes(schema);
    }

    private static void require(ObjectNode of, List<String> names) {
        ArrayNode required = of.putArray("required");
        names.forEach(required::add);
    }

    private static ObjectNode row(ArchiveTable table) {
        ObjectNode row = JSON.createObjectNode();
        row.put("description", table.about());
        row.put("type", "object").put("additionalProperties", false);
        ObjectNode properties = row.putObject("properties");
        table.columns().forEach(column -> properties.set(column.name(), value(column)));
        require(
                row,
                table.columns().stream()
                        .filter(column -> !column.optional())
                        .map(ArchiveColumn::name)
                        .toList());
        return row;
    }

    private static ObjectNode value(ArchiveColumn column) {
        ObjectNode value = JSON.createObjectNode();
        if (column.pointsAt() != null) {
            value.put("description", "The id of a row of %s.".formatted(column.pointsAt()));
        }
        switch (column.kind()) {
            case ID -> value.put("type", "string").put("pattern", ID);
            case TEXT -> value.put("type", "string").put("maxLength", column.most());
            case CHOICE -> {
                ArrayNode choices = value.putArray("enum");
                column.choices().forEach(choices::add);
            }
            case WHOLE ->
                value.put("type", "integer").put("minimum", column.least()).put("maximum", column.most());
            case DECIMAL ->
                value.put("type", "number").put("minimum", column.least()).put("maximum", column.most());
            case REAL -> value.put("type", "number").put("minimum", 0);
            case TRUTH -> value.put("type", "boolean");
            case DAY -> value.put("type", "string").put("format", "date");
            case MOMENT -> value.put("type", "string").put("format", "date-time");
        }
        return value;
    }

    byte[] bytes() {
        return bytes.clone();
    }
}
