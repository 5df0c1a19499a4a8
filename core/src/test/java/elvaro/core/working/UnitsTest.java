package elvaro.core.working;

import static org.assertj.core.api.Assertions.assertThat;

import elvaro.core.working.Units.Mass;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class UnitsTest {
    /** Worked by hand with the pound of 453.59237 g; the screen's own test has the same figures. */
    @ParameterizedTest(name = "{1} g in {0} are {2}")
    @CsvSource({
        "KILOGRAM, 8400, 8.400 kg",
        "KILOGRAM, -50, -0.050 kg",
        "GRAM, 8400, 8400 g",
        "POUND, 8400, 18.52 lb",
        "POUND_AND_OUNCE, 8400, 18 lb 8.3 oz",
        "POUND_AND_OUNCE, 453, 1 lb 0.0 oz",
        "POUND_AND_OUNCE, -1000, -2 lb 3.3 oz"
    })
    void a_weight_is_written_as_its_reader_weighs(Mass mass, long grams, String written) {
        assertThat(new Units(mass, false, false).weight(grams)).isEqualTo(written);
    }

    @ParameterizedTest
    @ValueSource(strings = {"2.5 g", "99999999999999999999 g", "1.2.3 mm", ". mm", "2..3 °C", "... °C"})
    void what_people_typed_and_is_no_number_stays_as_it_is(String typed) {
        assertThat(new Units(Mass.POUND, true, true).sentence("Kept: " + typed + "."))
                .isEqualTo("Kept: " + typed + ".");
    }

    @Test
    void a_sentence_and_a_price_follow_the_reader() {
        Units there = new Units(Mass.POUND, true, true);
        Units here = new Units(Mass.KILOGRAM, false, false);
        String said = "Of 1000 g, 4 % in 22.5 mm at 4 °C; 22 goats.";
        assertThat(there.sentence(said)).isEqualTo("Of 2.20 lb, 4 % in 0.9 in at 39.2 °F; 22 goats.");
        assertThat(here.sentence(said)).isEqualTo("Of 1.000 kg, 4 % in 22.5 mm at 4.0 °C; 22 goats.");
        assertThat(there.price(1000)).isEqualTo(453.59237);
        assertThat(here.price(1000)).isEqualTo(1000);
        assertThat(there.priced() + there.thickness(25.4)).isEqualTo("lb1.00 in");
        assertThat(here.priced() + here.thickness(25.4)).isEqualTo("kg25.4 mm");
    }
}
