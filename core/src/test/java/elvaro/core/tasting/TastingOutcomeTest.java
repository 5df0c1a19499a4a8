package elvaro.core.tasting;

import static elvaro.core.working.Units.PLAIN;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import elvaro.core.tasting.TastingOutcome.Duel;
import elvaro.core.tasting.TastingOutcome.Pair;
import elvaro.core.tasting.TastingOutcome.Shift;
import elvaro.core.tasting.Weakness.Cooked;
import elvaro.core.trial.Strength;
import elvaro.core.working.Units;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.TreeMap;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Nested;
import org.junit.jupiter.api.Test;

class TastingOutcomeTest {
    private static final List<String> TWO = List.of("Honey", "Plain");
    private static final Attribute LIKING = Attribute.USUAL.get(0);
    private static final Attribute TENDER = Attribute.USUAL.get(1);

    private static Sheet pick(int taster, int round, int sample) {
        return new Sheet(
                taster,
                round,
                sample < 0 ? OptionalInt.empty() : OptionalInt.of(sample),
                OptionalInt.empty(),
                Map.of(),
                Map.of());
    }

    private static Sheet ranked(int taster, int... ranks) {
        Map<Integer, Integer> bySample = new TreeMap<>();
        IntStream.range(0, ranks.length).forEach(sample -> bySample.put(sample, ranks[sample]));
        return new Sheet(taster, 0, OptionalInt.empty(), OptionalInt.empty(), bySample, Map.of());
    }

    private static Sheet scored(int taster, int liking0, int liking1, int tender0, int tender1) {
        return new Sheet(
                taster,
                0,
                OptionalInt.empty(),
                OptionalInt.empty(),
                Map.of(),
                Map.of(LIKING.key(), Map.of(0, liking0, 1, liking1), TENDER.key(), Map.of(0, tender0, 1, tender1)));
    }

    @Nested
    class A_paired_preference {

        @Test
        void says_in_plain_words_how_many_liked_which_better_and_keeps_the_p_for_those_who_ask() {
            List<Sheet> sheets = new ArrayList<>();
            IntStream.range(0, 7).forEach(taster -> sheets.add(pick(taster, 0, taster < 5 ? 0 : 1)));
            TastingVerdict verdict = new TastingOutcome(TastingKind.PAIRED, TWO, List.of(), sheets)
                    .verdicts()
                    .get(0);
            assertThat(verdict.sentence())
                    .isEqualTo("5 of 7 liked Honey better than Plain."
                            + " No difference is shown, which is not to say there is none.");
            assertThat(Units.PLAIN.sentence(verdict.statistics()))
                    .startsWith("Exact two-sided binomial test, one voice a taster: p 0.453.");
        }

        @Test
        void gives_a_taster_one_voice_however_many_rounds_were_eaten() {
            TastingOutcome outcome = new TastingOutcome(
                    TastingKind.PAIRED,
                    TWO,
                    List.of(),
                    List.of(pick(0, 0, 0), pick(0, 1, 0), pick(0, 2, 1), pick(1, 0, 1), pick(1, 1, 0), pick(2, 0, 1)));
            assertThat(outcome.pairs().get(0).preference()).isEqualTo(new Preference(1, 1, 1));
            assertThat(outcome.consistency(0)).isEqualTo(new Agreement(1, 2));
            assertThat(outcome.consistency(1)).isEqualTo(new Agreement(0, 1));
            assertThat(outcome.duels().stream()
                            .filter(duel -> duel.taster() == 0)
                            .mapToDouble(Duel::weight)
                            .sum())
                    .as("three rounds weigh one together")
                    .isCloseTo(1, within(1e-12));
        }

        @Test
        void is_shown_by_six_of_six_leaning_by_six_of_seven_and_open_by_five_of_six() {
            assertThat(new Preference(6, 0, 0).strength()).isEqualTo(Strength.SHOWN);
            assertThat(new Preference(1, 6, 0).strength()).isEqualTo(Strength.LEANING);
            assertThat(new Preference(5, 1, 0).strength()).isEqualTo(Strength.NOT_SHOWN);
            assertThat(new Preference(3, 0, 0).strength())
                    .as("three coins fall alike once in four")
                    .isEqualTo(Strength.NOT_SHOWN);
            assertThat(new Preference(1, 0, 3).strength()).isEqualTo(Strength.ANECDOTE);
        }

        @Test
        void tells_who_sides_with_most_of_the_others() {
            TastingOutcome outcome = new TastingOutcome(
                    TastingKind.PAIRED,
                    TWO,
                    List.of(),
                    List.of(pick(0, 0, 0), pick(1, 0, 0), pick(2, 0, 1), pick(3, 0, -1)));
            assertThat(outcome.agreement(0))
                    .as("one for, one against, one neither")
                    .isEqualTo(Agreement.NONE);
            assertThat(outcome.agreement(2)).isEqualTo(new Agreement(0, 1));
            assertThat(outcome.agreement(3)).isEqualTo(Agreement.NONE);
        }
    }

    @Nested
    class A_ranking {
        private final List<String> three = List.of("Honey", "Plain", "Porcini");

