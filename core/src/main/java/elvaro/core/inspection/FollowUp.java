package elvaro.core.inspection;

import elvaro.core.ledger.LogFact;
import elvaro.core.ledger.LogFact.LogFactKind;
import elvaro.core.ledger.PieceLog;
import elvaro.core.schedule.Work;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Work that a look made and nobody has done yet. Only the last look counts: it says how the piece is.
 *
 * @param work what is to be done
 * @param since when it became due; may lie ahead
 */
public record FollowUp(Work work, Instant since) {
    /** What is unwrapped rests this long before it is smelled again. Common practice, no source. */
    private static final Duration REST = Duration.ofDays(1);

    /**
     * @param log of a piece that hangs
     * @param verdict of its last look that stands, if it was looked at
     */
    public static List<FollowUp> of(PieceLog log, Optional<LookVerdict> verdict) {
        Optional<Instant> looked = log.lastLook().map(LogFact::at);
        List<FollowUp> open = new ArrayList<>();
        if (looked.isPresent() && verdict.isPresent()) {
            Instant at = looked.get();
            verdict.get().work().stream()
                    .filter(work -> !done(work, at, log))
                    .forEach(work -> open.add(new FollowUp(work, at)));
        }
        restsUntil(log).ifPresent(until -> open.add(new FollowUp(Work.LOOK, until)));
        return open;
    }

    /** When a piece that was unwrapped to rest is to be smelled again; empty once it was. */
    public static Optional<Instant> restsUntil(PieceLog log) {
        Optional<Instant> looked = log.lastLook().map(LogFact::at);
        return log.last(LogFactKind.RESTED)
                .map(LogFact::at)
                .filter(rested -> looked.isEmpty() || rested.isAfter(looked.get()))
                .map(rested -> rested.plus(REST));
    }

    private static boolean done(Work work, Instant since, PieceLog log) {
        return work.shownBy().stream()
                .flatMap(kind -> log.last(kind).stream())
                .anyMatch(fact -> fact.at().isAfter(since));
    }
}
