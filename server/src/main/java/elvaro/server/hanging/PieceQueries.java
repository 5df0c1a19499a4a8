package elvaro.server.hanging;

import static elvaro.core.working.Quantity.share;

import elvaro.core.forecast.Forecast;
import elvaro.core.ledger.LogFact.LogFactKind;
import elvaro.core.ledger.PieceLog;
import elvaro.core.ledger.PieceLog.NetWeight;
import elvaro.core.plan.OtherDay;
import elvaro.core.schedule.DayNumber;
import elvaro.core.working.Working;
import elvaro.server.account.AccountService;
import elvaro.server.forecast.Ahead;
import elvaro.server.forecast.AheadView;
import elvaro.server.forecast.Figures;
import elvaro.server.forecast.FiguresService;
import elvaro.server.forecast.Forecasts;
import elvaro.server.forecast.Forecasts.Forecaster;
import elvaro.server.forecast.OutlookService;
import elvaro.server.forecast.PiecePlans;
import elvaro.server.forecast.ReachView;
import elvaro.server.hanging.PieceView.EntryView;
import elvaro.server.hanging.PieceView.WeighingView;
import elvaro.server.lot.DecisionService;
import elvaro.server.lot.LotService;
import elvaro.server.piece.LogEntry;
import elvaro.server.piece.LogReader;
import elvaro.server.piece.Piece;
import elvaro.server.piece.PieceLogs;
import elvaro.server.piece.PieceReader;
import elvaro.server.piece.PieceState;
import elvaro.server.settings.HouseClock;
import elvaro.server.settings.WorkshopService;
import elvaro.server.shared.ChainOrigins;
import elvaro.server.shared.Refusal;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.data.domain.Page;
import org.springframework.data.domain.PageImpl;
import org.springframework.data.domain.Pageable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Reading pieces as people see them. */
@Service
@Transactional(readOnly = true)
public class PieceQueries {
    private static final int WEEK = 7;

    private final PieceReader pieces;
    private final LogReader entries;
    private final PieceLogs logs;
    private final ChainOrigins origins;
    private final FiguresService figures;
    private final DecisionService decisions;
    private final AccountService accounts;
    private final LotService lots;
    private final WorkshopService workshops;
    private final OutlookService outlooks;
    private final PiecePlans plans;
    private final Forecasts forecasts;
    private final Neighbours neighbours;
    private final Clock clock;

    PieceQueries(
            PieceReader pieces,
            LogReader entries,
            PieceLogs logs,
            ChainOrigins origins,
            FiguresService figures,
            DecisionService decisions,
            AccountService accounts,
            LotService lots,
            WorkshopService workshops,
            OutlookService outlooks,
            PiecePlans plans,
            Forecasts forecasts,
            Neighbours neighbours,
            Clock clock) {
        this.pieces = pieces;
        this.entries = entries;
        this.logs = logs;
        this.origins = origins;
        this.figures = figures;
        this.decisions = decisions;
        this.accounts = accounts;
        this.lots = lots;
        this.workshops = workshops;
        this.outlooks = outlooks;
        this.plans = plans;
        this.forecasts = forecasts;
        this.neighbours = neighbours;
        this.clock = clock;
    }

    /** A piece with its log read, for the first screen. */
    public record HangingPiece(Piece piece, PieceCard card, PieceLog log) {}

    public PieceView view(UUID id) {
        Piece piece = find(id);
        return view(piece, figures.of(piece));
    }

    private PieceView view(Piece piece, Figures worked) {
        var settings = workshops.settings();
        PieceCard card = card(worked);
        List<Working> workings = new ArrayList<>(worked.ledger().workings());
        workings.add(worked.landed().working());
        workings.add(worked.steak().working());
        AheadView ahead = outlooks.view(worked).orElse(null);
        Optional.ofNullable(ahead).map(AheadView::workings).ifPresent(workings::addAll);
        return new PieceView(
                card,
                piece.version(),
                piece.lot().priceMinorPerKg(),
                piece.consumablesMinor(),
                piece.coating(),
                piece.benchOrder().orElse(null),
                perDay(worked),
                LedgerView.of(worked.ledger()),
                CostView.of(worked.landed(), worked.steak(), worked.ledger().green(), settings),
                neighbours.beside(piece),
                piece.chamber()
                        .flatMap(chest -> IceView.of(piece, pieces.loadOf(chest.id())))
                        .orElse(null),
                ahead,
                plans.of(piece.id()).map(plan -> plan.on(daysHung(worked))).orElse(null),
                weighings(worked),
                log(piece.id()),
                decisions.about(piece.lot().id(), piece.id()),
                workings);
    }

    /** What it lost a day until it was last weighed: of the days after that nothing is known, nor from an estimate. */
    private @Nullable Double perDay(Figures worked) {
        List<WeighingView> weighings = weighings(worked);
        double days =
                weighings.isEmpty() ? 0 : weighings.get(weighings.size() - 1).day();
        return days < 1 || worked.log().isEstimated() ? null : worked.ledger().shrink() / days;
    }

