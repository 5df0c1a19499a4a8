package elvaro.bench;

import elvaro.core.air.Air;
import elvaro.core.air.Climate;
import elvaro.core.air.Climate.Reading;
import elvaro.core.cost.DayToStop;
import elvaro.core.cost.PriceByAge;
import elvaro.core.cost.SteakCost.ByProductPrices;
import elvaro.core.cut.Cut;
import elvaro.core.cut.CutCatalogue;
import elvaro.core.drying.Coating;
import elvaro.core.drying.Hanging;
import elvaro.core.drying.Method;
import elvaro.core.drying.Parameters;
import elvaro.core.drying.Surface;
import elvaro.core.drying.WaterLoss;
import elvaro.core.estimate.Estimates;
import elvaro.core.forecast.Belief;
import elvaro.core.forecast.Drift;
import elvaro.core.forecast.Forecast;
import elvaro.core.forecast.Observed;
import elvaro.core.plan.Outlook;
import elvaro.core.yield.BenchOrder;
import elvaro.core.yield.TrimModel;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;

/** One piece of 6 kg with 20 weighings over 60 days of hourly air: its forecast, its drift, and a plan drawn afresh. */
@State(Scope.Thread)
@BenchmarkMode(Mode.SampleTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 3, time = 3)
@Measurement(iterations = 5, time = 3)
@Fork(1)
public class ForecastBenchmark {
    private static final int DAYS = 60;
    private static final int WEIGHINGS = 20;
    private static final int DIVISION = 5;

    private Hanging hanging;
    private Climate recorded;
    private List<Observed> weighings;

    @Setup
    public void hang() {
        Random random = new Random(20_261_124);
        Cut strip = CutCatalogue.get("strip");
        hanging =
                new Hanging(6000, Surface.of(strip.surface(), 6000, 5, false), false, Method.OPEN_AIR, Coating.NONE, 1);
        List<Reading> hours = new ArrayList<>();
        for (int hour = 0; hour < DAYS * 24; hour++) {
            double humidity = 0.80 + 0.03 * random.nextGaussian();
            hours.add(new Reading(
                    hour / 24.0,
                    new Air(2 + 0.4 * random.nextGaussian(), Math.max(0.5, Math.min(0.95, humidity)), 0.5)));
        }
        recorded = Climate.of(hours);
        WaterLoss truth = hanging.dryingIn(recorded);
        weighings = new ArrayList<>();
        for (int weighing = 1; weighing <= WEIGHINGS; weighing++) {
            double day = weighing * (double) DAYS / WEIGHINGS;
            double lost = truth.on(day, new Parameters(0.2, -0.1)).fraction();
            weighings.add(new Observed(day, lost + random.nextGaussian() * 0.002));
        }
    }

    /** From readings and weighings to the weight, with its band, on every day to the hundredth. */
    @Benchmark
    public List<Forecast.Day> forecast() {
        return Forecast.of(hanging.dryingIn(recorded), Belief.ESTIMATES, weighings, DIVISION)
                .daily(100);
    }

    @Benchmark
    public Drift drift() {
        return Drift.of(hanging.dryingIn(recorded), Belief.ESTIMATES, weighings, DIVISION);
    }

    /** What a slider of the plan asks for: sixty days of weight, yield, cost and tenderness in steady air. */
    @Benchmark
    public List<Outlook.OutlookDay> plan() {
        Climate steady = Climate.constant(new Air(2, 0.80, 0.5));
        return new Outlook(
                        Forecast.of(hanging.dryingIn(steady), Belief.ESTIMATES, List.of(), DIVISION),
                        TrimModel.of(CutCatalogue.get("strip"), hanging, 5, BenchOrder.SLICE_FIRST),
                        Estimates.STEAK_YIELD_SD,
                        steady,
                        CutCatalogue.get("strip").species(),
                        new DayToStop(
                                6000,
                                Method.OPEN_AIR,
                                13_000,
                                12,
                                new ByProductPrices(800, 200, 100),
                                PriceByAge.flat(6800)))
                .days(DAYS);
    }
}
