package elvaro.core.treatment;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import elvaro.core.treatment.Recipe.Amount;
import elvaro.core.treatment.Recipe.Ingredient;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

class RecipeTest {
    private static final Recipe PORCINI =
            new Recipe(List.of(new Ingredient("porcini powder", 3, 9000), new Ingredient("salt", 1, 100)));

    /** By hand: 40 g in four parts are 30 and 10 g; 30 g at 90.00 a kg are 2.70, 10 g at 1.00 are 0.01. */
    @Test
    void forty_grams_of_three_to_one_are_thirty_and_ten() {
        assertThat(PORCINI.amounts(40))
                .containsExactly(new Amount("porcini powder", 30, 270), new Amount("salt", 10, 1));
        assertThat(PORCINI.cost(40)).isEqualTo(271);
    }

    @Test
    void the_parts_of_any_recipe_add_up_and_keep_their_proportions() {
        Random random = new Random(11);
        for (int round = 0; round < 300; round++) {
            List<Ingredient> parts = new ArrayList<>();
            for (int part = 0; part <= random.nextInt(8); part++) {
                parts.add(new Ingredient("part " + part, 0.01 + random.nextDouble() * 50, random.nextInt(20_000)));
            }
            double grams = 1 + random.nextDouble() * 5000;
            List<Amount> amounts = new Recipe(parts).amounts(grams);
            assertThat(amounts.stream().mapToDouble(Amount::grams).sum()).isCloseTo(grams, within(1e-6));
            double first = amounts.get(0).grams() / parts.get(0).parts();
            for (int part = 0; part < parts.size(); part++) {
                assertThat(amounts.get(part).grams() / parts.get(part).parts()).isCloseTo(first, within(1e-6));
            }
        }
    }

    @Test
    void what_is_no_recipe_is_refused_with_a_sentence() {
        assertThatThrownBy(() -> new Recipe(List.of())).hasMessage("A recipe has one part at least.");
        assertThatThrownBy(() -> new Ingredient(" ", 1, 0)).hasMessage("Every part has a name.");
        assertThatThrownBy(() -> new Ingredient("salt", 0, 0)).hasMessageStartingWith("salt: parts are above 0");
        assertThatThrownBy(() -> new Ingredient("salt", Double.NaN, 0))
                .hasMessageStartingWith("salt: parts are above 0");
        assertThatThrownBy(() -> new Ingredient("salt", 1, -1)).hasMessageStartingWith("salt: parts are above 0");
    }
}
