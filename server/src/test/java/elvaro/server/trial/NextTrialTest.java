package elvaro.server.trial;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.lenient;

import elvaro.core.drying.Method;
import elvaro.core.treatment.Dose;
import elvaro.core.treatment.DoseUnit;
import elvaro.core.treatment.TreatmentKind;
import elvaro.core.trial.Change;
import elvaro.core.trial.Factor;
import elvaro.core.trial.Strength;
import elvaro.core.trial.TrialMeasure;
import elvaro.server.treatment.Given;
import elvaro.server.treatment.TreatmentForm;
import elvaro.server.treatment.TreatmentService;
import elvaro.server.trial.NextTrial.Heard;
import elvaro.server.trial.NextTrial.NextArm;
import elvaro.server.trial.NextTrial.NextChoice;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.mockito.InjectMocks;
import org.mockito.Mock;
import org.mockito.junit.jupiter.MockitoExtension;

/** What may be changed in each arm of a trial, and what is proposed; without a database. */
@ExtendWith(MockitoExtension.class)
class NextTrialTest {
    private static final UUID CHAMBER = UUID.randomUUID();
    private static final Dose POWDER = new Dose(22, DoseUnit.GRAM, Dose.Basis.KILOGRAM);
    private static final Heard NOTHING = new Heard(List.of(), Optional.empty(), false);

    @Mock
    TreatmentService treatments;

    @InjectMocks
    NextTrial nextTrial;

    @BeforeEach
    void treatments_have_words() {
        lenient().when(treatments.given(any())).thenAnswer(call -> {
            TreatmentForm form = call.getArgument(0);
            return new Given(form.kind(), null, form.exactly(), null, form.number(), false, false, false);
        });
    }

    private static Given given(TreatmentKind kind, Dose dose, Integer number) {
        return new Given(kind, null, "buckwheat honey", dose, number, false, false, false);
    }

    private static SetUp setUp(int days, Given... given) {
        return new SetUp(
                false,
                Method.OPEN_AIR,
                CHAMBER,
                days,
                null,
                0,
                null,
                Arrays.stream(given).map(Given::form).toList());
    }

    /** The control first. */
    private List<NextArm> next(Factor factor, int days, SetUp control, SetUp other, Heard heard) {
        UUID id = UUID.randomUUID();
        Trial trial =
                new Trial(id, "Is it liked more?", factor, TrialMeasure.LIKING, 1L, null, LocalDate.of(2026, 2, 1));
        TrialArm plain = new TrialArm(UUID.randomUUID(), id, 0, "Plain", true, control);
        TrialArm treated = new TrialArm(UUID.randomUUID(), id, 1, "Honey", false, other);
        Map<UUID, SetUp> setUps = new HashMap<>();
        if (control != null) {
            setUps.put(plain.id(), control);
        }
        setUps.put(treated.id(), other);
        return nextTrial
                .from(
                        new TrialWithPieces(trial, List.of(plain, treated), Map.of(), Map.of()),
                        days,
                        setUps,
                        Map.of(plain.id(), NOTHING, treated.id(), heard))
                .arms();
    }

    private static List<String> labels(NextArm arm) {
        return arm.choices().stream().map(NextChoice::label).toList();
    }

    private static NextChoice proposed(NextArm arm) {
        return arm.choices().stream()
                .filter(choice -> choice.reason() != null)
                .findFirst()
                .orElseThrow();
    }

    @Test
    void an_arm_is_changed_by_itself_and_the_other_stays_as_it_was() {
        List<NextArm> arms =
                next(Factor.TREATMENT, 0, setUp(38), setUp(38, given(TreatmentKind.SUGAR_COAT, POWDER, null)), NOTHING);
        assertThat(labels(arms.get(0))).containsExactly("as it was");
        assertThat(labels(arms.get(1)))
                .containsExactly(
                        "as it was",
                        "Sugar or syrup coat: 11 g per kg green weight instead of 22 g per kg green weight",
                        "Sugar or syrup coat: 44 g per kg green weight instead of 22 g per kg green weight");
        assertThat(arms.get(1).choices().get(1).setUp().treatments().get(0).amount())
                .isEqualTo(11);
    }

    @Test
    void every_treatment_of_an_arm_is_kept() {
        Given smoke = given(TreatmentKind.LIQUID_SMOKE, new Dose(24, DoseUnit.TEASPOON, Dose.Basis.FIVE_POUNDS), null);
        Given cocoa = given(TreatmentKind.PASTE, POWDER, null);
        NextArm arm = next(Factor.TREATMENT, 0, setUp(56), setUp(56, smoke, cocoa), NOTHING)
                .get(1);
        assertThat(arm.choices())
                .allSatisfy(choice -> assertThat(choice.setUp().treatments()).hasSize(2));
        NextChoice half = proposed(arm);
        assertThat(half.reason()).isEqualTo("It was 24 times what the label says.");
        assertThat(half.setUp().treatments()).extracting(TreatmentForm::amount).containsExactly(12.0, 22.0);
    }

