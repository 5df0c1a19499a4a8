package elvaro.server.tasting;

/** How far a tasting is. */
public enum TastingState {
    /** Set up; phones are told to wait. */
    PLANNED,
    /** Sheets are handed in. */
    OPEN,
    /** The key is known to all; nothing is taken in any more. */
    REVEALED,
    /** Given up before it was revealed. */
    DROPPED
}
