package elvaro.core.air;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import elvaro.core.air.AirQuantity.AirMeasure;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class AirQuantityTest {
    /** 32 °F are 0 °C and 212 °F 100 °C by definition; 273.15 K are 0 °C. */
    @ParameterizedTest
    @CsvSource({
        "t, Cel, 2.1, TEMPERATURE, 2.1",
        "t, K, 273.15, TEMPERATURE, 0",
        "t, degF, 32, TEMPERATURE, 0",
        "x, degF, 212, TEMPERATURE, 100",
        "temperature, C, 2.1, TEMPERATURE, 2.1",
        "temperature, F, 32, TEMPERATURE, 0",
        "x, %RH, 81, HUMIDITY, 81",
        "urn:dev:ow:10e2073a:humidity, %, 81, HUMIDITY, 81",
        "urn:dev:ow:10e2073a:humidity, /, 0.81, HUMIDITY, 81",
        "fridge/temperature, '', 2.1, TEMPERATURE, 2.1",
        "fridge/rh, '', 81, HUMIDITY, 81",
        "fan_speed, m/s, 0.5, SPEED, 0.5",
        "wind, km/h, 3.6, SPEED, 1"
    })
    void a_record_is_air_by_its_unit_or_by_its_name(
            String name, String unit, double value, AirMeasure measure, double told) {
        AirQuantity air = AirQuantity.of(name, unit, value).orElseThrow();
        assertThat(air.measure()).isEqualTo(measure);
        assertThat(air.value()).isCloseTo(told, within(1e-9));
    }

    @Test
    void what_measures_something_else_is_no_air_and_no_fault() {
        assertThat(AirQuantity.of("battery", "%EL", 80)).isEmpty();
        assertThat(AirQuantity.of("signal", "dBm", -70)).isEmpty();
    }

    @ParameterizedTest
    @CsvSource({"battery, %, 80", "value, '', 2.1", "t, furlong, 3", "temperature, %, 3"})
    void what_nobody_can_tell_is_refused_with_a_word(String name, String unit, double value) {
        assertThatThrownBy(() -> AirQuantity.of(name, unit, value))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining("say Cel, K, degF, %RH or m/s");
    }
}
