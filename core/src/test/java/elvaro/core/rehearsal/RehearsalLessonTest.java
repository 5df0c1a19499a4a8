package elvaro.core.rehearsal;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import elvaro.core.ledger.Piles;
import elvaro.core.rehearsal.Replay.Choice;
import elvaro.core.rehearsal.Replay.ChoiceKind;
import elvaro.core.rehearsal.Review.Finding;
import elvaro.core.rehearsal.RunsOfPlan.RunOfPlan;
import elvaro.core.yield.BenchOrder;
import elvaro.core.yield.Closeness;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.LongStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** The course, played by somebody careful and by somebody who is not. */
class RehearsalLessonTest {
    /** Looks when a careful person would, does what can be known to be right. */
    private static Review careful(RehearsalPlan plan) {
        CarefulPerson.Played played = CarefulPerson.plays(plan);
        return new Review(plan, played.deeds(), played.ending());
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
        return new Ending(day, BenchOrder.SLICE_FIRST, Closeness.USUAL, piles, List.of());
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
        List<Deed> deeds = CarefulPerson.plays(bloom).deeds();
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

    @Test
    void the_same_piece_is_played_again_with_one_choice_made_otherwise() {
        RehearsalPlan loin = RehearsalLesson.DRY_ROOM.plan(5);
        CarefulPerson.Played played = CarefulPerson.plays(loin);
        Review review = new Review(loin, played.deeds(), played.ending());
        Replay longer = review.replay(new Choice(ChoiceKind.PULLED_ON, 60, null, null));
        assertThat(longer.steakGrams()).isLessThan(-200);
        assertThat(longer.curve().get(longer.curve().size() - 1).day()).isEqualTo(60);
        Replay dry = review.replay(new Choice(ChoiceKind.NEVER_DONE, null, Deed.Kind.SAW_TO_THE_ROOM, null));
        assertThat(dry.steakGrams()).as("the room was never seen to").isLessThan(-100);
        assertThat(dry.worthMinor()).isNegative();
        Replay close = review.replay(new Choice(ChoiceKind.CUT_SO_CLOSE, null, null, Closeness.MILDER));
        assertThat(close.steakGrams()).isNegative();
        assertThat(close.curve()).isEqualTo(review.curve());
        Replay same = review.replay(new Choice(ChoiceKind.PULLED_ON, 28, null, null));
        assertThat(same.steakGrams()).isZero();
        RehearsalPlan bag = RehearsalLesson.THE_BAG.plan(4);
        Review left = new Review(bag, List.of(), ending(35, HandWork.piles(heaps(bag, 35))));
        double since = left.findings().get(0).since();
        Replay sealed = left.replay(new Choice(ChoiceKind.DONE_ON, (int) Math.ceil(since), Deed.Kind.RESEALED, null));
        assertThat(sealed.spoiltGrams()).isNegative();
        assertThatThrownBy(() -> new Choice(ChoiceKind.DONE_ON, 3, null, null))
                .isInstanceOf(IllegalArgumentException.class);
    }

    @Test
    void a_plan_let_run_twenty_times_is_better_looked_after_than_left_alone() {
        RehearsalPlan bag = RehearsalLesson.THE_BAG.plan(1);
        RunsOfPlan runs = RunsOfPlan.of(bag, 20);
        assertThat(runs.runs()).hasSize(20);
        assertThat(runs.steak(RunOfPlan::lookedAfter).middle())
                .isGreaterThanOrEqualTo(runs.steak(RunOfPlan::leftAlone).middle());
        assertThat(runs.steak(RunOfPlan::leftAlone).least())
                .isLessThan(runs.steak(RunOfPlan::lookedAfter).least());
        assertThat(runs.thrownAway(RunOfPlan::leftAlone)).isGreaterThan(runs.thrownAway(RunOfPlan::lookedAfter));
        assertThat(runs.befell()).containsKey(Mishap.CONTACT_LIFTS).doesNotContainKey(Mishap.FAN_OFF);
        assertThat(RunsOfPlan.of(bag.seeded(99), 20))
                .as("its own seed is of no account")
                .isEqualTo(runs);
    }

    @Test
    void money_comes_of_what_was_kept_and_of_nothing_that_had_turned() {
        RehearsalPlan loin = RehearsalLesson.DRY_ROOM.plan(5);
        CarefulPerson.Played played = CarefulPerson.plays(loin);
        Review kept = new Review(loin, played.deeds(), played.ending());
        assertThat(kept.paidMinor()).isGreaterThanOrEqualTo(6 * 2200);
        assertThat(kept.keptMinor()).isGreaterThan(kept.paidMinor());
        RehearsalPlan seal = RehearsalLesson.FAT_SEAL.plan(3);
        int all = heaps(seal, 35).values().stream().mapToInt(each -> each).sum();
        assertThat(new Review(seal, List.of(), ending(35, Piles.of(0, all, 0, 0, 0))).keptMinor())
                .isZero();
    }

    @Test
    void a_tray_on_the_scale_is_weighed_with_the_piece_until_somebody_notices() {
        RehearsalPlan loin = RehearsalLesson.DRY_ROOM.plan(5).befallen(Set.of(Mishap.TRAY_ON_THE_SCALE), 5);
        RehearsalWorld world = new RehearsalWorld(loin, List.of());
        assertThat(world.onTheScale(0)).isZero();
        assertThat(world.onTheScale(27)).isPositive();
        double truly = world.at(21).grams();
        Piles piles = HandWork.piles(heaps(loin, 28));
        Review noticed = weighed(loin, piles, truly + 4);
        Review not = weighed(loin, piles, truly + world.onTheScale(27));
        assertThat(noticed.wronglyWeighed()).isZero();
        assertThat(not.wronglyWeighed()).isOne();
        assertThat(not.score()).isLessThan(noticed.score());
    }

    private static Review weighed(RehearsalPlan plan, Piles piles, double grams) {
        return new Review(
                plan,
                List.of(),
                new Ending(
                        28,
                        BenchOrder.SLICE_FIRST,
                        Closeness.USUAL,
                        piles,
                        List.of(new Review.WeightOnDay(21, grams))));
    }
}
