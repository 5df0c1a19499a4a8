package elvaro.core.cooking;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import elvaro.core.cooking.CookAlike.Sample;
import elvaro.core.cooking.CookAlike.Timing;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.api.RepeatedTest;
import org.junit.jupiter.api.RepetitionInfo;
import org.junit.jupiter.api.Test;

class CookingPropertiesTest {

    @RepeatedTest(30)
    void the_thicker_colder_or_nearer_to_the_bath_the_longer(RepetitionInfo turn) {
        Random random = new Random(turn.getCurrentRepetition());
        double thick = 0.01 + random.nextDouble() * 0.05;
        double start = random.nextDouble() * 15;
        double bath = 45 + random.nextDouble() * 30;
        double minutes = Slab.minutes(thick, start, bath);
        assertThat(Slab.minutes(thick * 1.05, start, bath)).isGreaterThan(minutes);
        assertThat(Slab.minutes(thick, start + 2, bath)).isLessThan(minutes);
        assertThat(Slab.minutes(thick, start, bath + 5)).isGreaterThan(minutes);
    }

    /** The thicker a slab, the less its film matters, until time goes with the square of the thickness. */
    @Test
    void twice_as_thick_takes_up_to_four_times_as_long() {
        double before = 0;
        for (double thick : new double[] {0.01, 0.02, 0.04, 0.08, 0.16}) {
            double ratio = Slab.minutes(2 * thick, 4, 60) / Slab.minutes(thick, 4, 60);
            assertThat(ratio).isBetween(Math.max(2, before), 4.0);
            before = ratio;
        }
    }

    /** Within half a degree already: no time at all. */
    @Test
    void what_is_warm_enough_is_done_at_once() {
        assertThat(Slab.minutes(0.03, 59.8, 60)).isCloseTo(0, within(0.5));
        assertThatThrownBy(() -> Slab.minutes(0.03, 60, 60)).isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> Slab.minutes(0, 5, 60)).isInstanceOf(IllegalArgumentException.class);
    }

    @RepeatedTest(20)
    void all_samples_of_a_bath_are_ready_at_one_moment(RepetitionInfo turn) {
        Random random = new Random(turn.getCurrentRepetition());
        List<Integer> thick = IntStream.range(0, 2 + random.nextInt(5))
                .mapToObj(each -> 15 + random.nextInt(40))
                .toList();
        List<Timing> timings = new CookAlike(
                        Heat.BATH, OptionalDouble.empty(), CookAlike.USUAL_START, 50 + random.nextInt(15))
                .timings(thick.stream()
                        .map(each -> new Sample(each, Optional.empty()))
                        .toList());
        double ready = timings.get(0).minutes().orElseThrow();
        assertThat(timings)
                .allSatisfy(timing -> assertThat(timing.startAfter().orElseThrow()
                                + timing.minutes().orElseThrow())
                        .isCloseTo(ready, within(1e-9)));
        assertThat(timings).extracting(Timing::sample).doesNotHaveDuplicates().hasSameSizeAs(thick);
        assertThat(timings.stream().map(timing -> thick.get(timing.sample())).toList())
                .as("the thickest first")
                .isSortedAccordingTo((one, other) -> other - one);
    }
}
