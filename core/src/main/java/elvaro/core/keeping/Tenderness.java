package elvaro.core.keeping;

import elvaro.core.air.Climate;
import elvaro.core.cut.Species;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * How much of the tenderness that ageing can give has been gained: τ = 1 − exp(−∫k(T)dt), k by Arrhenius with 60 kJ/mol.
 * Rates at 1 °C: beef 0.17 a day (Dransfield, in Lawrie's Meat Science, from memory: 80 % in 9.5 to 10 days), lamb 0.21,
 * pork 0.38 (the same); venison is taken as beef (EST). Birds and fish: none known. Reference section 6.
 */
public final class Tenderness {
    private static final double ACTIVATION = 60_000; // J/mol
    private static final double GAS_CONSTANT = 8.314462618; // J/molK
    private static final double REFERENCE_KELVIN = 274.15;

    private Tenderness() {}

    /**
     * k(T).
     *
     * @param celsius −20 to 40 °C
     * @return per day
     */
    public static Optional<Double> perDay(Species species, double celsius) {
        OptionalDouble rate = species.tenderising();
        return rate.isEmpty() ? Optional.empty() : Optional.of(rate.getAsDouble() * warmth(celsius));
    }

    /** k(T) over k(1 °C). */
    private static double warmth(double celsius) {
        return Math.exp(ACTIVATION / GAS_CONSTANT * (1 / REFERENCE_KELVIN - 1 / (celsius + 273.15)));
    }

    /**
     * @param climate the air it hung in
     * @param days since the hanging, 0 or more
     * @return τ, 0–1; empty for animals whose rate is not known
     */
    public static Optional<Double> done(Species species, Climate climate, double days) {
        return species.tenderising().stream()
                .boxed()
                .findFirst()
                .map(rate -> 1 - Math.exp(-rate * climate.integral(days, air -> warmth(air.celsius()))));
    }
}
