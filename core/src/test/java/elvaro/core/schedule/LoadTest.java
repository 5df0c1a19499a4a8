package elvaro.core.schedule;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import elvaro.core.drying.Coating;
import elvaro.core.drying.Method;
import elvaro.core.game.Ice;
import elvaro.core.schedule.Load.Limits;
import elvaro.core.schedule.Load.PlannedStay;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.UUID;
import java.util.stream.LongStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

class LoadTest {
    private static final LocalDate DAY = LocalDate.of(2026, 3, 2);
    private static final Limits CABINET = new Limits(20_000, 3, Optional.empty());

    private static PlannedStay stay(int grams, int from, int to) {
        return new PlannedStay(UUID.randomUUID(), grams, 0.05, DAY.plusDays(from), DAY.plusDays(to));
    }

    @Test
    void a_place_is_free_again_on_the_day_of_the_pull() {
        Load load = new Load(CABINET, List.of(stay(8000, 0, 28), stay(6000, 10, 40)));
        assertThat(load.on(DAY.plusDays(9)).grams()).isEqualTo(8000);
        assertThat(load.on(DAY.plusDays(10)).places()).isEqualTo(2);
        assertThat(load.on(DAY.plusDays(28)).grams()).isEqualTo(6000);
    }

    @Test
    void something_that_would_overload_it_later_does_not_fit_now() {
        Load load = new Load(CABINET, List.of(stay(15_000, 10, 30)));
        assertThat(load.fits(List.of(stay(6000, 0, 28)))).isFalse();
        assertThat(load.fits(List.of(stay(6000, 0, 10)))).isTrue();
        assertThat(load.firstFit(List.of(stay(6000, 0, 28)), DAY, 100)).contains(DAY.plusDays(30));
    }

    @Test
    void hooks_and_shelves_run_out_as_weight_does() {
        Load full = new Load(CABINET, List.of(stay(100, 0, 9), stay(100, 0, 9), stay(100, 0, 9)));
        assertThat(full.fits(List.of(stay(100, 0, 5)))).isFalse();
        Load shelf = new Load(new Limits(20_000, 9, Optional.of(0.12)), List.of(stay(100, 0, 9), stay(100, 0, 9)));
        assertThat(shelf.fits(List.of(stay(100, 0, 5)))).isFalse();
    }

    /** By hand: 0.28 of 0.25 m² is 0.07 m², 264.6 mm square; with 25 mm of air 289.6 mm, 0.0838 m². */
    @Test
    void a_piece_on_a_shelf_keeps_its_air() {
        assertThat(Load.footprint(0.25)).isCloseTo(0.0838, within(1e-4));
    }

    @Test
    void what_to_pull_is_what_is_nearest_its_target_and_no_more_of_it_than_needed() {
        PlannedStay ready = stay(6000, -30, 2);
        PlannedStay nearly = stay(6000, -20, 9);
        PlannedStay young = stay(6000, -2, 40);
        Load load = new Load(CABINET, List.of(young, ready, nearly));
        assertThat(load.toPull(List.of(stay(5000, 0, 28)))).containsExactly(ready);
        assertThat(load.toPull(List.of(stay(12_000, 0, 28)))).containsExactly(ready, nearly);
        assertThat(load.toPull(List.of(stay(21_000, 0, 28))))
                .as("too heavy for the empty cabinet")
                .isEmpty();
    }

    @Test
    void too_full_is_said_with_its_day() {
        Load load = new Load(CABINET, List.of(stay(15_000, 0, 20), stay(9000, 5, 20)));
        assertThat(load.tooFull(DAY, 30))
                .hasValueSatisfying(day -> assertThat(day.day()).isEqualTo(DAY.plusDays(5)));
        assertThat(load.tooFull(DAY.plusDays(20), 30)).isEmpty();
    }

    static LongStream seeds() {
        return LongStream.range(1, 121);
    }

    @ParameterizedTest(name = "seed {0}")
    @MethodSource("seeds")
    void on_the_first_day_it_fits_it_fits_and_on_no_day_before(long seed) {
        Random random = new Random(seed);
        List<PlannedStay> there = new ArrayList<>();
        for (int piece = 0; piece < 6; piece++) {
            int from = random.nextInt(40) - 20;
            there.add(stay(2000 + random.nextInt(8000), from, from + 5 + random.nextInt(50)));
        }
        Load load = new Load(CABINET, there);
        int days = 5 + random.nextInt(40);
        int grams = 2000 + random.nextInt(17_000);
        LocalDate first = load.firstFit(List.of(stay(grams, 0, days)), DAY, 200).orElseThrow();
        for (LocalDate day = DAY; !day.isAfter(first); day = day.plusDays(1)) {
            PlannedStay whole = new PlannedStay(UUID.randomUUID(), grams, 0.05, day, day.plusDays(days));
            boolean everyDay = day.datesUntil(day.plusDays(days))
                    .allMatch(each -> load.on(each).grams() + grams <= 20_000
                            && load.on(each).places() < 3);
            assertThat(load.fits(List.of(whole))).isEqualTo(everyDay).isEqualTo(day.equals(first));
        }
    }

    @Test
    void the_work_of_a_piece_is_weighing_turning_looking_and_its_pull() {
        List<Task> tasks = Task.of(new Care(Method.OPEN_AIR, Coating.NONE), DAY, 28);
        assertThat(days(tasks, Work.WEIGH)).containsExactly(1L, 3L, 7L, 14L, 21L);
        assertThat(days(tasks, Work.TURN)).containsExactly(7L);
        assertThat(days(tasks, Work.LOOK)).containsExactly(7L, 14L, 21L);
        assertThat(days(tasks, Work.PULL)).containsExactly(28L);
        assertThat(days(tasks, Work.CHANGE_ICE)).isEmpty();
    }

    @Test
    void what_lies_on_ice_is_drained_and_topped_up_as_it_melts_and_neither_weighed_nor_turned() {
        List<Task> tasks = Task.of(new Care(Method.ON_ICE, Coating.NONE), DAY, 10);
        assertThat(days(tasks, Work.CHANGE_ICE)).containsExactly(2L, 4L, 6L, 8L);
        assertThat(days(tasks, Work.TURN)).isEmpty();
        assertThat(days(tasks, Work.WEIGH)).isEmpty();
        int warm = Ice.of(2_000, 2_000, 10, 30, Ice.USUAL_CHEST_GRAMS).topUpDays();
        assertThat(days(Task.of(new Care(Method.ON_ICE, Coating.NONE, false, warm), DAY, 4), Work.CHANGE_ICE))
                .containsExactly(1L, 2L, 3L);
    }

    private static List<Long> days(List<Task> tasks, Work work) {
        return tasks.stream()
                .filter(task -> task.work() == work)
                .map(task -> task.on().toEpochDay() - DAY.toEpochDay())
                .toList();
    }
}