    public PieceCard card(Figures worked) {
        return cardsOf(List.of(worked)).get(0);
    }

    /** In the order given. */
    public List<PieceCard> cardsOf(List<Figures> worked) {
        HouseClock house = workshops.mine().clock();
        Instant now = clock.instant();
        return worked.stream()
                .map(each -> PieceCard.of(
                        each.piece(), each.log(), each.ledger(), each.section(), each.expected(), now, house))
                .toList();
    }

    /** Until the pull, or as it is planned. */
    private int daysHung(Figures worked) {
        Piece piece = worked.piece();
        HouseClock house = workshops.mine().clock();
        return worked.log()
                .pull()
                .map(pull -> (int) DayNumber.of(piece.hungOn().orElseThrow(), house.day(pull.at())))
                .orElse(piece.targetDays().orElse(0));
    }

    private List<WeighingView> weighings(Figures worked) {
        HouseClock house = workshops.mine().clock();
        return worked.piece()
                .hungAt(house)
                .map(hung -> worked.log().weighings().stream()
                        .map(net -> weighing(net, hung, worked.log()))
                        .toList())
                .orElse(List.of());
    }

    private static WeighingView weighing(NetWeight net, Instant hung, PieceLog log) {
        double day = Math.max(0, Forecasts.dayOf(net.at(), hung));
        return new WeighingView(net.entry(), net.at(), day, net.grams(), log.lostBy(net));
    }

    public Piece find(UUID id) {
        return pieces.find(id).orElseThrow(() -> Refusal.notFound("piece"));
    }

    /** What the house called its piles, those used most first. */
    public List<String> pileNames() {
        return entries.pileNames();
    }

    /** Every entry of a piece, in the order things happened. */
    public List<EntryView> log(UUID pieceId) {
        return logs(List.of(pieceId)).getOrDefault(pieceId, List.of());
    }

    /** Every entry of each piece that has any, by piece. */
    public Map<UUID, List<EntryView>> logs(Collection<UUID> pieceIds) {
        Map<UUID, String> names = accounts.names();
        List<LogEntry> all = entries.ofPieces(pieceIds);
        Set<UUID> replaced = PieceLog.replaced(all.stream().map(LogEntry::fact).toList());
        Map<UUID, String> came = origins.of(all.stream().map(LogEntry::id).toList());
        return all.stream()
                .collect(Collectors.groupingBy(
                        LogEntry::pieceId,
                        Collectors.mapping(
                                entry -> entryView(entry, names, replaced, came.get(entry.id())),
                                Collectors.toList())));
    }

    private static EntryView entryView(
            LogEntry entry, Map<UUID, String> names, Set<UUID> replaced, @Nullable String cameWith) {
        return new EntryView(
                entry.id(),
                entry.kind(),
                entry.stream(),
                entry.grams(),
                entry.steaks(),
                entry.cause(),
                entry.estimated(),
                entry.pile(),
                entry.untrimmed(),
                entry.words(),
                entry.happenedAt(),
                entry.recordedAt(),
                names.getOrDefault(entry.accountId(), ""),
                entry.correctsId(),
                !replaced.contains(entry.id()) && entry.kind() != LogFactKind.TAKEN_BACK,
                cameWith);
    }

    /** What it costs and gives to take a piece down on another day than its own; empty where nothing is expected of it. */
    public Optional<OtherDay> onAnotherDay(Piece piece, int own, int other) {
        return outlooks.of(figures.of(piece))
                .map(outlook -> OtherDay.of(outlook.days(Math.max(own, other) + 1), piece.greenGrams(), own, other));
    }

    /** What a week's waiting costs a piece that is past its target; empty where it costs nothing or nobody knows. */
    public Optional<OtherDay> aWeekOn(Piece piece, int today) {
        return today + WEEK > Forecast.LONGEST_DAYS ? Optional.empty() : onAnotherDay(piece, today, today + WEEK);
    }

    /** When a share of the green weight will be gone. */
    public ReachView reaches(UUID id, double lost) {
        Piece piece = find(id);
        Ahead ahead = figures.of(piece).ahead();
        if (ahead == null) {
            throw Refusal.conflict("wrong-state", "The piece does not hang, so it does not dry.");
        }
        LocalDate hungOn = piece.hungOn().orElseThrow();
        return ahead.forecast()
                .reaches(lost)
                .map(reached -> ReachView.of(hungOn, lost, reached))
                .orElseThrow(() -> Refusal.wrong(
                        "never-reached",
                        "shrinkPercent",
                        "It will not lose %s within %d days in this air, if ever. Choose less, or drier air."
                                .formatted(share(lost), Forecast.LONGEST_DAYS)));
    }

