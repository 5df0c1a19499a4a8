package elvaro.server.tasting;

import static org.assertj.core.api.Assertions.assertThat;

import elvaro.core.cooking.Heat;
import elvaro.core.tasting.Attribute;
import elvaro.core.tasting.TastingKind;
import elvaro.server.tasting.TastingForm.SampleForm;
import elvaro.server.tasting.TastingForm.TasterForm;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class HintsTest {

    private static TastingForm form(
            TastingKind kind, List<String> samples, int tasters, int rounds, Attribute... scored) {
        return new TastingForm(
                "Is the buckwheat honey liked?",
                kind,
                rounds,
                List.of(scored),
                samples.stream()
                        .map(name -> new SampleForm(UUID.randomUUID(), name, null, null, 30, false, null))
                        .toList(),
                IntStream.range(0, tasters)
                        .mapToObj(each -> new TasterForm(UUID.randomUUID(), null, "Taster " + each))
                        .toList(),
                null,
                Heat.PAN,
                55.0,
                null,
                null,
                5,
                "");
    }

    /** Common practice, no source: a word shared with a sample's name, whole or begun, is one too many. */
    @ParameterizedTest
    @CsvSource({
        "honey, true",
        "Honeyed crust, true",
        "like porcini, true",
        "porcin, true",
        "buckwheat, true",
        "nutty, false",
        "sweet, false",
        "a bit of straw, false",
        "hon, false",
        "flavour, false"
    })
    void words_by_which_a_sample_could_be_known_are_noticed(String word, boolean tells) {
        Set<String> telling =
                Hints.telling(Stream.of("Is the buckwheat honey liked?", "Honey-coat 2B", "Porcini flavour"));
        assertThat(Hints.tells(word, telling)).isEqualTo(tells);
    }

    @Test
    void an_attribute_that_names_a_sample_is_pointed_at_and_the_usual_ones_are_not() {
        Attribute own = new Attribute("own", "Honey note", "none", "strong");
        List<String> hints = Hints.of(form(
                TastingKind.SCORES,
                List.of("Honey", "Plain"),
                6,
                1,
                own,
                Attribute.USUAL.get(1),
                Attribute.USUAL.get(3)));
        assertThat(hints).singleElement().asString().contains("“Honey note” tells the tasters");
    }

    @Test
    void plates_that_do_not_come_out_even_and_too_many_of_them_are_said() {
        assertThat(Hints.of(form(TastingKind.PAIRED, List.of("A1", "B1"), 6, 1)))
                .isEmpty();
        assertThat(Hints.of(form(TastingKind.PAIRED, List.of("A1", "B1"), 5, 1)))
                .singleElement()
                .asString()
                .startsWith("Orders come out even with 2, 4 or 6 plates; with 5");
        assertThat(Hints.of(form(TastingKind.TRIANGLE, List.of("A1", "B1"), 4, 3)))
                .hasSize(1);
        assertThat(Hints.of(form(TastingKind.RANKING, List.of("A1", "B1", "C1", "D1", "E1", "F1"), 6, 2)))
                .singleElement()
                .asString()
                .startsWith("12 servings tire a tongue.");
    }
}
