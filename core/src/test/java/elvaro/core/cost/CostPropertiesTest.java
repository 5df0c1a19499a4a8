package elvaro.core.cost;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import elvaro.core.cost.LandedCost.ChamberRate;
import elvaro.core.cost.LoadHistory.Stay;
import elvaro.core.cost.PriceByAge.Step;
import elvaro.core.cost.SteakCost.ByProductPrices;
import elvaro.core.drying.Method;
import elvaro.core.yield.Section;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Random;
import java.util.stream.LongStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

class CostPropertiesTest {
    private static final LocalDate DAY = LocalDate.of(2026, 3, 2);

    static LongStream seeds() {
        return LongStream.range(1, 121);
    }

    @ParameterizedTest(name = "seed {0}")
    @MethodSource("seeds")
    void the_shares_of_pieces_that_hang_the_same_days_add_up_to_one(long seed) {
        Random random = new Random(seed);
        List<Stay> stays = new ArrayList<>();
        for (int piece = 0; piece < 1 + random.nextInt(9); piece++) {
            stays.add(new Stay(500 + random.nextInt(9000), DAY, DAY.plusDays(30)));
        }
        LoadHistory chamber = new LoadHistory(stays);
        assertThat(stays.stream().mapToDouble(chamber::share).sum()).isCloseTo(1, within(1e-9));
    }

    /** Day by day: on each day its weight over what hung that day, summed by gram-days. */
    @ParameterizedTest(name = "seed {0}")
    @MethodSource("seeds")
    void a_share_is_its_gram_days_over_those_of_the_days_it_hung(long seed) {
        Random random = new Random(seed);
        List<Stay> stays = new ArrayList<>();
        for (int piece = 0; piece < 2 + random.nextInt(20); piece++) {
            LocalDate from = DAY.plusDays(random.nextInt(60));
            stays.add(new Stay(500 + random.nextInt(9000), from, from.plusDays(1 + random.nextInt(50))));
        }
        Stay own = stays.get(random.nextInt(stays.size()));
        double all = own.from()
                .datesUntil(own.to())
                .mapToDouble(day -> stays.stream()
                        .filter(stay -> !day.isBefore(stay.from()) && day.isBefore(stay.to()))
                        .mapToDouble(Stay::grams)
                        .sum())
                .sum();
        double days = own.to().toEpochDay() - own.from().toEpochDay();
        assertThat(new LoadHistory(stays).share(own)).isCloseTo(own.grams() * days / all, within(1e-12));
    }

    private static List<Section> drying(Random random, int days) {
        List<Section> sections = new ArrayList<>();
        double steak = 0.85;
        double crust = 0.1;
        for (int day = 0; day <= days; day++) {
            sections.add(new Section(steak + crust, 0, 0, crust, 0, steak));
            steak -= random.nextDouble() * 0.006;
            crust += random.nextDouble() * 0.002;
        }
        return sections;
    }

    @ParameterizedTest(name = "seed {0}")
    @MethodSource("seeds")
    void the_best_day_leaves_most_over_and_every_day_costs_something(long seed) {
        Random random = new Random(seed);
        PriceByAge prices = new PriceByAge(List.of(
                new Step(0, 3000),
                new Step(14, 3000 + random.nextInt(2000)),
                new Step(35, 6000 + random.nextInt(3000))));
        DayToStop economics =
                new DayToStop(6000, Method.OPEN_AIR, 13_000, 15, new ByProductPrices(800, 200, 100), prices);
        List<DayToStop.Stop> stops = economics.days(drying(random, 60));
        double best = DayToStop.best(stops).orElseThrow().margin().orElseThrow();
        assertThat(stops).allMatch(stop -> stop.margin().orElseThrow() <= best);
        assertThat(stops.subList(0, 60)).allMatch(stop -> stop.marginalCost().orElseThrow() >= 15);
        assertThat(stops.get(60).marginalCost()).as("nobody looked further").isEmpty();
    }

    @Test
    void a_piece_of_which_nothing_is_left_has_no_cost_by_the_kilogram() {
        DayToStop economics =
                new DayToStop(500, Method.OPEN_AIR, 1000, 5, new ByProductPrices(0, 0, 0), PriceByAge.NONE);
        List<DayToStop.Stop> stops = economics.days(List.of(new Section(0.4, 0, 0, 0.4, 0, 0)));
        assertThat(stops.get(0).costPerKg()).isEmpty();
        assertThat(stops.get(0).margin()).isEmpty();
    }

    @Test
    void trim_under_a_fat_seal_is_worth_nothing() {
        List<Section> one = List.of(new Section(0.9, 0, 0, 0.2, 0, 0.7));
        ByProductPrices prices = new ByProductPrices(800, 0, 0);
        double open = new DayToStop(5000, Method.OPEN_AIR, 10_000, 0, prices, PriceByAge.NONE)
                .days(one)
                .get(0)
                .costPerKg()
                .orElseThrow();
        double sealed = new DayToStop(5000, Method.FAT_SEAL, 10_000, 0, prices, PriceByAge.NONE)
                .days(one)
                .get(0)
                .costPerKg()
                .orElseThrow();
        assertThat(sealed - open).isCloseTo(5 * 0.2 * 0.5 * 800 / (5 * 0.7), within(1e-9));
    }

    /** By hand: 3650.00 over 3650 days and 200 W at 0.30 a kWh: 1.00 and 1.44 a day, a quarter of it 0.61. */
    @Test
    void a_chambers_day_is_shared_by_load() {
        ChamberRate rate = new ChamberRate(365_000, 3650, 200, 30);
        assertThat(rate.perDay(0.25)).isCloseTo(61, within(1e-9));
        assertThat(new ChamberRate(5000, 0, 0, 30).perDay(1))
                .as("written off already")
                .isZero();
    }

    @Test
    void what_cannot_be_is_refused() {
        ChamberRate rate = new ChamberRate(0, 1, 0, 0);
        assertThatThrownBy(() -> LandedCost.of(OptionalDouble.of(10_000), 0, rate, 1.1, 5, 0))
                .hasMessageContaining("between 0 and 1");
        assertThatThrownBy(() -> LandedCost.of(OptionalDouble.of(10_000), 0, rate, 0.5, -1, 0))
                .hasMessageContaining("0 or more");
        SteakCost cost = new SteakCost(Optional.of(1000.0), 0, 500, 500);
        assertThatThrownBy(() -> cost.marginAt(0)).hasMessageContaining("price above 0");
        assertThatThrownBy(() -> cost.priceFor(1)).hasMessageContaining("share of the price");
    }
}
