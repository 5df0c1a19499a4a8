package elvaro.core.trial;

import elvaro.core.estimate.Estimates;

/** What a trial of finished pieces is read by. Fractions of the green weight, but for the cost. */
public enum TrialMeasure {
    SHRINK("shrink", Estimates.EFFECT_ON_SHRINK_SD, Estimates.PAIR_SHRINK_SD),
    TRIM("trim", Estimates.EFFECT_ON_TRIM_SD, Estimates.PAIR_TRIM_SD),
    STEAK_YIELD("steak yield", Estimates.EFFECT_ON_STEAK_SD, Estimates.PAIR_STEAK_SD),
    /** Of a kilogram of steak, natural logarithm: a difference is a ratio. */
    COST("cost of the steak", Estimates.EFFECT_ON_COST_SD, Estimates.PAIR_COST_SD);

    private final String label;
    private final double effectSd;
    private final double pairSd;

    TrialMeasure(String label, double effectSd, double pairSd) {
        this.label = label;
        this.effectSd = effectSd;
        this.pairSd = pairSd;
    }

    /** As it stands in a sentence. */
    public String label() {
        return label;
    }

    /** How large an effect is thought possible before anything was tried (EST). */
    public double effectSd() {
        return effectSd;
    }

    /** How far two like pieces of one lot lie apart (EST). */
    public double pairSd() {
        return pairSd;
    }
}
