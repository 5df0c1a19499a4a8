package elvaro.core.game;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import elvaro.core.caution.Caution;
import elvaro.core.cut.CutCatalogue;
import elvaro.core.game.CarcassYield.Weighed;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;

class GameTest {
    private static final double GRAMS_PER_POUND = 453.59237;

    /** Extension bulletins on deer, worked example, from memory: 160 lb field-dressed, 120 lb carcass, 80 and 56 lb of meat. */
    @Test
    void a_deer_of_160_pounds_gives_what_the_bulletins_say() {
        CarcassYield yield =
                CarcassYield.of(Animal.FALLOW_DEER, (int) Math.round(160 * GRAMS_PER_POUND), Weighed.FIELD_DRESSED);
        assertThat(yield.carcassGrams() / GRAMS_PER_POUND).isCloseTo(120.2, within(0.1));
        assertThat(yield.idealGrams() / GRAMS_PER_POUND).isCloseTo(80.5, within(0.1));
        assertThat(yield.realisticGrams() / GRAMS_PER_POUND).isCloseTo(56.4, within(0.1));
        assertThat(yield.leastGrams()).isCloseTo(yield.realisticGrams() * 0.9, within(1e-6));
        assertThat(CarcassYield.of(Animal.FALLOW_DEER, 54_430, Weighed.HANGING).realisticGrams() / GRAMS_PER_POUND)
                .isCloseTo(56.3, within(0.1));
    }

    /** By hand: 0.5 W/K · 20 K · 86 400 s / 334 kJ/kg = 2.587 kg a day; 3.5 kJ/kgK · 40 kg · 15 K / 334 kJ/kg = 6.287 kg. */
    @Test
    void ice_melts_by_the_heat_that_comes_in_and_by_that_of_the_meat() {
        Ice ice = Ice.of(40_000, 40_000, 15, 20, Ice.USUAL_CHEST_GRAMS);
        assertThat(ice.perDayKg()).isCloseTo(2.587, within(0.001));
        assertThat(ice.onceKg()).isCloseTo(6.287, within(0.001));
        assertThat(ice.topUpDays()).isEqualTo(3);
        assertThat(Ice.of(2_000, 2_000, 10, 30, Ice.USUAL_CHEST_GRAMS).topUpDays())
                .as("little ice, warm air")
                .isEqualTo(1);
        assertThat(ice.inAllKg(14))
                .as("40 kg and 6.287 kg laid in, 7.76 kg on days 3, 6, 9 and 12")
                .isCloseTo(77.33, within(0.01));
        assertThat(ice.inAllKg(3)).as("none on the last day").isEqualTo(ice.laidInKg());
        assertThat(Ice.of(2_000, 2_000, -1, -5, Ice.USUAL_CHEST_GRAMS).inAllKg(10))
                .as("in frost nothing melts")
                .isEqualTo(2);
        assertThatThrownBy(() -> Ice.of(0, 0, 5, 5, Ice.USUAL_CHEST_GRAMS)).hasMessageContaining("lies on the ice");
        assertThatThrownBy(() -> Ice.of(2_000, 1_999, 5, 5, Ice.USUAL_CHEST_GRAMS))
                .hasMessageContaining("in the chest");
    }

    /** Common practice, no source: about 100 lb of ice for one deer in a chest, two weeks. */
    @Test
    void a_deer_melts_about_a_hundred_pounds_in_two_weeks() {
        Ice ice = Ice.of(40_000, 40_000, 15, 20, Ice.USUAL_CHEST_GRAMS);
        assertThat((ice.onceKg() + 14 * ice.perDayKg()) * 1000 / GRAMS_PER_POUND)
                .isCloseTo(100, within(15.0));
    }

    /** Common practice, no source: bags of 20 lb, under, between and over; a chest four times as large has more wall. */
    @Test
    void ice_is_bought_in_bags_and_laid_in_layers_for_the_chest_it_is_in() {
        Ice ice = Ice.of(27_000, 27_000, 15, 10, Ice.USUAL_CHEST_GRAMS);
        Ice.Bags bags = ice.bags((int) (20 * GRAMS_PER_POUND), 14);
        assertThat(bags.under() + bags.between() + bags.over())
                .isEqualTo((int) Math.ceil(ice.laidInKg() * 1000 / (20 * GRAMS_PER_POUND)));
        assertThat(bags.over()).isGreaterThanOrEqualTo(bags.under());
        assertThat(bags.all() * 20).as("pounds of ice").isBetween(80, 120);
        assertThat(Ice.of(27_000, 27_000, 15, 10, 8 * Ice.USUAL_CHEST_GRAMS).perDayKg())
                .as("eight times the room, four times the walls")
                .isCloseTo(4 * ice.perDayKg(), within(1e-9));
    }

