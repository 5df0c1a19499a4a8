package elvaro.core.ledger;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import elvaro.core.ledger.LogFact.LogFactKind;
import elvaro.core.ledger.PieceLog.NetWeight;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.UUID;
import java.util.stream.LongStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** What a weighing says about the water, whatever coat was on and whatever slices were taken. */
class WaterByLogTest {
    private static final Instant HUNG = Instant.parse("2026-01-05T08:00:00Z");

    private static LogFact fact(LogFactKind kind, int day, int grams) {
        return new LogFact(UUID.randomUUID(), null, kind, HUNG.plus(Duration.ofDays(day)), grams, null);
    }

    private static List<Double> lost(int green, LogFact... facts) {
        PieceLog log = PieceLog.of(green, List.of(facts));
        return log.weighings().stream().map(log::lostBy).toList();
    }

    @Test
    void a_slice_counts_from_the_day_it_was_taken_and_not_before() {
        assertThat(lost(
                        5000,
                        fact(LogFactKind.WEIGHED, 7, 4800),
                        fact(LogFactKind.WITHDRAWN, 10, 300),
                        fact(LogFactKind.WEIGHED, 14, 4400)))
                .containsExactly(0.04, 0.06);
    }

    @Test
    void a_coat_is_no_meat_and_no_water() {
        assertThat(lost(
                        5000,
                        fact(LogFactKind.COAT_ON, 0, 400),
                        fact(LogFactKind.WEIGHED, 7, 5300),
                        fact(LogFactKind.COAT_OFF, 8, 380),
                        fact(LogFactKind.WEIGHED, 9, 4850)))
                .containsExactly(0.02, 0.03);
    }

    @Test
    void a_piece_weighed_too_heavy_has_lost_less_than_nothing() {
        assertThat(lost(5000, fact(LogFactKind.WEIGHED, 1, 5020))).containsExactly(-0.004);
    }

    static LongStream seeds() {
        return LongStream.range(1, 101);
    }

    @ParameterizedTest(name = "seed {0}")
    @MethodSource("seeds")
    void at_the_pull_the_water_of_the_log_is_the_shrink_of_the_ledger(long seed) {
        Random random = new Random(seed);
        int green = 3000 + random.nextInt(6000);
        List<LogFact> facts = new ArrayList<>();
        int weight = green;
        for (int day = 1; day < 25; day += 1 + random.nextInt(6)) {
            weight -= random.nextInt(60);
            facts.add(fact(LogFactKind.WEIGHED, day, weight));
            if (random.nextInt(4) == 0) {
                int slice = 50 + random.nextInt(200);
                facts.add(fact(LogFactKind.WITHDRAWN, day + 1, slice));
                weight -= slice;
            }
        }
        facts.add(fact(LogFactKind.PULLED, 30, weight - 20));
        PieceLog log = PieceLog.of(green, facts);
        NetWeight pulled = log.weighings().get(log.weighings().size() - 1);
        assertThat(log.lostBy(pulled)).isCloseTo(log.ledger().shrinkFraction(), within(1e-12));
    }
}
