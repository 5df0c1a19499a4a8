package elvaro.server.reading;

import elvaro.core.logger.DayOrder;
import elvaro.core.logger.LoggerColumns;
import elvaro.core.logger.LoggerMapping;
import elvaro.core.logger.LoggerOrder;
import elvaro.core.logger.LoggerReader;
import elvaro.core.logger.LoggerReader.Outcome;
import elvaro.core.logger.LoggerReader.WrongLine;
import elvaro.core.logger.LoggerSpan;
import elvaro.core.logger.LoggerWords;
import elvaro.core.table.TableRow;
import elvaro.server.shared.Refusal;
import elvaro.server.table.TableText;
import elvaro.server.table.TableText.RowReader;
import elvaro.server.table.TableText.UnreadableTable;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import org.jspecify.annotations.Nullable;

/** A table of readings as loggers write them. */
final class LoggerFile {
    static final int MOST_BYTES = 45_000_000;
    static final int MOST_LINES = 1_100_000; // two years of one a minute
    static final int MOST_COLUMNS = 200;
    private static final int SHOWN = 3;

    /** Moments by which the order of their days is told are looked at so often, over the whole file. */
    private static final int ORDERED_BY = 5_000;

    private final TableText table;
    private final LoggerColumns columns;

    /**
     * @param headLine the line of the heads where somebody said it
     * @throws Refusal if no reader follows it
     */
    LoggerFile(byte[] file, @Nullable Integer headLine) {
        table = TableText.of(file);
        List<TableRow> beginning = rows(rows -> {
            List<TableRow> first = new ArrayList<>();
            while (rows.hasNext() && first.size() < LoggerColumns.FIRST_LINES) {
                first.add(rows.next());
            }
            return first;
        });
        columns = LoggerColumns.of(beginning, headLine);
    }

    private <T> T rows(RowReader<T> reader) {
        try {
            return table.read(reader);
        } catch (UnreadableTable broken) {
            throw notOne();
        }
    }

    private static Refusal notOne() {
        return Refusal.wrong(
                "bad-file",
                "file",
                "No line of this file holds a moment and a value that could be told. Nothing was kept.");
    }

    /** In which order the moments of a column write their days. */
    private LoggerOrder order(LoggerMapping mapping, Instant latest) {
        int every = Math.max(1, (int) (table.text().lines().count() / ORDERED_BY));
        return rows(rows -> {
            LoggerOrder order = new LoggerOrder(latest);
            for (int index = 0; rows.hasNext(); index++) {
                TableRow row = rows.next();
                if (row.number() > mapping.headLine() && (index % every == 0 || index < ORDERED_BY / 2)) {
                    order.next(mapping.moment(row));
                }
            }
            return order;
        });
    }

    private LoggerMapping guess() {
        return new LoggerMapping(
                columns.headLine(),
                Math.max(0, columns.time()),
                columns.timeOfDay(),
                columns.temperature(),
                columns.humidity(),
                columns.speed(),
                DayOrder.YEAR_FIRST,
                ZoneOffset.UTC,
                columns.unit());
    }

    /** What would be taken in if it were meant so, and how it is meant where nobody said. */
    LoggerPreview look(LoggerForm form, Instant latest) {
        LoggerMapping meant = form.mapping(guess());
        LoggerOrder orders = order(meant, latest);
        LoggerMapping mapping = form.order() == null ? meant.in(orders.likely()) : meant;
        LoggerSpan span = new LoggerSpan();
        List<String> first = new ArrayList<>();
        Outcome outcome = new Outcome(0, 0, 0, 0);
        String fault = null;
        try {
            outcome = rows(rows -> LoggerReader.read(rows, mapping, latest, (at, celsius, humidity, speed) -> {
                air(at, celsius, humidity, speed);
                span.add(at);
                if (first.size() < SHOWN) {
                    first.add(LoggerWords.reading(at, celsius, humidity, speed, mapping.zone()));
                }
            }));
        } catch (WrongLine wrong) {
            fault = sentence(wrong);
        }
        return new LoggerPreview(
                columns.heads(),
                mapping.headLine(),
                mapping.time(),
                mapping.timeOfDay(),
                mapping.temperature(),
                mapping.humidity(),
                mapping.speed(),
                mapping.order(),
                orders.sure().isPresent(),
                mapping.unit(),
                outcome.kept(),
                LoggerWords.of(outcome, span.span(), mapping.zone()),
                first,
                fault);
    }

    /**
     * @param latest no reading may be after it
     * @throws Refusal that names the first line that is wrong, or asks in which order the days are written
     */
    List<AirReading> read(LoggerForm form, Instant latest) {
        LoggerMapping meant = form.mapping(guess());
        LoggerMapping mapping = form.order() != null
                ? meant
                : meant.in(
                        order(meant, latest)
                                .sure()
                                .orElseThrow(
                                        () -> Refusal.wrong(
                                                "which-order",
                                                "order",
                                                "Its days could be meant in two ways. Choose how they are written. Nothing was kept.")));
        List<AirReading> readings = new ArrayList<>();
        try {
            rows(rows -> LoggerReader.read(rows, mapping, latest, (at, celsius, humidity, speed) -> {
                readings.add(air(at, celsius, humidity, speed));
                if (readings.size() > MOST_LINES) {
                    throw Refusal.tooLarge("At most %d lines a file. Nothing was kept.".formatted(MOST_LINES));
                }
            }));
        } catch (WrongLine wrong) {
            throw Refusal.wrong("bad-file", "file", sentence(wrong));
        }
        if (readings.isEmpty()) {
            throw Refusal.wrong("bad-file", "file", "The file has no reading in these columns. Nothing was kept.");
        }
        return readings;
    }

    private static String sentence(WrongLine wrong) {
        return "Line %d: %s Nothing of the file was kept.".formatted(wrong.line(), wrong.getMessage());
    }

    private static AirReading air(Instant at, OptionalDouble celsius, OptionalDouble humidity, OptionalDouble speed) {
        return new AirReading(at.getEpochSecond(), orNull(celsius), orNull(humidity), orNull(speed));
    }

    private static @Nullable Double orNull(OptionalDouble value) {
        return value.isPresent() ? value.getAsDouble() : null;
    }
}
