package elvaro.server.shared;

import java.util.UUID;

/** A row with facts that an inspector is shown. */
public interface InspectedRow {
    UUID id();

    /** What it is called in the record. */
    String inspectedName();

    /** Why it is being changed; empty where nobody was asked. */
    default String why() {
        return "";
    }

    /** Whether that it is there, or is gone, is a change of its own, as it has no record to begin with. */
    default boolean isToldWhenAdded() {
        return false;
    }
}
