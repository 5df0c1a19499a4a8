package elvaro.core.ledger;

import java.time.Instant;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * One entry of a piece's log, as far as the ledger is concerned.
 *
 * @param id the entry
 * @param corrects the entry this one stands in for, or null
 * @param kind what happened
 * @param at when it happened
 * @param grams what the scale showed, coat and all; 0 where nothing was weighed
 * @param stream the pile, for {@link LogFactKind#PILE} only
 * @param steaks how many the container held, of the pile of steaks only; 0 for ends and roasts, absent where nobody counted
 * @param estimated whether there was no scale: such a weight counts in no figure
 * @param cause why it was thrown away, of what is thrown away only; absent where nobody said
 */
public record LogFact(
        UUID id,
        @Nullable UUID corrects,
        LogFactKind kind,
        Instant at,
        int grams,
        @Nullable Stream stream,
        @Nullable Integer steaks,
        @Nullable DiscardCause cause,
        boolean estimated) {

    public LogFact {
        if (steaks != null && stream != Stream.STEAK && kind != LogFactKind.COUNTED) {
            throw new IllegalArgumentException("Only the pile of steaks is counted");
        }
        if (estimated && kind != LogFactKind.PULLED) {
            throw new IllegalArgumentException("Only the weight at the pull may be estimated");
        }
        if (cause != null && stream != Stream.DISCARD && kind != LogFactKind.CUT_AWAY) {
            throw new IllegalArgumentException("Only what is thrown away has a cause");
        }
    }

    /** One that counts no steaks and throws nothing away. */
    public LogFact(UUID id, @Nullable UUID corrects, LogFactKind kind, Instant at, int grams, @Nullable Stream stream) {
        this(id, corrects, kind, at, grams, stream, null, null, false);
    }

    /** What an entry says. */
    public enum LogFactKind {
        /** The piece on the scale while it hangs. */
        WEIGHED,
        /** A coat or seal put on: the weight of the coat. */
        COAT_ON,
        /** The coat or seal taken off: the weight of the coat as it came off. */
        COAT_OFF,
        /** A slice taken before the pull. */
        WITHDRAWN,
        /** A bad part cut out and thrown away before the pull. */
        CUT_AWAY,
        /** Taken down: the aged weight, with whatever coat is still on. */
        PULLED,
        /** Weighed again without wrap and string, once it was opened: the aged weight from now on. */
        UNWRAPPED,
        /** One container of one pile at the bench. */
        PILE,
        /** Steaks counted and not weighed. */
        COUNTED,
        /** Hung or laid on ice without a scale: its green weight is an estimate. */
        GREEN_ESTIMATED,
        /** Looked at and smelled; what was seen stands elsewhere under the same id. */
        LOOKED,
        /** The same, and its membrane was found leaking. */
        LEAKED,
        TURNED,
        /** Tied or racked anew. */
        RETIED,
        /** Its membrane sealed again, or replaced. */
        RESEALED,
        /** Unwrapped, to rest in the cold. */
        RESTED,
        /** Folds and cuts trimmed even, and what came off not weighed. */
        TRIMMED,
        /** Given a treatment; which one stands elsewhere under the same id. */
        TREATED,
        /** A step of a treatment done. */
        STEP_DONE,
        /** Hung after something was done to it for days. */
        HUNG,
        /** Hung in another chamber. */
        MOVED,
        /** A batch taken apart: each of it is a piece of its own from now on. */
        APART,
        /** Words only. */
        NOTE,
        /** The bench was closed. */
        CLOSED,
        /** The bench was opened again. */
        REOPENED,
        /** Takes back the entry it corrects and puts nothing in its place. */
        TAKEN_BACK;

        /** Whether it takes something off the piece before the pull. */
        public boolean takes() {
            return this == WITHDRAWN || this == CUT_AWAY;
        }

        /** Whether an entry of this kind carries a weight. */
        public boolean weighs() {
            return this == WEIGHED
                    || this == COAT_ON
                    || this == COAT_OFF
                    || this == WITHDRAWN
                    || this == CUT_AWAY
                    || this == PULLED
                    || this == UNWRAPPED
                    || this == PILE;
        }
    }
}
