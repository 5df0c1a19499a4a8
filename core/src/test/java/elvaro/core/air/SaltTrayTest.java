package elvaro.core.air;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class SaltTrayTest {

    /** Straight lines between Greenspan's values at 0, 5 and 10 °C, and the end values beyond; by hand. */
    @ParameterizedTest(name = "{0} °C: {1}")
    @CsvSource({"-3, 0.7551", "2.5, 0.7558", "7.5, 0.7566", "15, 0.7567"})
    void the_salts_humidity_runs_straight_between_the_published_points(double celsius, double humidity) {
        assertThat(SaturatedSalt.relativeHumidity(celsius)).isCloseTo(humidity, within(1e-9));
    }

    /** Reference section 2, by hand: 0.65 + 0.6 · (0.7551 − 0.65) at 0 °C. */
    @Test
    void a_tray_draws_the_air_six_tenths_of_the_way() {
        assertThat(new Air(0, 0.65, 0.1).overSaltTray().relativeHumidity()).isCloseTo(0.71306, within(1e-9));
    }

    @Test
    void air_as_damp_as_the_salt_stays_as_it_is() {
        Air air = new Air(5, 0.7565, 0.1);
        assertThat(air.overSaltTray().relativeHumidity()).isCloseTo(0.7565, within(1e-12));
        assertThat(air.overSaltTray().celsius()).isEqualTo(5);
    }

    @ParameterizedTest
    @CsvSource({"0", "-5", "NaN"})
    void a_dew_point_needs_vapour(double pascal) {
        assertThatThrownBy(() -> Vapour.dewPointCelsius(pascal)).hasMessageContaining("above 0 Pa");
    }

    @ParameterizedTest
    @CsvSource({"-41", "51", "NaN"})
    void outside_its_range_the_vapour_formula_says_so(double celsius) {
        assertThatThrownBy(() -> Vapour.saturationPascal(celsius)).hasMessageContaining("holds from −40 to 50 °C");
    }
}
