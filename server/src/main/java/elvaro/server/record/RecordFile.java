package elvaro.server.record;

import elvaro.server.reading.AirService.DayView;
import elvaro.server.reading.AirView.AirEventView;
import elvaro.server.record.RecordView.AirOfChamber;
import elvaro.server.record.RecordView.RecordRow;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.Locale;
import java.util.stream.Collectors;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import org.jspecify.annotations.Nullable;

/** A record as CSV (RFC 4180), times in UTC, one line for each thing written down, each day of air and each event. */
final class RecordFile {
    private static final CSVFormat FORMAT = CSVFormat.RFC4180
            .builder()
            .setHeader(
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
                    "humidity_max")
            .get();

    private RecordFile() {}

    static String write(RecordView record) {
        StringBuilder text = new StringBuilder();
        try (CSVPrinter csv = new CSVPrinter(text, FORMAT)) {
            for (RecordRow row : record.rows()) {
                csv.printRecord(
                        row.at(),
                        row.recordedAt(),
                        harmless(row.by()),
                        harmless(row.of()),
                        row.what(),
                        row.grams(),
                        harmless(row.words()),
                        row.standing().name().toLowerCase(Locale.ROOT));
            }
            for (AirOfChamber air : record.airs()) {
                for (DayView day : air.days()) {
                    print(csv, air.chamber(), day);
                }
                for (AirEventView event : air.events()) {
                    csv.printRecord(
                            event.from(),
                            null,
                            null,
                            harmless(air.chamber()),
                            "Air: " + RecordService.told(event),
                            null,
                            harmless(event.decisions().stream()
                                    .map(each -> "%s (%s, %s)".formatted(each.words(), each.by(), each.at()))
                                    .collect(Collectors.joining("; "))),
                            event.decisions().isEmpty() ? "undecided" : "decided");
                }
            }
        } catch (IOException impossible) {
            throw new UncheckedIOException(impossible);
        }
        return text.toString();
    }

    private static void print(CSVPrinter csv, String chamber, DayView day) throws IOException {
        csv.printRecord(
                day.day(),
                null,
                null,
                harmless(chamber),
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

    private static @Nullable String tenth(@Nullable Double value) {
        return value == null ? null : String.format(Locale.ROOT, "%.1f", value);
    }

    /** What a person typed must not become a formula in the spreadsheet of whoever opens the file. */
    private static String harmless(String typed) {
        return typed.matches("(?s)[=+\\-@\\t\\r].*") ? "'" + typed : typed;
    }
}
