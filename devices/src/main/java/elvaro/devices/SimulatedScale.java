package elvaro.devices;

import java.util.Random;

/**
 * A scale that is not there: the pan swings when something is laid on, the figure trembles, its zero wanders, it shows whole
 * divisions and gives up above its capacity. Seeded: the same story every time.
 */
public final class SimulatedScale {
    /** The pan swings about twice a second and is quiet after one. */
    private static final double SWINGS_PER_SECOND = 2;

    private static final double DAMPING_PER_SECOND = 4;

    /** Share of a division the figure trembles by, at rest. */
    private static final double TREMBLE = 0.15;

    /** Divisions the zero wanders in an hour. */
    private static final double WANDER_PER_HOUR = 0.5;

    /** A scale shows up to this many divisions more than its capacity. */
    private static final int GRACE_DIVISIONS = 9;

    private final double division;
    private final double capacity;
    private final Random random;
    private double load;
    private double before;
    private double sinceLaid = 60;
    private double zero;
    private double tare;

    /**
     * @param divisionGrams what it shows is a multiple of this, above 0
     * @param capacityGrams what it can weigh
     */
    public SimulatedScale(double divisionGrams, double capacityGrams, long seed) {
        this.division = divisionGrams;
        this.capacity = capacityGrams;
        this.random = new Random(seed);
    }

    /** What lies on it from now on, in grams. */
    public void lay(double grams) {
        before = pan();
        load = grams;
        sinceLaid = 0;
    }

    /** The scale's own tare: what lies there now shows as 0. */
    public void tare() {
        tare = load + zero;
    }

    /** Lets time pass. */
    public void after(double seconds) {
        sinceLaid += seconds;
        zero += random.nextGaussian() * WANDER_PER_HOUR * division * Math.sqrt(seconds / 3600);
    }

    /** Whether the pan still swings by more than half a division. */
    public boolean moving() {
        return Math.abs(pan() - load) > division / 2;
    }

    public boolean overloaded() {
        return load > capacity + GRACE_DIVISIONS * division;
    }

    /** The figure it shows, in grams. */
    public double shown() {
        double figure = pan() + zero - tare + random.nextGaussian() * TREMBLE * division;
        return Math.round(figure / division) * division;
    }

    private double pan() {
        double swing =
                Math.exp(-DAMPING_PER_SECOND * sinceLaid) * Math.cos(2 * Math.PI * SWINGS_PER_SECOND * sinceLaid);
        return load + (before - load) * swing;
    }
}
