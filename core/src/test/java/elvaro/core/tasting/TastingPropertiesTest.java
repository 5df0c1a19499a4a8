package elvaro.core.tasting;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import elvaro.core.trial.Holm;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import java.util.function.BooleanSupplier;
import java.util.stream.IntStream;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.Nested;
import org.junit.jupiter.api.RepeatedTest;
import org.junit.jupiter.api.RepetitionInfo;
import org.junit.jupiter.api.Test;

/** What holds of every tasting, on panels drawn from seeds. */
class TastingPropertiesTest {
    private static final Offset<Double> CLOSE = within(1e-9);

    private static double[] differences(Random random) {
        return IntStream.range(0, 3 + random.nextInt(20))
                .mapToDouble(taster -> random.nextInt(13) - 6)
                .toArray();
    }

    private static double[][] ranked(Random random, int tasters, int samples) {
        return IntStream.range(0, tasters)
                .mapToObj(taster -> IntStream.range(0, samples)
                        .mapToDouble(sample -> random.nextInt(5))
                        .toArray())
                .toArray(double[][]::new);
    }

    /** How often something happens that should be rare. */
    private static double share(int times, BooleanSupplier happens) {
        return IntStream.range(0, times).filter(each -> happens.getAsBoolean()).count() / (double) times;
    }

    @Nested
    class Signed_ranks {

        @RepeatedTest(40)
        void of_exchanged_samples_mirror_the_shift_and_keep_the_p(RepetitionInfo turn) {
            double[] differences = differences(new Random(turn.getCurrentRepetition()));
            double[] exchanged = Arrays.stream(differences).map(each -> -each).toArray();
            SignedRank there = SignedRank.of(differences);
            SignedRank back = SignedRank.of(exchanged);
            assertThat(back.p()).isCloseTo(there.p(), CLOSE);
            assertThat(back.shift()).isEqualTo(-there.shift(), CLOSE);
            assertThat(back.interval().low()).isEqualTo(-there.interval().high(), CLOSE);
            assertThat(back.sum() + there.sum()).isEqualTo(there.differing() * (there.differing() + 1) / 2.0);
        }

        /** Three rounds make thirds, which no binary number is: the same table in whole sums has the same ties and the same p. */
        @RepeatedTest(60)
        void of_means_of_three_rounds_are_those_of_their_sums(RepetitionInfo turn) {
            Random random = new Random(turn.getCurrentRepetition());
            double[] means = new double[9];
            double[] sums = new double[9];
            for (int taster = 0; taster < means.length; taster++) {
                int[] one = random.ints(3, 1, 8).toArray();
                int[] other = random.ints(3, 1, 8).toArray();
                means[taster] = Arrays.stream(one).average().orElseThrow()
                        - Arrays.stream(other).average().orElseThrow();
                sums[taster] = Arrays.stream(one).sum() - Arrays.stream(other).sum();
            }
            SignedRank byMeans = SignedRank.of(means);
            SignedRank bySums = SignedRank.of(sums);
            assertThat(byMeans.p()).isEqualTo(bySums.p());
            assertThat(byMeans.differing()).isEqualTo(bySums.differing());
            assertThat(byMeans.shift()).isEqualTo(bySums.shift() / 3, CLOSE);
        }

        @RepeatedTest(40)
        void move_with_the_scores(RepetitionInfo turn) {
            double[] differences = differences(new Random(turn.getCurrentRepetition()));
            double[] moved = Arrays.stream(differences).map(each -> each + 2).toArray();
            assertThat(SignedRank.of(moved).shift())
                    .isEqualTo(SignedRank.of(differences).shift() + 2, CLOSE);
        }

        @Test
        void that_all_point_one_way_have_two_chances_in_two_to_the_power_of_the_panel() {
            for (int tasters = 2; tasters <= 25; tasters++) {
                double[] alike =
                        IntStream.range(0, tasters).mapToDouble(each -> 1).toArray();
                assertThat(SignedRank.of(alike).p()).isCloseTo(Math.pow(2, 1 - tasters), within(1e-12));
            }
        }

