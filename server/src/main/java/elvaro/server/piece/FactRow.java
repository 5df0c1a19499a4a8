package elvaro.server.piece;

import elvaro.core.ledger.DiscardCause;
import elvaro.core.ledger.LogFact;
import elvaro.core.ledger.LogFact.LogFactKind;
import elvaro.core.ledger.Stream;
import java.time.Instant;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** A log entry read for its figures only. */
public record FactRow(
        UUID pieceId,
        UUID id,
        @Nullable UUID correctsId,
        LogFactKind kind,
        Instant happenedAt,
        int grams,
        @Nullable Stream stream,
        @Nullable Integer steaks,
        @Nullable DiscardCause cause,
        boolean estimated) {
    public LogFact fact() {
        return new LogFact(id, correctsId, kind, happenedAt, grams, stream, steaks, cause, estimated);
    }
}
