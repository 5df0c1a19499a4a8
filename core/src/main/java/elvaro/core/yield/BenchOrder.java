package elvaro.core.yield;

import elvaro.core.estimate.Estimates;

/** Which comes first at the bench, and how much good meat the knife takes with the crust. Reference section 1. */
public enum BenchOrder {
    /** Slice, then trim each steak: less good meat is lost. */
    SLICE_FIRST(Estimates.SLICE_FIRST_MM),
    /** Trim the whole piece, then slice: cleaner faces, faster. */
    TRIM_FIRST(Estimates.TRIM_FIRST_MM);

    private final double marginMm;

    BenchOrder(double marginMm) {
        this.marginMm = marginMm;
    }

    /** Depth of good meat cut away with the crust, mm. */
    public double marginMm() {
        return marginMm;
    }
}
