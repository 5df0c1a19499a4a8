package elvaro.core.portion;

import elvaro.core.cut.Cut;
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
         * A piece nobody measured: as long as its green weight on the face of its cut, shrunk with the water it lost, and cut
         * at both ends as deep as all round.
         *
         * @param greenGrams above 0
         * @param steakGrams what trimming leaves, 0 or more
         * @param lost w, fraction of the green weight
         * @param cutMm how deep is cut, mm
         */
        public static Trimmed usual(
                Cut cut, int greenGrams, double steakGrams, double lost, double cutMm, double kerfMm, double endMm) {
            double face = cut.face(greenGrams);
            double green = across(greenGrams, face, kerfMm, endMm).lengthMm();
            double trimmed = green * Math.cbrt(Math.max(0, 1 - lost)) - 2 * cutMm;
            double shortest =
                    across(Math.max(1, steakGrams), face, kerfMm, endMm).lengthMm();
            return new Trimmed(steakGrams, Math.max(shortest, trimmed), kerfMm, endMm);
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
