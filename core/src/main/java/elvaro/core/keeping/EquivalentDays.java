package elvaro.core.keeping;

import elvaro.core.air.Climate;

/**
 * Age by temperature: the days at 0 °C in which as much would have spoiled. ∫(1 + 0.1 T)² dt, T not below −10 °C; Olley
 * &amp; Ratkowsky 1973 (square-root law of chilled fish and meat): relative rate 1, 2.25 and 4 at 0, 5 and 10 °C.
 * Reference section 6.
 */
public final class EquivalentDays {
    private EquivalentDays() {}

    /** Rate of spoiling relative to 0 °C. */
    public static double relativeRate(double celsius) {
        double root = 1 + 0.1 * Math.max(-10, celsius);
        return root * root;
    }

    /**
     * @param climate the air it was kept in
     * @param days 0 or more
     */
    public static double at(Climate climate, double days) {
        return climate.integral(days, air -> relativeRate(air.celsius()));
    }
}
