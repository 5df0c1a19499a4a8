package elvaro.core.cooking;

import org.hipparchus.analysis.solvers.BrentSolver;

/**
 * A slab of meat in a stirred bath: Fourier's series for a slab heated from both sides with a film at its surface. Carslaw &
 * Jaeger, Conduction of Heat in Solids, section 3.11; α = 1.4e-7 m²/s, k = 0.48 W/mK, h = 95 W/m²K (reference, section 13).
 */
public final class Slab {
    private static final double DIFFUSIVITY = 1.4e-7;
    private static final double CONDUCTIVITY = 0.48;
    private static final double FILM = 95;
    private static final int TERMS = 8;
    private static final int MOST_STEPS = 200;
    private static final double CLOSE = 1e-12;

    private Slab() {}

    /**
     * How long until the core is within half a degree of the bath.
     *
     * @param thicknessMetres more than 0
     * @param startCelsius of the meat, below the bath
     * @return minutes
     */
    public static double minutes(double thicknessMetres, double startCelsius, double bathCelsius) {
        if (thicknessMetres <= 0 || startCelsius >= bathCelsius) {
            throw new IllegalArgumentException("A bath heats a slab that is colder.");
        }
        double half = thicknessMetres / 2;
        double biot = FILM * half / CONDUCTIVITY;
        double wanted = Math.min(1, 0.5 / (bathCelsius - startCelsius));
        if (core(biot, 0) <= wanted) {
            return 0;
        }
        double late = 1;
        while (core(biot, late) > wanted) {
            late *= 2;
        }
        double fourier = new BrentSolver(CLOSE).solve(MOST_STEPS, time -> core(biot, time) - wanted, 0, late);
        return fourier * half * half / DIFFUSIVITY / 60;
    }

    /** What is left of the first difference at the core, by Fourier number αt/L². */
    private static double core(double biot, double fourier) {
        double left = 0;
        for (int term = 0; term < TERMS; term++) {
            double root = root(biot, term);
            double sine = Math.sin(root);
            left += 2 * sine / (root + sine * Math.cos(root)) * Math.exp(-root * root * fourier);
        }
        return left;
    }

    /** The root of x·tan x = Bi between nπ and nπ + π/2. */
    private static double root(double biot, int term) {
        double low = term * Math.PI;
        return new BrentSolver(CLOSE)
                .solve(MOST_STEPS, x -> x * Math.sin(x) - biot * Math.cos(x), low, low + Math.PI / 2);
    }
}
