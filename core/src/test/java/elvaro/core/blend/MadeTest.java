package elvaro.core.blend;

import static elvaro.core.working.Units.PLAIN;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import elvaro.core.blend.Made.Product;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class MadeTest {

    /** What sticks to the grinder, and what is left of fat in the pot: common practice, no source. */
    @ParameterizedTest(name = "{0}: {2} g of {1} g, asked about: {3}")
    @CsvSource({
        "GRIND, 2000, 1990, false",
        "GRIND, 2000, 1900, true",
        "GRIND, 2000, 2005, true",
        "TALLOW, 1000, 720, false",
        "TALLOW, 1000, 950, true",
        "TALLOW, 1000, 400, true"
    })
    void an_unusual_yield_is_asked_about(Product product, int in, int out, boolean asked) {
        assertThat(new Made(product, in, out).question().isPresent()).isEqualTo(asked);
    }

    @Test
    void more_than_went_in_is_impossible_but_for_what_the_scale_explains() {
        assertThat(new Made(Product.GRIND, 2000, 2030).isImpossible(5, 3)).isFalse();
        assertThat(new Made(Product.GRIND, 2000, 2031).isImpossible(5, 3)).isTrue();
        assertThatThrownBy(() -> new Made(Product.GRIND, 0, 10)).isInstanceOf(IllegalArgumentException.class);
    }

    @Test
    void fat_gives_its_share_of_tallow_and_grind_gives_all() {
        assertThat(Made.expected(Product.TALLOW, 1000)).isEqualTo(720);
        assertThat(Made.expected(Product.GRIND, 1000)).isEqualTo(1000);
    }

    /** What the question says is what was weighed, and what is usual is said beside it. */
    @Test
    void the_question_names_both_weights_and_the_usual_share() {
        String sentence = PLAIN.sentence(
                new Made(Product.TALLOW, 1000, 950).question().orElseThrow().sentence());
        assertThat(sentence).contains("950 g of 1000 g is 95.0 %", "50.0 % to 92.0 % is usual");
        assertThat(new Made(Product.TALLOW, 1000, 950).question().orElseThrow().needsReason())
                .isFalse();
        assertThat(new Made(Product.TALLOW, 1000, 700).share()).isEqualTo(0.7);
        assertThat(Product.TALLOW.label()).isEqualTo("tallow");
    }
}
