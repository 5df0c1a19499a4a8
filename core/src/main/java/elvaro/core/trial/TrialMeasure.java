package elvaro.core.trial;

import elvaro.core.estimate.Estimates;

/** What a trial can be read by. One of them is asked, and named beforehand; the others are seen beside it. */
public enum TrialMeasure {
    USABLE_YIELD("usable yield", Scale.SHARE, Estimates.EFFECT_ON_STEAK_SD, Estimates.PAIR_STEAK_SD),
    STEAK_YIELD("steak yield", Scale.SHARE, Estimates.EFFECT_ON_STEAK_SD, Estimates.PAIR_STEAK_SD),
    SHRINK("shrink", Scale.SHARE, Estimates.EFFECT_ON_SHRINK_SD, Estimates.PAIR_SHRINK_SD),
    DISCARD("discard", Scale.SHARE, Estimates.EFFECT_ON_DISCARD_SD, Estimates.PAIR_DISCARD_SD),
    COST("cost of the steak", Scale.LOGARITHM, Estimates.EFFECT_ON_COST_SD, Estimates.PAIR_COST_SD),
    COST_EATEN("cost of all that is eaten", Scale.LOGARITHM, Estimates.EFFECT_ON_COST_SD, Estimates.PAIR_COST_SD),
    STEAKS("steaks of a piece", Scale.COUNT, 0, 0),
    LIKING("liking", Scale.VOICES, 0, 0);

    /** In what a measure is counted. */
    public enum Scale {
        /** A fraction of the green weight. */
        SHARE(Estimates.SHARE_STEP),
        /** Natural logarithm of minor units for a kilogram: a difference is a ratio. */
        LOGARITHM(Estimates.COST_STEP),
        /** A whole number. */
        COUNT(1),
        /** Tasters who liked one better; it has no figure of a single piece. */
        VOICES(0);

        private final double step;

        Scale(double step) {
            this.step = step;
        }
    }

    private final String label;
    private final Scale scale;
    private final double effectSd;
    private final double pairSd;

    TrialMeasure(String label, Scale scale, double effectSd, double pairSd) {
        this.label = label;
        this.scale = scale;
        this.effectSd = effectSd;
        this.pairSd = pairSd;
    }

    /** As it stands in a sentence. */
    public String label() {
        return label;
    }

    public Scale scale() {
        return scale;
    }

    /** The finest difference of two pieces that scale and knife can tell (EST). */
    public double step() {
        return scale.step;
    }

    /** Whether each piece has a figure of its own. */
    public boolean isOfPieces() {
        return scale != Scale.VOICES;
    }

    /** Whether it is a cost, of which nothing is known where a price is not. */
    public boolean isCost() {
        return scale == Scale.LOGARITHM;
    }

    /** Whether trials and groups of pieces are put together in it. */
    public boolean isPooled() {
        return effectSd > 0;
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
