package elvaro.core.rehearsal;

import elvaro.core.drying.Coating;

/**
 * What a coat does in this world. Estimates (EST) of its own.
 *
 * @param between what it lays between meat and air, Pa·d·m²/kg
 * @param binds what it leaves of the activity of the skin, 0–1
 * @param draws factor on how fast water leaves
 * @param feeds factor on foreign mould
 * @param powders factor on the white bloom
 */
record CoatEffect(double between, double binds, double draws, double feeds, double powders) {
    private static final CoatEffect NONE = new CoatEffect(0, 1, 1, 1, 1);

    static CoatEffect of(RehearsalPlan plan) {
        return switch (plan.coating()) {
            case NONE -> NONE;
            case FAT_SEAL -> new CoatEffect(1500, 1, 1, 1, 1);
            case PASTE -> new CoatEffect(160, 1, 1, 1.3, 1);
            case CLOTH -> new CoatEffect(90, 1, 1, plan.has(Mishap.RAW_GARLIC) ? 1.1 : 0.35, 1);
            case SYRUP -> new CoatEffect(0, 0.90, 1, 0.5, 0.25);
            case POWDER -> new CoatEffect(0, 1, 1.6, 1, 1);
            case SALT_RUB -> new CoatEffect(0, 0.93, 1, 0.5, 1);
            case HIDE -> new CoatEffect(1200, 1, 1, 1, 1);
        };
    }

    /** The air at what grows: under a cloth it stands and is damp. */
    static TrueAir under(Coating coating, TrueAir air) {
        return coating == Coating.CLOTH ? new TrueAir(air.celsius(), 0.4 * air.humidity() + 0.6 * 0.98, 0.05) : air;
    }
}
