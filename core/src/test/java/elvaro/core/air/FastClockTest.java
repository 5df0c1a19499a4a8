package elvaro.core.air;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.Duration;
import java.time.Instant;
import org.junit.jupiter.api.Test;

class FastClockTest {
    private static final Instant NOW = Instant.parse("2026-02-01T12:00:00Z");
    private static final Duration TEN = Duration.ofMinutes(10);

    private static Duration ahead(Duration by, Duration known) {
        return FastClock.ahead(NOW.plus(by), NOW, known);
    }

    @Test
    void what_was_measured_after_it_arrived_is_put_back() {
        assertThat(ahead(TEN, Duration.ZERO)).isEqualTo(TEN);
        assertThat(ahead(Duration.ofSeconds(40), Duration.ZERO)).isZero();
    }

    @Test
    void a_pack_sent_again_a_while_later_is_put_back_by_the_same() {
        assertThat(ahead(TEN.minusSeconds(80), TEN)).isEqualTo(TEN);
        assertThat(ahead(TEN.minusMinutes(5), TEN)).isEqualTo(TEN);
    }

    @Test
    void a_pack_that_waited_is_put_back_by_what_is_known_of_the_clock() {
        assertThat(ahead(Duration.ofHours(-3), TEN)).isEqualTo(TEN);
    }

    @Test
    void a_clock_that_was_set_right_is_believed_again() {
        assertThat(ahead(Duration.ofSeconds(-5), TEN)).isZero();
        assertThat(ahead(Duration.ofMinutes(30), TEN)).isEqualTo(Duration.ofMinutes(30));
    }

    @Test
    void a_clock_that_is_a_day_fast_tells_nothing() {
        assertThatThrownBy(() -> ahead(Duration.ofDays(1), Duration.ZERO))
                .hasMessageContaining("the clock of the device is wrong");
    }
}
