package elvaro.core.tasting;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class PanelPowerTest {
    private static final int TIMES = 20_000;

    /** Roessler et al. 1978, Journal of Food Science 43, and ISO 4120, as far as the reference states them (from memory). */
    @ParameterizedTest
    @CsvSource({"6, 5", "10, 7", "12, 8", "15, 9", "18, 10", "24, 13", "30, 15"})
    void triangles_need_as_many_right_as_the_tables_say(int tries, int right) {
        assertThat(Triangle.needed(tries, 0.05)).hasValue(right);
    }

    /** The same table. */
    @ParameterizedTest
    @CsvSource({"6, 6", "10, 9", "15, 12", "20, 15", "30, 21"})
    void preferences_need_as_many_agreeing_as_the_tables_say(int tasters, int agreeing) {
        assertThat(Preference.needed(tasters, 0.05)).hasValue(agreeing);
    }

    @ParameterizedTest
    @ValueSource(ints = {1, 2, 3, 4, 5})
    void five_tasters_or_fewer_cannot_show_a_preference_and_are_told_so(int tasters) {
        assertThat(Preference.needed(tasters, 0.05)).isEmpty();
        PanelPower power = PanelPower.of(TastingKind.PAIRED, 2, tasters, 1);
        assertThat(power.canShow()).isFalse();
        assertThat(power.sentences().get(0))
                .contains("even %d of %d is no proof; 6 of 6 is.".formatted(tasters, tasters));
    }

    @ParameterizedTest
    @CsvSource({"12, 0.8", "24, 0.75", "40, 0.6", "7, 0.95"})
    void the_power_of_a_preference_is_what_simulated_panels_find(int tasters, double share) {
        Random random = new Random(tasters);
        double found = share(() -> {
            int first = count(random, tasters, share);
            return new Preference(first, tasters - first, 0).p() < 0.05;
        });
        assertThat(TastersNeeded.powerOfPreference(tasters, share, 0.05)).isCloseTo(found, within(0.011));
    }

    @ParameterizedTest
    @CsvSource({"18, 0.4", "30, 0.3", "12, 0.6"})
    void the_power_of_a_triangle_is_what_simulated_panels_find(int tries, double noticing) {
        Random random = new Random(tries);
        double found = share(() -> new Triangle(
                                (int) IntStream.range(0, tries)
                                        .filter(each -> random.nextDouble() < noticing || random.nextInt(3) == 0)
                                        .count(),
                                tries)
                        .p()
                < 0.05);
        assertThat(TastersNeeded.powerOfTriangle(tries, noticing, 0.05)).isCloseTo(found, within(0.011));
    }

    /** The number is by Pitman's efficiency: 0.8, less the error of so many simulations, or a little more. */
    @ParameterizedTest
    @ValueSource(doubles = {0.6, 0.8, 1, 1.3})
    void as_many_tasters_as_are_said_to_be_needed_show_a_shift_four_times_in_five(double standardised) {
        int tasters = TastersNeeded.forShift(standardised, 0.05);
        Random random = new Random(tasters);
        double found = IntStream.range(0, 4000)
                        .filter(each -> SignedRank.of(IntStream.range(0, tasters)
                                                .mapToDouble(taster -> standardised + random.nextGaussian())
                                                .toArray())
                                        .p()
                                < 0.05)
                        .count()
                / 4000.0;
        assertThat(found).isBetween(0.785, 0.9);
    }

    @Test
    void the_numbers_said_to_be_needed_have_the_power_and_keep_it() {
        int preference = TastersNeeded.forPreference(0.75, 0.05);
        int triangle = TastersNeeded.forTriangle(0.4, 0.05);
        for (int more = 0; more < 40; more++) {
            assertThat(TastersNeeded.powerOfPreference(preference + more, 0.75, 0.05))
                    .isGreaterThanOrEqualTo(0.8);
            assertThat(TastersNeeded.powerOfTriangle(triangle + more, 0.4, 0.05))
                    .isGreaterThanOrEqualTo(0.8);
        }
        assertThat(TastersNeeded.powerOfPreference(preference - 1, 0.75, 0.05)).isLessThan(0.8);
        assertThat(TastersNeeded.powerOfTriangle(triangle - 1, 0.4, 0.05)).isLessThan(0.8);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "PAIRED | 2 | 6 | 1 | With 6 tasters, 6 must agree to be more than chance (5 %).",
                "PAIRED | 2 | 1 | 1 | With 1 taster even 1 of 1 is no proof; 6 of 6 is.",
                "PAIRED | 2 | 12 | 2 | With 12 tasters, 10 must agree to be more than chance (5 %).",
                "TRIANGLE | 2 | 6 | 2 | With 12 tries, 8 right are more than guessing (5 %).",
                "TRIANGLE | 2 | 2 | 1 | With 2 tries even all of them right is no proof: guessing does it often enough. 3 of 3 is.",
                "RANKING | 3 | 9 | 1 | To tell one pair of the 3 apart, 9 of 9 must put them in the same order.",
                "RANKING | 4 | 6 | 1 | 6 tasters cannot tell one pair of the 6 apart.",
                "RANKING | 3 | 3 | 1 | 'If all 3 tasters put all 3 in the same order, that is more than chance (5 %).'",
                "RANKING | 3 | 2 | 1 | 'Even if both tasters put all 3 in the same order, that may be chance; 3 are enough.'",
                "SCORES | 2 | 6 | 1 | 'With 6 tasters a shift of the scores can be shown, if nearly all lean the same way.'",
                "SCORES | 2 | 3 | 1 | With 3 tasters no shift of the scores can be shown; with 6 it can."
            })
    void what_it_can_show_is_said_in_plain_words(
            TastingKind kind, int samples, int tasters, int rounds, String sentence) {
        assertThat(PanelPower.of(kind, samples, tasters, rounds).sentences()).contains(sentence);
    }

    @Test
    void what_few_tasters_can_show_by_ranking_is_what_the_exact_test_can_show() {
        for (int samples = 3; samples <= 6; samples++) {
            double[] order = IntStream.range(0, samples).asDoubleStream().toArray();
            for (int tasters = 2; tasters <= 5; tasters++) {
                double[][] alike =
                        IntStream.range(0, tasters).mapToObj(taster -> order).toArray(double[][]::new);
                double least = Friedman.of(alike).p();
                assertThat(PanelPower.of(TastingKind.RANKING, samples, tasters, 1)
                                .canShow())
                        .as("%d samples, %d tasters", samples, tasters)
                        .isEqualTo(least < 0.05);
            }
        }
    }

    /** The sentence holds: one who agrees less is not shown, and as many as are named are. */
    @ParameterizedTest
    @ValueSource(ints = {6, 7, 8, 9, 11, 14, 25})
    void as_many_as_are_named_must_agree_and_one_fewer_is_not_enough(int tasters) {
        int needed = Preference.needed(tasters, 0.05).orElseThrow();
        assertThat(new Preference(needed, tasters - needed, 0).p()).isLessThan(0.05);
        assertThat(new Preference(needed - 1, tasters - needed + 1, 0).p()).isGreaterThanOrEqualTo(0.05);
        int right = Triangle.needed(tasters, 0.05).orElseThrow();
        assertThat(new Triangle(right, tasters).p()).isLessThan(0.05);
        assertThat(new Triangle(right - 1, tasters).p()).isGreaterThanOrEqualTo(0.05);
    }

    private static double share(java.util.function.BooleanSupplier shown) {
        return IntStream.range(0, TIMES).filter(each -> shown.getAsBoolean()).count() / (double) TIMES;
    }

    private static int count(Random random, int tasters, double share) {
        return (int) IntStream.range(0, tasters)
                .filter(each -> random.nextDouble() < share)
                .count();
    }
}
