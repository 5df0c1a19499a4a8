package elvaro.core.drying;

import static org.assertj.core.api.Assertions.assertThat;

import elvaro.core.air.Air;
import elvaro.core.working.Units;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class SetPointMissTest {
    private static final Air SET = new Air(2, 0.80, 0.5);

    private static String said(Air runs) {
        return new SetPointMiss(SET, runs).sentence().map(Units.PLAIN::sentence).orElse("");
    }

    /** The drive is (0.99 − 0.72)/(0.99 − 0.80) = 1.42 times as strong, and a crust takes some of that back. */
    @Test
    void a_chamber_drier_than_it_is_set_to_says_what_that_costs() {
        assertThat(said(new Air(2, 0.72, 0.5)))
                .startsWith("Runs at 72.0 % RH, set to 80.0 %: pieces lose 3")
                .endsWith("% more in four weeks.");
    }

    @Test
    void a_damper_one_dries_less() {
        assertThat(said(new Air(2, 0.86, 0.5))).contains("Runs at 86.0 % RH").contains("less in four weeks");
    }

    @Test
    void a_warmer_one_is_told_by_its_temperature() {
        assertThat(said(new Air(4, 0.80, 0.5))).startsWith("Runs at 4.0 °C, set to 2.0 °C: pieces lose");
    }

    @Test
    void one_that_misses_both_says_both() {
        assertThat(said(new Air(4, 0.72, 0.5))).startsWith("Runs at 72.0 % RH and 4.0 °C, set to 80.0 % and 2.0 °C:");
    }

    /** Sensors are off by two or three points. */
    @ParameterizedTest(name = "{0} °C, {1}")
    @CsvSource({"2, 0.80", "2.9, 0.80", "2, 0.78", "1.5, 0.825"})
    void what_no_sensor_tells_apart_is_not_said(double celsius, double humidity) {
        assertThat(said(new Air(celsius, humidity, 0.5))).isEmpty();
    }
}
