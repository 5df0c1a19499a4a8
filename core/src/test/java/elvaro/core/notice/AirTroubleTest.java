package elvaro.core.notice;

import static org.assertj.core.api.Assertions.assertThat;

import elvaro.core.air.HourlyAir;
import elvaro.core.keeping.Excursions.TimedReading;
import elvaro.core.notice.AirTrouble.Lately;
import elvaro.core.working.Units;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.function.IntToDoubleFunction;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Nested;
import org.junit.jupiter.api.Test;

class AirTroubleTest {
    private static final Instant NOW = Instant.parse("2026-11-28T03:00:00Z");
    private static final AirLimits LIMITS =
            AirLimits.of(2, Duration.ofMinutes(30), Duration.ofMinutes(60), OptionalDouble.of(0.80));

    /** One reading a minute, the last one now. */
    private static List<TimedReading> minutes(double... celsius) {
        List<TimedReading> readings = new ArrayList<>();
        for (int index = 0; index < celsius.length; index++) {
            readings.add(new TimedReading(NOW.minus(Duration.ofMinutes(celsius.length - 1 - index)), celsius[index]));
        }
        return readings;
    }

    private static double[] rising(int coldMinutes, int warmMinutes, double warm) {
        return IntStream.range(0, coldMinutes + warmMinutes)
                .mapToDouble(minute -> minute < coldMinutes ? 2.1 : warm)
                .toArray();
    }

    private static List<AirTrouble> of(List<TimedReading> readings, Set<NoticeKind> open) {
        return AirTrouble.of(new Lately(readings, List.of(), true), LIMITS, open, NOW);
    }

    @Nested
    class Warm {
        @Test
        void is_told_once_it_lasted_and_not_before() {
            assertThat(of(minutes(rising(60, 30, 9.2)), Set.of()))
                    .singleElement()
                    .matches(trouble -> !trouble.told());
            assertThat(of(minutes(rising(60, 31, 9.2)), Set.of()))
                    .singleElement()
                    .satisfies(trouble -> {
                        assertThat(trouble.told()).isTrue();
                        assertThat(trouble.kind()).isEqualTo(NoticeKind.WARM);
                        assertThat(Units.PLAIN.sentence(trouble.words()))
                                .isEqualTo("9.2 °C, above 5.0 °C for 30 minutes");
                    });
        }

        @Test
        void a_door_opened_and_shut_is_none() {
            double[] door = rising(50, 8, 11);
            double[] after = IntStream.range(0, 80)
                    .mapToDouble(minute -> minute < door.length ? door[minute] : 3)
                    .toArray();
            assertThat(of(minutes(after), Set.of())).isEmpty();
        }

        @Test
        void goes_on_until_it_was_cold_for_a_quarter_of_an_hour() {
            double[] mended = IntStream.range(0, 100)
                    .mapToDouble(minute -> minute < 50 ? 9 : minute < 90 ? 8 : 4)
                    .toArray();
            assertThat(of(minutes(mended), Set.of(NoticeKind.WARM)))
                    .singleElement()
                    .matches(trouble -> !trouble.told());
            double[] cold = IntStream.range(0, 110)
                    .mapToDouble(minute -> minute < 90 ? 8 : 4)
                    .toArray();
            assertThat(of(minutes(cold), Set.of(NoticeKind.WARM))).isEmpty();
        }

        @Test
        void a_probe_that_dies_in_the_warm_leaves_it_warm() {
            List<TimedReading> readings = minutes(rising(60, 5, 12)).stream()
                    .map(each -> new TimedReading(each.at().minus(Duration.ofMinutes(70)), each.celsius()))
                    .toList();
            assertThat(of(readings, Set.of()).stream().filter(AirTrouble::told).map(AirTrouble::kind))
                    .containsExactly(NoticeKind.WARM, NoticeKind.SILENT);
        }

        @Test
        void a_chamber_that_is_set_warmer_is_watched_from_what_it_is_set_to() {
            AirLimits limits = AirLimits.of(12, Duration.ofMinutes(30), Duration.ofMinutes(60), OptionalDouble.empty());
            Lately at13 = new Lately(minutes(rising(0, 90, 13)), List.of(), true);
            assertThat(AirTrouble.of(at13, limits, Set.of(), NOW)).isEmpty();
            Lately at15 = new Lately(minutes(rising(0, 90, 15)), List.of(), true);
            assertThat(AirTrouble.of(at15, limits, Set.of(), NOW)).hasSize(1);
        }
    }

    @Test
    void the_silence_of_what_no_probe_measures_means_nothing() {
        List<TimedReading> old = List.of(new TimedReading(NOW.minus(Duration.ofHours(5)), 2));
        assertThat(AirTrouble.of(new Lately(old, List.of(), false), LIMITS, Set.of(), NOW))
                .isEmpty();
        assertThat(AirTrouble.of(new Lately(old, List.of(), true), LIMITS, Set.of(), NOW))
                .singleElement()
                .satisfies(trouble -> assertThat(Units.PLAIN.sentence(trouble.words()))
                        .isEqualTo("no word from its probe for 5 hours, 2.0 °C at last"));
    }

    @Nested
    class Hours {
        /** @param humidity by how many hours ago, 0–1 */
        private List<AirTrouble> of(IntToDoubleFunction humidity, Set<NoticeKind> open) {
            long last = NOW.getEpochSecond() / 3600;
            List<HourlyAir> hours = IntStream.rangeClosed(0, 15 * 24)
                    .mapToObj(index -> 15 * 24 - index)
                    .map(ago -> new HourlyAir(last - ago, 2, humidity.applyAsDouble(ago), Double.NaN))
                    .toList();
            return AirTrouble.of(new Lately(List.of(), hours, true), LIMITS, open, NOW);
        }

        @Test
        void humidity_that_is_off_by_ten_points_for_six_hours_is_told_and_by_nine_is_not() {
            assertThat(of(ago -> ago < 6 ? 0.91 : 0.82, Set.of()))
                    .extracting(AirTrouble::kind)
                    .containsExactly(NoticeKind.HUMIDITY);
            assertThat(of(ago -> ago < 6 ? 0.89 : 0.82, Set.of())).isEmpty();
            assertThat(of(ago -> ago < 3 ? 0.91 : 0.82, Set.of())).isEmpty();
        }

        @Test
        void what_was_told_goes_on_a_little_longer_so_that_it_is_not_told_twice() {
            assertThat(of(ago -> ago < 6 ? 0.89 : 0.82, Set.of(NoticeKind.HUMIDITY)))
                    .hasSize(1);
        }

        @Test
        void drying_that_left_the_fortnight_before_is_told() {
            assertThat(of(ago -> ago < 24 ? 0.72 : 0.82, Set.of()))
                    .singleElement()
                    .satisfies(trouble -> {
                        assertThat(trouble.kind()).isEqualTo(NoticeKind.DRYING);
                        assertThat(Units.PLAIN.sentence(trouble.words()))
                                .contains("faster than in the fortnight before");
                    });
            assertThat(of(ago -> ago < 24 ? 0.80 : 0.82, Set.of())).isEmpty();
        }

        @Test
        void hours_without_humidity_say_nothing_of_it() {
            assertThat(of(ago -> Double.NaN, Set.of())).isEmpty();
        }
    }
}
