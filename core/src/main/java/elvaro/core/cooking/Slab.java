package elvaro.core.cooking;

import org.hipparchus.analysis.solvers.BrentSolver;

/**
 * A slab of meat heated from both sides through a film at its surface, by Fourier's series. Carslaw & Jaeger, Conduction of
 * Heat in Solids, section 3.11; α = 1.4e-7 m²/s, k = 0.48 W/mK (reference, section 13).
 *
 * @param thicknessMetres more than 0
 * @param startCelsius of the meat, below that of the fire
 * @param fireCelsius of bath, air or pan
 * @param film how well its heat gets in, W/m²K, above 0
 */
public record Slab(double thicknessMetres, double startCelsius, double fireCelsius, double film) {
    /** Of a stirred bath, W/m²K (reference, section 13). */
    public static final double BATH_FILM = 95;

    private static final double DIFFUSIVITY = 1.4e-7;
    private static final double CONDUCTIVITY = 0.48;
    private static final int TERMS = 8;
    private static final int MOST_STEPS = 200;
    private static final double CLOSE = 1e-12;
    private static final double ALMOST = 0.5;

    public Slab {
        if (thicknessMetres <= 0 || startCelsius >= fireCelsius || !(film > 0)) {
            throw new IllegalArgumentException("A fire heats a slab that is colder.");
        }
    }

    /** How long in a bath until the core is within half a degree of it, minutes. */
    public static double minutes(double thicknessMetres, double startCelsius, double bathCelsius) {
        Slab slab = new Slab(thicknessMetres, startCelsius, bathCelsius, BATH_FILM);
        return slab.minutes(Math.max(startCelsius, bathCelsius - ALMOST));
    }

    /**
     * How long until the core has so many degrees.
     *
     * @param coreCelsius below the fire
     * @return minutes; 0 where it has them already
     */
    public double minutes(double coreCelsius) {
        double wanted = (fireCelsius - coreCelsius) / (fireCelsius - startCelsius);
        if (wanted <= 0) {
            throw new IllegalArgumentException("A core stays below its fire.");
        }
        if (left(0) <= wanted) {
            return 0;
        }
        double late = 1;
        while (left(late) > wanted) {
            late *= 2;
        }
        double fourier = new BrentSolver(CLOSE).solve(MOST_STEPS, time -> left(time) - wanted, 0, late);
        return fourier * half() * half() / DIFFUSIVITY / 60;
    }

    private double half() {
        return thicknessMetres / 2;
    }

    /** What is left of the first difference at the core, by Fourier number αt/L². */
    private double left(double fourier) {
        double biot = film * half() / CONDUCTIVITY;
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
