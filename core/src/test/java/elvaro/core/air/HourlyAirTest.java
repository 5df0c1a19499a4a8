package elvaro.core.air;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.data.Offset.offset;

import elvaro.core.estimate.Estimates;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.LongStream;
import org.junit.jupiter.api.Test;

class HourlyAirTest {
    private static final Instant HUNG = Instant.parse("2026-01-06T08:00:00Z");
    private static final long HOUR = HUNG.getEpochSecond() / 3600;
    private static final Air SET = new Air(2, 0.80, 0.5);

    private static Climate climate(List<HourlyAir> recorded, int untilHour) {
        return HourlyAir.climate(recorded, HUNG, HUNG.plus(Duration.ofHours(untilHour)), SET, 0.05);
    }

    private static List<HourlyAir> hours(long from, long to, double celsius) {
        return LongStream.range(from, to)
                .mapToObj(hour -> new HourlyAir(HOUR + hour, celsius, 0.9, Double.NaN))
                .toList();
    }

    private static Air atHour(Climate climate, double hour) {
        return climate.at((hour + 0.5) / 24);
    }

    @Test
    void without_a_reading_the_air_is_what_is_set() {
        assertThat(climate(List.of(), 48).settledFrom()).isZero();
        assertThat(atHour(climate(List.of(), 48), 5)).isEqualTo(SET);
    }

    @Test
    void recorded_air_carries_on_as_it_was_and_stands_in_for_what_nobody_measured_before() {
        Climate climate = climate(hours(3, 10, 4), 48);
        assertThat(atHour(climate, 1).celsius()).isCloseTo(4, offset(1e-9));
        assertThat(atHour(climate, 5)).isEqualTo(new Air(4, 0.9, 0.5)); // nobody measured the speed
        assertThat(atHour(climate, 24 * 40).relativeHumidity()).isCloseTo(0.9, offset(1e-9));
    }

    @Test
    void a_few_hours_say_nothing_of_the_weeks_to_come() {
        assertThat(atHour(climate(hours(0, 5, 4), 48), 30)).isEqualTo(SET);
        assertThat(climate(hours(0, 5, 4), 48).doubt().humiditySd()).isEqualTo(0.05);
    }

    @Test
    void what_was_recorded_later_than_is_asked_for_is_not_used() {
        List<HourlyAir> warmer = new ArrayList<>(hours(0, 12, 4));
        warmer.addAll(hours(12, 30, 9));
        assertThat(atHour(climate(warmer, 12), 20).celsius()).isCloseTo(4, offset(1e-9));
    }

    /** A week at 2 °C and 72 % with a door left open for an hour a day: 14 °C and 95 %. */
    @Test
    void an_open_door_does_not_carry_on() {
        List<HourlyAir> week = LongStream.range(-120, 48)
                .mapToObj(hour -> hour % 24 == 0
                        ? new HourlyAir(HOUR + hour, 14, 0.95, 0.5)
                        : new HourlyAir(HOUR + hour, 2, 0.72, 0.5))
                .toList();
        Air carried = atHour(climate(week, 48), 24 * 30);
        assertThat(carried.celsius()).isCloseTo(2, offset(1e-9));
        assertThat(carried.relativeHumidity()).isCloseTo(0.72, offset(1e-9));
    }

    /** A probe set to 80 % reads 72 % and loses its humidity in every other hour. */
    @Test
    void a_humidity_that_fails_now_and_then_is_not_mixed_with_what_is_set() {
        List<HourlyAir> week = LongStream.range(-120, 48)
                .mapToObj(hour -> new HourlyAir(HOUR + hour, 2, hour % 2 == 0 ? Double.NaN : 0.72, 0.5))
                .toList();
        assertThat(atHour(climate(week, 48), 24 * 30).relativeHumidity()).isCloseTo(0.72, offset(1e-9));
    }

    /** The sensor's two points, and half of how far the days lie apart with a least of what the estimates say. */
    @Test
    void how_surely_the_air_is_known_goes_with_it() {
        Climate.AirDoubt doubt = climate(hours(-100, 48, 4), 48).doubt();
        assertThat(doubt.humiditySd()).isEqualTo(0.02);
        assertThat(doubt.recordedUntil()).isCloseTo(2, offset(1e-9));
        assertThat(doubt.changeSd()).isEqualTo(Estimates.HUMIDITY_CHANGE_SD);
    }

    @Test
    void a_silence_of_six_hours_is_bridged_and_a_longer_one_is_not() {
        List<HourlyAir> bridged = new ArrayList<>(hours(0, 2, 4));
        bridged.addAll(hours(7, 9, 4));
        assertThat(atHour(climate(bridged, 48), 4).celsius()).isEqualTo(4);
        List<HourlyAir> broken = new ArrayList<>(hours(0, 2, 4));
        broken.addAll(hours(8, 10, 4));
        assertThat(atHour(climate(broken, 48), 4)).isEqualTo(SET);
        assertThat(atHour(climate(broken, 48), 9).celsius()).isEqualTo(4);
    }

    @Test
    void a_warm_day_counts_by_the_hour_in_what_is_summed_over_time() {
        assertThat(climate(hours(0, 24, 6), 48).integral(2, Air::celsius)).isEqualTo(6 + 6, offset(1e-9));
    }

    @Test
    void a_probe_beyond_what_air_can_be_is_held_to_it() {
        Climate climate = climate(List.of(new HourlyAir(HOUR, 55, 1.0, 15)), 48);
        assertThat(atHour(climate, 0)).isEqualTo(new Air(40, 1, 10));
    }

    /** The humidity sensor failed for some hours of the past: it was as damp then as it is, not as it is set. */
    @Test
    void an_hour_of_the_past_without_humidity_had_that_of_the_others() {
        List<HourlyAir> recorded = new ArrayList<>();
        for (int hour = 0; hour < 48; hour++) {
            boolean failed = hour >= 10 && hour < 20;
            recorded.add(new HourlyAir(HOUR + hour, 2, failed ? Double.NaN : 0.72, 0.5));
        }
        assertThat(atHour(climate(recorded, 48), 15).relativeHumidity()).isCloseTo(0.72, offset(1e-9));
    }
}
