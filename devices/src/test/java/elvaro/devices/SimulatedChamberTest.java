package elvaro.devices;

import static org.assertj.core.api.Assertions.assertThat;

import elvaro.devices.SimulatedChamber.Fault;
import elvaro.devices.SimulatedChamber.Sample;
import java.util.List;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class SimulatedChamberTest {

    private static List<Sample> day(double minutes, Fault fault) {
        SimulatedChamber chamber = new SimulatedChamber(2, 80, 7);
        return IntStream.range(0, (int) (24 * 60 / minutes))
                .mapToObj(each -> chamber.after(minutes / 60, fault))
                .toList();
    }

    @ParameterizedTest(name = "one every {0} minutes")
    @ValueSource(doubles = {1, 10})
    void the_air_swings_about_what_is_set(double minutes) {
        List<Sample> day = day(minutes, Fault.NONE);
        assertThat(day.stream().mapToDouble(Sample::celsius).average().orElseThrow())
                .isBetween(1.4, 2.6);
        assertThat(day.stream().mapToDouble(Sample::humidity).average().orElseThrow())
                .isBetween(77.0, 84.0);
        assertThat(day).allSatisfy(sample -> assertThat(sample.celsius()).isBetween(1.0, 4.9));
        assertThat(day.stream().map(Sample::celsius).distinct().count()).isGreaterThan(50);
    }

    @Test
    void without_its_compressor_it_is_out_of_cold_holding_within_hours() {
        List<Sample> warm = day(1, Fault.WARMING).subList(0, 6 * 60);
        assertThat(warm.get(30).celsius()).isLessThan(5);
        assertThat(warm.get(warm.size() - 1).celsius()).isGreaterThan(5);
    }

    @Test
    void a_stuck_probe_says_the_same_for_ever() {
        assertThat(day(1, Fault.STUCK).stream().distinct()).hasSize(1);
    }

    @Test
    void the_same_seed_gives_the_same_air() {
        assertThat(day(1, Fault.NONE)).isEqualTo(day(1, Fault.NONE));
    }
}
