package elvaro.core.prepare;

import static elvaro.core.working.Units.PLAIN;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import elvaro.core.air.Air;
import elvaro.core.air.ChamberKind;
import elvaro.core.cut.CutCatalogue;
import elvaro.core.cut.SurfaceClass;
import elvaro.core.drying.Coating;
import elvaro.core.drying.Hanging;
import elvaro.core.drying.Method;
import elvaro.core.drying.Surface;
import elvaro.core.plan.Doubt;
import elvaro.core.prepare.Need.Sides;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

class PreparationTest {
    private static Hanging piece(Method method, Coating coating) {
        return new Hanging(6000, Surface.bare(0.2), false, method, coating, 0.85);
    }

    private static List<String> steps(String cut, Method method, Coating coating) {
        return PreparationStep.of(CutCatalogue.get(cut), piece(method, coating)).stream()
                .map(PreparationStep::key)
                .toList();
    }

    @ParameterizedTest
    @EnumSource(Method.class)
    void begins_with_clean_hands_and_ends_with_the_green_weight(Method method) {
        List<String> steps = steps("strip", method, Coating.NONE);
        assertThat(steps)
                .startsWith("wash-pack", "clean-board")
                .endsWith("weigh")
                .doesNotHaveDuplicates();
    }

    /** Common practice, no source. */
    @Test
    void a_bird_is_prepared_as_a_bird_and_a_deer_as_a_deer() {
        assertThat(steps("duck", Method.OPEN_AIR, Coating.NONE))
                .containsExactly("pluck", "wings-legs", "singe", "split", "rinse", "rack", "weigh");
        assertThat(steps("deer-carcass", Method.OPEN_AIR, Coating.HIDE))
                .containsExactly("draw", "game", "core", "hocks", "weigh");
        assertThat(steps("deer-carcass", Method.ON_ICE, Coating.NONE))
                .contains("ice")
                .doesNotContain("hocks");
        assertThat(steps("whole-fish", Method.OPEN_AIR, Coating.NONE)).contains("scales", "tail");
        assertThat(steps("deer-haunch", Method.OPEN_AIR, Coating.NONE)).contains("wash-pack", "tie");
    }

    /** Common practice, no source: the washed pack is cut open inside the membrane, its mouth closed three quarters. */
    @Test
    void into_a_membrane_no_hand_touches_the_meat_and_one_without_a_sealer_is_told_how() {
        String told = PreparationStep.of(CutCatalogue.get("strip"), piece(Method.MEMBRANE, Coating.NONE)).stream()
                .map(PreparationStep::words)
                .reduce("", (one, other) -> one + " " + other);
        assertThat(told)
                .containsSubsequence(
                        "Wash the outside of the pack",
                        "cut the pack open inside it",
                        "no hand touches the meat",
                        "three quarters of the mouth",
                        "Without a sealer",
                        "Seal two or three times",
                        "trim the surplus film");
    }

    /** Common practice, no source: dry in open air, wet in a membrane. */
    @Test
    void a_membrane_wants_the_surface_wet_and_open_air_wants_it_dry() {
        assertThat(steps("strip", Method.MEMBRANE, Coating.NONE))
                .contains("keep-wet", "draw-air", "seal")
                .doesNotContain("pat-dry");
        assertThat(steps("strip", Method.OPEN_AIR, Coating.NONE))
                .contains("pat-dry", "tie")
                .doesNotContain("keep-wet");
    }

    @Test
    void game_is_looked_over_and_a_coat_is_weighed() {
        assertThat(steps("deer-haunch", Method.OPEN_AIR, Coating.SYRUP)).contains("game", "coat");
        assertThat(steps("strip", Method.OPEN_AIR, Coating.NONE)).doesNotContain("game", "coat");
    }

    /** By hand: 400 × 200 × 100 mm. Film 200 + 100 + 60 wide, 400 + 100 + 150 long. Salt 0.45 × 0.25 m, 1 cm: 1350 g. */
    @Test
    void what_is_needed_follows_from_the_sides_of_the_piece() {
        Sides sides = new Sides(400, 200, 100);
        assertThat(Need.of(piece(Method.MEMBRANE, Coating.NONE), sides))
                .extracting(need -> PLAIN.sentence(need.amount()))
                .contains("at least 360 mm wide and 650 mm long");
        assertThat(Need.of(piece(Method.SALT_TRAY, Coating.NONE), sides))
                .extracting(need -> PLAIN.sentence(need.amount()))
                .contains("1350 g, 10 mm deep", "at least 450 mm by 250 mm");
    }

    @ParameterizedTest
    @EnumSource(SurfaceClass.class)
    void a_piece_nobody_measured_has_sides_that_hold_its_weight(SurfaceClass shape) {
        Sides sides = Sides.usual(shape, 5000);
        double kilograms = sides.length() * sides.width() * sides.height() * 0.85 / 1e9 * 1060;
        assertThat(kilograms).isCloseTo(5, within(1e-9));
    }

    @ParameterizedTest(name = "{0}, {1}, {2} °C, {3} RH, {4}: {6}")
    @CsvSource({
        "OPEN_AIR, NONE, 2, 0.80, WALK_IN, 28, ''",
        "OPEN_AIR, NONE, 2, 0.995, WALK_IN, 28, wetter-than-surface",
        "OPEN_AIR, SYRUP, 2, 0.91, WALK_IN, 28, wetter-than-surface",
        "OPEN_AIR, NONE, 2, 0.92, WALK_IN, 28, damp",
        "VACUUM, NONE, 2, 0.995, WALK_IN, 28, ''",
        "OPEN_AIR, NONE, 6, 0.80, WALK_IN, 28, warm",
        "OPEN_AIR, NONE, -2, 0.80, WALK_IN, 28, freezing",
        "MEMBRANE, CLOTH, 3, 0.65, REFRIGERATOR, 28, cloth-in-membrane",
        "OPEN_AIR, NONE, 3, 0.65, REFRIGERATOR, 28, open-in-refrigerator",
        "ON_ICE, NONE, 2, 0.80, WALK_IN, 10, method-chamber",
        "OPEN_AIR, NONE, 2, 0.80, WALK_IN, 120, experiment"
    })
    void a_plan_that_will_not_go_well_is_told_so(
            Method method, Coating coating, double celsius, double humidity, ChamberKind kind, int days, String doubt) {
        List<Doubt> doubts =
                Doubt.about(piece(method, coating), new Air(celsius, humidity, 0.5), Optional.of(kind), days);
        assertThat(doubts).extracting(Doubt::id).isEqualTo(doubt.isEmpty() ? List.of() : List.of(doubt));
        assertThat(doubts).allMatch(each -> each.sentence().endsWith("."));
    }
}
