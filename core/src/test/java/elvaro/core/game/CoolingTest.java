package elvaro.core.game;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import elvaro.core.game.Cooling.Core;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import org.junit.jupiter.api.Test;

class CoolingTest {
    private static final Instant SHOT = Instant.parse("2026-10-30T06:00:00Z");

    private static Core core(double hours, double celsius) {
        return new Core(SHOT.plusSeconds(Math.round(hours * 3600)), celsius);
    }

    private static double hours(Instant at) {
        return Duration.between(SHOT, at).toSeconds() / 3600.0;
    }

    @Test
    void a_core_was_cold_between_the_readings_on_either_side_whatever_order_they_came_in() {
        Cooling cooling = new Cooling(List.of(core(10, 5), core(1, 36), core(6, 13)));
        assertThat(hours(cooling.coldAt(7).orElseThrow())).isCloseTo(9, within(0.01));
        assertThat(cooling.expectedColdAt(7, 2)).as("it is cold already").isEmpty();
        assertThat(cooling.coldAt(4)).isEmpty();
        assertThat(hours(new Cooling(List.of(core(5, 6))).coldAt(7).orElseThrow()))
                .as("cold when it was first measured")
                .isEqualTo(5);
    }

    /** By hand: from 34 to 18 °C in 4 h in air of 2 °C halves the difference; 18 to 7 °C takes log2(16/5) = 1.678 times 4 h. */
    @Test
    void when_it_is_going_to_be_cold_follows_from_how_it_fell_so_far() {
        Cooling cooling = new Cooling(List.of(core(1, 34), core(5, 18)));
        assertThat(hours(cooling.expectedColdAt(7, 2).orElseThrow())).isCloseTo(11.71, within(0.01));
        assertThat(cooling.expectedColdAt(7, 8)).as("the air is too warm").isEmpty();
        assertThat(new Cooling(List.of(core(1, 34))).expectedColdAt(7, 2)).isEmpty();
        assertThat(new Cooling(List.of(core(1, 34), core(2, 34.5))).expectedColdAt(7, 2))
                .as("it grew warmer")
                .isEmpty();
        assertThat(new Cooling(List.of(core(1, 34), core(9, 33.9))).expectedColdAt(7, 2))
                .as("nothing is foretold for days ahead")
                .isEmpty();
        assertThat(new Cooling(List.of()).coldAt(7)).isEmpty();
    }

    /** Large game 7 °C, small game 4 °C: Regulation (EC) 853/2004, annex III, section IV, from memory. */
    @Test
    void large_game_is_cold_at_7_and_small_game_at_4_degrees() {
        assertThat(Animal.ROE_DEER.coldCelsius()).isEqualTo(7);
        assertThat(Animal.DUCK.coldCelsius()).isEqualTo(4);
    }
}
