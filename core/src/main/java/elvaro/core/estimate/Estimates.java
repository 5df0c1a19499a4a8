package elvaro.core.estimate;

/**
 * Every value of the drying, yield and forecast models that is an engineering estimate (EST) and not a measurement or a
 * published figure. Calibrated against the facts of the trade; the shop's own finished pieces move what can be learnt
 * ({@code core.forecast.Learning}). Sections are those of the project's reference on computation.
 */
public final class Estimates {
    private Estimates() {}

    // --- air, section 2 ---

    /** How far the air at the piece is drawn from the chamber's towards the salt's, 0–1. */
    public static final double SALT_TRAY_COUPLING = 0.6;

    /** What a humidity sensor is off by, all the time alike, fraction. */
    public static final double HUMIDITY_SENSOR_SD = 0.02;

    /** How far the humidity of the weeks to come lies from that of the week before, fraction. */
    public static final double HUMIDITY_CHANGE_SD = 0.002;

    /** How far a chamber that nobody measures lies from what it is set to, fraction. */
    public static final double SET_HUMIDITY_SD = 0.05;

    /** The same of a household refrigerator, which is set to no humidity at all. */
    public static final double REFRIGERATOR_HUMIDITY_SD = 0.10;

    // --- drying, section 3: water activities at the surface, 0–1 ---

    public static final double BARE_ACTIVITY = 0.99;
    public static final double SUGAR_ACTIVITY = 0.90;
    public static final double SALT_RUB_ACTIVITY = 0.94;

    // --- drying, section 3: resistances, Pa·d·m²/kg ---

    public static final double SURFACE_RESISTANCE = 200;

    /** Of a membrane that touches everywhere; divided by the share that does. */
    public static final double MEMBRANE_RESISTANCE = 180;

    /** Share of the film that touches meat when nobody measured it, 0–1. */
    public static final double MEMBRANE_CONTACT = 0.85;

    public static final double FAT_SEAL_RESISTANCE = 1000;
    /** The hide left on hoofed game: less tight than a seal of fat, as the opened belly is bare (EST). */
    public static final double HIDE_RESISTANCE = 600;

    public static final double PASTE_RESISTANCE = 150;
    public static final double CLOTH_RESISTANCE = 80;
    public static final double SYRUP_RESISTANCE = 50;

    /** A powder that draws water keeps the surface running: half of {@link #SURFACE_RESISTANCE} is gone. */
    public static final double POWDER_RESISTANCE = -100;

    /** Resistivity of the crust, Pa·d·m⁴/kg². */
    public static final double CRUST_RESISTIVITY = 100;

    /** Fraction of the green weight beyond which nothing more is lost. */
    public static final double EQUILIBRIUM_BONELESS = 0.62;

    public static final double EQUILIBRIUM_BONE_IN = 0.50;

    /** What either is off by, standard deviation. */
    public static final double EQUILIBRIUM_SD = 0.06;

    // --- drying, section 3: faces ---

    /** What a face under fat of at least {@link #PROTECTING_FAT_MM} still loses, as a share of a bare one. */
    public static final double UNDER_FAT = 0.35;

    public static final int PROTECTING_FAT_MM = 5;

    /** What a face of bone still loses, as a share of a bare one. */
    public static final double UNDER_BONE = 0.30;

    /** Share of the surface a fat cap covers: one face of a long piece. */
    public static final double FAT_FACE_SHARE = 0.35;

    /** Share of the surface that is bone on a piece sold bone-in. */
    public static final double BONE_FACE_SHARE = 0.20;

    // --- vacuum and ice, section 3 ---

    /** Purge in a vacuum bag, fraction of the green weight a day: 1.5 % in 21 days. */
    public static final double PURGE_PER_DAY = 0.015 / 21;

    // --- forecast, section 4: standard deviations of what is not known about a piece, natural logarithms ---

    /** Of the multiplier on the constant resistance, over pieces of a shop nothing is known about. */
    public static final double RESISTANCE_SD = 0.40;

    /** Of the multiplier on the crust's resistivity. */
    public static final double CRUST_SD = 0.50;

    /** The part of either that differs from piece to piece within one method and chamber, as a share of its whole sd. */
    public static final double PIECE_SHARE = 0.5;

    /** What a weighing is off by besides its scale's division: wet hook, drip, handling. Fraction of the green weight. */
    public static final double WEIGHING_SD = 0.002;

