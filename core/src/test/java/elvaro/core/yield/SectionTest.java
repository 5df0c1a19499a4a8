package elvaro.core.yield;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import elvaro.core.cut.Cut;
import elvaro.core.cut.CutCatalogue;
import elvaro.core.cut.SurfaceClass;
import elvaro.core.drying.Coating;
import elvaro.core.drying.Hanging;
import elvaro.core.drying.Method;
import elvaro.core.drying.Surface;
import java.util.List;
import java.util.Random;
import java.util.stream.LongStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

class SectionTest {
    /** The reference's row 1: 8.0 kg on 0.23 m², bare. */
    private final TrimModel loin = new TrimModel(
            new Hanging(8000, Surface.bare(0.23), false, Method.OPEN_AIR, Coating.NONE, 1),
            SurfaceClass.LONG_SUBPRIMAL,
            0,
            0,
            BenchOrder.SLICE_FIRST,
            Closeness.USUAL,
            1,
            0);

    /** A little crust left on gives more steak, more than the crust gives less, and no cut is deeper than there is meat. */
    @Test
    void the_closer_to_the_crust_the_more_steak() {
        for (double lost : new double[] {0, 0.05, 0.15, 0.4, 0.9}) {
            double stronger = loin.cutBy(BenchOrder.SLICE_FIRST, Closeness.STRONGER)
                    .after(lost)
                    .steak();
            double usual = loin.after(lost).steak();
            double milder = loin.cutBy(BenchOrder.SLICE_FIRST, Closeness.MILDER)
                    .after(lost)
                    .steak();
            assertThat(stronger).isGreaterThanOrEqualTo(usual);
            assertThat(usual).isGreaterThanOrEqualTo(milder);
            assertThat(milder).isNotNegative();
        }
        // By hand: 5.978 mm cut instead of 4.978 of a body of 3·8/1060/0.23 m = 98.44 mm: 0.93927³ less 0.94943³.
        assertThat(loin.cutBy(BenchOrder.SLICE_FIRST, Closeness.STRONGER)
                                .after(0.1)
                                .steak()
                        - loin.after(0.1).steak())
                .isCloseTo(0.0272, within(2e-4));
    }

    /** 10 mm over 0.35 of 0.3 m², at 920 kg/m³: 0.966 kg, by hand. */
    @Test
    void a_fat_cap_weighs_its_depth_over_the_face_it_covers() {
        assertThat(Surface.bare(0.3).fatGrams(10)).isCloseTo(966, within(0.01));
        assertThat(Surface.bare(0.3).fatGrams(0)).isZero();
    }

    @Test
    void a_cut_as_it_came_is_whole_with_its_bone_and_its_fat_on_it() {
        Section section = Section.asItCame(CutCatalogue.get("export-rib"), 8000, 10, true);
        assertThat(section.now()).isEqualTo(1);
        assertThat(section.bone()).isEqualTo(0.14);
        assertThat(section.crust()).isZero();
        assertThat(section.fat()).isBetween(0.05, 0.2);
        assertThat(section.fat() + section.bone() + section.steak()).isCloseTo(1, within(1e-9));
        assertThat(Section.asItCame(CutCatalogue.get("export-rib"), 8000, 0, false)
                        .steak())
                .isEqualTo(1);
    }

    static LongStream seeds() {
        return LongStream.range(1, 301);
    }

    @ParameterizedTest(name = "seed {0}")
    @MethodSource("seeds")
    void the_parts_of_the_picture_fill_the_weight_now_and_none_is_negative(long seed) {
        Random random = new Random(seed);
        List<Cut> cuts = CutCatalogue.all();
        Cut cut = cuts.get(random.nextInt(cuts.size()));
        int green = 50 + random.nextInt(20_000);
        int fat = random.nextInt(40);
        boolean boneIn = random.nextBoolean();
        Method method = Method.values()[random.nextInt(Method.values().length)];
        Surface surface = Surface.of(cut.surface(), green, fat, boneIn);
        Section section = TrimModel.of(
                        cut,
                        new Hanging(green, surface, boneIn, method, Coating.NONE, 0.8),
                        fat,
                        BenchOrder.values()[random.nextInt(2)])
                .learnt(0.5 + random.nextDouble(), (random.nextDouble() - 0.5) * 0.1)
                .after(random.nextDouble() * 1.1 - 0.05);
        assertThat(List.of(section.fat(), section.bone(), section.crust(), section.pockets(), section.steak()))
                .allMatch(share -> share >= 0);
        assertThat(section.fat() + section.bone() + section.crust() + section.pockets() + section.steak())
                .isCloseTo(section.now(), within(1e-9));
    }

