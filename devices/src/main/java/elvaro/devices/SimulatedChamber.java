package elvaro.devices;

import java.util.Random;

/**
 * The air of a cold chamber as a probe in it would measure it: a compressor that switches, a door that opens, wet meat that
 * gives off water. Not physics to be measured by; enough that what reads it meets what it will meet. The same seed gives
 * the same air.
 */
public final class SimulatedChamber {
    /** Above and below the set temperature at which the compressor switches, K. */
    private static final double HYSTERESIS = 0.6;

    private static final double ROOM_CELSIUS = 18;
    private static final double LEAK_PER_HOUR = 0.09;
    private static final double DOOR_PER_HOUR = 0.8;
    private static final double COOLING_PER_HOUR = 7;
    private static final double DOORS_A_DAY = 7;
    private static final double LONGEST_DOOR_HOURS = 0.07;
    private static final double CELSIUS_NOISE = 0.04;
    private static final double HUMIDITY_NOISE = 0.4;

    /** What is wrong with the chamber or its probe. */
    public enum Fault {
        NONE,
        /** The compressor does not run. */
        WARMING,
        /** The probe says the same for ever. */
        STUCK,
        /** The probe says nothing. */
        SILENT
    }

    /**
     * What the probe says.
     *
     * @param celsius to a hundredth
     * @param humidity % RH, to a tenth
     */
    public record Sample(double celsius, double humidity) {}

    private final double setCelsius;
    private double usualHumidity;
    private final Random random;
    private double celsius;
    private double humidity;
    private double doorHours;
    private boolean cooling;
    private Sample said;

    /**
     * @param setCelsius what its thermostat is set to
     * @param usualHumidity % RH it settles about, by its load
     * @param seed for doors and noise
     */
    public SimulatedChamber(double setCelsius, double usualHumidity, long seed) {
        this.setCelsius = setCelsius;
        this.usualHumidity = usualHumidity;
        this.random = new Random(seed);
        this.celsius = setCelsius;
        this.humidity = usualHumidity;
        this.said = new Sample(setCelsius, usualHumidity);
    }

    /** Its load changed, and with it the humidity it settles about, % RH. */
    public void settleAbout(double humidityPercent) {
        usualHumidity = humidityPercent;
    }

    /**
     * Lets time pass.
     *
     * @param hours above 0, at most a quarter
     * @param fault what is wrong meanwhile
     * @return what the probe says at the end; meaningless where it is silent
     */
    public Sample after(double hours, Fault fault) {
        boolean runs = fault != Fault.WARMING;
        if (doorHours <= 0 && random.nextDouble() < DOORS_A_DAY / 24 * hours) {
            doorHours = random.nextDouble() * LONGEST_DOOR_HOURS;
        }
        double open = Math.min(1, Math.max(0, doorHours / hours));
        doorHours -= hours;
        cooling = runs && (celsius > setCelsius + HYSTERESIS || cooling && celsius > setCelsius - HYSTERESIS);
        double towardsRoom = (ROOM_CELSIUS - celsius) * (1 - Math.exp(-(LEAK_PER_HOUR + DOOR_PER_HOUR * open) * hours));
        double cooled = cooling ? COOLING_PER_HOUR * hours : 0;
        celsius += towardsRoom - cooled;
        if (cooling && celsius <= setCelsius - HYSTERESIS) { // a step may be longer than a cycle
            celsius = setCelsius - HYSTERESIS;
            cooling = false;
        }
        // The coil dries the air, the meat wets it.
        double goal = usualHumidity + (cooling ? -7 : 1.5) + (open > 0 ? 4 : 0) + (runs ? 0 : 8);
        humidity += (goal - humidity) * (1 - Math.exp(-6 * hours));
        if (fault != Fault.STUCK) {
            said = new Sample(
                    Math.round((celsius + CELSIUS_NOISE * random.nextGaussian()) * 100) / 100.0,
                    Math.round(Math.max(0, Math.min(100, humidity + HUMIDITY_NOISE * random.nextGaussian())) * 10)
                            / 10.0);
        }
        return said;
    }
}
