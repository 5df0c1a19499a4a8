package elvaro.server.settings;

import jakarta.persistence.AttributeConverter;
import java.util.Arrays;
import java.util.List;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/** The price list as one column, {@code 14:4000 28:6000}: it is read and changed as a whole. */
class PriceSteps implements AttributeConverter<List<PriceStep>, String> {

    @Override
    public String convertToDatabaseColumn(@Nullable List<PriceStep> steps) {
        return steps == null
                ? ""
                : steps.stream()
                        .map(step -> step.fromDay() + ":" + step.minorPerKg())
                        .collect(Collectors.joining(" "));
    }

    @Override
    public List<PriceStep> convertToEntityAttribute(@Nullable String column) {
        if (column == null || column.isEmpty()) {
            return List.of();
        }
        return Arrays.stream(column.split(" "))
                .map(step -> step.split(":"))
                .map(pair -> new PriceStep(Integer.valueOf(pair[0]), Integer.valueOf(pair[1])))
                .toList();
    }
}