    /** The crust resists by r·M^p: p is 1, give or take this. */
    public static final double CRUST_EXPONENT_SD = 0.25;

    /** What drips off or was wet on it when it was hung, standard deviation, fraction of the green weight. */
    public static final double DRIP_SD = 0.003;

    /** How the logarithm of the drying rate wanders, standard deviation over the root of a day. */
    public static final double RATE_WANDER = 0.018;

    /** Student's degrees of freedom of a weighing: some are plainly wrong. */
    public static final double WEIGHING_FREEDOM = 4;

    /** Standard deviation, natural logarithm, of the found crust over the expected one. */
    public static final double TRIM_SD = 0.25;

    /** What is cut off a usual piece besides fat and bone, fraction of green: 15 to 18 % are published. */
    public static final double USUAL_CRUST = 0.16;

    /** Standard deviation of the found steak yield against the expected one, once shrink is known; fraction of green. */
    public static final double STEAK_YIELD_SD = 0.03;

    // --- crust and yield, section 5 ---

    public static final double CRUST_MM = 2.0;
    public static final double CRUST_MM_PER_KG = 1.0;

    /** The outside of a membrane-aged piece dries thinner. */
    public static final double MEMBRANE_CRUST = 0.7;

    /** How deep meat spoils beyond the crust where as much of a film is lifted as touches, mm, over all of it; a wide guess. */
    public static final double POCKET_MM = 1.5;

    /** The loss by which meat in pockets has spoilt so deep: what a membrane loses in two to three weeks; a guess. */
    public static final double POCKET_WHOLE_LOST = 0.08;

    /** What that is off by, as a share of it. */
    public static final double POCKET_SD = 0.5;

    /** Less of a film on the meat than this is asked about, 0–1 (common practice, no source). */
    public static final double LEAST_CONTACT = 0.75;

    /** Share of the crust and lean trim that is fit for grinding; none of it under a seal. */
    public static final double USABLE_SHARE_OF_CRUST = 0.5;

    /** Knife margin over the crust, mm, section 1. */
    public static final double SLICE_FIRST_MM = 0.5;

    public static final double TRIM_FIRST_MM = 2.0;

    /** Crust left on where a stronger taste is wanted, mm. */
    public static final double CRUST_LEFT_MM = 1.0;

    /** Taken besides the crust where a milder taste is wanted, mm. */
    public static final double TAKEN_BESIDES_MM = 1.5;

    /** How far a hand's margin lies from the usual one, mm, standard deviation. */
    public static final double KNIFE_SD_MM = 1.0;

    // --- grind and tallow ---

    /** Share of fat tissue that comes out as tallow. */
    public static final double TALLOW_SHARE = 0.72;

    // --- load, section 8 ---

    /** Air to be left round a piece on a shelf, mm. */
    public static final double AIR_GAP_MM = 25;

    /** The face a piece lies on, as a share of its whole surface. */
    public static final double FOOTPRINT_SHARE = 0.28;

    // --- trials: what a treatment is thought able to do before any was tried, and how far two pieces of one lot differ
    // ---

    /** Standard deviation of a treatment's effect on shrink, fraction of green. */
    public static final double EFFECT_ON_SHRINK_SD = 0.03;

    public static final double EFFECT_ON_DISCARD_SD = 0.05;
    public static final double EFFECT_ON_STEAK_SD = 0.05;

    /** On the cost of a kilogram of steak, natural logarithm. */
    public static final double EFFECT_ON_COST_SD = 0.10;

    /** Standard deviation of the difference of two like pieces of one lot, fraction of green. */
    public static final double PAIR_SHRINK_SD = 0.012;

    public static final double PAIR_DISCARD_SD = 0.03;
    public static final double PAIR_STEAK_SD = 0.03;
    public static final double PAIR_COST_SD = 0.06;

    /** The finest difference of two pieces that can be told, fraction of green: a scale of 10 g and a piece of 2 kg. */
    public static final double SHARE_STEP = 0.005;

    /** The same of a cost, natural logarithm. */
    public static final double COST_STEP = 0.005;

    /** How many differences the pair deviations above are worth against those that were found. */
    public static final double PAIR_WEIGHT = 4;

    // --- tastings ---

    /** Cores further apart than this weaken a comparison, °C (reference, section 11). */
    public static final double CORES_APART = 2;

    /** How far liking is thought to lie apart before anybody tasted, natural logarithm of the odds. */
    public static final double LIKING_SD = 1.5;
}
