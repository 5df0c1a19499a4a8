package elvaro.core.tasting;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import elvaro.core.tasting.Servings.Plate;
import elvaro.core.tasting.Servings.Serving;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.LongFunction;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;

class ServingsTest {

    @ParameterizedTest
    @ValueSource(ints = {2, 3, 4, 5, 6, 7, 8})
    void each_sample_stands_everywhere_and_follows_every_other_equally_often(int samples) {
        List<List<Integer>> orders = Williams.orders(samples);
        int times = samples % 2 == 0 ? 1 : 2;
        assertThat(orders).hasSize(times * samples);
        Map<List<Integer>, Integer> places = new HashMap<>();
        Map<List<Integer>, Integer> follows = new HashMap<>();
        for (List<Integer> order : orders) {
            assertThat(new HashSet<>(order)).hasSize(samples);
            for (int place = 0; place < samples; place++) {
                places.merge(List.of(place, order.get(place)), 1, Integer::sum);
                if (place > 0) {
                    follows.merge(List.of(order.get(place - 1), order.get(place)), 1, Integer::sum);
                }
            }
        }
        assertThat(places)
                .hasSize(samples * samples)
                .allSatisfy((key, count) -> assertThat(count).isEqualTo(times));
        assertThat(follows)
                .hasSize(samples * (samples - 1))
                .allSatisfy((key, count) -> assertThat(count).isEqualTo(times));
    }

    @ParameterizedTest
    @EnumSource
    void codes_have_three_digits_and_are_of_one_sample_and_one_round_only(TastingKind kind) {
        for (int seed = 0; seed < 50; seed++) {
            Servings servings = Servings.plan(kind, kind.most(), 12, 3, seed);
            Map<Integer, Set<List<Integer>>> meanings = new HashMap<>();
            for (Plate plate : servings.plates()) {
                List<Integer> codes =
                        plate.servings().stream().map(Serving::code).toList();
                assertThat(codes).doesNotHaveDuplicates().allMatch(code -> code >= 100 && code <= 999);
                plate.servings()
                        .forEach(serving -> meanings.computeIfAbsent(serving.code(), code -> new HashSet<>())
                                .add(List.of(plate.round(), serving.sample())));
            }
            assertThat(meanings.values()).allMatch(each -> each.size() == 1);
        }
    }

    @Test
    void every_order_is_served_once_before_any_is_served_again() {
        for (int seed = 0; seed < 50; seed++) {
            for (TastingKind kind : TastingKind.values()) {
                int orders = kind == TastingKind.TRIANGLE
                        ? 6
                        : Williams.orders(kind.fewest()).size();
                Map<List<Integer>, Long> served =
                        Servings.plan(kind, kind.fewest(), 2 * orders, 1, seed).plates().stream()
                                .collect(Collectors.groupingBy(
                                        plate -> plate.servings().stream()
                                                .map(Serving::sample)
                                                .toList(),
                                        Collectors.counting()));
                assertThat(served)
                        .hasSize(orders)
                        .allSatisfy((order, count) -> assertThat(count).isEqualTo(2));
            }
        }
    }

    /**
     * What tasters learn who lay their phones side by side: of the servings of a plate, the two are taken for twins whose codes
     * stand together most often and always in one order.
     */
    private static double unmasked(int tasters, LongFunction<Servings> drawn) {
        int right = 0;
        int tries = 0;
        for (long seed = 0; seed < 600; seed++) {
            List<Plate> plates = drawn.apply(seed).plates();
            for (Plate plate : plates) {
                List<Integer> codes =
                        plate.servings().stream().map(Serving::code).toList();
                int odd = IntStream.range(0, 3)
                        .boxed()
                        .max(Comparator.comparingInt(
                                place -> twins(plates, codes.get(place == 0 ? 1 : 0), codes.get(place == 2 ? 1 : 2))))
                        .orElseThrow();
                int sample = plate.servings().get(odd).sample();
                tries++;
                right += plate.servings().stream()
                                        .filter(each -> each.sample() == sample)
                                        .count()
                                == 1
                        ? 1
                        : 0;
            }
        }
        return (double) right / tries;
    }

    /** How far two codes look like those of one sample. */
    private static int twins(List<Plate> plates, int first, int second) {
        int inOrder = 0;
        int turned = 0;
        for (Plate plate : plates) {
            List<Integer> codes = plate.servings().stream().map(Serving::code).toList();
            if (codes.contains(first) && codes.contains(second)) {
                if (codes.indexOf(first) < codes.indexOf(second)) {
                    inOrder++;
                } else {
                    turned++;
                }
            }
        }
        return inOrder * turned > 0 ? -1 : inOrder + turned;
    }

    @ParameterizedTest
    @ValueSource(ints = {1, 2, 3, 6, 12})
    void tasters_who_lay_their_sheets_side_by_side_learn_nothing_of_the_odd_one(int tasters) {
        assertThat(unmasked(tasters, seed -> Servings.plan(TastingKind.TRIANGLE, 2, tasters, 1, seed)))
                .isCloseTo(1.0 / 3, within(4 * Math.sqrt(2.0 / 9 / (600 * tasters))));
    }

    @Test
    void with_codes_shared_by_the_plates_six_of_them_knew_it() {
        assertThat(unmasked(6, seed -> Servings.planWithSharedCodes(TastingKind.TRIANGLE, 2, 6, 1, seed)))
                .isGreaterThan(0.9);
    }

    @Test
    void there_are_codes_for_as_many_as_may_taste() {
        Servings.plan(TastingKind.TRIANGLE, 2, 300, 3, 1)
                .plates()
                .forEach(plate ->
                        assertThat(plate.servings().stream().map(Serving::code)).doesNotHaveDuplicates());
    }

    @Test
    void one_seed_gives_one_plan_and_another_another() {
        Servings plan = Servings.plan(TastingKind.RANKING, 4, 9, 2, 7);
        assertThat(Servings.plan(TastingKind.RANKING, 4, 9, 2, 7)).isEqualTo(plan);
        assertThat(Servings.plan(TastingKind.RANKING, 4, 9, 2, 8)).isNotEqualTo(plan);
        assertThat(plan.of(8, 1).servings()).hasSize(4);
    }

    @Test
    void what_a_kind_does_not_take_is_not_served() {
        assertThatThrownBy(() -> Servings.plan(TastingKind.PAIRED, 3, 6, 1, 1))
                .isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> Servings.plan(TastingKind.RANKING, 3, 0, 1, 1))
                .isInstanceOf(IllegalArgumentException.class);
    }
}
