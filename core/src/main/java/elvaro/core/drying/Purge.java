package elvaro.core.drying;

import elvaro.core.estimate.Estimates;

/**
 * A piece that does not dry: in a vacuum bag it gives off a little juice, evenly; on ice, drained, it neither gains nor
 * loses. Reference section 3.
 *
 * @param greenGrams G
 * @param surface its outside
 * @param perDay fraction of the green weight lost a day, 0 or more
 */
public record Purge(int greenGrams, Surface surface, double perDay) implements WaterLoss {
    /** No bag holds more juice than this (EST). */
    private static final double MOST = 0.06;

    static Purge inVacuum(int greenGrams, Surface surface) {
        return new Purge(greenGrams, surface, Estimates.PURGE_PER_DAY);
    }

    static Purge onIce(int greenGrams, Surface surface) {
        return new Purge(greenGrams, surface, 0);
    }

    @Override
    public double most() {
        return MOST;
    }

    @Override
    public DriveDoubt doubt() {
        return DriveDoubt.NONE;
    }

    @Override
    public Lost[] along(double[] days, Parameters unknowns) {
        Lost[] lost = new Lost[days.length];
        for (int index = 0; index < days.length; index++) {
            double fraction = Math.min(MOST, perDay * Math.exp(-unknowns.resistance()) * days[index]);
            lost[index] = new Lost(fraction, fraction < MOST ? -fraction : 0, 0, 0, 0);
        }
        return lost;
    }
}
