package elvaro.server.record;

import elvaro.server.reading.AirService.DayView;
import elvaro.server.reading.AirView.AirEventView;
import elvaro.server.record.RecordView.AirOfChamber;
import elvaro.server.record.RecordView.RecordRow;
import elvaro.server.shared.CsvFile;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/** A record as a table, times in UTC, one line for each thing written down, each day of air and each event. */
final class RecordFile {
    private static final List<String> COLUMNS = List.of(
            "when",
            "recorded",
            "by",
            "of",
            "what",
            "grams",
            "words",
            "standing",
            "celsius_mean",
            "celsius_min",
            "celsius_max",
            "humidity_mean",
            "humidity_min",
            "humidity_max");

    private RecordFile() {}

    static String write(RecordView record) {
        List<List<?>> rows = new ArrayList<>();
        record.rows().forEach(row -> rows.add(written(row)));
        for (AirOfChamber air : record.airs()) {
            air.days().forEach(day -> rows.add(ofDay(air.chamber(), day)));
            air.events().forEach(event -> rows.add(ofEvent(air.chamber(), event)));
        }
        return CsvFile.of(COLUMNS, rows);
    }

    private static List<?> written(RecordRow row) {
        return Arrays.asList(
                row.at(),
                row.recordedAt(),
                row.by(),
                row.of(),
                row.what(),
                row.grams(),
                row.words(),
                row.standing().name().toLowerCase(Locale.ROOT));
    }

    private static List<?> ofEvent(String chamber, AirEventView event) {
        String decided = event.decisions().stream()
                .map(each -> "%s (%s, %s)".formatted(each.words(), each.by(), each.at()))
                .collect(Collectors.joining("; "));
        return Arrays.asList(
                event.from(),
                null,
                null,
                chamber,
                "Air: " + RecordService.told(event),
                null,
                decided,
                event.decisions().isEmpty() ? "undecided" : "decided");
    }

    private static List<?> ofDay(String chamber, DayView day) {
        return Arrays.asList(
                day.day(),
                null,
                null,
                chamber,
                "Air of the day",
                null,
                null,
                null,
                tenth(day.celsius()),
                tenth(day.celsiusMin()),
                tenth(day.celsiusMax()),
                tenth(day.humidityPercent()),
                tenth(day.humidityMin()),
                tenth(day.humidityMax()));
    }

    private static @Nullable BigDecimal tenth(@Nullable Double value) {
        return value == null ? null : BigDecimal.valueOf(value).setScale(1, RoundingMode.HALF_UP);
    }
}
