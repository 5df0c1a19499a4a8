package elvaro.server.reading;

/** What a person has to decide about. */
public enum AirEvent {
    /** Air above 5 °C. */
    WARM,
    /** No reading for over six hours. */
    SILENT
}
