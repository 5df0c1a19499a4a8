package elvaro.core.cut;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.MethodSource;

class CutCatalogueTest {

    static Stream<Cut> cuts() {
        return CutCatalogue.all().stream();
    }

    @ParameterizedTest(name = "{0}")
    @MethodSource("cuts")
    void a_cut_is_what_a_cut_can_be(Cut cut) {
        assertThat(cut.code()).matches("[a-z]+(-[a-z]+)*");
        assertThat(cut.name()).isNotBlank();
        assertThat(cut.leastGrams()).isPositive().isLessThan(cut.mostGrams());
        assertThat(cut.boneShare()).as("a frame for stock is mostly bone").isBetween(0.0, 0.75);
        assertThat(cut.weightIsUsual(cut.leastGrams())).isTrue();
        assertThat(cut.weightIsUsual(cut.mostGrams() + 1)).isFalse();
        assertThat(CutCatalogue.find(cut.code())).contains(cut);
    }

    @Test
    void no_two_cuts_share_a_code_a_name_or_an_item_number() {
        List<Cut> all = CutCatalogue.all();
        assertThat(all).extracting(Cut::code).doesNotHaveDuplicates();
        assertThat(all).extracting(Cut::name).doesNotHaveDuplicates();
        assertThat(all.stream().map(Cut::imps).flatMap(Optional::stream)).doesNotHaveDuplicates();
    }

    @ParameterizedTest
    @EnumSource(Species.class)
    void every_animal_has_a_cut(Species species) {
        assertThat(cuts()).anyMatch(cut -> cut.species() == species);
        assertThat(species.label()).isNotBlank();
    }

    /** Institutional Meat Purchase Specifications, USDA, item numbers from memory. */
    @ParameterizedTest(name = "{0}: item {1}")
    @CsvSource({
        "rib-bone-in, 107",
        "ribeye, 112A",
        "strip, 180",
        "strip-bone-in, 175",
        "tenderloin, 189",
        "short-loin, 174"
    })
    void the_common_subprimals_carry_their_item_numbers(String code, String item) {
        assertThat(CutCatalogue.get(code).imps()).contains(item);
    }

    @Test
    void a_cut_nobody_knows_is_named_in_the_refusal() {
        assertThatThrownBy(() -> CutCatalogue.get("unicorn")).hasMessageContaining("unicorn");
        assertThat(CutCatalogue.find("unicorn")).isEmpty();
    }

    /** Reference section 3: A = c·(m/1060)^⅔; by hand 8 kg of a long subprimal: 6.5 · 0.03848 = 0.2501 m². */
    @Test
    void a_surface_follows_from_weight_and_shape() {
        assertThat(SurfaceClass.LONG_SUBPRIMAL.squareMetres(8000)).isCloseTo(0.2501, within(0.0001));
        assertThatThrownBy(() -> SurfaceClass.FLAT_CUT.squareMetres(0)).hasMessageContaining("above 0 g");
    }

    @ParameterizedTest
    @EnumSource(SurfaceClass.class)
    void eight_times_the_weight_has_four_times_the_surface(SurfaceClass shape) {
        assertThat(shape.squareMetres(8000)).isCloseTo(4 * shape.squareMetres(1000), within(1e-9));
    }
}
