package elvaro.core.ledger;

import static elvaro.core.working.Quantity.mass;
import static elvaro.core.working.Quantity.price;
import static elvaro.core.working.Quantity.share;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.ToDoubleFunction;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;

/**
 * Finished ledgers side by side: which did best and worst by each measure, and which stream made the difference.
 */
public final class Comparison {
    private Comparison() {}

    /** The measures a ledger is judged by. */
    public enum LedgerMeasure {
        SHRINK("Shrink", false, Ledger::shrinkFraction),
        STEAK_YIELD("Steak yield", true, Ledger::steakYield),
        USABLE_YIELD("Usable yield", true, Ledger::usableYield),
        TRIM("Trim", false, Ledger::trimFraction),
        DISCARD("Discard", false, Ledger::discardFraction);

        private final String label;
        private final boolean moreIsBetter;
        private final ToDoubleFunction<Ledger> value;

        LedgerMeasure(String label, boolean moreIsBetter, ToDoubleFunction<Ledger> value) {
            this.label = label;
            this.moreIsBetter = moreIsBetter;
            this.value = value;
        }

        public String label() {
            return label;
        }

        public double of(Ledger ledger) {
            return value.applyAsDouble(ledger);
        }
    }

    /**
     * @param measure what is judged
     * @param best index of the best ledger
     * @param worst index of the worst
     * @param reason in words: by how much, and what made the difference
     */
    public record BestAndWorst(LedgerMeasure measure, int best, int worst, String reason) {}

    /** A weight that left the green weight by some way other than the steaks. */
    private record Way(@Nullable Stream stream, String label, int grams) {}

    /**
     * Marks best and worst by every measure; a measure on which all agree to a tenth of a per cent is left unmarked.
     *
     * @param ledgers two or more, in the order shown
     * @param tags the name of each piece, same order
     */
    public static List<BestAndWorst> marks(List<Ledger> ledgers, List<String> tags) {
        if (ledgers.size() < 2 || ledgers.size() != tags.size()) {
            throw new IllegalArgumentException("A comparison needs at least two ledgers, each with its tag");
        }
        return IntStream.range(0, LedgerMeasure.values().length)
                .mapToObj(index -> mark(LedgerMeasure.values()[index], ledgers, tags))
                .flatMap(Optional::stream)
                .toList();
    }

    private static Optional<BestAndWorst> mark(LedgerMeasure measure, List<Ledger> ledgers, List<String> tags) {
        Comparator<Integer> byValue = Comparator.comparingDouble(index -> measure.of(ledgers.get(index)));
        int high = IntStream.range(0, ledgers.size()).boxed().max(byValue).orElseThrow();
        int low = IntStream.range(0, ledgers.size()).boxed().min(byValue).orElseThrow();
        double gap = measure.of(ledgers.get(high)) - measure.of(ledgers.get(low));
        if (gap < 0.0005) {
            return Optional.empty();
        }
        int best = measure.moreIsBetter ? high : low;
        int worst = measure.moreIsBetter ? low : high;
        String reason = "%s: %s at %s, %s at %s. %s"
                .formatted(
                        measure.label,
                        tags.get(best),
                        share(measure.of(ledgers.get(best))),
                        tags.get(worst),
                        share(measure.of(ledgers.get(worst))),
                        difference(measure, ledgers.get(best), ledgers.get(worst)));
        return Optional.of(new BestAndWorst(measure, best, worst, reason.strip()));
    }

    /** The dearest and the cheapest. */
    public record CostMark(int best, int worst, String reason) {}

    /**
     * Marks the cheapest and the dearest steak; unmarked where fewer than two have a cost, or all cost the same.
     *
     * @param costs minor units per kg, empty for a piece without steak
     * @param tags the name of each piece, same order
     */
    public static Optional<CostMark> cheapest(List<Optional<Double>> costs, List<String> tags) {
        List<Integer> priced = IntStream.range(0, costs.size())
                .filter(index -> costs.get(index).isPresent())
                .boxed()
                .sorted(Comparator.comparing(index -> costs.get(index).orElseThrow()))
                .toList();
        if (priced.size() < 2) {
            return Optional.empty();
        }
        int best = priced.get(0);
        int worst = priced.get(priced.size() - 1);
        double low = costs.get(best).orElseThrow();
        double high = costs.get(worst).orElseThrow();
        if (Math.round(low) == Math.round(high)) {
            return Optional.empty();
        }
        String reason = "Cost of steak: %s at %s, %s at %s."
                .formatted(tags.get(best), price(low), tags.get(worst), price(high));
        return Optional.of(new CostMark(best, worst, reason));
    }

    /** The stream in which the worse one lost most against the better, over the same kilogram hung. */
    private static String difference(LedgerMeasure measure, Ledger best, Ledger worst) {
        if (measure == LedgerMeasure.SHRINK || measure == LedgerMeasure.DISCARD) {
            double gap = Math.abs(measure.of(best) - measure.of(worst));
            return "That is %s on every %s hung.".formatted(mass(Math.round(gap * 10_000)), mass(10_000));
        }
        List<Way> better = ways(best, 1);
        List<Way> worse = ways(worst, (double) best.green() / worst.green());
        int most = IntStream.range(0, better.size())
                .boxed()
                .filter(way -> counts(measure, better.get(way)))
                .max(Comparator.comparingInt(
                        index -> worse.get(index).grams() - better.get(index).grams()))
                .orElseThrow();
        double points = (double) (worse.get(most).grams() - better.get(most).grams()) / best.green();
        return points <= 0
                ? ""
                : "Most of it is %s, %s more of the green weight."
                        .formatted(better.get(most).label(), share(points));
    }

    /** What the green weight went into beside steak: water, and each other pile. */
    private static List<Way> ways(Ledger ledger, double scale) {
        List<Way> ways = new ArrayList<>();
        ways.add(new Way(null, "water", scaled(ledger.shrink(), scale)));
        Arrays.stream(Stream.values())
                .filter(stream -> stream != Stream.STEAK)
                .forEach(stream -> ways.add(new Way(
                        stream,
                        stream.label(),
                        scaled(
                                stream == Stream.DISCARD
                                        ? ledger.discard()
                                        : ledger.piles().of(stream),
                                scale))));
        return ways;
    }

    /** What is usable does not lower the usable yield; water is no trim. */
    private static boolean counts(LedgerMeasure measure, Way way) {
        Stream stream = way.stream();
        return switch (measure) {
            case USABLE_YIELD -> stream == null || !stream.isUsable();
            case TRIM -> stream != null;
            default -> true;
        };
    }

    private static int scaled(int grams, double scale) {
        return (int) Math.round(grams * scale);
    }
}
