package elvaro.server.forecast;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import elvaro.core.cost.LoadHistory;
import elvaro.core.cost.LoadHistory.Stay;
import elvaro.core.cost.PieceCost;
import elvaro.core.cost.PieceCost.Spent;
import elvaro.core.cost.SteakCost;
import elvaro.core.cut.Cut;
import elvaro.core.ledger.Ledger;
import elvaro.core.ledger.LogFact;
import elvaro.core.ledger.PieceLog;
import elvaro.core.trial.Facts;
import elvaro.server.chamber.Chamber;
import elvaro.server.chamber.ChamberService;
import elvaro.server.piece.FactRow;
import elvaro.server.piece.FinishedLine;
import elvaro.server.piece.LogReader;
import elvaro.server.piece.LogReader.CloserRow;
import elvaro.server.piece.Piece;
import elvaro.server.piece.PieceLogs;
import elvaro.server.piece.PieceReader;
import elvaro.server.piece.PieceState;
import elvaro.server.settings.HouseClock;
import elvaro.server.settings.WorkshopService;
import elvaro.server.settings.WorkshopSettings;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Every finished piece that hung by itself, with what its log and its chamber say of it. Made for tens of thousands: rows are
 * read as values, and what a log said is kept in memory under its version, as {@link PieceLogs} does.
 */
@Service
@Transactional(readOnly = true)
public class FinishedPieces {
    private static final int MOST_KEPT = 100_000;
    private static final int READ_AT_ONCE = 1_000;

    /** From so many on that were not read yet, what is kept of the house is read at once. */
    private static final int MANY = 50;

    /** A log as it was at a version. */
    record FinishedKey(UUID pieceId, int logVersion, int green) {}

    /** What a closed log says. */
    record ClosedLog(
            Ledger ledger,
            int steaks,
            Instant pulledAt,
            @Nullable UUID closedBy) {}

    /** By log; nothing where it has no figures. */
    private final Cache<FinishedKey, Optional<ClosedLog>> known =
            Caffeine.newBuilder().maximumSize(MOST_KEPT).build();

    private final KeptFigures kept;
    private final PieceReader pieces;
    private final LogReader entries;
    private final PieceLogs logs;
    private final ChamberService chambers;
    private final WorkshopService workshops;

    FinishedPieces(
            KeptFigures kept,
            PieceReader pieces,
            LogReader entries,
            PieceLogs logs,
            ChamberService chambers,
            WorkshopService workshops) {
        this.kept = kept;
        this.pieces = pieces;
        this.entries = entries;
        this.logs = logs;
        this.chambers = chambers;
        this.workshops = workshops;
    }

    /**
     * A finished piece.
     *
     * @param pulledOn by the workshop's calendar
     * @param days hung
     * @param closedBy who closed the bench
     */
    public record FinishedPiece(
            FinishedLine line,
            Chamber chamber,
            LocalDate pulledOn,
            long days,
            Ledger ledger,
            SteakCost steak,
            @Nullable UUID closedBy) {

        public UUID id() {
            return line.id();
        }

        public Cut cut() {
            return line.cut();
        }

        /** As a comparison takes it. */
        public Facts facts(String treatment) {
            return new Facts(
                    line.tag(),
                    String.valueOf(line.lotNumber()),
                    line.supplier(),
                    line.grade(),
                    line.cut().name(),
                    line.boneIn(),
                    line.fatCoverMm(),
                    line.greenGrams(),
                    false,
                    line.hungOn(),
                    (int) days,
                    chamber.name(),
                    line.method(),
                    treatment,
                    line.benchOrder() == null ? "" : line.benchOrder().label(),
                    List.of());
        }
    }

    /** Houses with so many finished pieces at least, the largest first. */
    public List<UUID> largestHouses(int pieces, int houses) {
        return kept.largest(pieces, houses);
    }

    /** The last hung first. */
    public List<FinishedPiece> all() {
        HouseClock house = workshops.mine().clock();
        WorkshopSettings settings = workshops.settings();
        Map<UUID, Chamber> byId = chambers.all().stream().collect(Collectors.toMap(Chamber::id, Function.identity()));
        List<FinishedLine> all = pieces.finishedLines();
        Map<UUID, ClosedLog> told = told(all);
        // One whose log says no pull is a fault of its own, and no reason to show nobody anything.
        List<FinishedLine> lines =
                all.stream().filter(line -> told.containsKey(line.id())).toList();
        Map<UUID, Stay> own = new HashMap<>();
        Map<UUID, List<Stay>> byChamber = stillThere(house);
        for (FinishedLine line : lines) {
            LocalDate pulled = house.day(told.get(line.id()).pulledAt());
            Stay stay = Stay.between(line.greenGrams(), line.hungOn(), pulled);
            own.put(line.id(), stay);
            byChamber
                    .computeIfAbsent(line.chamberId(), chamber -> new ArrayList<>())
                    .add(stay);
        }
        Map<UUID, LoadHistory> histories = byChamber.entrySet().stream()
                .collect(Collectors.toMap(Map.Entry::getKey, each -> new LoadHistory(each.getValue())));
        PaidShares paid = new PaidShares(pieces.cutFromAll());
        return lines.stream()
                .map(line -> finished(
                        line,
                        told.get(line.id()),
                        own.get(line.id()),
                        byId.get(line.chamberId()),
                        histories.get(line.chamberId()),
                        paid,
                        settings))
                .toList();
    }

