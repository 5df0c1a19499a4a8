package elvaro.core.plan;

import static elvaro.core.working.Units.PLAIN;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import elvaro.core.air.Air;
import elvaro.core.air.ChamberKind;
import elvaro.core.air.Climate;
import elvaro.core.cost.DayToStop;
import elvaro.core.cost.PriceByAge;
import elvaro.core.cost.PriceByAge.Step;
import elvaro.core.cost.SteakCost.ByProductPrices;
import elvaro.core.cut.Cut;
import elvaro.core.cut.CutCatalogue;
import elvaro.core.drying.Coating;
import elvaro.core.drying.Hanging;
import elvaro.core.drying.Method;
import elvaro.core.drying.Surface;
import elvaro.core.estimate.Estimates;
import elvaro.core.forecast.Belief;
import elvaro.core.forecast.Forecast;
import elvaro.core.keeping.Style;
import elvaro.core.plan.Purchase.Table;
import elvaro.core.yield.BenchOrder;
import elvaro.core.yield.Section;
import elvaro.core.yield.TrimModel;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class OutlookTest {
    private static final Climate ROOM = Climate.constant(new Air(2, 0.80, 0.5));
    private static final Cut STRIP = CutCatalogue.get("strip");
    private static final ByProductPrices PRICES = new ByProductPrices(800, 200, 100);

    private static Hanging strip(int grams) {
        return new Hanging(
                grams, Surface.of(STRIP.surface(), grams, 0, false), false, Method.OPEN_AIR, Coating.NONE, 1);
    }

    private static Outlook of(int grams, PriceByAge prices) {
        Hanging hanging = strip(grams);
        return new Outlook(
                Forecast.of(hanging.dryingIn(ROOM), Belief.ESTIMATES, List.of(), 5),
                TrimModel.of(STRIP, hanging, 0, BenchOrder.SLICE_FIRST),
                Estimates.STEAK_YIELD_SD,
                ROOM,
                STRIP.species(),
                new DayToStop(grams, Method.OPEN_AIR, grams / 1000.0 * 2000 + 1000, 12, PRICES, prices));
    }

    @Test
    void every_day_has_less_steak_more_tenderness_and_a_band_round_what_is_expected() {
        List<Outlook.OutlookDay> days = of(6000, PriceByAge.NONE).days(60);
        for (int day = 1; day <= 60; day++) {
            Outlook.OutlookDay today = days.get(day);
            Outlook.OutlookDay before = days.get(day - 1);
            assertThat(today.section().steak()).isLessThan(before.section().steak());
            assertThat(today.tenderness().orElseThrow())
                    .isGreaterThan(before.tenderness().orElseThrow());
            assertThat(today.steakLeast()).isLessThan(today.steakSure());
            assertThat(today.steakSure()).isLessThan(today.section().steak());
            assertThat(today.steakMost()).isGreaterThan(today.section().steak());
        }
        assertThat(days.get(28).style()).contains(Style.NUTTY);
        assertThat(days.get(28).equivalentDays()).isCloseTo(28 * 1.44, within(1e-9));
    }

    @Test
    void a_week_longer_costs_the_steak_of_seven_days_and_a_day_earlier_saves_one() {
        List<Outlook.OutlookDay> days = of(6000, PriceByAge.NONE).days(60);
        OtherDay week = OtherDay.of(days, 6000, 28, 35);
        double steak = (days.get(35).section().steak() - days.get(28).section().steak()) * 6000;
        assertThat(week.steakGrams()).isCloseTo(steak, within(1e-9)).isNegative();
        assertThat(week.minor().orElseThrow())
                .isCloseTo(
                        days.subList(28, 35).stream()
                                .mapToDouble(day -> day.stop().marginalCost().orElseThrow())
                                .sum(),
                        within(1e-9));
        assertThat(elvaro.core.working.Units.PLAIN.sentence(week.sentence()))
                .matches("A week longer costs \\d+ g of steak, about [\\d.]+(; tenderness .*)?\\.");
        assertThat(elvaro.core.working.Units.PLAIN.sentence(
                        OtherDay.of(days, 6000, 10, 9).sentence()))
                .startsWith("A day earlier saves ")
                .contains("of what it can reach");
    }

    /**
     * By hand: 6 kg, half of a tenth crust fit for grinding. Day 0: landed 130.00, credit 0.3 kg at 8.00 = 2.40, steak 5.4 kg:
     * 127.60/5.4 = 23.63 a kg. Day 1: steak 5.1 kg, crust still 0.6 kg, 0.12 dearer: 127.72/5.1 = 25.04. The day cost 0.3 kg of
     * steak at 30.00 and 0.12.
     */
    @Test
    void what_a_further_day_costs_agrees_with_the_worked_example() {
        DayToStop economics = new DayToStop(
                6000,
                Method.OPEN_AIR,
                13_000,
                12,
                PRICES,
                new PriceByAge(List.of(new Step(0, 3000), new Step(1, 3200))));
        List<DayToStop.Stop> stops =
                economics.days(List.of(new Section(1, 0, 0, 0.1, 0, 0.9), new Section(0.95, 0, 0, 0.1, 0, 0.85)));
        assertThat(stops.get(0).costPerKg().orElseThrow()).isCloseTo(12_760 / 5.4, within(1e-6));
        assertThat(stops.get(1).costPerKg().orElseThrow()).isCloseTo(12_772 / 5.1, within(1e-6));
        assertThat(stops.get(0).marginalCost().orElseThrow()).isCloseTo(0.3 * 3000 + 12, within(1e-6));
        assertThat(stops.get(1).margin().orElseThrow()).isCloseTo(3200 * 5.1 - 12_772, within(1e-6));
        assertThat(DayToStop.best(stops)).contains(stops.get(1));
    }

    @Test
    void the_best_day_is_the_first_of_a_price_that_pays_for_the_wait() {
        PriceByAge prices = new PriceByAge(List.of(new Step(14, 4000), new Step(28, 6000), new Step(45, 6100)));
        List<DayToStop.Stop> stops =
                of(6000, prices).days(60).stream().map(Outlook.OutlookDay::stop).toList();
        assertThat(DayToStop.best(stops))
                .hasValueSatisfying(stop -> assertThat(stop.day()).isEqualTo(28));
        assertThat(DayToStop.best(of(6000, PriceByAge.NONE).days(20).stream()
                        .map(Outlook.OutlookDay::stop)
                        .toList()))
                .isEmpty();
    }

    @Test
    void a_price_list_ascends_and_holds_until_its_next_step() {
        PriceByAge prices = new PriceByAge(List.of(new Step(14, 4000), new Step(28, 6000)));
        assertThat(IntStream.of(0, 13, 14, 27, 28, 300).map(prices::on)).containsExactly(0, 0, 4000, 4000, 6000, 6000);
        assertThatThrownBy(() -> new PriceByAge(List.of(new Step(28, 1), new Step(14, 2))))
                .hasMessageContaining("ascend");
        assertThat(PriceByAge.flat(0).isEmpty()).isTrue();
        assertThat(PriceByAge.flat(5000).on(3)).isEqualTo(5000);
    }

    private static Optional<Purchase> buy(int portions, int gramsEach) {
        return Purchase.forTable(
                new Table(portions, gramsEach),
                STRIP,
                grams -> of(grams, PriceByAge.NONE).days(28).get(28));
    }

    @ParameterizedTest(name = "{0} portions")
    @ValueSource(ints = {1, 4, 7, 12, 30, 100})
    void what_is_bought_is_enough_four_times_in_five_and_a_little_less_is_not(int portions) {
        Purchase purchase = buy(portions, 300).orElseThrow();
        assertThat(purchase.pieces() * purchase.portionsEach()).isGreaterThanOrEqualTo(portions);
        assertThat(purchase.expected().steakSure() * purchase.greenGramsEach())
                .isGreaterThanOrEqualTo(purchase.portionsEach() * 300);
        int less = purchase.greenGramsEach() - 10;
        if (less >= STRIP.leastGrams()) {
            double sure = of(less, PriceByAge.NONE).days(28).get(28).steakSure() * less;
            assertThat((int) (sure / 300) * purchase.pieces()).isLessThan(portions);
        }
    }

    @Test
    void a_table_that_no_number_of_pieces_feeds_is_said_so() {
        assertThat(buy(1, 50_000)).isEmpty();
        assertThat(buy(100_000, 300)).isEmpty();
        assertThatThrownBy(() -> new Table(0, 300)).hasMessageContaining("A table has portions");
    }

    /** Common practice, no source: a whole muscle keeps some 76 %, a single steak 41 %. */
    @Test
    void a_small_piece_is_told_how_little_it_keeps_and_what_a_whole_one_keeps() {
        Cut steak = CutCatalogue.get("beef-steak");
        Hanging single = new Hanging(
                500, Surface.of(steak.surface(), 500, 0, false), false, Method.MEMBRANE, Coating.NONE, 0.85);
        TrimModel small = TrimModel.of(steak, single, 0, BenchOrder.SLICE_FIRST);
        assertThat(WholeInstead.sentence(steak, small, ROOM, 21))
                .hasValueSatisfying(sentence -> assertThat(PLAIN.sentence(sentence))
                        .startsWith("It is small: of it ")
                        .contains("kept as steak by day 21, of a whole strip loin of 5.5 kg in the same air"));
        assertThat(WholeInstead.sentence(STRIP, TrimModel.of(STRIP, strip(6000), 0, BenchOrder.SLICE_FIRST), ROOM, 21))
                .isEmpty();
    }

    /** A tenderloin of 1.5 kg for 60 days in a household refrigerator. */
    @Test
    void where_nothing_is_left_it_is_said_so_with_the_reason_and_a_band_that_is_not_nothing() {
        List<Outlook.OutlookDay> days = inRefrigerator(CutCatalogue.get("tenderloin"), 1500, 0.85, 60);
        assertThat(days.get(60).section().steak()).isZero();
        assertThat(days.get(60).steakLeast()).isZero();
        assertThat(days.get(60).steakMost()).isBetween(0.05, 0.5);
        assertThat(Doubt.ofNothingLeft(days, 60).orElseThrow().sentence())
                .contains("By day 60 nothing is left for steaks", "is water gone", "it still gives");
        assertThat(Doubt.ofNothingLeft(days, 14)).isEmpty();
    }

    private static List<Outlook.OutlookDay> inRefrigerator(Cut cut, int grams, double contact, int last) {
        Climate air = ChamberKind.REFRIGERATOR.supposed(ChamberKind.REFRIGERATOR.usualAir());
        Surface surface = Surface.of(cut.surface(), grams, 0, false);
        Hanging hanging = new Hanging(grams, surface, false, Method.MEMBRANE, Coating.NONE, contact);
        return new Outlook(
                        Forecast.of(hanging.dryingIn(air), Belief.ESTIMATES, List.of(), 5),
                        TrimModel.of(cut, hanging, 0, BenchOrder.SLICE_FIRST),
                        Estimates.STEAK_YIELD_SD,
                        air,
                        cut.species(),
                        new DayToStop(grams, Method.MEMBRANE, 5000, 12, PRICES, PriceByAge.NONE))
                .days(last);
    }

    /** Common practice, no source: an 18 lb ribeye came to about 14 lb in some four weeks, a 500 g steak to 360 g in 21 days. */
    @ParameterizedTest(name = "{0} of {1} g after {2} days: {3} %")
    @CsvSource({"ribeye, 8165, 28, 22", "beef-steak, 500, 21, 28"})
    void what_the_trade_weighed_from_a_household_refrigerator_lies_in_the_band(
            String code, int grams, int day, double lostPercent) {
        Forecast.Day pulled = inRefrigerator(CutCatalogue.get(code), grams, Estimates.MEMBRANE_CONTACT, day)
                .get(day)
                .weight();
        assertThat(lostPercent / 100).isBetween(pulled.least(), pulled.most());
    }

    /** Common practice, no source: a single steak keeps some 41 % as steak, a whole muscle 76 %. */
    @ParameterizedTest(name = "{0} of {1} g: {2}")
    @CsvSource({"beef-steak, 500, 0.41", "strip, 6000, 0.76"})
    void what_the_trade_kept_as_steak_lies_in_the_band(String code, int grams, double kept) {
        Outlook.OutlookDay pulled = inRefrigerator(CutCatalogue.get(code), grams, Estimates.MEMBRANE_CONTACT, 21)
                .get(21);
        assertThat(kept).isBetween(pulled.steakLeast(), pulled.steakMost());
    }

    @ParameterizedTest(name = "{0} of {1} g")
    @CsvSource({"ribeye, 8000", "strip, 4000", "tenderloin, 1500", "duck, 1500", "beef-steak, 500"})
    void the_less_of_a_film_touches_the_less_steak_there_is(String code, int grams) {
        double[] contacts = {1, 0.9, 0.78, 0.6, 0.45, 0.3, 0.1};
        List<List<Outlook.OutlookDay>> outlooks = Arrays.stream(contacts)
                .mapToObj(contact -> inRefrigerator(CutCatalogue.get(code), grams, contact, 150))
                .toList();
        for (int day : new int[] {7, 21, 28, 45, 90, 150}) {
            for (int index = 1; index < contacts.length; index++) {
                Outlook.OutlookDay better = outlooks.get(index - 1).get(day);
                assertThat(outlooks.get(index).get(day).over()).isLessThan(better.over());
            }
        }
        assertThat(outlooks.get(3).get(28).section().pockets()).isPositive();
        assertThat(outlooks.get(0).get(28).section().pockets()).isZero();
        assertThat(Doubt.ofContact(Method.MEMBRANE, 0.6)).isPresent();
        assertThat(Doubt.ofContact(Method.MEMBRANE, 0.75)).isEmpty();
        assertThat(Doubt.ofContact(Method.OPEN_AIR, 0.6)).isEmpty();
    }

    @ParameterizedTest(name = "{0} g over {1} days")
    @CsvSource({"3000, 21", "6000, 28", "9000, 45"})
    void a_larger_piece_gives_a_larger_share_of_steak(int grams, int day) {
        double smaller = of(grams, PriceByAge.NONE).days(day).get(day).section().steak();
        double larger =
                of(grams * 5 / 4, PriceByAge.NONE).days(day).get(day).section().steak();
        assertThat(larger).isGreaterThan(smaller);
    }
}
