package elvaro.server.forecast;

import jakarta.persistence.AttributeConverter;
import java.util.List;
import org.jspecify.annotations.Nullable;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;

/** The days of a kept plan as one column of JSON: they are written once and read as a whole. */
class PlanDays implements AttributeConverter<List<PlanDay>, String> {
    private static final JsonMapper JSON = new JsonMapper();

    @Override
    public String convertToDatabaseColumn(@Nullable List<PlanDay> days) {
        return JSON.writeValueAsString(days == null ? List.of() : days);
    }

    @Override
    public List<PlanDay> convertToEntityAttribute(@Nullable String column) {
        return column == null ? List.of() : JSON.readValue(column, new TypeReference<>() {});
    }
}
