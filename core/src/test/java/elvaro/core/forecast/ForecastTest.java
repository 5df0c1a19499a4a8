package elvaro.core.forecast;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import elvaro.core.air.Air;
import elvaro.core.air.Climate;
import elvaro.core.drying.AirDrying;
import elvaro.core.drying.Coating;
import elvaro.core.drying.Hanging;
import elvaro.core.drying.Method;
import elvaro.core.drying.Parameters;
import elvaro.core.drying.Skin;
import elvaro.core.drying.Surface;
import elvaro.core.drying.WaterLoss;
import elvaro.core.estimate.Estimates;
import elvaro.core.forecast.Learning.Learnt;
import elvaro.core.forecast.Learning.WeighingEvidence;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Nested;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class ForecastTest {
    private static final int DIVISION = 5;
    private static final int[] DAYS = {1, 3, 7, 14, 21, 28, 35, 42, 49, 56};

    private static WaterLoss loin() {
        return new AirDrying(8000, Surface.bare(0.23), false, Climate.constant(new Air(2, 0.80, 0.5)), Skin.bare());
    }

    private static WaterLoss steak() {
        return new Hanging(500, Surface.bare(0.042), false, Method.MEMBRANE, Coating.NONE, 1)
                .dryingIn(Climate.constant(new Air(3, 0.65, 0.1)));
    }

    private static Parameters drawn(Random random) {
        return new Parameters(
                random.nextGaussian() * Estimates.RESISTANCE_SD, random.nextGaussian() * Estimates.CRUST_SD);
    }

    private static Observed weighed(WaterLoss loss, double day, Parameters truth, Random random) {
        double noise = random.nextGaussian() * Fit.weighingSd(loss.greenGrams(), DIVISION);
        return new Observed(day, loss.on(day, truth).fraction() + noise);
    }

    private static List<Observed> weighings(WaterLoss loss, Parameters truth, int count, Random random) {
        List<Observed> all = new ArrayList<>();
        for (int index = 0; index < count; index++) {
            all.add(weighed(loss, DAYS[index], truth, random));
        }
        return all;
    }

    /**
     * The project's promise for any world: an 80 % band holds 70 to 92 % of 1,000 simulated futures with four weighings or more
     * and 60 to 95 % with fewer. This world is the model's own, which is kinder than any real one.
     */
    @ParameterizedTest(name = "{0} after {1} weighings, on day {2}")
    @CsvSource({
        "loin, 0, 28",
        "loin, 0, 60",
        "loin, 2, 28",
        "loin, 4, 35",
        "loin, 6, 60",
        "steak, 0, 7",
        "steak, 2, 14",
        "steak, 3, 21",
        "steak, 4, 28"
    })
    void an_eighty_per_cent_band_holds_what_is_promised(String who, int count, int ahead) {
        WaterLoss loss = who.equals("loin") ? loin() : steak();
        Random random = new Random(20_261_124 + count * 100L + ahead);
        int held = 0;
        for (int piece = 0; piece < 1000; piece++) {
            Parameters truth = drawn(random);
            List<Observed> seen = weighings(loss, truth, count, random);
            Forecast.Day day =
                    Forecast.of(loss, Belief.ESTIMATES, seen, DIVISION).on(ahead);
            double future = weighed(loss, ahead, truth, random).lost();
            held += future >= day.least() && future <= day.most() ? 1 : 0;
        }
        assertThat(held).isBetween(count >= 4 ? 700 : 600, count >= 4 ? 920 : 950);
    }

    @Test
    void every_weighing_narrows_the_band() {
        Random random = new Random(7);
        List<Observed> seen = weighings(loin(), new Parameters(0.2, -0.1), 6, random);
        double before = Double.MAX_VALUE;
        for (int count = 0; count <= 6; count++) {
            Forecast.Day day = Forecast.of(loin(), Belief.ESTIMATES, seen.subList(0, count), DIVISION)
                    .on(40);
            assertThat(day.most() - day.least()).isLessThan(before);
            before = day.most() - day.least();
        }
    }

    @Test
    void the_order_in_which_weighings_are_given_does_not_matter() {
        List<Observed> seen = weighings(loin(), new Parameters(-0.3, 0.2), 5, new Random(3));
        List<Observed> reversed = new ArrayList<>(seen);
        java.util.Collections.reverse(reversed);
        assertThat(Forecast.of(loin(), Belief.ESTIMATES, reversed, DIVISION).on(30))
                .isEqualTo(Forecast.of(loin(), Belief.ESTIMATES, seen, DIVISION).on(30));
    }

    @Test
    void a_target_is_reached_between_its_earliest_and_latest_day() {
        Forecast forecast = Forecast.of(loin(), Belief.ESTIMATES, List.of(), DIVISION);
        Forecast.Reached ten = forecast.reaches(0.10).orElseThrow();
        assertThat(forecast.on(ten.expected()).lost()).isCloseTo(0.10, within(0.0005));
        assertThat(ten.earliest()).isLessThan(ten.expected());
        assertThat(ten.latest()).hasValueSatisfying(latest -> assertThat(latest).isGreaterThan(ten.expected()));
    }

    @Test
    void a_target_beyond_what_meat_can_lose_is_never_reached() {
        assertThat(Forecast.of(loin(), Belief.ESTIMATES, List.of(), DIVISION).reaches(0.65))
                .isEmpty();
    }

    @Test
    void a_piece_in_a_vacuum_bag_gives_off_a_little_juice_and_one_on_ice_none() {
        Surface surface = Surface.bare(0.2);
        Climate fridge = Climate.constant(new Air(3, 0.6, 0.1));
        WaterLoss bag = new Hanging(6000, surface, false, Method.VACUUM, Coating.NONE, 1).dryingIn(fridge);
        WaterLoss ice = new Hanging(6000, surface, false, Method.ON_ICE, Coating.NONE, 1).dryingIn(fridge);
        assertThat(bag.on(21, Parameters.NONE).fraction()).isCloseTo(0.015, within(1e-9));
        assertThat(Forecast.of(ice, Belief.ESTIMATES, List.of(), DIVISION)
                        .on(14)
                        .lost())
                .isZero();
    }

    @Nested
    class A_weighing {
        private final Forecast forecast =
                Forecast.of(loin(), Belief.ESTIMATES, weighings(loin(), Parameters.NONE, 5, new Random(11)), DIVISION);

        @Test
        void as_expected_is_no_surprise() {
            double expected = loin().on(28, Parameters.NONE).fraction();
            assertThat(forecast.surprise(new Observed(28, expected))).isBetween(-2.0, 2.0);
        }

        @Test
        void of_the_wrong_piece_is_one() {
            assertThat(forecast.surprise(new Observed(28, 0.30))).isGreaterThan(2.5);
            assertThat(forecast.surprise(new Observed(28, 0.02))).isLessThan(-2.5);
        }
    }

    @Nested
    class A_drift {
        /** Weighings of a piece whose resistance changes by a factor on day 14. */
        private List<Observed> changed(double factor, Random random) {
            List<Observed> seen = new ArrayList<>();
            double offset = 0;
            WaterLoss loss = loin();
            for (int day : new int[] {1, 3, 7, 10, 14, 17, 21, 24, 28, 31, 35}) {
                if (day > 14) {
                    offset += (loss.on(day, Parameters.NONE).fraction()
                                    - loss.on(day - 3.5, Parameters.NONE).fraction())
                            * (factor - 1);
                }
                Observed plain = weighed(loss, day, Parameters.NONE, random);
                seen.add(new Observed(day, plain.lost() + offset));
            }
            return seen;
        }

        @Test
        void is_seen_when_a_seal_opens_or_the_air_stands_still() {
            for (int seed = 1; seed <= 20; seed++) {
                assertThat(Drift.of(loin(), Belief.ESTIMATES, changed(2.2, new Random(seed)), DIVISION))
                        .isEqualTo(Drift.TOO_FAST);
                assertThat(Drift.of(loin(), Belief.ESTIMATES, changed(0.1, new Random(seed)), DIVISION))
                        .isEqualTo(Drift.TOO_SLOW);
            }
        }

        /**
         * A CUSUM of k 0.5 and h 4 runs for 168 observations on average before a false alarm (Hawkins &amp; Olwell 1998, from
         * memory): of 300 pieces with eight counted weighings each at most 300·8/168 = 14 are to raise one.
         */
        @Test
        void is_not_seen_in_pieces_that_dry_as_the_model_says() {
            int alarms = 0;
            Random random = new Random(5);
            for (int piece = 0; piece < 300; piece++) {
                List<Observed> seen = weighings(loin(), drawn(random), 10, random);
                alarms += Drift.of(loin(), Belief.ESTIMATES, seen, DIVISION) == Drift.NONE ? 0 : 1;
            }
            assertThat(alarms).isLessThanOrEqualTo(14);
        }

        @Test
        void is_not_raised_by_one_wet_weighing() {
            List<Observed> seen = new ArrayList<>(weighings(loin(), Parameters.NONE, 6, new Random(2)));
            seen.set(3, new Observed(seen.get(3).day(), seen.get(3).lost() - 0.05));
            assertThat(Drift.of(loin(), Belief.ESTIMATES, seen.subList(0, 4), DIVISION))
                    .isEqualTo(Drift.NONE);
        }
    }

    @Nested
    class A_shop {
        private List<WeighingEvidence> finished(Parameters place, int count, Random random) {
            List<WeighingEvidence> evidence = new ArrayList<>();
            for (int piece = 0; piece < count; piece++) {
                Parameters own = new Parameters(
                        place.resistance() + random.nextGaussian() * 0.5 * Estimates.RESISTANCE_SD,
                        place.crust() + random.nextGaussian() * 0.5 * Estimates.CRUST_SD);
                evidence.add(Learning.from(loin(), weighings(loin(), own, 8, random), DIVISION));
            }
            return evidence;
        }

        @Test
        void that_has_finished_nothing_believes_the_estimates() {
            assertThat(Learning.prior(List.of())).isEqualTo(Belief.ESTIMATES);
        }

        @Test
        void learns_how_its_own_chamber_dries_and_grows_surer_with_each_piece() {
            Parameters place = new Parameters(0.45, -0.2);
            for (int count : new int[] {1, 4, 16}) {
                Belief prior = Learning.prior(finished(place, count, new Random(41)));
                assertThat(prior.pieces()).isEqualTo(count);
                assertThat(prior.varianceResistance()).isLessThan(Belief.ESTIMATES.varianceResistance());
            }
            Belief taught = Learning.prior(finished(place, 16, new Random(41)));
            assertThat(taught.mean().resistance()).isCloseTo(0.45, within(0.15));
            assertThat(taught.varianceResistance())
                    .as("what differs from piece to piece stays")
                    .isGreaterThan(0.12 * Belief.ESTIMATES.varianceResistance());
        }

        /** Pieces that lie 1.6 times as far apart as the estimates say, and others that lie half as far. */
        @ParameterizedTest(name = "{0} times as far apart: between {1} and {2}")
        @CsvSource({"1.6, 1.25, 2.0", "0.5, 0.3, 0.8"})
        void learns_how_far_its_pieces_lie_apart(double times, double least, double most) {
            Random random = new Random(17);
            List<WeighingEvidence> evidence = new ArrayList<>();
            for (int piece = 0; piece < 30; piece++) {
                Parameters own = new Parameters(
                        random.nextGaussian() * times * Estimates.PIECE_SHARE * Estimates.RESISTANCE_SD,
                        random.nextGaussian() * times * Estimates.PIECE_SHARE * Estimates.CRUST_SD);
                evidence.add(Learning.from(loin(), weighings(loin(), own, 8, random), DIVISION));
            }
            assertThat(Learning.taught(evidence).scatter()).isBetween(least, most);
        }

        /** Pulled at its green weight, and waved through: of eight pieces one that did not dry at all. */
        @Test
        void leaves_out_a_piece_that_contradicts_the_rest() {
            List<WeighingEvidence> evidence = finished(new Parameters(0.2, 0), 8, new Random(4));
            Forecast.Day before = Forecast.of(loin(), Learning.prior(evidence), List.of(), DIVISION)
                    .on(28);
            List<WeighingEvidence> more = new ArrayList<>(evidence);
            more.add(3, Learning.from(loin(), List.of(new Observed(28, 0)), DIVISION));
            Learning.Taught taught = Learning.taught(more);
            assertThat(taught.leftOut()).containsExactly(3);
            assertThat(Forecast.of(loin(), taught.prior(), List.of(), DIVISION)
                            .on(28)
                            .lost())
                    .isCloseTo(before.lost(), within(0.001));
            assertThat(Learning.taught(evidence).leftOut()).isEmpty();
        }

        @Test
        void whose_pieces_say_nothing_learns_nothing() {
            WeighingEvidence silent = Learning.from(loin(), List.of(), DIVISION);
            Belief prior = Learning.prior(List.of(silent, silent));
            assertThat(prior.varianceResistance()).isCloseTo(Belief.ESTIMATES.varianceResistance(), within(1e-9));
        }

        /** Worked by hand: sd 0.2, half of it from piece to piece: 1/0.03 + 4/0.01 = 433.33; 1.2·100/4·4/433.33. */
        @Test
        void shrinks_what_it_found_towards_the_estimate() {
            Learnt learnt = Learning.towardsZero(List.of(0.3, 0.3, 0.3, 0.3), 0.2);
            assertThat(learnt.value()).isCloseTo(120 / 433.3333, within(1e-4));
            assertThat(learnt.sd()).isCloseTo(Math.sqrt(1 / 433.3333 + 0.01), within(1e-6));
            assertThat(Learning.towardsZero(List.of(), 0.2).sd()).isCloseTo(0.2, within(1e-12));
        }
    }
}
