package elvaro.core.drying;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import elvaro.core.air.Air;
import elvaro.core.air.Climate;
import elvaro.core.air.Climate.Reading;
import elvaro.core.cut.SurfaceClass;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.stream.LongStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** What must hold for any piece in any air; the seed is the test's name. */
class DryingPropertiesTest {
    private static final List<Method> DRYING =
            List.of(Method.OPEN_AIR, Method.MEMBRANE, Method.SALT_TRAY, Method.FAT_SEAL);

    static LongStream seeds() {
        return LongStream.range(1, 151);
    }

    private record Piece(
            SurfaceClass shape, int grams, int fatMm, boolean boneIn, Method method, Coating coating, Air air) {
        static Piece any(Random random) {
            return new Piece(
                    SurfaceClass.values()[random.nextInt(SurfaceClass.values().length)],
                    200 + random.nextInt(12_000),
                    random.nextInt(20),
                    random.nextBoolean(),
                    DRYING.get(random.nextInt(DRYING.size())),
                    Coating.values()[random.nextInt(Coating.values().length)],
                    new Air(-1 + random.nextDouble() * 8, 0.3 + random.nextDouble() * 0.6, random.nextDouble() * 2));
        }

        Piece in(Air other) {
            return new Piece(shape, grams, fatMm, boneIn, method, coating, other);
        }

        double lostBy(double day) {
            Surface surface = Surface.of(shape, grams, fatMm, boneIn);
            return new Hanging(grams, surface, boneIn, method, coating, 0.85)
                    .dryingIn(Climate.constant(air))
                    .on(day, Parameters.NONE)
                    .fraction();
        }
    }

    @ParameterizedTest(name = "seed {0}")
    @MethodSource("seeds")
    void wetter_air_never_dries_faster_and_faster_air_never_slower(long seed) {
        Random random = new Random(seed);
        Piece piece = Piece.any(random);
        double day = 1 + random.nextInt(100);
        Air air = piece.air();
        double wetter = air.relativeHumidity() + random.nextDouble() * (1 - air.relativeHumidity());
        double faster = air.metresPerSecond() + random.nextDouble();
        double lost = piece.lostBy(day);
        assertThat(piece.in(new Air(air.celsius(), wetter, air.metresPerSecond()))
                        .lostBy(day))
                .isLessThanOrEqualTo(lost + 1e-12);
        assertThat(piece.in(new Air(air.celsius(), air.relativeHumidity(), faster))
                        .lostBy(day))
                .isGreaterThanOrEqualTo(lost - 1e-12);
    }

    @ParameterizedTest(name = "seed {0}")
    @MethodSource("seeds")
    void a_larger_piece_and_a_covered_one_never_dry_faster(long seed) {
        Random random = new Random(seed);
        Piece any = Piece.any(random);
        Piece piece = new Piece(any.shape(), any.grams(), 0, any.boneIn(), any.method(), any.coating(), any.air());
        double day = 1 + random.nextInt(100);
        double lost = piece.lostBy(day);
        Piece larger = new Piece(
                piece.shape(),
                piece.grams() + random.nextInt(9000),
                0,
                piece.boneIn(),
                piece.method(),
                piece.coating(),
                piece.air());
        Piece covered = new Piece(
                piece.shape(),
                piece.grams(),
                5 + random.nextInt(20),
                piece.boneIn(),
                piece.method(),
                piece.coating(),
                piece.air());
        assertThat(larger.lostBy(day)).isLessThanOrEqualTo(lost + 1e-12);
        assertThat(covered.lostBy(day)).isLessThanOrEqualTo(lost + 1e-12);
    }

    @ParameterizedTest(name = "seed {0}")
    @MethodSource("seeds")
    void what_is_lost_grows_day_by_day_and_never_beyond_what_meat_can_lose(long seed) {
        Piece piece = Piece.any(new Random(seed));
        double before = 0;
        for (int day = 5; day <= 400; day += 35) {
            double lost = piece.lostBy(day);
            assertThat(lost).isBetween(before, piece.boneIn() ? 0.50 : 0.62);
            before = lost;
        }
    }

