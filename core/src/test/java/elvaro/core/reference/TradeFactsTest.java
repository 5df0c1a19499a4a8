package elvaro.core.reference;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import elvaro.core.ledger.Ledger;
import elvaro.core.ledger.Piles;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Common practice, no source: weights of pieces as practitioners weighed them, in pounds. */
class TradeFactsTest {
    private static final double GRAMS_PER_POUND = 453.59237; // international pound, exact by definition

    private static int grams(double pounds) {
        return (int) Math.round(pounds * GRAMS_PER_POUND);
    }

    private static double percent(double fraction) {
        return Math.round(fraction * 1000) / 10.0;
    }

    @Test
    void a_plain_rib_of_35_days_gives_the_shrink_and_yields_its_butcher_worked_out() {
        int aged = grams(9.4);
        Ledger ledger = new Ledger(
                grams(10.6), 0, aged, Piles.of(grams(6.0), grams(3.0), 0, 0, aged - grams(6.0) - grams(3.0)));
        assertThat(percent(ledger.shrinkFraction())).isEqualTo(11.3);
        assertThat(percent(ledger.steakYield())).isEqualTo(56.6);
        assertThat(percent(ledger.usableYield())).isEqualTo(84.9);
        assertThat(ledger.residual()).isZero();
    }

    @Test
    void its_twin_in_kidney_fat_lost_less_water_and_more_meat() {
        int aged = grams(10.4);
        Ledger ledger = new Ledger(grams(10.8), 0, aged, Piles.of(grams(5.8), 0, 0, 0, aged - grams(5.8)));
        assertThat(percent(ledger.shrinkFraction())).isEqualTo(3.7);
        assertThat(percent(ledger.steakYield())).isEqualTo(53.7);
        assertThat(percent(ledger.usableYield())).isEqualTo(53.7);
        assertThat(ledger.piles().discard() / GRAMS_PER_POUND).isCloseTo(4.6, within(0.005));
    }

    @ParameterizedTest(name = "{0} lb to {1} lb is {2} %")
    @CsvSource({"1.10231, 0.79366, 28", "18, 14, 22"})
    void a_membrane_piece_shrinks_as_it_was_weighed(double green, double aged, double shrinkPercent) {
        Ledger ledger = new Ledger(grams(green), 0, grams(aged), Piles.NONE);
        assertThat(ledger.shrinkFraction() * 100).isCloseTo(shrinkPercent, within(0.5));
    }
}
