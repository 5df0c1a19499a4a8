package elvaro.core.ledger;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import elvaro.core.ledger.LogFact.LogFactKind;
import elvaro.core.ledger.PieceLog.NetWeight;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
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

    /** By hand: 300 g of 4800 g leave 0.9375 of the piece, green 4687.5 g; 4400 g of that are 6.13 % less. */
    @Test
    void a_slice_counts_from_the_day_it_was_taken_and_not_before() {
        assertThat(lost(
                        5000,
                        fact(LogFactKind.WEIGHED, 7, 4800),
                        fact(LogFactKind.WITHDRAWN, 10, 300),
                        fact(LogFactKind.WEIGHED, 14, 4400)))
                .usingElementComparator(nearly())
                .containsExactly(0.04, 0.06133);
    }

    private static Comparator<Double> nearly() {
        return (one, other) -> Math.abs(one - other) < 1e-5 ? 0 : Double.compare(one, other);
    }

    /** By hand: half of 8 kg taken at once and the rest at 3.6 kg has lost a tenth, as a whole one of 7.2 kg has. */
    @Test
    void half_a_piece_loses_the_same_share_as_a_whole_one() {
        PieceLog log =
                PieceLog.of(8000, List.of(fact(LogFactKind.WITHDRAWN, 0, 4000), fact(LogFactKind.WEIGHED, 28, 3600)));
        assertThat(log.left()).isEqualTo(0.5);
        assertThat(log.lostBy(log.weighings().get(0))).isCloseTo(0.1, within(1e-12));
        assertThat(log.ledger().shrinkFraction()).isCloseTo(0.05, within(1e-12));
        assertThat(log.ledger().lostOfRest()).isCloseTo(0.1, within(1e-12));
    }

    /** Never weighed until a slice of 2 kg on day 28 and 5.1 kg right after: it weighed 7.1 kg, by hand. */
    @Test
    void a_weighing_right_after_a_slice_says_what_there_was_before_it() {
        assertThat(lost(8000, fact(LogFactKind.WITHDRAWN, 28, 2000), fact(LogFactKind.WEIGHED, 29, 5100)))
                .usingElementComparator(nearly())
                .containsExactly(0.1125);
    }

    @Test
    void a_coat_is_no_meat_and_no_water() {
        assertThat(lost(
                        5000,
                        fact(LogFactKind.COAT_ON, 0, 400),
                        fact(LogFactKind.WEIGHED, 7, 5300),
                        fact(LogFactKind.COAT_OFF, 8, 380),
                        fact(LogFactKind.WEIGHED, 9, 4850)))
                .usingElementComparator(nearly())
                .containsExactly(0.02, 0.03);
    }

    @Test
    void a_piece_weighed_too_heavy_has_lost_less_than_nothing() {
        assertThat(lost(5000, fact(LogFactKind.WEIGHED, 1, 5020)))
                .usingElementComparator(nearly())
                .containsExactly(-0.004);
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
        Ledger ledger = log.ledger();
        assertThat(log.lostBy(pulled)).isCloseTo(ledger.lostOfRest(), within(1e-12));
        assertThat(ledger.shrink() + ledger.withdrawn() + ledger.aged()).isEqualTo(green);
    }
}
