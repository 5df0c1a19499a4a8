package elvaro.core.air;

import elvaro.core.estimate.Estimates;
import java.util.List;

/**
 * The air around a piece.
 *
 * @param celsius temperature, −20 to 40 °C
 * @param relativeHumidity φ, 0–1
 * @param metresPerSecond how fast it moves, 0 to 10 m/s
 */
public record Air(double celsius, double relativeHumidity, double metresPerSecond) {
    /** Air that nobody moves still moves by what it weighs; the flat-plate formula is not asked below this. */
    private static final double STILLEST = 0.1;

    /** Length of the plate the air runs along, m. */
    private static final double PLATE = 0.20;

    private static final double KINEMATIC_VISCOSITY = 1.33e-5; // m²/s
    private static final double CONDUCTIVITY = 0.0243; // W/mK
    private static final double PRANDTL = 0.71;
    private static final double DENSITY = 1.28; // kg/m³
    private static final double HEAT_CAPACITY = 1006; // J/kgK
    private static final double LEWIS = 0.846;
    private static final double PSYCHROMETRIC = 66; // Pa/K
    private static final double WATER_MOLAR_MASS = 0.018015; // kg/mol
    private static final double GAS_CONSTANT = 8.314462618; // J/molK
    private static final double SECONDS_PER_DAY = 86_400;

    public Air {
        if (!(celsius >= -20 && celsius <= 40)
                || !(relativeHumidity >= 0 && relativeHumidity <= 1)
                || !(metresPerSecond >= 0 && metresPerSecond <= 10)) {
            throw new IllegalArgumentException(
                    "Air is −20 to 40 °C, 0 to 100 %% RH and 0 to 10 m/s, not %s °C, %s, %s m/s"
                            .formatted(celsius, relativeHumidity, metresPerSecond));
        }
    }

    /**
     * The mean of several, each for as long as the others.
     *
     * @param airs one or more
     */
    public static Air mean(List<Air> airs) {
        return new Air(
                airs.stream().mapToDouble(Air::celsius).average().orElseThrow(),
                airs.stream().mapToDouble(Air::relativeHumidity).average().orElseThrow(),
                airs.stream().mapToDouble(Air::metresPerSecond).average().orElseThrow());
    }

    /** Partial pressure of the vapour in it, Pa. */
    public double vapourPascal() {
        return relativeHumidity * Vapour.saturationPascal(celsius);
    }

    /**
     * This air as it is at a piece over a tray of salt: RH + c·(RH of the salt − RH). A tray raises dry air and dries damp
     * air. Reference section 2.
     */
    public Air overSaltTray() {
        double towards = SaturatedSalt.relativeHumidity(celsius) - relativeHumidity;
        return new Air(celsius, relativeHumidity + Estimates.SALT_TRAY_COUPLING * towards, metresPerSecond);
    }

    /**
     * What draws water out of a surface into this air.
     *
     * @param surfaceActivity a_s, water activity of the surface, 0–1
     * @return (a_s − φ)·p_s, Pa; 0 where the air is the wetter
     */
    public double drivePascal(double surfaceActivity) {
        return Math.max(0, (surfaceActivity - relativeHumidity) * Vapour.saturationPascal(celsius));
    }

    /**
     * Resistance of the film of air on the surface, with the cooling by what evaporates.
     *
     * <p>R = (1 + Δ/γ)/(86400·k_p), k_p = h/(ρ c_p Le^⅔)·M_w/(R T), h = Nu·k/L, Nu = 0.664 Re^½ Pr^⅓. Incropera &amp;
     * DeWitt (laminar flat plate, Chilton–Colburn analogy); Penman's combination for the cooling. Reference section 3.
     *
     * @return Pa·d·m²/kg
     */
    public double filmResistance() {
        double reynolds = Math.max(STILLEST, metresPerSecond) * PLATE / KINEMATIC_VISCOSITY;
        double heatTransfer = 0.664 * Math.sqrt(reynolds) * Math.cbrt(PRANDTL) * CONDUCTIVITY / PLATE;
        double massTransfer = heatTransfer / (DENSITY * HEAT_CAPACITY * Math.pow(LEWIS, 2.0 / 3.0));
        double perPascal = massTransfer * WATER_MOLAR_MASS / (GAS_CONSTANT * (celsius + 273.15));
        double cooling = 1 + Vapour.slopePascalPerKelvin(celsius) / PSYCHROMETRIC;
        return cooling / (SECONDS_PER_DAY * perPascal);
    }
}
