package elvaro.core.yield;

import elvaro.core.cut.SurfaceClass;
import elvaro.core.drying.Surface;
import org.hipparchus.analysis.solvers.BrentSolver;

/**
 * A piece as a body whose outside is cut off: a box of its volume and its surface, long or flat as its cut is; one that shows
 * less surface than a cube is a ball-like body. Edges and corners are cut off once and not from every face, so that a thick
 * crust takes less than its depth times the surface. Reference section 5; geometry.
 *
 * @param grams green weight
 * @param acrossMm half the shorter side, mm; of a long box there are two of it, of a flat one one
 * @param alongMm half the other, mm
 * @param flat whether two of the sides are the longer ones
 * @param bare share of the outside that is cut off: neither fat nor bone, 0–1
 */
record Solid(double grams, double acrossMm, double alongMm, boolean flat, double bare) {
    /** Surface of a cube over its volume to the two thirds: no box shows less. */
    private static final double CUBE = 6;

    /**
     * @param grams green weight, above 0
     * @param surface its outside
     * @param shape whether it is long or flat
     */
    static Solid of(double grams, Surface surface, SurfaceClass shape) {
        double bare = surface.lean() / surface.squareMetres();
        double volume = grams / 1000 / SurfaceClass.LEAN_DENSITY;
        double side = Math.cbrt(volume);
        double coefficient = surface.squareMetres() / (side * side);
        boolean flat = shape == SurfaceClass.FLAT_CUT || shape == SurfaceClass.SINGLE_STEAK;
        if (coefficient <= CUBE) {
            double inner = 3000 * volume / surface.squareMetres();
            return new Solid(grams, inner, inner, flat, bare);
        }
        // A box a × a × ka has 2 + 4k over k^⅔ of surface: two of k fit, one below 1 and one above.
        double root = elongation(coefficient, flat);
        double width = side / root;
        double length = width * root * root * root;
        return flat
                ? new Solid(grams, 500 * length, 500 * width, true, bare)
                : new Solid(grams, 500 * width, 500 * length, false, bare);
    }

    /** The cube root u of k: of 4u³ − cu² + 2 = 0 the larger root, or the smaller above 0, by Viète's cosines. */
    private static double elongation(double coefficient, boolean flat) {
        double angle = Math.acos(1 - 432 / (coefficient * coefficient * coefficient)) / 3;
        return coefficient / 12 + coefficient / 6 * Math.cos(flat ? angle - 2 * Math.PI / 3 : angle);
    }

    /**
     * What is cut off, g.
     *
     * @param depthMm from every bare face, 0 or more
     */
    double outside(double depthMm) {
        double across = left(depthMm, acrossMm);
        double along = left(depthMm, alongMm);
        return grams * (1 - across * along * (flat ? along : across));
    }

    private double left(double depthMm, double halfMm) {
        return Math.max(0, 1 - depthMm * bare / halfMm);
    }

    /** How deep was cut, mm, for so much to come off; at most to the middle. */
    double depth(double outsideGrams) {
        double deepest = acrossMm / bare;
        return outsideGrams >= grams
                ? deepest
                : new BrentSolver(1e-6).solve(100, depth -> outside(depth) - outsideGrams, 0, deepest);
    }
}
