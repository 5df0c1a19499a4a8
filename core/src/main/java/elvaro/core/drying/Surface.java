package elvaro.core.drying;

import elvaro.core.cut.SurfaceClass;
import elvaro.core.estimate.Estimates;

/**
 * The outside of a piece: how much there is, and how much of it lies under fat and bone. Reference section 3.
 *
 * @param squareMetres all of it, above 0
 * @param fatShare share under a fat cover thick enough to protect, 0–1
 * @param boneShare share that is bone, 0–1; both together at most 1
 */
public record Surface(double squareMetres, double fatShare, double boneShare) {

    /** Density of fat, kg/m³ (common handbook value, from memory). */
    private static final double FAT_DENSITY = 920;

    public Surface {
        if (!(squareMetres > 0) || !(fatShare >= 0) || !(boneShare >= 0) || fatShare + boneShare > 1) {
            throw new IllegalArgumentException("A surface is above 0 m², and its covered shares at most all of it");
        }
    }

    /** Bare meat on every side. */
    public static Surface bare(double squareMetres) {
        return new Surface(squareMetres, 0, 0);
    }

    /**
     * @param shape how it meets the air
     * @param grams green weight, above 0
     * @param fatCoverMm depth of the fat cover, 0 or more
     * @param boneIn whether one face is bone
     */
    public static Surface of(SurfaceClass shape, int grams, int fatCoverMm, boolean boneIn) {
        return covered(shape.squareMetres(grams), fatCoverMm, boneIn);
    }

    /**
     * From a tape measure: the surface of the box around the piece, scaled to the volume the piece has by its weight.
     *
     * @param lengthM length, above 0 m
     * @param widthM width
     * @param heightM height
     * @throws IllegalArgumentException if a side is not above 0
     */
    public static Surface measured(
            double lengthM, double widthM, double heightM, int grams, int fatCoverMm, boolean boneIn) {
        double box = lengthM * widthM * heightM;
        if (!(box > 0) || lengthM < 0 || widthM < 0) {
            throw new IllegalArgumentException("Length, width and height are above 0");
        }
        double volume = grams / 1000.0 / SurfaceClass.LEAN_DENSITY;
        double boxSurface = 2 * (lengthM * widthM + lengthM * heightM + widthM * heightM);
        return covered(boxSurface * Math.pow(volume / box, 2.0 / 3.0), fatCoverMm, boneIn);
    }

    private static Surface covered(double squareMetres, int fatCoverMm, boolean boneIn) {
        return new Surface(
                squareMetres,
                fatCoverMm >= Estimates.PROTECTING_FAT_MM ? Estimates.FAT_FACE_SHARE : 0,
                boneIn ? Estimates.BONE_FACE_SHARE : 0);
    }

    /** What dries, in m² of bare meat. */
    public double drying() {
        return squareMetres * (1 - fatShare * (1 - Estimates.UNDER_FAT) - boneShare * (1 - Estimates.UNDER_BONE));
    }

    /**
     * What the fat cap weighs, g: it lies on one face.
     *
     * @param depthMm how deep it is, 0 or more
     */
    public double fatGrams(int depthMm) {
        return depthMm / 1000.0 * Estimates.FAT_FACE_SHARE * squareMetres * FAT_DENSITY * 1000;
    }

    /** Bare lean, m²: where a crust forms that has to be cut off. */
    public double lean() {
        return squareMetres * (1 - fatShare - boneShare);
    }
}
