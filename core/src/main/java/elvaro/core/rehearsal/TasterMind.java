package elvaro.core.rehearsal;

import java.util.Random;

/**
 * Somebody at the table with a liking of their own. Engineering estimates (EST): what ageing gives is liked by most and by
 * some too much of it.
 *
 * @param seed of the person
 */
public record TasterMind(long seed) {
    /**
     * What is on the plate.
     *
     * @param tender share of the tenderness there is to gain, 0–1
     * @param days aged
     * @param rancid 1 where anybody smells it
     * @param scent of a neighbour, 1 where anybody smells it
     * @param sweet whether a sweet coat was on it
     */
    public record Plate(double tender, double days, double rancid, double scent, boolean sweet) {
        /** Of a piece as it truly is. */
        public static Plate of(PieceTruth truth, boolean sweet) {
            return new Plate(truth.tender(), truth.day(), truth.rancid(), truth.scent(), sweet);
        }
    }

    /**
     * How much it is liked this time.
     *
     * @param plate what is tasted
     * @param serving which of the evening it is; another serving of the same is not liked quite the same
     * @return 1 to 7
     */
    public int liking(Plate plate, int serving) {
        Random own = new Random(seed * 7_919 + 11);
        own.nextDouble();
        double likesTender = 1.2 + 0.4 * own.nextGaussian();
        double likesAged = 0.8 + 0.7 * own.nextGaussian();
        double likesSweet = 0.5 * own.nextGaussian();
        double mildest = 3.4 + 0.5 * own.nextGaussian();
        Random now = new Random(seed * 104_729 + 31L * serving);
        now.nextDouble();
        double aged = Math.min(2, plate.days() / 40) - Math.max(0, plate.days() - 70) / 40;
        double felt = mildest
                + likesTender * plate.tender()
                + likesAged * aged
                + (plate.sweet() ? likesSweet : 0)
                - 1.5 * Math.max(0, plate.rancid() - 0.6)
                - 1.2 * Math.max(0, plate.scent() - 0.5)
                + 0.8 * now.nextGaussian();
        return (int) Math.max(1, Math.min(7, Math.round(felt)));
    }
}
