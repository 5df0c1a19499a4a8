package elvaro.core.tasting;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import elvaro.core.trial.Band;
import elvaro.core.trial.Strength;
import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

class VoicesTest {

    @Test
    void a_taster_has_one_voice_about_two_things_over_all_sessions() {
        Voices<String> voices = new Voices<>();
        for (int evening = 0; evening < 5; evening++) {
            voices.add("Maren", evening, "smoked", "plain", 1);
        }
        voices.add("Idris", 0, "plain", "smoked", 1);
        voices.add("Idris", 1, "smoked", "plain", 1);
        assertThat(voices.things()).containsExactly("smoked", "plain");
        assertThat(voices.wins()[0][1]).isCloseTo(1.5, within(1e-12));
        assertThat(voices.wins()[1][0]).isCloseTo(0.5, within(1e-12));
    }

    /** Six people who like things as people do, each their own way, at five evenings. */
    @Test
    void an_interval_over_repeated_sessions_holds_what_people_like() {
        int worlds = 400;
        int held = 0;
        int heldIfIndependent = 0;
        for (int seed = 0; seed < worlds; seed++) {
            Random random = new Random(seed);
            Voices<Integer> voices = new Voices<>();
            double[][] independent = new double[2][2];
            for (int taster = 0; taster < 6; taster++) {
                double likes = 1 / (1 + Math.exp(-(0.6 + 2.5 * random.nextGaussian())));
                for (int evening = 0; evening < 5; evening++) {
                    int better = random.nextDouble() < likes ? 0 : 1;
                    voices.add(taster, evening, better, 1 - better, 1);
                    independent[better][1 - better]++;
                }
            }
            int first = voices.things().indexOf(0);
            Band own = BradleyTerry.of(voices.wins(), 1.5).chance(first, 1 - first, 0.95);
            Band naive = BradleyTerry.of(independent, 1.5).chance(0, 1, 0.95);
            held += holds(own) ? 1 : 0;
            heldIfIndependent += holds(naive) ? 1 : 0;
        }
        assertThat(held / (double) worlds).isGreaterThanOrEqualTo(0.93);
        assertThat(heldIfIndependent / (double) worlds).isLessThan(0.8);
    }

    /** The mean over people of 1/(1 + e^−x), x normal about 0.6 with sd 2.5, by summing over its range. */
    private static boolean holds(Band band) {
        double share = IntStream.rangeClosed(-600, 600)
                .mapToDouble(step -> step / 100.0)
                .map(z -> Math.exp(-z * z / 2) / Math.sqrt(2 * Math.PI) / 100 / (1 + Math.exp(-(0.6 + 2.5 * z))))
                .sum();
        return band.low() <= share && share <= band.high();
    }

    /** With ties the exact test and its interval part: eight differences of which two are none. */
    @Test
    void no_difference_is_shown_beside_an_interval_that_touches_0() {
        int parted = 0;
        for (int seed = 0; seed < 20_000; seed++) {
            Random random = new Random(seed);
            double[] differences = random.doubles(6 + random.nextInt(6), 0, 4)
                    .map(each -> Math.floor(each) - 0.5 * random.nextInt(3))
                    .toArray();
            SignedRank test = SignedRank.of(differences);
            boolean touches = test.interval().low() <= 0 && test.interval().high() >= 0;
            parted += touches && test.p() < 0.05 ? 1 : 0;
            assertThat(test.strength() == Strength.SHOWN && touches).isFalse();
        }
        assertThat(parted).as("cases in which they part").isPositive();
    }
}
