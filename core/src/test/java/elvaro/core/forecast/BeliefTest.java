package elvaro.core.forecast;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import elvaro.core.air.Air;
import elvaro.core.air.Climate;
import elvaro.core.drying.AirDrying;
import elvaro.core.drying.Parameters;
import elvaro.core.drying.Skin;
import elvaro.core.drying.Surface;
import elvaro.core.drying.WaterLoss;
import elvaro.core.estimate.Estimates;
import elvaro.core.forecast.Learning.WeighingEvidence;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class BeliefTest {
    private static final int DIVISION = 5;

    private static WaterLoss loin() {
        return new AirDrying(8000, Surface.bare(0.23), false, Climate.constant(new Air(2, 0.80, 0.5)), Skin.bare());
    }

    @Test
    void precision_is_the_inverse_of_the_covariance() {
        Belief belief = new Belief(Parameters.NONE, 0.04, -0.03, 0.09, 0);
        double[] p = belief.precision();
        assertThat(p[0] * 0.04 + p[1] * -0.03).isCloseTo(1, within(1e-12));
        assertThat(p[0] * -0.03 + p[1] * 0.09).isCloseTo(0, within(1e-12));
        assertThat(p[1] * -0.03 + p[2] * 0.09).isCloseTo(1, within(1e-12));
    }

    @ParameterizedTest(name = "{0}, {1}, {2}")
    @CsvSource({"0, 0, 1", "1, 0, 0", "-1, 0, 1", "1, 1, 1", "1, 2, 1", "NaN, 0, 1"})
    void a_belief_that_cannot_be_is_refused(double resistance, double covariance, double crust) {
        assertThatThrownBy(() -> new Belief(Parameters.NONE, resistance, covariance, crust, 0))
                .hasMessageContaining("Variances are above 0");
    }

    /** The delta method against ten thousand draws: the spread of what is lost by day 28 before anything was weighed. */
    @Test
    void the_spread_by_slopes_is_the_spread_of_drawn_pieces() {
        WaterLoss loss = loin();
        Random random = new Random(99);
        double sum = 0;
        double squares = 0;
        int draws = 10_000;
        for (int draw = 0; draw < draws; draw++) {
            double lost = Math.log(loss.on(
                            28,
                            new Parameters(
                                    random.nextGaussian() * Estimates.RESISTANCE_SD,
                                    random.nextGaussian() * Estimates.CRUST_SD))
                    .fraction());
            sum += lost;
            squares += lost * lost;
        }
        double drawn = Math.sqrt(squares / draws - Math.pow(sum / draws, 2));
        WaterLoss.Lost at = loss.on(28, Parameters.NONE);
        double slopes = Math.sqrt(Belief.ESTIMATES.variance(at.byResistance(), at.byCrust())) / at.fraction();
        assertThat(slopes).isCloseTo(drawn, within(0.02));
    }

    @Test
    void where_nothing_was_weighed_what_was_thought_before_stays() {
        assertThat(Fit.of(loin(), DIVISION).posterior(Belief.ESTIMATES, List.of()))
                .isSameAs(Belief.ESTIMATES);
        assertThat(Fit.of(loin(), DIVISION).posterior(Belief.ESTIMATES, List.of(new Observed(0, 0))))
                .as("the green weight says nothing about the drying")
                .isSameAs(Belief.ESTIMATES);
    }

    /** By hand: 5 g on 8 kg hides 5/√12 = 1.443 g, 0.00018 of it; with 0.002 of handling 0.002008. */
    @Test
    void a_weighing_is_off_by_its_division_and_by_handling() {
        assertThat(Fit.weighingSd(8000, 5)).isCloseTo(0.002008, within(1e-6));
        assertThat(Fit.weighingSd(500, 20)).isCloseTo(Math.hypot(20 / Math.sqrt(12) / 500, 0.002), within(1e-12));
    }

    @Test
    void weighings_beyond_all_reason_leave_a_forecast_that_can_still_be_read() {
        List<Observed> absurd = List.of(new Observed(1, 0.4), new Observed(2, -0.3), new Observed(3, 0.9));
        Forecast.Day day =
                Forecast.of(loin(), Belief.ESTIMATES, absurd, DIVISION).on(28);
        assertThat(day.least()).isBetween(0.0, day.lost());
        assertThat(day.most()).isBetween(day.lost(), 0.95);
    }

    static java.util.stream.LongStream seeds() {
        return java.util.stream.LongStream.range(1, 201);
    }

    /** A wrong piece, a wrong unit, a slip of the finger: whatever is typed, the forecast comes back and can be drawn. */
    @ParameterizedTest(name = "seed {0}")
    @org.junit.jupiter.params.provider.MethodSource("seeds")
    void no_weighing_whatever_it_says_stops_the_forecast(long seed) {
        Random random = new Random(seed);
        List<Observed> observed = new ArrayList<>();
        for (int weighing = 0; weighing < 1 + random.nextInt(12); weighing++) {
            observed.add(new Observed(random.nextDouble() * 350, random.nextDouble() * 1.5 - 0.5));
        }
        Forecast forecast = Forecast.of(loin(), Belief.ESTIMATES, observed, DIVISION);
        assertThat(forecast.daily(60)).allSatisfy(day -> {
            assertThat(day.lost()).isBetween(0.0, 0.62);
            assertThat(day.least()).isLessThanOrEqualTo(day.lost());
            assertThat(day.most()).isGreaterThanOrEqualTo(day.lost());
            assertThat(day.sd()).isPositive();
        });
        assertThat(Drift.of(loin(), Belief.ESTIMATES, observed, DIVISION)).isNotNull();
    }

    /**
     * The promise of the band where the shop has learnt: chambers that differ from the estimates as the estimates say
     * chambers may, pieces in them as pieces may, and the next piece forecast from the finished ones alone.
     */
    @ParameterizedTest(name = "after {0} finished pieces")
    @ValueSource(ints = {1, 3, 8})
    void a_band_that_rests_on_finished_pieces_holds_what_it_promises(int finished) {
        Random random = new Random(4 + finished);
        WaterLoss loss = loin();
        double shared = Math.sqrt(1 - Estimates.PIECE_SHARE * Estimates.PIECE_SHARE);
        int held = 0;
        int places = 400;
        for (int place = 0; place < places; place++) {
            double resistance = random.nextGaussian() * shared * Estimates.RESISTANCE_SD;
            double crust = random.nextGaussian() * shared * Estimates.CRUST_SD;
            List<WeighingEvidence> evidence = new ArrayList<>();
            for (int piece = 0; piece < finished; piece++) {
                evidence.add(Learning.from(loss, weighed(loss, own(resistance, crust, random), random), DIVISION));
            }
            Parameters next = own(resistance, crust, random);
            Forecast.Day day = Forecast.of(loss, Learning.prior(evidence), List.of(), DIVISION)
                    .on(35);
            double future = loss.on(35, next).fraction() + random.nextGaussian() * Fit.weighingSd(8000, DIVISION);
            held += future >= day.least() && future <= day.most() ? 1 : 0;
        }
        assertThat((double) held / places).isBetween(0.70, 0.92);
    }

    private static Parameters own(double resistance, double crust, Random random) {
        return new Parameters(
                resistance + random.nextGaussian() * Estimates.PIECE_SHARE * Estimates.RESISTANCE_SD,
                crust + random.nextGaussian() * Estimates.PIECE_SHARE * Estimates.CRUST_SD);
    }

    private static List<Observed> weighed(WaterLoss loss, Parameters truth, Random random) {
        List<Observed> observed = new ArrayList<>();
        for (int day : new int[] {3, 7, 14, 21, 28, 35}) {
            double noise = random.nextGaussian() * Fit.weighingSd(8000, DIVISION);
            observed.add(new Observed(day, loss.on(day, truth).fraction() + noise));
        }
        return observed;
    }
}
