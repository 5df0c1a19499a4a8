package elvaro.bench.honesty;

import elvaro.core.trial.Effect;
import elvaro.core.trial.Effect.ArmValue;
import elvaro.core.trial.Judgement;
import elvaro.core.trial.Judgement.Found;
import elvaro.core.trial.Strength;
import elvaro.core.trial.TrialMeasure;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Random;

/**
 * Trials in which nothing differs, and what is said of them. Every piece is weighed on a scale of 10 g; its shrink, its
 * discard and its steak hang together as they do at a bench, for what dries more has the thicker crust and less steak.
 *
 * @param shown share of the trials that claim a difference in what was asked, in any arm
 * @param leaning share that claim none, and lean to one
 * @param standsOut share in which something that was not asked stands out
 */
record NoEffect(double shown, double leaning, double standsOut) {
    private static final int TRIALS = 20_000;
    private static final int GREEN = 2_000;
    private static final int DIVISION = 10;

    /** Prints the table; a share of 5 % has a standard error of 0.15. */
    public static void main(String[] arguments) {
        System.out.println("Trials in which nothing differs: what is said of them, %");
        System.out.printf("%6s %8s %10s %8s %8s %12s%n", "arms", "pieces", "drawn as", "shown", "leans", "stands out");
        for (int arms = 1; arms <= 3; arms++) {
            for (int pieces : new int[] {2, 3, 4, 6, 8}) {
                for (boolean paired : new boolean[] {true, false}) {
                    NoEffect none = of(arms, pieces, paired, TRIALS, 21);
                    System.out.printf(
                            Locale.ROOT,
                            "%6d %8d %10s %8.1f %8.1f %12.1f%n",
                            arms,
                            pieces,
                            paired ? "neighbours" : "animals",
                            100 * none.shown(),
                            100 * none.leaning(),
                            100 * none.standsOut());
                }
            }
        }
    }

    /**
     * @param arms beside the control
     * @param pieces in each
     * @param paired whether they are neighbours of one lot; otherwise each is of an animal of its own
     */
    static NoEffect of(int arms, int pieces, boolean paired, int trials, long seed) {
        Random random = new Random(seed);
        int shown = 0;
        int leaning = 0;
        int out = 0;
        for (int trial = 0; trial < trials; trial++) {
            List<Judgement> judged = trial(arms, pieces, paired, random);
            boolean any = judged.stream().anyMatch(each -> each.strength() == Strength.SHOWN);
            shown += any ? 1 : 0;
            leaning += !any && judged.stream().anyMatch(each -> each.strength() == Strength.LEANING) ? 1 : 0;
            out += judged.stream().anyMatch(Judgement::standsOut) ? 1 : 0;
        }
        return new NoEffect((double) shown / trials, (double) leaning / trials, (double) out / trials);
    }

    private static List<Judgement> trial(int arms, int pieces, boolean paired, Random random) {
        double[] lots = random.doubles(pieces).toArray();
        List<Map<TrialMeasure, List<ArmValue>>> all = new ArrayList<>();
        for (int arm = 0; arm <= arms; arm++) {
            Map<TrialMeasure, List<ArmValue>> own = new EnumMap<>(TrialMeasure.class);
            for (int piece = 0; piece < pieces; piece++) {
                String animal = paired ? "1" : arm + "-" + piece;
                String block = paired ? "1/" + piece : animal;
                double lot = paired ? 0.03 * lots[piece] : 0.02 * random.nextGaussian();
                figures(lot, random)
                        .forEach((measure, value) -> own.computeIfAbsent(measure, each -> new ArrayList<>())
                                .add(new ArmValue(animal, block, value)));
            }
            all.add(own);
        }
        List<Found> found = new ArrayList<>();
        for (int arm = 1; arm <= arms; arm++) {
            for (TrialMeasure measure : all.get(0).keySet()) {
                Effect effect = Effect.of(all.get(0).get(measure), all.get(arm).get(measure), measure.step());
                found.add(new Found(arm - 1, measure, effect.p(), effect.freedom() > 0));
            }
        }
        return Judgement.of(TrialMeasure.USABLE_YIELD, found);
    }

    private static Map<TrialMeasure, Double> figures(double lot, Random random) {
        double dry = random.nextGaussian();
        double shrink = weighed(0.15 + lot + 0.012 * dry);
        double discard = weighed(0.08 + 0.01 * dry + 0.015 * random.nextGaussian());
        double trim = weighed(0.10 + 0.02 * random.nextGaussian());
        double steak = 1 - shrink - discard - trim;
        Map<TrialMeasure, Double> all = new EnumMap<>(TrialMeasure.class);
        all.put(TrialMeasure.SHRINK, shrink);
        all.put(TrialMeasure.DISCARD, discard);
        all.put(TrialMeasure.USABLE_YIELD, steak + trim);
        all.put(TrialMeasure.STEAK_YIELD, steak);
        all.put(TrialMeasure.COST, Math.log(2000 / steak));
        all.put(TrialMeasure.COST_EATEN, Math.log(2000 / (steak + trim)));
        all.put(TrialMeasure.STEAKS, (double) Math.round(steak * GREEN / 300 + 0.3 * random.nextGaussian()));
        return all;
    }

    private static double weighed(double share) {
        return Math.round(share * GREEN / DIVISION) * (double) DIVISION / GREEN;
    }
}
