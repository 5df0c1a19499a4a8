package elvaro.core.yield;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import elvaro.core.cut.Cut;
import elvaro.core.cut.CutCatalogue;
import elvaro.core.drying.Coating;
import elvaro.core.drying.Hanging;
import elvaro.core.drying.Method;
import elvaro.core.drying.Surface;
import elvaro.core.ledger.Ledger;
import elvaro.core.ledger.Piles;
import java.util.List;
import java.util.Random;
import java.util.stream.LongStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.MethodSource;

/** What must hold however a piece is cut; the seed is the test's name. */
class TrimModelPropertiesTest {

    static LongStream seeds() {
        return LongStream.range(1, 151);
    }

    private static TrimModel any(Random random, Method method) {
        List<Cut> cuts = CutCatalogue.all();
        Cut cut = cuts.get(random.nextInt(cuts.size()));
        int grams = 300 + random.nextInt(12_000);
        int fat = random.nextInt(25);
        boolean bone = random.nextBoolean();
        Hanging hanging =
                new Hanging(grams, Surface.of(cut.surface(), grams, fat, bone), bone, method, Coating.NONE, 0.85);
        return TrimModel.of(cut, hanging, fat, BenchOrder.values()[random.nextInt(2)]);
    }

    @ParameterizedTest(name = "seed {0}")
    @MethodSource("seeds")
    void more_water_lost_never_means_more_steak_nor_a_thinner_crust(long seed) {
        Random random = new Random(seed);
        TrimModel trimModel = any(random, Method.values()[random.nextInt(Method.values().length)]);
        double less = random.nextDouble() * 0.4;
        double more = less + random.nextDouble() * 0.2;
        assertThat(trimModel.after(more).steak())
                .isLessThanOrEqualTo(trimModel.after(less).steak() + 1e-12);
        assertThat(trimModel.crustMm(more)).isGreaterThanOrEqualTo(trimModel.crustMm(less));
    }

    @ParameterizedTest(name = "seed {0}")
    @MethodSource("seeds")
    void nothing_has_spoilt_under_a_film_on_the_day_it_is_put_on(long seed) {
        TrimModel loose = any(new Random(seed), Method.MEMBRANE);
        assertThat(loose.after(0).pockets()).isCloseTo(0, within(1e-12));
        assertThat(loose.pocketMm(0.02)).isPositive().isLessThan(loose.pocketMm(0.07));
    }

    @ParameterizedTest(name = "seed {0}")
    @MethodSource("seeds")
    void slicing_first_never_gives_less_than_trimming_first(long seed) {
        Random random = new Random(seed);
        TrimModel trimModel = any(random, Method.OPEN_AIR);
        double lost = random.nextDouble() * 0.4;
        assertThat(trimModel.cutBy(BenchOrder.SLICE_FIRST).after(lost).steak())
                .isGreaterThanOrEqualTo(
                        trimModel.cutBy(BenchOrder.TRIM_FIRST).after(lost).steak());
    }

    @ParameterizedTest(name = "seed {0}")
    @MethodSource("seeds")
    void slices_take_their_share_of_everything(long seed) {
        Random random = new Random(seed);
        Section whole = any(random, Method.MEMBRANE).after(random.nextDouble() * 0.3);
        double there = random.nextDouble();
        Section left = whole.part(there);
        assertThat(left.now())
                .isCloseTo(left.steak() + left.fat() + left.bone() + left.crust() + left.pockets(), within(1e-9));
        assertThat(left.now()).isCloseTo(there * whole.now(), within(1e-12));
        assertThat(left.steak()).isCloseTo(there * whole.steak(), within(1e-12));
    }

    /** EST, reference section 5: membrane crust × 0.7; none in vacuum and on ice. */
    @ParameterizedTest
    @EnumSource(Method.class)
    void the_crust_follows_the_method(Method method) {
        Cut strip = CutCatalogue.get("strip");
        Surface surface = Surface.bare(0.2);
        TrimModel trimModel = TrimModel.of(
                strip, new Hanging(6000, surface, false, method, Coating.NONE, 1), 0, BenchOrder.SLICE_FIRST);
        double open = 2 + 0.1 * 6 / 0.2;
        double expected = switch (method) {
            case VACUUM, ON_ICE -> 0;
            case MEMBRANE -> open * 0.7;
            default -> open;
        };
        assertThat(trimModel.crustMm(0.1)).isCloseTo(expected, within(1e-9));
    }

    @Test
    void what_the_bench_found_is_drawn_as_it_was_weighed() {
        Section found = Section.found(new Ledger(8000, 0, 6800, Piles.of(4800, 900, 300, 400, 400)));
        assertThat(found).isEqualTo(new Section(0.85, 0.0375, 0.05, 0.1625, 0, 0.6));
    }
}
