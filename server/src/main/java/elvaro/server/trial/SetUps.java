package elvaro.server.trial;

import jakarta.persistence.AttributeConverter;
import org.jspecify.annotations.Nullable;
import tools.jackson.databind.json.JsonMapper;

/** The set-up of an arm as one column of JSON: it is written once and read as a whole. */
class SetUps implements AttributeConverter<SetUp, String> {
    private static final JsonMapper JSON = new JsonMapper();

    @Override
    public @Nullable String convertToDatabaseColumn(@Nullable SetUp setUp) {
        return setUp == null ? "" : JSON.writeValueAsString(setUp);
    }

    @Override
    public @Nullable SetUp convertToEntityAttribute(@Nullable String column) {
        return column == null || column.isEmpty() ? null : JSON.readValue(column, SetUp.class);
    }
}
