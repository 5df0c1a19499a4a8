package elvaro.core.rehearsal;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import elvaro.core.air.ChamberKind;
import elvaro.core.cut.CutCatalogue;
import elvaro.core.drying.Coating;
import elvaro.core.drying.Method;
import elvaro.core.inspection.Circumstances;
import elvaro.core.inspection.LookVerdict;
import elvaro.core.inspection.Observation;
import elvaro.core.inspection.Rule.Answer;
import elvaro.core.yield.BenchOrder;
import elvaro.core.yield.Closeness;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.LongStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** What holds in every world, whatever its seed. */
class RehearsalWorldTest {
    private static final Deed TURNED = new Deed(7, Deed.Kind.TURNED);

    static RehearsalPlan loin(Method method, ChamberKind place, long seed, Mishap... mishaps) {
        return new RehearsalPlan(
                CutCatalogue.get("strip"), 5000, false, 5, method, Coating.NONE, place, 35, 0, Set.of(mishaps), seed);
    }

    private static double lost(RehearsalPlan plan, double day, Deed... deeds) {
        return 1 - new RehearsalWorld(plan, List.of(deeds)).at(day).grams() / plan.greenGrams();
    }

    /** Of a hundred worlds, in how many it is so. */
    private static long worlds(java.util.function.LongPredicate so) {
        return LongStream.rangeClosed(1, 100).filter(so).count();
    }

    @Test
    void equal_seeds_make_equal_worlds_and_others_others() {
        RehearsalPlan one = loin(Method.OPEN_AIR, ChamberKind.CABINET, 4);
        PieceTruth once = new RehearsalWorld(one, List.of(TURNED)).at(21);
        RehearsalWorld again = new RehearsalWorld(one, List.of(TURNED));
        again.at(3.5); // looked at on the way
        assertThat(again.at(21)).isEqualTo(once);
        assertThat(new RehearsalWorld(one.seeded(5), List.of(TURNED)).at(21)).isNotEqualTo(once);
    }

    @Test
    void one_choice_changed_leaves_what_went_before_as_it_was() {
        RehearsalPlan one = loin(Method.MEMBRANE, ChamberKind.REFRIGERATOR, 9, Mishap.CONTACT_LIFTS);
        RehearsalWorld left = new RehearsalWorld(one, List.of());
        RehearsalWorld sealed = new RehearsalWorld(one, List.of(new Deed(20, Deed.Kind.RESEALED)));
        assertThat(sealed.at(20)).isEqualTo(left.at(20));
        assertThat(sealed.at(30).pocketMm()).isLessThan(left.at(30).pocketMm());
    }

    @ParameterizedTest
    @EnumSource(Method.class)
    void mass_closes_at_the_bench(Method method) {
        for (long seed = 1; seed <= 10; seed++) {
            RehearsalPlan plan = loin(method, ChamberKind.REFRIGERATOR, seed, Mishap.CONTACT_LIFTS);
            RehearsalWorld world = new RehearsalWorld(plan, List.of());
            double grams = world.at(28).grams();
            Map<Heap, Integer> heaps = world.cutUp(BenchOrder.SLICE_FIRST, Closeness.USUAL);
            assertThat(heaps.values().stream().mapToInt(each -> each).sum()).isEqualTo((int) Math.round(grams));
            assertThat(heaps.values()).allMatch(each -> each >= 0);
            assertThat(grams).isLessThanOrEqualTo(plan.greenGrams() + 1e-6);
        }
    }

    @Test
    void wetter_air_never_dries_faster() {
        // A room that ran dry is drier from that day on, one with a fresh load beside it damper.
        assertThat(worlds(seed -> lost(loin(Method.OPEN_AIR, ChamberKind.CABINET, seed, Mishap.RUNS_DRY), 30)
                        < lost(loin(Method.OPEN_AIR, ChamberKind.CABINET, seed), 30)))
                .isZero();
        assertThat(worlds(seed -> lost(loin(Method.OPEN_AIR, ChamberKind.CABINET, seed, Mishap.LOAD_ADDED), 30)
                        > lost(loin(Method.OPEN_AIR, ChamberKind.CABINET, seed), 30)))
                .isZero();
    }

    @Test
    void nothing_grows_on_frozen_meat() {
        Flora flora = new Flora(3, 0.001);
        for (int hour = 0; hour < 90 * 24; hour++) {
            flora.pass(1 / 24.0, new TrueAir(-5, 0.95, 0), 0.99, false, 0.4, 1, 1);
        }
        assertThat(flora.foreign()).isEqualTo(0.001);
        assertThat(flora.bacteria()).isEqualTo(3);
    }

