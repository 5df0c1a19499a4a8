package elvaro.server.reading;

/** What a person has to decide about. */
public enum AirEvent {
    /** Air above 5 °C. */
    WARM("air above ⟦temperature 5⟧"),
    /** No reading for over six hours. */
    SILENT("no reading for over 6 h");

    private final String label;

    AirEvent(String label) {
        this.label = label;
    }

    /** As it stands in a list. */
    public String label() {
        return label;
    }
}
