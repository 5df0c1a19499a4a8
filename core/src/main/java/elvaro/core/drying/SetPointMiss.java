package elvaro.core.drying;

import static elvaro.core.working.Quantity.share;
import static elvaro.core.working.Quantity.temperature;

import elvaro.core.air.Air;
import elvaro.core.air.Climate;
import elvaro.core.cut.SurfaceClass;
import java.util.Optional;

/**
 * A chamber that runs at another air than it is set to.
 *
 * @param set what it is set to
 * @param runs what was recorded over the last days
 */
public record SetPointMiss(Air set, Air runs) {
    /** What no sensor is blamed for. */
    private static final double HUMIDITY = 0.03;

    private static final double CELSIUS = 1;

    /** A piece by which it is told what that comes to. */
    private static final int GRAMS = 6000;

    private static final int DAYS = 28;

    /** What it runs at and what follows for the pieces in it; empty where it is near enough to what it is set to. */
    public Optional<String> sentence() {
        boolean damp = Math.abs(runs.relativeHumidity() - set.relativeHumidity()) >= HUMIDITY;
        boolean warm = Math.abs(runs.celsius() - set.celsius()) >= CELSIUS;
        if (!damp && !warm) {
            return Optional.empty();
        }
        String is = both(damp, warm, share(runs.relativeHumidity()) + " RH", temperature(runs.celsius()));
        String asked = both(damp, warm, share(set.relativeHumidity()), temperature(set.celsius()));
        double more = lost(runs) / lost(set) - 1;
        return Optional.of("Runs at %s, set to %s: pieces lose %s %s in four weeks."
                .formatted(is, asked, share(Math.abs(more)), more >= 0 ? "more" : "less"));
    }

    private static String both(boolean damp, boolean warm, String humidity, String celsius) {
        return damp && warm ? "%s and %s".formatted(humidity, celsius) : damp ? humidity : celsius;
    }

    private static double lost(Air air) {
        Surface surface = Surface.of(SurfaceClass.LONG_SUBPRIMAL, GRAMS, 0, false);
        return new AirDrying(GRAMS, surface, false, Climate.constant(air), Skin.bare())
                .on(DAYS, Parameters.NONE)
                .fraction();
    }
}
