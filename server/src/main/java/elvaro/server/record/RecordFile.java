package elvaro.server.record;

import elvaro.server.reading.AirService.DayView;
import elvaro.server.reading.AirView.AirEventView;
import elvaro.server.reading.AirView.FilledView;
import elvaro.server.record.RecordView.AirOfChamber;
import elvaro.server.record.RecordView.RecordRow;
import elvaro.server.shared.CsvFile;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/** A record as a table, times in UTC, one line for each thing written down, each day of air and each event. */
final class RecordFile {
    /** A column and what stands in it; each row has every one of them. */
    private enum Column {
        WHEN,
        UNTIL,
        RECORDED,
        BY,
        OF,
        WHAT,
        GRAMS,
        WORDS,
        STANDING,
        CELSIUS_MEAN,
        CELSIUS_MIN,
        CELSIUS_MAX,
        HUMIDITY_PERCENT_MEAN,
        HUMIDITY_PERCENT_MIN,
        HUMIDITY_PERCENT_MAX,
        DEGREE_HOURS,
        FILLED_BY
    }

    private RecordFile() {}

    static String write(RecordView record) {
        List<List<?>> rows = new ArrayList<>();
        record.rows().forEach(row -> rows.add(row(written(row))));
        for (AirOfChamber air : record.airs()) {
            air.days().forEach(day -> rows.add(row(ofDay(air.chamber(), day))));
            air.events().forEach(event -> rows.add(row(ofEvent(air.chamber(), event))));
        }
        return CsvFile.of(
                Arrays.stream(Column.values())
                        .map(column -> column.name().toLowerCase(Locale.ROOT))
                        .toList(),
                rows);
    }

    private static List<?> row(Map<Column, @Nullable Object> cells) {
        return Arrays.stream(Column.values()).map(cells::get).collect(Collectors.toList());
    }

    private static Map<Column, @Nullable Object> written(RecordRow row) {
        Map<Column, @Nullable Object> cells = new EnumMap<>(Column.class);
        cells.put(Column.WHEN, row.at());
        cells.put(Column.RECORDED, row.recordedAt());
        cells.put(Column.BY, row.by());
        cells.put(Column.OF, row.of());
        cells.put(Column.WHAT, row.what());
        cells.put(Column.GRAMS, row.grams());
        cells.put(Column.WORDS, row.words());
        cells.put(Column.STANDING, row.standing().name().toLowerCase(Locale.ROOT));
        return cells;
    }

    private static Map<Column, @Nullable Object> ofEvent(String chamber, AirEventView event) {
        Map<Column, @Nullable Object> cells = new EnumMap<>(Column.class);
        cells.put(Column.WHEN, event.from());
        cells.put(Column.UNTIL, event.lasting() ? null : event.to());
        cells.put(Column.OF, chamber);
        cells.put(Column.WHAT, "Air: " + RecordService.told(event));
        cells.put(
                Column.WORDS,
                event.decisions().stream()
                        .map(each -> "%s (%s, %s)".formatted(each.words(), each.by(), each.at()))
                        .collect(Collectors.joining("; ")));
        cells.put(Column.STANDING, event.decisions().isEmpty() ? "undecided" : "decided");
        cells.put(Column.CELSIUS_MAX, tenth(event.peakCelsius()));
        cells.put(Column.DEGREE_HOURS, tenth(event.degreeHours()));
        cells.put(
                Column.FILLED_BY,
                event.filledBy().stream().map(FilledView::name).collect(Collectors.joining("; ")));
        return cells;
    }

    private static Map<Column, @Nullable Object> ofDay(String chamber, DayView day) {
        Map<Column, @Nullable Object> cells = new EnumMap<>(Column.class);
        cells.put(Column.WHEN, day.day());
        cells.put(Column.OF, chamber);
        cells.put(Column.WHAT, "Air of the day");
        cells.put(Column.CELSIUS_MEAN, tenth(day.celsius()));
        cells.put(Column.CELSIUS_MIN, tenth(day.celsiusMin()));
        cells.put(Column.CELSIUS_MAX, tenth(day.celsiusMax()));
        cells.put(Column.HUMIDITY_PERCENT_MEAN, tenth(day.humidityPercent()));
        cells.put(Column.HUMIDITY_PERCENT_MIN, tenth(day.humidityMin()));
        cells.put(Column.HUMIDITY_PERCENT_MAX, tenth(day.humidityMax()));
        return cells;
    }

    private static @Nullable BigDecimal tenth(@Nullable Double value) {
        return value == null ? null : BigDecimal.valueOf(value).setScale(1, RoundingMode.HALF_UP);
    }
}
