package elvaro.core.yield;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import elvaro.core.cut.SurfaceClass;
import elvaro.core.drying.Coating;
import elvaro.core.drying.Hanging;
import elvaro.core.drying.Method;
import elvaro.core.drying.Surface;
import elvaro.core.ledger.Ledger;
import elvaro.core.ledger.Piles;
import java.util.OptionalDouble;
import java.util.Random;
import java.util.stream.LongStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

class KnifeWorkTest {
    private static final OptionalDouble BY_LAW = OptionalDouble.empty();

    /** 0.23 m² of lean round 8 kg: less than a cube shows, a body of 3 · 8/1060/0.23 m = 98.44 mm. */
    private static TrimModel loin(BenchOrder order, Closeness closeness) {
        Surface surface = Surface.bare(0.23);
        return new TrimModel(
                new Hanging(8000, surface, false, Method.OPEN_AIR, Coating.NONE, 1),
                SurfaceClass.LONG_SUBPRIMAL,
                0,
                0,
                order,
                closeness,
                1,
                0);
    }

    /**
     * By hand: 1.15 kg of water gone over 0.23 m² is 5 kg/m², so the crust is 2 + 5 = 7 mm; 2199 g of trim are
     * 8000 · (1 − (1 − 10/98.44)³), and 3 of the 10 mm were good meat.
     */
    @Test
    void depth_is_that_of_the_outside_cut_off_and_margin_is_what_the_crust_leaves_of_it() {
        Ledger ledger = new Ledger(8000, 0, 6850, Piles.of(4651, 1199, 0, 0, 1000));
        KnifeWork work = KnifeWork.of(loin(BenchOrder.SLICE_FIRST, Closeness.USUAL), ledger, BY_LAW)
                .orElseThrow();
        assertThat(work.cutMm()).isCloseTo(10, within(0.002));
        assertThat(work.crustMm()).isCloseTo(7, within(1e-9));
        assertThat(work.marginMm()).isCloseTo(3, within(0.002));
        KnifeWork milder = KnifeWork.of(loin(BenchOrder.SLICE_FIRST, Closeness.MILDER), ledger, OptionalDouble.of(6))
                .orElseThrow();
        assertThat(milder.measured()).isTrue();
        assertThat(milder.marginMm())
                .as("10 less 6 less the 1.5 mm that were meant")
                .isCloseTo(2.5, within(0.002));
    }

    @Test
    void a_spoilt_piece_or_one_nothing_was_trimmed_off_says_nothing() {
        TrimModel trimModel = loin(BenchOrder.SLICE_FIRST, Closeness.USUAL);
        Ledger spoilt = new Ledger(8000, 0, 6850, Piles.of(3000, 0, 0, 0, 3850));
        assertThat(KnifeWork.of(trimModel, spoilt, BY_LAW)).isEmpty();
        assertThat(KnifeWork.steakOver(trimModel, spoilt)).isEmpty();
        assertThat(KnifeWork.of(trimModel, new Ledger(8000, 0, 6850, Piles.of(6850, 0, 0, 0, 0)), BY_LAW))
                .isEmpty();
    }

    static LongStream seeds() {
        return LongStream.range(1, 101);
    }

    /** Cut as the law says, the law is found again, whichever way it is cut. */
    @ParameterizedTest(name = "seed {0}")
    @MethodSource("seeds")
    void what_was_cut_by_the_law_is_read_back_as_the_law(long seed) {
        Random random = new Random(seed);
        BenchOrder order = BenchOrder.values()[random.nextInt(2)];
        Closeness closeness = Closeness.values()[random.nextInt(3)];
        TrimModel trimModel = loin(order, closeness);
        int aged = 8000 - 400 - random.nextInt(1600);
        Section section = trimModel.after(1 - aged / 8000.0);
        Piles piles = section.piles(8000, Method.OPEN_AIR);
        assertThat(piles.total()).isCloseTo(aged, within(2));
        KnifeWork work = KnifeWork.of(trimModel, new Ledger(8000, 0, aged, piles), BY_LAW)
                .orElseThrow();
        assertThat(work.marginMm()).isCloseTo(order.marginMm(), within(0.01));
        assertThat(KnifeWork.steakOver(trimModel, new Ledger(8000, 0, aged, piles))
                        .orElseThrow())
                .isCloseTo(0, within(0.001));
    }

    /** A bird grows no crust that is cut away: what is thrown away of it is no knife's work. */
    @Test
    void a_bird_says_nothing_of_crust_and_knife() {
        TrimModel bird = new TrimModel(
                new Hanging(3000, Surface.bare(0.12), true, Method.OPEN_AIR, Coating.NONE, 1),
                SurfaceClass.WHOLE_BIRD,
                0.35,
                0,
                BenchOrder.SLICE_FIRST,
                Closeness.USUAL,
                1,
                0);
        Ledger ledger = new Ledger(3000, 0, 2700, Piles.of(1500, 200, 0, 900, 100));
        assertThat(KnifeWork.of(bird, ledger, BY_LAW)).isEmpty();
        assertThat(KnifeWork.steakOver(bird, ledger)).isPresent();
    }
}