    @ParameterizedTest(name = "seed {0}")
    @MethodSource("seeds")
    void the_sensitivities_are_the_slopes_of_the_curve(long seed) {
        Random random = new Random(seed);
        WaterLoss loss = new AirDrying(
                3000,
                Surface.bare(0.12),
                false,
                Climate.constant(Piece.any(random).air()),
                Skin.bare());
        Parameters at = new Parameters(random.nextGaussian() * 0.4, random.nextGaussian() * 0.5);
        WaterLoss.Lost lost = loss.on(30, at);
        double step = 1e-5;
        double up =
                loss.on(30, new Parameters(at.resistance() + step, at.crust())).fraction();
        double down =
                loss.on(30, new Parameters(at.resistance() - step, at.crust())).fraction();
        assertThat(lost.byResistance()).isCloseTo((up - down) / 2 / step, within(1e-6));
        up = loss.on(30, new Parameters(at.resistance(), at.crust() + step)).fraction();
        down = loss.on(30, new Parameters(at.resistance(), at.crust() - step)).fraction();
        assertThat(lost.byCrust()).isCloseTo((up - down) / 2 / step, within(1e-6));
    }

    @Test
    void air_that_was_recorded_hour_by_hour_dries_as_its_mean_does() {
        List<Reading> hours = new ArrayList<>();
        for (int hour = 0; hour < 24 * 30; hour++) {
            hours.add(new Reading(hour / 24.0, new Air(2, hour % 2 == 0 ? 0.76 : 0.84, 0.5)));
        }
        Surface surface = Surface.bare(0.23);
        double swinging = new AirDrying(8000, surface, false, Climate.of(hours), Skin.bare())
                .on(30, Parameters.NONE)
                .fraction();
        double even = new AirDrying(8000, surface, false, Climate.constant(new Air(2, 0.80, 0.5)), Skin.bare())
                .on(30, Parameters.NONE)
                .fraction();
        assertThat(swinging).isCloseTo(even, within(1e-6));
    }

    @Test
    void beyond_the_recorded_air_the_set_point_holds() {
        Climate damp = Climate.constant(new Air(2, 0.95, 0.5)).then(10, new Air(2, 0.75, 0.5));
        Surface surface = Surface.bare(0.23);
        WaterLoss loss = new AirDrying(8000, surface, false, damp, Skin.bare());
        double first = loss.on(10, Parameters.NONE).fraction();
        double second = loss.on(20, Parameters.NONE).fraction() - first;
        assertThat(second).isGreaterThan(3 * first);
        assertThat(damp.at(9.99).relativeHumidity()).isEqualTo(0.95);
        assertThat(damp.at(10).relativeHumidity()).isEqualTo(0.75);
    }

    @Test
    void an_open_seal_dries_like_open_air_and_a_loose_bag_slower_than_a_tight_one() {
        Climate fridge = Climate.constant(new Air(3, 0.5, 0.1));
        Surface surface = Surface.bare(0.2);
        double tight = lost(fridge, surface, Method.MEMBRANE, 1);
        double loose = lost(fridge, surface, Method.MEMBRANE, 0.5);
        double open = lost(fridge, surface, Method.OPEN_AIR, 1);
        assertThat(loose).isLessThan(tight);
        assertThat(tight).isLessThan(open);
    }

    private static double lost(Climate climate, Surface surface, Method method, double contact) {
        return new Hanging(6000, surface, false, method, Coating.NONE, contact)
                .dryingIn(climate)
                .on(28, Parameters.NONE)
                .fraction();
    }

    /** A box of 0.4 × 0.2 × 0.1 m filled to its corners: its own surface, 0.28 m². */
    @Test
    void a_measured_piece_has_the_surface_of_its_box_as_far_as_it_fills_it() {
        int full = (int) Math.round(0.4 * 0.2 * 0.1 * SurfaceClass.LEAN_DENSITY * 1000);
        assertThat(Surface.measured(0.4, 0.2, 0.1, full, 0, false).squareMetres())
                .isCloseTo(0.28, within(1e-4));
        assertThat(Surface.measured(0.4, 0.2, 0.1, full * 3 / 4, 0, false).squareMetres())
                .isLessThan(0.28);
    }
}
