package elvaro.core.logger;

import elvaro.core.air.TemperatureUnit;
import elvaro.core.table.TableRow;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * The columns of a logger's file, and a guess at what they hold, from its first lines.
 *
 * @param headLine the line of the heads, 0 where there is none
 * @param heads each by a name of its own
 * @param time the moment, or its day; -1 where no column holds one
 * @param timeOfDay the time of the day where it stands by itself
 * @param unit of the temperatures
 */
public record LoggerColumns(
        int headLine,
        List<String> heads,
        int time,
        @Nullable Integer timeOfDay,
        @Nullable Integer temperature,
        @Nullable Integer humidity,
        @Nullable Integer speed,
        TemperatureUnit unit) {

    /** What stands above the readings is at most so many lines. */
    public static final int FIRST_LINES = 200;

    private static final Pattern TEMPERATURE =
            Pattern.compile("(?iu).*(temp|°|℃|℉|celsius|fahrenheit|\\bt\\b|wärme).*");
    private static final Pattern NOT_OF_THE_AIR =
            Pattern.compile("(?iu).*(dew|taupunkt|ros[ée]e|wet.?bulb|alarm|battery|probe.?2|max|min\\b).*");
    private static final Pattern HUMIDITY = Pattern.compile("(?iu).*(hum|\\brh\\b|\\br\\.? ?[hf]\\.?\\b|feuchte?|%).*");
    private static final Pattern SPEED = Pattern.compile("(?iu).*(speed|velocity|wind|m/s|geschw|vitesse).*");
    private static final Pattern UNIT = Pattern.compile(
            "(?iu)[\\[(]?(°?\\s?[cfk]|deg\\s?[cf]|% ?(r\\.?h\\.?|r\\.?f\\.?)?|m/s|utc|yyyy.*|dd.*|hh.*)[\\])]?");
    private static final List<DayOrder> ORDERS = List.of(DayOrder.values());

    /**
     * @param first the first lines of the file, at most {@link #FIRST_LINES}
     * @param said the line of the heads where somebody said it, 0 for none
     */
    public static LoggerColumns of(List<TableRow> first, @Nullable Integer said) {
        List<TableRow> lines = first.stream().filter(line -> !line.isBlank()).toList();
        int data = IntStream.range(0, lines.size())
                .filter(index -> moment(lines.get(index)).isPresent())
                .findFirst()
                .orElse(-1);
        if (data < 0) {
            return unknown(lines);
        }
        TableRow reading = lines.get(data);
        int head = said == null ? head(lines, data) : numbered(lines, said);
        List<String> heads = named(heads(lines, head, data), reading.cells().size());
        Place moment = moment(reading).orElseThrow();
        Set<Integer> taken = new HashSet<>(Arrays.asList(moment.time(), moment.timeOfDay()));
        List<TableRow> readings = lines.subList(data, lines.size());
        Integer temperature = column(heads, TEMPERATURE, readings, taken);
        Integer humidity = column(heads, HUMIDITY, readings, taken);
        Integer speed = column(heads, SPEED, readings, taken);
        return new LoggerColumns(
                head < 0 ? 0 : lines.get(head).number(),
                heads,
                moment.time(),
                moment.timeOfDay(),
                temperature,
                humidity,
                speed,
                unit(heads, temperature));
    }

    private static LoggerColumns unknown(List<TableRow> lines) {
        TableRow widest = lines.stream()
                .reduce((one, other) -> other.filled() > one.filled() ? other : one)
                .orElse(new TableRow(0, List.of()));
        return new LoggerColumns(
                widest.number(),
                named(widest.cells(), widest.cells().size()),
                -1,
                null,
                null,
                null,
                null,
                TemperatureUnit.CELSIUS);
    }

    private record Place(int time, @Nullable Integer timeOfDay) {}

    /** A moment in one cell, or a day in one and a time in another. */
    private static Optional<Place> moment(TableRow line) {
        List<Integer> columns = IntStream.range(0, line.cells().size()).boxed().toList();
        Optional<Place> whole = columns.stream()
                .filter(column -> ORDERS.stream()
                        .anyMatch(
                                order -> MomentText.of(line.cell(column), order).isPresent()))
                .findFirst()
                .map(column -> new Place(column, null));
        return whole.or(() -> columns.stream()
                .filter(column -> MomentText.isDay(line.cell(column)))
                .findFirst()
                .flatMap(day -> columns.stream()
                        .filter(column -> !column.equals(day) && MomentText.isTime(line.cell(column)))
                        .findFirst()
                        .map(time -> new Place(day, time))));
    }

    /** The last line above the readings that is as wide as they are; a line of units under it belongs to it. */
    private static int head(List<TableRow> lines, int data) {
        long least = Math.max(2, lines.get(data).filled() - 1);
        for (int index = data - 1; index >= 0; index--) {
            TableRow line = lines.get(index);
            if (line.filled() >= least && !isOfUnits(line)) {
                return index;
            }
        }
        return -1;
    }

    private static int numbered(List<TableRow> lines, int number) {
        return IntStream.range(0, lines.size())
                .filter(index -> lines.get(index).number() == number)
                .findFirst()
                .orElse(-1);
    }

    private static boolean isOfUnits(TableRow line) {
        return line.cells().stream()
                .map(String::strip)
                .filter(cell -> !cell.isEmpty())
                .allMatch(cell -> UNIT.matcher(cell).matches());
    }

    private static List<String> heads(List<TableRow> lines, int head, int data) {
        if (head < 0) {
            return List.of();
        }
        List<String> heads = new ArrayList<>(lines.get(head).cells());
        if (head + 1 < data && isOfUnits(lines.get(head + 1))) {
            for (int column = 0; column < heads.size(); column++) {
                heads.set(column, (heads.get(column) + " " + lines.get(head + 1).cell(column)).strip());
            }
        }
        return heads;
    }

    /** Every column has a name, and no two the same. */
    private static List<String> named(List<String> heads, int columns) {
        List<String> named = new ArrayList<>();
        for (int column = 0; column < Math.max(columns, heads.size()); column++) {
            String head = column < heads.size() ? heads.get(column).strip() : "";
            if (head.isEmpty() && column >= columns) {
                break;
            }
            String base = head.isEmpty() ? "Column " + (column + 1) : head;
            String name = base;
            for (int again = 2; named.contains(name); again++) {
                name = "%s (%d)".formatted(base, again);
            }
            named.add(name);
        }
        return List.copyOf(named);
    }

    private static @Nullable Integer column(
            List<String> heads, Pattern pattern, List<TableRow> readings, Set<Integer> taken) {
        return IntStream.range(0, heads.size())
                .boxed()
                .filter(column -> !taken.contains(column))
                .filter(column -> pattern.matcher(heads.get(column)).matches()
                        && !NOT_OF_THE_AIR.matcher(heads.get(column)).matches())
                .filter(column -> measures(readings, column))
                .findFirst()
                .map(column -> {
                    taken.add(column);
                    return column;
                })
                .orElse(null);
    }

    private static boolean measures(List<TableRow> readings, int column) {
        return readings.stream().flatMap(line -> value(line, column)).findAny().isPresent();
    }

    private static Stream<LoggerValue> value(TableRow line, int column) {
        try {
            return LoggerValue.of(line.cell(column)).stream();
        } catch (IllegalArgumentException none) {
            return Stream.empty();
        }
    }

    private static TemperatureUnit unit(List<String> heads, @Nullable Integer temperature) {
        return temperature == null
                ? TemperatureUnit.CELSIUS
                : TemperatureUnit.in(heads.get(temperature)).orElse(TemperatureUnit.CELSIUS);
    }
}
