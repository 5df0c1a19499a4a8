package elvaro.core.ledger;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import elvaro.core.ledger.LogFact.LogFactKind;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import java.util.UUID;
import java.util.stream.LongStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** Properties over seeded pieces; the seed is the test's name. */
class LedgerInvariantsTest {
    private static final Instant HUNG = Instant.parse("2026-01-05T08:00:00Z");

    static LongStream seeds() {
        return LongStream.range(1, 201);
    }

    @ParameterizedTest(name = "seed {0}")
    @MethodSource("seeds")
    void mass_closes_for_any_bench(long seed) {
        Random random = new Random(seed);
        int green = 200 + random.nextInt(30_000);
        int withdrawn = random.nextInt(green / 10 + 1);
        int aged = random.nextInt(green - withdrawn + 1);
        Ledger ledger = new Ledger(green, withdrawn, aged, randomPiles(random, aged));
        int sum = ledger.shrink() + withdrawn + ledger.piles().total() + ledger.residual();
        assertThat(sum).isEqualTo(green);
        double shares = ledger.shrinkFraction()
                + ledger.steakYield()
                + ledger.trimFraction()
                + (double) ledger.residual() / green;
        assertThat(shares).isCloseTo(1, within(1e-12));
    }

    @ParameterizedTest(name = "seed {0}")
    @MethodSource("seeds")
    void mass_closes_for_any_split(long seed) {
        Random random = new Random(seed);
        List<Integer> pieces = new ArrayList<>();
        int count = 1 + random.nextInt(8);
        for (int piece = 0; piece < count; piece++) {
            pieces.add(1 + random.nextInt(9000));
        }
        int sum = pieces.stream().mapToInt(Integer::intValue).sum();
        Split split = new Split(sum + random.nextInt(500), pieces);
        assertThat(sum + split.cuttingLoss()).isEqualTo(split.received());
    }

    @ParameterizedTest(name = "seed {0}")
    @MethodSource("seeds")
    void correcting_an_entry_and_correcting_it_back_restores_every_sum(long seed) {
        Random random = new Random(seed);
        int green = 2000 + random.nextInt(10_000);
        List<LogFact> log = randomLog(random, green);
        Ledger before = PieceLog.of(green, log).ledger();
        LogFact wrong = log.get(random.nextInt(log.size()));
        LogFact changed = correction(wrong, wrong.grams() + 1 + random.nextInt(50));
        LogFact back = correction(changed, wrong.grams());
        List<LogFact> after = new ArrayList<>(log);
        after.add(changed);
        assertThat(PieceLog.of(green, after).standing()).hasSameSizeAs(log);
        after.add(back);
        Collections.shuffle(after, random);
        assertThat(PieceLog.of(green, after).ledger()).isEqualTo(before);
    }

    @ParameterizedTest(name = "seed {0}")
    @MethodSource("seeds")
    void taking_an_entry_back_is_as_if_it_had_never_been_made(long seed) {
        Random random = new Random(seed);
        int green = 2000 + random.nextInt(10_000);
        List<LogFact> log = randomLog(random, green);
        LogFact extra = fact(LogFactKind.WITHDRAWN, 40, 25, null);
        List<LogFact> after = new ArrayList<>(log);
        after.add(extra);
        after.add(new LogFact(UUID.randomUUID(), extra.id(), LogFactKind.TAKEN_BACK, extra.at(), 0, null));
        assertThat(PieceLog.of(green, after).ledger())
                .isEqualTo(PieceLog.of(green, log).ledger());
    }

    @Test
    void taking_a_correction_back_brings_back_what_it_corrected() {
        LogFact weighed = fact(LogFactKind.WEIGHED, 7, 4700, null);
        LogFact corrected = correction(weighed, 4720);
        LogFact undone =
                new LogFact(UUID.randomUUID(), corrected.id(), LogFactKind.TAKEN_BACK, corrected.at(), 0, null);
        assertThat(PieceLog.of(5000, List.of(weighed, corrected)).latest()).isEqualTo(4720);
        assertThat(PieceLog.of(5000, List.of(weighed, corrected, undone)).latest())
                .isEqualTo(4700);
        LogFact again = correction(weighed, 4710);
        assertThat(PieceLog.of(5000, List.of(weighed, corrected, undone, again)).latest())
                .isEqualTo(4710);
    }

