package elvaro.core.ledger;

import static elvaro.core.working.Quantity.mass;
import static elvaro.core.working.Quantity.share;

import elvaro.core.working.Working;
import java.util.Arrays;
import java.util.List;
import java.util.function.Predicate;
import java.util.stream.Collectors;

/**
 * The mass ledger of one piece, whole grams, so that sums close exactly. Reference section 1; mass balance.
 *
 * @param green G, the weight as hung, more than 0
 * @param withdrawn W, what was taken off before the pull, 0 or more
 * @param aged A, the weight at the pull without coat or seal, 0 or more
 * @param piles what the bench weighed
 * @param cutAway the part of W that was thrown away; it counts as discard
 * @param left ρ, the share of the piece that was still there at the pull, whatever water it lost; 0–1
 */
public record Ledger(int green, int withdrawn, int aged, Piles piles, int cutAway, double left) {
    private static final String SOURCE = "Mass balance (reference, section 1)";

    public Ledger {
        if (green <= 0) {
            throw new IllegalArgumentException("The green weight must be above 0 g, not " + green);
        }
        if (cutAway < 0 || withdrawn < cutAway || aged < 0) {
            throw new IllegalArgumentException("Weights are 0 g or more");
        }
    }

    /** A ledger of a piece of which nothing was thrown away before the pull, and slices were taken shortly before it. */
    public Ledger(int green, int withdrawn, int aged, Piles piles) {
        this(green, withdrawn, aged, piles, 0, withdrawn == 0 ? 1 : (double) aged / (aged + withdrawn));
    }

    /** S = G − W − A: the water lost. Negative when the piece was weighed heavier than it was hung. */
    public int shrink() {
        return green - withdrawn - aged;
    }

    /** E = A − (P + U + F + B + D): what the piles do not account for; negative when they weigh more than the piece. */
    public int residual() {
        return aged - piles.total();
    }

    /** The water lost by what is left, as a share of its own green weight. */
    public double lostOfRest() {
        return left == 0 ? 0 : 1 - aged / (left * green);
    }

    /** The part of W that was eaten: slices taken early are steak as well. */
    public int slices() {
        return withdrawn - cutAway;
    }

    public double shrinkFraction() {
        return of(shrink());
    }

    /** S over G − W, the base without what was taken off early. */
    public double shrinkFractionWithoutWithdrawals() {
        return withdrawn >= green ? 0 : (double) shrink() / (green - withdrawn);
    }

    /** Steaks and roasts of the bench, and slices taken early: they were eaten as steak. */
    public int steak() {
        return piles.steak() + slices();
    }

    public double steakYield() {
        return of(steak());
    }

    /** P of the bench alone over G − W. */
    public double steakYieldWithoutWithdrawals() {
        return withdrawn >= green ? 0 : (double) piles.steak() / (green - withdrawn);
    }

    public double usableYield() {
        return of(usable());
    }

    public double discardFraction() {
        return of(discard());
    }

    public double trimFraction() {
        return of(trim());
    }

    /** P + U + F and slices taken early, everything that can be sold or eaten. */
    public int usable() {
        return piles.usable() + slices();
    }

    /** D: the pile at the bench and what was thrown away before. */
    public int discard() {
        return piles.discard() + cutAway;
    }

    /** U + F + B + D, everything cut away from the steaks. */
    public int trim() {
        return piles.total() - piles.steak() + cutAway;
    }

    private double of(int grams) {
        return (double) grams / green;
    }

    /** The formula, figures and source behind each percentage. */
    public List<Working> workings() {
        return List.of(
                working(
                        "Shrink",
                        "S / G, S = G − W − A",
                        "(%s − %s − %s)".formatted(mass(green), mass(withdrawn), mass(aged)),
                        shrinkFraction()),
                working(
                        "Steak yield",
                        "(P + slices taken early) / G",
                        "(%s + %s)".formatted(mass(piles.steak()), mass(slices())),
                        steakYield()),
                working(
                        "Usable yield",
                        "(P + U + F + slices taken early) / G",
                        sum(Stream::isUsable, slices()),
                        usableYield()),
                working("Trim", "(U + F + B + D) / G", sum(stream -> stream != Stream.STEAK, cutAway), trimFraction()),
                working("Discard", "D / G", mass(discard()), discardFraction()));
    }

    /** @param more what was taken before the pull, and belongs to the last of them */
    private String sum(Predicate<Stream> which, int more) {
        List<Stream> streams = Arrays.stream(Stream.values()).filter(which).toList();
        return streams.stream()
                .map(stream -> mass(piles.of(stream) + (stream == streams.get(streams.size() - 1) ? more : 0)))
                .collect(Collectors.joining(" + ", "(", ")"));
    }

    private Working working(String name, String formula, String numerator, double value) {
        return new Working(name, formula, "%s / %s = %s".formatted(numerator, mass(green), share(value)), SOURCE);
    }
}