    public List<PieceCard> ofLot(UUID lotId) {
        lots.get(lotId);
        return cards(pieces.ofLot(lotId));
    }

    /** Pieces whose tag starts so. */
    public List<PieceCard> tagged(String start) {
        return cards(pieces.tagged(startingSo(start)));
    }

    private static String startingSo(String start) {
        return start.strip().toLowerCase(Locale.ROOT).replaceAll("[^0-9a-z]", "") + "%";
    }

    /** Pieces in these states whose tag starts so, by their tags, a page at a time. */
    public Page<PieceCard> page(Collection<PieceState> states, String start, Pageable page) {
        Page<Piece> found = pieces.page(states, startingSo(start), page);
        return new PageImpl<>(cards(found.getContent()), page, found.getTotalElements());
    }

    /** The cut pieces, the last hung first; at most 200. */
    public List<PieceCard> cut() {
        return cards(pieces.newestIn(PieceState.CUT));
    }

    private List<PieceCard> cards(List<Piece> found) {
        return cardsOf(figures.of(found));
    }

    /** Figures of the asked pieces, in the order asked. */
    public List<Figures> figures(List<UUID> ids) {
        Map<UUID, Piece> found = pieces.findAll(ids).stream().collect(Collectors.toMap(Piece::id, piece -> piece));
        List<Piece> inOrder = ids.stream()
                .map(id -> {
                    Piece piece = found.get(id);
                    if (piece == null) {
                        throw Refusal.notFound("piece");
                    }
                    return piece;
                })
                .toList();
        return figures.of(inOrder);
    }

    /** What hangs or lies in a chamber, g. */
    public long loadOf(UUID chamberId) {
        return pieces.loadOf(chamberId);
    }

    /** Everything that hangs or waits for the bench; no costs. */
    public List<HangingPiece> inTheRoom(HouseClock house) {
        return read(pieces.inState(EnumSet.of(PieceState.HANGING, PieceState.PULLED)), house);
    }

    /** Of these pieces the ones that are cut, as the first screen has pieces. */
    public List<HangingPiece> cutOf(Collection<UUID> ids, HouseClock house) {
        return read(
                pieces.findAll(ids).stream()
                        .filter(piece -> piece.state() == PieceState.CUT)
                        .toList(),
                house);
    }

    private List<HangingPiece> read(List<Piece> found, HouseClock house) {
        Map<UUID, PieceLog> read = logs.of(found);
        Forecaster forecaster = forecasts.forecaster();
        Instant now = clock.instant();
        return found.stream()
                .map(piece -> {
                    PieceLog log = read.get(piece.id());
                    var ledger = log.ledger();
                    var expected = forecaster.later(piece, log);
                    var section = FiguresService.section(piece, ledger, expected, house, now);
                    return new HangingPiece(
                            piece, PieceCard.of(piece, log, ledger, section, expected, now, house), log);
                })
                .toList();
    }

    /** The pieces that hang, without their figures. */
    public List<Piece> hangingNow() {
        return pieces.inState(EnumSet.of(PieceState.HANGING));
    }

    /** What was hung from the first to the last day, in that order. */
    public List<Piece> hung(LocalDate first, LocalDate last) {
        return pieces.hung(first, last);
    }

    /** Tags of the pieces that hang, by piece; the caller may add to it. */
    public Map<UUID, String> tagsOfHanging() {
        return hangingNow().stream().collect(Collectors.toMap(Piece::id, Piece::tag));
    }

    /** One piece that hangs, as the first screen has it. */
    public HangingPiece hanging(UUID id) {
        Piece piece = find(id);
        if (piece.state() != PieceState.HANGING) {
            throw Refusal.conflict("wrong-state", "The piece no longer hangs; its days are over.");
        }
        Figures worked = figures.of(piece);
        return new HangingPiece(piece, card(worked), worked.log());
    }

    /** Lots that were received and not yet cut into pieces. */
    public List<UUID> uncutLots() {
        return pieces.uncutLots();
    }

    /** The pieces of a lot, without their figures. */
    public List<Piece> allOfLot(UUID lotId) {
        return pieces.ofLot(lotId);
    }

    /** What the pieces of a lot weighed when they were cut from it. */
    public int cutFrom(UUID lotId) {
        return pieces.ofLot(lotId).stream()
                .filter(piece -> !piece.isPart())
                .mapToInt(Piece::cutGrams)
                .sum();
    }

    /** Whether parts of this whole animal are pieces of their own. */
    public boolean isBrokenDown(Piece whole) {
        return !whole.isPart() && pieces.ofLot(whole.lot().id()).stream().anyMatch(Piece::isPart);
    }

    /** What is treated for days and does not hang yet, as the first screen has pieces. */
    public List<HangingPiece> waiting(HouseClock house) {
        return read(pieces.inState(EnumSet.of(PieceState.WAITING)), house);
    }
}
