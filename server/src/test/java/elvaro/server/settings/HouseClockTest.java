package elvaro.server.settings;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.List;
import org.junit.jupiter.api.Test;

/** A house that moved from Oslo, UTC+1 in January, to New York, UTC−5, on the tenth at noon. */
class HouseClockTest {
    private static final HouseClock MOVED = new HouseClock(ZoneId.of("Europe/Oslo"))
            .goingBy(ZoneId.of("America/New_York"), Instant.parse("2026-01-10T12:00:00Z"));

    @Test
    void what_is_past_keeps_its_day_and_what_comes_goes_by_the_new_zone() {
        assertThat(MOVED.day(Instant.parse("2026-01-08T23:30:00Z"))).isEqualTo("2026-01-09");
        assertThat(MOVED.day(Instant.parse("2026-01-11T03:00:00Z"))).isEqualTo("2026-01-10");
        assertThat(MOVED.start(LocalDate.of(2026, 1, 9))).isEqualTo("2026-01-08T23:00:00Z");
        assertThat(MOVED.start(LocalDate.of(2026, 1, 11))).isEqualTo("2026-01-11T05:00:00Z");
        assertThat(MOVED.at(LocalDate.of(2026, 1, 10), LocalTime.of(8, 0))).isEqualTo("2026-01-10T07:00:00Z");
    }

    @Test
    void all_it_went_by_comes_back_from_its_column() {
        HouseClock again = MOVED.goingBy(ZoneId.of("UTC"), Instant.parse("2026-02-01T00:00:00Z"));
        ZonesBefore column = new ZonesBefore();
        assertThat(column.convertToEntityAttribute(column.convertToDatabaseColumn(again.before())))
                .isEqualTo(again.before())
                .hasSize(2);
        assertThat(column.convertToEntityAttribute("")).isEqualTo(List.of());
    }
}
