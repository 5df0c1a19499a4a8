package elvaro.server.treatment;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import elvaro.server.support.Api.Answer;
import elvaro.server.support.RunningApp;
import elvaro.server.support.RunningApp.Someone;
import java.util.HashMap;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

@ExtendWith(RunningApp.class)
class TreatmentIT {
    private static Answer scaled(Someone owner, String kind, Map<String, ?> more) {
        Map<String, Object> body = new HashMap<>(Map.of(
                "kind", kind, "cutCode", "strip", "grams", 3_400, "method", "VACUUM", "rawGarlicOrHerbs", false));
        body.putAll(Map.of("oil", false, "spirit", false, "sharedChamber", false));
        body.putAll(more);
        return owner.client().post("/api/treatments/scaled", body);
    }

    /** 6.6 mL a kilogram on 3.4 kg is 22.44 mL; the label allows 7.389 mL, by hand. */
    @Test
    void a_dose_is_told_in_every_measure_and_beside_the_label(Someone owner) {
        JsonNode answer = scaled(
                        owner, "LIQUID_SMOKE", Map.of("amount", 6.6, "measure", "MILLILITRE", "basis", "KILOGRAM"))
                .body();
        assertThat(answer.path("amounts")
                        .valueStream()
                        .map(each -> each.path("symbol").asString()))
                .containsExactly("mL", "tsp", "tbsp");
        assertThat(answer.path("amounts").path(0).path("amount").asDouble()).isCloseTo(22.44, within(1e-9));
        assertThat(answer.path("timesLabel").asDouble()).isCloseTo(3.037, within(0.001));
        assertThat(answer.path("overLabel").asBoolean()).isTrue();
    }

    @Test
    void what_clashes_is_answered_and_a_wrong_dose_is_named(Someone owner) {
        assertThat(scaled(owner, "PASTE", Map.of("rawGarlicOrHerbs", true, "oil", true))
                        .body()
                        .path("clashes")
                        .valueStream()
                        .map(each -> each.path("clash").asString()))
                .containsExactly("GARLIC_IN_OIL", "COAT_IN_VACUUM");
        Answer wrong = scaled(owner, "TABLE_BUTTER", Map.of("amount", 8, "measure", "TEASPOON", "basis", "PERCENT"));
        assertThat(wrong.body().path("field").asString()).isEqualTo("amount");
        Answer huge = scaled(owner, "PASTE", Map.of("amount", 1e308, "measure", "GRAM", "basis", "KILOGRAM"));
        assertThat(huge.body().path("field").asString()).isEqualTo("amount");
        assertThat(scaled(owner, "MOONSHINE", Map.of()).status()).isEqualTo(400);
    }
}
