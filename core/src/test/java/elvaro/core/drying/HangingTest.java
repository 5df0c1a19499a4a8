package elvaro.core.drying;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import elvaro.core.air.Air;
import elvaro.core.air.Climate;
import elvaro.core.cut.SurfaceClass;
import java.util.Arrays;
import java.util.List;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

class HangingTest {
    private static final Climate ROOM = Climate.constant(new Air(2, 0.80, 0.5));
    private static final Surface SURFACE = Surface.bare(0.2);

    private static Hanging piece(Method method, Coating coating) {
        return new Hanging(6000, SURFACE, false, method, coating, 0.85);
    }

    private static double lost(Hanging hanging, Climate climate) {
        return hanging.dryingIn(climate).on(28, Parameters.NONE).fraction();
    }

    @ParameterizedTest
    @EnumSource(Method.class)
    void no_method_loses_anything_on_the_day_of_hanging(Method method) {
        assertThat(piece(method, Coating.NONE)
                        .dryingIn(ROOM)
                        .on(0, Parameters.NONE)
                        .fraction())
                .isZero();
    }

    private static double[] along(List<Leak> leaks, Climate climate) {
        WaterLoss.Lost[] lost = piece(Method.MEMBRANE, Coating.NONE)
                .dryingIn(climate, leaks)
                .along(new double[] {10, 11, 20, 21, 28}, Parameters.NONE);
        return Arrays.stream(lost).mapToDouble(WaterLoss.Lost::fraction).toArray();
    }

    @Test
    void a_membrane_that_leaks_from_the_first_day_dries_as_in_open_air() {
        double[] open = along(List.of(new Leak(0, Double.POSITIVE_INFINITY)), ROOM);
        assertThat(open[4]).isEqualTo(lost(piece(Method.OPEN_AIR, Coating.NONE), ROOM), within(1e-6));
    }

    @Test
    void a_leak_dries_it_faster_only_while_it_lasts() {
        double[] whole = along(List.of(), ROOM);
        double[] leaking = along(List.of(new Leak(10, 20)), ROOM);
        double[] open = along(List.of(new Leak(10, Double.POSITIVE_INFINITY)), ROOM);
        assertThat(leaking[0]).isEqualTo(whole[0], within(1e-6));
        assertThat(leaking[1] - leaking[0]).isGreaterThan(1.2 * (whole[1] - whole[0]));
        assertThat(leaking[3] - leaking[2]).isLessThan(whole[3] - whole[2]); // its crust is thicker by then
        assertThat(leaking[4]).isBetween(whole[4], open[4]);
    }

    @Test
    void a_leak_is_the_same_whether_the_air_was_recorded_or_set() {
        Climate recorded = Climate.of(IntStream.range(0, 24 * 40)
                .mapToObj(hour -> new Climate.Reading(hour / 24.0, ROOM.last()))
                .toList());
        List<Leak> leaks = List.of(new Leak(3, 5.5), new Leak(12, 19.25));
        assertThat(along(leaks, recorded)[4]).isEqualTo(along(leaks, ROOM)[4], within(1e-6));
    }

    @Test
    void a_leak_that_ends_before_it_begins_is_none() {
        assertThatThrownBy(() -> new Leak(5, 5)).hasMessageContaining("before it ends");
        assertThatThrownBy(() -> new Leak(-1, 5)).hasMessageContaining("day 0");
    }

    /** Common practice, no source: a powder on maltodextrin draws water, strong shrink. */
    @Test
    void a_powder_that_draws_water_dries_it_faster() {
        assertThat(lost(piece(Method.OPEN_AIR, Coating.POWDER), ROOM))
                .isGreaterThan(lost(piece(Method.OPEN_AIR, Coating.NONE), ROOM));
    }

    @ParameterizedTest
    @EnumSource(
            value = Coating.class,
            names = {"NONE", "POWDER"},
            mode = EnumSource.Mode.EXCLUDE)
    void every_other_coat_slows_the_drying(Coating coating) {
        assertThat(lost(piece(Method.OPEN_AIR, coating), ROOM))
                .isLessThan(lost(piece(Method.OPEN_AIR, Coating.NONE), ROOM));
    }

    /** Common practice, no source: sugar and syrup stay wet and slow the drying; a fat seal nearly stops it. */
    @Test
    void a_fat_seal_slows_it_most_and_sugar_more_than_a_cloth() {
        double seal = lost(piece(Method.OPEN_AIR, Coating.FAT_SEAL), ROOM);
        double sugar = lost(piece(Method.OPEN_AIR, Coating.SYRUP), ROOM);
        double cloth = lost(piece(Method.OPEN_AIR, Coating.CLOTH), ROOM);
        assertThat(seal).isLessThan(sugar);
        assertThat(sugar).isLessThan(cloth);
    }

