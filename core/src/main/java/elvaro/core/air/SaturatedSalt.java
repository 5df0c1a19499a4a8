package elvaro.core.air;

/** Air over a saturated solution of common salt. */
public final class SaturatedSalt {
    private static final double AT_0 = 0.7551;
    private static final double AT_5 = 0.7565;
    private static final double AT_10 = 0.7567;

    private SaturatedSalt() {}

    /**
     * The relative humidity the air tends to. Greenspan 1977, J. Res. NBS 81A: 75.51, 75.65 and 75.67 % at 0, 5 and 10 °C,
     * ±0.3 (from memory); straight lines between, and the end values beyond.
     *
     * @param celsius of the air
     * @return 0–1
     */
    public static double relativeHumidity(double celsius) {
        if (celsius <= 5) {
            return AT_0 + (AT_5 - AT_0) * Math.max(0, celsius) / 5;
        }
        return AT_5 + (AT_10 - AT_5) * (Math.min(10, celsius) - 5) / 5;
    }
}