    /** Common practice, no source: meat never lies on the floor of the chest, in melt water. */
    @ParameterizedTest
    @ValueSource(ints = {500, 1000, 3000, 9000, 16_000, 20_000})
    void of_two_bags_and_more_one_lies_under_the_meat_and_one_over_it(int bagGrams) {
        Ice ice = Ice.of(4290, 19_000, 8, 12, Ice.USUAL_CHEST_GRAMS);
        Ice.Bags bags = ice.bags(bagGrams, 10);
        int laidIn = bags.under() + bags.between() + bags.over();
        assertThat(laidIn).isEqualTo((int) Math.ceil(ice.laidInKg() * 1000 / bagGrams));
        assertThat(bags.under()).isGreaterThanOrEqualTo(laidIn >= 2 ? 1 : 0).isLessThanOrEqualTo(bags.over());
        assertThat(bags.over()).isPositive();
        assertThat(bags.between()).isBetween(0, bags.over());
    }

    @ParameterizedTest
    @EnumSource(Animal.class)
    void what_was_not_weighed_is_taken_as_usual_for_its_size(Animal animal) {
        int small = animal.estimatedGrams(Animal.Size.SMALL, Weighed.FIELD_DRESSED);
        int large = animal.estimatedGrams(Animal.Size.LARGE, Weighed.FIELD_DRESSED);
        assertThat(small).isLessThan(large);
        assertThat(animal.isUsual(small) && animal.isUsual(large)).isTrue();
        assertThat(animal.estimatedGrams(Animal.Size.LARGE, Weighed.HANGING)).isLessThanOrEqualTo(large);
    }

    @Test
    void the_working_of_a_fish_is_a_fishs() {
        assertThat(CarcassYield.of(Animal.SEA_FISH, 20_000, Weighed.HANGING)
                        .working()
                        .formula())
                .contains("loins and belly")
                .doesNotContain("field-dressed");
    }

    @ParameterizedTest
    @EnumSource(Animal.class)
    void an_animals_parts_are_all_of_it_and_each_is_a_cut_of_its_own_kind(Animal animal) {
        assertThat(Part.of(animal).stream().mapToDouble(Part::share).sum()).isCloseTo(1, within(1e-9));
        assertThat(Part.of(animal)).allSatisfy(part -> {
            assertThat(CutCatalogue.get(part.cut(animal)).species())
                    .isEqualTo(CutCatalogue.get(animal.cut()).species());
            assertThat(part.see()).isNotBlank();
        });
        assertThat(animal.fewestDays()).isLessThan(animal.mostDays());
        assertThat(animal.cautions()).isNotEmpty();
        assertThat(animal.daysBecause()).isNotBlank();
    }

    /** The cautions of the trade by animal; common practice. */
    @ParameterizedTest(name = "{0}: {1}")
    @CsvSource({
        "ROE_DEER, WASTING",
        "ELK, WASTING",
        "BOAR, TRICHINELLA",
        "GOOSE, WILDFOWL",
        "PHEASANT, SHOT",
        "SEA_FISH, PARASITES"
    })
    void each_animal_carries_its_caution(Animal animal, Caution caution) {
        assertThat(animal.cautions()).contains(caution);
    }

    @Test
    void only_what_may_carry_a_disease_that_is_tested_for_is_tested() {
        assertThat(Animal.BOAR.mayBeTested()).isTrue();
        assertThat(Animal.DUCK.mayBeTested()).isFalse();
        assertThat(Animal.BOAR.isUsual(60_000)).isTrue();
        assertThat(Animal.DUCK.isUsual(60_000)).isFalse();
    }

    /** Days of ageing; common practice, no source: venison 8 to 14, waterfowl 7 to 10, large sea fish 7 to 15. */
    @ParameterizedTest(name = "{0}: {1} to {2} days")
    @CsvSource({"FALLOW_DEER, 8, 14", "RED_DEER, 8, 14", "ELK, 8, 14", "GOOSE, 7, 10", "DUCK, 7, 10", "SEA_FISH, 7, 15"
    })
    void each_animal_hangs_for_the_days_of_the_trade(Animal animal, int fewest, int most) {
        assertThat(animal.fewestDays()).isEqualTo(fewest);
        assertThat(animal.mostDays()).isEqualTo(most);
    }

    @Test
    void a_boars_fat_shortens_its_days_and_says_so() {
        assertThat(Animal.BOAR.mostDays()).isLessThan(Animal.FALLOW_DEER.fewestDays());
        assertThat(Animal.BOAR.daysBecause()).contains("rancid");
        assertThat(Animal.SEA_FISH.daysBecause()).contains("no tenderness");
    }

    @Test
    void what_weighs_nothing_is_no_animal() {
        assertThatThrownBy(() -> CarcassYield.of(Animal.DUCK, 0, Weighed.HANGING))
                .hasMessageContaining("more than 0 g");
    }

    /** Left and right are of one size, and the haunches are the heaviest of a hoofed animal. */
    @Test
    void an_animal_is_even_on_both_sides() {
        for (Part part : Part.values()) {
            if (part.name().startsWith("LEFT_")) {
                Part other = Part.valueOf(part.name().replace("LEFT_", "RIGHT_"));
                assertThat(other.share()).isEqualTo(part.share());
                assertThat(other.see()).isEqualTo(part.see());
                assertThat(other.boneIn()).isEqualTo(part.boneIn());
            }
        }
        assertThat(Part.of(Animal.ROE_DEER))
                .allSatisfy(part -> assertThat(part.share()).isLessThanOrEqualTo(Part.LEFT_HAUNCH.share()));
    }
}
