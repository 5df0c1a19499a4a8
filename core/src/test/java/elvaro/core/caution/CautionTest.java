package elvaro.core.caution;

import static elvaro.core.working.Units.PLAIN;
import static org.assertj.core.api.Assertions.assertThat;

import elvaro.core.cut.Species;
import java.util.Arrays;
import java.util.Locale;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

class CautionTest {

    @ParameterizedTest
    @EnumSource(Caution.class)
    void no_caution_says_that_anything_is_safe(Caution caution) {
        assertThat(caution.sentence().toLowerCase(Locale.ROOT)).endsWith(".").doesNotContainPattern("\\bsafe\\b");
        assertThat(caution.topic().source()).isNotBlank();
    }

    @ParameterizedTest
    @EnumSource(Topic.class)
    void every_topic_of_the_guide_says_something(Topic topic) {
        assertThat(Arrays.stream(Caution.values())).anyMatch(caution -> caution.topic() == topic);
    }

    /** USDA FSIS minimum temperatures and FDA Food Code 3-402.11, from memory. */
    @ParameterizedTest(name = "{0}: {1}")
    @CsvSource(delimiter = '|', textBlock = """
                    LEAST_CORES | beef 63 °C and three minutes’ rest; ground meat 71 °C; poultry and wildfowl 74 °C; fish 63 °C
                    PARASITES   | −20 °C for 7 days or −35 °C for 15 h
                    HELD_COLD   | at or below 5 °C. Elvaro aims at 0 to 3 °C
                    HISTAMINE   | at or below 4 °C
                    """)
    void the_figures_are_those_of_the_advice(Caution caution, String figures) {
        assertThat(PLAIN.sentence(caution.sentence())).contains(figures);
    }

    /** What the least cores say is what each species is held to. */
    @Test
    void the_least_cores_are_the_species_own() {
        String said = PLAIN.sentence(Caution.LEAST_CORES.sentence());
        assertThat(Species.values())
                .allSatisfy(species -> assertThat(said).contains(species.leastCoreCelsius() + " °C"));
    }
}
