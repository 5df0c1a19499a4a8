package elvaro.core.ledger;

import elvaro.core.ledger.LogFact.LogFactKind;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/**
 * The weights of one piece, read from its log. Entries that another entry corrects do not count; the order they were
 * written in does not matter, only when each happened.
 */
public final class PieceLog {
    /** So soon after a slice a weighing says more of it than the green weight does. */
    private static final Duration NEAR_ENOUGH = Duration.ofDays(2);

    private final int green;
    private final List<LogFact> facts;
    private final List<NetWeight> weighings;

    private PieceLog(int green, List<LogFact> facts) {
        this.green = green;
        this.facts = facts;
        this.weighings = netWeights();
    }

    /**
     * @param green G in grams, above 0
     * @param all every entry ever made for the piece, corrected ones included
     */
    public static PieceLog of(int green, List<LogFact> all) {
        Set<UUID> replaced = replaced(all);
        List<LogFact> standing = all.stream()
                .filter(fact -> !replaced.contains(fact.id()) && fact.kind() != LogFactKind.TAKEN_BACK)
                .sorted(Comparator.comparing(LogFact::at))
                .toList();
        return new PieceLog(green, standing);
    }

    /**
     * The entries that no longer count: corrected or taken back. Taking a correction back brings back what it corrected.
     */
    public static Set<UUID> replaced(List<LogFact> all) {
        Set<UUID> takenBack = all.stream()
                .filter(fact -> fact.kind() == LogFactKind.TAKEN_BACK)
                .map(LogFact::corrects)
                .collect(Collectors.toSet());
        return all.stream()
                .filter(fact -> fact.corrects() != null && !takenBack.contains(fact.id()))
                .map(LogFact::corrects)
                .collect(Collectors.toSet());
    }

    /** A weighing with the coat taken off its figure. */
    public record NetWeight(UUID entry, Instant at, int grams) {}

    /** G in grams. */
    public int green() {
        return green;
    }

    /** The entries that stand, in the order they happened. */
    public List<LogFact> standing() {
        return facts;
    }

    /** Every weighing and the aged weight, net of the coat that was on. */
    public List<NetWeight> weighings() {
        return weighings;
    }

    private List<NetWeight> netWeights() {
        int coat = 0;
        // What was weighed without its wrap is truer than what was pulled in it.
        LogFactKind aged = last(LogFactKind.UNWRAPPED).isPresent() ? LogFactKind.UNWRAPPED : LogFactKind.PULLED;
        List<NetWeight> net = new ArrayList<>();
        for (LogFact fact : facts) {
            switch (fact.kind()) {
                case COAT_ON -> coat += fact.grams();
                case COAT_OFF -> coat = 0;
                case WEIGHED -> net.add(new NetWeight(fact.id(), fact.at(), fact.grams() - coat));
                default -> {
                    if (fact.kind() == aged && !fact.estimated()) {
                        net.add(new NetWeight(fact.id(), fact.at(), fact.grams() - coatAt(fact.at(), coat)));
                    }
                }
            }
        }
        return List.copyOf(net);
    }

    /** A coat that came off after the aged weight was weighed then: that weight is truer than what was put on. */
    private int coatAt(Instant agedAt, int coatOn) {
        return facts.stream()
                .filter(fact ->
                        fact.kind() == LogFactKind.COAT_OFF && !fact.at().isBefore(agedAt))
                .mapToInt(LogFact::grams)
                .findFirst()
                .orElse(coatOn);
    }

    /**
     * The share of the green weight gone as water by a weighing, of what is still there: 1 − weight/(ρ·G). A piece half of
     * which was taken loses half the grams through half the surface, and the same share.
     */
    public double lostBy(NetWeight weighing) {
        double left = leftAt(weighing.at());
        return left == 0 ? 0 : 1 - weighing.grams() / (left * green);
    }

    /** ρ: the share of the piece that is still there, whatever water it lost; 1 while nothing was taken off. */
    public double left() {
        return leftAt(Instant.MAX);
    }

