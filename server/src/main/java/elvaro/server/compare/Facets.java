package elvaro.server.compare;

import elvaro.server.compare.EvidenceView.FacetValue;
import elvaro.server.compare.EvidenceView.FacetView;
import elvaro.server.compare.FinishedRows.EvidenceRow;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;

/** What can be asked for: every value some finished piece has, the commonest first. */
final class Facets {
    private Facets() {}

    static List<FacetView> of(List<EvidenceRow> rows) {
        return List.of(
                facet(
                        "species",
                        rows,
                        row -> value(row.species().name(), row.species().label())),
                facet("cut", rows, row -> value(row.facts().cut())),
                facet("grade", rows, row -> value(row.facts().grade())),
                facet("supplier", rows, row -> value(row.facts().supplier())),
                facet(
                        "bone",
                        rows,
                        row -> row.facts().boneIn() ? value("true", "on the bone") : value("false", "boneless")),
                facet(
                        "method",
                        rows,
                        row -> value(
                                row.facts().method().name(),
                                row.facts().method().label())),
                facet("chamber", rows, row -> value(row.facts().chamber())),
                facet("treatment", rows, row -> value(row.facts().treatment())),
                facet("person", rows, row -> value(row.person())));
    }

    private static Map.Entry<String, String> value(String name) {
        return value(name, name);
    }

    private static Map.Entry<String, String> value(String name, String label) {
        return Map.entry(name, label);
    }

    private static FacetView facet(
            String name, List<EvidenceRow> rows, Function<EvidenceRow, Map.Entry<String, String>> of) {
        Map<Map.Entry<String, String>, Long> counted =
                rows.stream().collect(Collectors.groupingBy(of, Collectors.counting()));
        return new FacetView(
                name,
                counted.entrySet().stream()
                        .filter(each -> !each.getKey().getKey().isBlank())
                        .map(each -> new FacetValue(
                                each.getKey().getKey(),
                                each.getKey().getValue(),
                                each.getValue().intValue()))
                        .sorted(Comparator.comparingInt(FacetValue::pieces)
                                .reversed()
                                .thenComparing(FacetValue::label))
                        .toList());
    }
}
