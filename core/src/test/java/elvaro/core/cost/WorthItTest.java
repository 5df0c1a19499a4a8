package elvaro.core.cost;

import static elvaro.core.working.Units.PLAIN;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import elvaro.core.cost.WorthIt.Equipment;
import java.util.Random;
import java.util.stream.LongStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

class WorthItTest {
    static LongStream seeds() {
        return LongStream.range(1, 61);
    }

    /**
     * By hand, a cabinet: 3000.00 over 10 years is 300.00; 100 W for 12 pieces of 30 days, two at once, are 180 days or 432 kWh,
     * at 0.32 138.24. A piece of 180.00 gives 4.5 kg: 40.00 a kilogram, with 438.24 / 12 = 36.52 more 48.12. Bought at 60.00
     * a piece saves 90.00, so 4.87 pieces a year pay for it.
     */
    @Test
    void a_cabinet_pays_from_so_many_pieces_a_year() {
        double yearly = new Equipment(300_000, 10, 100, 2).yearly(12, 30, 32);
        assertThat(yearly).isCloseTo(43_824, within(1e-9));
        WorthIt worth = new WorthIt(yearly, 18_000, 4.5, 12, 6_000, 3_500);
        assertThat(worth.perKgOfThePiece()).isEqualTo(4_000);
        assertThat(worth.perKg()).isCloseTo(4_811.6, within(0.1));
        assertThat(worth.overFresh()).isCloseTo(1_311.6, within(0.1));
        assertThat(worth.breakEven())
                .hasValueSatisfying(pieces -> assertThat(pieces).isCloseTo(4.869, within(0.001)));
        assertThat(worth.savedAYear()).isCloseTo(12 * 4.5 * (6_000 - 4_811.56), within(1.0));
        assertThat(PLAIN.sentence(worth.working().filled())).endsWith("= 48.12/kg");
    }

    /** Common practice, no source: a bag is some 7 a roast, a sealer about 100. */
    @Test
    void a_sealer_pays_with_the_first_pieces_and_dear_meat_never_does() {
        double yearly = new Equipment(10_000, 10, 0, 1).yearly(4, 35, 32);
        assertThat(new WorthIt(yearly, 10_700, 2.6, 4, 6_000, 3_500).breakEven().orElseThrow())
                .isLessThan(1);
        WorthIt dear = new WorthIt(yearly, 20_000, 2.6, 4, 6_000, 3_500);
        assertThat(dear.breakEven()).as("no number is enough").isEmpty();
        assertThat(dear.savedAYear()).isNegative();
        assertThatThrownBy(() -> new WorthIt(1, 1, 0, 4, 1, 1)).hasMessageContaining("steak");
        assertThatThrownBy(() -> new Equipment(1, 0, 0, 1)).hasMessageContaining("lasts");
    }

    @ParameterizedTest(name = "seed {0}")
    @MethodSource("seeds")
    void at_the_break_even_own_and_bought_steak_cost_the_same_and_beyond_it_something_is_saved(long seed) {
        Random random = new Random(seed);
        double yearly = random.nextInt(100_000);
        double perPiece = 2_000 + random.nextInt(20_000);
        double steak = 0.5 + random.nextDouble() * 5;
        double bought = perPiece / steak * (1.1 + random.nextDouble());
        double pieces =
                new WorthIt(yearly, perPiece, steak, 1, bought, 0).breakEven().orElseThrow();
        if (pieces > 0) {
            WorthIt even = new WorthIt(yearly, perPiece, steak, pieces, bought, 0);
            assertThat(even.perKg()).isCloseTo(bought, within(1e-6 * bought));
            assertThat(new WorthIt(yearly, perPiece, steak, pieces * 1.5, bought, 0).savedAYear())
                    .isPositive();
            assertThat(new WorthIt(yearly, perPiece, steak, pieces * 0.7, bought, 0).savedAYear())
                    .isNegative();
        }
    }

    @Test
    void a_chamber_is_used_for_a_year_at_most() {
        Equipment cabinet = new Equipment(0, 1, 100, 2);
        assertThat(cabinet.daysInUse(3, 30)).as("two rounds").isEqualTo(60);
        assertThat(cabinet.daysInUse(100, 40)).isEqualTo(365);
    }
}
