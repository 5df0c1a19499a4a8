package elvaro.core.rehearsal;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import elvaro.core.drying.Method;
import elvaro.core.rehearsal.ClaimReview.Again;
import elvaro.core.tasting.Preference;
import elvaro.core.trial.TrialMeasure;
import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;
import java.util.stream.LongStream;
import org.junit.jupiter.api.Test;

/** What is asked of several, in worlds where there is something to find (odd seeds) and where there is not. */
class ClaimReviewTest {
    private static Taste taste(RehearsalPlan plan) {
        return Taste.of(plan, new RehearsalWorld(plan, List.of()).at(plan.plannedDays()));
    }

    private static ClaimReview tasting(long seed, int tasters, Claim claim, Claim shown) {
        List<RehearsalPlan> two = RehearsalLesson.THREE_TASTERS.tasted(seed);
        return ClaimReview.ofTasting(claim, shown, tasters, taste(two.get(0)), taste(two.get(1)), seed);
    }

    private static double at(ClaimReview review, int size) {
        return review.again().stream()
                .filter(each -> each.size() == size)
                .mapToDouble(Again::shows)
                .findFirst()
                .orElseThrow();
    }

    @Test
    void three_tasters_never_show_anything_and_two_dozen_often_do_where_there_is_something() {
        for (long seed = 1; seed <= 5; seed += 2) {
            ClaimReview review = tasting(seed, 3, Claim.NOT_SHOWN, Claim.NOT_SHOWN);
            assertThat(at(review, 3)).isZero();
            assertThat(at(review, 24)).isGreaterThan(0.4);
            assertThat(review.truth()).isBetween(0.65, 0.9);
        }
    }

    @Test
    void what_is_alike_is_liked_alike_and_hardly_ever_said_to_be_better() {
        for (long seed = 2; seed <= 6; seed += 2) {
            ClaimReview review = tasting(seed, 24, Claim.NOT_SHOWN, Claim.NOT_SHOWN);
            assertThat(review.truth()).isCloseTo(0.5, within(0.06));
            assertThat(at(review, 24)).isLessThan(0.12);
        }
    }

    @Test
    void a_table_is_passed_by_who_asks_enough_and_says_no_more_than_it_shows() {
        assertThat(tasting(2, 24, Claim.NOT_SHOWN, Claim.NOT_SHOWN).isPassed()).isTrue();
        assertThat(tasting(1, 24, Claim.SECOND, Claim.SECOND).isPassed()).isTrue();
        assertThat(tasting(1, 3, Claim.NOT_SHOWN, Claim.NOT_SHOWN).isPassed()).isFalse();
        assertThat(tasting(1, 24, Claim.SECOND, Claim.NOT_SHOWN).score())
                .as("right by luck, and not by what was found")
                .isZero();
        assertThat(tasting(1, 24, Claim.NOT_SHOWN, Claim.SECOND).isPassed()).isFalse();
    }

    private static ClaimReview trial(long seed, int each, Claim claim, Claim shown) {
        RehearsalPlan lot = RehearsalLesson.PROVED_NOTHING.plan(seed);
        RehearsalPlan open = lot.piece(0, 1500, Method.OPEN_AIR, 21);
        RehearsalPlan tray = lot.piece(1, 1500, Method.SALT_TRAY, 21);
        return ClaimReview.ofTrial(claim, shown, each, open, tray, TrialMeasure.SHRINK);
    }

    @Test
    void one_piece_in_an_arm_proves_nothing_and_several_do_where_the_tray_does_something() {
        ClaimReview dry = trial(1, 1, Claim.NOT_SHOWN, Claim.NOT_SHOWN);
        assertThat(dry.truth()).as("a dry refrigerator").isLessThan(-0.02);
        assertThat(dry.power()).isZero();
        assertThat(dry.isPassed()).isFalse();
        assertThat(at(dry, 1)).isZero();
        assertThat(at(dry, 6)).isGreaterThan(0.5).isGreaterThan(at(dry, 2));
        assertThat(trial(1, 6, Claim.FIRST, Claim.FIRST).isPassed()).isTrue();
        ClaimReview damp = trial(2, 3, Claim.NOT_SHOWN, Claim.NOT_SHOWN);
        assertThat(Math.abs(damp.truth())).as("a damp cabinet").isLessThan(0.025);
        assertThat(damp.isPassed()).isTrue();
    }

    @Test
    void pieces_of_one_house_share_its_air_and_nothing_else() {
        RehearsalPlan lot = RehearsalLesson.PROVED_NOTHING.plan(3);
        List<Double> weights = IntStream.range(0, 8)
                .mapToObj(number -> new RehearsalWorld(lot.piece(number, 1500, Method.OPEN_AIR, 21), List.of())
                        .at(21)
                        .grams())
                .toList();
        assertThat(weights).doesNotHaveDuplicates();
        assertThat(LongStream.range(0, 8)
                        .mapToObj(number -> new RehearsalWorld(
                                        lot.piece((int) number, 1500, Method.OPEN_AIR, 21), List.of())
                                .shown(10)))
                .containsOnly(new RehearsalWorld(lot.piece(0, 1500, Method.OPEN_AIR, 21), List.of()).shown(10));
    }

    @Test
    void a_trusted_hand_loses_nothing_and_puts_everything_where_it_belongs() {
        RehearsalPlan seal = RehearsalLesson.FAT_SEAL.plan(4);
        List<HandWork.Done> done = HandWork.of(seal);
        int pulled = done.stream()
                .filter(each -> each.kind().name().equals("PULLED"))
                .mapToInt(HandWork.Done::grams)
                .sum();
        int piles = done.stream()
                .filter(each -> each.stream() != null)
                .mapToInt(HandWork.Done::grams)
                .sum();
        assertThat(piles).isCloseTo(pulled, within(1));
        assertThat(done).isSortedAccordingTo((one, other) -> Double.compare(one.day(), other.day()));
    }

    /** The same person answers the same; different people do not; the odd one is found more often the odder it is. */
    @Test
    void tasters_have_minds_of_their_own_and_keep_them() {
        Taste young = new Taste(0.5, 0.8, 0.3, 0);
        Taste aged = new Taste(0.9, 0.7, 0.8, 0);
        Taste off = new Taste(0.9, 0.7, 0.8, 0.9);
        assertThat(new SimulatedTaster(5, 3).eats(List.of(young, aged), 0))
                .isEqualTo(new SimulatedTaster(5, 3).eats(List.of(young, aged), 0));
        List<Integer> likeOff = IntStream.range(0, 400)
                .mapToObj(person -> new SimulatedTaster(1, person)
                        .eats(List.of(aged, off), 0)
                        .liked())
                .flatMap(liked -> liked.stream().boxed())
                .toList();
        assertThat(Preference.count(likeOff.stream()
                                .map(place -> place == 0 ? 1 : -1)
                                .toList())
                        .p())
                .isLessThan(1e-6);
        assertThat(found(young, young)).isCloseTo(1 / 3.0, within(0.06));
        assertThat(found(young, aged)).isGreaterThan(0.75);
    }

    private static double found(Taste same, Taste odd) {
        Random order = new Random(7);
        int found = 0;
        for (int person = 0; person < 900; person++) {
            int place = order.nextInt(3);
            List<Taste> plate = IntStream.range(0, 3)
                    .mapToObj(each -> each == place ? odd : same)
                    .toList();
            found += new SimulatedTaster(9, person).eats(plate, 0).odd() == place ? 1 : 0;
        }
        return found / 900.0;
    }
}
