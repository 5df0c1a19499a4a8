package elvaro.core.cooking;

import static elvaro.core.working.Units.PLAIN;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import elvaro.core.caution.Caution;
import elvaro.core.cooking.CookAlike.Probe;
import elvaro.core.cooking.CookAlike.Sample;
import elvaro.core.cooking.CookAlike.Timing;
import elvaro.core.cut.Species;
import java.util.List;
import java.util.Optional;
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
        List<Timing> timings = timings(Heat.BATH, OptionalDouble.empty(), sample(25), sample(0), sample(38));
        assertThat(timings).extracting(Timing::sample).containsExactly(2, 0, 1);
        Timing thick = timings.get(0);
        Timing thin = timings.get(1);
        assertThat(thick.startAfter()).hasValue(0);
        assertThat(thin.startAfter().orElseThrow() + thin.minutes().orElseThrow())
                .isEqualTo(thick.minutes().orElseThrow());
        assertThat(timings.get(2).minutes()).isEqualTo(OptionalDouble.empty());
    }

    private static Sample sample(int mm) {
        return new Sample(mm, Optional.empty());
    }

    private static List<Timing> timings(Heat heat, OptionalDouble fire, Sample... samples) {
        return new CookAlike(heat, fire, CookAlike.USUAL_START, 55).timings(List.of(samples));
    }

    /** Common practice, no source: what cooks say of a steak from the refrigerator, medium rare. */
    @ParameterizedTest(name = "{0} mm, {1} at {2} °C: {3} to {4} minutes")
    @CsvSource({"25, GRILL, 250, 8, 10", "25, PAN, 200, 8, 10", "30, OVEN, 175, 16, 22", "30, OVEN, 120, 25, 33"})
    void by_open_fire_it_takes_about_as_long_as_cooks_say(int mm, Heat heat, double fire, double least, double most) {
        Timing timing = timings(heat, OptionalDouble.of(fire), sample(mm)).get(0);
        assertThat(timing.minutes().orElseThrow()).isBetween(least, most);
        assertThat(timing.least().orElseThrow()).isLessThan(timing.minutes().orElseThrow());
    }

    @Test
    void a_thinner_aged_steak_starts_later_and_the_first_probe_puts_all_right() {
        List<Timing> said = timings(Heat.GRILL, OptionalDouble.empty(), sample(38), sample(30));
        assertThat(said.get(1).sample()).isOne();
        assertThat(said.get(1).startAfter().orElseThrow()).isGreaterThan(3);
        double half = new Slab(0.038, CookAlike.USUAL_START, 250, 40).minutes(30);
        List<Timing> slow = timings(
                Heat.GRILL, OptionalDouble.empty(), new Sample(38, Optional.of(new Probe(half * 1.5, 30))), sample(30));
        assertThat(slow).allMatch(Timing::probed);
        for (int each = 0; each < 2; each++) {
            assertThat(slow.get(each).minutes().orElseThrow())
                    .as("half as long again")
                    .isCloseTo(said.get(each).minutes().orElseThrow() * 1.5, within(1e-6));
        }
        double band = slow.get(0).most().orElseThrow() - slow.get(0).least().orElseThrow();
        assertThat(band)
                .isLessThan(
                        said.get(0).most().orElseThrow() - said.get(0).least().orElseThrow());
        assertThat(timings(Heat.GRILL, OptionalDouble.empty(), new Sample(38, Optional.of(new Probe(1, 5))))
                        .get(0)
                        .probed())
                .as("the first degree says nothing")
                .isFalse();
    }

    /** USDA FSIS, from memory. */
    @Test
    void a_core_below_official_advice_is_said_with_whom_it_is_never_for() {
        assertThat(LeastCore.caution(Species.BEEF, 63)).isEmpty();
        assertThat(PLAIN.sentence(LeastCore.caution(Species.BEEF, 55).orElseThrow()))
                .contains("63 °C", "three minutes' rest", "pregnant", "very young or old")
                .doesNotContain("safe", Caution.LAW);
        assertThat(LeastCore.ABOUT_THIS_TABLE).endsWith(Caution.LAW);
        assertThat(LeastCore.caution(Species.WATERFOWL, 73)).isPresent();
    }
}
