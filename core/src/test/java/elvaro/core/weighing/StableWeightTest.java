package elvaro.core.weighing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import elvaro.core.weighing.StableWeight.Figure;
import elvaro.core.weighing.StableWeight.Shown;
import java.time.Instant;
import org.junit.jupiter.api.Test;

class StableWeightTest {
    private static final int DIVISION = 5;

    private Instant now = Instant.parse("2026-02-01T09:00:00Z");
    private StableWeight scale = StableWeight.begin();

    private Shown figure(double grams) {
        now = now.plusMillis(200);
        scale = scale.with(new Figure(now, grams, false), DIVISION);
        return scale.shown(DIVISION);
    }

    /** The same figure for a second and a bit. */
    private Shown rest(double grams) {
        for (int index = 0; index < 5; index++) {
            figure(grams);
        }
        return figure(grams);
    }

    @Test
    void a_figure_is_steady_once_it_agreed_within_a_division_for_a_second() {
        figure(3000);
        figure(4300);
        for (int index = 0; index < 5; index++) {
            assertThat(figure(4215 + index % 2 * 5).steady()).isFalse();
        }
        assertThat(figure(4215)).isEqualTo(new Shown(4215, true, false, false, 1, 0));
        assertThat(figure(4240).steady()).isFalse();
    }

    @Test
    void two_figures_far_apart_do_not_make_a_rest() {
        figure(4215);
        now = now.plusSeconds(10);
        assertThat(figure(4215).steady()).isFalse();
    }

    @Test
    void another_piece_is_another_laying_and_the_same_piece_is_not() {
        assertThat(rest(4215).laying()).isEqualTo(1);
        assertThat(rest(4220).laying()).isEqualTo(1);
        rest(0);
        assertThat(rest(4220).laying()).isEqualTo(2);
        assertThat(rest(6100).laying()).isEqualTo(3);
        figure(8); // lifted and laid back without a rest at zero
        assertThat(rest(6100).laying()).isEqualTo(4);
    }

    @Test
    void the_tare_is_taken_off_and_the_container_alone_is_nothing_laid() {
        assertThat(rest(850).laying()).isEqualTo(1);
        scale = scale.tared(now, DIVISION);
        assertThat(scale.shown(DIVISION)).isEqualTo(new Shown(0, true, true, false, 1, 850));
        assertThat(rest(3850)).isEqualTo(new Shown(3000, true, false, false, 2, 850));
        assertThat(rest(0)).isEqualTo(new Shown(-850, true, true, false, 2, 850));
    }

    @Test
    void a_scale_that_moves_or_is_silent_is_not_tared() {
        figure(850);
        assertThatThrownBy(() -> scale.tared(now, DIVISION)).hasMessageContaining("not at rest");
        rest(850);
        assertThatThrownBy(() -> scale.tared(now.plusSeconds(4), DIVISION)).hasMessageContaining("not at rest");
    }

    @Test
    void an_overloaded_scale_shows_no_weight_to_keep() {
        rest(4215);
        now = now.plusMillis(200);
        scale = scale.with(new Figure(now, 0, true), DIVISION);
        assertThat(scale.shown(DIVISION).overloaded()).isTrue();
        assertThat(figure(4215).steady()).isFalse();
        assertThat(rest(4215)).isEqualTo(new Shown(4215, true, false, false, 2, 0));
    }

    @Test
    void a_figure_that_comes_late_is_passed_over() {
        rest(4215);
        StableWeight late = scale.with(new Figure(now.minusMillis(300), 9000, false), DIVISION);
        assertThat(late.shown(DIVISION).grams()).isEqualTo(4215);
    }
}
