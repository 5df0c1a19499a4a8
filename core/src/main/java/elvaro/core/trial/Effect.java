package elvaro.core.trial;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import org.hipparchus.distribution.continuous.TDistribution;
import org.hipparchus.stat.StatUtils;

/**
 * How far an arm lies from the control in one measure.
 *
 * @param value arm less control
 * @param error standard error, 0 where it is not known
 * @param freedom degrees of freedom, 0 where there is no replicate
 * @param pairs how many differences it rests on; 0 where the arms are not paired
 */
public record Effect(double value, double error, double freedom, int pairs) {
    /** How much is shown. */
    public enum Strength {
        /** The 95 % interval leaves out 0. */
        SHOWN,
        /** The 80 % interval does. */
        LEANING,
        NOT_SHOWN,
        /** One pair, or one piece in an arm. */
        ANECDOTE
    }

    /**
     * A piece's figure and the block it was cut from.
     *
     * @param block pieces of one block are each other's neighbours in one animal
     */
    public record ArmValue(String block, double value) {}

    /**
     * Paired where two blocks or more hold both arms (Student's t on the differences), else Welch's t, else what one piece says.
     * Snedecor & Cochran, Statistical Methods, chapters 5 and 6.
     *
     * @param control one figure or more
     * @param arm one figure or more
     */
    public static Effect of(List<ArmValue> control, List<ArmValue> arm) {
        if (control.isEmpty() || arm.isEmpty()) {
            throw new IllegalArgumentException("Both arms need a figure.");
        }
        List<Double> differences = differences(control, arm);
        if (differences.size() >= 2) {
            return paired(differences);
        }
        double[] there = values(control);
        double[] here = values(arm);
        double value = differences.size() == 1 && (there.length == 1 || here.length == 1)
                ? differences.get(0)
                : StatUtils.mean(here) - StatUtils.mean(there);
        return there.length < 2 || here.length < 2
                ? new Effect(value, 0, 0, differences.size())
                : welch(there, here, value);
    }

    /** Arm less control in every block that holds both, in the order of the blocks. */
    public static List<Double> differences(List<ArmValue> control, List<ArmValue> arm) {
        Map<String, List<Double>> there = byBlock(control);
        List<Double> differences = new ArrayList<>();
        byBlock(arm).forEach((block, values) -> {
            if (there.containsKey(block)) {
                differences.add(mean(values) - mean(there.get(block)));
            }
        });
        return differences;
    }

    /** @param differences two or more */
    static Effect paired(List<Double> differences) {
        double[] all = differences.stream().mapToDouble(Double::doubleValue).toArray();
        double error = Math.sqrt(StatUtils.variance(all) / all.length);
        return new Effect(StatUtils.mean(all), error, all.length - 1.0, all.length);
    }

    private static Effect welch(double[] there, double[] here, double value) {
        double a = StatUtils.variance(there) / there.length;
        double b = StatUtils.variance(here) / here.length;
        double freedom =
                (a + b) * (a + b) / (a * a / (there.length - 1) + b * b / (here.length - 1)); // Welch–Satterthwaite
        return new Effect(value, Math.sqrt(a + b), a + b == 0 ? there.length + here.length - 2.0 : freedom, 0);
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

    public Strength strength() {
        if (freedom <= 0) {
            return Strength.ANECDOTE;
        }
        if (!band(0.95).orElseThrow().holdsZero()) {
            return Strength.SHOWN;
        }
        return band(0.8).orElseThrow().holdsZero() ? Strength.NOT_SHOWN : Strength.LEANING;
    }

    private static Map<String, List<Double>> byBlock(List<ArmValue> found) {
        Map<String, List<Double>> blocks = new TreeMap<>();
        found.forEach(each ->
                blocks.computeIfAbsent(each.block(), block -> new ArrayList<>()).add(each.value()));
        return blocks;
    }

    private static double mean(List<Double> values) {
        return values.stream().mapToDouble(Double::doubleValue).average().orElseThrow();
    }

    private static double[] values(List<ArmValue> found) {
        return found.stream().mapToDouble(ArmValue::value).toArray();
    }
}
