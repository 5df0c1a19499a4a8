package elvaro.core.air;

import elvaro.core.estimate.Estimates;

/**
 * What kind of cold place a chamber is, and the air to expect in it where nobody set or measured it. Common practice, no
 * source.
 */
public enum ChamberKind {
    CABINET(2, 0.80, 0.5, Estimates.SET_HUMIDITY_SD),
    WALK_IN(2, 0.82, 0.5, Estimates.SET_HUMIDITY_SD),
    /** A household refrigerator: drier and stiller than a chamber, and a little warmer. */
    REFRIGERATOR(3, 0.60, 0.1, Estimates.REFRIGERATOR_HUMIDITY_SD),
    SHED(3, 0.75, 0.3, Estimates.REFRIGERATOR_HUMIDITY_SD),
    ICE_CHEST(0, 0.98, 0.1, Estimates.HUMIDITY_SENSOR_SD);

    private final Air usual;
    private final double humiditySd;

    ChamberKind(double celsius, double relativeHumidity, double metresPerSecond, double humiditySd) {
        this.humiditySd = humiditySd;
        usual = new Air(celsius, relativeHumidity, metresPerSecond);
    }

    /** What its humidity may be off by where nobody measures it, standard deviation, fraction. */
    public double humiditySd() {
        return humiditySd;
    }

    /** The same air for ever, as far as it can be known without measuring it. */
    public Climate supposed(Air air) {
        return Climate.constant(air).doubted(new Climate.AirDoubt(humiditySd, 0, 0));
    }

    /** Whether its machine usually runs for the meat alone; a household refrigerator runs anyway. */
    public boolean runsForMeatAlone() {
        return this != REFRIGERATOR;
    }

    public Air usualAir() {
        return usual;
    }
}
