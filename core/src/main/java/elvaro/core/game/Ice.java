package elvaro.core.game;

/**
 * The ice a piece in a chest takes: its share of what leaks in through the walls each day, and once the heat of its meat.
 * Reference section 12; heat of fusion of water 334 kJ/kg (handbook value). Wall and heat capacity are engineering estimates
 * (EST). Walls are shared by weight, so that the pieces' ice adds up to the chest's.
 *
 * @param meatGrams the piece
 * @param onceKg melted by cooling the meat to 0 °C
 * @param perDayKg melted each day by the air outside
 */
public record Ice(int meatGrams, double onceKg, double perDayKg) {
    private static final double FUSION_J_PER_KG = 334_000;
    /** Of a chest for {@link #USUAL_CHEST_GRAMS}; walls grow as the surface does, by the power of two thirds. */
    private static final double WALL_W_PER_K = 0.5;

    public static final int USUAL_CHEST_GRAMS = 40_000;

    private static final double MEAT_J_PER_KG_K = 3500;
    private static final double SECONDS_A_DAY = 86_400;

    /** Ice that is laid in: under, between and over the meat. Common practice: its own weight, or more. */
    private static final double LAID_IN_PER_MEAT = 1.0;

    /** It is topped up when this share of it is left. */
    private static final double TOP_UP_AT = 0.5;

    /**
     * @param meatGrams the piece, above 0
     * @param chestGrams all that lies in the chest, the piece among it
     * @param meatCelsius of the meat as it is laid in
     * @param outsideCelsius of the air round the chest
     * @param roomGrams what the chest is made to hold, above 0
     */
    public static Ice of(int meatGrams, long chestGrams, double meatCelsius, double outsideCelsius, int roomGrams) {
        if (meatGrams <= 0 || chestGrams < meatGrams) {
            throw new IllegalArgumentException("The piece lies on the ice, and so in the chest");
        }
        double share = (double) meatGrams / chestGrams;
        double walls = WALL_W_PER_K * Math.pow((double) roomGrams / USUAL_CHEST_GRAMS, 2.0 / 3);
        return new Ice(
                meatGrams,
                MEAT_J_PER_KG_K * meatGrams / 1000 * Math.max(0, meatCelsius) / FUSION_J_PER_KG,
                share * walls * Math.max(0, outsideCelsius) * SECONDS_A_DAY / FUSION_J_PER_KG);
    }

    /**
     * Ice as it is bought, in whole bags, and where each goes: a third under the meat, a third between it, the rest over it, as
     * the cold sinks (EST). Of two bags one is under it: it never lies in melt water.
     *
     * @param topUp each time
     * @param all until the last day
     */
    public record Bags(int grams, int under, int between, int over, int topUp, int all) {}

    /** @param bagGrams one holds, above 0 */
    public Bags bags(int bagGrams, int days) {
        int laidIn = whole(laidInKg(), bagGrams);
        int under = Math.round(laidIn / 3f);
        int over = Math.max(under, laidIn - 2 * under);
        int topUp = whole(topUpKg(), bagGrams);
        return new Bags(
                bagGrams, under, laidIn - under - over, over, topUp, Math.max(laidIn, whole(inAllKg(days), bagGrams)));
    }

    private static int whole(double kg, int bagGrams) {
        return (int) Math.ceil(kg * 1000 / bagGrams);
    }

    /** All that is bought, what is topped up before the last day among it, kg. */
    public double inAllKg(int days) {
        return laidInKg() + topUpKg() * Math.floorDiv(Math.max(1, days) - 1, topUpDays());
    }

    /** What is to be laid in on the first day, kg. */
    public double laidInKg() {
        return Math.max(onceKg, LAID_IN_PER_MEAT * meatGrams / 1000) + onceKg;
    }

    /** What is poured on each time, for what melted since, kg. */
    public double topUpKg() {
        return perDayKg * topUpDays();
    }

    /** Every how many days it is topped up and drained; once a day at the most, and at least once in three. */
    public int topUpDays() {
        double spare = laidInKg() * TOP_UP_AT;
        return perDayKg == 0 ? LONGEST : (int) Math.max(1, Math.min(LONGEST, Math.floor(spare / perDayKg)));
    }

    /** Melt water stands at the foot; it is drained whether ice is left or not. */
    private static final int LONGEST = 3;
}
