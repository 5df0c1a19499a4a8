package elvaro.core.reference;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import elvaro.core.tasting.BradleyTerry;
import elvaro.core.tasting.Friedman;
import elvaro.core.tasting.Preference;
import elvaro.core.tasting.SignedRank;
import elvaro.core.tasting.Triangle;
import elvaro.core.trial.Holm;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.List;
import java.util.regex.Pattern;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvFileSource;

/**
 * What tastings show, against R 4.2, its exactRankTests and BradleyTerry2, on random data sets with ties. {@code tasting.R},
 * beside the tables, makes them; the permutations of Friedman's test are gone through there one by one.
 */
class TastingAgainstRTest {
    private static final Offset<Double> CLOSE = within(1e-8);

    private static double[] numbers(String cell) {
        return Pattern.compile(" ")
                .splitAsStream(cell)
                .mapToDouble(Double::parseDouble)
                .toArray();
    }

    @ParameterizedTest(name = "set {0}")
    @CsvFileSource(resources = "/reference/tasting-scores.csv", numLinesToSkip = 1)
    void signed_ranks_with_ties_say_what_r_says(
            int set, String differences, double v, double p, double shift, double low, double high, double level) {
        SignedRank test = SignedRank.of(numbers(differences));
        assertThat(test.sum()).isEqualTo(v);
        assertThat(test.p()).isCloseTo(p, CLOSE);
        assertThat(test.shift()).isEqualTo(shift);
        assertThat(test.interval().low()).isEqualTo(low);
        assertThat(test.interval().high()).isEqualTo(high);
        assertThat(test.level()).isCloseTo(level, CLOSE);
    }

    @ParameterizedTest(name = "set {0}")
    @CsvFileSource(resources = "/reference/tasting-ranks.csv", numLinesToSkip = 1)
    void ranks_with_ties_say_what_r_says(int set, String rows, double chi, double asymptotic, Double exact) {
        double[][] values = Arrays.stream(rows.split("\\|"))
                .map(TastingAgainstRTest::numbers)
                .toArray(double[][]::new);
        Friedman test = Friedman.of(values);
        assertThat(test.statistic()).isCloseTo(chi, CLOSE);
        assertThat(Friedman.chiSquared(test.statistic(), values[0].length)).isCloseTo(asymptotic, CLOSE);
        if (exact != null) {
            assertThat(test.exact()).isTrue();
            assertThat(test.p()).isCloseTo(exact, CLOSE);
        } else if (!test.exact()) {
            assertThat(test.p()).isCloseTo(asymptotic, CLOSE);
        } else {
            assertThat(test.p()).isCloseTo(asymptotic, within(0.05));
        }
    }

    @ParameterizedTest(name = "{0} of {1}")
    @CsvFileSource(resources = "/reference/tasting-binomial.csv", numLinesToSkip = 1)
    void counts_say_what_r_says(int count, int of, double p, double low, double high, double better, double guessed) {
        Preference preference = new Preference(count, of - count, 0);
        assertThat(preference.p()).isCloseTo(p, CLOSE);
        assertThat(preference.interval().low()).isCloseTo(low, CLOSE);
        assertThat(preference.interval().high()).isCloseTo(high, CLOSE);
        assertThat(preference.probabilityFirstBetter()).isCloseTo(better, CLOSE);
        assertThat(new Triangle(count, of).p()).isCloseTo(guessed, CLOSE);
    }

    @Test
    void strengths_are_those_of_r_with_a_prior_and_without() throws IOException {
        List<String[]> rows;
        try (var table = getClass().getResourceAsStream("/reference/tasting-strengths.csv")) {
            rows = new String(table.readAllBytes(), StandardCharsets.UTF_8)
                    .lines()
                    .skip(1)
                    .map(line -> line.split(","))
                    .toList();
        }
        double[][] wins = rows.stream().map(row -> numbers(row[1])).toArray(double[][]::new);
        BradleyTerry free = BradleyTerry.of(wins, 1e4);
        BradleyTerry bound = BradleyTerry.of(wins, 1.5);
        for (int sample = 1; sample < wins.length; sample++) {
            String[] row = rows.get(sample);
            assertThat(free.difference(sample, 0)).isCloseTo(Double.parseDouble(row[2]), within(1e-5));
            assertThat(free.error(sample, 0)).isCloseTo(Double.parseDouble(row[3]), within(1e-5));
            assertThat(bound.difference(sample, 0)).isCloseTo(Double.parseDouble(row[4]), within(1e-5));
            assertThat(bound.error(sample, 0)).isCloseTo(Double.parseDouble(row[5]), within(1e-4));
        }
    }

