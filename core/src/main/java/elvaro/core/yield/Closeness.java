package elvaro.core.yield;

import elvaro.core.estimate.Estimates;

/**
 * How close to the crust the knife goes: some leave a little of it for a stronger taste, some take more for a milder one.
 * Common practice, no source.
 */
public enum Closeness {
    /** A little crust stays on. */
    STRONGER(-Estimates.CRUST_LEFT_MM),
    /** The crust goes, and what the knife takes with it. */
    USUAL(0),
    /** More than the crust goes. */
    MILDER(Estimates.TAKEN_BESIDES_MM);

    private final double moreMm;

    Closeness(double moreMm) {
        this.moreMm = moreMm;
    }

    /** What is cut away over crust and knife margin, mm; negative where crust is left. */
    public double moreMm() {
        return moreMm;
    }
}
