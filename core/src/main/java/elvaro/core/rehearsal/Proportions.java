package elvaro.core.rehearsal;

import elvaro.core.cut.SurfaceClass;

/** A block of the proportions of a cut. Estimates (EST) of this world's own. */
record Proportions(double height, double width, double length) {
    static Proportions of(SurfaceClass shape) {
        return switch (shape) {
            case COMPACT_ROAST -> new Proportions(1, 1.3, 1.6);
            case LONG_SUBPRIMAL, WHOLE_FISH -> new Proportions(1, 1.6, 3.2);
            case FLAT_CUT -> new Proportions(1, 3, 5);
            case SINGLE_STEAK -> new Proportions(1, 3.2, 5);
            case WHOLE_BIRD -> new Proportions(1, 1.3, 1.5);
            case QUARTER_OR_SADDLE -> new Proportions(1, 1.8, 3.2);
        };
    }

    /** Surface of a block of so many cubic metres. */
    double squareMetres(double cubicMetres) {
        double surface = 2 * (height * width + height * length + width * length);
        return surface * Math.pow(cubicMetres / (height * width * length), 2.0 / 3);
    }
}
