package elvaro.core.portion;

import elvaro.core.cut.SurfaceClass;

/**
 * Steaks cut across a trimmed piece, taken as even along its length. Reference section 9; geometry.
 *
 * @param thicknessMm of each
 * @param count how many, 0 or more
 * @param gramsEach weight of each
 * @param endsGrams both end pieces, for roasts or grinding
 * @param leftOverGrams what is too thin for one more steak, and what the saw took
 */
public record Steaks(double thicknessMm, int count, double gramsEach, double endsGrams, double leftOverGrams) {

    /**
     * A trimmed piece and the tool it is cut with.
     *
     * @param grams steak weight left after trimming, 0 or more
     * @param lengthMm along which it is sliced, above 0
     * @param kerfMm what the tool takes at each cut: 0 for a knife, about 2 for a band saw
     * @param endMm each end piece, 0 or more
     */
    public record Trimmed(double grams, double lengthMm, double kerfMm, double endMm) {
        public Trimmed {
            if (!(grams >= 0) || !(lengthMm > 0) || !(kerfMm >= 0) || !(endMm >= 0)) {
                throw new IllegalArgumentException("A piece has a length above 0, and nothing about it is below 0");
            }
        }

        /** The same piece from its cross-section: length = mass/(density · area). */
        public static Trimmed across(double grams, double squareMetres, double kerfMm, double endMm) {
            if (!(squareMetres > 0)) {
                throw new IllegalArgumentException("A cross-section is above 0");
            }
            return new Trimmed(grams, grams / 1000 / SurfaceClass.LEAN_DENSITY / squareMetres * 1000, kerfMm, endMm);
        }

        /**
         * A piece nobody measured: its cross-section follows from its volume and the class of its cut (EST), a bone is sawn
         * with a kerf of 2 mm, and the dried ends are 15 mm each.
         */
        public static Trimmed usual(SurfaceClass shape, double grams, boolean boneIn) {
            double volume = grams / 1000 / SurfaceClass.LEAN_DENSITY;
            return across(grams, acrossShare(shape) * Math.pow(volume, 2.0 / 3.0), boneIn ? 2 : 0, 15);
        }

        /** Cross-section over volume to the two thirds: a strip of 6 kg has about 140 cm². */
        private static double acrossShare(SurfaceClass shape) {
            return switch (shape) {
                case LONG_SUBPRIMAL, WHOLE_FISH -> 0.45;
                case FLAT_CUT -> 0.40;
                case COMPACT_ROAST, QUARTER_OR_SADDLE, WHOLE_BIRD -> 0.75;
                case SINGLE_STEAK -> 1.8;
            };
        }

        private double gramsPerMm() {
            return grams / lengthMm;
        }
    }

    /** @param thicknessMm above 0 */
    public static Steaks ofThickness(Trimmed piece, double thicknessMm) {
        if (!(thicknessMm > 0)) {
            throw new IllegalArgumentException("A steak is thicker than 0 mm");
        }
        double ends = Math.min(piece.lengthMm(), 2 * piece.endMm());
        double room = piece.lengthMm() - ends;
        int count = (int) Math.floor((room + piece.kerfMm()) / (thicknessMm + piece.kerfMm()) + 1e-9);
        double each = thicknessMm * piece.gramsPerMm();
        double endsGrams = ends * piece.gramsPerMm();
        return new Steaks(thicknessMm, count, each, endsGrams, piece.grams() - endsGrams - count * each);
    }

    /** @param gramsEach above 0, what each is to weigh */
    public static Steaks ofWeight(Trimmed piece, double gramsEach) {
        if (!(gramsEach > 0) || !(piece.grams() > 0)) {
            throw new IllegalArgumentException("A steak weighs more than 0 g");
        }
        return ofThickness(piece, gramsEach / piece.gramsPerMm());
    }
}
