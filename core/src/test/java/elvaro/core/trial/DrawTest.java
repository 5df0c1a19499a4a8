package elvaro.core.trial;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Collections;
import java.util.HashSet;
import java.util.List;
import java.util.stream.IntStream;
import java.util.stream.LongStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class DrawTest {

    @ParameterizedTest(name = "{1} parts for {0} arms")
    @CsvSource({"2, 2", "2, 6", "2, 7", "3, 9", "4, 6"})
    void every_arm_has_as_many_parts_give_or_take_one_and_every_block_holds_each_arm_once(int arms, int parts) {
        for (long seed = 0; seed < 200; seed++) {
            List<Integer> drawn = Draw.of(arms, parts, seed);
            assertThat(drawn).hasSize(parts);
            List<Integer> counts = IntStream.range(0, arms)
                    .mapToObj(arm -> Collections.frequency(drawn, arm))
                    .toList();
            assertThat(Collections.max(counts) - Collections.min(counts))
                    .isLessThanOrEqualTo(parts % arms == 0 ? 0 : 1);
            for (int from = 0; from < parts; from += arms) {
                List<Integer> block = drawn.subList(from, Math.min(parts, from + arms));
                assertThat(new HashSet<>(block)).hasSameSizeAs(block);
            }
        }
    }

    @Test
    void a_seed_gives_its_draw_again_and_another_seed_another() {
        assertThat(Draw.of(2, 20, 7)).isEqualTo(Draw.of(2, 20, 7)).isNotEqualTo(Draw.of(2, 20, 8));
        // Worked out once more by hand with the generator written down in the documentation of java.util.Random.
        assertThat(Draw.of(2, 6, 20_261_125)).containsExactly(0, 1, 1, 0, 1, 0);
    }

    @Test
    void left_and_right_halves_go_to_either_arm_alike() {
        double left = LongStream.range(0, 4000)
                .filter(seed -> Draw.of(2, 2, seed * 7919).get(0) == 0)
                .count();
        assertThat(left / 4000).isCloseTo(0.5, within(0.03)); // more than three standard deviations
    }
}