    private double leftAt(Instant at) {
        double left = 1;
        for (LogFact fact : facts) {
            if (fact.kind().takes() && !fact.at().isAfter(at)) {
                left *= Math.max(0, 1 - (double) fact.grams() / weightBefore(fact));
            }
        }
        return left;
    }

    /** What the piece weighed when something was taken off, by the weighing nearest in time with nothing taken between. */
    private int weightBefore(LogFact taken) {
        int before = green;
        Instant weighedAt = null;
        NetWeight after = null;
        int index = facts.indexOf(taken);
        for (LogFact fact : facts.subList(0, index)) {
            if (fact.kind().takes()) {
                before -= fact.grams();
            }
            NetWeight net = netOf(fact);
            if (net != null) {
                before = net.grams();
                weighedAt = net.at();
            }
        }
        for (LogFact fact : facts.subList(index + 1, facts.size())) {
            after = netOf(fact);
            if (after != null || fact.kind().takes()) {
                break;
            }
        }
        Duration sinceBefore = weighedAt == null ? NEAR_ENOUGH : Duration.between(weighedAt, taken.at());
        boolean afterIsNearer =
                after != null && Duration.between(taken.at(), after.at()).compareTo(sinceBefore) <= 0;
        return Math.max(1, afterIsNearer ? after.grams() + taken.grams() : before);
    }

    private @Nullable NetWeight netOf(LogFact fact) {
        return weighings.stream()
                .filter(net -> net.entry().equals(fact.id()))
                .findFirst()
                .orElse(null);
    }

    /** W: all that was taken off before the pull, slices and what was thrown away. */
    public int withdrawn() {
        return sum(LogFactKind.WITHDRAWN) + cutAway();
    }

    /** The part of W that was thrown away. */
    public int cutAway() {
        return sum(LogFactKind.CUT_AWAY);
    }

    /** The last look that stands, whatever was found. */
    public Optional<LogFact> lastLook() {
        return List.of(last(LogFactKind.LOOKED), last(LogFactKind.LEAKED)).stream()
                .flatMap(Optional::stream)
                .max(Comparator.comparing(LogFact::at));
    }

    /**
     * A stretch of time.
     *
     * @param to empty while it goes on
     */
    public record Span(Instant from, Optional<Instant> to) {}

    /** When its membrane leaked: from the look that found it until it was resealed, or a look found it whole. */
    public List<Span> leaks() {
        List<Span> leaks = new ArrayList<>();
        Instant since = null;
        for (LogFact fact : facts) {
            if (fact.kind() == LogFactKind.LEAKED && since == null) {
                since = fact.at();
            } else if (since != null && (fact.kind() == LogFactKind.RESEALED || fact.kind() == LogFactKind.LOOKED)) {
                leaks.add(new Span(since, Optional.of(fact.at())));
                since = null;
            }
        }
        if (since != null) {
            leaks.add(new Span(since, Optional.empty()));
        }
        return leaks;
    }

    /** The last entry of this kind that stands. */
    public Optional<LogFact> last(LogFactKind kind) {
        for (int index = facts.size() - 1; index >= 0; index--) {
            if (facts.get(index).kind() == kind) {
                return Optional.of(facts.get(index));
            }
        }
        return Optional.empty();
    }

    /** The weight of coat or seal on the piece now. */
    public int coatOn() {
        int coat = 0;
        for (LogFact fact : facts) {
            coat = switch (fact.kind()) {
                case COAT_ON -> coat + fact.grams();
                case COAT_OFF -> 0;
                default -> coat;
            };
        }
        return coat;
    }

    /** The last net weight known; the green weight less the slices taken where nothing was weighed since. */
    public int latest() {
        List<NetWeight> net = weighings();
        if (net.isEmpty()) {
            return green - withdrawn();
        }
        NetWeight last = net.get(net.size() - 1);
        int takenSince = facts.stream()
                .filter(fact -> fact.kind().takes() && fact.at().isAfter(last.at()))
                .mapToInt(LogFact::grams)
                .sum();
        return last.grams() - takenSince;
    }

