package elvaro.server.forecast;

import elvaro.core.air.Air;
import elvaro.core.air.Climate;
import elvaro.core.drying.Leak;
import elvaro.core.ledger.LogFact;
import elvaro.core.ledger.LogFact.LogFactKind;
import elvaro.core.ledger.PieceLog;
import elvaro.server.chamber.Chamber;
import elvaro.server.piece.Piece;
import elvaro.server.piece.PieceMove;
import elvaro.server.reading.RecordedAir;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;

/**
 * The chambers a piece hung in, one after another.
 *
 * @param hungAt when its days began
 * @param stays the first one from the hanging on
 */
public record ChamberHistory(Instant hungAt, List<ChamberStay> stays) {

    /** In a chamber from a moment until the next stay. */
    public record ChamberStay(Instant from, Chamber chamber) {}

    /** @param moves of the piece, by the entry that made each */
    static ChamberHistory of(Piece piece, Instant hungAt, PieceLog log, Map<UUID, PieceMove> moves) {
        List<ChamberStay> stays = new ArrayList<>();
        for (LogFact fact : log.standing()) {
            PieceMove move = fact.kind() == LogFactKind.MOVED ? moves.get(fact.id()) : null;
            if (move != null) {
                if (stays.isEmpty()) {
                    stays.add(new ChamberStay(hungAt, move.from()));
                }
                stays.add(new ChamberStay(fact.at(), move.to()));
            }
        }
        if (stays.isEmpty()) {
            stays.add(new ChamberStay(hungAt, piece.chamber().orElseThrow()));
        }
        return new ChamberHistory(hungAt, List.copyOf(stays));
    }

    /** What the air is worked out from; two that are equal give the same climate. */
    List<Air> set() {
        return stays.stream().map(stay -> stay.chamber().air()).toList();
    }

    List<RecordedAir.Version> versions(RecordedAir.WorkshopAir recorded) {
        return stays.stream().map(stay -> recorded.version(stay.chamber().id())).toList();
    }

    /** The air it hung in, each chamber's for as long as it was there. */
    public Climate climate(RecordedAir.WorkshopAir recorded) {
        return climateAsOf(recorded, Instant.MAX);
    }

    /**
     * The same as it was known at a moment.
     *
     * @param at not before the hanging
     */
    Climate climateAsOf(RecordedAir.WorkshopAir recorded, Instant at) {
        Climate climate = recorded.climateAsOf(stays.get(0).chamber(), hungAt, at);
        for (ChamberStay stay : stays.subList(1, stays.size())) {
            if (!stay.from().isAfter(at)) {
                double day = Math.max(0, Forecasts.dayOf(stay.from(), hungAt));
                climate = climate.then(day, recorded.climateAsOf(stay.chamber(), hungAt, at));
            }
        }
        return climate;
    }

    /** When its membrane leaked, in days from the hanging. */
    List<Leak> leaks(PieceLog log) {
        return log.leaks().stream()
                .map(span -> {
                    double from = Math.max(0, Forecasts.dayOf(span.from(), hungAt));
                    double to =
                            span.to().map(end -> Forecasts.dayOf(end, hungAt)).orElse(Double.POSITIVE_INFINITY);
                    return new Leak(from, Math.max(to, Math.nextUp(from)));
                })
                .toList();
    }
}