        /** R 4.2: wilcox.test(d, exact = FALSE, correct = TRUE). */
        @Test
        void of_more_than_five_and_twenty_go_by_the_normal_law() {
            double[] thirty = {
                3, -1, 2, 2, -2, 4, 1, -3, 5, 2, 1, -1, 3, -2, 2, 6, -4, 1, 2, -1, 3, 3, -5, 2, 1, -2, 4, 1, 2, -1
            };
            assertThat(SignedRank.of(thirty).p()).isCloseTo(0.0563923642268, within(1e-8));
        }

        @Test
        void hold_the_true_shift_as_often_as_they_say() {
            Random random = new Random(6);
            double held = share(2000, () -> {
                SignedRank test = SignedRank.of(IntStream.range(0, 9)
                        .mapToDouble(taster -> 1.3 + random.nextGaussian())
                        .toArray());
                return test.interval().low() <= 1.3 && test.interval().high() >= 1.3;
            });
            assertThat(held).isBetween(0.95, 0.975);
        }

        @Test
        void of_no_difference_at_all_say_nothing() {
            SignedRank none = SignedRank.of(new double[] {0, 0, 0});
            assertThat(none.p()).isEqualTo(1);
            assertThat(none.shift()).isZero();
        }
    }

    @Nested
    class Ranks_within_tasters {

        @RepeatedTest(30)
        void do_not_ask_which_sample_or_taster_is_which(RepetitionInfo turn) {
            Random random = new Random(turn.getCurrentRepetition());
            double[][] rows = ranked(random, 2 + random.nextInt(5), 3);
            List<Integer> columns = new ArrayList<>(List.of(0, 1, 2));
            Collections.shuffle(columns, random);
            List<double[]> other = new ArrayList<>(Arrays.stream(rows)
                    .map(row ->
                            columns.stream().mapToDouble(column -> row[column]).toArray())
                    .toList());
            Collections.shuffle(other, random);
            Friedman one = Friedman.of(rows);
            Friedman same = Friedman.of(other.toArray(double[][]::new));
            assertThat(same.statistic()).isCloseTo(one.statistic(), CLOSE);
            assertThat(same.p()).isCloseTo(one.p(), CLOSE);
        }

        @RepeatedTest(20)
        void ask_for_the_order_only(RepetitionInfo turn) {
            Random random = new Random(turn.getCurrentRepetition());
            double[][] rows = ranked(random, 5, 4);
            double[][] stretched = Arrays.stream(rows)
                    .map(row ->
                            Arrays.stream(row).map(each -> Math.exp(each) - 3).toArray())
                    .toArray(double[][]::new);
            assertThat(Friedman.of(stretched)).isEqualTo(Friedman.of(rows));
        }

        @Test
        void of_a_larger_panel_come_near_to_the_law_of_large_numbers() {
            Random random = new Random(7);
            for (int panel = 0; panel < 10; panel++) {
                Friedman exact = Friedman.of(ranked(random, 14, 3));
                assertThat(exact.exact()).isTrue();
                assertThat(exact.p()).isCloseTo(Friedman.chiSquared(exact.statistic(), 3), within(0.06));
            }
        }

        @Test
        void that_would_take_too_long_to_permute_are_said_to_be_by_the_law() {
            Friedman many = Friedman.of(ranked(new Random(8), 40, 6));
            assertThat(many.exact()).isFalse();
            assertThat(many.p()).isEqualTo(Friedman.chiSquared(many.statistic(), 6));
        }

        @Test
        void all_tied_say_nothing() {
            Friedman tied = Friedman.of(new double[][] {{3, 3, 3}, {1, 1, 1}});
            assertThat(tied.p()).isEqualTo(1);
            assertThat(tied.statistic()).isZero();
        }
    }

    /** Whoever tastes water twice is fooled in at most one tasting of twenty. */
    @Nested
    class Panels_that_taste_no_difference {
        private static final int TIMES = 4000;
        private static final double NOISE = 0.01;

