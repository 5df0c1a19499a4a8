package elvaro.core.compare;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * Taste against cost: a piece is beaten where another is liked at least as much and costs no more, and is better in one of the
 * two. What nobody beats is the front of best trade-offs (Pareto).
 */
public final class TradeOff {
    private TradeOff() {}

    /**
     * @param liking more is better
     * @param cost less is better
     */
    public record Candidate(String name, double liking, double cost) {
        boolean beats(Candidate other) {
            return liking >= other.liking && cost <= other.cost && (liking > other.liking || cost < other.cost);
        }
    }

    /** @param beatenBy the best liked of those that beat it and that nobody beats; empty on the front */
    public record Placed(Candidate candidate, Optional<Candidate> beatenBy) {}

    /** In the order given. */
    public static List<Placed> of(List<Candidate> candidates) {
        List<Candidate> front = front(candidates);
        return candidates.stream()
                .map(each -> new Placed(
                        each,
                        front.stream()
                                .filter(better -> better.beats(each))
                                .max(Comparator.comparingDouble(Candidate::liking)
                                        .thenComparing(Comparator.comparingDouble(Candidate::cost)
                                                .reversed()))))
                .toList();
    }

    /** Cheapest first: whatever is not liked more than all that is cheaper is beaten. Equals stand side by side. */
    private static List<Candidate> front(List<Candidate> candidates) {
        List<Candidate> cheapestFirst = candidates.stream()
                .sorted(Comparator.comparingDouble(Candidate::cost)
                        .thenComparing(
                                Comparator.comparingDouble(Candidate::liking).reversed()))
                .toList();
        List<Candidate> front = new ArrayList<>();
        Candidate best = null;
        for (Candidate each : cheapestFirst) {
            boolean equal = best != null && each.liking() == best.liking() && each.cost() == best.cost();
            if (best == null || each.liking() > best.liking() || equal) {
                front.add(each);
                best = each;
            }
        }
        return front;
    }
}
