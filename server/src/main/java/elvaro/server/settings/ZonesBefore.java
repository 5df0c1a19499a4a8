package elvaro.server.settings;

import elvaro.server.settings.HouseClock.Before;
import jakarta.persistence.AttributeConverter;
import java.time.Instant;
import java.time.ZoneId;
import java.util.Arrays;
import java.util.List;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/** The zones of a house before its own as one column, {@code Europe/Oslo@2026-01-05T08:00:00Z}, apart by blanks. */
class ZonesBefore implements AttributeConverter<List<Before>, String> {

    @Override
    public String convertToDatabaseColumn(@Nullable List<Before> all) {
        return all == null
                ? ""
                : all.stream().map(each -> each.zone() + "@" + each.until()).collect(Collectors.joining(" "));
    }

    @Override
    public List<Before> convertToEntityAttribute(@Nullable String column) {
        if (column == null || column.isEmpty()) {
            return List.of();
        }
        return Arrays.stream(column.split(" "))
                .map(each -> each.split("@"))
                .map(pair -> new Before(ZoneId.of(pair[0]), Instant.parse(pair[1])))
                .toList();
    }
}
