package elvaro.core.rehearsal;

import static org.assertj.core.api.Assertions.assertThat;

import elvaro.core.ledger.Piles;
import elvaro.core.rehearsal.Review.Finding;
import elvaro.core.yield.BenchOrder;
import elvaro.core.yield.Closeness;
import java.util.List;
import java.util.Map;
import java.util.stream.LongStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** The course, played by somebody careful and by somebody who is not. */
class LessonTest {
    /** Looks when a careful person would, does what can be known to be right. */
    private static Review careful(Scenario scenario) {
        List<Deed> deeds = Review.careful(scenario, (int) Review.carefulEnd(scenario, List.of()));
        double end = Review.carefulEnd(scenario, deeds);
        return new Review(scenario, deeds, Review.carefulFinish(scenario, deeds, end));
    }

    /** Hangs it, comes back ten days late, and eats all that is not bone. */
    private static Review careless(Scenario scenario) {
        double end = Math.max(scenario.beginsOnDay(), scenario.plannedDays()) + 10;
        Map<Heap, Integer> heaps = heaps(scenario, end);
        int bone = heaps.getOrDefault(Heap.BONE, 0);
        int all = heaps.values().stream().mapToInt(each -> each).sum();
        return new Review(scenario, List.of(), finish(end, Piles.of(all - bone, 0, 0, bone, 0)));
    }

    private static Map<Heap, Integer> heaps(Scenario scenario, double end) {
        RehearsalWorld world = new RehearsalWorld(scenario, List.of());
        world.at(end);
        return world.cutUp(BenchOrder.SLICE_FIRST, Closeness.USUAL);
    }

    private static Finish finish(double day, Piles piles) {
        return new Finish(day, BenchOrder.SLICE_FIRST, Closeness.USUAL, piles);
    }

    @ParameterizedTest
    @EnumSource(Lesson.class)
    void is_passed_with_care_in_nearly_every_world_and_without_in_none(Lesson lesson) {
        long passed = LongStream.rangeClosed(1, 20)
                .filter(seed -> careful(lesson.scenario(seed)).isPassed())
                .count();
        long passedWithout = LongStream.rangeClosed(1, 20)
                .filter(seed -> careless(lesson.scenario(seed)).isPassed())
                .count();
        assertThat(passed).isGreaterThanOrEqualTo(19);
        assertThat(passedWithout).isZero();
    }

    @Test
    void what_had_turned_and_was_kept_ends_at_nothing_whatever_else_was_right() {
        Scenario seal = Lesson.FAT_SEAL.scenario(3);
        Map<Heap, Integer> heaps = heaps(seal, 35);
        int all = heaps.values().stream().mapToInt(each -> each).sum();
        Review kept = new Review(seal, List.of(), finish(35, Piles.of(0, all, 0, 0, 0)));
        assertThat(kept.dangerGrams()).isGreaterThan(1000);
        assertThat(kept.score()).isZero();
        assertThat(new Review(seal, List.of(), finish(35, Review.carefulPiles(heaps))).score())
                .isGreaterThan(90);
    }

    @Test
    void a_good_piece_thrown_away_is_a_loss_for_nothing() {
        Scenario bloom = Lesson.WHITE_BLOOM.scenario(2);
        List<Deed> deeds = Review.careful(bloom, 45);
        RehearsalWorld world = new RehearsalWorld(bloom, deeds);
        int grams = (int) world.at(20).grams();
        Review away = new Review(bloom, deeds, finish(20, Piles.of(0, 0, 0, 0, grams)));
        assertThat(away.wasteGrams()).isGreaterThan(2000);
        assertThat(away.isPassed()).isFalse();
        assertThat(away.dangerGrams()).isZero();
    }

    @Test
    void a_sign_that_was_left_says_since_when_and_what_doing_it_at_once_had_kept() {
        Scenario bag = Lesson.THE_BAG.scenario(4);
        Review left = new Review(bag, List.of(), finish(35, Review.carefulPiles(heaps(bag, 35))));
        Finding loose = left.findings().stream()
                .filter(finding -> finding.sign() == Sign.LOOSE)
                .findFirst()
                .orElseThrow();
        assertThat(loose.since()).isGreaterThanOrEqualTo(new Luck(bag).begins(Mishap.CONTACT_LIFTS));
        assertThat(loose.until()).isEqualTo(35);
        assertThat(loose.costGrams()).isGreaterThan(200);
        assertThat(loose.costMinor()).isGreaterThan(1000);
        assertThat(loose.instead()).isNotEmpty();
        // Done in time, there is nothing to tell of it.
        Review seen = new Review(
                bag,
                List.of(new Deed(loose.since() + 2, Deed.Kind.RESEALED)),
                finish(35, Review.carefulPiles(heaps(bag, 35))));
        assertThat(seen.findings().stream().filter(finding -> finding.sign() == Sign.LOOSE))
                .allMatch(finding -> finding.late() == 0);
    }

    /** The same care in worlds that differ by luck alone. */
    @Test
    void luck_earns_nothing() {
        for (Lesson lesson : List.of(Lesson.DRY_ROOM, Lesson.THE_BAG, Lesson.WHITE_BLOOM)) {
            assertThat(LongStream.rangeClosed(1, 20)
                            .map(seed -> careful(lesson.scenario(seed)).score()))
                    .allMatch(score -> score >= 90);
        }
    }
}
