package elvaro.server.piece;

import elvaro.core.ledger.LogFact.Kind;
import elvaro.core.ledger.PieceLog;
import elvaro.core.ledger.PieceLog.NetWeight;
import elvaro.core.working.Working;
import elvaro.server.account.AccountService;
import elvaro.server.lot.DecisionService;
import elvaro.server.lot.Lot;
import elvaro.server.lot.LotForm;
import elvaro.server.lot.LotService;
import elvaro.server.piece.PieceView.EntryView;
import elvaro.server.piece.PieceView.WeighingView;
import elvaro.server.settings.WorkshopService;
import elvaro.server.shared.Refusal;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Collection;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Reading pieces, and changing what was planned for them. */
@Service
@Transactional
public class PieceService {
    private final PieceRepository pieces;
    private final LogRepository entries;
    private final Logs logs;
    private final FiguresService figures;
    private final DecisionService decisions;
    private final AccountService accounts;
    private final LotService lots;
    private final WorkshopService workshops;

    PieceService(
            PieceRepository pieces,
            LogRepository entries,
            Logs logs,
            FiguresService figures,
            DecisionService decisions,
            AccountService accounts,
            LotService lots,
            WorkshopService workshops) {
        this.pieces = pieces;
        this.entries = entries;
        this.logs = logs;
        this.figures = figures;
        this.decisions = decisions;
        this.accounts = accounts;
        this.lots = lots;
        this.workshops = workshops;
    }

    /** A piece with its log read, for the first screen. */
    public record Hanging(Piece piece, PieceCard card) {}

    @Transactional(readOnly = true)
    public PieceView view(UUID id) {
        Piece piece = pieces.find(id).orElseThrow(() -> Refusal.notFound("piece"));
        return view(piece, figures.of(piece));
    }

    private PieceView view(Piece piece, Figures worked) {
        var settings = workshops.settings();
        PieceCard card = card(worked);
        List<Working> workings = new ArrayList<>(worked.ledger().workings());
        workings.add(worked.landed().working());
        workings.add(worked.steak().working());
        Double perDay = card.dayNumber() == null || card.dayNumber() == 0
                ? null
                : (double) card.shrinkGrams() / card.dayNumber();
        return new PieceView(
                card,
                piece.version(),
                piece.lot().priceMinorPerKg(),
                piece.consumablesMinor(),
                piece.benchOrder().orElse(null),
                perDay,
                LedgerView.of(worked.ledger()),
                CostView.of(worked.landed(), worked.steak(), settings),
                weighings(worked),
                log(piece.id()),
                decisions.about(piece.lot().id(), piece.id()),
                workings);
    }

    public PieceCard card(Figures worked) {
        ZoneId zone = workshops.mine().zone();
        return PieceCard.of(worked.piece(), worked.log(), worked.ledger(), worked.section(), workshops.today(), zone);
    }

    private List<WeighingView> weighings(Figures worked) {
        if (worked.piece().hungOn().isEmpty()) {
            return List.of();
        }
        Instant hung = worked.piece()
                .hungOn()
                .get()
                .atStartOfDay(workshops.mine().zone())
                .toInstant();
        int green = worked.ledger().green();
        int gone = worked.ledger().withdrawn();
        return worked.log().weighings().stream()
                .map(net -> weighing(net, hung, green, gone))
                .toList();
    }

    private static WeighingView weighing(NetWeight net, Instant hung, int green, int withdrawn) {
        double day = Duration.between(hung, net.at()).toMinutes() / 1440.0;
        return new WeighingView(
                net.entry(), net.at(), day, net.grams(), (double) (green - withdrawn - net.grams()) / green);
    }

    private List<EntryView> log(UUID pieceId) {
        Map<UUID, String> names = accounts.names();
        List<LogEntry> all = entries.ofPiece(pieceId);
        Set<UUID> replaced = PieceLog.replaced(all.stream().map(LogEntry::fact).toList());
        return all.stream()
                .map(entry -> new EntryView(
                        entry.id(),
                        entry.kind(),
                        entry.stream(),
                        entry.grams(),
                        entry.words(),
                        entry.happenedAt(),
                        entry.recordedAt(),
                        names.getOrDefault(entry.accountId(), ""),
                        entry.correctsId(),
                        !replaced.contains(entry.id()) && entry.kind() != Kind.TAKEN_BACK))
                .toList();
    }

    /** Changes for how many days a hanging piece is meant to hang. */
    public void retarget(UUID id, int version, int days) {
        Piece piece = pieces.find(id).orElseThrow(() -> Refusal.notFound("piece"));
        piece.mustStillBe(version);
        if (piece.state() != PieceState.HANGING) {
            throw Refusal.conflict("wrong-state", "The piece no longer hangs; its days are over.");
        }
        piece.retarget(days);
        pieces.save(piece);
    }

    @Transactional(readOnly = true)
    public List<PieceCard> ofLot(UUID lotId) {
        lots.get(lotId);
        return cards(pieces.ofLot(lotId));
    }

    /** Pieces whose tag starts so. */
    @Transactional(readOnly = true)
    public List<PieceCard> tagged(String start) {
        String pattern = start.strip().toLowerCase(Locale.ROOT).replaceAll("[^0-9a-z]", "") + "%";
        return cards(pieces.tagged(pattern));
    }

    /** The cut pieces, the last hung first; at most 200. */
    @Transactional(readOnly = true)
    public List<PieceCard> cut() {
        return cards(pieces.newestIn(PieceState.CUT));
    }

    private List<PieceCard> cards(List<Piece> found) {
        return figures.of(found).stream().map(this::card).toList();
    }

    /** Figures of the asked pieces, in the order asked. */
    @Transactional(readOnly = true)
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

    /** Everything that hangs or waits for the bench; no costs. */
    @Transactional(readOnly = true)
    public List<Hanging> inTheRoom(LocalDate today, ZoneId zone) {
        Collection<PieceState> states = EnumSet.of(PieceState.HANGING, PieceState.PULLED);
        List<Piece> found = pieces.in(states);
        Map<UUID, PieceLog> read = logs.of(found);
        return found.stream()
                .map(piece -> {
                    PieceLog log = read.get(piece.id());
                    var ledger = log.ledger();
                    var section = FiguresService.section(piece, ledger);
                    return new Hanging(piece, PieceCard.of(piece, log, ledger, section, today, zone));
                })
                .toList();
    }

    /** Lots that were received and not yet cut into pieces. */
    @Transactional(readOnly = true)
    public List<UUID> uncutLots() {
        return pieces.uncutLots();
    }

    /** Corrects a lot, within what its pieces allow. */
    public Lot changeLot(LotForm form) {
        int grams = pieces.ofLot(form.id()).stream().mapToInt(Piece::greenGrams).sum();
        return lots.change(form, grams);
    }
}