    public Optional<Instant> lastWeighedAt() {
        List<NetWeight> net = weighings();
        return net.isEmpty()
                ? Optional.empty()
                : Optional.of(net.get(net.size() - 1).at());
    }

    public Optional<LogFact> pull() {
        return facts.stream().filter(fact -> fact.kind() == LogFactKind.PULLED).findFirst();
    }

    /** A: the weight at the pull, or without its wrap where that was weighed, net of coat. */
    public Optional<Integer> aged() {
        if (pull().filter(LogFact::estimated).isPresent()
                && last(LogFactKind.UNWRAPPED).isEmpty()) {
            return pull().map(LogFact::grams);
        }
        return last(LogFactKind.UNWRAPPED)
                .or(this::pull)
                .flatMap(aged -> weighings().stream()
                        .filter(net -> net.entry().equals(aged.id()))
                        .map(NetWeight::grams)
                        .findFirst());
    }

    /** What wrap and string weighed; empty while that is not known. */
    public Optional<Integer> wrap() {
        return last(LogFactKind.UNWRAPPED)
                .flatMap(bare -> pull().map(pull -> {
                    boolean coatCameOff = facts.stream()
                            .anyMatch(fact -> fact.kind() == LogFactKind.COAT_OFF
                                    && fact.at().isAfter(pull.at())
                                    && !fact.at().isAfter(bare.at()));
                    return pull.grams() - bare.grams() - (coatCameOff ? coatAt(pull.at(), 0) : 0);
                }));
    }

    public Piles piles() {
        Map<Stream, Integer> grams = new EnumMap<>(Stream.class);
        facts.stream()
                .filter(fact -> fact.kind() == LogFactKind.PILE && fact.stream() != null)
                .forEach(fact -> grams.merge(fact.stream(), fact.grams(), Integer::sum));
        return new Piles(grams);
    }

    /** Whether the weight at the hanging or at the pull is an estimate, because there was no scale. */
    public boolean isEstimated() {
        return isGreenEstimated() || pull().filter(LogFact::estimated).isPresent();
    }

    /** Whether nobody weighed it as it was hung or laid on ice. */
    public boolean isGreenEstimated() {
        return last(LogFactKind.GREEN_ESTIMATED).isPresent();
    }

    /** How many steaks were cut; empty where any container of steaks was not counted, or nobody counted any. */
    public OptionalInt steaks() {
        List<LogFact> containers = facts.stream()
                .filter(fact -> fact.kind() == LogFactKind.PILE && fact.stream() == Stream.STEAK)
                .toList();
        if (containers.isEmpty()) {
            return last(LogFactKind.COUNTED)
                    .map(counted -> OptionalInt.of(Objects.requireNonNull(counted.steaks())))
                    .orElse(OptionalInt.empty());
        }
        return containers.stream().anyMatch(fact -> fact.steaks() == null)
                ? OptionalInt.empty()
                : OptionalInt.of(containers.stream()
                        .mapToInt(fact -> Objects.requireNonNull(fact.steaks()))
                        .sum());
    }

    /** Why meat was thrown away, as far as it was said. */
    public Set<DiscardCause> causes() {
        return facts.stream()
                .flatMap(fact -> java.util.stream.Stream.ofNullable(fact.cause()))
                .collect(Collectors.toCollection(() -> EnumSet.noneOf(DiscardCause.class)));
    }

    /** How many weighings the piles rest on, the aged weight included. */
    public int weighingsAtTheBench() {
        return 1
                + (int) facts.stream()
                        .filter(fact -> fact.kind() == LogFactKind.PILE)
                        .count();
    }

    /** The ledger as it stands: before the pull, the last weight known takes the place of the aged weight. */
    public Ledger ledger() {
        int aged = Math.max(0, aged().orElseGet(this::latest));
        return new Ledger(green, withdrawn(), aged, piles(), cutAway(), left());
    }

    private int sum(LogFactKind kind) {
        return facts.stream()
                .filter(fact -> fact.kind() == kind)
                .mapToInt(LogFact::grams)
                .sum();
    }
}
