package elvaro.server.hanging;

import elvaro.core.keeping.EquivalentDays;
import elvaro.core.ledger.LogFact;
import elvaro.core.ledger.PieceLog;
import elvaro.core.schedule.DayNumber;
import elvaro.server.chamber.Chamber;
import elvaro.server.chamber.ChamberService;
import elvaro.server.forecast.ChamberHistories;
import elvaro.server.forecast.ChamberHistory;
import elvaro.server.forecast.Forecasts;
import elvaro.server.piece.Piece;
import elvaro.server.piece.PieceLogs;
import elvaro.server.piece.PieceReader;
import elvaro.server.reading.RecordedAir;
import elvaro.server.settings.WorkshopService;
import elvaro.server.shared.Refusal;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Which piece hung where from when to when, and how old that made it. */
@Service
@Transactional(readOnly = true)
public class StayService {
    private final PieceReader pieces;
    private final PieceLogs logs;
    private final ChamberHistories moves;
    private final ChamberService chambers;
    private final WorkshopService workshops;
    private final RecordedAir air;
    private final Clock clock;

    StayService(
            PieceReader pieces,
            PieceLogs logs,
            ChamberHistories moves,
            ChamberService chambers,
            WorkshopService workshops,
            RecordedAir air,
            Clock clock) {
        this.pieces = pieces;
        this.logs = logs;
        this.moves = moves;
        this.chambers = chambers;
        this.workshops = workshops;
        this.air = air;
        this.clock = clock;
    }

    /** A stay of a piece in a chamber, to the pull or to now. */
    public record StayIn(Piece piece, Chamber chamber, Instant from, Instant to) {}

    /** Where a piece hung, one chamber after another; nowhere for one set aside fresh. */
    public List<StayIn> stays(UUID pieceId) {
        return stays(List.of(pieces.find(pieceId).orElseThrow(() -> Refusal.notFound("piece"))));
    }

    /** The same of many, by piece; pieces that hung nowhere are left out. */
    public Map<UUID, List<StayIn>> stays(Collection<UUID> pieceIds) {
        return stays(pieces.findAll(pieceIds)).stream()
                .collect(Collectors.groupingBy(stay -> stay.piece().id()));
    }

    /** Every stay of any piece in a chamber that began before a moment. */
    public List<StayIn> staysIn(UUID chamberId, LocalDate hungBefore) {
        return stays(pieces.everIn(chamberId, hungBefore)).stream()
                .filter(stay -> stay.chamber().id().equals(chamberId))
                .toList();
    }

    private List<StayIn> stays(List<Piece> found) {
        Map<UUID, PieceLog> read = logs.of(found);
        Instant now = clock.instant();
        List<StayIn> stays = new ArrayList<>();
        for (Piece piece : found) {
            if (piece.chamber().isEmpty() || piece.hungOn().isEmpty()) {
                continue;
            }
            PieceLog log = read.get(piece.id());
            Instant end = log.pull().map(LogFact::at).orElse(now);
            List<ChamberHistory.ChamberStay> where = moves.of(piece, log).stays();
            for (int index = 0; index < where.size(); index++) {
                Instant to = index + 1 < where.size() ? where.get(index + 1).from() : end;
                stays.add(new StayIn(
                        piece, where.get(index).chamber(), where.get(index).from(), to));
            }
        }
        return stays;
    }

    /**
     * How old a piece that hangs in a chamber is, by the calendar and by the cold it was kept in.
     *
     * @param equivalentDays at 0 °C, in the recorded air where there is any
     */
    public record AgeView(UUID id, String tag, String cutName, long dayNumber, double equivalentDays) {}

    /** The ages of what hangs in a chamber now, the oldest first. */
    public List<AgeView> ages(UUID chamberId) {
        chambers.find(chamberId).orElseThrow(() -> Refusal.notFound("chamber"));
        LocalDate today = workshops.today();
        RecordedAir.WorkshopAir recorded = air.now();
        List<Piece> inside = pieces.hangingIn(chamberId);
        Map<UUID, PieceLog> read = logs.of(inside);
        return inside.stream()
                .map(piece -> {
                    ChamberHistory where = moves.of(piece, read.get(piece.id()));
                    double days = Math.max(0, Forecasts.dayOf(clock.instant(), where.hungAt()));
                    return new AgeView(
                            piece.id(),
                            piece.tag(),
                            piece.cut().name(),
                            DayNumber.of(piece.hungOn().orElseThrow(), today),
                            EquivalentDays.at(where.climate(recorded), days));
                })
                .sorted(Comparator.comparing(AgeView::equivalentDays).reversed())
                .toList();
    }
}
