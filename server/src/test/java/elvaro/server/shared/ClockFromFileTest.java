package elvaro.server.shared;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.temporal.ChronoUnit;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class ClockFromFileTest {
    @Test
    void it_goes_ahead_by_what_the_file_says_now_in_any_zone(@TempDir Path folder) throws IOException {
        Path file = Files.writeString(folder.resolve("ahead"), "PT0S");
        Clock clock = new ClockFromFile(file);
        Clock here = clock.withZone(ZoneId.of("Europe/Berlin"));
        assertThat(clock.instant()).isCloseTo(Instant.now(), within(2, ChronoUnit.SECONDS));
        Files.writeString(file, "P38D\n");
        assertThat(clock.instant()).isCloseTo(Instant.now().plus(38, ChronoUnit.DAYS), within(2, ChronoUnit.SECONDS));
        assertThat(LocalDate.now(here))
                .isEqualTo(LocalDate.now(ZoneId.of("Europe/Berlin")).plusDays(38));
    }

    @Test
    void a_file_that_is_gone_stops_it_and_does_not_fall_back_to_the_machines_time(@TempDir Path folder) {
        assertThatThrownBy(() -> new ClockFromFile(folder.resolve("gone")).instant())
                .isInstanceOf(IllegalStateException.class);
    }
}
