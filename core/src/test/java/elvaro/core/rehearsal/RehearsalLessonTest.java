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
class RehearsalLessonTest {
    /** Looks when a careful person would, does what can be known to be right. */
    private static Review careful(RehearsalPlan plan) {
        List<Deed> deeds = CarefulPerson.deeds(plan, (int) CarefulPerson.end(plan, List.of()));
        double end = CarefulPerson.end(plan, deeds);
        return new Review(plan, deeds, CarefulPerson.ending(plan, deeds, end));
    }

    /** Hangs it, comes back ten days late, and eats all that is not bone. */
    private static Review careless(RehearsalPlan plan) {
        double end = Math.max(plan.beginsOnDay(), plan.plannedDays()) + 10;
        Map<Heap, Integer> heaps = heaps(plan, end);
        int bone = heaps.getOrDefault(Heap.BONE, 0);
        int all = heaps.values().stream().mapToInt(each -> each).sum();
        return new Review(plan, List.of(), ending(end, Piles.of(all - bone, 0, 0, bone, 0)));
    }

    private static Map<Heap, Integer> heaps(RehearsalPlan plan, double end) {
        RehearsalWorld world = new RehearsalWorld(plan, List.of());
        world.at(end);
        return world.cutUp(BenchOrder.SLICE_FIRST, Closeness.USUAL);
    }

    private static Ending ending(double day, Piles piles) {
        return new Ending(day, BenchOrder.SLICE_FIRST, Closeness.USUAL, piles);
    }

    @ParameterizedTest
    @EnumSource(
            value = RehearsalLesson.class,
            names = {"PROVED_NOTHING", "THREE_TASTERS"},
            mode = EnumSource.Mode.EXCLUDE)
    void is_passed_with_care_in_nearly_every_world_and_without_in_none(RehearsalLesson lesson) {
        long passed = LongStream.rangeClosed(1, 20)
                .filter(seed -> careful(lesson.plan(seed)).isPassed())
                .count();
        long passedWithout = LongStream.rangeClosed(1, 20)
                .filter(seed -> careless(lesson.plan(seed)).isPassed())
                .count();
        assertThat(passed).isGreaterThanOrEqualTo(19);
        assertThat(passedWithout).isZero();
    }

    @Test
    void what_had_turned_and_was_kept_ends_at_nothing_whatever_else_was_right() {
        RehearsalPlan seal = RehearsalLesson.FAT_SEAL.plan(3);
        Map<Heap, Integer> heaps = heaps(seal, 35);
        int all = heaps.values().stream().mapToInt(each -> each).sum();
        Review kept = new Review(seal, List.of(), ending(35, Piles.of(0, all, 0, 0, 0)));
        assertThat(kept.dangerGrams()).isGreaterThan(1000);
        assertThat(kept.score()).isZero();
        assertThat(new Review(seal, List.of(), ending(35, HandWork.piles(heaps))).score())
                .isGreaterThan(90);
    }

    @Test
    void a_good_piece_thrown_away_is_a_loss_for_nothing() {
        RehearsalPlan bloom = RehearsalLesson.WHITE_BLOOM.plan(2);
        List<Deed> deeds = CarefulPerson.deeds(bloom, 45);
        RehearsalWorld world = new RehearsalWorld(bloom, deeds);
        int grams = (int) world.at(20).grams();
        Review away = new Review(bloom, deeds, ending(20, Piles.of(0, 0, 0, 0, grams)));
        assertThat(away.wasteGrams()).isGreaterThan(2000);
        assertThat(away.isPassed()).isFalse();
        assertThat(away.dangerGrams()).isZero();
    }

    @Test
    void a_sign_that_was_left_says_since_when_and_what_doing_it_at_once_had_kept() {
        RehearsalPlan bag = RehearsalLesson.THE_BAG.plan(4);
        Review left = new Review(bag, List.of(), ending(35, HandWork.piles(heaps(bag, 35))));
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
                ending(35, HandWork.piles(heaps(bag, 35))));
        assertThat(seen.findings().stream().filter(finding -> finding.sign() == Sign.LOOSE))
                .allMatch(finding -> finding.late() == 0);
    }

    /** The same care in worlds that differ by luck alone. */
    @Test
    void luck_earns_nothing() {
        for (RehearsalLesson lesson :
                List.of(RehearsalLesson.DRY_ROOM, RehearsalLesson.THE_BAG, RehearsalLesson.WHITE_BLOOM)) {
            assertThat(LongStream.rangeClosed(1, 20)
                            .map(seed -> careful(lesson.plan(seed)).score()))
                    .allMatch(score -> score >= 90);
        }
    }
}
