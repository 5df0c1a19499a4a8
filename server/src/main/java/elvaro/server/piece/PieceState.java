package elvaro.server.piece;

import elvaro.core.ledger.LogFact.LogFactKind;
import java.util.EnumSet;
import java.util.Set;

/** Where a piece is on its way. Kept beside the log because it guards what may be written next. */
public enum PieceState {
    /** Something is done to it for days before it hangs. */
    WAITING(LogFactKind.TREATED, LogFactKind.STEP_DONE, LogFactKind.NOTE, LogFactKind.HUNG),
    HANGING(
            LogFactKind.GREEN_ESTIMATED,
            LogFactKind.WEIGHED,
            LogFactKind.COAT_ON,
            LogFactKind.COAT_OFF,
            LogFactKind.WITHDRAWN,
            LogFactKind.CUT_AWAY,
            LogFactKind.LOOKED,
            LogFactKind.LEAKED,
            LogFactKind.TURNED,
            LogFactKind.RETIED,
            LogFactKind.RESEALED,
            LogFactKind.RESTED,
            LogFactKind.TRIMMED,
            LogFactKind.TREATED,
            LogFactKind.STEP_DONE,
            LogFactKind.MOVED,
            LogFactKind.APART,
            LogFactKind.PULLED,
            LogFactKind.NOTE),
    PULLED(
            LogFactKind.COAT_OFF,
            LogFactKind.LOOKED,
            LogFactKind.LEAKED,
            LogFactKind.RESTED,
            LogFactKind.UNWRAPPED,
            LogFactKind.PILE,
            LogFactKind.COUNTED,
            LogFactKind.TREATED,
            LogFactKind.STEP_DONE,
            LogFactKind.NOTE,
            LogFactKind.CLOSED),
    CUT(LogFactKind.COUNTED, LogFactKind.TREATED, LogFactKind.STEP_DONE, LogFactKind.NOTE, LogFactKind.REOPENED),
    /** Broken down: its parts are pieces of their own. */
    PARTED(LogFactKind.NOTE),
    /** Set aside as it was cut; it goes to the bench like any other. */
    FRESH(LogFactKind.LOOKED, LogFactKind.PULLED, LogFactKind.NOTE);

    private final Set<LogFactKind> next;

    PieceState(LogFactKind first, LogFactKind... more) {
        next = EnumSet.of(first, more);
    }

    public boolean takes(LogFactKind kind) {
        return next.contains(kind);
    }

    /** Before the bench is closed anything written so far may be corrected; after it, only words. */
    public boolean allowsCorrectionOf(LogFactKind kind) {
        return kind != LogFactKind.CLOSED
                && kind != LogFactKind.REOPENED
                && kind != LogFactKind.MOVED
                && kind != LogFactKind.HUNG
                && kind != LogFactKind.APART
                && (this == HANGING || this == PULLED || takes(kind));
    }
}
