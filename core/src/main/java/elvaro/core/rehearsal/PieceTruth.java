package elvaro.core.rehearsal;

/**
 * How the piece truly is at a moment. Nobody in the rehearsal is told before it is over.
 *
 * @param day days since it was hung
 * @param grams of the meat itself
 * @param air at it
 * @param skinWater water over dry solids at the drier face, kg/kg
 * @param wettest activity of the wetter face, 0–1
 * @param crustMm how deep it is too dry for a steak, of the meat as it was hung
 * @param bacteria log₁₀ per cm² on the worse face
 * @param acid log₁₀ per cm² of those that make acid without air, on the worse face
 * @param bloom share of the surface under white bloom
 * @param foreign share under foreign mould
 * @param isWrapped whether a membrane is about it
 * @param lifted share of the membrane that does not touch
 * @param sealOpen whether the membrane lets air in
 * @param pocketMm how deep it rots in pockets, over the share that lifted or lies under a seal
 * @param fold whether a cut on it lies open
 * @param rancid how far its fat has turned, 1 where anybody smells it
 * @param scent of a neighbour, 1 where anybody smells it
 * @param tender share of the tenderness there is to gain, 0–1
 */
public record PieceTruth(
        double day,
        double grams,
        TrueAir air,
        double skinWater,
        double wettest,
        double crustMm,
        double bacteria,
        double acid,
        double bloom,
        double foreign,
        boolean isWrapped,
        double lifted,
        boolean sealOpen,
        double pocketMm,
        boolean fold,
        double rancid,
        double scent,
        double tender) {
    /** Slime can be felt from about 10⁷·⁵ per cm² on (handbook value, from memory). */
    public static final double SLIME = 7.5;

    /** Off smells from about 10⁷ per cm² on (handbook value, from memory). */
    public static final double SOUR = 7.0;

    public static final double PUTRID = 8.3;

    /** Foreign mould can be seen from here on, as a share of the surface. */
    public static final double SPOT = 0.002;

    /** A pocket this deep is rot. */
    public static final double ROT_MM = 3;

    /** Whether nobody may eat of some part of it. */
    public boolean hasTurned() {
        return bacteria >= SOUR || foreign >= SPOT || pocketMm >= ROT_MM;
    }

    /** Whether what is bad is all through it. */
    public boolean isLost() {
        return bacteria >= PUTRID || foreign > 0.5;
    }
}
