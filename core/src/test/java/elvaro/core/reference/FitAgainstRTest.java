package elvaro.core.reference;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import elvaro.core.air.Air;
import elvaro.core.air.Climate;
import elvaro.core.drying.AirDrying;
import elvaro.core.drying.Skin;
import elvaro.core.drying.Surface;
import elvaro.core.forecast.Belief;
import elvaro.core.forecast.Fit;
import elvaro.core.forecast.Observed;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import org.assertj.core.data.Percentage;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvFileSource;

/**
 * The fit against R 4.2's nls on three data sets with seeded noise. {@code fit.R}, beside the tables, writes the model down
 * a second time and makes both files.
 */
class FitAgainstRTest {

    private static List<Observed> weighings(String set) {
        try (var table = FitAgainstRTest.class.getResourceAsStream("/reference/fit-weighings.csv")) {
            return new String(table.readAllBytes(), StandardCharsets.UTF_8)
                    .lines()
                    .filter(line -> line.startsWith(set + ","))
                    .map(line -> line.split(","))
                    .map(cell -> new Observed(Double.parseDouble(cell[1]), Double.parseDouble(cell[2])))
                    .toList();
        } catch (IOException failure) {
            throw new IllegalStateException(failure);
        }
    }

    @ParameterizedTest(name = "{0}")
    @CsvFileSource(resources = "/reference/fit-expected.csv", numLinesToSkip = 1)
    void what_is_learnt_from_the_weighings_is_what_nls_learns(
            String set,
            int grams,
            double area,
            double celsius,
            double humidity,
            double speed,
            double skin,
            double resistance,
            double crust,
            double varianceResistance,
            double covariance,
            double varianceCrust) {
        var loss = new AirDrying(
                grams,
                Surface.bare(area),
                false,
                Climate.constant(new Air(celsius, humidity, speed)),
                new Skin(0.99, skin));
        Belief learnt = Fit.of(loss, 5).posterior(Belief.ESTIMATES, weighings(set));
        assertThat(learnt.mean().resistance()).isCloseTo(resistance, within(0.001));
        assertThat(learnt.mean().crust()).isCloseTo(crust, within(0.005));
        assertThat(learnt.varianceResistance()).isCloseTo(varianceResistance, Percentage.withPercentage(1));
        assertThat(learnt.covariance()).isCloseTo(covariance, Percentage.withPercentage(1));
        assertThat(learnt.varianceCrust()).isCloseTo(varianceCrust, Percentage.withPercentage(1));
    }
}
