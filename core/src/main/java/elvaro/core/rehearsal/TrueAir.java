package elvaro.core.rehearsal;

/**
 * The air at the piece for an hour.
 *
 * @param celsius −30 to 50
 * @param humidity relative, 0–1
 * @param speed m/s
 */
public record TrueAir(double celsius, double humidity, double speed) {
    /** Saturation pressure over water, Pa: Buck 1996, from memory; another formula than that of the forecast. */
    static double saturation(double celsius) {
        return 611.21 * Math.exp((18.678 - celsius / 234.5) * (celsius / (257.14 + celsius)));
    }

    /** Of still air 3 W/m²K, of moving air more: a straight law for rough walls (Jürges, from memory). */
    double heatTransfer() {
        return 3.4 + 5.6 * speed;
    }
}
