package elvaro.core.compare;

import elvaro.core.compare.LinearModel.ModelTerm;
import elvaro.core.compare.LinearModel.Term;
import elvaro.core.trial.Band;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.Collectors;

/**
 * How groups of finished pieces differ in one measure, adjusted for the days they hung and for their size. Nobody drew these
 * pieces by lot: what else differs between the groups is in the figure too, and the words say so.
 *
 * @param reference the group the others are held against: the one with the most pieces
 * @param groups the reference first, then the others by name
 * @param model its table; empty where too few pieces are left to judge by
 * @param caveats what weakens it, in words
 */
public record GroupEffects(String reference, List<Group> groups, Optional<LinearModel> model, List<String> caveats) {
    /** Fewer than this in a group are an anecdote (EST). */
    private static final int FEW = 3;

    /** With fewer left to judge by, an interval is wide and rests on its bell shape (EST). */
    private static final int SMALL_FREEDOM = 10;

    private static final double LEVEL = 0.95;

    /** A finished piece: its group, days hung, green weight and the measure. */
    public record Row(String group, double days, double grams, double value) {}

    /**
     * @param mean as found, unadjusted
     * @param effect against the reference at the same days and size; empty for the reference, or where it cannot be told
     */
    public record Group(String name, int pieces, double mean, double meanDays, Optional<Adjusted> effect) {}

    /**
     * @param band 95 % interval
     * @param shown whether it leaves out 0, and three pieces or more are behind it
     */
    public record Adjusted(double value, Band band, boolean shown) {}

    /** @param rows one or more */
    public static GroupEffects of(List<Row> rows) {
        if (rows.isEmpty()) {
            throw new IllegalArgumentException("No piece, no effect");
        }
        Map<String, List<Row>> byGroup =
                rows.stream().collect(Collectors.groupingBy(Row::group, TreeMap::new, Collectors.toList()));
        String reference = byGroup.entrySet().stream()
                .max(Comparator.comparingInt(entry -> entry.getValue().size()))
                .orElseThrow()
                .getKey();
        List<String> others = byGroup.keySet().stream()
                .filter(each -> !each.equals(reference))
                .toList();
        Optional<LinearModel> model = model(rows, others);
        List<Group> groups = new ArrayList<>();
        groups.add(group(reference, byGroup.get(reference), Optional.empty()));
        others.forEach(each -> groups.add(group(each, byGroup.get(each), model)));
        return new GroupEffects(reference, List.copyOf(groups), model, caveats(groups, model));
    }

    private static Optional<LinearModel> model(List<Row> rows, List<String> others) {
        double[] days = rows.stream().mapToDouble(Row::days).toArray();
        double[] sizes = rows.stream().mapToDouble(row -> Math.log(row.grams())).toArray();
        List<ModelTerm> columns = new ArrayList<>();
        others.forEach(each -> columns.add(new ModelTerm(
                each,
                rows.stream()
                        .mapToDouble(row -> row.group().equals(each) ? 1 : 0)
                        .toArray())));
        columns.add(new ModelTerm("days", centred(days)));
        columns.add(new ModelTerm("ln weight", centred(sizes)));
        // All columns could turn out to be of use; so many pieces are needed at least.
        return rows.size() <= columns.size() + 1
                ? Optional.empty()
                : Optional.of(
                        LinearModel.of(rows.stream().mapToDouble(Row::value).toArray(), columns));
    }

    private static double[] centred(double[] values) {
        double mean = java.util.Arrays.stream(values).average().orElseThrow();
        return java.util.Arrays.stream(values).map(value -> value - mean).toArray();
    }

    private static Group group(String name, List<Row> rows, Optional<LinearModel> model) {
        Optional<Adjusted> effect = model.flatMap(table -> table.terms().stream()
                .filter(term -> term.name().equals(name))
                .findFirst()
                .map(term -> adjusted(term, rows.size())));
        return new Group(
                name,
                rows.size(),
                rows.stream().mapToDouble(Row::value).average().orElseThrow(),
                rows.stream().mapToDouble(Row::days).average().orElseThrow(),
                effect);
    }

    private static Adjusted adjusted(Term term, int pieces) {
        double half = term.halfWidth(LEVEL);
        Band band = new Band(term.estimate() - half, term.estimate() + half);
        return new Adjusted(term.estimate(), band, pieces >= FEW && (band.low() > 0 || band.high() < 0));
    }

    private static List<String> caveats(List<Group> groups, Optional<LinearModel> model) {
        List<String> caveats = new ArrayList<>();
        List<String> few = groups.stream()
                .filter(group -> group.pieces() < FEW)
                .map(group -> "%s (%d)".formatted(group.name(), group.pieces()))
                .toList();
        if (!few.isEmpty()) {
            caveats.add("Fewer than three pieces, an anecdote: %s.".formatted(String.join(", ", few)));
        }
        if (model.isEmpty()) {
            caveats.add("Too few pieces to adjust for days and size; the means stand as found.");
        }
        model.ifPresent(table -> {
            if (table.freedom() < SMALL_FREEDOM) {
                caveats.add(
                        "Only %d pieces are left to judge by after days and size: the intervals are wide and lean on the"
                                        .formatted(table.freedom())
                                + " bell shape.");
            }
            if (!table.dropped().isEmpty()) {
                caveats.add("Cannot be told apart from the rest: %s.".formatted(String.join(", ", table.dropped())));
            }
        });
        caveats.add(
                "Nobody drew lots for these pieces: what else differs between the groups is in it. A trial would tell.");
        return List.copyOf(caveats);
    }
}
