package elvaro.core.rehearsal;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import elvaro.core.air.ChamberKind;
import elvaro.core.cut.CutCatalogue;
import elvaro.core.drying.Coating;
import elvaro.core.drying.Method;
import elvaro.core.yield.BenchOrder;
import elvaro.core.yield.Closeness;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.LongStream;
import org.junit.jupiter.api.Test;

/**
 * The world of the rehearsal beside the weights of the trade. Common practice, no source, but for the open loin: Ahnström et
 * al. 2006, Meat Science 73, from memory, ± 2.5 points.
 */
class RehearsalTradeTest {
    private static final List<Deed> TURNED = List.of(new Deed(7, Deed.Kind.TURNED));

    private static RehearsalPlan plan(
            String cut, int grams, boolean bone, Method method, ChamberKind place, long seed) {
        return new RehearsalPlan(
                CutCatalogue.get(cut), grams, bone, bone ? 6 : 0, method, Coating.NONE, place, 35, 0, Set.of(), seed);
    }

    /** Points lost by a day, over forty worlds. */
    private static double lost(String cut, int grams, boolean bone, Method method, ChamberKind place, int day) {
        return 100
                * LongStream.rangeClosed(1, 40)
                        .mapToDouble(seed -> 1
                                - new RehearsalWorld(plan(cut, grams, bone, method, place, seed), TURNED)
                                                .at(day)
                                                .grams()
                                        / grams)
                        .average()
                        .orElseThrow();
    }

    @Test
    void a_loin_in_the_open_air() {
        assertThat(lost("strip", 8000, false, Method.OPEN_AIR, ChamberKind.CABINET, 14))
                .isCloseTo(6.5, within(1.0));
        assertThat(lost("strip", 8000, false, Method.OPEN_AIR, ChamberKind.CABINET, 21))
                .isCloseTo(9.5, within(1.0));
    }

    /** 15 to 18 % of the green weight, its fat cap with it (MEM: Ahnström et al. 2006; ±2.5 points). */
    @Test
    void what_is_trimmed_off_a_loin() {
        for (int day : new int[] {14, 21}) {
            assertThat(trimmed(day)).isBetween(12.5, 20.5);
        }
    }

    private static double trimmed(int day) {
        return LongStream.rangeClosed(1, 20)
                .mapToDouble(seed -> {
                    RehearsalPlan loin = new RehearsalPlan(
                            CutCatalogue.get("strip"),
                            8000,
                            false,
                            4,
                            Method.OPEN_AIR,
                            Coating.NONE,
                            ChamberKind.CABINET,
                            35,
                            0,
                            Set.of(),
                            seed);
                    RehearsalWorld world = new RehearsalWorld(loin, TURNED);
                    world.at(day);
                    Map<Heap, Integer> heaps = world.cutUp(BenchOrder.SLICE_FIRST, Closeness.USUAL);
                    return (heaps.get(Heap.CLEAN_CRUST) + heaps.get(Heap.FAT)) / 80.0;
                })
                .average()
                .orElseThrow();
    }

    @Test
    void a_steak_in_a_membrane_and_its_twin_in_vacuum() {
        assertThat(lost("beef-steak", 500, false, Method.MEMBRANE, ChamberKind.REFRIGERATOR, 21))
                .isCloseTo(28, within(4.0));
        assertThat(lost("beef-steak", 500, false, Method.VACUUM, ChamberKind.REFRIGERATOR, 21))
                .isLessThan(2);
    }

    /** 22 % in "four weeks or so": a household refrigerator may be drier than this one. */
    @Test
    void a_whole_ribeye_in_a_membrane() {
        assertThat(lost("ribeye", 8165, false, Method.MEMBRANE, ChamberKind.REFRIGERATOR, 28))
                .isBetween(13.0, 22.0);
    }

    /** 11.3 % and 3.7 %; 56.6 % and 53.7 % steak; nothing of the crust under the seal was usable. */
    @Test
    void twins_of_which_one_is_sealed_in_fat() {
        double plain = lost("rib-bone-in", 4808, true, Method.OPEN_AIR, ChamberKind.WALK_IN, 35);
        double sealed = lost("rib-bone-in", 4899, true, Method.FAT_SEAL, ChamberKind.WALK_IN, 35);
        assertThat(plain).isCloseTo(11.3, within(1.0));
        assertThat(sealed).isCloseTo(3.7, within(1.5));
        Map<Heap, Integer> of = heaps(Method.OPEN_AIR);
        Map<Heap, Integer> under = heaps(Method.FAT_SEAL);
        assertThat(under.getOrDefault(Heap.SPOILT, 0)).isGreaterThan(1000);
        assertThat(under.getOrDefault(Heap.CLEAN_CRUST, 0)).isLessThan(of.get(Heap.CLEAN_CRUST));
        assertThat(of.get(Heap.CLEAN_CRUST) + of.get(Heap.STEAKS))
                .isGreaterThan(under.getOrDefault(Heap.CLEAN_CRUST, 0) + under.get(Heap.STEAKS));
    }

    private static Map<Heap, Integer> heaps(Method method) {
        RehearsalWorld world =
                new RehearsalWorld(plan("rib-bone-in", 4850, true, method, ChamberKind.WALK_IN, 1), TURNED);
        world.at(35);
        return world.cutUp(BenchOrder.SLICE_FIRST, Closeness.USUAL);
    }

    /** Some 41 % steak of a single steak where a whole muscle keeps some 76 %. */
    @Test
    void one_steak_is_not_a_loin() {
        double steak = steakShare("beef-steak", 500, 21);
        double loin = steakShare("strip", 6000, 28);
        assertThat(steak).isBetween(0.30, 0.55);
        assertThat(loin).isBetween(0.62, 0.82);
    }

    private static double steakShare(String cut, int grams, int day) {
        return LongStream.rangeClosed(1, 20)
                .mapToDouble(seed -> {
                    RehearsalWorld world = new RehearsalWorld(
                            plan(cut, grams, false, Method.MEMBRANE, ChamberKind.REFRIGERATOR, seed), TURNED);
                    world.at(day);
                    return world.cutUp(BenchOrder.SLICE_FIRST, Closeness.USUAL).getOrDefault(Heap.STEAKS, 0)
                            / (double) grams;
                })
                .average()
                .orElseThrow();
    }
}
