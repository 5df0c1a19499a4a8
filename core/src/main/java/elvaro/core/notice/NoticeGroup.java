package elvaro.core.notice;

/** What people choose by, each how they are told. */
public enum NoticeGroup {
    DAY("The morning list", "What is due, what is late and what waiting costs; once a day.", true),
    QUESTION("A question only a person decides", "A look that said stop, air that was warm or missing.", true),
    AIR("The air of a chamber", "Too warm, a silent probe, humidity or drying that is off; day and night.", false),
    HOUSE("The house", "A backup that failed, a disk that fills.", true);

    private final String label;
    private final String about;
    private final boolean waits;

    NoticeGroup(String label, String about, boolean waits) {
        this.label = label;
        this.about = about;
        this.waits = waits;
    }

    public String label() {
        return label;
    }

    public String about() {
        return about;
    }

    /** Whether it can wait for the end of quiet hours. Meat that gets warm cannot. */
    public boolean waits() {
        return waits;
    }
}
