package elvaro.core.drying;

import elvaro.core.estimate.Estimates;

/** What is on the surface of a piece while it hangs, as far as the drying is concerned. */
public enum Coating {
    NONE("nothing", Estimates.BARE_ACTIVITY, 0),
    FAT_SEAL("a fat seal", Estimates.BARE_ACTIVITY, Estimates.FAT_SEAL_RESISTANCE),
    PASTE("a paste or rub", Estimates.BARE_ACTIVITY, Estimates.PASTE_RESISTANCE),
    CLOTH("a soaked cloth", Estimates.BARE_ACTIVITY, Estimates.CLOTH_RESISTANCE),
    SYRUP("sugar or syrup", Estimates.SUGAR_ACTIVITY, Estimates.SYRUP_RESISTANCE),
    /** On a carrier as maltodextrin, which draws water out to the surface. */
    POWDER("a powder that draws water", Estimates.BARE_ACTIVITY, Estimates.POWDER_RESISTANCE),
    SALT_RUB("a salt rub", Estimates.SALT_RUB_ACTIVITY, 0),
    HIDE("its hide", Estimates.BARE_ACTIVITY, Estimates.HIDE_RESISTANCE);

    private final String label;
    private final double surfaceActivity;
    private final double resistance;

    Coating(String label, double surfaceActivity, double resistance) {
        this.label = label;
        this.surfaceActivity = surfaceActivity;
        this.resistance = resistance;
    }

    /** As it stands in a sentence. */
    public String label() {
        return label;
    }

    /** a_s, 0–1. */
    public double surfaceActivity() {
        return surfaceActivity;
    }

    /** R_coat, Pa·d·m²/kg; below 0 for what draws water. */
    public double resistance() {
        return resistance;
    }
}
