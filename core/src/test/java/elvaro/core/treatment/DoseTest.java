package elvaro.core.treatment;

import static elvaro.core.treatment.Dose.Basis.FIVE_POUNDS;
import static elvaro.core.treatment.Dose.Basis.KILOGRAM;
import static elvaro.core.treatment.Dose.Basis.PERCENT;
import static elvaro.core.treatment.Dose.Basis.SQUARE_METRE;
import static elvaro.core.treatment.DoseUnit.GRAM;
import static elvaro.core.treatment.DoseUnit.MILLILITRE;
import static elvaro.core.treatment.DoseUnit.TABLESPOON;
import static elvaro.core.treatment.DoseUnit.TEASPOON;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import elvaro.core.drying.Coating;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

class DoseTest {
    /** Worked by hand; pounds of 453.59237 g. */
    @ParameterizedTest(name = "{0} {1} {2} on {3} g and {4} m² is {5}")
    @CsvSource({
        "1, TEASPOON, FIVE_POUNDS, 3400, 0.1, 1.499144", // 3.4 kg is 7.49572 lb, a fifth of it
        "1, TEASPOON, FIVE_POUNDS, 2268, 0.1, 1.000017", // 5 lb of the trade's table, 2.268 kg
        "250, MILLILITRE, KILOGRAM, 3400, 0.1, 850",
        "1.5, GRAM, PERCENT, 3400, 0.1, 51",
        "300, GRAM, SQUARE_METRE, 3400, 0.122, 36.6",
    })
    void a_dose_is_scaled_to_the_piece(
            double amount, DoseUnit measure, Dose.Basis basis, int grams, double squareMetres, double whole) {
        assertThat(new Dose(amount, measure, basis).forPiece(grams, squareMetres))
                .isCloseTo(whole, within(1e-5));
    }

    /** A US gallon is 231 cubic inches of 2.54 cm, 768 teaspoons, 256 tablespoons. */
    @Test
    void spoons_are_parts_of_a_gallon() {
        double gallon = 231 * Math.pow(2.54, 3);
        assertThat(TEASPOON.convert(MILLILITRE, 768)).isCloseTo(gallon, within(1e-9));
        assertThat(TABLESPOON.convert(MILLILITRE, 256)).isCloseTo(gallon, within(1e-9));
        assertThat(MILLILITRE.convert(TEASPOON, 7.389)).isCloseTo(1.4991, within(1e-4));
    }

    @Test
    void a_teaspoon_for_five_pounds_is_seven_millilitres_on_three_point_four_kilograms() {
        double spoons = TreatmentKind.LIQUID_SMOKE.onLabel().orElseThrow().forPiece(3_400, 0.1);
        assertThat(TEASPOON.convert(MILLILITRE, spoons)).isCloseTo(7.389, within(0.001));
    }

    @Test
    void a_weight_is_not_turned_into_a_volume() {
        assertThatThrownBy(() -> GRAM.convert(TEASPOON, 5)).hasMessageContaining("g is not turned into tsp");
        assertThatThrownBy(() -> new Dose(5, TEASPOON, PERCENT)).hasMessageContaining("in grams");
        assertThatThrownBy(() -> new Dose(0, GRAM, KILOGRAM)).hasMessageContaining("above 0");
        assertThatThrownBy(() -> new Dose(101, GRAM, PERCENT)).hasMessageContaining("at most 100");
    }

    /** Three label doses for 5 lb are 14.787 mL: 6.52 mL a kilogram. */
    @Test
    void a_dose_is_told_in_times_of_the_label() {
        Dose label = TreatmentKind.LIQUID_SMOKE.onLabel().orElseThrow();
        assertThat(new Dose(6.52, MILLILITRE, KILOGRAM).times(label, 3_400, 0.1))
                .isCloseTo(3, within(0.001));
        assertThat(new Dose(74, MILLILITRE, SQUARE_METRE).times(label, 3_400, 0.1))
                .isCloseTo(1.0015, within(0.001));
        assertThat(new Dose(3, TEASPOON, FIVE_POUNDS).times(label, 900, 0.1)).isCloseTo(3, within(1e-9));
    }

    @ParameterizedTest
    @EnumSource
    void every_kind_says_what_to_do_in_order_and_what_to_look_for(TreatmentKind kind) {
        assertThat(kind.course().steps())
                .isNotEmpty()
                .isSortedAccordingTo((one, other) -> one.moment() == other.moment()
                        ? Integer.compare(one.day(), other.day())
                        : one.moment().compareTo(other.moment()));
        assertThat(kind.lookFor()).endsWith(".");
        assertThat(kind.nextTime()).endsWith(".");
        if (kind.coating() != Coating.NONE) {
            assertThat(kind.course().steps())
                    .as("what a coat weighs on and off")
                    .anyMatch(step -> step.words().matches("(?i).*weigh.*"));
        }
    }
}