    @Test
    void the_seal_of_the_method_counts_once_whatever_else_is_said() {
        assertThat(lost(piece(Method.FAT_SEAL, Coating.NONE), ROOM))
                .isEqualTo(lost(piece(Method.FAT_SEAL, Coating.FAT_SEAL), ROOM))
                .isEqualTo(lost(piece(Method.OPEN_AIR, Coating.FAT_SEAL), ROOM));
    }

    @ParameterizedTest(name = "at {0} RH")
    @CsvSource({"0.50, true", "0.65, true", "0.90, false", "0.95, false"})
    void salt_slows_the_drying_in_dry_air_and_hastens_it_in_damp(double humidity, boolean slower) {
        Climate air = Climate.constant(new Air(3, humidity, 0.1));
        double tray = lost(piece(Method.SALT_TRAY, Coating.NONE), air);
        double open = lost(piece(Method.OPEN_AIR, Coating.NONE), air);
        assertThat(tray < open).isEqualTo(slower);
    }

    @Test
    void a_vacuum_bag_never_gives_off_more_than_it_can_hold() {
        WaterLoss bag = piece(Method.VACUUM, Coating.NONE).dryingIn(ROOM);
        assertThat(bag.on(400, Parameters.NONE).fraction()).isLessThanOrEqualTo(0.06);
        assertThat(bag.on(400, new Parameters(-3, 0)).byResistance()).isZero();
    }

    @Test
    void warmer_air_of_the_same_humidity_dries_faster() {
        Climate warm = Climate.constant(new Air(6, 0.80, 0.5));
        assertThat(lost(piece(Method.OPEN_AIR, Coating.NONE), warm))
                .isGreaterThan(lost(piece(Method.OPEN_AIR, Coating.NONE), ROOM));
    }

    @Test
    void many_days_asked_at_once_are_the_days_asked_one_by_one() {
        WaterLoss loss = piece(Method.MEMBRANE, Coating.NONE).dryingIn(ROOM);
        double[] days = {0, 0.3, 1, 1, 7.75, 28, 100.01};
        WaterLoss.Lost[] together = loss.along(days, Parameters.NONE);
        for (int index = 0; index < days.length; index++) {
            assertThat(together[index].fraction())
                    .isCloseTo(loss.on(days[index], Parameters.NONE).fraction(), within(1e-7));
        }
    }

    @Test
    void days_that_run_backwards_are_refused() {
        WaterLoss loss = piece(Method.OPEN_AIR, Coating.NONE).dryingIn(ROOM);
        assertThatThrownBy(() -> loss.along(new double[] {7, 3}, Parameters.NONE))
                .hasMessageContaining("ascend");
        assertThatThrownBy(() -> loss.on(-1, Parameters.NONE)).hasMessageContaining("0 or more");
    }

    @ParameterizedTest(name = "contact {0}")
    @CsvSource({"0", "1.01", "-0.2", "NaN"})
    void contact_is_a_share_of_the_film(double contact) {
        Hanging wrong = new Hanging(6000, SURFACE, false, Method.MEMBRANE, Coating.NONE, contact);
        assertThatThrownBy(() -> wrong.dryingIn(ROOM)).hasMessageContaining("Contact is a share");
    }

    @Test
    void a_surface_is_covered_by_at_most_all_of_itself() {
        assertThatThrownBy(() -> new Surface(0.2, 0.7, 0.4)).hasMessageContaining("at most all of it");
        assertThatThrownBy(() -> Surface.bare(0)).hasMessageContaining("above 0");
        assertThatThrownBy(() -> Surface.measured(0.4, 0, 0.1, 5000, 0, false)).hasMessageContaining("above 0");
    }

    /** Reference section 3: fat of 5 mm and more keeps 0.35 of the drying of its face, bone 0.3. By hand on 1 m². */
    @ParameterizedTest(name = "fat {0} mm, bone {1}: {2} m² dries, {3} m² is lean")
    @CsvSource({
        "0, false, 1, 1",
        "4, false, 1, 1",
        "5, false, 0.7725, 0.65",
        "0, true, 0.86, 0.8",
        "9, true, 0.6325, 0.45"
    })
    void covered_faces_dry_less_and_are_not_trimmed(int fatMm, boolean bone, double drying, double lean) {
        int grams = (int) Math.round(Math.pow(1 / 6.5, 1.5) * 1060 * 1000);
        Surface surface = Surface.of(SurfaceClass.LONG_SUBPRIMAL, grams, fatMm, bone);
        assertThat(surface.drying()).isCloseTo(drying, within(1e-4));
        assertThat(surface.lean()).isCloseTo(lean, within(1e-4));
    }
}
