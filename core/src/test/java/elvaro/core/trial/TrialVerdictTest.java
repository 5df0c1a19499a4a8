package elvaro.core.trial;

import static elvaro.core.working.Units.PLAIN;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import elvaro.core.forecast.Forecast;
import elvaro.core.trial.Effect.ArmValue;
import elvaro.core.trial.Effect.Repeat;
import elvaro.core.trial.Judgement.Found;
import elvaro.core.trial.Lesson.Went;
import elvaro.core.trial.TrialVerdict.Sides;
import elvaro.core.working.Units;
import java.util.Currency;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

class TrialVerdictTest {
    private static final Units POUNDS =
            new Units(Units.Mass.POUND_AND_OUNCE, true, true, Currency.getInstance("EUR"), Locale.ENGLISH);

    private static final TrialMeasure ASKED = TrialMeasure.SHRINK;

    /** Neighbours of one lot. */
    private static List<ArmValue> blocks(double... values) {
        return IntStream.range(0, values.length)
                .mapToObj(block -> new ArmValue("41", "41/" + block, values[block]))
                .toList();
    }

    /** Pieces of one animal that were not drawn as neighbours. */
    private static List<ArmValue> animal(String lot, double... values) {
        return IntStream.range(0, values.length)
                .mapToObj(piece -> new ArmValue(lot, lot, values[piece]))
                .toList();
    }

    private static double mean(List<ArmValue> found) {
        return found.stream().mapToDouble(ArmValue::value).average().orElseThrow();
    }

    private static TrialVerdict verdict(TrialMeasure measure, List<ArmValue> control, List<ArmValue> arm) {
        Effect effect = Effect.of(control, arm, measure.step());
        Found found = new Found(0, measure, effect.p(), effect.freedom() > 0);
        return TrialVerdict.of(
                Judgement.of(ASKED, List.of(found)).get(0),
                effect,
                new Sides("Honey", mean(arm), "Plain", mean(control)));
    }

    @Test
    void one_pair_is_an_anecdote_and_says_so() {
        TrialVerdict verdict = verdict(ASKED, blocks(0.160), blocks(0.148));
        assertThat(PLAIN.sentence(verdict.sentence()))
                .isEqualTo("Honey has 1.2 points less shrink than Plain, 14.8 % against 16.0 %.");
        assertThat(verdict.surety()).isEqualTo("Nothing was done twice: an anecdote.");
        assertThat(verdict.band()).isEmpty();
    }

    @Test
    void figures_that_agree_are_the_same_and_no_more_of_anything() {
        TrialVerdict verdict = verdict(ASKED, blocks(0.113, 0.113), blocks(0.113, 0.113));
        assertThat(PLAIN.sentence(verdict.sentence())).isEqualTo("Honey and Plain have the same shrink, 11.3 %.");
        assertThat(verdict.judgement().strength()).isEqualTo(Strength.NOT_SHOWN);
    }

    @Test
    void pairs_of_one_lot_give_an_interval_and_no_verdict_calls_arms_equal() {
        TrialVerdict shown = verdict(ASKED, blocks(0.160, 0.171, 0.155, 0.166), blocks(0.150, 0.160, 0.146, 0.155));
        assertThat(shown.surety()).isEqualTo("That is not chance.");
        assertThat(PLAIN.sentence(shown.statistics()))
                .startsWith("Student's t on 4 pairs: −1.0 points, 80 % from −1.2 points to");
        TrialVerdict nothing = verdict(ASKED, blocks(0.160, 0.171, 0.155), blocks(0.170, 0.161, 0.156));
        assertThat(nothing.surety()).isEqualTo("No difference is shown, which is not to say there is none.");
        TrialVerdict leaning = verdict(ASKED, blocks(0.160, 0.171, 0.155), blocks(0.150, 0.166, 0.151));
        assertThat(leaning.surety()).isEqualTo("It leans that way; more pairs would tell.");
    }