    /**
     * Citations among four journals of statistics. Stigler, Statistical Science 9 (1994) 94; strengths against Biometrika as
     * in Agresti, Categorical Data Analysis, 2002, and in the documentation of BradleyTerry2 (from memory, reckoned again with
     * it): Communications −2.949 (0.1025), JASA −0.480 (0.0606), JRSS-B 0.269 (0.0708).
     */
    @Test
    void the_published_example_of_journals_comes_out() {
        double[][] cited = {{0, 730, 498, 221}, {33, 0, 68, 17}, {320, 813, 0, 142}, {284, 276, 325, 0}};
        BradleyTerry journals = BradleyTerry.of(cited, 1e4);
        assertThat(journals.difference(1, 0)).isCloseTo(-2.949, within(0.001));
        assertThat(journals.difference(2, 0)).isCloseTo(-0.480, within(0.001));
        assertThat(journals.difference(3, 0)).isCloseTo(0.269, within(0.001));
        assertThat(journals.error(1, 0)).isCloseTo(0.1025, within(0.0001));
        assertThat(journals.error(3, 0)).isCloseTo(0.0708, within(0.0001));
    }

    /** Hollander & Wolfe 1973, also in the documentation of R's friedman.test: 22 players round first base in three ways. */
    @Test
    void the_baseball_players_of_hollander_and_wolfe_come_out() {
        double[][] seconds = {
            {5.40, 5.50, 5.55}, {5.85, 5.70, 5.75}, {5.20, 5.60, 5.50}, {5.55, 5.50, 5.40}, {5.90, 5.85, 5.70},
            {5.45, 5.55, 5.60}, {5.40, 5.40, 5.35}, {5.45, 5.50, 5.35}, {5.25, 5.15, 5.00}, {5.85, 5.80, 5.70},
            {5.25, 5.20, 5.10}, {5.65, 5.55, 5.45}, {5.60, 5.35, 5.45}, {5.05, 5.00, 4.95}, {5.50, 5.50, 5.40},
            {5.45, 5.55, 5.50}, {5.55, 5.55, 5.35}, {5.45, 5.50, 5.55}, {5.50, 5.45, 5.25}, {5.65, 5.60, 5.40},
            {5.70, 5.65, 5.55}, {6.30, 6.30, 6.25}
        };
        Friedman test = Friedman.of(seconds);
        assertThat(test.statistic()).isCloseTo(11.143, within(0.001));
        assertThat(Friedman.chiSquared(test.statistic(), 3)).isCloseTo(0.003805, within(0.000001));
    }

    /** The same book and documentation (wilcox.test): depression scores of nine patients, one-sided p 0.01953. */
    @Test
    void the_depression_scores_of_hollander_and_wolfe_come_out() {
        double[] first = {1.83, 0.50, 1.62, 2.48, 1.68, 1.88, 1.55, 3.06, 1.30};
        double[] second = {0.878, 0.647, 0.598, 2.05, 1.06, 1.29, 1.06, 3.14, 1.29};
        double[] differences = new double[first.length];
        Arrays.setAll(differences, each -> first[each] - second[each]);
        SignedRank test = SignedRank.of(differences);
        assertThat(test.sum()).isEqualTo(40);
        assertThat(test.p() / 2).isCloseTo(0.01953, within(0.00001));
    }

    /** Reckoned by hand, and by R's p.adjust(c(0.01, 0.04, 0.03, 0.5), "holm"). */
    @Test
    void several_questions_raise_each_p() {
        assertThat(Holm.adjusted(List.of(0.01, 0.04, 0.03, 0.5))).containsExactly(0.04, 0.09, 0.09, 0.5);
        assertThat(Holm.adjusted(List.of())).isEmpty();
    }
}
