package elvaro.core.rehearsal;

/**
 * What grows on one face: bacteria where it is wet, the white bloom of a dry crust, and foreign mould where the air stands.
 * Rates: Ratkowsky's square root for the temperature (spoilage flora of chilled beef doubling in about a day at 0 °C and in
 * nine hours at 5 °C; handbook values, from memory); the rest engineering estimates (EST).
 */
final class Flora {
    private static final double LEAST_CELSIUS = -9;
    private static final double ROOT_PER_KELVIN = 0.058;

    /** Below this the spoilage flora does not grow; above the other it is as if wet. */
    private static final double DRY = 0.980;

    private static final double WET = 0.997;
    private static final double MOST = 9;
    private static final double BLOOM_STARTS = 0.003;

    /** Between these it grows, and best here: activity of the skin. */
    private static final double DRIEST = 0.72;

    private static final double DAMPEST = 0.985;
    private static final double BEST = 0.90;

    /** log₁₀ per cm². */
    private double bacteria;

    /** Share of the face. */
    private double bloom;

    private double foreign;

    /** As acid made without air, log₁₀ of those that make it. */
    private double acid;

    Flora(double bacteria, double spores) {
        this.bacteria = bacteria;
        this.foreign = spores;
        this.bloom = BLOOM_STARTS;
        this.acid = bacteria - 1;
    }

    /**
     * Lets time go by.
     *
     * @param days above 0
     * @param air at the face
     * @param activity of its skin, 0–1
     * @param airless whether film or seal keeps the air away
     * @param pocket share of the face under film that does not touch
     * @param feeds factor on foreign mould of what is on it: raw herbs under a cloth feed it
     * @param powders factor on the white bloom: on syrup there is little
     */
    void pass(double days, TrueAir air, double activity, boolean airless, double pocket, double feeds, double powders) {
        double warmth = Math.max(0, air.celsius() - LEAST_CELSIUS);
        double perDay = ROOT_PER_KELVIN * ROOT_PER_KELVIN * warmth * warmth;
        boolean frozen = air.celsius() < -1.5;
        double wet = Math.max(0, Math.min(1, (activity - DRY) / (WET - DRY)));
        if (frozen) {
            return;
        }
        double slowed = airless ? 0.18 : 1;
        bacteria = Math.min(MOST, bacteria + days * (wet > 0 ? perDay * wet * slowed : bacteria > 2 ? -0.03 : 0));
        acid = airless ? Math.min(MOST, acid + days * perDay * 0.5 * Math.max(wet, 0.1)) : Math.max(2, acid - days * 2);
        double likes = dryLikes(activity);
        bloom = grown(bloom, days * 0.75 * perDay / 0.41 * likes * powders * (airless ? 0.1 : 1));
        double stands = Math.max(0, 1 - air.speed() / 0.35);
        double damp = Math.max(0, Math.min(1, (air.humidity() - 0.78) / 0.12));
        double open = airless ? 0 : (0.08 + 0.55 * stands) * damp;
        double rate = perDay / 0.41 * feeds * (pocket > 0 ? 0.6 : open);
        double most = pocket > 0 ? Math.max(pocket, foreign) : 1;
        foreign = most * grown(Math.min(0.999, foreign / most), days * rate * (activity > 0.80 ? 1 : 0));
    }

    /** Logistic growth of a share by a rate times a time. */
    private static double grown(double share, double times) {
        double up = share * Math.exp(times);
        return up / (1 - share + up);
    }

    /** The bloom likes a crust that is neither wet nor leather. */
    private static double dryLikes(double activity) {
        if (activity < DRIEST || activity > DAMPEST) {
            return 0;
        }
        return activity < BEST ? (activity - DRIEST) / (BEST - DRIEST) : (DAMPEST - activity) / (DAMPEST - BEST);
    }

    /** Cut out or wiped off: what is left is what a clean knife leaves. */
    void clean() {
        foreign = Math.min(foreign, 1e-5);
        bacteria = Math.min(bacteria, 5);
    }

    double bacteria() {
        return bacteria;
    }

    double acid() {
        return acid;
    }

    double bloom() {
        return bloom;
    }

    double foreign() {
        return foreign;
    }
}
