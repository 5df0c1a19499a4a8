package elvaro.core.tasting;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;

class BestLikedTest {
    private static final Preference SELF = new Preference(0, 0, 0);

    private static Preference liked(int first, int second) {
        return new Preference(first, second, 0);
    }

    /** Three tasters: soaked, plain, plain with butter; all like the butter best. */
    @Test
    void three_of_three_make_a_winner_and_no_proof() {
        BestLiked best = BestLiked.of(List.of(
                        List.of(SELF, liked(1, 2), liked(0, 3)),
                        List.of(liked(2, 1), SELF, liked(0, 3)),
                        List.of(liked(3, 0), liked(3, 0), SELF)))
                .orElseThrow();
        assertThat(best.plate()).isEqualTo(2);
        assertThat(best.against()).isEqualTo(liked(3, 0));
        assertThat(best.p()).as("2·(1/2)³, three times over by Holm").isCloseTo(0.75, within(1e-12));
    }

    @Test
    void where_tastes_go_in_a_circle_nothing_wins() {
        assertThat(BestLiked.of(List.of(
                        List.of(SELF, liked(2, 1), liked(1, 2)),
                        List.of(liked(1, 2), SELF, liked(2, 1)),
                        List.of(liked(2, 1), liked(1, 2), SELF))))
                .isEmpty();
        assertThat(BestLiked.of(List.of(List.of(SELF)))).isEmpty();
    }

    @Test
    void a_finish_is_named_with_what_it_is_on() {
        assertThat(Finish.BUTTER.on("Plain")).isEqualTo("Plain with flavour butter");
        assertThat(Finish.NOTHING.on("Plain")).isEqualTo("Plain");
    }
}
