package elvaro.core.logger;

import elvaro.core.air.TemperatureUnit;
import elvaro.core.table.TableRow;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.util.Iterator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.jspecify.annotations.Nullable;

/**
 * Reads what a logger measured. A cell without a value is a gap; what stands above the readings, below them, or between them
 * without a moment and a value is left out and counted. A line that measures something at no moment is a fault.
 */
public final class LoggerReader {
    private final LoggerMapping mapping;
    private final Instant latest;
    private final Readings readings;

    private Instant before = Instant.MIN;
    private int kept;
    private int empty;
    private int leftOut;
    private int firstLeftOut;

    /** What is done with a reading; what was not measured is absent. */
    @FunctionalInterface
    public interface Readings {
        /**
         * @param celsius °C
         * @param humidity %
         * @param speed m/s
         * @throws IllegalArgumentException with a sentence, if it cannot have been so
         */
        void take(Instant at, OptionalDouble celsius, OptionalDouble humidity, OptionalDouble speed);
    }

    /**
     * What became of the lines.
     *
     * @param kept lines that measured something
     * @param empty lines with a moment and no value
     * @param leftOut other lines below the head
     * @param firstLeftOut the number of the first of them, 0 if there is none
     */
    public record Outcome(int kept, int empty, int leftOut, int firstLeftOut) {}

    /** A line that cannot be, and why. */
    public static final class WrongLine extends RuntimeException {
        private static final long serialVersionUID = 1;

        private final int line;

        WrongLine(int line, String sentence) {
            super(sentence);
            this.line = line;
        }

        /** As an editor counts, from 1. */
        public int line() {
            return line;
        }
    }

    private LoggerReader(LoggerMapping mapping, Instant latest, Readings readings) {
        this.mapping = mapping;
        this.latest = latest;
        this.readings = readings;
    }

    /**
     * @param lines of the whole file
     * @param latest no reading may be after it
     * @throws WrongLine the first that cannot be
     */
    public static Outcome read(Iterator<TableRow> lines, LoggerMapping mapping, Instant latest, Readings readings) {
        LoggerReader reader = new LoggerReader(mapping, latest, readings);
        while (lines.hasNext()) {
            TableRow line = lines.next();
            if (line.number() > mapping.headLine() && !line.isBlank()) {
                reader.line(line);
            }
        }
        return new Outcome(reader.kept, reader.empty, reader.leftOut, reader.firstLeftOut);
    }

    private void line(TableRow line) {
        Optional<MomentText> moment = MomentText.of(mapping.moment(line), mapping.order());
        if (moment.isEmpty()) {
            noMoment(line);
            return;
        }
        OptionalDouble celsius = temperature(line);
        OptionalDouble humidity = value(line, mapping.humidity());
        OptionalDouble speed = value(line, mapping.speed());
        Instant at = at(line, moment.get());
        if (celsius.isEmpty() && humidity.isEmpty() && speed.isEmpty()) {
            empty++;
            return;
        }
        if (at.isAfter(latest)) {
            throw new WrongLine(line.number(), "%s is still to come.".formatted(mapping.moment(line)));
        }
        if (at.isBefore(Instant.EPOCH)) {
            throw new WrongLine(line.number(), "%s is too long ago.".formatted(mapping.moment(line)));
        }
        kept++;
        try {
            readings.take(at, celsius, humidity, speed);
        } catch (IllegalArgumentException beyond) {
            throw new WrongLine(line.number(), String.valueOf(beyond.getMessage()));
        }
    }

    /** A title, a line of units, a sum at the end, an event: none of them measures in the columns that are read. */
    private void noMoment(TableRow line) {
        boolean hasMoment = !mapping.moment(line).isEmpty();
        boolean day = MomentText.isDay(line.cell(mapping.time()))
                || MomentText.of(mapping.moment(line), other()).isPresent();
        if (kept > 0 && hasMoment && day && measures(line)) {
            throw new WrongLine(line.number(), "“%s” is no moment in the chosen form.".formatted(mapping.moment(line)));
        }
        leftOut++;
        firstLeftOut = firstLeftOut == 0 ? line.number() : firstLeftOut;
    }

    private DayOrder other() {
        return mapping.order() == DayOrder.DAY_FIRST ? DayOrder.MONTH_FIRST : DayOrder.DAY_FIRST;
    }

    private boolean measures(TableRow line) {
        try {
            return temperature(line).isPresent()
                    || value(line, mapping.humidity()).isPresent()
                    || value(line, mapping.speed()).isPresent();
        } catch (WrongLine words) {
            return false;
        }
    }

    private OptionalDouble temperature(TableRow line) {
        return read(line, mapping.temperature())
                .map(value -> OptionalDouble.of(
                        TemperatureUnit.in(value.unit()).orElse(mapping.unit()).celsius(value.number())))
                .orElse(OptionalDouble.empty());
    }

    private static OptionalDouble value(TableRow line, @Nullable Integer column) {
        return read(line, column)
                .map(value -> OptionalDouble.of(value.number()))
                .orElse(OptionalDouble.empty());
    }

    private static Optional<LoggerValue> read(TableRow line, @Nullable Integer column) {
        try {
            return column == null ? Optional.empty() : LoggerValue.of(line.cell(column));
        } catch (IllegalArgumentException wrong) {
            throw new WrongLine(line.number(), String.valueOf(wrong.getMessage()));
        }
    }

    /** An hour that comes twice a year is told apart by what came before. */
    private Instant at(TableRow line, MomentText moment) {
        if (moment.offset() != null) {
            return moment.local().toInstant(moment.offset());
        }
        LocalDateTime local = moment.local();
        List<ZoneOffset> offsets = mapping.zone().getRules().getValidOffsets(local);
        if (offsets.isEmpty()) {
            throw new WrongLine(
                    line.number(),
                    "%s does not exist: the clock was put forward over it.".formatted(mapping.moment(line)));
        }
        Instant first = local.toInstant(offsets.get(0));
        Instant at = offsets.size() > 1 && !first.isAfter(before) ? local.toInstant(offsets.get(1)) : first;
        before = at;
        return at;
    }
}
