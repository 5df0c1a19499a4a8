package elvaro.core.yield;

import elvaro.core.estimate.Estimates;

/** Which comes first at the bench, and how much good meat the knife takes with the crust. Reference section 1. */
public enum BenchOrder {
    /** Slice, then trim each steak: less good meat is lost. */
    SLICE_FIRST("slice first", Estimates.SLICE_FIRST_MM),
    /** Trim the whole piece, then slice: cleaner faces, faster. */
    TRIM_FIRST("trim first", Estimates.TRIM_FIRST_MM);

    private final String label;
    private final double marginMm;

    BenchOrder(String label, double marginMm) {
        this.label = label;
        this.marginMm = marginMm;
    }

    /** As it stands in a sentence. */
    public String label() {
        return label;
    }

    /** Depth of good meat cut away with the crust, mm. */
    public double marginMm() {
        return marginMm;
    }
}
