package elvaro.core.past;

import elvaro.core.past.CellParser.Order;
import elvaro.core.past.CellParser.Unit;
import elvaro.core.table.TableRow;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/**
 * A sheet with weights of the past as it is likely meant.
 *
 * @param headRow the row of the heads, as a spreadsheet counts
 * @param heads of the columns; one without takes what stands above it, as where cells were merged
 * @param columns which column is likely what
 * @param weighings columns that hold a weighing each, on the day of their head
 * @param unit of a weight without one
 * @param order of day and month; none where the sheet could mean either
 */
public record PastSheet(
        int headRow,
        List<String> heads,
        Map<PastField, Integer> columns,
        List<Integer> weighings,
        Unit unit,
        Optional<Order> order) {

    /** Titles and notes above the heads are at most so many rows. */
    private static final int LOOKED_AT = 40;

    /** A bare weight below it is hardly grams: no piece weighs so little. */
    private static final int LEAST_GRAMS = 100;

    private static final Pattern POUNDS = Pattern.compile("(?iu).*(\\blbs?\\b|pound|#).*");
    private static final Pattern KILOGRAMS = Pattern.compile("(?iu).*\\bkg\\b.*");
    private static final Pattern NUMBERS = Pattern.compile("(\\d{1,2})([./-])(\\d{1,2})\\2\\d{2,4}.*");
    private static final int MONTHS = 12;

    /**
     * @param rows of the sheet, blank ones left out
     * @param said the row of the heads where somebody said it
     */
    public static PastSheet of(List<TableRow> rows, Optional<Integer> said) {
        int head = said.flatMap(number -> place(rows, number)).orElseGet(() -> head(rows));
        List<String> heads = heads(rows, head);
        List<Integer> weighings = weighings(heads);
        Map<PastField, Integer> columns = PastField.guess(IntStream.range(0, heads.size())
                .mapToObj(column -> weighings.contains(column) ? "" : heads.get(column))
                .toList());
        List<TableRow> below = rows.subList(head + 1, rows.size());
        return new PastSheet(
                rows.get(head).number(),
                heads,
                columns,
                weighings,
                unit(heads, columns, weighings, below),
                order(heads, columns, weighings, below));
    }

    /** One such head alone is the day of the one weighing there is. */
    private static List<Integer> weighings(List<String> heads) {
        List<Integer> columns = IntStream.range(0, heads.size())
                .filter(column -> WeighingHead.of(heads.get(column), Order.DAY_FIRST)
                                .isPresent()
                        || WeighingHead.of(heads.get(column), Order.MONTH_FIRST).isPresent())
                .boxed()
                .toList();
        return columns.size() > 1 ? columns : List.of();
    }

    private static Optional<Integer> place(List<TableRow> rows, int number) {
        return IntStream.range(0, rows.size())
                .filter(index -> rows.get(index).number() == number)
                .boxed()
                .findFirst();
    }

    /** The row whose cells say most of what a column can hold; the first of several cells where none says anything. */
    private static int head(List<TableRow> rows) {
        return IntStream.range(0, Math.min(LOOKED_AT, rows.size() - 1))
                .boxed()
                .filter(index -> rows.get(index).filled() > 1)
                .max(Comparator.comparing(
                                (Integer index) -> known(rows.get(index).cells()))
                        .thenComparing(Comparator.reverseOrder()))
                .orElse(0);
    }

    private static int known(List<String> cells) {
        return PastField.guess(cells).size();
    }

    private static List<String> heads(List<TableRow> rows, int head) {
        TableRow own = rows.get(head);
        Optional<TableRow> above =
                head > 0 && rows.get(head - 1).filled() > 1 ? Optional.of(rows.get(head - 1)) : Optional.empty();
        List<String> heads = new ArrayList<>();
        for (int column = 0; column < own.cells().size(); column++) {
            String plain = own.cell(column);
            int at = column;
            heads.add(plain.isEmpty() ? above.map(row -> row.cell(at)).orElse("") : plain);
        }
        while (!heads.isEmpty()
                && heads.get(heads.size() - 1).isEmpty()
                && isEmptyBelow(rows, head, heads.size() - 1)) {
            heads.remove(heads.size() - 1);
        }
        return List.copyOf(heads);
    }

    private static boolean isEmptyBelow(List<TableRow> rows, int head, int column) {
        return rows.subList(head, rows.size()).stream()
                .allMatch(row -> row.cell(column).isEmpty());
    }

    private static Unit unit(
            List<String> heads, Map<PastField, Integer> columns, List<Integer> weighings, List<TableRow> below) {
        String all = String.join(" ", heads);
        if (POUNDS.matcher(all).matches()) {
            return Unit.POUND;
        }
        if (KILOGRAMS.matcher(all).matches()) {
            return Unit.KILOGRAM;
        }
        List<Double> bare = Stream.concat(
                        Stream.of(PastField.WEIGHT, PastField.GREEN, PastField.AGED)
                                .flatMap(field -> Optional.ofNullable(columns.get(field)).stream()),
                        weighings.stream())
                .flatMap(column -> below.stream().map(row -> row.cell(column)))
                .filter(cell -> cell.matches("\\d+([.,]\\d+)?"))
                .map(cell -> Double.valueOf(cell.replace(',', '.')))
                .toList();
        return !bare.isEmpty() && bare.stream().allMatch(weight -> weight < LEAST_GRAMS) ? Unit.KILOGRAM : Unit.GRAM;
    }

    /** Told by a number above twelve, or by a point, which nobody puts between month and day. */
    private static Optional<Order> order(
            List<String> heads, Map<PastField, Integer> columns, List<Integer> weighings, List<TableRow> below) {
        List<String> days = Stream.concat(
                        Stream.of(PastField.DAY, PastField.HUNG_ON, PastField.PULLED_ON)
                                .flatMap(field -> Optional.ofNullable(columns.get(field)).stream())
                                .flatMap(column -> below.stream().map(row -> row.cell(column))),
                        weighings.stream().map(heads::get))
                .toList();
        boolean several = false;
        for (String day : days) {
            Matcher numbers = NUMBERS.matcher(day);
            if (numbers.matches()) {
                if (Integer.parseInt(numbers.group(1)) > MONTHS
                        || numbers.group(2).equals(".")) {
                    return Optional.of(Order.DAY_FIRST);
                }
                if (Integer.parseInt(numbers.group(3)) > MONTHS) {
                    return Optional.of(Order.MONTH_FIRST);
                }
                several = true;
            }
        }
        return several ? Optional.empty() : Optional.of(Order.DAY_FIRST);
    }
}
