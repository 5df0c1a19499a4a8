package elvaro.core.tasting;

import java.util.List;
import java.util.Map;
import java.util.OptionalInt;
import java.util.TreeMap;

/**
 * What one taster answered in one round. Samples are counted from 0.
 *
 * @param picked the sample liked more; empty where none was, or none was asked
 * @param foundOdd 1 where the odd one was found, 0 where not; empty where it was not asked
 * @param ranks by sample, 1 for the best, equal ones alike; empty where none were asked
 * @param scores by attribute's key and sample
 */
public record Sheet(
        int taster,
        int round,
        OptionalInt picked,
        OptionalInt foundOdd,
        Map<Integer, Integer> ranks,
        Map<String, Map<Integer, Integer>> scores) {

    public Sheet {
        ranks = Map.copyOf(new TreeMap<>(ranks));
        scores = Map.copyOf(scores);
    }

    /**
     * How the taster would put two samples: 1 the first before the second, −1 the other way round, 0 alike; empty where
     * the sheet does not say.
     */
    OptionalInt prefers(TastingKind kind, int first, int second) {
        return switch (kind) {
            case TRIANGLE -> OptionalInt.empty();
            case PAIRED ->
                OptionalInt.of(
                        picked.isEmpty() ? 0 : picked.getAsInt() == first ? 1 : picked.getAsInt() == second ? -1 : 0);
            case RANKING -> order(ranks, second, first);
            case SCORES -> order(scores.getOrDefault(Attribute.LIKING, Map.of()), first, second);
        };
    }

    /** 1 where the first has more than the second. */
    private static OptionalInt order(Map<Integer, Integer> values, int first, int second) {
        return values.keySet().containsAll(List.of(first, second))
                ? OptionalInt.of(Integer.signum(values.get(first) - values.get(second)))
                : OptionalInt.empty();
    }
}