    @Test
    void a_guess_is_halved_in_words_and_asked_to_be_measured() {
        NextArm arm = next(
                        Factor.TREATMENT,
                        0,
                        setUp(56),
                        setUp(56, given(TreatmentKind.ACID_SUGAR_COAT, null, null)),
                        new Heard(List.of("The powder was too strong, nobody finished it."), Optional.empty(), false))
                .get(1);
        NextChoice half = proposed(arm);
        assertThat(half.change()).isEqualTo(Change.HALF_DOSE);
        assertThat(half.label())
                .isEqualTo("Acid and sugar coat: half the dose, which was a guess; measure it this time");
        assertThat(half.reason()).isEqualTo("It was said of Honey: “The powder was too strong”.");
        assertThat(half.setUp().treatments().get(0).exactly()).isEqualTo("buckwheat honey, half of last time's guess");
    }

    @Test
    void seven_sessions_are_twice_fourteen_and_a_number_that_cannot_be_is_not_offered() {
        NextArm seven = next(
                        Factor.TREATMENT,
                        0,
                        setUp(30),
                        setUp(30, given(TreatmentKind.COLD_SMOKE, null, 7)),
                        new Heard(List.of("The smoke is faint."), Optional.empty(), false))
                .get(1);
        assertThat(proposed(seven).label()).isEqualTo("Cold smoke: 14 sessions instead of 7");
        assertThat(proposed(seven).setUp().treatments().get(0).number()).isEqualTo(14);
        NextArm twenty = next(
                        Factor.TREATMENT, 0, setUp(30), setUp(30, given(TreatmentKind.COLD_SMOKE, null, 20)), NOTHING)
                .get(1);
        assertThat(labels(twenty)).containsExactly("as it was", "Cold smoke: 10 sessions instead of 20");
    }

    @Test
    void where_nobody_said_anything_what_was_shown_decides() {
        SetUp honey = setUp(38, given(TreatmentKind.SUGAR_COAT, POWDER, null));
        NextChoice leaning = proposed(
                next(Factor.TREATMENT, 0, setUp(38), honey, new Heard(List.of(), Optional.of(Strength.LEANING), false))
                        .get(1));
        assertThat(leaning.change()).isEqualTo(Change.AGAIN);
        assertThat(leaning.reason()).isEqualTo("It leans; the same again would tell.");
        NextChoice open = proposed(next(
                        Factor.TREATMENT,
                        0,
                        setUp(38),
                        honey,
                        new Heard(List.of(), Optional.of(Strength.NOT_SHOWN), false))
                .get(1));
        assertThat(open.change()).isEqualTo(Change.TWICE_DOSE);
    }

    @Test
    void days_are_changed_in_all_arms_but_in_the_control_of_a_trial_of_days() {
        assertThat(next(Factor.TREATMENT, 10, setUp(28), setUp(28), NOTHING))
                .extracting(arm -> arm.choices().get(0).setUp().targetDays())
                .containsExactly(38, 38);
        assertThat(next(Factor.DAYS, 10, setUp(28), setUp(45), NOTHING))
                .extracting(arm -> arm.choices().get(0).setUp().targetDays())
                .containsExactly(28, 55);
    }

    @Test
    void a_recipe_keeps_its_dose_and_an_arm_of_which_nobody_knows_has_nothing_to_choose() {
        Given recipe =
                new Given(TreatmentKind.SUGAR_COAT, UUID.randomUUID(), "own honey", POWDER, null, false, false, false);
        List<NextArm> arms = next(Factor.TREATMENT, 0, null, setUp(38, recipe), NOTHING);
        assertThat(arms.get(0).choices()).isEmpty();
        assertThat(labels(arms.get(1))).containsExactly("as it was");
    }

    @Test
    void a_seal_that_cost_meat_is_told_what_to_do_otherwise() {
        NextChoice seal = proposed(next(
                        Factor.TREATMENT,
                        0,
                        setUp(35),
                        setUp(35, given(TreatmentKind.FAT_SEAL, null, null)),
                        new Heard(List.of(), Optional.of(Strength.ANECDOTE), true))
                .get(1));
        assertThat(seal.reason()).isEqualTo("It cost meat. Next time: Fill every fold, or leave it open.");
    }
}
