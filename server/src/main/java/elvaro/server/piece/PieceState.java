package elvaro.server.piece;

import elvaro.core.ledger.LogFact.Kind;
import java.util.EnumSet;
import java.util.Set;

/** Where a piece is on its way. Kept beside the log because it guards what may be written next. */
public enum PieceState {
    /** Something is done to it for days before it hangs. */
    WAITING(Kind.TREATED, Kind.STEP_DONE, Kind.NOTE, Kind.HUNG),
    HANGING(
            Kind.WEIGHED,
            Kind.COAT_ON,
            Kind.COAT_OFF,
            Kind.WITHDRAWN,
            Kind.CUT_AWAY,
            Kind.LOOKED,
            Kind.LEAKED,
            Kind.TURNED,
            Kind.RETIED,
            Kind.RESEALED,
            Kind.RESTED,
            Kind.TRIMMED,
            Kind.TREATED,
            Kind.STEP_DONE,
            Kind.MOVED,
            Kind.PULLED,
            Kind.NOTE),
    PULLED(
            Kind.COAT_OFF,
            Kind.LOOKED,
            Kind.LEAKED,
            Kind.RESTED,
            Kind.UNWRAPPED,
            Kind.PILE,
            Kind.TREATED,
            Kind.STEP_DONE,
            Kind.NOTE,
            Kind.CLOSED),
    CUT(Kind.TREATED, Kind.STEP_DONE, Kind.NOTE, Kind.REOPENED),
    /** Broken down: its parts are pieces of their own. */
    PARTED(Kind.NOTE),
    FRESH(Kind.NOTE);

    private final Set<Kind> next;

    PieceState(Kind first, Kind... more) {
        next = EnumSet.of(first, more);
    }

    public boolean takes(Kind kind) {
        return next.contains(kind);
    }

    /** Before the bench is closed anything written so far may be corrected; after it, only words. */
    public boolean allowsCorrectionOf(Kind kind) {
        return kind != Kind.CLOSED
                && kind != Kind.REOPENED
                && kind != Kind.MOVED
                && kind != Kind.HUNG
                && (this == HANGING || this == PULLED || takes(kind));
    }
}
