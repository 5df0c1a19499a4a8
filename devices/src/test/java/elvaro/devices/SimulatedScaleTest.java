package elvaro.devices;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

class SimulatedScaleTest {
    private final SimulatedScale scale = new SimulatedScale(5, 30_000, 7);

    @Test
    void the_pan_swings_and_comes_to_rest_at_what_was_laid_on_it() {
        scale.lay(4213);
        scale.after(0.2);
        assertThat(scale.moving()).isTrue();
        assertThat(Math.abs(scale.shown() - 4213)).isGreaterThan(100);
        scale.after(2);
        assertThat(scale.moving()).isFalse();
        assertThat(scale.shown()).isBetween(4205.0, 4220.0);
    }

    @Test
    void it_shows_whole_divisions() {
        scale.lay(1234);
        assertThat(IntStream.range(0, 50).mapToDouble(tick -> {
                    scale.after(0.2);
                    return scale.shown() % 5;
                }))
                .containsOnly(0.0);
    }

    @Test
    void its_zero_wanders_by_about_a_division_in_a_long_morning() {
        scale.after(3600 * 4);
        assertThat(Math.abs(scale.shown())).isLessThanOrEqualTo(20);
    }

    @Test
    void what_was_tared_shows_as_nothing() {
        scale.lay(850);
        scale.after(3);
        scale.tare();
        scale.lay(3850);
        scale.after(3);
        assertThat(scale.shown()).isBetween(2990.0, 3010.0);
    }

    @Test
    void above_its_capacity_and_nine_divisions_it_sends_no_weight() {
        scale.lay(30_045);
        assertThat(Scale.record(scale)).contains("\"u\":\"kg\"");
        scale.lay(30_050);
        assertThat(Scale.record(scale)).isEqualTo("[{\"n\":\"scale:overload\",\"vb\":true}]");
    }
}
