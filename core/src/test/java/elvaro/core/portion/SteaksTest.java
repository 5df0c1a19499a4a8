package elvaro.core.portion;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import elvaro.core.cut.CutCatalogue;
import elvaro.core.portion.Steaks.Trimmed;
import elvaro.core.portion.SteaksCut.Container;
import java.util.List;
import java.util.Random;
import java.util.stream.LongStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

class SteaksTest {

    /** By hand: 400 mm of 4000 g, ends of 20 mm: 360 mm to slice. A knife takes nothing, the saw 2 mm at each cut. */
    @ParameterizedTest(name = "{0} mm with a kerf of {1} mm: {2} steaks of {3} g")
    @CsvSource({"30, 0, 12, 300", "30, 2, 11, 300", "25, 0, 14, 250", "38, 2, 9, 380", "400, 0, 0, 4000"})
    void counts_what_fits_between_the_ends(double thickness, double kerf, int count, double each) {
        Steaks steaks = Steaks.ofThickness(new Trimmed(4000, 400, kerf, 20), thickness);
        assertThat(steaks.count()).isEqualTo(count);
        assertThat(steaks.gramsEach()).isCloseTo(each, within(1e-9));
        assertThat(steaks.endsGrams()).isCloseTo(400, within(1e-9));
    }

    static LongStream seeds() {
        return LongStream.range(1, 101);
    }

    @ParameterizedTest(name = "seed {0}")
    @MethodSource("seeds")
    void the_piece_is_shared_out_whole_and_weight_asked_for_is_weight_given(long seed) {
        Random random = new Random(seed);
        Trimmed piece = new Trimmed(
                500 + random.nextInt(9000), 100 + random.nextInt(600), random.nextInt(4), random.nextInt(30));
        Steaks steaks = Steaks.ofWeight(piece, 150 + random.nextInt(400));
        Steaks again = Steaks.ofThickness(piece, steaks.thicknessMm());
        assertThat(steaks.count() * steaks.gramsEach() + steaks.endsGrams() + steaks.leftOverGrams())
                .isCloseTo(piece.grams(), within(1e-6));
        assertThat(steaks.leftOverGrams()).isGreaterThanOrEqualTo(-1e-6);
        assertThat(again.gramsEach()).isCloseTo(steaks.gramsEach(), within(1e-6));
    }

    /** 1060 kg/m³: 4.24 kg over a cross-section of 0.01 m² are 400 mm long. */
    @Test
    void a_piece_known_by_its_cross_section_has_the_length_its_weight_gives() {
        assertThat(Trimmed.across(4240, 0.01, 0, 0).lengthMm()).isCloseTo(400, within(1e-9));
    }

    /**
     * A rib roast of 3.25 lb, of which 60 % is left after 12 % of water: its face is that of a rib, not that of a small roast.
     * By hand: 1474 g on 150 cm² are 92.7 mm, with the water gone 88.8, trimmed 75.8; 884 g over that are 11.7 g a mm.
     */
    @Test
    void a_short_roast_gives_few_steaks_of_the_size_of_its_cut() {
        Trimmed roast = Trimmed.usual(CutCatalogue.get("ribeye"), 1474, 884, 0.12, 6.5, 0, 0);
        assertThat(roast.lengthMm()).isCloseTo(75.8, within(0.2));
        Steaks steaks = Steaks.ofThickness(roast, 30);
        assertThat(steaks.count()).isEqualTo(2);
        assertThat(steaks.gramsEach()).isCloseTo(350, within(2.0));
    }

    @Test
    void what_cannot_be_sliced_is_refused() {
        assertThatThrownBy(() -> new Trimmed(1000, 0, 0, 0)).isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> Steaks.ofThickness(new Trimmed(1000, 200, 0, 0), 0))
                .hasMessageContaining("thicker than 0 mm");
        assertThatThrownBy(() -> Steaks.ofWeight(new Trimmed(0, 200, 0, 0), 200))
                .hasMessageContaining("more than 0 g");
    }

    /**
     * Kitchen arithmetic as its textbooks teach it, portions = edible weight / portion (from memory): a trimmed tenderloin
     * of 5 lb 8 oz gives fourteen six-ounce steaks, and 4 oz are left.
     */
    @Test
    void portions_are_the_edible_weight_over_the_portion() {
        double ounce = 28.349523125;
        Steaks steaks = Steaks.ofWeight(new Trimmed(88 * ounce, 450, 0, 0), 6 * ounce);
        assertThat(steaks.count()).isEqualTo(14);
        assertThat(steaks.leftOverGrams()).isCloseTo(4 * ounce, within(1e-6));
    }

    /** By hand: 380, 395 and 410 g have a mean of 395 and a standard deviation of 15. */
    @Test
    void steaks_cut_are_counted_weighed_and_told_from_roasts() {
        SteaksCut cut = SteaksCut.of(List.of(
                new Container(380, 1),
                new Container(395, 1),
                new Container(410, 1),
                new Container(790, 2),
                new Container(900, 0),
                new Container(500, Container.UNCOUNTED)));
        assertThat(cut.count()).isEqualTo(5);
        assertThat(cut.gramsEach()).hasValue(395);
        assertThat(cut.spreadGrams().orElseThrow()).isCloseTo(15, within(1e-9));
        assertThat(cut.roastGrams()).isEqualTo(900);
        assertThat(cut.uncountedGrams()).isEqualTo(500);
        assertThat(SteaksCut.of(List.of(new Container(380, 1))).spreadGrams()).isEmpty();
        assertThatThrownBy(() -> new Container(0, 1)).hasMessageContaining("more than 0 g");
    }

    /** Whatever the containers, each gram is a steak's, a roast's or nobody's, and the mean lies among the steaks. */
    @ParameterizedTest(name = "seed {0}")
    @MethodSource("seeds")
    void no_gram_of_what_was_cut_is_lost(long seed) {
        Random random = new Random(seed);
        List<Container> containers = random.ints(1 + random.nextInt(20), 50, 2000)
                .mapToObj(grams -> new Container(grams, random.nextInt(5) - 1))
                .toList();
        SteaksCut cut = SteaksCut.of(containers);
        int all = containers.stream().mapToInt(Container::grams).sum();
        double counted = cut.gramsEach().orElse(0) * cut.count();
        assertThat(counted + cut.roastGrams() + cut.uncountedGrams()).isCloseTo(all, within(1e-6));
        assertThat(cut.gramsEach().isPresent()).isEqualTo(cut.count() > 0);
        List<Integer> singles = containers.stream()
                .filter(container -> container.steaks() == 1)
                .map(Container::grams)
                .toList();
        assertThat(cut.spreadGrams().isPresent()).isEqualTo(singles.size() > 1);
        assertThat(cut.spreadGrams().orElse(0)).isNotNegative();
    }
}
