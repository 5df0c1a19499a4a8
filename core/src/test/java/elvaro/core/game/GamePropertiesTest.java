package elvaro.core.game;

import static elvaro.core.working.Units.PLAIN;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import elvaro.core.game.CarcassYield.Weighed;
import elvaro.core.ledger.Balance;
import elvaro.core.ledger.Balance.BalanceState;
import elvaro.core.ledger.Ledger;
import elvaro.core.ledger.Piles;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.stream.LongStream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** What must hold of any animal. */
class GamePropertiesTest {
    private static final int DIVISION = 5;

    static LongStream seeds() {
        return LongStream.range(1, 101);
    }

    private static Animal animal(Random random) {
        return Animal.values()[random.nextInt(Animal.values().length)];
    }

    private static int weight(Animal animal, Random random) {
        return animal.leastGrams() + random.nextInt(animal.mostGrams() - animal.leastGrams());
    }

    @ParameterizedTest(name = "seed {0}")
    @MethodSource("seeds")
    void a_heavier_animal_gives_more_and_none_gives_more_than_it_weighs(long seed) {
        Random random = new Random(seed);
        Animal animal = animal(random);
        int grams = weight(animal, random);
        Weighed weighed = Weighed.values()[random.nextInt(2)];
        CarcassYield yield = CarcassYield.of(animal, grams, weighed);
        assertThat(yield.realisticGrams()).isPositive().isLessThanOrEqualTo(yield.idealGrams());
        assertThat(yield.idealGrams()).isLessThan(yield.carcassGrams());
        assertThat(yield.carcassGrams()).isLessThanOrEqualTo(grams);
        assertThat(yield.leastGrams()).isLessThan(yield.realisticGrams());
        assertThat(yield.mostGrams()).isGreaterThan(yield.realisticGrams());
        assertThat(CarcassYield.of(animal, grams + 1000, weighed).realisticGrams())
                .isGreaterThan(yield.realisticGrams());
        assertThat(CarcassYield.of(animal, grams, Weighed.HANGING).realisticGrams())
                .as("skin and head are no meat")
                .isGreaterThanOrEqualTo(
                        CarcassYield.of(animal, grams, Weighed.FIELD_DRESSED).realisticGrams());
        assertThat(PLAIN.sentence(yield.working().filled())).contains(Math.round(yield.realisticGrams()) + " g");
    }

    @ParameterizedTest(name = "seed {0}")
    @MethodSource("seeds")
    void warmer_meat_and_warmer_air_melt_more_ice_and_what_is_laid_in_lasts_until_it_is_topped_up(long seed) {
        Random random = new Random(seed);
        int grams = 500 + random.nextInt(60_000);
        double meat = random.nextDouble() * 30;
        double air = random.nextDouble() * 30;
        long chest = grams + random.nextInt(60_000);
        Ice ice = Ice.of(grams, chest, meat, air, Ice.USUAL_CHEST_GRAMS);
        assertThat(Ice.of(grams, chest, meat + 1, air, Ice.USUAL_CHEST_GRAMS).onceKg())
                .isGreaterThan(ice.onceKg());
        assertThat(Ice.of(grams, chest, meat, air + 1, Ice.USUAL_CHEST_GRAMS).perDayKg())
                .isGreaterThan(ice.perDayKg());
        assertThat(Ice.of(grams + 1000, chest + 1000, meat, air, Ice.USUAL_CHEST_GRAMS)
                        .onceKg())
                .isGreaterThanOrEqualTo(ice.onceKg());
        if (chest > grams) {
            Ice beside = Ice.of((int) chest - grams, chest, meat, air, Ice.USUAL_CHEST_GRAMS);
            assertThat(ice.perDayKg() + beside.perDayKg())
                    .as("the walls of a chest let in as much however many pieces lie in it")
                    .isCloseTo(
                            Ice.of((int) chest, chest, meat, air, Ice.USUAL_CHEST_GRAMS)
                                    .perDayKg(),
                            within(1e-9));
        }
        assertThat(ice.inAllKg(10)).isBetween(ice.laidInKg(), ice.laidInKg() + 9 * ice.perDayKg() + 1e-9);
        int days = ice.topUpDays();
        assertThat(days).isBetween(1, 3);
        if (days > 1) {
            assertThat(ice.perDayKg() * days)
                    .as("half of it is left when it is topped up")
                    .isLessThanOrEqualTo(ice.laidInKg() / 2);
        }
    }

