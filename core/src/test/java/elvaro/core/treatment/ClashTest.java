package elvaro.core.treatment;

import static org.assertj.core.api.Assertions.assertThat;

import elvaro.core.drying.Coating;
import elvaro.core.drying.Method;
import elvaro.core.treatment.Clash.TreatmentPlan;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

class ClashTest {
    /** The trade's clashes and hazards, common practice, no source; the last rows are what must not be objected to. */
    @ParameterizedTest(name = "{0} by {1} with {2}, meat {3}: {4}")
    @CsvSource({
        "SOAKED_CLOTH, MEMBRANE, , , CLOTH_IN_MEMBRANE",
        "SOAKED_CLOTH, MEMBRANE, garlic, , CLOTH_IN_MEMBRANE GARLIC_UNDER_WRAP",
        "PASTE, MEMBRANE, garlic, , GARLIC_UNDER_WRAP",
        "PASTE, VACUUM, garlic oil, , GARLIC_IN_OIL COAT_IN_VACUUM",
        "FAT_SEAL, OPEN_AIR, garlic oil, , GARLIC_IN_OIL",
        "PASTE, FAT_SEAL, garlic, , GARLIC_UNDER_WRAP",
        "SPIRIT_SPRAY, OPEN_AIR, shared, , SPIRIT_IN_COMPANY",
        "SOAKED_CLOTH, OPEN_AIR, spirit shared, , SPIRIT_IN_COMPANY",
        "SUGAR_COAT, OPEN_AIR, , , SUGAR_HIDES_MOULD",
        "COLD_SMOKE, OPEN_AIR, , 4.1, WARM_MEAT_IN_SMOKE",
        "COLD_SMOKE, OPEN_AIR, , , SMOKE_UNMEASURED",
        "COLD_SMOKE, OPEN_AIR, , 4.0, ''",
        "SPIRIT_SPRAY, OPEN_AIR, , , ''",
        "SOAKED_CLOTH, OPEN_AIR, shared, , ''",
        "SOAKED_CLOTH, OPEN_AIR, garlic, , GARLIC_UNDER_COVER",
        "PASTE, OPEN_AIR, garlic oil shared, 9, GARLIC_IN_OIL_UNDER_COVER",
        "POWDERED_SMOKE, OPEN_AIR, shared, , SMOKE_IN_COMPANY",
        "LIQUID_SOAK, OPEN_AIR, garlic oil shared, 9, ''",
        "PASTE, MEMBRANE, oil, , ''",
    })
    void what_clashes_is_said_and_nothing_else(
            TreatmentKind kind, Method method, String with, Double celsius, String expected) {
        String words = with == null ? "" : with;
        assertThat(Clash.find(new TreatmentPlan(
                        kind,
                        method,
                        words.contains("garlic"),
                        words.contains("oil"),
                        words.contains("spirit"),
                        words.contains("shared"),
                        celsius == null ? OptionalDouble.empty() : OptionalDouble.of(celsius))))
                .containsExactlyElementsOf(
                        expected.isEmpty()
                                ? List.of()
                                : Arrays.stream(expected.split(" "))
                                        .map(Clash::valueOf)
                                        .sorted()
                                        .toList());
    }

    @ParameterizedTest
    @EnumSource(Method.class)
    void a_bare_piece_clashes_with_nothing_and_a_coated_one_as_the_kind_that_leaves_the_coat(Method method) {
        assertThat(Clash.ofCoat(Coating.NONE, method)).isEmpty();
        for (TreatmentKind kind : TreatmentKind.values()) {
            if (kind.coating() == Coating.NONE) {
                continue;
            }
            assertThat(Clash.find(new TreatmentPlan(kind, method, false, false, false, false, OptionalDouble.empty())))
                    .as(kind + " by " + method)
                    .containsAll(Clash.ofCoat(kind.coating(), method));
        }
    }

    @Test
    void every_question_has_a_key_of_its_own_and_nothing_is_called_safe() {
        assertThat(Arrays.stream(Clash.values()).map(clash -> clash.question().id()))
                .doesNotHaveDuplicates()
                .allMatch(id -> id.matches("clash(-[a-z]+)+") && id.length() <= 40); // as wide as its column
        assertThat(Arrays.stream(Clash.values()).map(Clash::reason))
                .allMatch(reason ->
                        reason.endsWith(".") && !reason.toLowerCase(Locale.ROOT).contains("safe"));
        assertThat(Arrays.stream(TreatmentKind.values())
                        .flatMap(kind -> kind.course().steps().stream().map(TreatmentStep::words)))
                .allMatch(words ->
                        words.endsWith(".") && !words.toLowerCase(Locale.ROOT).contains("safe"));
    }
}
