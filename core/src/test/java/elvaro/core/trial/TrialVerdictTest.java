package elvaro.core.trial;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import elvaro.core.forecast.Forecast;
import elvaro.core.treatment.Course;
import elvaro.core.treatment.Dose;
import elvaro.core.treatment.TreatmentKind;
import elvaro.core.trial.Effect.ArmValue;
import elvaro.core.trial.Effect.Strength;
import java.util.List;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

class TrialVerdictTest {

    private static List<ArmValue> blocks(double... values) {
        return IntStream.range(0, values.length)
                .mapToObj(block -> new ArmValue("41/" + block, values[block]))
                .toList();
    }

    @Test
    void one_pair_is_an_anecdote_and_says_so() {
        Effect effect = Effect.of(blocks(0.160), blocks(0.148));
        assertThat(TrialVerdict.of(TrialMeasure.SHRINK, effect, "Honey", "Plain")
                        .sentence())
                .isEqualTo("Shrink: Honey 1.2 points less than Plain. An anecdote: nothing was done twice.");
        assertThat(effect.band(0.8)).isEmpty();
    }

    @Test
    void pairs_of_one_lot_give_an_interval_and_no_verdict_calls_arms_equal() {
        Effect shown = Effect.of(blocks(0.160, 0.171, 0.155, 0.166), blocks(0.150, 0.160, 0.146, 0.155));
        assertThat(shown.strength()).isEqualTo(Strength.SHOWN);
        Effect nothing = Effect.of(blocks(0.160, 0.171, 0.155), blocks(0.170, 0.161, 0.156));
        TrialVerdict verdict = TrialVerdict.of(TrialMeasure.SHRINK, nothing, "Honey", "Plain");
        assertThat(verdict.strength()).isEqualTo(Strength.NOT_SHOWN);
        assertThat(verdict.sentence()).endsWith("No difference is shown, which is not to say there is none.");
    }

    @Test
    void what_the_animal_adds_to_both_arms_does_not_widen_a_paired_interval() {
        List<ArmValue> control = blocks(0.10, 0.15, 0.20);
        Effect paired = Effect.of(control, blocks(0.09, 0.141, 0.191));
        Effect apart = Effect.of(
                control, List.of(new ArmValue("x", 0.09), new ArmValue("y", 0.141), new ArmValue("z", 0.191)));
        assertThat(paired.strength()).isEqualTo(Strength.SHOWN);
        assertThat(apart.strength()).isEqualTo(Strength.NOT_SHOWN);
    }

    @Test
    void the_cost_is_told_in_money_and_in_parts_of_it() {
        Effect effect = Effect.of(blocks(Math.log(3000), Math.log(3200)), blocks(Math.log(3190), Math.log(3390)));
        assertThat(TrialVerdict.ofCost(effect, 190, "Honey", "Plain").sentence())
                .startsWith("Cost: Honey ⟦price 190⟧ dearer than Plain, +6 % (80 %: +6 % to +7 %).");
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

    @Test
    void a_conclusion_parts_what_is_shown_from_what_is_not_and_names_what_weakens_it() {
        TrialVerdict shrink = TrialVerdict.of(
                TrialMeasure.SHRINK,
                Effect.of(blocks(0.160, 0.171, 0.155, 0.166), blocks(0.150, 0.160, 0.146, 0.155)),
                "Honey",
                "Plain");
        TrialVerdict trim = TrialVerdict.of(
                TrialMeasure.TRIM,
                Effect.of(blocks(0.160, 0.171, 0.155), blocks(0.170, 0.161, 0.156)),
                "Honey",
                "Plain");
        Design.Flaw flaw = new Design.Flaw(Design.FlawKind.SIZES, "Too heavy.", "Cut it.");
        Conclusion conclusion =
                Conclusion.of("Honey", "Plain", List.of(shrink, trim), List.of(flaw), List.of(), List.of());
        assertThat(conclusion.sentence())
                .isEqualTo("Honey against Plain: shown less shrink; no difference shown in trim.");
        assertThat(conclusion.weakenedBy()).containsExactly("Too heavy.");
    }

    @Test
    void what_was_tasted_stands_first_with_what_it_costs_and_what_weakened_it_is_counted() {
        TrialVerdict cost = TrialVerdict.ofCost(
                Effect.of(blocks(Math.log(50), Math.log(52)), blocks(Math.log(52), Math.log(53.8))),
                190,
                "Honey",
                "Plain");
        Conclusion tasted = Conclusion.of(
                "Honey",
                "Plain",
                List.of(cost),
                List.of(),
                List.of("liked more by 5 of 7 (P(better) 0.86)"),
                List.of("Tove knew or guessed which was which."));
        assertThat(tasted.sentence())
                .startsWith("Honey against Plain: liked more by 5 of 7 (P(better) 0.86), ⟦price 190⟧ dearer; ");
        assertThat(tasted.weakenedBy()).containsExactly("Tove knew or guessed which was which.");
        assertThat(Conclusion.of("Honey", "Plain", List.of(), List.of(), List.of("told apart by 2 of 6"), List.of())
                        .sentence())
                .as("tasted before it was cut to the end")
                .isEqualTo("Honey against Plain: told apart by 2 of 6.");
    }

    @Test
    void a_next_trial_changes_one_thing_within_what_is_possible() {
        Dose dose = new Dose(22, elvaro.core.treatment.DoseUnit.GRAM, Dose.Basis.KILOGRAM);
        Course.Count sessions = TreatmentKind.COLD_SMOKE.course().count().orElseThrow();
        assertThat(Change.HALF_DOSE.of(dose).amount()).isEqualTo(11);
        assertThat(Change.HALF_DOSE.number(3, sessions)).isEqualTo(3);
        assertThat(Change.TWICE_AS_OFTEN.number(3, sessions)).isEqualTo(6);
        assertThat(Change.TWICE_AS_OFTEN.number(9, sessions)).isEqualTo(12);
        assertThat(Change.TEN_DAYS_LESS.days(38)).isEqualTo(28);
        assertThat(Change.TEN_DAYS_LESS.days(8)).isEqualTo(1);
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

    @Test
    void a_leaning_is_no_proof_and_asks_for_more_pairs() {
        Effect leaning = Effect.of(blocks(0.160, 0.171, 0.155), blocks(0.150, 0.166, 0.151));
        assertThat(leaning.strength()).isEqualTo(Strength.LEANING);
        TrialVerdict verdict = TrialVerdict.of(TrialMeasure.TRIM, leaning, "Honey", "Plain");
        assertThat(verdict.sentence())
                .startsWith("Trim: Honey 0.6 points less than Plain (80 %:")
                .endsWith("It leans that way; more pairs would tell.");
        assertThat(Conclusion.of("Honey", "Plain", List.of(verdict), List.of(), List.of(), List.of())
                        .sentence())
                .isEqualTo("Honey against Plain: leaning to less trim.");
        assertThat(Conclusion.of("Honey", "Plain", List.of(verdict), List.of(), List.of(), List.of())
                        .weakenedBy())
                .isEmpty();
    }

    private static Forecast.Day day(double lost, double sd) {
        return new Forecast.Day(9, lost, lost - sd, lost + sd, sd);
    }
}