        @Test
        void names_the_order_and_tests_every_pair_by_holm() {
            List<Sheet> sheets = IntStream.range(0, 9)
                    .mapToObj(taster -> taster < 8 ? ranked(taster, 2, 3, 1) : ranked(taster, 1, 3, 2))
                    .toList();
            TastingOutcome outcome = new TastingOutcome(TastingKind.RANKING, three, List.of(), sheets);
            TastingVerdict order = outcome.verdicts().get(0);
            assertThat(order.sentence()).isEqualTo("Best liked first: Porcini, Honey, Plain. That is not chance.");
            assertThat(Units.PLAIN.sentence(order.statistics())).startsWith("Friedman's test: χ² 16.22");
            List<Pair> pairs = outcome.pairs();
            assertThat(pairs.get(0).preference()).isEqualTo(new Preference(9, 0, 0));
            // 2·(1/2)⁹ three times over; 8 of 9 is 20/512, the last in Holm's line.
            assertThat(pairs.get(0).adjustedP()).isCloseTo(3 * 2 / 512.0, within(1e-12));
            assertThat(pairs.get(1).adjustedP()).isCloseTo(20 / 512.0, within(1e-12));
        }

        @Test
        void of_k_samples_weighs_k_less_one_choices() {
            List<Duel> duels =
                    new TastingOutcome(TastingKind.RANKING, three, List.of(), List.of(ranked(0, 1, 1, 3))).duels();
            assertThat(duels).hasSize(4);
            assertThat(duels.stream().mapToDouble(Duel::weight).sum()).isCloseTo(2, within(1e-12));
        }
    }

    @Test
    void liking_is_tested_by_itself_and_the_rest_share_the_chance_of_being_fooled() {
        List<Sheet> sheets = IntStream.range(0, 6)
                .mapToObj(taster -> scored(taster, 6, 4 - taster % 2, 5, 4))
                .toList();
        List<Attribute> asked = new ArrayList<>(Attribute.USUAL.subList(0, 2));
        TastingOutcome outcome = new TastingOutcome(TastingKind.SCORES, TWO, asked, sheets);
        Shift liking = outcome.shifts().get(0);
        assertThat(liking.adjustedP()).as("two in 2⁶").isEqualTo(2 / 64.0);
        assertThat(liking.test().shift()).isEqualTo(2.5);
        assertThat(liking.strength()).isEqualTo(Strength.SHOWN);
        asked.add(Attribute.USUAL.get(2));
        assertThat(new TastingOutcome(TastingKind.SCORES, TWO, asked, sheets).shifts())
                .as("nobody scored the third")
                .hasSize(2);
    }

    @Test
    void a_triangle_says_what_guessing_would_find_and_gives_every_round_its_try() {
        List<Sheet> sheets = IntStream.range(0, 6)
                .mapToObj(each -> new Sheet(
                        each / 2, each % 2, OptionalInt.empty(), OptionalInt.of(each < 5 ? 1 : 0), Map.of(), Map.of()))
                .toList();
        TastingVerdict verdict = new TastingOutcome(TastingKind.TRIANGLE, TWO, List.of(), sheets)
                .verdicts()
                .get(0);
        assertThat(verdict.sentence())
                .isEqualTo("5 of 6 found the odd one, where guessing finds a third. That is not chance.");
        assertThat(Units.PLAIN.sentence(verdict.statistics())).contains("p 0.018.");
        assertThat(verdict.strength()).isEqualTo(Strength.SHOWN);
    }

    @Test
    void nothing_is_said_of_nothing() {
        for (TastingKind kind : TastingKind.values()) {
            TastingOutcome outcome = new TastingOutcome(kind, TWO, Attribute.USUAL, List.of());
            assertThat(outcome.verdicts()).isEmpty();
            assertThat(outcome.duels()).isEmpty();
        }
    }

    @Test
    void what_weakens_a_tasting_is_said() {
        Cooked fresh = new Cooked("Plain", OptionalDouble.of(54), true, false);
        assertThat(Weakness.of(
                        List.of(fresh, new Cooked("Honey", OptionalDouble.of(56), true, false)), List.of(), 6, 0))
                .as("two degrees apart is allowed")
                .isEmpty();
        assertThat(Weakness.of(
                        List.of(fresh, new Cooked("Honey", OptionalDouble.of(56.1), false, true)),
                        List.of("Tove"),
                        6,
                        1))
                .map(PLAIN::sentence)
                .containsExactly(
                        "The cores lay at 54.0 °C to 56.1 °C, more than 2 degrees apart: doneness alone may have decided.",
                        "Honey was seasoned otherwise than the rest.",
                        "Honey was thawed, the rest never frozen.",
                        "Tove knew or guessed which was which.",
                        "1 of 6 tasters did not answer all of it.");
        assertThat(Weakness.of(List.of(new Cooked("Plain", OptionalDouble.empty(), true, true)), List.of(), 6, 0))
                .containsExactly("The core of Plain was not measured.");
    }

    @Test
    void what_never_met_is_not_compared() {
        double[][] wins = new double[5][5];
        wins[0][3] = 1;
        wins[4][3] = 2;
        assertThat(BradleyTerry.connected(wins)).containsExactly(List.of(0, 3, 4), List.of(1), List.of(2));
    }

    @Test
    void one_that_never_lost_is_strong_but_not_without_bounds() {
        BradleyTerry strengths = BradleyTerry.of(new double[][] {{0, 6}, {0, 0}}, 1.5);
        assertThat(strengths.chance(0, 1)).isBetween(0.8, 0.95);
        assertThat(strengths.chance(0, 1, 0.8).low()).isGreaterThan(0.5);
        assertThat(strengths.chance(0, 1, 0.8).high()).isLessThan(1);
    }
}
