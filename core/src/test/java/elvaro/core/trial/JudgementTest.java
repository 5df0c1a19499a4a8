package elvaro.core.trial;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import elvaro.core.trial.Judgement.Found;
import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class JudgementTest {
    private static Found found(int arm, TrialMeasure measure, double p) {
        return new Found(arm, measure, p, true);
    }

    @Test
    void only_what_was_named_beforehand_is_ever_shown() {
        List<Judgement> judged = Judgement.of(
                TrialMeasure.USABLE_YIELD,
                List.of(found(0, TrialMeasure.SHRINK, 1e-6), found(0, TrialMeasure.USABLE_YIELD, 0.04)));
        assertThat(judged.get(0).found().measure()).isEqualTo(TrialMeasure.USABLE_YIELD);
        assertThat(judged.get(0).strength()).isEqualTo(Strength.SHOWN);
        assertThat(judged.get(1).strength()).isEqualTo(Strength.NOT_SHOWN);
        assertThat(judged.get(1).standsOut()).isTrue();
    }

    @Test
    void what_was_only_seen_is_adjusted_for_how_many_there_are() {
        List<Judgement> judged = Judgement.of(
                TrialMeasure.LIKING,
                List.of(
                        found(0, TrialMeasure.SHRINK, 0.02),
                        found(0, TrialMeasure.DISCARD, 0.4),
                        found(0, TrialMeasure.STEAK_YIELD, 0.5)));
        assertThat(judged).noneMatch(Judgement::standsOut);
        assertThat(judged.get(0).p()).isEqualTo(0.06);
    }

    @Test
    void several_arms_share_the_chance_of_being_fooled() {
        List<Judgement> judged = Judgement.of(
                TrialMeasure.SHRINK, List.of(found(0, TrialMeasure.SHRINK, 0.03), found(1, TrialMeasure.SHRINK, 0.5)));
        assertThat(judged.get(0).strength()).isEqualTo(Strength.LEANING);
    }

    @Test
    void what_was_done_once_has_no_chance_to_be_judged_by_and_costs_nobody_any() {
        List<Judgement> judged = Judgement.of(
                TrialMeasure.SHRINK,
                List.of(new Found(0, TrialMeasure.SHRINK, 1, false), found(1, TrialMeasure.SHRINK, 0.03)));
        assertThat(judged.get(0).strength()).isEqualTo(Strength.SHOWN);
        assertThat(judged.get(1).strength()).isEqualTo(Strength.ANECDOTE);
    }

    /** Four thousand trials in which nothing differs; three standard errors about 5 % are 1.0. */
    @ParameterizedTest(name = "{0} arms")
    @ValueSource(ints = {1, 2, 3})
    void where_there_is_nothing_one_trial_in_twenty_says_there_is(int arms) {
        Random random = new Random(arms);
        long shown = IntStream.range(0, 4_000)
                .filter(trial -> Judgement.of(
                                TrialMeasure.SHRINK,
                                IntStream.range(0, arms)
                                        .mapToObj(arm -> found(arm, TrialMeasure.SHRINK, random.nextDouble()))
                                        .toList())
                        .stream()
                        .anyMatch(judged -> judged.strength() == Strength.SHOWN))
                .count();
        assertThat(shown / 4_000.0).isCloseTo(0.05, within(0.011));
    }
}
