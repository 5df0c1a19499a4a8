package elvaro.core.rehearsal;

import elvaro.core.tasting.Preference;
import elvaro.core.tasting.TastersNeeded;
import elvaro.core.trial.TrialMeasure;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.TreeSet;
import java.util.stream.IntStream;

/**
 * What is told when something was asked of several: whether the answer follows from what was found, whether enough were asked,
 * and what the same would have shown with more or fewer. The truth is told as well and counts for nothing: nobody could know
 * it.
 *
 * @param claim what the person says
 * @param shown what was shown
 * @param size tasters, or pieces in an arm
 * @param power 0 to 1, how often as many would show a difference worth knowing
 * @param truth share of all tasters who like the second better, or by how much the arm truly lies above the control
 * @param again the same asked anew, by size
 */
public record ClaimReview(Claim claim, Claim shown, int size, double power, double truth, List<Again> again) {
    /** Worth knowing: three of four people like the one more, as panels are judged (EST). */
    private static final double MOST_LIKE_IT = 0.75;

    /** Worth knowing of a trial, as a fraction of the green weight (EST). */
    private static final double WORTH_KNOWING = 0.03;

    /** Asked of so many chances in one, nobody says that too few were asked. */
    private static final double ENOUGH = 0.5;

    private static final int TOO_FEW = 55;
    private static final int NOT_SEEN = 50;
    private static final int PASSES = 60;

    private static final List<Integer> TABLES = List.of(3, 6, 12, 24, 36);
    private static final List<Integer> ARMS = List.of(1, 2, 3, 4, 6);
    private static final int PEOPLE = 4000;
    private static final int TIMES = 400;

    /** Numbers from which on nobody's real pieces are counted. */
    private static final int OTHERS = 1000;

    private static final int POOL = 40;

    /**
     * The same asked of so many, many times over.
     *
     * @param size tasters, or pieces in an arm
     * @param shows how often it would be shown, 0 to 1
     */
    public record Again(int size, double shows) {}

    /**
     * @param size how many tasted, 0 or more
     * @param seed of the house
     */
    public static ClaimReview ofTasting(Claim claim, Claim shown, int size, Taste first, Taste second, long seed) {
        List<Integer> voices = IntStream.range(OTHERS, OTHERS + PEOPLE)
                .mapToObj(person -> voice(seed, person, first, second))
                .toList();
        double liking = voices.stream().filter(voice -> voice < 0).count();
        double decided = voices.stream().filter(voice -> voice != 0).count();
        Random random = new Random(seed);
        return new ClaimReview(
                claim,
                shown,
                size,
                TastersNeeded.powerOfPreference(size, MOST_LIKE_IT, Preference.LEVEL),
                liking / decided,
                sizes(TABLES, size).stream()
                        .map(tasters -> new Again(tasters, tables(voices, tasters, random)))
                        .toList());
    }

    /** Above 0 for the first. */
    private static int voice(long seed, int person, Taste first, Taste second) {
        return new SimulatedTaster(seed, person)
                .eats(List.of(first, second), 0).liked().stream()
                        .map(place -> place == 0 ? 1 : -1)
                        .findFirst()
                        .orElse(0);
    }

    private static double tables(List<Integer> voices, int tasters, Random random) {
        int shown = 0;
        for (int table = 0; table < TIMES; table++) {
            List<Integer> asked =
                    random.ints(tasters, 0, voices.size()).mapToObj(voices::get).toList();
            shown += Preference.count(asked).p() < Preference.LEVEL ? 1 : 0;
        }
        return (double) shown / TIMES;
    }

    /**
     * @param size pieces in the smaller arm, 1 or more
     * @param control a piece of the one arm, and of the other
     * @param measure what was asked; of what these pieces have no figure of, the shrink stands for it
     */
    public static ClaimReview ofTrial(
            Claim claim, Claim shown, int size, RehearsalPlan control, RehearsalPlan arm, TrialMeasure measure) {
        ArmPool these = new ArmPool(control, OTHERS, POOL);
        ArmPool those = new ArmPool(arm, OTHERS + POOL, POOL);
        TrialMeasure read = figureOf(measure);
        Random random = new Random(control.seed());
        return new ClaimReview(
                claim,
                shown,
                size,
                these.shows(these, read, WORTH_KNOWING, size, TIMES, random),
                those.mean(read) - these.mean(read),
                sizes(ARMS, size).stream()
                        .map(each -> new Again(each, these.shows(those, read, 0, each, TIMES, random)))
                        .toList());
    }

    /** What of it these pieces have a figure of. */
    public static TrialMeasure figureOf(TrialMeasure measure) {
        return switch (measure) {
            case USABLE_YIELD, STEAK_YIELD, SHRINK, DISCARD -> measure;
            case COST, COST_EATEN, STEAKS, LIKING -> TrialMeasure.SHRINK;
        };
    }

    private static List<Integer> sizes(List<Integer> usual, int own) {
        TreeSet<Integer> all = new TreeSet<>(usual);
        if (own > 0) {
            all.add(own);
        }
        return new ArrayList<>(all);
    }

    /** 0 to 100: nothing where more is said than was shown. */
    public int score() {
        if (claim != shown) {
            return claim == Claim.NOT_SHOWN ? NOT_SEEN : 0;
        }
        return (int) Math.round(100 - TOO_FEW * (1 - Math.min(1, power / ENOUGH)));
    }

    public boolean isPassed() {
        return score() >= PASSES;
    }
}
