package elvaro.server.exchange;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/**
 * A table that is carried.
 *
 * @param name as in the archive
 * @param about what a row of it is
 * @param columns in their order
 * @param expressions what is selected where that is not the column of the same name
 * @param from what the rows come from, with a place for the workshop's id
 * @param fixed columns that are not carried, with what stands in them after an import
 */
record ArchiveTable(
        String name,
        String about,
        List<ArchiveColumn> columns,
        Map<String, String> expressions,
        String from,
        Map<String, String> fixed) {

    /** Its rows, all of one workshop, in the order they are kept in. */
    String select() {
        return columns.stream()
                        .map(column -> column.asked(expressions.getOrDefault(column.name(), "t." + column.name())))
                        .collect(Collectors.joining(", ", "select ", " from "))
                + from
                + (column("id").isPresent() ? " order by t.id" : "");
    }

    String count() {
        return "select count(*) from " + from;
    }

    /** With a place for the workshop's id, then one for each column. */
    String insert() {
        String fixedNames =
                fixed.keySet().stream().map(each -> ", " + each).sorted().collect(Collectors.joining());
        String fixedValues = fixed.entrySet().stream()
                .sorted(Map.Entry.comparingByKey())
                .map(each -> ", " + each.getValue())
                .collect(Collectors.joining());
        String names = columns.stream().map(ArchiveColumn::name).collect(Collectors.joining(", "));
        return "insert into %s (workshop_id%s, %s) values (?%s%s)"
                .formatted(name, fixedNames, names, fixedValues, ", ?".repeat(columns.size()));
    }

    Optional<ArchiveColumn> column(String wanted) {
        return columns.stream().filter(each -> each.name().equals(wanted)).findFirst();
    }

    /** Where a row names another of the same table, that it corrects or takes back. */
    @Nullable
    ArchiveColumn ownReference() {
        return columns.stream()
                .filter(column ->
                        name.equals(column.pointsAt()) && !column.name().equals("id"))
                .findFirst()
                .orElse(null);
    }

    int indexOf(String wanted) {
        for (int index = 0; index < columns.size(); index++) {
            if (columns.get(index).name().equals(wanted)) {
                return index;
            }
        }
        throw new IllegalArgumentException("%s has no %s".formatted(name, wanted));
    }
}