        @Test
        void are_rarely_fooled_by_a_preference() {
            Random random = new Random(11);
            assertThat(share(TIMES, () -> {
                        int first = (int) IntStream.range(0, 11)
                                .filter(each -> random.nextBoolean())
                                .count();
                        return new Preference(first, 11 - first, 0).p() < 0.05;
                    }))
                    .isLessThan(0.05 + NOISE);
        }

        @Test
        void are_rarely_fooled_by_scores() {
            Random random = new Random(12);
            assertThat(share(
                            TIMES,
                            () -> SignedRank.of(IntStream.range(0, 9)
                                                    .mapToDouble(each -> random.nextInt(7) - random.nextInt(7))
                                                    .toArray())
                                            .p()
                                    < 0.05))
                    .isLessThan(0.05 + NOISE);
        }

        @Test
        void are_rarely_fooled_by_ranks() {
            Random random = new Random(13);
            assertThat(share(TIMES / 4, () -> Friedman.of(ranked(random, 6, 3)).p() < 0.05))
                    .isLessThan(0.05 + 2 * NOISE);
        }

        @Test
        void are_rarely_fooled_by_any_of_seven_attributes_together() {
            Random random = new Random(14);
            assertThat(share(TIMES, () -> {
                        List<Double> ps = IntStream.range(0, 7)
                                .mapToObj(attribute -> SignedRank.of(IntStream.range(0, 12)
                                                .mapToDouble(each -> random.nextGaussian())
                                                .toArray())
                                        .p())
                                .toList();
                        return Holm.adjusted(ps).stream().anyMatch(p -> p < 0.05);
                    }))
                    .isLessThan(0.05 + NOISE);
        }
    }

    @Nested
    class Strengths {
        private double[][] wins(Random random, double[] planted, int meetings) {
            double[][] wins = new double[planted.length][planted.length];
            for (int meeting = 0; meeting < meetings; meeting++) {
                int one = random.nextInt(planted.length);
                int other = (one + 1 + random.nextInt(planted.length - 1)) % planted.length;
                boolean better = random.nextDouble() < 1 / (1 + Math.exp(planted[other] - planted[one]));
                wins[better ? one : other][better ? other : one]++;
            }
            return wins;
        }

        @RepeatedTest(10)
        void are_found_where_they_were_planted(RepetitionInfo turn) {
            double[] planted = {0.8, 0, -0.5, 1.4};
            double[][] wins = wins(new Random(turn.getCurrentRepetition()), planted, 600);
            BradleyTerry found = BradleyTerry.of(wins, 10);
            for (int one = 1; one < planted.length; one++) {
                assertThat(found.difference(one, 0))
                        .isCloseTo(planted[one] - planted[0], within(3.5 * found.error(one, 0)));
            }
        }

        @Test
        void are_the_surer_the_more_often_things_met() {
            double[][] once = wins(new Random(3), new double[] {0.5, 0, -0.5}, 60);
            double[][] fourTimes = Arrays.stream(once)
                    .map(row -> Arrays.stream(row).map(each -> 4 * each).toArray())
                    .toArray(double[][]::new);
            double narrow = BradleyTerry.of(fourTimes, 1e4).error(1, 0);
            assertThat(narrow).isCloseTo(BradleyTerry.of(once, 1e4).error(1, 0) / 2, within(1e-4));
        }

        @Test
        void add_up_to_certainty_from_both_sides() {
            BradleyTerry found = BradleyTerry.of(wins(new Random(4), new double[] {1, 0, 0}, 40), 1.5);
            assertThat(found.chance(0, 1) + found.chance(1, 0)).isCloseTo(1, CLOSE);
            assertThat(found.chance(0, 1, 0.8).low())
                    .isEqualTo(1 - found.chance(1, 0, 0.8).high(), CLOSE);
            assertThat(found.chance(2, 2)).isEqualTo(0.5);
        }

        @Test
        void of_things_that_never_met_are_even() {
            BradleyTerry none = BradleyTerry.of(new double[2][2], 1.5);
            assertThat(none.chance(0, 1)).isEqualTo(0.5);
            assertThat(none.error(0, 1)).isCloseTo(1.5 * Math.sqrt(2), CLOSE);
        }
    }
}
