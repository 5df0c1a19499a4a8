package elvaro.server.reading;

/** Whether a probe can be believed. */
public enum ProbeHealth {
    NEVER_HEARD,
    WELL,
    /** Nothing for over half an hour. */
    SILENT,
    /** Its figures have not moved for six hours; real air does. */
    STUCK
}
