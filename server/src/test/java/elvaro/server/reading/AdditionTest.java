package elvaro.server.reading;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Random;
import java.util.TreeMap;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.RepeatedTest;
import org.junit.jupiter.api.RepetitionInfo;
import org.junit.jupiter.api.Test;

class AdditionTest {
    /** Beside a map from each second to what was said of it first: slow, and plainly right. */
    @RepeatedTest(20)
    void what_is_known_stays_and_what_comes_is_told_apart(RepetitionInfo seed) {
        Random random = new Random(seed.getCurrentRepetition());
        List<AirReading> known = AirReading.bySecond(some(random));
        List<AirReading> coming = some(random);
        Addition addition = new Addition();
        addition.add(known, AirReading.bySecond(coming));

        TreeMap<Long, AirReading> expected = new TreeMap<>();
        Stream.concat(known.stream(), coming.stream())
                .forEach(reading -> expected.merge(reading.second(), reading, AirReading::and));
        assertThat(addition.whole()).containsExactlyElementsOf(expected.values());
        List<Long> before = known.stream().map(AirReading::second).toList();
        assertThat(addition.fresh())
                .containsExactlyElementsOf(expected.values().stream()
                        .filter(reading -> !before.contains(reading.second()))
                        .toList());
        assertThat(addition.completed())
                .containsExactlyElementsOf(expected.values().stream()
                        .filter(reading -> before.contains(reading.second()) && !known.contains(reading))
                        .toList());
    }

    private static List<AirReading> some(Random random) {
        return IntStream.range(0, random.nextInt(60))
                .mapToObj(index -> new AirReading(
                        random.nextInt(80),
                        random.nextBoolean() ? null : (double) random.nextInt(10),
                        random.nextBoolean() ? null : (double) random.nextInt(10),
                        null))
                .toList();
    }

    @Test
    void an_hour_is_told_by_its_least_mean_and_most_and_by_its_temperatures() {
        assertThat(AirHour.of(List.of(
                        new AirReading(3_599, 9.0, null, null),
                        new AirReading(3_600, null, 80.0, null),
                        new AirReading(3_660, 1.5, 82.0, 0.4),
                        new AirReading(3_720, 2.5, null, 0.6))))
                .containsExactly(
                        new AirHour(0, 1, 3_599L, 3_599L, new AirHour.Range(900, 900, 900), null, null),
                        new AirHour(
                                1,
                                3,
                                3_660L,
                                3_720L,
                                new AirHour.Range(200, 150, 250),
                                new AirHour.Range(8_100, 8_000, 8_200),
                                50.0));
    }
}
