package elvaro.core.weighing;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalInt;

/**
 * What lies on a scale, told from the figures it sends: whether it has come to rest, and whether it is another thing than
 * before. Immutable; each figure makes the next state. The limits are engineering estimates (EST).
 */
public final class StableWeight {
    /** A scale is at rest once its figures have agreed within a division for this long. */
    private static final Duration REST = Duration.ofSeconds(1);

    /** Figures further apart say nothing of what happened between them. */
    private static final Duration LONGEST_PAUSE = Duration.ofSeconds(3);

    /** Up to this many divisions the scale counts as empty: its zero wanders. */
    private static final int EMPTY_DIVISIONS = 2;

    /** From this many divisions on, something was laid on or taken off without the scale being empty between. */
    private static final int CHANGE_DIVISIONS = 5;

    /**
     * One figure of a scale.
     *
     * @param at when it was measured
     * @param grams what lies on it, container and all; may be below 0
     * @param overloaded whether more lies on it than it can weigh; grams then mean nothing
     */
    public record Figure(Instant at, double grams, boolean overloaded) {}

    /**
     * What to show.
     *
     * @param grams net of the tare, to the division
     * @param steady at rest, so that it may be kept
     * @param empty nothing but the tare lies there
     * @param laying counts the things laid on, so that none is kept twice
     * @param tareGrams what is taken off
     */
    public record Shown(int grams, boolean steady, boolean empty, boolean overloaded, int laying, int tareGrams) {}

    /**
     * All there is to know of a scale, to be kept elsewhere.
     *
     * @param recent figures of the last three seconds, the oldest first
     * @param restingGrams what was last found at rest on it, net
     */
    public record State(List<Figure> recent, int tareGrams, int laying, OptionalInt restingGrams) {}

    private final List<Figure> recent;
    private final int tare;
    private final int laying;
    private final OptionalInt resting;

    private StableWeight(List<Figure> recent, int tare, int laying, OptionalInt resting) {
        this.recent = recent;
        this.tare = tare;
        this.laying = laying;
        this.resting = resting;
    }

    /** A scale of which nothing is known yet. */
    public static StableWeight begin() {
        return new StableWeight(List.of(), 0, 0, OptionalInt.empty());
    }

    /** A scale as it was kept. */
    public static StableWeight of(State state) {
        return new StableWeight(List.copyOf(state.recent()), state.tareGrams(), state.laying(), state.restingGrams());
    }

    public State state() {
        return new State(recent, tare, laying, resting);
    }

    /**
     * Takes a figure in. One that is not later than the last is passed over.
     *
     * @param figure the newest
     * @param divisionGrams of the scale, 1 or more
     */
    public StableWeight with(Figure figure, int divisionGrams) {
        if (!recent.isEmpty() && !figure.at().isAfter(newest().at())) {
            return this;
        }
        if (figure.overloaded()) {
            return new StableWeight(List.of(figure), tare, laying, OptionalInt.empty());
        }
        List<Figure> kept = new ArrayList<>(recent);
        boolean torn = !kept.isEmpty()
                && (newest().overloaded()
                        || Duration.between(newest().at(), figure.at()).compareTo(LONGEST_PAUSE) > 0);
        if (torn) {
            kept.clear();
        }
        kept.removeIf(each -> each.at().isBefore(figure.at().minus(LONGEST_PAUSE)));
        kept.add(figure);
        return new StableWeight(List.copyOf(kept), tare, laying, resting).at(divisionGrams);
    }

    /** Tells a new thing from the old one. */
    private StableWeight at(int division) {
        int net = net(division);
        if (net <= EMPTY_DIVISIONS * division) {
            return new StableWeight(recent, tare, laying, OptionalInt.empty());
        }
        if (!steady(division)) {
            return this;
        }
        boolean another = resting.isEmpty() || Math.abs(net - resting.getAsInt()) >= CHANGE_DIVISIONS * division;
        return new StableWeight(recent, tare, another ? laying + 1 : laying, OptionalInt.of(net));
    }

    /**
     * Takes what lies there as the container. Asked again, it stays as it is.
     *
     * @param now when it is asked for
     * @throws IllegalStateException if the scale is not at rest, or silent
     */
    public StableWeight tared(Instant now, int divisionGrams) {
        boolean silent = recent.isEmpty() || newest().at().plus(LONGEST_PAUSE).isBefore(now);
        if (silent || !steady(divisionGrams)) {
            throw new IllegalStateException("The scale is not at rest. Wait for a steady figure, then tare.");
        }
        return new StableWeight(recent, gross(divisionGrams), laying, OptionalInt.empty());
    }

    /** @throws IllegalStateException if no figure came yet */
    public Shown shown(int divisionGrams) {
        int net = net(divisionGrams);
        return new Shown(
                net,
                steady(divisionGrams),
                net <= EMPTY_DIVISIONS * divisionGrams,
                newest().overloaded(),
                laying,
                tare);
    }

    private boolean steady(int division) {
        if (recent.isEmpty() || newest().overloaded()) {
            return false;
        }
        double least = newest().grams();
        double most = least;
        for (int index = recent.size() - 1; index >= 0; index--) {
            Figure figure = recent.get(index);
            least = Math.min(least, figure.grams());
            most = Math.max(most, figure.grams());
            if (most - least > division + 1e-6) {
                return false;
            }
            if (Duration.between(figure.at(), newest().at()).compareTo(REST) >= 0) {
                return true;
            }
        }
        return false;
    }

    private int net(int division) {
        return gross(division) - tare;
    }

    private int gross(int division) {
        return (int) Math.round(newest().grams() / division) * division;
    }

    private Figure newest() {
        if (recent.isEmpty()) {
            throw new IllegalStateException("No figure has come from the scale yet.");
        }
        return recent.get(recent.size() - 1);
    }
}
