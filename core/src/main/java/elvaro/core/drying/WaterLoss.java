package elvaro.core.drying;

/** How a piece loses water. Pure: the same days and unknowns give the same answer. */
public interface WaterLoss {

    /**
     * What is lost on given days.
     *
     * @param days from the hanging, 0 or more, ascending
     * @param unknowns what is assumed about the piece
     * @return one state for each day
     */
    Lost[] along(double[] days, Parameters unknowns);

    /** Drying surface, m², of which {@link Lost#fraction} makes the water lost per m². */
    Surface surface();

    /** G in grams. */
    int greenGrams();

    /**
     * Water lost by a day, and how it moves with the unknowns.
     *
     * @param fraction w, of the green weight, 0–1
     * @param byResistance ∂w/∂(logarithm of the resistance multiplier)
     * @param byCrust ∂w/∂(logarithm of the crust multiplier)
     * @param byExponent ∂w/∂p, where the crust resists by r·M^p
     * @param byEquilibrium ∂w/∂w_eq
     */
    record Lost(double fraction, double byResistance, double byCrust, double byExponent, double byEquilibrium) {
        /** ∂w/∂(logarithm of the drive): twice the drive is half of every resistance. */
        public double byDrive() {
            return -byResistance - byCrust;
        }
    }

    /** Beyond which nothing more is lost, fraction of the green weight. */
    double most();

    /** How surely the drive is known. */
    DriveDoubt doubt();

    /**
     * @param sd standard deviation of the drive's logarithm, at all times alike
     * @param recordedUntil the day from which the air was not recorded
     * @param changeSd the same of the air from then on against the air before
     */
    record DriveDoubt(double sd, double recordedUntil, double changeSd) {
        /** Where nothing draws, or all of it is known. */
        public static final DriveDoubt NONE = new DriveDoubt(0, 0, 0);
    }

    /** Water lost on one day. */
    default Lost on(double day, Parameters unknowns) {
        return along(new double[] {day}, unknowns)[0];
    }

    /** M, kg of water lost per m² of drying surface, when the fraction is lost. */
    default double perSquareMetre(double fraction) {
        return fraction * greenGrams() / 1000.0 / surface().drying();
    }
}
