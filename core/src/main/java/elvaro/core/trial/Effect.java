package elvaro.core.trial;

import java.util.ArrayList;
import java.util.Collection;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.hipparchus.distribution.continuous.TDistribution;
import org.hipparchus.stat.StatUtils;

/**
 * How far an arm lies from the control in one measure.
 *
 * @param value arm less control
 * @param error standard error, 0 where it is not known
 * @param freedom degrees of freedom, 0 where nothing was done twice
 * @param pairs how many differences it rests on; 0 where the arms are not paired
 * @param repeat what was done more than once
 */
public record Effect(double value, double error, double freedom, int pairs, Repeat repeat) {
    /** What counts as one when repeats are counted. */
    public enum Repeat {
        /** Pieces that lay side by side, one in each arm. */
        PAIR("pairs"),
        /** Pieces of an animal both arms have. */
        PIECE("pieces"),
        /** Arms of other animals: pieces of one animal say the same thing. */
        ANIMAL("animals");

        private final String label;

        Repeat(String label) {
            this.label = label;
        }

        /** Several of them, in a sentence. */
        public String label() {
            return label;
        }
    }

    /**
     * A piece's figure and where it comes from.
     *
     * @param block pieces of one block are each other's neighbours in one animal
     */
    public record ArmValue(String animal, String block, double value) {}

    /**
     * Paired where two blocks or more hold both arms, or two animals (Student's t on the differences). Else Welch's t: on
     * the pieces of the one animal both arms have, or on the means of animals where they share none, for pieces of one
     * animal are no repeats where animals differ. Else what one piece says. Snedecor & Cochran, Statistical Methods,
     * chapters 5 and 6.
     *
     * @param control one figure or more
     * @param arm one figure or more
     * @param step the finest difference that can be told: figures that agree by rounding are not surer than that, 0 or more
     */
    public static Effect of(List<ArmValue> control, List<ArmValue> arm, double step) {
        if (control.isEmpty() || arm.isEmpty()) {
            throw new IllegalArgumentException("Both arms need a figure.");
        }
        List<Double> byBlock = differences(control, arm, ArmValue::block);
        if (byBlock.size() >= 2) {
            return paired(byBlock, step);
        }
        List<Double> byAnimal = differences(control, arm, ArmValue::animal);
        if (byAnimal.size() >= 2) {
            return paired(byAnimal, step);
        }
        Set<String> shared = control.stream().map(ArmValue::animal).collect(Collectors.toCollection(HashSet::new));
        shared.retainAll(arm.stream().map(ArmValue::animal).toList());
        if (shared.isEmpty()) {
            return apart(means(control), means(arm), step, Repeat.ANIMAL);
        }
        Effect within = apart(of(shared, control), of(shared, arm), step, Repeat.PIECE);
        return within.freedom > 0 || byBlock.isEmpty() ? within : new Effect(byBlock.get(0), 0, 0, 1, Repeat.PAIR);
    }

    /** Arm less control in every block that holds both, in the order of the blocks. */
    public static List<Double> differences(List<ArmValue> control, List<ArmValue> arm) {
        return differences(control, arm, ArmValue::block);
    }

    private static List<Double> differences(
            List<ArmValue> control, List<ArmValue> arm, Function<ArmValue, String> group) {
        Map<String, Double> there = meansBy(control, group);
        List<Double> differences = new ArrayList<>();
        meansBy(arm, group).forEach((name, mean) -> {
            if (there.containsKey(name)) {
                differences.add(mean - there.get(name));
            }
        });
        return differences;
    }

    /** @param differences two or more */
    static Effect paired(List<Double> differences, double step) {
        double[] all = array(differences);
        double variance = Math.max(StatUtils.variance(all), 2 * rounding(step));
        double error = Math.sqrt(variance / all.length);
        return new Effect(StatUtils.mean(all), error, all.length - 1.0, all.length, Repeat.PAIR);
    }

    private static Effect apart(double[] there, double[] here, double step, Repeat repeat) {
        double value = StatUtils.mean(here) - StatUtils.mean(there);
        if (there.length < 2 || here.length < 2) {
            return new Effect(value, 0, 0, 0, repeat);
        }
        double a = Math.max(StatUtils.variance(there), rounding(step)) / there.length;
        double b = Math.max(StatUtils.variance(here), rounding(step)) / here.length;
        double freedom =
                (a + b) * (a + b) / (a * a / (there.length - 1) + b * b / (here.length - 1)); // Welch–Satterthwaite
        return new Effect(value, Math.sqrt(a + b), a + b == 0 ? there.length + here.length - 2.0 : freedom, 0, repeat);
    }

    /** The variance of a figure that is known to a step only: an even spread over its width. */
    private static double rounding(double step) {
        return step * step / 12;
    }

    /**
     * @param level 0 to 1
     * @return empty where nothing was done twice
     */
    public Optional<Band> band(double level) {
        if (freedom <= 0) {
            return Optional.empty();
        }
        double t = new TDistribution(freedom).inverseCumulativeProbability((1 + level) / 2);
        return Optional.of(new Band(value - t * error, value + t * error));
    }

    /** How often chance alone would put the arms so far apart, two-sided; 1 where nothing was done twice. */
    public double p() {
        if (freedom <= 0 || value == 0) {
            return 1;
        }
        return error == 0 ? 0 : 2 * new TDistribution(freedom).cumulativeProbability(-Math.abs(value / error));
    }

    /** Taken by itself, as if nothing else had been looked at. */
    public Strength strength() {
        return freedom <= 0 ? Strength.ANECDOTE : Strength.of(p());
    }

    private static double[] means(List<ArmValue> found) {
        return array(meansBy(found, ArmValue::animal).values());
    }

    private static Map<String, Double> meansBy(List<ArmValue> found, Function<ArmValue, String> group) {
        return found.stream()
                .collect(Collectors.groupingBy(group, TreeMap::new, Collectors.averagingDouble(ArmValue::value)));
    }

    private static double[] of(Set<String> animals, List<ArmValue> found) {
        return array(found.stream()
                .filter(each -> animals.contains(each.animal()))
                .map(ArmValue::value)
                .toList());
    }

    private static double[] array(Collection<Double> values) {
        return values.stream().mapToDouble(Double::doubleValue).toArray();
    }
}
