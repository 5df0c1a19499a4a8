package elvaro.core.reference;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import elvaro.core.trial.Band;
import elvaro.core.trial.Effect;
import elvaro.core.trial.Effect.ArmValue;
import elvaro.core.trial.Evidence;
import elvaro.core.trial.TrialMeasure;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import org.assertj.core.data.Offset;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvFileSource;

/**
 * What trials show, against R 4.2's t.test and metafor's random effects on three data sets with seeded noise. {@code trial.R},
 * beside the tables, makes both files.
 */
class TrialAgainstRTest {
    private static final Offset<Double> CLOSE = within(1e-7);

    private record Row(String trial, String pair, double control, double arm) {}

    private static List<Row> rows(String set) {
        try (var table = TrialAgainstRTest.class.getResourceAsStream("/reference/trial-pairs.csv")) {
            return new String(table.readAllBytes(), StandardCharsets.UTF_8)
                    .lines()
                    .filter(line -> line.startsWith(set + ","))
                    .map(line -> line.split(","))
                    .map(cell -> new Row(cell[1], cell[2], Double.parseDouble(cell[3]), Double.parseDouble(cell[4])))
                    .toList();
        } catch (IOException failure) {
            throw new IllegalStateException(failure);
        }
    }

    @ParameterizedTest(name = "{0}")
    @CsvFileSource(resources = "/reference/trial-expected.csv", numLinesToSkip = 1)
    void pairs_arms_and_several_trials_say_what_r_says(
            String set,
            double mean,
            double low80,
            double high80,
            double low95,
            double high95,
            double welchLow80,
            double welchHigh80,
            double pooled,
            double between,
            double shrunk,
            double sd) {
        List<Row> rows = rows(set);
        Effect paired = Effect.of(
                rows.stream()
                        .map(row -> new ArmValue(block(row), block(row), row.control()))
                        .toList(),
                rows.stream()
                        .map(row -> new ArmValue(block(row), block(row), row.arm()))
                        .toList(),
                0);
        assertThat(paired.value()).isCloseTo(mean, CLOSE);
        assertThat(paired.pairs()).isEqualTo(rows.size());
        close(paired, 0.8, low80, high80);
        close(paired, 0.95, low95, high95);

        Effect unpaired = Effect.of(
                rows.stream()
                        .map(row -> new ArmValue("there" + block(row), "there" + block(row), row.control()))
                        .toList(),
                rows.stream()
                        .map(row -> new ArmValue("here" + block(row), "here" + block(row), row.arm()))
                        .toList(),
                0);
        assertThat(unpaired.pairs()).isZero();
        close(unpaired, 0.8, welchLow80, welchHigh80);

        Evidence together = Evidence.of(TrialMeasure.SHRINK, byTrial(rows));
        assertThat(together.unshrunk()).isCloseTo(pooled, CLOSE);
        assertThat(together.betweenVariance()).isCloseTo(between, CLOSE);
        assertThat(together.value()).isCloseTo(shrunk, CLOSE);
        assertThat(together.sd()).isCloseTo(sd, CLOSE);
        assertThat(together.pairs()).isEqualTo(rows.size());
    }

    private static String block(Row row) {
        return row.trial() + "/" + row.pair();
    }

    private static void close(Effect effect, double level, double low, double high) {
        Band band = effect.band(level).orElseThrow();
        assertThat(band.low()).isCloseTo(low, CLOSE);
        assertThat(band.high()).isCloseTo(high, CLOSE);
    }

    private static List<List<Double>> byTrial(List<Row> rows) {
        List<List<Double>> trials = new ArrayList<>();
        String before = "";
        for (Row row : rows) {
            if (!row.trial().equals(before)) {
                trials.add(new ArrayList<>());
                before = row.trial();
            }
            trials.get(trials.size() - 1).add(row.arm() - row.control());
        }
        return trials;
    }
}
