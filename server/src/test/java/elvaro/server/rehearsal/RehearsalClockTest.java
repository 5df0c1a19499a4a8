package elvaro.server.rehearsal;

import static org.assertj.core.api.Assertions.assertThat;

import elvaro.server.shared.HouseTime;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneOffset;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;

class RehearsalClockTest {
    private static final Instant HOUSE = Instant.parse("2026-12-24T10:00:00Z");
    private static final Instant SET = Instant.parse("2026-11-30T16:00:00Z");

    @AfterEach
    void backHome() {
        HouseTime.goAhead(null);
    }

    private static Instant after(Duration gone) {
        return Rehearsal.shown(HOUSE, SET, SET.plus(gone));
    }

    @Test
    void goes_on_while_somebody_is_at_work() {
        assertThat(after(Duration.ofMinutes(3))).isEqualTo(HOUSE.plus(Duration.ofMinutes(3)));
    }

    @Test
    void stands_while_nobody_is_however_long() {
        assertThat(after(Duration.ofDays(40))).isEqualTo(after(Duration.ofMinutes(15)));
    }

    /** The machine's clock was ahead when it was set, and was put right. */
    @Test
    void does_not_go_back_with_the_machines() {
        assertThat(after(Duration.ofHours(-2))).isEqualTo(HOUSE);
    }

    @Test
    void is_this_threads_alone_and_the_machines_is_still_told() throws InterruptedException {
        HouseTime time = new HouseTime(Clock.fixed(SET, ZoneOffset.UTC));
        HouseTime.goAhead(Duration.ofDays(24));
        assertThat(time.instant()).isEqualTo(SET.plus(Duration.ofDays(24)));
        assertThat(time.withZone(ZoneOffset.MAX).instant()).isEqualTo(time.instant());
        assertThat(time.ofTheMachine()).isEqualTo(SET);
        Instant[] elsewhere = new Instant[1];
        Thread other = new Thread(() -> elsewhere[0] = time.instant());
        other.start();
        other.join();
        assertThat(elsewhere[0]).isEqualTo(SET);
        HouseTime.goAhead(null);
        assertThat(time.instant()).isEqualTo(SET);
    }
}
