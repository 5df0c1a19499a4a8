package elvaro.server.reading;

import elvaro.server.shared.Refusal;
import java.io.IOException;
import java.io.StringReader;
import java.io.UncheckedIOException;
import java.time.DateTimeException;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;
import org.jspecify.annotations.Nullable;

/** A table of readings as loggers write them: one header line, then a line for each moment. */
final class LoggerFile {
    static final int MOST_BYTES = 45_000_000;
    private static final int MOST_LINES = 1_100_000; // two years of one a minute

    /** How a logger writes the moment. */
    enum Moments {
        ISO("[yyyy-MM-dd'T'HH:mm:ss][yyyy-MM-dd'T'HH:mm][yyyy-MM-dd HH:mm:ss][yyyy-MM-dd HH:mm]"),
        DAY_FIRST("[d.M.yyyy H:mm:ss][d.M.yyyy H:mm][d/M/yyyy H:mm:ss][d/M/yyyy H:mm]"),
        MONTH_FIRST("[M/d/yyyy H:mm:ss][M/d/yyyy H:mm]");

        private final DateTimeFormatter format;

        Moments(String pattern) {
            format = DateTimeFormatter.ofPattern(pattern, Locale.ROOT);
        }
    }

    /**
     * Which column is what.
     *
     * @param zone the clock of the logger
     * @param fahrenheit whether temperatures are in °F
     */
    record Mapping(
            String time,
            @Nullable String temperature,
            @Nullable String humidity,
            @Nullable String speed,
            Moments moments,
            ZoneId zone,
            boolean fahrenheit) {}

    private LoggerFile() {}

    /** The columns of the file, and the separator they were told apart by. */
    static List<String> columns(String text) {
        return parse(text, parser -> List.copyOf(parser.getHeaderNames()));
    }

    /**
     * @param text the file
     * @param latest no reading may be after it
     * @throws Refusal that names the first line that is wrong
     */
    static List<AirReading> read(String text, Mapping mapping, Instant latest) {
        return parse(text, parser -> {
            for (String column : List.of(
                    mapping.time,
                    Optional.ofNullable(mapping.temperature).orElse(mapping.time),
                    Optional.ofNullable(mapping.humidity).orElse(mapping.time),
                    Optional.ofNullable(mapping.speed).orElse(mapping.time))) {
                if (!parser.getHeaderNames().contains(column)) {
                    throw Refusal.wrong("bad-file", "file", "The file has no column called %s.".formatted(column));
                }
            }
            List<AirReading> readings = new ArrayList<>();
            Clockwork clock = new Clockwork(mapping);
            for (CSVRecord line : parser) {
                if (line.size() == 1 && line.get(0).isBlank()) {
                    continue;
                }
                try {
                    readings.add(reading(line, mapping, clock, latest));
                } catch (IllegalArgumentException | DateTimeException wrong) {
                    throw Refusal.wrong(
                            "bad-file",
                            "file",
                            "Line %d: %s Nothing of the file was kept."
                                    .formatted(parser.getCurrentLineNumber(), sentence(wrong, line, mapping)));
                }
                if (readings.size() > MOST_LINES) {
                    throw Refusal.tooLarge("At most %d lines a file. Nothing was kept.".formatted(MOST_LINES));
                }
            }
            if (readings.isEmpty()) {
                throw Refusal.wrong("bad-file", "file", "The file has no reading.");
            }
            return readings;
        });
    }

    private static String sentence(RuntimeException wrong, CSVRecord line, Mapping mapping) {
        return wrong instanceof DateTimeException && !(wrong instanceof NoSuchHour)
                ? "“%s” is no moment in the chosen form.".formatted(line.get(mapping.time))
                : String.valueOf(wrong.getMessage());
    }

    private interface RowReader<T> {
        T read(CSVParser parser) throws IOException;
    }

    private static <T> T parse(String text, RowReader<T> reader) {
        String plain = text.startsWith("\uFEFF") ? text.substring(1) : text;
        String header = plain.lines().findFirst().orElse("");
        char separator = header.contains(";") ? ';' : header.contains("\t") ? '\t' : ',';
        CSVFormat format = CSVFormat.DEFAULT
                .builder()
                .setDelimiter(separator)
                .setHeader()
                .setSkipHeaderRecord(true)
                .setTrim(true)
                .setIgnoreEmptyLines(true)
                .get();
        try (CSVParser parser = CSVParser.parse(new StringReader(plain), format)) {
            return reader.read(parser);
        } catch (IllegalArgumentException | UncheckedIOException | IOException unreadable) {
            throw Refusal.wrong("bad-file", "file", "The file is no table with a header line. Nothing was kept.");
        }
    }

    private static AirReading reading(CSVRecord line, Mapping mapping, Clockwork clock, Instant latest) {
        if (!line.isConsistent()) {
            throw new IllegalArgumentException("It has another number of columns than the header.");
        }
        Instant at = clock.at(line.get(mapping.time));
        if (at.isAfter(latest)) {
            throw new IllegalArgumentException("%s is still to come.".formatted(line.get(mapping.time)));
        }
        if (at.isBefore(Instant.EPOCH)) {
            throw new IllegalArgumentException("%s is too long ago.".formatted(line.get(mapping.time)));
        }
        Double temperature = number(line, mapping.temperature);
        if (temperature != null && mapping.fahrenheit) {
            temperature = (temperature - 32) / 1.8;
        }
        return new AirReading(
                at.getEpochSecond(), temperature, number(line, mapping.humidity), number(line, mapping.speed));
    }

    private static @Nullable Double number(CSVRecord line, @Nullable String column) {
        String text = column == null ? "" : line.get(column);
        if (text.isEmpty()) {
            return null;
        }
        try {
            return Double.valueOf(text.replace(',', '.'));
        } catch (NumberFormatException wrong) {
            throw new IllegalArgumentException("“%s” in %s is no number.".formatted(text, column));
        }
    }

    private static final class NoSuchHour extends DateTimeException {
        NoSuchHour(String moment) {
            super("%s does not exist: the clock was put forward over it.".formatted(moment));
        }
    }

    /** Moments in the order of the file: an hour that comes twice a year is told apart by what came before. */
    private static final class Clockwork {
        private final Mapping mapping;
        private Instant before = Instant.MIN;

        Clockwork(Mapping mapping) {
            this.mapping = mapping;
        }

        Instant at(String text) {
            if (text.endsWith("Z") || text.matches(".*T.*[+-]\\d\\d:\\d\\d")) {
                return DateTimeFormatter.ISO_OFFSET_DATE_TIME.parse(text, Instant::from);
            }
            LocalDateTime local = LocalDateTime.parse(text, mapping.moments.format);
            List<ZoneOffset> offsets = mapping.zone.getRules().getValidOffsets(local);
            if (offsets.isEmpty()) {
                throw new NoSuchHour(text);
            }
            Instant first = local.toInstant(offsets.get(0));
            Instant at = offsets.size() > 1 && !first.isAfter(before) ? local.toInstant(offsets.get(1)) : first;
            before = at;
            return at;
        }
    }
}
