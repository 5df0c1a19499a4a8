package elvaro.core.plan;

import static org.assertj.core.api.Assertions.assertThat;

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
import elvaro.core.drying.Parameters;
import elvaro.core.drying.Surface;
import elvaro.core.estimate.Estimates;
import elvaro.core.forecast.Belief;
import elvaro.core.forecast.Drift;
import elvaro.core.forecast.Forecast;
import elvaro.core.forecast.Observed;
import elvaro.core.forecast.Surprise;
import elvaro.core.working.Quantity;
import elvaro.core.working.Working;
import elvaro.core.yield.BenchOrder;
import elvaro.core.yield.TrimModel;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What is said beside a number is that number, with where it comes from. */
class WorkingsTest {
    private static final Climate ROOM = Climate.constant(new Air(2, 0.80, 0.5));

    private static Outlook of(String code, Belief belief) {
        Cut cut = CutCatalogue.get(code);
        int grams = (cut.leastGrams() + cut.mostGrams()) / 2;
        Hanging hanging =
                new Hanging(grams, Surface.of(cut.surface(), grams, 5, false), false, Method.OPEN_AIR, Coating.NONE, 1);
        return new Outlook(
                Forecast.of(hanging.dryingIn(ROOM), belief, List.of(), 5),
                TrimModel.of(cut, hanging, 5, BenchOrder.TRIM_FIRST),
                Estimates.STEAK_YIELD_SD,
                ROOM,
                cut.species(),
                new DayToStop(grams, Method.OPEN_AIR, 9000, 20, new ByProductPrices(800, 200, 100), PriceByAge.NONE));
    }

    private static Map<String, Working> workings(Outlook outlook, Outlook.OutlookDay day) {
        return outlook.workings(day).stream().collect(Collectors.toMap(Working::name, Function.identity()));
    }

    @Test
    void every_working_has_its_formula_its_figures_and_its_source() {
        Outlook outlook = of("strip", Belief.ESTIMATES);
        Outlook.OutlookDay day = outlook.days(28).get(28);
        Map<String, Working> workings = workings(outlook, day);
        assertThat(workings.values())
                .allSatisfy(working -> assertThat(List.of(working.formula(), working.filled(), working.source()))
                        .noneMatch(String::isBlank));
        assertThat(workings.get("Weight ahead").filled())
                .contains(
                        Quantity.share(day.weight().lost()),
                        Quantity.temperature(2.0),
                        Quantity.share(0.8) + " RH",
                        "on day 28");
        assertThat(workings.get("Steak ahead").filled())
                .endsWith("= " + Quantity.share(day.section().steak()) + " of green");
        assertThat(workings.get("Crust").filled())
                .contains(Quantity.share(day.section().crust()), Quantity.length(2.0) + " deeper");
        assertThat(workings.get("Equivalent days").filled())
                .contains("28 days × %s at %s = %s days"
                        .formatted(Quantity.number(1.44, 2), Quantity.temperature(2.0), Quantity.number(40.3, 1)));
    }

    @Test
    void the_band_says_how_many_pieces_it_rests_on() {
        Outlook alone = of("strip", Belief.ESTIMATES);
        Outlook taught = of("strip", new Belief(new Parameters(0.1, 0), 0.05, 0, 0.1, 7));
        assertThat(workings(alone, alone.days(20).get(20)).get("80 % band").filled())
                .contains("no finished piece of this method and chamber yet");
        assertThat(workings(taught, taught.days(20).get(20)).get("80 % band").filled())
                .contains("7 finished pieces of this method and chamber");
    }

    @Test
    void nothing_is_claimed_of_a_birds_tenderness() {
        Outlook goose = of("goose", Belief.ESTIMATES);
        assertThat(workings(goose, goose.days(8).get(8))).doesNotContainKey("Tenderness");
    }

    @ParameterizedTest(name = "{0} on a {1}")
    @CsvSource({
        "TOO_FAST, MEMBRANE, the seal is open",
        "TOO_FAST, OPEN_AIR, the air is too dry",
        "TOO_SLOW, OPEN_AIR, the air is too damp or stands still"
    })
    void a_drift_is_said_with_its_likely_cause_and_what_to_do(Drift drift, Method method, String cause) {
        assertThat(drift.advice(method))
                .hasValueSatisfying(advice -> assertThat(advice).contains(cause, "Look at"));
        assertThat(Drift.NONE.advice(method)).isEmpty();
    }

    @ParameterizedTest(name = "{0} gone: {1}")
    @CsvSource({"0.40, That is less.", "0.001, That is more."})
    void a_surprise_says_what_was_expected_and_which_way_it_lies(double lost, String words) {
        Forecast forecast = of("strip", Belief.ESTIMATES).forecast();
        assertThat(Surprise.question(forecast, new Observed(28, lost), 5500, 200))
                .hasValueSatisfying(question -> {
                    assertThat(question.sentence()).contains("was expected", words);
                    assertThat(question.needsReason()).as("kept either way").isFalse();
                });
    }

    @Test
    void a_weight_within_its_band_raises_no_question() {
        Forecast forecast = of("strip", Belief.ESTIMATES).forecast();
        double expected = forecast.on(28).lost();
        assertThat(Surprise.question(forecast, new Observed(28, expected), 5500, 0))
                .isEqualTo(Optional.empty());
    }
}
