package elvaro.server.treatment;

import elvaro.core.treatment.Recipe.Ingredient;
import jakarta.persistence.AttributeConverter;
import java.util.List;
import org.jspecify.annotations.Nullable;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;

/** The parts of a recipe as one column of JSON: they are read and changed as a whole. */
class Parts implements AttributeConverter<List<Ingredient>, String> {
    private static final JsonMapper JSON = new JsonMapper();

    @Override
    public String convertToDatabaseColumn(@Nullable List<Ingredient> parts) {
        return JSON.writeValueAsString(parts == null ? List.of() : parts);
    }

    @Override
    public List<Ingredient> convertToEntityAttribute(@Nullable String column) {
        return column == null ? List.of() : JSON.readValue(column, new TypeReference<>() {});
    }
}