    @Test
    void what_the_animal_adds_to_both_arms_does_not_widen_a_paired_interval() {
        List<ArmValue> control = blocks(0.10, 0.15, 0.20);
        Effect paired = Effect.of(control, blocks(0.09, 0.141, 0.191), 0);
        Effect apart = Effect.of(
                control,
                List.of(new ArmValue("41", "x", 0.09), new ArmValue("41", "y", 0.141), new ArmValue("41", "z", 0.191)),
                0);
        assertThat(paired.strength()).isEqualTo(Strength.SHOWN);
        assertThat(apart.repeat()).isEqualTo(Repeat.PIECE);
        assertThat(apart.strength()).isEqualTo(Strength.NOT_SHOWN);
    }

    @Test
    void two_pieces_of_one_animal_against_two_of_another_are_one_difference_of_two_animals() {
        Effect effect = Effect.of(animal("7", 0.150, 0.152), animal("8", 0.190, 0.192), 0);
        assertThat(effect.strength()).isEqualTo(Strength.ANECDOTE);
        assertThat(effect.repeat()).isEqualTo(Repeat.ANIMAL);
        List<ArmValue> three = Stream.of(animal("1", 0.15, 0.151), animal("2", 0.152), animal("3", 0.149))
                .flatMap(List::stream)
                .toList();
        List<ArmValue> others = Stream.of(animal("4", 0.19, 0.191), animal("5", 0.192), animal("6", 0.189))
                .flatMap(List::stream)
                .toList();
        Effect animals = Effect.of(three, others, 0);
        assertThat(animals.freedom()).as("three animals each").isLessThanOrEqualTo(4);
        assertThat(animals.strength()).isEqualTo(Strength.SHOWN);
    }

    @Test
    void differences_that_agree_by_the_rounding_of_a_scale_are_no_surer_than_the_scale() {
        // 20 g of 2 kg on a scale of 10 g, twice by luck.
        assertThat(Effect.of(blocks(0.15, 0.16), blocks(0.14, 0.15), 0).strength())
                .isEqualTo(Strength.SHOWN);
        assertThat(Effect.of(blocks(0.15, 0.16), blocks(0.14, 0.15), ASKED.step())
                        .strength())
                .isNotEqualTo(Strength.SHOWN);
    }

    @Test
    void the_cost_is_told_in_money() {
        TrialVerdict verdict = verdict(
                TrialMeasure.COST, blocks(Math.log(3000), Math.log(3200)), blocks(Math.log(3190), Math.log(3590)));
        TrialVerdict told = TrialVerdict.of(
                verdict.judgement(), Effect.of(blocks(8.0), blocks(8.06), 0), new Sides("Honey", 3290, "Plain", 3100));
        assertThat(told.sentence())
                .isEqualTo(
                        "The steak of Honey is ⟦price 190⟧ dearer than of Plain, ⟦price 3290⟧ against ⟦price 3100⟧.");
        assertThat(PLAIN.sentence(verdict.statistics())).contains("+9 %");
        assertThat(verdict.surety()).as("not asked, and not much").isEmpty();
    }

    @Test
    void a_running_trial_says_how_much_slower_an_arm_dries_and_within_what() {
        Drying drying = Drying.of(List.of(day(0.100, 0.004)), List.of(day(0.088, 0.004)))
                .orElseThrow();
        assertThat(drying.words("Honey", "Plain")).isEqualTo("Honey dries 12 % slower than Plain (80 %: 5 to 19).");
        assertThat(Drying.of(List.of(day(0.1, 0.01)), List.of(day(0.097, 0.01)))
                        .orElseThrow()
                        .words("Honey", "Plain"))
                .isEqualTo("Honey dries 3 % slower than Plain (80 %: 17 % faster to 19 % slower).");
        assertThat(Drying.of(List.of(day(0.004, 0.001)), List.of(day(0.1, 0.01))))
                .isEmpty();
    }

