package elvaro.core.forecast;

import elvaro.core.drying.Method;
import elvaro.core.drying.Parameters;
import elvaro.core.drying.WaterLoss;
import elvaro.core.drying.WaterLoss.Lost;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * Whether a piece dries otherwise than its own past says, seen over several weighings: a two-sided CUSUM of how far each
 * weighing lies from what the ones before it led to expect. Page 1954, Biometrika 41; k = 0.5 and h = 4 by the reference,
 * section 4. One odd weighing alone does not raise it.
 */
public enum Drift {
    NONE,
    /** More is gone than its past explains: seal open, air too dry. */
    TOO_FAST,
    /** Less is gone: door sealed, air too damp, fan off, a coat that holds water. */
    TOO_SLOW;

    /** What it is, what is likely behind it and what to do; empty where nothing drifts. Common practice, no source. */
    public Optional<String> advice(Method method) {
        String what = this == TOO_FAST
                ? "It dries faster than its own past says."
                : "It dries more slowly than its own past says.";
        return switch (this) {
            case NONE -> Optional.empty();
            case TOO_FAST ->
                Optional.of(what
                        + (method == Method.MEMBRANE
                                ? " Likely the seal is open or the film has lifted. Look at seal and contact; reseal or rewrap"
                                        + " with a new membrane, and note it."
                                : " Likely the air is too dry or too fast, or a coat has come off. Look at the humidity, the fan"
                                        + " and the coat."));
            case TOO_SLOW ->
                Optional.of(what
                        + " Likely the air is too damp or stands still, the chamber is too full, or a coat holds water. Look at"
                        + " humidity, fan and door; give it room and turn it.");
        };
    }

    private static final double ALLOWANCE = 0.5;
    private static final double LIMIT = 4;

    /** The first two weighings make the past the others are held against. */
    private static final int FIRST_COUNTED = 2;

    /** What lies further back was judged when it was new. */
    private static final int MOST_COUNTED = 30;

    /** More than this from one weighing is a slip of the scale rather than a change of the air. */
    private static final double MOST_FROM_ONE = 3;

    /**
     * @param loss how the piece loses water
     * @param prior what was thought before it was weighed
     * @param observed its weighings, in any order
     * @param divisionGrams the scale's division
     */
    public static Drift of(WaterLoss loss, Belief prior, List<Observed> observed, double divisionGrams) {
        Fit fit = Fit.of(loss, divisionGrams);
        List<Observed> inOrder = observed.stream()
                .filter(weighing -> weighing.day() > 0)
                .sorted(Comparator.comparingDouble(Observed::day))
                .toList();
        double fast = 0;
        double slow = 0;
        Parameters start = prior.mean();
        for (int index = Math.max(FIRST_COUNTED, inOrder.size() - MOST_COUNTED); index < inOrder.size(); index++) {
            Belief past = fit.posterior(prior, inOrder.subList(0, index), start);
            start = past.mean();
            Observed weighing = inOrder.get(index);
            Lost lost = loss.on(weighing.day(), past.mean());
            double sd = Math.hypot(Math.sqrt(past.variance(lost.byResistance(), lost.byCrust())), fit.weighingSd());
            double z = (weighing.lost() - lost.fraction()) / sd;
            double counted = Math.max(-MOST_FROM_ONE, Math.min(MOST_FROM_ONE, z));
            fast = Math.max(0, fast + counted - ALLOWANCE);
            slow = Math.max(0, slow - counted - ALLOWANCE);
        }
        if (fast > LIMIT) {
            return TOO_FAST;
        }
        return slow > LIMIT ? TOO_SLOW : NONE;
    }
}
