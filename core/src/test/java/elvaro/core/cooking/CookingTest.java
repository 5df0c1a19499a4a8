package elvaro.core.cooking;

import static elvaro.core.working.Units.PLAIN;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import elvaro.core.cooking.CookAlike.Heat;
import elvaro.core.cooking.CookAlike.Timing;
import elvaro.core.cut.Species;
import java.util.List;
import java.util.OptionalDouble;
import org.assertj.core.data.Percentage;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class CookingTest {

    /** Minutes in a bath of 55 °C from 5 °C: Baldwin's published tables, from memory, 10 %; the reference's own formula. */
    @ParameterizedTest
    @CsvSource({"10, 19, 19", "20, 50, 49", "25, 75, 69", "30, 90, 91", "40, 150, 144"})
    void a_slab_takes_as_long_as_published(int millimetres, double published, double formula) {
        double minutes = Slab.minutes(millimetres / 1000.0, 5, 55);
        assertThat(minutes).isCloseTo(published, Percentage.withPercentage(10));
        assertThat(minutes).isCloseTo(formula, within(0.5));
    }

    @Test
    void thick_and_thin_reach_the_core_together() {
        List<Timing> timings = CookAlike.timings(Heat.BATH, 55, List.of(25, 0, 38));
        assertThat(timings).extracting(Timing::sample).containsExactly(2, 0, 1);
        Timing thick = timings.get(0);
        Timing thin = timings.get(1);
        assertThat(thick.startAfter()).hasValue(0);
        assertThat(thin.startAfter().orElseThrow() + thin.minutes().orElseThrow())
                .isEqualTo(thick.minutes().orElseThrow());
        assertThat(timings.get(2).minutes()).isEqualTo(OptionalDouble.empty());
        assertThat(CookAlike.timings(Heat.PAN, 55, List.of(25, 38)))
                .as("over open heat only a thermometer tells, but the thick one goes first")
                .extracting(Timing::sample)
                .containsExactly(1, 0);
    }

    /** USDA FSIS, from memory. */
    @Test
    void a_core_below_official_advice_is_said_with_whom_it_is_never_for() {
        assertThat(LeastCore.caution(Species.BEEF, 63)).isEmpty();
        assertThat(PLAIN.sentence(LeastCore.caution(Species.BEEF, 55).orElseThrow()))
                .contains("63 °C", "three minutes' rest", "pregnant", "very young or old")
                .doesNotContain("safe");
        assertThat(LeastCore.caution(Species.WATERFOWL, 73)).isPresent();
    }
}
