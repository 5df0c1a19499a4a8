package elvaro.core.tasting;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;

/**
 * Orders in which each sample stands in each place equally often and follows each other one equally often: E. J. Williams,
 * Australian Journal of Scientific Research A 2 (1949) 149. An even number of samples takes as many orders, an odd number
 * twice as many.
 */
public final class Williams {
    private Williams() {}

    /** @param samples 1 or more */
    public static List<List<Integer>> orders(int samples) {
        if (samples < 1) {
            throw new IllegalArgumentException("Something must be served.");
        }
        List<Integer> first = new ArrayList<>(List.of(0));
        for (int step = 1; first.size() < samples; step++) {
            first.add(step);
            if (first.size() < samples) {
                first.add(samples - step);
            }
        }
        List<List<Integer>> orders = IntStream.range(0, samples)
                .mapToObj(shift ->
                        first.stream().map(sample -> (sample + shift) % samples).toList())
                .collect(java.util.stream.Collectors.toCollection(ArrayList::new));
        if (samples % 2 == 1 && samples > 1) {
            List.copyOf(orders).forEach(order -> {
                List<Integer> mirrored = new ArrayList<>(order);
                java.util.Collections.reverse(mirrored);
                orders.add(mirrored);
            });
        }
        return List.copyOf(orders);
    }
}
