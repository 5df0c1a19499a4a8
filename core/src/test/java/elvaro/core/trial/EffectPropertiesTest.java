package elvaro.core.trial;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import elvaro.core.trial.Effect.ArmValue;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** What intervals promise, kept on simulated trials: 4,000 of them have a standard error of 0.006 about 0.80. */
class EffectPropertiesTest {
    private static final int TRIALS = 4_000;

    /** A lot gives both arms its own mean; the arm adds the truth; every piece has its own luck. */
    private static Effect simulated(Random random, double truth, int pairs, boolean samePieces) {
        List<ArmValue> control = new ArrayList<>();
        List<ArmValue> arm = new ArrayList<>();
        for (int pair = 0; pair < pairs; pair++) {
            double lot = samePieces ? random.nextGaussian() * 0.03 : 0;
            control.add(new ArmValue("a" + pair, "a" + pair, 0.16 + lot + random.nextGaussian() * 0.01));
            String block = (samePieces ? "a" : "b") + pair;
            arm.add(new ArmValue(block, block, 0.16 + lot + truth + random.nextGaussian() * 0.014));
        }
        return Effect.of(control, arm, 0);
    }

    @ParameterizedTest(name = "{0} pairs, same lots {1}")
    @CsvSource({"2, true", "4, true", "9, true", "3, false", "8, false"})
    void eight_intervals_in_ten_hold_the_truth(int pairs, boolean sameLots) {
        Random random = new Random(pairs);
        int held = 0;
        for (int trial = 0; trial < TRIALS; trial++) {
            Band band = simulated(random, -0.02, pairs, sameLots).band(0.8).orElseThrow();
            held += band.low() <= -0.02 && band.high() >= -0.02 ? 1 : 0;
        }
        assertThat((double) held / TRIALS).isCloseTo(0.8, within(0.02));
    }

    @Test
    void where_there_is_nothing_a_difference_is_shown_once_in_twenty() {
        Random random = new Random(5);
        int shown = 0;
        for (int trial = 0; trial < TRIALS; trial++) {
            shown += simulated(random, 0, 4, true).strength() == Strength.SHOWN ? 1 : 0;
        }
        assertThat((double) shown / TRIALS).isCloseTo(0.05, within(0.011)); // three standard errors
    }

    @Test
    void swapping_the_arms_turns_the_sign_and_nothing_else() {
        Random random = new Random(6);
        for (int trial = 0; trial < 200; trial++) {
            List<ArmValue> one = found(random, 1 + random.nextInt(5));
            List<ArmValue> other = found(random, 1 + random.nextInt(5));
            Effect there = Effect.of(one, other, 0);
            Effect back = Effect.of(other, one, 0);
            assertThat(back.value()).isCloseTo(-there.value(), within(1e-12));
            assertThat(back.error()).isCloseTo(there.error(), within(1e-12));
            assertThat(back.strength()).isEqualTo(there.strength());
        }
    }

    private static List<ArmValue> found(Random random, int pieces) {
        List<ArmValue> found = new ArrayList<>();
        for (int piece = 0; piece < pieces; piece++) {
            int block = random.nextInt(4);
            found.add(new ArmValue("lot " + block / 2, "block " + block, random.nextGaussian()));
        }
        return found;
    }

    @ParameterizedTest
    @ValueSource(ints = {1, 2, 5, 20, 80})
    void the_more_pairs_there_are_the_less_is_drawn_towards_zero(int pairs) {
        double found = -0.03;
        List<Double> one = new ArrayList<>();
        for (int pair = 0; pair < pairs; pair++) {
            one.add(found);
        }
        List<Double> more = new ArrayList<>(one);
        more.add(found);
        Evidence few = Evidence.of(TrialMeasure.SHRINK, List.of(one));
        Evidence many = Evidence.of(TrialMeasure.SHRINK, List.of(more));
        assertThat(few.unshrunk()).isCloseTo(found, within(1e-12));
        assertThat(few.value()).isBetween(found, 0.0);
        assertThat(many.value()).isLessThan(few.value());
        assertThat(many.sd()).isLessThan(few.sd());
    }

    @Test
    void trials_that_contradict_each_other_widen_what_they_say_together() {
        Evidence agree = Evidence.of(TrialMeasure.SHRINK, List.of(List.of(-0.02, -0.021), List.of(-0.02, -0.019)));
        Evidence differ = Evidence.of(TrialMeasure.SHRINK, List.of(List.of(-0.06, -0.061), List.of(0.02, 0.021)));
        assertThat(agree.betweenVariance()).isZero();
        assertThat(differ.betweenVariance()).isPositive();
        assertThat(differ.sd()).isGreaterThan(agree.sd());
        assertThat(differ.unshrunk()).isCloseTo(agree.unshrunk(), within(1e-9));
    }
}
