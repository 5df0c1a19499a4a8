package elvaro.core.cost;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import elvaro.core.cost.LandedCost.ChamberRate;
import elvaro.core.cost.LoadHistory.Stay;
import elvaro.core.cost.SteakCost.ByProductPrices;
import elvaro.core.ledger.Ledger;
import elvaro.core.ledger.Piles;
import java.time.LocalDate;
import java.util.List;
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
        LandedCost landed = LandedCost.of(8000, 2000, 700, new ChamberRate(365_000, 3650, 200, 30), 0.5, 30, 1000);
        assertThat(landed.total()).isCloseTo(21_360, within(1e-9));
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
        LandedCost landed = new LandedCost(1000, 0, 0, 0, 0);
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
                new PieceCost.Spent(2000, 1500, 700, 0),
                rate,
                null,
                null,
                new Ledger(2000, 0, 2000, Piles.NONE),
                new ByProductPrices(0, 0, 0));
        assertThat(fresh.landed().total()).isEqualTo(3000 + 700);
        assertThat(fresh.perDay()).isZero();
        assertThat(fresh.days()).isZero();
        assertThat(fresh.steak().perKilogram()).isEmpty();
    }
}
