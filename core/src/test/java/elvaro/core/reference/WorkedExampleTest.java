package elvaro.core.reference;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import elvaro.core.air.Air;
import elvaro.core.air.Climate;
import elvaro.core.cost.DayToStop;
import elvaro.core.cost.PriceByAge;
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
import elvaro.core.plan.Outlook;
import elvaro.core.yield.BenchOrder;
import elvaro.core.yield.TrimModel;
import java.util.List;
import org.junit.jupiter.api.Test;

/**
 * The worked example of the guide, a striploin of 6 kg for 28 days, worked with a pocket calculator. Whoever changes a
 * figure here changes {@code web/src/guide/example.ts} too.
 */
class WorkedExampleTest {
    private final Air air = new Air(2, 0.80, 0.5);
    private final Cut strip = CutCatalogue.get("strip");
    private final Hanging hanging =
            new Hanging(6000, Surface.of(strip.surface(), 6000, 0, false), false, Method.OPEN_AIR, Coating.NONE, 1);

    @Test
    void the_surface_and_the_air_are_as_worked_by_hand() {
        assertThat(hanging.surface().squareMetres()).isCloseTo(0.2065, within(0.0001)); // 6.5 · (6/1060)^⅔
        assertThat(air.drivePascal(0.99)).isCloseTo(134.0, within(0.1)); // (0.99 − 0.80) · 705.5 Pa
        assertThat(air.filmResistance()).isCloseTo(478.1, within(0.1));
    }

    @Test
    void water_crust_steak_and_cost_are_as_worked_by_hand() {
        Outlook outlook = new Outlook(
                Forecast.of(hanging.dryingIn(Climate.constant(air)), Belief.ESTIMATES, List.of(), 5),
                TrimModel.of(strip, hanging, 0, BenchOrder.SLICE_FIRST),
                Estimates.STEAK_YIELD_SD,
                Climate.constant(air),
                strip.species(),
                new DayToStop(6000, Method.OPEN_AIR, 6 * 2200, 0, new ByProductPrices(900, 0, 0), PriceByAge.NONE));
        Outlook.OutlookDay day = outlook.days(28).get(28);
        // By hand M = (−678.1 + √(678.1² + 2 · 100 · 134.0 · 28))/100 = 4.22 kg/m², 0.871 kg. The model's approach to
        // the
        // equilibrium weight, left out by hand, takes half a gram of it.
        assertThat(day.weight().lost() * 6).isCloseTo(0.871, within(0.001));
        assertThat(outlook.trimModel().crustMm(day.weight().lost())).isCloseTo(6.22, within(0.02)); // 2 + 4.22
        // A box of 5.66 l with 0.2065 m² outside is 131.9 × 131.9 × 325.3 mm; 6.72 mm off every side leave 4.377 l.
        assertThat(day.section().crust() * 6).isCloseTo(1.360, within(0.002)); // 6 − 4.377 · 1.060
        assertThat(day.section().steak() * 6).isCloseTo(3.769, within(0.002)); // 6 − 0.871 − 1.360
        assertThat(day.stop().costPerKg().orElseThrow()).isCloseTo(3340.0, within(2.0)); // (132.00 − 6.12)/3.769
        assertThat(day.tenderness().orElseThrow()).isCloseTo(0.995, within(0.001)); // 1 − e^(−0.187 · 28)
    }
}
