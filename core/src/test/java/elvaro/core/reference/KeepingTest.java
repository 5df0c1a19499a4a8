package elvaro.core.reference;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import elvaro.core.air.Air;
import elvaro.core.air.Climate;
import elvaro.core.air.Climate.Reading;
import elvaro.core.cut.Species;
import elvaro.core.keeping.EquivalentDays;
import elvaro.core.keeping.Excursions;
import elvaro.core.keeping.Style;
import elvaro.core.keeping.Tenderness;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class KeepingTest {
    private static final Instant NIGHT = Instant.parse("2026-02-03T00:00:00Z");

    private static Climate at(double celsius) {
        return Climate.constant(new Air(celsius, 0.8, 0.5));
    }

    /**
     * Dransfield, in Lawrie's Meat Science, from memory: at 1 °C 80 % of the gain after 9.5 to 10 days for beef, 7.7 for
     * lamb, 4.2 for pork. The reference's rates give 9.47, 7.66 and 4.24 days.
     */
    @ParameterizedTest(name = "{0}: {1} days")
    @CsvSource({"BEEF, 9.47", "LAMB, 7.7", "PORK, 4.2", "VENISON, 9.47"})
    void four_fifths_of_the_tenderness_is_there_after_the_published_days(Species species, double days) {
        assertThat(Tenderness.done(species, at(1), days))
                .hasValueSatisfying(done -> assertThat(done).isCloseTo(0.8, within(0.003)));
    }

    /** Arrhenius with 60 kJ/mol, worked by hand: k(10 °C)/k(0 °C) = 2.54. */
    @Test
    void warmth_hastens_tenderness_by_arrhenius() {
        double ratio = Tenderness.perDay(Species.BEEF, 10).orElseThrow()
                / Tenderness.perDay(Species.BEEF, 0).orElseThrow();
        assertThat(ratio).isCloseTo(2.54, within(0.005));
    }

    @ParameterizedTest
    @CsvSource({"WATERFOWL", "SEA_FISH"})
    void nothing_is_said_of_the_tenderness_of_birds_and_fish(Species species) {
        assertThat(Tenderness.done(species, at(1), 10)).isEmpty();
    }

    /** Olley &amp; Ratkowsky 1973: relative rate 1, 2.25 and 4 at 0, 5 and 10 °C; nothing below −10 °C. */
    @ParameterizedTest(name = "{0} °C: {1}")
    @CsvSource({"0, 1", "5, 2.25", "10, 4", "-10, 0", "-20, 0", "2, 1.44"})
    void spoiling_goes_by_the_square_root_law(double celsius, double rate) {
        assertThat(EquivalentDays.relativeRate(celsius)).isCloseTo(rate, within(1e-9));
    }

    @Test
    void a_warm_day_among_cold_ones_ages_a_piece_by_its_own_rate() {
        Climate climate = Climate.of(List.of(
                new Reading(0, new Air(0, 0.8, 0.5)),
                new Reading(10, new Air(10, 0.8, 0.5)),
                new Reading(11, new Air(0, 0.8, 0.5))));
        assertThat(EquivalentDays.at(climate, 20)).isCloseTo(10 + 4 + 9, within(1e-9));
        assertThat(EquivalentDays.at(climate, 10.5)).isCloseTo(12, within(1e-9));
    }

    @ParameterizedTest(name = "day {0}: {1}")
    @CsvSource({
        "0, MILD",
        "14, MILD",
        "21, NUTTY",
        "28, NUTTY",
        "35, FULL",
        "45, FULL",
        "46, BLUE",
        "60, BLUE",
        "90, EXTREME"
    })
    void the_ladder_of_taste_is_the_trades(int day, Style style) {
        assertThat(Style.reached(Species.BEEF, day)).contains(style); // common practice, no source
    }

    @Test
    void only_beef_has_a_ladder() {
        assertThat(Style.reached(Species.PORK, 30)).isEmpty();
    }

    private static Excursions in(double... hourly) {
        return Excursions.find(IntStream.range(0, hourly.length)
                .mapToObj(hour -> new Excursions.TimedReading(NIGHT.plus(Duration.ofHours(hour)), hourly[hour]))
                .toList());
    }

    /** Cold holding at or below 5 °C: FDA Food Code 3-501.16, from memory. Degree-hours by hand: 2 + 4 + 1. */
    @Test
    void a_run_above_five_degrees_has_its_length_its_peak_and_its_degree_hours() {
        Excursions found = in(4, 5, 7, 9, 6, 5, 3);
        assertThat(found.warm()).hasSize(1);
        assertThat(found.warm().get(0).from()).isEqualTo(NIGHT.plus(Duration.ofHours(2)));
        assertThat(found.warm().get(0).to()).isEqualTo(NIGHT.plus(Duration.ofHours(5)));
        assertThat(found.warm().get(0).peakCelsius()).isEqualTo(9);
        assertThat(found.warm().get(0).degreeHours()).isCloseTo(7, within(1e-9));
    }

    @Test
    void two_runs_are_two_and_one_that_goes_on_is_one() {
        assertThat(in(6, 4, 6, 6).warm()).hasSize(2);
        assertThat(in(6, 6, 6).warm()).hasSize(1);
        assertThat(in(1, 2, 5).warm()).isEmpty();
    }

    @ParameterizedTest(name = "cold for {0} minutes between: {1}")
    @CsvSource({"1, 1", "14, 1", "15, 2", "40, 2"})
    void a_probe_that_wavers_about_the_limit_makes_one_excursion_not_many(int coldMinutes, int runs) {
        List<Excursions.TimedReading> readings = IntStream.range(0, 60)
                .mapToObj(minute -> new Excursions.TimedReading(
                        NIGHT.plus(Duration.ofMinutes(minute)), minute >= 10 && minute < 10 + coldMinutes ? 4.9 : 5.5))
                .toList();
        Excursions found = Excursions.find(readings);
        assertThat(found.warm()).hasSize(runs);
        assertThat(found.warm().stream()
                        .mapToDouble(Excursions.Warm::degreeHours)
                        .sum())
                .isCloseTo(0.5 * (59 - coldMinutes) / 60, within(1e-9));
    }

    @Test
    void six_hours_without_a_reading_are_no_gap_and_a_minute_more_is_one() {
        Instant six = NIGHT.plus(Duration.ofHours(6));
        assertThat(Excursions.find(List.of(new Excursions.TimedReading(NIGHT, 2), new Excursions.TimedReading(six, 2)))
                        .gaps())
                .isEmpty();
        Excursions silent = Excursions.find(List.of(
                new Excursions.TimedReading(NIGHT, 8), new Excursions.TimedReading(six.plus(Duration.ofHours(18)), 2)));
        assertThat(silent.gaps()).hasSize(1);
        assertThat(silent.warm().get(0).degreeHours())
                .as("nobody knows how long it stayed warm: six hours count")
                .isCloseTo(18, within(1e-9));
    }
}
