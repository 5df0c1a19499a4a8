package elvaro.core.air;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import elvaro.core.air.Climate.Reading;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import java.util.stream.LongStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.MethodSource;

class ClimateTest {
    private static Air degrees(double celsius) {
        return new Air(celsius, 0.8, 0.5);
    }

    private static Climate random(Random random) {
        List<Reading> readings = new ArrayList<>();
        double day = -random.nextDouble() * 3;
        for (int index = 0; index < 40; index++) {
            readings.add(new Reading(day, degrees(random.nextDouble() * 6)));
            day += 0.01 + random.nextDouble() * 0.9;
        }
        return Climate.of(readings);
    }

    static LongStream seeds() {
        return LongStream.range(1, 61);
    }

    @ParameterizedTest(name = "day {0}: {1} °C")
    @CsvSource({"-2, 1", "0, 1", "1.99, 1", "2, 5", "4.5, 5", "5, 3", "400, 3"})
    void an_air_holds_from_its_day_until_the_next_ones(double day, double celsius) {
        Climate climate = Climate.of(
                List.of(new Reading(-1, degrees(1)), new Reading(2, degrees(5)), new Reading(5, degrees(3))));
        assertThat(climate.at(day).celsius()).isEqualTo(celsius);
        assertThat(climate.last().celsius()).isEqualTo(3);
        assertThat(climate.settledFrom()).isEqualTo(5);
    }

    @ParameterizedTest(name = "seed {0}")
    @MethodSource("seeds")
    void means_over_equal_steps_add_up_to_the_integral(long seed) {
        Climate climate = random(new Random(seed));
        double[] means = climate.means(0.25, Air::celsius);
        double end = (means.length - 1) * 0.25;
        double sum = Arrays.stream(means, 0, means.length - 1).sum() * 0.25;
        assertThat(sum).isCloseTo(climate.integral(end, Air::celsius), within(1e-9));
        assertThat(means[means.length - 1]).isEqualTo(climate.last().celsius());
    }

    @ParameterizedTest(name = "seed {0}")
    @MethodSource("seeds")
    void the_integral_grows_by_what_lies_between(long seed) {
        Random random = new Random(seed);
        Climate climate = random(random);
        double first = random.nextDouble() * 20;
        double second = first + random.nextDouble() * 20;
        double between = climate.integral(second, Air::celsius) - climate.integral(first, Air::celsius);
        double steps = 0;
        int count = 20_000;
        for (int step = 0; step < count; step++) {
            steps += climate.at(first + (step + 0.5) * (second - first) / count).celsius() * (second - first) / count;
        }
        assertThat(between).isCloseTo(steps, within(0.01));
    }

    @Test
    void steady_air_has_one_mean() {
        assertThat(Climate.constant(degrees(2)).means(0.25, Air::celsius)).containsExactly(2);
    }

    @Test
    void what_was_recorded_stays_and_the_set_point_follows() {
        Climate climate = Climate.of(List.of(new Reading(0, degrees(4)), new Reading(3, degrees(6))))
                .then(2, degrees(1));
        assertThat(climate.at(1.9).celsius()).isEqualTo(4);
        assertThat(climate.at(3.5).celsius()).isEqualTo(1);
    }

    @ParameterizedTest(name = "seed {0}")
    @MethodSource("seeds")
    void a_piece_that_is_moved_has_the_one_air_until_that_day_and_the_other_from_then_on(long seed) {
        Random random = new Random(seed);
        Climate before = random(random);
        Climate after = random(random);
        double moved = random.nextDouble() * 25;
        Climate joint = before.then(moved, after);
        double end = moved + random.nextDouble() * 10;
        double apart = before.integral(moved, Air::celsius)
                + after.integral(end, Air::celsius)
                - after.integral(moved, Air::celsius);
        assertThat(joint.integral(end, Air::celsius)).isCloseTo(apart, within(1e-9));
        assertThat(joint.at(moved)).isEqualTo(after.at(moved));
        assertThat(joint.last()).isEqualTo(after.last());
    }

    @Test
    void readings_out_of_order_or_none_at_all_are_refused() {
        assertThatThrownBy(() -> Climate.of(List.of())).hasMessageContaining("needs air");
        assertThatThrownBy(() -> Climate.of(List.of(new Reading(2, degrees(1)), new Reading(2, degrees(3)))))
                .hasMessageContaining("follow one another");
    }

    /** Common practice, no source: a chamber is 0 to 4 °C; a household refrigerator is drier and stiller than one. */
    @ParameterizedTest
    @EnumSource(ChamberKind.class)
    void every_kind_of_chamber_has_a_usual_air_that_is_cold(ChamberKind kind) {
        assertThat(kind.usualAir().celsius()).isBetween(0.0, 4.0);
        assertThat(ChamberKind.REFRIGERATOR.usualAir().relativeHumidity())
                .isLessThanOrEqualTo(kind.usualAir().relativeHumidity());
        assertThat(ChamberKind.REFRIGERATOR.usualAir().metresPerSecond())
                .isLessThanOrEqualTo(kind.usualAir().metresPerSecond());
    }
}