    /**
     * Weights of the trade, common practice, no source: two rib pieces of one animal, one sealed in kidney fat. The seal kept
     * its water, and 4.6 lb of it had to be thrown away.
     */
    @Test
    void where_the_lesson_is_in_what_was_thrown_away_the_sentence_says_so() {
        Went plain = went(10.6, 9.4, 9.0, 0.4);
        Went sealed = went(10.8, 10.4, 5.8, 4.6);
        String lesson = Lesson.of("Fat seal", "Plain", plain, sealed, "rot").orElseThrow();
        assertThat(POUNDS.sentence(lesson))
                .isEqualTo("Fat seal kept 0 lb 13.05 oz of water and cost 3 lb 5.40 oz of meat:"
                        + " 4 lb 9.62 oz of it was thrown away (rot).");
        assertThat(POUNDS.sentence(
                        Lesson.of("Plain", "Fat seal", sealed, plain, "").orElseThrow()))
                .isEqualTo("Plain lost 0 lb 13.05 oz more water and still gave 3 lb 5.40 oz more meat:"
                        + " 4 lb 2.46 oz less was thrown away.");
        assertThat(Lesson.of("A", "B", plain, went(10.6, 9.2, 8.8, 0.4), "")).isEmpty();
    }

    private static Went went(double green, double aged, double eaten, double discard) {
        double pound = 453.59237;
        return new Went(green * pound, (green - aged) * pound, eaten * pound, discard * pound);
    }

    @Test
    void a_conclusion_answers_what_was_asked_first_and_names_what_weakens_it() {
        TrialVerdict shrink = verdict(ASKED, blocks(0.160), blocks(0.148));
        Design.Flaw flaw = new Design.Flaw(Design.FlawKind.SIZES, "Too heavy.", "Cut it.");
        Conclusion conclusion = Conclusion.of(
                "Honey",
                Optional.of(shrink),
                "",
                Optional.of("Lesson."),
                List.of(flaw),
                List.of("5 of 7 liked Honey better than Plain."),
                List.of("Tove knew."));
        assertThat(PLAIN.sentence(conclusion.sentence()))
                .isEqualTo("Honey has 1.2 points less shrink than Plain, 14.8 % against 16.0 %."
                        + " Nothing was done twice: an anecdote.");
        assertThat(conclusion.more()).containsExactly("Lesson.", "5 of 7 liked Honey better than Plain.");
        assertThat(conclusion.weakenedBy()).containsExactly("Too heavy.", "Tove knew.");
        assertThat(Conclusion.of(
                                "Honey",
                                Optional.empty(),
                                "Not known.",
                                Optional.empty(),
                                List.of(),
                                List.of(),
                                List.of())
                        .sentence())
                .isEqualTo("Not known.");
    }

    @Test
    void the_band_of_a_running_trial_holds_its_ratio_narrows_with_pieces_and_turns_with_the_arms() {
        List<Forecast.Day> control = List.of(day(0.100, 0.006), day(0.104, 0.006));
        List<Forecast.Day> arm = List.of(day(0.090, 0.006), day(0.086, 0.006));
        Drying both = Drying.of(control, arm).orElseThrow();
        Drying one = Drying.of(control.subList(0, 1), arm.subList(0, 1)).orElseThrow();
        Drying back = Drying.of(arm, control).orElseThrow();
        assertThat(both.ratio()).isBetween(both.band().low(), both.band().high());
        assertThat(Math.log(both.band().high() / both.band().low()))
                .isLessThan(Math.log(one.band().high() / one.band().low()));
        assertThat(back.ratio() * both.ratio()).isCloseTo(1, within(1e-12));
        assertThat(back.band().low() * both.band().high()).isCloseTo(1, within(1e-12));
        assertThat(back.words("Plain", "Honey")).startsWith("Plain dries").contains("faster than Honey");
        assertThat(Drying.of(control, control).orElseThrow().words("A", "B")).startsWith("A dries like B so far");
    }

    private static Forecast.Day day(double lost, double sd) {
        return new Forecast.Day(9, lost, lost - sd, lost + sd, sd);
    }
}