    /**
     * An animal is broken down to its last part, each part's weight as a scale shows it, and what falls off goes onto the
     * animal's own piles: the cut sheet closes. A part that is left out does not go unseen.
     */
    @ParameterizedTest(name = "seed {0}")
    @MethodSource("seeds")
    void a_cut_sheet_closes_when_every_part_is_on_it_and_asks_when_one_is_not(long seed) {
        Random random = new Random(seed);
        Animal animal = animal(random);
        int aged = weight(animal, random);
        List<Part> parts = Part.of(animal);
        int[] cuts = random.ints(parts.size(), 0, aged).sorted().toArray();
        List<Integer> weights = new ArrayList<>();
        for (int index = 1; index < cuts.length; index++) {
            weights.add(onScale(cuts[index] - cuts[index - 1]));
        }
        int fellOff = aged - weights.stream().mapToInt(Integer::intValue).sum();
        Piles whole = Piles.of(0, 0, 0, 0, onScale(Math.max(0, fellOff)));
        int weighings = weights.size() + 2;
        assertThat(balance(aged, weights, whole, weighings).state()).isEqualTo(BalanceState.CLOSES);

        int heaviest = weights.stream().mapToInt(Integer::intValue).max().orElseThrow();
        List<Integer> forgotten = new ArrayList<>(weights);
        forgotten.remove(Integer.valueOf(heaviest));
        Balance open = balance(aged, forgotten, whole, weighings);
        assertThat(open.residual()).isCloseTo(heaviest, within(DIVISION * weighings));
        if (heaviest > 0.03 * aged + DIVISION * weighings) {
            assertThat(open.state()).isEqualTo(BalanceState.REFUSES);
            assertThat(open.question().orElseThrow().needsReason()).isTrue();
        }
    }

    /** However it is broken down: no more comes off than there is, and a saw takes as much as the seams or more. */
    @ParameterizedTest(name = "seed {0}")
    @MethodSource("seeds")
    void parts_are_never_more_than_the_carcass_and_a_saw_leaves_more_bone_in_them(long seed) {
        Random random = new Random(seed);
        Animal animal = animal(random);
        int grams = weight(animal, random);
        double seams = Part.of(animal).stream()
                .mapToDouble(part -> part.grams(grams, School.Knife.SEAMS))
                .sum();
        double saw = Part.of(animal).stream()
                .mapToDouble(part -> part.grams(grams, School.Knife.SAW))
                .sum();
        assertThat(seams).isLessThanOrEqualTo(saw + 1e-6);
        assertThat(saw).isCloseTo(grams, within(1e-6 * grams));
        assertThat(Part.of(animal)).allSatisfy(part -> {
            assertThat(part.boneIn(School.Knife.SEAMS)).isIn(false, part.boneIn(School.Knife.SAW));
            assertThat(part.see(School.Knife.SAW)).isNotBlank().doesNotContain("safe");
        });
    }

    /** A core that cools by Newton's law is foretold to the minute from any two readings of it. */
    @ParameterizedTest(name = "seed {0}")
    @MethodSource("seeds")
    void a_core_that_cools_by_the_law_is_foretold_from_any_two_readings(long seed) {
        Random random = new Random(seed);
        double air = random.nextDouble() * 3;
        double perHour = 0.08 + random.nextDouble() * 0.2;
        java.time.Instant killed = java.time.Instant.parse("2026-10-30T06:00:00Z");
        java.util.function.DoubleFunction<Cooling.Core> core = hours -> new Cooling.Core(
                killed.plusSeconds(Math.round(hours * 3600)), air + (38 - air) * Math.exp(-perHour * hours));
        double first = random.nextDouble();
        double second = first + 0.5 + random.nextDouble();
        Cooling cooling = new Cooling(List.of(core.apply(second), core.apply(first)));
        double cold = Math.log((38 - air) / (7 - air)) / perHour;
        if (second < cold) {
            java.time.Instant foretold = cooling.expectedColdAt(7, air).orElseThrow();
            assertThat((foretold.getEpochSecond() - killed.getEpochSecond()) / 3600.0)
                    .isCloseTo(cold, within(0.05));
            assertThat(cooling.coldAt(7)).isEmpty();
        }
    }

    private static int onScale(int grams) {
        return Math.round(grams / (float) DIVISION) * DIVISION;
    }

    private static Balance balance(int aged, List<Integer> parts, Piles whole, int weighings) {
        int together = parts.stream().mapToInt(Integer::intValue).sum();
        Piles all = whole.plus(Piles.of(together, 0, 0, 0, 0));
        return Balance.of(new Ledger(aged + 1000, 0, aged, all), DIVISION, weighings);
    }
}