    @Test
    void warmer_is_never_cleaner() {
        Flora cold = new Flora(3, 1e-5);
        Flora warm = new Flora(3, 1e-5);
        for (int hour = 0; hour < 10 * 24; hour++) {
            cold.pass(1 / 24.0, new TrueAir(1, 0.9, 0.1), 0.985, false, 0, 1, 1);
            warm.pass(1 / 24.0, new TrueAir(6, 0.9, 0.1), 0.985, false, 0, 1, 1);
        }
        assertThat(warm.bacteria()).isGreaterThan(cold.bacteria());
        assertThat(warm.foreign()).isGreaterThan(cold.foreign());
    }

    @Test
    void a_well_kept_piece_is_clean_at_its_end_and_a_piece_under_a_lifted_film_is_not() {
        assertThat(worlds(seed -> end(loin(Method.OPEN_AIR, ChamberKind.CABINET, seed), TURNED)
                        .hasTurned()))
                .isLessThanOrEqualTo(12);
        assertThat(worlds(seed -> end(loin(Method.MEMBRANE, ChamberKind.REFRIGERATOR, seed), TURNED)
                        .hasTurned()))
                .isLessThanOrEqualTo(5);
        assertThat(worlds(seed -> end(loin(Method.MEMBRANE, ChamberKind.REFRIGERATOR, seed, Mishap.CONTACT_LIFTS))
                        .hasTurned()))
                .isGreaterThanOrEqualTo(90);
        assertThat(worlds(seed -> end(loin(Method.OPEN_AIR, ChamberKind.CABINET, seed, Mishap.COMPRESSOR_FAILS))
                        .hasTurned()))
                .isGreaterThanOrEqualTo(95);
    }

    private static PieceTruth end(RehearsalPlan plan, Deed... deeds) {
        return new RehearsalWorld(plan, List.of(deeds)).at(35);
    }

    @Test
    void seeing_to_the_room_in_time_saves_the_piece() {
        assertThat(worlds(seed -> {
                    RehearsalPlan plan = loin(Method.OPEN_AIR, ChamberKind.CABINET, seed, Mishap.COMPRESSOR_FAILS);
                    double failed = new Luck(plan).begins(Mishap.COMPRESSOR_FAILS);
                    return end(plan, TURNED, new Deed(failed + 0.4, Deed.Kind.SAW_TO_THE_ROOM))
                            .hasTurned();
                }))
                .isLessThanOrEqualTo(20);
    }

    @Test
    void a_careful_look_stops_what_has_turned_and_carries_on_with_what_has_not() {
        for (long seed = 1; seed <= 40; seed++) {
            for (Mishap mishap : List.of(Mishap.FAN_OFF, Mishap.CONTACT_LIFTS, Mishap.HOT_SPELL)) {
                RehearsalPlan plan = loin(
                        mishap == Mishap.CONTACT_LIFTS ? Method.MEMBRANE : Method.OPEN_AIR,
                        ChamberKind.CABINET,
                        seed,
                        mishap);
                RehearsalWorld world = new RehearsalWorld(plan, List.of(TURNED));
                for (int day = 1; day <= 35; day += 2) {
                    PieceTruth truth = world.at(day);
                    Observation seen = new Sight(plan, truth).observation();
                    Answer answer = LookVerdict.of(seen, new Circumstances(plan.method(), day))
                            .answer();
                    assertThat(answer == Answer.STOP)
                            .as("%s, seed %d, day %d: %s", mishap, seed, day, seen.told())
                            .isEqualTo(truth.hasTurned());
                }
            }
        }
    }

    @Test
    void what_is_spoilt_goes_nowhere_but_to_the_discard() {
        assertThat(Heap.SPOILT.mayGoTo(elvaro.core.ledger.Stream.USABLE_TRIM)).isFalse();
        assertThat(Heap.CLEAN_CRUST.mayGoTo(elvaro.core.ledger.Stream.USABLE_TRIM))
                .isTrue();
        assertThat(Heap.CLEAN_CRUST.mayGoTo(elvaro.core.ledger.Stream.STEAK)).isFalse();
    }

    @Test
    void the_layers_lose_what_leaves_the_skin_and_nothing_else() {
        MeatLayers layers = new MeatLayers(0.2, 0.06, 0.745);
        double before = layers.kilograms();
        assertThat(before).isCloseTo(1060 * 0.2 * 0.06 / 3, within(1e-9));
        layers.pass(3600, new TrueAir(2, 0.99, 0), 0, 0, 1, 1);
        assertThat(layers.kilograms()).isCloseTo(before, within(1e-9));
    }
}
