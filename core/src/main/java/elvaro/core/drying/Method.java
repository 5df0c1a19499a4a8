package elvaro.core.drying;

/** The ways of ageing. */
public enum Method {
    OPEN_AIR("open air"),
    MEMBRANE("membrane"),
    SALT_TRAY("salt tray"),
    FAT_SEAL("fat seal"),
    VACUUM("vacuum"),
    ON_ICE("on ice");

    private final String label;

    Method(String label) {
        this.label = label;
    }

    public String label() {
        return label;
    }
}
