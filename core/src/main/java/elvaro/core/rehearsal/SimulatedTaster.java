package elvaro.core.rehearsal;

import elvaro.core.tasting.Attribute;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalInt;
import java.util.Random;
import java.util.stream.IntStream;

/**
 * Somebody at the table with a liking of their own: most like it tender, many like it aged and some do not, nobody likes what
 * is off, and no two servings of one steak seem quite alike. Estimates (EST).
 */
public final class SimulatedTaster {
    /** How far two servings of one steak seem apart, in units of liking. */
    private static final double UNSURE = 0.35;

    /** The same for each thing that is noticed by itself. */
    private static final double BLURRED = 0.12;

    /** Less than this is no liking. */
    private static final double ALIKE = 0.04;

    /** What is neither liked nor disliked. */
    private static final double MIDDLE = 1.4;

    private static final double SCORES_A_LIKING = 1.8;

    private final long seed;
    private final double forTender;
    private final double forAged;
    private final double againstOff;

    /**
     * @param house in which the table stands
     * @param place at the table, from 0: equal places of a house are the same person
     */
    public SimulatedTaster(long house, int place) {
        seed = house * 1_000_003L + 7919L * (place + 1);
        Random person = begin(0);
        forTender = 0.8 * Math.exp(0.4 * person.nextGaussian());
        forAged = 0.8 + 0.7 * person.nextGaussian();
        againstOff = 1.5 * Math.exp(0.3 * person.nextGaussian());
    }

    /**
     * What stands on the sheet of one round, by the places of the plate.
     *
     * @param liked the place liked most; empty where none was liked more than another
     * @param odd the place thought unlike the others
     * @param ranks 1 for the best
     * @param scores by key of the attribute, {@link Attribute#LEAST} to {@link Attribute#MOST}
     */
    public record Answered(OptionalInt liked, int odd, List<Integer> ranks, List<Map<String, Integer>> scores) {}

    /**
     * Eats what stands there.
     *
     * @param plate two servings or more, in the order they are eaten
     * @param round from 0
     */
    public Answered eats(List<Taste> plate, int round) {
        Random tongue = begin(round + 1);
        List<Taste> felt = new ArrayList<>();
        List<Double> liking = new ArrayList<>();
        for (Taste served : plate) {
            felt.add(new Taste(
                    served.tender() + BLURRED * tongue.nextGaussian(),
                    served.juicy() + BLURRED * tongue.nextGaussian(),
                    served.aged() + BLURRED * tongue.nextGaussian(),
                    served.off() + BLURRED * tongue.nextGaussian()));
            liking.add(liking(served) + UNSURE * tongue.nextGaussian());
        }
        List<Integer> best = IntStream.range(0, plate.size())
                .boxed()
                .sorted(Comparator.comparing(liking::get).reversed())
                .toList();
        boolean clear = liking.get(best.get(0)) - liking.get(best.get(1)) > ALIKE;
        return new Answered(
                clear ? OptionalInt.of(best.get(0)) : OptionalInt.empty(),
                odd(felt),
                IntStream.range(0, plate.size())
                        .mapToObj(each -> best.indexOf(each) + 1)
                        .toList(),
                IntStream.range(0, plate.size())
                        .mapToObj(each -> scores(felt.get(each), liking.get(each)))
                        .toList());
    }

    private Random begin(int round) {
        Random random = new Random(seed + 104_729L * round);
        random.nextDouble(); // neighbouring seeds begin alike
        return random;
    }

    private double liking(Taste served) {
        return forTender * served.tender() + forAged * served.aged() + 0.4 * served.juicy() - againstOff * served.off();
    }

    /** The one that lies farthest from the others. */
    private static int odd(List<Taste> felt) {
        return IntStream.range(0, felt.size())
                .boxed()
                .max(Comparator.comparingDouble(
                        each -> felt.stream().mapToDouble(felt.get(each)::from).sum()))
                .orElseThrow();
    }

    private static Map<String, Integer> scores(Taste felt, double liking) {
        Map<String, Integer> scores = new HashMap<>();
        scores.put(
                Attribute.LIKING,
                score((Attribute.LEAST + Attribute.MOST) / 2.0 + SCORES_A_LIKING * (liking - MIDDLE)));
        scores.put("tenderness", share(felt.tender()));
        scores.put("juiciness", share(felt.juicy()));
        scores.put("aged", share(felt.aged()));
        scores.put("off", share(felt.off()));
        scores.put("treatment", Attribute.LEAST);
        scores.put("salt", Attribute.LEAST);
        return scores;
    }

    private static int share(double value) {
        return score(Attribute.LEAST + (Attribute.MOST - Attribute.LEAST) * value);
    }

    private static int score(double value) {
        return (int) Math.max(Attribute.LEAST, Math.min(Attribute.MOST, Math.round(value)));
    }
}
