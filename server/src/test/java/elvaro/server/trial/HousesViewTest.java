package elvaro.server.trial;

import static elvaro.core.working.Units.PLAIN;
import static org.assertj.core.api.Assertions.assertThat;

import elvaro.core.trial.TrialMeasure;
import elvaro.server.trial.HousesView.AskedArm;
import elvaro.server.trial.ProtocolFile.ArmResult;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** What several houses found by one protocol, in words. */
class HousesViewTest {
    private static HousesView told(TrialMeasure measure, List<Double> here, List<Double> there) {
        Map<String, List<ArmResult>> byHouse = new LinkedHashMap<>();
        byHouse.put("Brackenrow", List.of(new ArmResult("Honey", here, 0, 0, 0)));
        byHouse.put("Hollin", List.of(new ArmResult("honey", there, 0, 0, 0)));
        return HousesView.of(measure, List.of(new AskedArm("Honey", "Plain")), byHouse);
    }

    @Test
    void a_count_of_steaks_is_told_in_steaks_and_not_in_hundredths() {
        HousesView told = told(TrialMeasure.STEAKS, List.of(1.0, 2.0, 1.0), List.of(2.0, 1.0));
        assertThat(PLAIN.sentence(told.houses().get(0).sentence()))
                .startsWith("1.3 more ")
                .endsWith("against Plain, 3 pairs");
        assertThat(told.together())
                .allSatisfy(sentence -> assertThat(PLAIN.sentence(sentence))
                        .contains("2 houses together, 5 pairs")
                        .doesNotContainPattern("\\d\\d\\d"));
    }

    @Test
    void shares_are_told_in_points_and_costs_in_per_cent() {
        assertThat(PLAIN.sentence(told(TrialMeasure.SHRINK, List.of(-0.02), List.of(-0.02))
                        .houses()
                        .get(1)
                        .sentence()))
                .isEqualTo("2.0 points less shrink against Plain, one pair");
        assertThat(told(TrialMeasure.COST, List.of(Math.log(1.1)), List.of()).houses())
                .extracting(HousesView.HouseLine::sentence)
                .satisfiesExactly(
                        first -> assertThat(first).startsWith("10 % more "),
                        second -> assertThat(second).isEqualTo("not known"));
    }
}
