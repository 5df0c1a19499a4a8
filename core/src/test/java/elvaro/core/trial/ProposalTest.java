package elvaro.core.trial;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import elvaro.core.treatment.Course;
import elvaro.core.treatment.Dose;
import elvaro.core.treatment.DoseUnit;
import elvaro.core.treatment.TreatmentKind;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class ProposalTest {

    @ParameterizedTest(name = "{0}: less {1}")
    @CsvSource({
        "Good meat. The outside is too sweet; half of it next time, true",
        "The smoke covers everything, true",
        "A very faint smoke, false",
        "Nobody noticed it at all, false"
    })
    void what_was_said_of_it_goes_before_everything_else(String words, boolean less) {
        Proposal proposal =
                Proposal.of("Honey", List.of(words), Optional.of("salt it first."), 24, Optional.of(Strength.SHOWN));
        assertThat(proposal.less()).contains(less);
        assertThat(proposal.reason()).startsWith("It was said of Honey: “");
    }

    @Test
    void then_the_label_then_what_was_shown() {
        assertThat(Proposal.of("Smoke", List.of("Nice."), Optional.empty(), 24, Optional.of(Strength.SHOWN)))
                .isEqualTo(new Proposal(Optional.of(true), "It was 24 times what the label says."));
        assertThat(Proposal.of("Smoke", List.of(), Optional.empty(), 1, Optional.of(Strength.ANECDOTE))
                        .less())
                .isEmpty();
        assertThat(Proposal.of("Smoke", List.of(), Optional.empty(), 1, Optional.of(Strength.NOT_SHOWN))
                        .less())
                .contains(false);
        assertThat(Proposal.of("Smoke", List.of(), Optional.empty(), 1, Optional.empty())
                        .reason())
                .isEqualTo("What it does is not known yet.");
    }

    @Test
    void a_number_is_changed_truly_or_not_at_all() {
        Course.Count sessions = TreatmentKind.COLD_SMOKE.course().count().orElseThrow();
        assertThat(Change.TWICE_AS_OFTEN.number(7, sessions)).contains(14);
        assertThat(Change.TWICE_AS_OFTEN.number(16, sessions)).isEmpty();
        assertThat(Change.HALF_AS_OFTEN.number(1, sessions)).isEmpty();
        assertThat(Change.HALF_DOSE
                        .of(new Dose(22, DoseUnit.GRAM, Dose.Basis.KILOGRAM))
                        .amount())
                .isEqualTo(11);
    }

    /** A bottle of 250 mL of which 130 mL are left, on a piece of 3.2 kg: 37.5 mL a kilogram. */
    @Test
    void a_guess_becomes_a_dose_by_what_is_left_of_the_bottle() {
        Dose dose = Dose.used(250, 130, DoseUnit.MILLILITRE, 3200);
        assertThat(dose.amount()).isCloseTo(37.5, within(1e-12));
        assertThat(dose.words()).isEqualTo("37.5 mL per kg green weight");
        assertThatThrownBy(() -> Dose.used(250, 250, DoseUnit.MILLILITRE, 3200))
                .hasMessage("More was in it before than is left now.");
    }

    @Test
    void what_cost_meat_is_done_otherwise_before_its_dose_is_spoken_of() {
        assertThat(Proposal.of(
                        "Seal", List.of("Nice."), Optional.of("salt it first."), 24, Optional.of(Strength.SHOWN)))
                .isEqualTo(new Proposal(Optional.empty(), "It cost meat. Next time: salt it first."));
    }
}
