package elvaro.server.trial;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.lenient;
import static org.mockito.Mockito.mock;

import elvaro.core.drying.Method;
import elvaro.core.treatment.Dose;
import elvaro.core.treatment.DoseUnit;
import elvaro.core.treatment.TreatmentKind;
import elvaro.core.trial.Change;
import elvaro.core.trial.Factor;
import elvaro.core.trial.TrialMeasure;
import elvaro.server.chamber.Chamber;
import elvaro.server.forecast.Figures;
import elvaro.server.piece.Piece;
import elvaro.server.treatment.Given;
import elvaro.server.treatment.TreatmentForm;
import elvaro.server.treatment.TreatmentQueries;
import elvaro.server.trial.NextTrial.NextForm;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.mockito.InjectMocks;
import org.mockito.Mock;
import org.mockito.junit.jupiter.MockitoExtension;

/** One thing is changed from a trial before, the rest stays; without a database. */
@ExtendWith(MockitoExtension.class)
class NextTrialTest {
    private static final UUID CHAMBER = UUID.randomUUID();

    @Mock
    TreatmentQueries treated;

    @InjectMocks
    NextTrial nextTrial;

    @BeforeEach
    void nothing_was_given() {
        lenient().when(treated.given(any())).thenReturn(Map.of());
    }

    private static Given honey(Dose dose, UUID recipe) {
        return new Given(TreatmentKind.SUGAR_COAT, recipe, "buckwheat honey", dose, null, false, false, false);
    }

    private static final Dose HONEY = new Dose(22, DoseUnit.GRAM, Dose.Basis.KILOGRAM);

    private static SetUp setUp(int days, Given given) {
        TreatmentForm form = given == null ? null : given.form();
        return new SetUp(Method.OPEN_AIR, CHAMBER, days, null, 0, null, form);
    }

    private static TrialWithPieces trial(Factor factor, SetUp control, SetUp other) {
        UUID id = UUID.randomUUID();
        Trial trial = new Trial(id, "Is it liked more?", factor, TrialMeasure.LIKING, 1L, null, "", LocalDate.of(2026, 2, 1));
        return new TrialWithPieces(
                trial,
                List.of(
                        new TrialArm(UUID.randomUUID(), id, 0, "Plain", true, control),
                        new TrialArm(UUID.randomUUID(), id, 1, "Honey", false, other)),
                Map.of(),
                Map.of());
    }

    @ParameterizedTest(name = "{0}: {1} g, {2} days")
    @CsvSource({"AGAIN, 22, 38", "HALF_DOSE, 11, 38", "TWICE_DOSE, 44, 38", "TEN_DAYS_LESS, 22, 28"})
    void one_thing_is_changed_and_no_other(Change change, double dose, int days) {
        NextForm next = nextTrial.from(trial(Factor.TREATMENT, setUp(38, null), setUp(38, honey(HONEY, null))), change);
        SetUp plain = next.arms().get(0).setUp();
        SetUp honey = next.arms().get(1).setUp();
        assertThat(plain.treatment()).isNull();
        assertThat(honey.treatment().amount()).isEqualTo(dose);
        assertThat(List.of(plain.targetDays(), honey.targetDays())).containsExactly(days, days);
        assertThat(next.changed()).isEqualTo(change.label());
        assertThat(next.question()).isEqualTo("Is it liked more?");
    }

    @Test
    void where_days_are_the_question_the_control_keeps_its_own() {
        NextForm next = nextTrial.from(trial(Factor.DAYS, setUp(28, null), setUp(45, null)), Change.TEN_DAYS_MORE);
        assertThat(next.arms()).extracting(arm -> arm.setUp().targetDays()).containsExactly(28, 55);
    }

    @Test
    void a_change_of_a_dose_is_offered_where_there_is_one_that_is_not_a_recipes() {
        assertThat(nextTrial.offers(trial(Factor.DAYS, setUp(28, null), setUp(38, null)), Change.HALF_DOSE))
                .isFalse();
        assertThat(nextTrial.offers(
                        trial(Factor.TREATMENT, setUp(28, null), setUp(28, honey(HONEY, null))), Change.HALF_DOSE))
                .isTrue();
        assertThat(nextTrial.offers(
                        trial(Factor.TREATMENT, setUp(28, null), setUp(28, honey(HONEY, UUID.randomUUID()))),
                        Change.HALF_DOSE))
                .isFalse();
    }

    @Test
    void how_often_is_changed_within_what_the_course_allows() {
        Given smoked = new Given(TreatmentKind.COLD_SMOKE, null, "", null, 5, false, false, false);
        TrialWithPieces trial = trial(Factor.TREATMENT, setUp(30, null), setUp(30, smoked));
        assertThat(nextTrial.offers(trial, Change.TWICE_AS_OFTEN)).isTrue();
        SetUp next = nextTrial.from(trial, Change.TWICE_AS_OFTEN).arms().get(1).setUp();
        assertThat(next.treatment().number()).isEqualTo(10);
        assertThat(next.targetDays()).isEqualTo(30);
    }

    @Test
    void of_a_trial_of_pieces_that_hung_already_what_was_done_with_them_is_the_set_up() {
        Chamber chamber = mock();
        lenient().when(chamber.id()).thenReturn(CHAMBER);
        Piece piece = mock();
        UUID id = UUID.randomUUID();
        lenient().when(piece.id()).thenReturn(id);
        lenient().when(piece.chamber()).thenReturn(Optional.of(chamber));
        lenient().when(piece.method()).thenReturn(Optional.of(Method.MEMBRANE));
        lenient().when(piece.targetDays()).thenReturn(Optional.of(35));
        lenient().when(piece.benchOrder()).thenReturn(Optional.empty());
        lenient().when(treated.given(List.of(id))).thenReturn(Map.of(id, List.of(honey(HONEY, null))));
        Figures figures = mock();
        lenient().when(figures.piece()).thenReturn(piece);
        TrialWithPieces bare = trial(Factor.TREATMENT, null, null);
        TrialArm arm = bare.arms().get(1);
        TrialWithPieces trial =
                new TrialWithPieces(bare.trial(), bare.arms(), Map.of(arm.id(), List.of(figures)), Map.of());
        NextForm next = nextTrial.from(trial, Change.TWICE_DOSE);
        assertThat(next.arms().get(0).setUp())
                .as("nobody knows what the empty arm was to be")
                .isNull();
        SetUp done = next.arms().get(1).setUp();
        assertThat(done.method()).isEqualTo(Method.MEMBRANE);
        assertThat(done.chamberId()).isEqualTo(CHAMBER);
        assertThat(done.targetDays()).isEqualTo(35);
        assertThat(done.treatment().amount()).isEqualTo(44);
    }
}
