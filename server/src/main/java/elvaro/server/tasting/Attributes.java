package elvaro.server.tasting;

import elvaro.core.tasting.Attribute;
import jakarta.persistence.AttributeConverter;
import java.util.List;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;

/** What is scored as one column of JSON: it is written once and read as a whole. */
class Attributes implements AttributeConverter<List<Attribute>, String> {
    private static final JsonMapper JSON = new JsonMapper();

    @Override
    public String convertToDatabaseColumn(List<Attribute> attributes) {
        return JSON.writeValueAsString(attributes == null ? List.of() : attributes);
    }

    @Override
    public List<Attribute> convertToEntityAttribute(String column) {
        return column == null ? List.of() : JSON.readValue(column, new TypeReference<List<Attribute>>() {});
    }
}
