package elvaro.core.reference;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import elvaro.core.compare.GroupEffects;
import elvaro.core.compare.GroupEffects.Row;
import elvaro.core.compare.LinearModel;
import elvaro.core.compare.LinearModel.Term;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;
import org.assertj.core.data.Percentage;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvFileSource;

/**
 * Effects by group, adjusted for days and size, against R 4.2's lm on what Elvaro exports of its invented scenario. {@code
 * evidence.R}, beside the tables, makes the expected one.
 */
class EvidenceAgainstRTest {
    private static final Percentage CLOSE = Percentage.withPercentage(1e-4);

    /** A comma that no quotes hold; the scenario's words hold neither quotes nor line breaks. */
    private static final String BETWEEN = ",(?=(?:[^\"]*\"[^\"]*\")*[^\"]*$)";

    /** The question, the column of the groups, the column of the measure. */
    private static final Map<String, List<String>> ASKS = Map.of(
            "shrink by method", List.of("method", "shrink_fraction"),
            "steak by cut", List.of("cut", "steak_yield_fraction"),
            "cost by chamber", List.of("chamber", "steak_cost_minor_per_kg"),
            "trim by treatment", List.of("treatment", "trim_fraction"));

    @ParameterizedTest(name = "{0}: {2}")
    @CsvFileSource(resources = "/reference/evidence-expected.csv", numLinesToSkip = 1)
    void a_term_of_the_model_is_that_of_r(
            String ask,
            String reference,
            String term,
            double estimate,
            double error,
            double t,
            double p,
            double low,
            double high,
            int freedom,
            double sigma,
            double explained) {
        GroupEffects effects = GroupEffects.of(rows(ASKS.get(ask)));
        LinearModel model = effects.model().orElseThrow();
        assertThat(effects.reference()).isEqualTo(reference);
        assertThat(model.freedom()).isEqualTo(freedom);
        assertThat(model.residualSd()).isCloseTo(sigma, CLOSE);
        assertThat(model.explained()).isCloseTo(explained, CLOSE);
        Term found = model.terms().stream()
                .filter(each -> each.name().equals(term))
                .findFirst()
                .orElseThrow();
        assertThat(found.estimate()).isCloseTo(estimate, CLOSE);
        assertThat(found.error()).isCloseTo(error, CLOSE);
        assertThat(found.t()).isCloseTo(t, CLOSE);
        assertThat(found.p()).isCloseTo(p, within(1e-6));
        assertThat(found.estimate() - found.halfWidth(0.95)).isCloseTo(low, within(1e-6 + 1e-6 * Math.abs(low)));
        assertThat(found.estimate() + found.halfWidth(0.95)).isCloseTo(high, within(1e-6 + 1e-6 * Math.abs(high)));
    }

    private static List<Row> rows(List<String> columns) {
        try (var table = EvidenceAgainstRTest.class.getResourceAsStream("/reference/evidence-pieces.csv")) {
            List<String> lines = new ArrayList<>(new String(table.readAllBytes(), StandardCharsets.UTF_8)
                    .lines()
                    .toList());
            List<String> names = List.of(lines.remove(0).split(","));
            return lines.stream()
                    .map(line -> line.split(BETWEEN, -1))
                    .flatMap(cells -> row(names, cells, columns).stream())
                    .toList();
        } catch (IOException failure) {
            throw new IllegalStateException(failure);
        }
    }

    private static Optional<Row> row(List<String> names, String[] cells, List<String> columns) {
        int[] at = IntStream.of(0, 1, 2, 3)
                .map(each -> names.indexOf(List.of(columns.get(0), columns.get(1), "days", "green_g")
                        .get(each)))
                .toArray();
        if (cells[at[1]].isEmpty()) {
            return Optional.empty();
        }
        double value = Double.parseDouble(cells[at[1]]);
        return Optional.of(new Row(
                cells[at[0]].replace("\"", ""),
                Double.parseDouble(cells[at[2]]),
                Double.parseDouble(cells[at[3]]),
                columns.get(1).contains("cost") ? Math.log(value) : value));
    }
}
