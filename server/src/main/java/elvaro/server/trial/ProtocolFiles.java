package elvaro.server.trial;

import jakarta.persistence.AttributeConverter;
import tools.jackson.databind.json.JsonMapper;

/** A file of another house as one column of JSON: it is written once and read as a whole. */
class ProtocolFiles implements AttributeConverter<ProtocolFile, String> {
    private static final JsonMapper JSON = new JsonMapper();

    @Override
    public String convertToDatabaseColumn(ProtocolFile file) {
        return JSON.writeValueAsString(file);
    }

    @Override
    public ProtocolFile convertToEntityAttribute(String column) {
        return JSON.readValue(column, ProtocolFile.class);
    }
}