    private static FinishedPiece finished(
            FinishedLine line,
            ClosedLog told,
            Stay stay,
            Chamber chamber,
            LoadHistory history,
            PaidShares paid,
            WorkshopSettings settings) {
        PieceCost cost = PieceCost.of(
                new Spent(paid.of(line), line.consumablesMinor(), settings.labour(), told.steaks()),
                chamber.rate(settings.tariffMinorPerKwh()),
                stay,
                history,
                told.ledger(),
                settings.byProductPrices());
        return new FinishedPiece(line, chamber, stay.to(), cost.days(), told.ledger(), cost.steak(), told.closedBy());
    }

    /** What shares or shared the chambers and is not cut, by chamber. */
    private Map<UUID, List<Stay>> stillThere(HouseClock house) {
        List<Piece> there =
                pieces.inState(EnumSet.of(PieceState.HANGING, PieceState.PULLED, PieceState.PARTED)).stream()
                        .filter(piece ->
                                piece.hungOn().isPresent() && piece.chamber().isPresent())
                        .filter(piece -> !piece.isTakenApart()) // What it became hung there as long.
                        .toList();
        Map<UUID, PieceLog> read = logs.of(there);
        LocalDate today = workshops.today();
        Map<UUID, List<Stay>> stays = new HashMap<>();
        for (Piece piece : there) {
            LocalDate from = piece.hungOn().orElseThrow();
            LocalDate to = read.get(piece.id())
                    .pull()
                    .map(pull -> house.day(pull.at()))
                    .orElse(today);
            stays.computeIfAbsent(piece.chamber().map(Chamber::id).orElseThrow(), chamber -> new ArrayList<>())
                    .add(Stay.between(piece.greenGrams(), from, to));
        }
        return stays;
    }

    private Map<UUID, ClosedLog> told(List<FinishedLine> lines) {
        if (unread(lines).size() > MANY) {
            known.putAll(kept.all());
        }
        List<FinishedLine> unread = unread(lines);
        for (int from = 0; from < unread.size(); from += READ_AT_ONCE) {
            Map<FinishedKey, Optional<ClosedLog>> fresh =
                    read(unread.subList(from, Math.min(unread.size(), from + READ_AT_ONCE)));
            kept.keep(fresh);
            known.putAll(fresh);
        }
        Map<UUID, ClosedLog> told = new HashMap<>();
        for (FinishedLine line : lines) {
            Optional<ClosedLog> log = known.getIfPresent(key(line));
            if (log != null) {
                log.ifPresent(each -> told.put(line.id(), each));
            }
        }
        return told;
    }

    private List<FinishedLine> unread(List<FinishedLine> lines) {
        return lines.stream()
                .filter(line -> known.getIfPresent(key(line)) == null)
                .toList();
    }

    /** What the logs themselves say. */
    private Map<FinishedKey, Optional<ClosedLog>> read(List<FinishedLine> lines) {
        List<UUID> ids = lines.stream().map(FinishedLine::id).toList();
        Map<UUID, List<LogFact>> facts = entries.factsOf(ids).stream()
                .collect(Collectors.groupingBy(
                        FactRow::pieceId, Collectors.mapping(FactRow::fact, Collectors.toList())));
        Map<UUID, UUID> closers = entries.closersOf(ids).stream()
                .collect(Collectors.toMap(CloserRow::pieceId, CloserRow::accountId, (first, last) -> last));
        Map<FinishedKey, Optional<ClosedLog>> read = new HashMap<>();
        for (FinishedLine line : lines) {
            PieceLog log = PieceLog.of(line.greenGrams(), facts.getOrDefault(line.id(), List.of()));
            read.put(
                    key(line),
                    log.pull()
                            .filter(pull -> isMeasured(log))
                            .map(pull -> new ClosedLog(
                                    log.ledger(), log.steaks().orElse(0), pull.at(), closers.get(line.id()))));
        }
        return read;
    }

    /**
     * Lays what is kept beside what the logs say; what differs is made anew.
     *
     * @return tags of pieces whose kept figures were others than those of their log
     */
    public List<String> keptOtherwise() {
        Map<FinishedKey, Optional<ClosedLog>> all = kept.all();
        List<FinishedLine> lines = pieces.finishedLines().stream()
                .filter(line -> all.containsKey(key(line)))
                .toList();
        List<String> otherwise = new ArrayList<>();
        for (int from = 0; from < lines.size(); from += READ_AT_ONCE) {
            List<FinishedLine> some = lines.subList(from, Math.min(lines.size(), from + READ_AT_ONCE));
            Map<FinishedKey, Optional<ClosedLog>> read = read(some);
            some.stream()
                    .filter(line -> !all.get(key(line)).equals(read.get(key(line))))
                    .forEach(line -> {
                        otherwise.add(line.tag());
                        kept.forget(line.id());
                    });
        }
        return otherwise;
    }

    /** What nobody weighed, at the pull or on the piles, has no figures. */
    private static boolean isMeasured(PieceLog log) {
        return !log.isEstimated() && log.ledger().piles().total() + log.cutAway() > 0;
    }

    private static FinishedKey key(FinishedLine line) {
        return new FinishedKey(line.id(), line.logVersion(), line.greenGrams());
    }
}
