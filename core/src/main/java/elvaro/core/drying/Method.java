package elvaro.core.drying;

import elvaro.core.air.ChamberKind;

/**
 * The ways of ageing, each with what the surface wants before it starts and how long it is usual for. Days and bought
 * cost: common practice, no source.
 */
public enum Method {
    OPEN_AIR("Open air", "Pat it dry: a wet face feeds mould and keeps the crust from forming.", 28, 0),
    MEMBRANE("Membrane", "Keep it wet: the film must cling. At least three quarters of it touching meat.", 35, 700),
    SALT_TRAY("Salt tray", "Pat it dry and set it on a rack over the salt, not in it.", 28, 500),
    FAT_SEAL("Fat seal", "Pat it dry and weigh the seal on: a pocket without moving air rots.", 28, 600),
    VACUUM("Vacuum", "Leave it in its bag. It grows tender here, it does not dry.", 21, 100),
    ON_ICE("On ice", "Drain it: ice under, between and over, and no meat in melt water.", 10, 1500);

    private final String label;
    private final String surface;
    private final int usualDays;
    private final int usualConsumablesMinor;

    Method(String label, String surface, int usualDays, int usualConsumablesMinor) {
        this.label = label;
        this.surface = surface;
        this.usualDays = usualDays;
        this.usualConsumablesMinor = usualConsumablesMinor;
    }

    public String label() {
        return label;
    }

    /** What to do with the surface, and why. */
    public String surface() {
        return surface;
    }

    /** How most people age in such a place the first time. */
    public static Method usualIn(ChamberKind kind) {
        return switch (kind) {
            case REFRIGERATOR -> MEMBRANE;
            case ICE_CHEST -> ON_ICE;
            case CABINET, WALK_IN, SHED -> OPEN_AIR;
        };
    }

    /** Days to offer as a target. */
    public int usualDays() {
        return usualDays;
    }

    /** Minor units of currency to offer as the cost of bag, tray, seal or ice. */
    public int usualConsumablesMinor() {
        return usualConsumablesMinor;
    }
}
