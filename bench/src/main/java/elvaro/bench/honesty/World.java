package elvaro.bench.honesty;

import java.util.Random;

/**
 * A world pieces dry in, simulated by a program of its own: another formula of the vapour, another law of the film, steps of
 * an hour. Nothing of it is shared with what is judged.
 *
 * @param name as it stands in the table
 * @param multiplierSd of the logarithms of what resists, about the usual: at once, and in the crust
 * @param areaOff by what the true surface may be another than the one that is thought, either way
 * @param crustPower p of a crust that resists by r·M^p
 * @param hardening by how much the crust resists more with each kg/m², as an exponent
 * @param set what the chamber is set to, share of humidity
 * @param runs what it runs at
 * @param swing how far the humidity swings either side of that, over some days
 * @param sensor what the probe shows too much; NaN where there is no probe
 * @param cyclingFan whether it runs at 1 m/s for an hour and stands for the next, instead of at 0.5 m/s
 * @param wander of the logarithm of the rate, over the root of a day
 * @param step by which the rate changes for good on some day, either way, as a logarithm
 * @param drip lost at once on the first day, fraction
 * @param badWeighings share of those that are plainly wrong
 * @param clockOff by how many days a weighing's moment may be wrong
 */
record World(
        String name,
        double multiplierSd,
        double areaOff,
        double crustPower,
        double hardening,
        double set,
        double runs,
        double swing,
        double sensor,
        boolean cyclingFan,
        double wander,
        double step,
        double drip,
        double badWeighings,
        double clockOff) {

    private static final double HOURS = 24;
    private static final double END = 0.62;
    private static final double CRUST = 100;
    private static final double SKIN = 200;
    private static final double WATER_ACTIVITY = 0.99;
    private static final double CELSIUS = 2;

    static World asSpecified() {
        return new World("as specified", 1, 0, 1, 0, 0.80, 0.80, 0, 0, false, 0, 0, 0, 0, 0);
    }

    World named(String other) {
        return new World(
                other, multiplierSd, areaOff, crustPower, hardening, set, runs, swing, sensor, cyclingFan, wander, step,
                drip, badWeighings, clockOff);
    }

    World multipliers(double sd) {
        return new World(
                name, sd, areaOff, crustPower, hardening, set, runs, swing, sensor, cyclingFan, wander, step, drip,
                badWeighings, clockOff);
    }

    World area(double off) {
        return new World(
                name, multiplierSd, off, crustPower, hardening, set, runs, swing, sensor, cyclingFan, wander, step, drip,
                badWeighings, clockOff);
    }

    World crust(double power, double hard) {
        return new World(
                name, multiplierSd, areaOff, power, hard, set, runs, swing, sensor, cyclingFan, wander, step, drip,
                badWeighings, clockOff);
    }

    World air(double runsAt, double swings, double shows) {
        return new World(
                name, multiplierSd, areaOff, crustPower, hardening, set, runsAt, swings, shows, cyclingFan, wander, step,
                drip, badWeighings, clockOff);
    }

    World fan() {
        return new World(
                name, multiplierSd, areaOff, crustPower, hardening, set, runs, swing, sensor, true, wander, step, drip,
                badWeighings, clockOff);
    }

    World rate(double wanders, double steps, double drips) {
        return new World(
                name, multiplierSd, areaOff, crustPower, hardening, set, runs, swing, sensor, cyclingFan, wanders, steps,
                drips, badWeighings, clockOff);
    }

    World weighings(double bad, double clock) {
        return new World(
                name, multiplierSd, areaOff, crustPower, hardening, set, runs, swing, sensor, cyclingFan, wander, step,
                drip, bad, clock);
    }

    /** One piece of it, from its hanging on. */
    final class Piece {
        private final double[] lost;
        private final double[] humidity;
        private final double[] speed;

        /**
         * @param kilograms green
         * @param squareMetres that are thought
         * @param days to be simulated
         */
        Piece(double kilograms, double squareMetres, int days, Random random) {
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