    @Test
    void a_seal_weighed_off_after_the_pull_is_taken_out_by_what_it_weighs_then() {
        List<LogFact> log = List.of(
                fact(LogFactKind.COAT_ON, 0, 900, null),
                fact(LogFactKind.WEIGHED, 7, 5700, null),
                fact(LogFactKind.PULLED, 35, 5600, null),
                fact(LogFactKind.COAT_OFF, 35, 880, null));
        PieceLog read = PieceLog.of(4900, log);
        assertThat(read.weighings()).extracting(PieceLog.NetWeight::grams).containsExactly(4800, 4720);
        assertThat(read.aged()).contains(4720);
        assertThat(read.ledger().shrink()).isEqualTo(180);
    }

    @Test
    void a_slice_taken_early_is_no_shrink_and_both_bases_are_given() {
        Ledger ledger = PieceLog.of(
                        1000,
                        List.of(fact(LogFactKind.WITHDRAWN, 10, 200, null), fact(LogFactKind.PULLED, 20, 640, null)))
                .ledger();
        assertThat(ledger.shrink()).isEqualTo(160);
        assertThat(ledger.shrinkFraction()).isEqualTo(0.16);
        assertThat(ledger.shrinkFractionWithoutWithdrawals()).isEqualTo(0.2);
    }

    @Test
    void a_green_weight_of_nothing_is_refused() {
        assertThatThrownBy(() -> new Ledger(0, 0, 0, Piles.NONE)).hasMessageContaining("above 0 g");
    }

    private static Piles randomPiles(Random random, int most) {
        int left = most;
        int[] pile = new int[5];
        for (int index = 0; index < pile.length; index++) {
            pile[index] = random.nextInt(left + 1);
            left -= pile[index];
        }
        return Piles.of(pile[0], pile[1], pile[2], pile[3], pile[4]);
    }

    private static List<LogFact> randomLog(Random random, int green) {
        List<LogFact> log = new ArrayList<>();
        int weight = green;
        for (int day = 1; day < 30; day += 1 + random.nextInt(6)) {
            weight -= random.nextInt(weight / 20);
            log.add(fact(LogFactKind.WEIGHED, day, weight, null));
        }
        log.add(fact(LogFactKind.PULLED, 31, weight - 10, null));
        for (Stream stream : Stream.values()) {
            log.add(fact(LogFactKind.PILE, 32, random.nextInt(weight / 6), stream));
        }
        return log;
    }

    /** By hand: 3640 g in wrap and string, 3600 g without; a coat of 280 g that came off later was in both. */
    @Test
    void what_is_weighed_unwrapped_is_the_aged_weight_and_the_rest_was_wrap() {
        LogFact pull = fact(LogFactKind.PULLED, 28, 3640, null);
        LogFact bare = fact(LogFactKind.UNWRAPPED, 29, 3600, null);
        PieceLog log = PieceLog.of(4000, List.of(pull, bare));
        assertThat(log.aged()).contains(3600);
        assertThat(log.wrap()).contains(40);
        assertThat(log.weighings())
                .as("the wrapped weight is no longer one of meat")
                .hasSize(1);
        LogFact back = new LogFact(UUID.randomUUID(), bare.id(), LogFactKind.TAKEN_BACK, bare.at(), 0, null);
        assertThat(PieceLog.of(4000, List.of(pull, bare, back)).aged()).contains(3640);
        assertThat(PieceLog.of(4000, List.of(pull, bare, back)).wrap()).isEmpty();
        PieceLog coated = PieceLog.of(
                4000,
                List.of(
                        fact(LogFactKind.COAT_ON, 0, 300, null),
                        pull,
                        bare,
                        fact(LogFactKind.COAT_OFF, 30, 280, null)));
        assertThat(coated.aged()).contains(3320);
        assertThat(coated.wrap()).contains(40);
        PieceLog scraped = PieceLog.of(
                4000,
                List.of(
                        fact(LogFactKind.COAT_ON, 0, 300, null),
                        pull,
                        fact(LogFactKind.COAT_OFF, 29, 280, null),
                        fact(LogFactKind.UNWRAPPED, 30, 3320, null)));
        assertThat(scraped.aged()).contains(3320);
        assertThat(scraped.wrap()).contains(40);
    }

    private static LogFact fact(LogFactKind kind, int day, int grams, Stream stream) {
        return new LogFact(UUID.randomUUID(), null, kind, HUNG.plus(Duration.ofDays(day)), grams, stream);
    }

    private static LogFact correction(LogFact wrong, int grams) {
        return new LogFact(UUID.randomUUID(), wrong.id(), wrong.kind(), wrong.at(), grams, wrong.stream());
    }
}
