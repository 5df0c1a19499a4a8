package elvaro.server.forecast;

import elvaro.core.cost.Labour;
import elvaro.core.cost.LandedCost.ChamberRate;
import elvaro.core.cost.LoadHistory;
import elvaro.core.cost.LoadHistory.Stay;
import elvaro.core.cost.PieceCost;
import elvaro.core.cost.PieceCost.Spent;
import elvaro.core.ledger.Ledger;
import elvaro.core.ledger.PieceLog;
import elvaro.core.yield.Section;
import elvaro.server.chamber.Chamber;
import elvaro.server.forecast.Forecasts.Forecaster;
import elvaro.server.piece.ChamberStays;
import elvaro.server.piece.ChamberStays.StayRow;
import elvaro.server.piece.Piece;
import elvaro.server.piece.PieceLogs;
import elvaro.server.piece.PieceReader;
import elvaro.server.piece.PieceState;
import elvaro.server.settings.HouseClock;
import elvaro.server.settings.WorkshopService;
import elvaro.server.settings.WorkshopSettings;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.UUID;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Reads pieces with their logs and companions and has core work out the figures: three queries for any number. */
@Service
@Transactional(readOnly = true)
public class FiguresService {
    /** The longest target there is; bounds the search for companions. */
    private static final int LONGEST_STAY_DAYS = 400;

    private final PieceReader pieces;
    private final ChamberStays stays;
    private final PieceLogs logs;
    private final Forecasts forecasts;
    private final WorkshopService workshops;
    private final Clock clock;

    FiguresService(
            PieceReader pieces,
            ChamberStays stays,
            PieceLogs logs,
            Forecasts forecasts,
            WorkshopService workshops,
            Clock clock) {
        this.pieces = pieces;
        this.stays = stays;
        this.logs = logs;
        this.forecasts = forecasts;
        this.workshops = workshops;
        this.clock = clock;
    }

    public Figures of(Piece piece) {
        return of(List.of(piece)).get(0);
    }

    /** In the order given. */
    public List<Figures> of(List<Piece> asked) {
        Map<UUID, PieceLog> read = logs.of(asked);
        WorkshopSettings settings = workshops.settings();
        HouseClock house = workshops.mine().clock();
        Map<UUID, HungTogether> together = together(asked, house);
        PaidShares paid = new PaidShares(
                pieces.cutFrom(asked.stream().map(piece -> piece.lot().id()).collect(Collectors.toSet())));
        Forecaster forecaster = forecasts.forecaster();
        Instant now = clock.instant();
        return asked.stream()
                .map(piece -> {
                    PieceLog log = read.get(piece.id());
                    Supplier<@Nullable Ahead> ahead = forecaster.later(piece, log);
                    Ledger ledger = log.ledger();
                    PieceCost cost = cost(piece, log, paid.of(piece), settings, together);
                    Section section = section(piece, ledger, ahead, house, now);
                    return new Figures(piece, log, ledger, section, cost.landed(), cost.steak(), cost.perDay(), ahead);
                })
                .toList();
    }

    /** The picture of a piece: as the bench found it, else as it is expected to be now. */
    public static Section section(
            Piece piece, Ledger ledger, Supplier<@Nullable Ahead> expected, HouseClock house, Instant now) {
        if (piece.state() == PieceState.CUT) {
            return Section.found(ledger);
        }
        Ahead ahead = expected.get();
        if (piece.state() != PieceState.HANGING || ahead == null) {
            return expected(ledger, ahead);
        }
        double day = Forecasts.dayOf(now, piece.hungAt(house).orElseThrow());
        return ahead.trimModel().after(ahead.at(day).lost()).part(ledger.left());
    }

    /** What is to be expected of a piece of this weight. */
    static Section expected(Ledger ledger, @Nullable Ahead ahead) {
        if (ahead == null) {
            double now = (double) ledger.aged() / ledger.green();
            return new Section(now, 0, 0, 0, 0, now);
        }
        double lost = Math.max(0, ledger.lostOfRest());
        return ahead.trimModel().after(lost).part(ledger.left());
    }

    private static ChamberRate rate(Piece piece, WorkshopSettings settings) {
        return piece.chamber()
                .map(chamber -> chamber.rate(settings.tariffMinorPerKwh()))
                .orElse(new ChamberRate(0, 1, 0, 0));
    }

    /** What hung in one chamber, by piece, and as a whole. */
    private record HungTogether(Map<UUID, Stay> byPiece, LoadHistory history) {}

    private static PieceCost cost(
            Piece piece, PieceLog log, OptionalDouble paid, WorkshopSettings settings, Map<UUID, HungTogether> stays) {
        HungTogether together =
                piece.chamber().map(chamber -> stays.get(chamber.id())).orElse(null);
        return PieceCost.of(
                new Spent(
                        paid,
                        piece.consumablesMinor(),
                        piece.state() == PieceState.CUT ? settings.labour() : Labour.NONE,
                        log.steaks().orElse(0)),
                rate(piece, settings),
                together == null ? null : together.byPiece().get(piece.id()),
                together == null ? null : together.history(),
                log.ledger(),
                settings.byProductPrices());
    }

    /** Chamber → piece → stay, for every chamber the asked pieces hang or hung in. */
    private Map<UUID, HungTogether> together(List<Piece> asked, HouseClock house) {
        Set<UUID> chambers = asked.stream()
                .flatMap(piece -> piece.chamber().stream())
                .map(Chamber::id)
                .collect(Collectors.toSet());
        Optional<LocalDate> first =
                asked.stream().flatMap(piece -> piece.hungOn().stream()).min(Comparator.naturalOrder());
        if (chambers.isEmpty() || first.isEmpty()) {
            return Map.of();
        }
        LocalDate today = house.day(clock.instant());
        Map<UUID, Map<UUID, Stay>> byChamber =
                stays.in(chambers, first.get().minusDays(LONGEST_STAY_DAYS), today).stream()
                        .collect(Collectors.groupingBy(
                                StayRow::chamberId,
                                Collectors.toMap(StayRow::pieceId, row -> stay(row, house, today))));
        return byChamber.entrySet().stream()
                .collect(Collectors.toMap(
                        Map.Entry::getKey,
                        each -> new HungTogether(
                                each.getValue(), new LoadHistory(each.getValue().values()))));
    }

    private static Stay stay(StayRow row, HouseClock house, LocalDate today) {
        LocalDate to = row.pulledAt() == null ? today : house.day(row.pulledAt());
        return Stay.between(row.greenGrams(), row.hungOn(), to);
    }
}