    /** Reference section 5: trim 13, 16, 21 % at 14, 21, 35 d of 6.78, 9.58, 14.49 % shrink, without the knife's margin. */
    @ParameterizedTest(name = "{0} % shrink: {1} % crust")
    @CsvSource({"6.78, 13", "9.58, 16", "14.49, 21"})
    void the_crust_of_a_bare_piece_grows_as_the_reference_says(double shrinkPercent, double trimPercent) {
        double withoutMargin = loin.crustMm(shrinkPercent / 100) / 1000 * 0.23 * 1060 / 8 * 100;
        assertThat(withoutMargin).isCloseTo(trimPercent, within(0.6));
    }

    /** By hand: a cube of 100 mm loses 1 − 0.75³ of 12.5 mm all round, where depth times surface says 0.75. */
    @Test
    void a_thick_crust_takes_the_outside_of_a_body_and_not_its_depth_times_its_surface() {
        Solid cube = Solid.of(1060, Surface.bare(0.06), SurfaceClass.COMPACT_ROAST);
        assertThat(cube.outside(12.5) / 1060).isCloseTo(0.578, within(0.001));
        assertThat(cube.depth(cube.outside(12.5))).isCloseTo(12.5, within(1e-3));
        assertThat(cube.outside(60)).isEqualTo(1060);
        // By hand: 100 × 100 × 25 mm, flat, and 50 × 50 × 200 mm, long; 5 mm off every side.
        Solid flat = Solid.of(265, Surface.bare(0.03), SurfaceClass.SINGLE_STEAK);
        assertThat(flat.outside(5)).isCloseTo(265 - 1.06 * 90 * 90 * 15 / 1000, within(0.01));
        Solid bar = Solid.of(530, Surface.bare(0.045), SurfaceClass.LONG_SUBPRIMAL);
        assertThat(bar.outside(5)).isCloseTo(530 - 1.06 * 40 * 40 * 190 / 1000, within(0.01));
        // Under fat and bone nothing is cut off: half as bare, half as deep.
        Solid half = Solid.of(1060, new Surface(0.06, 0.3, 0.2), SurfaceClass.COMPACT_ROAST);
        assertThat(half.outside(25)).isCloseTo(cube.outside(12.5), within(1e-6));
    }

    /** Ahnström et al. 2006, Meat Science 73, from memory: trim 15 to 18 % of green at 14 and 21 days, ±2.5 points. */
    @ParameterizedTest(name = "{0} % shrink")
    @CsvSource({"6.78", "9.58"})
    void a_loin_trimmed_after_slicing_gives_the_published_trim(double shrinkPercent) {
        assertThat(loin.after(shrinkPercent / 100).crust() * 100).isBetween(15 - 2.5, 18 + 2.5);
    }

    /** A T-bone keeps its bone: the 15 % of a short loin are steak, and 13 to 16 points of any rib (common practice, no source). */
    @Test
    void a_bone_that_stays_on_the_steaks_is_steak() {
        Cut loinOfT = CutCatalogue.get("short-loin");
        Surface surface = Surface.of(loinOfT.surface(), 8000, 0, true);
        TrimModel off = TrimModel.of(
                loinOfT, new Hanging(8000, surface, true, Method.OPEN_AIR, Coating.NONE, 1), 0, BenchOrder.SLICE_FIRST);
        Section sawn = off.onBone(loinOfT, true).after(0.15);
        assertThat(sawn.steak() - off.after(0.15).steak()).isCloseTo(0.15, within(1e-9));
        assertThat(sawn.bone()).isZero();
        assertThat(off.onBone(loinOfT, false).after(0.15)).isEqualTo(off.after(0.15));
        assertThat(loinOfT.steaksOnBone()).isTrue();
        assertThat(CutCatalogue.get("export-rib").steaksOnBone()).isFalse();
    }

    @Test
    void trimming_first_costs_a_millimetre_and_a_half_of_good_meat_all_round() {
        double kept = loin.after(0.1).steak()
                - loin.cutBy(BenchOrder.TRIM_FIRST).after(0.1).steak();
        // By hand: 7.478 mm cut instead of 5.978 of 98.44 mm: 0.93927³ less 0.92404³.
        assertThat(kept).isCloseTo(0.0397, within(2e-4));
    }

    @Test
    void what_a_shop_has_learnt_moves_the_crust_and_the_steaks() {
        Section plain = loin.after(0.1);
        assertThat(loin.learnt(1.2, 0).after(0.1).steak()).isLessThan(plain.steak());
        assertThat(loin.learnt(1, 0.02).after(0.1).steak()).isCloseTo(plain.steak() + 0.02, within(1e-9));
    }
}
