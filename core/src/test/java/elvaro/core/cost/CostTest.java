package elvaro.core.cost;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import elvaro.core.cost.LandedCost.ChamberRate;
import elvaro.core.cost.LoadHistory.Stay;
import elvaro.core.cost.SteakCost.ByProductPrices;
import elvaro.core.ledger.Ledger;
import elvaro.core.ledger.Piles;
import java.time.LocalDate;
import java.util.List;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;

class CostTest {
    private static final LocalDate DAY = LocalDate.of(2026, 3, 2);

    /**
     * Worked by hand: 8 kg at 20.00 = 160.00; bag 7.00; cabinet 3650.00 over 3650 days = 1.00 a day, 200 W at 0.30 =
     * 1.44 a day, half of both for 30 days = 15.00 + 21.60; bench 10.00; in all 213.60. Trim 1.5 kg at 8.00, fat 0.5 kg
     * at 2.00, bone 0.2 kg at 1.00: credit 13.20. Steak 4.008 kg, 2 kg of it taken as slices before the pull: 200.40 / 4.008 = 50.00.
     */
    @Test
    void cost_per_kilogram_of_steak_agrees_with_the_worked_example() {
        LandedCost landed =
                LandedCost.of(OptionalDouble.of(16_000), 700, new ChamberRate(365_000, 3650, 200, 30), 0.5, 30, 1000);
        assertThat(landed.total()).hasValueSatisfying(all -> assertThat(all).isCloseTo(21_360, within(1e-9)));
        SteakCost cost =
                SteakCost.of(landed, Piles.of(2008, 1500, 500, 200, 0), 2000, new ByProductPrices(800, 200, 100));
        assertThat(cost.credit()).isCloseTo(1320, within(1e-9));
        assertThat(cost.perKilogram())
                .hasValueSatisfying(perKg -> assertThat(perKg).isCloseTo(5000, within(1e-9)));
        assertThat(cost.marginAt(6250))
                .hasValueSatisfying(share -> assertThat(share).isCloseTo(0.2, within(1e-12)));
        assertThat(cost.priceFor(0.2))
                .hasValueSatisfying(price -> assertThat(price).isCloseTo(6250, within(1e-9)));
    }

    @Test
    void a_piece_without_steak_has_no_price_per_kilogram() {
        LandedCost landed = new LandedCost(1000.0, 0, 0, 0, 0);
        SteakCost cost = SteakCost.of(landed, Piles.of(0, 0, 0, 0, 900), 0, new ByProductPrices(800, 200, 100));
        assertThat(cost.perKilogram()).isEmpty();
        assertThat(cost.working().filled()).endsWith("no steak");
    }

    @Test
    void the_shares_of_pieces_that_hang_together_add_up_to_the_chamber() {
        Stay first = new Stay(6000, DAY, DAY.plusDays(20));
        Stay second = new Stay(2000, DAY, DAY.plusDays(20));
        LoadHistory chamber = new LoadHistory(List.of(first, second));
        assertThat(chamber.share(first)).isEqualTo(0.75);
        assertThat(chamber.share(first) + chamber.share(second)).isEqualTo(1);
    }

    @Test
    void a_piece_shares_only_the_days_it_hung_beside_another() {
        Stay piece = new Stay(4000, DAY, DAY.plusDays(10));
        Stay later = new Stay(4000, DAY.plusDays(5), DAY.plusDays(40));
        Stay gone = new Stay(9000, DAY.minusDays(9), DAY);
        assertThat(new LoadHistory(List.of(piece, later, gone)).share(piece)).isCloseTo(40.0 / 60, within(1e-12));
        assertThat(new LoadHistory(List.of(piece)).share(piece)).isEqualTo(1);
        Stay today = new Stay(4000, DAY, DAY);
        assertThat(new LoadHistory(List.of(today, later)).share(today))
                .as("nothing is shared on the first day")
                .isEqualTo(1);
    }

    @Test
    void a_piece_that_did_not_hang_has_no_share_of_a_chamber() {
        LandedCost.ChamberRate rate = new LandedCost.ChamberRate(300_000, 3_650, 90, 30);
        PieceCost fresh = PieceCost.of(
                new PieceCost.Spent(OptionalDouble.of(3000), 700, Labour.NONE, 0),
                rate,
                null,
                null,
                new Ledger(2000, 0, 2000, Piles.NONE),
                new ByProductPrices(0, 0, 0));
        assertThat(fresh.landed().total()).contains(3000.0 + 700);
        assertThat(fresh.perDay()).isZero();
        assertThat(fresh.days()).isZero();
        assertThat(fresh.steak().perKilogram()).isEmpty();
    }

    /** The case of a shop, by hand: 8.00 kg at 20.00 are 160.00; 7.30 kg hang after purge and squaring off. */
    @Test
    void what_was_paid_for_a_lot_comes_out_whole_on_its_pieces() {
        OptionalDouble price = OptionalDouble.of(2000);
        double first = Paid.share(8000, price, 4300, 7300).orElseThrow();
        double second = Paid.share(8000, price, 3000, 7300).orElseThrow();
        assertThat(first + second).isCloseTo(16_000, within(1e-9));
        assertThat(first).isCloseTo(16_000 * 43.0 / 73, within(1e-9));
        assertThat(Paid.share(8000, OptionalDouble.empty(), 4300, 7300)).isEmpty();
        assertThatThrownBy(() -> Paid.share(8000, price, 4300, 4000)).hasMessageContaining("no less");
    }

    @Test
    void without_a_price_a_bag_and_the_current_are_no_cost_of_steak() {
        LandedCost landed = LandedCost.of(OptionalDouble.empty(), 700, new ChamberRate(0, 3650, 100, 30), 1, 28, 0);
        SteakCost cost = SteakCost.of(landed, Piles.of(3000, 500, 0, 0, 200), 0, new ByProductPrices(800, 0, 0));
        assertThat(landed.total()).isEmpty();
        assertThat(landed.besides()).isCloseTo(700 + 100 / 1000.0 * 24 * 30 * 28, within(1e-9));
        assertThat(cost.perKilogram()).isEmpty();
        assertThat(cost.perKilogramEaten()).isEmpty();
        assertThat(cost.priceFor(0.3)).isEmpty();
        assertThat(cost.working().filled())
                .contains("a price nobody wrote down")
                .endsWith("not known");
        assertThat(landed.working().filled()).endsWith("not known");
    }

    @Test
    void work_is_paid_by_the_piece_the_steak_and_the_kilogram() {
        assertThat(new Labour(900, 50, 120).of(14, 5000)).isCloseTo(900 + 700 + 600, within(1e-9));
        assertThat(Labour.NONE.of(14, 5000)).isZero();
    }

    @Test
    void all_that_is_eaten_shares_the_cost_and_has_no_credit() {
        LandedCost landed = new LandedCost(9000.0, 0, 0, 0, 0);
        SteakCost cost = SteakCost.of(landed, Piles.of(3000, 1000, 300, 200, 400), 200, new ByProductPrices(900, 0, 0));
        assertThat(cost.perKilogramEaten()).contains(9000 / 4.5); // 3000 + 1000 + 300 + 200 g of slices
        assertThat(cost.perKilogram()).contains(8100 / 3.2);
    }
}
