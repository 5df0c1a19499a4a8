package elvaro.core.portion;

import java.util.List;
import java.util.OptionalDouble;
import org.hipparchus.stat.descriptive.DescriptiveStatistics;

/**
 * What was really cut.
 *
 * @param count steaks that were counted
 * @param gramsEach mean weight of those; empty where none was counted
 * @param spreadGrams standard deviation over steaks weighed one by one; empty below two of them
 * @param roastGrams ends and roasts, weighed as such
 * @param uncountedGrams steaks weighed without saying how many
 */
public record SteaksCut(
        int count, OptionalDouble gramsEach, OptionalDouble spreadGrams, int roastGrams, int uncountedGrams) {

    /**
     * A container of steaks.
     *
     * @param grams of all in it, above 0
     * @param steaks how many; 0 for an end or a roast, −1 where nobody counted
     */
    public record Container(int grams, int steaks) {
        public static final int UNCOUNTED = -1;

        public Container {
            if (grams <= 0 || steaks < UNCOUNTED) {
                throw new IllegalArgumentException("A container holds more than 0 g, and no fewer than 0 steaks");
            }
        }
    }

    public static SteaksCut of(List<Container> containers) {
        int count = 0;
        int counted = 0;
        int roast = 0;
        int uncounted = 0;
        DescriptiveStatistics single = new DescriptiveStatistics();
        for (Container each : containers) {
            switch (each.steaks()) {
                case Container.UNCOUNTED -> uncounted += each.grams();
                case 0 -> roast += each.grams();
                default -> {
                    count += each.steaks();
                    counted += each.grams();
                    if (each.steaks() == 1) {
                        single.addValue(each.grams());
                    }
                }
            }
        }
        return new SteaksCut(
                count,
                count == 0 ? OptionalDouble.empty() : OptionalDouble.of((double) counted / count),
                single.getN() < 2 ? OptionalDouble.empty() : OptionalDouble.of(single.getStandardDeviation()),
                roast,
                uncounted);
    }
}
