package elvaro.bench.honesty;

import java.util.Random;

/**
 * A world pieces dry in, simulated by a program of its own: another formula of the vapour, another law of the film, steps of
 * an hour. Nothing of it is shared with what is judged. What is not said is as the estimates have it.
 */
final class World {
    private static final double HOURS = 24;
    private static final double END = 0.62;
    private static final double CRUST = 100;
    private static final double SKIN = 200;
    private static final double WATER_ACTIVITY = 0.99;
    private static final double CELSIUS = 2;

    /** What every chamber is set to, share of humidity. */
    static final double SET = 0.80;

    private final String name;
    private double multiplierSd = 1;
    private double areaOff;
    private double crustPower = 1;
    private double hardening;
    private double runs = SET;
    private double swing;
    private double sensor;
    private boolean cyclingFan;
    private double wander;
    private double step;
    private double drip;
    private double badWeighings;
    private double clockOff;

    World(String name) {
        this.name = name;
    }

    String name() {
        return name;
    }

    /** @param sd of the logarithms of what resists, as a multiple of the estimates' */
    World multipliers(double sd) {
        multiplierSd = sd;
        return this;
    }

    /** @param off by what the true surface is another than the one that is thought, either way */
    World area(double off) {
        areaOff = off;
        return this;
    }

    /**
     * @param power p of a crust that resists by r·M^p
     * @param hard by how much it resists more with each kg/m², as an exponent
     */
    World crust(double power, double hard) {
        crustPower = power;
        hardening = hard;
        return this;
    }

    /**
     * @param runsAt share of humidity
     * @param swings how far it goes either side of that, over some days
     * @param shows what the probe shows too much; NaN where there is no probe
     */
    World air(double runsAt, double swings, double shows) {
        runs = runsAt;
        swing = swings;
        sensor = shows;
        return this;
    }

    /** A fan that runs at 1 m/s for an hour and stands for the next, instead of at 0.5 m/s. */
    World fan() {
        cyclingFan = true;
        return this;
    }

    /**
     * @param wanders of the logarithm of the rate, over the root of a day
     * @param steps by which it changes for good on some day, either way
     * @param drips lost at once at most, fraction
     */
    World rate(double wanders, double steps, double drips) {
        wander = wanders;
        step = steps;
        drip = drips;
        return this;
    }

    /**
     * @param bad share of those that are plainly wrong
     * @param clock by how many days a moment may be wrong
     */
    World weighings(double bad, double clock) {
        badWeighings = bad;
        clockOff = clock;
        return this;
    }

    boolean hasProbe() {
        return !Double.isNaN(sensor);
    }

    double badWeighings() {
        return badWeighings;
    }

    double clockOff() {
        return clockOff;
    }

    /** One piece of it, from its hanging on. */
    final class DryingPiece {
        private final double[] lost;
        private final double[] humidity;
        private final double[] speed;

        /**
         * @param kilograms green
         * @param squareMetres that are thought
         * @param days to be simulated
         */
        DryingPiece(double kilograms, double squareMetres, int days, Random random) {
            int hours = (int) (days * HOURS);
            lost = new double[hours + 1];
            humidity = new double[hours + 1];
            speed = new double[hours + 1];
            double area = squareMetres * Math.exp((random.nextBoolean() ? 1 : -1) * Math.log1p(areaOff));
            double skin = Math.exp(random.nextGaussian() * 0.40 * multiplierSd);
            double crust = CRUST * Math.exp(random.nextGaussian() * 0.50 * multiplierSd);
            double period = 4 + random.nextDouble() * 6;
            double phase = random.nextDouble() * 2 * Math.PI;
            double change = step * (random.nextBoolean() ? 1 : -1);
            double changes = (0.15 + 0.25 * random.nextDouble()) * days;
            double wandered = 0;
            double gone = drip * random.nextDouble();
            for (int hour = 0; hour <= hours; hour++) {
                double day = hour / HOURS;
                lost[hour] = gone;
                humidity[hour] = Math.min(0.99, runs + swing * Math.sin(2 * Math.PI * day / period + phase));
                speed[hour] = cyclingFan ? (hour % 2 == 0 ? 1.0 : 0.1) : 0.5;
                wandered += wander * random.nextGaussian() / Math.sqrt(HOURS);
                double thick = gone * kilograms / area;
                double resistance = (film(speed[hour]) + SKIN) * skin
                        + crust * Math.pow(thick, crustPower) * Math.exp(hardening * thick);
                double drive = Math.max(0, WATER_ACTIVITY - humidity[hour]) * vapour();
                double rate = area / kilograms * drive / resistance * (1 - Math.pow(gone / END, 4));
                gone += rate * Math.exp(wandered + (day > changes ? change : 0)) / HOURS;
            }
        }

        double lost(double day) {
            double hour = Math.min(lost.length - 1.0, Math.max(0, day * HOURS));
            int before = (int) hour;
            int after = Math.min(lost.length - 1, before + 1);
            return lost[before] + (lost[after] - lost[before]) * (hour - before);
        }

        /** What the probe showed in an hour; NaN where there is none. */
        double shown(int hour, Random random) {
            double seen = humidity[hour] + sensor + 0.005 * random.nextGaussian();
            return Double.isNaN(sensor) ? Double.NaN : Math.max(0, Math.min(1, seen));
        }

        double speed(int hour) {
            return speed[hour];
        }

        private static double film(double metresPerSecond) {
            return 478 * Math.sqrt(0.5 / Math.max(0.1, metresPerSecond));
        }

        /** Buck 1996, over water. */
        private static double vapour() {
            return 611.21 * Math.exp((18.678 - CELSIUS / 234.5) * (CELSIUS / (257.14 + CELSIUS)));
        }
    }
}
