package elvaro.server.piece;

import elvaro.core.cost.Landed;
import elvaro.core.cost.Landed.ChamberRate;
import elvaro.core.cost.LoadShare;
import elvaro.core.cost.LoadShare.Stay;
import elvaro.core.cost.SteakCost;
import elvaro.core.drying.Method;
import elvaro.core.ledger.Ledger;
import elvaro.core.ledger.PieceLog;
import elvaro.core.yield.Section;
import elvaro.server.chamber.Chamber;
import elvaro.server.lot.Lot;
import elvaro.server.piece.PieceRepository.StayRow;
import elvaro.server.settings.WorkshopService;
import elvaro.server.settings.WorkshopSettings;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Reads pieces with their logs and companions and has core work out the figures: three queries for any number. */
@Service
@Transactional(readOnly = true)
public class FiguresService {
    /** The longest target there is; bounds the search for companions. */
    private static final int LONGEST_STAY_DAYS = 400;

    private final PieceRepository pieces;
    private final Logs logs;
    private final WorkshopService workshops;

    FiguresService(PieceRepository pieces, Logs logs, WorkshopService workshops) {
        this.pieces = pieces;
        this.logs = logs;
        this.workshops = workshops;
    }

    public Figures of(Piece piece) {
        return of(List.of(piece)).get(0);
    }

    /** In the order given. */
    public List<Figures> of(List<Piece> asked) {
        Map<UUID, PieceLog> read = logs.of(asked);
        WorkshopSettings settings = workshops.settings();
        ZoneId zone = workshops.mine().zone();
        Map<UUID, Map<UUID, Stay>> stays = stays(asked, zone);
        return asked.stream()
                .map(piece -> {
                    PieceLog log = read.get(piece.id());
                    Landed landed = landed(piece, settings, stays);
                    Ledger ledger = log.ledger();
                    SteakCost steak = SteakCost.of(landed, ledger.piles(), settings.byProductPrices());
                    return new Figures(piece, log, ledger, section(piece, ledger), landed, steak);
                })
                .toList();
    }

    static Section section(Piece piece, Ledger ledger) {
        return piece.state() == PieceState.CUT ? Section.found(ledger) : expected(piece, ledger);
    }

    static Section expected(Piece piece, Ledger ledger) {
        Lot lot = piece.lot();
        Method method = piece.method().orElse(Method.VACUUM);
        return Section.expected(lot.cut(), lot.boneIn(), lot.fatCoverMm(), method, ledger);
    }

    private static Landed landed(Piece piece, WorkshopSettings settings, Map<UUID, Map<UUID, Stay>> stays) {
        ChamberRate rate = piece.chamber()
                .map(chamber -> chamber.rate(settings.tariffMinorPerKwh()))
                .orElse(new ChamberRate(0, 1, 0, 0));
        Map<UUID, Stay> together = piece.chamber()
                .map(chamber -> stays.getOrDefault(chamber.id(), Map.of()))
                .orElse(Map.of());
        Stay own = together.get(piece.id());
        double share = 0;
        long days = 0;
        if (own != null) {
            share = LoadShare.of(
                    own,
                    together.entrySet().stream()
                            .filter(entry -> !entry.getKey().equals(piece.id()))
                            .map(Map.Entry::getValue)
                            .toList());
            days = own.to().toEpochDay() - own.from().toEpochDay();
        }
        double labour = piece.state() == PieceState.CUT ? settings.labourMinorPerPiece() : 0;
        return Landed.of(
                piece.greenGrams(), piece.lot().priceMinorPerKg(), piece.consumablesMinor(), rate, share, days, labour);
    }

    /** Chamber → piece → stay, for every chamber the asked pieces hang or hung in. */
    private Map<UUID, Map<UUID, Stay>> stays(List<Piece> asked, ZoneId zone) {
        Set<UUID> chambers = asked.stream()
                .flatMap(piece -> piece.chamber().stream())
                .map(Chamber::id)
                .collect(Collectors.toSet());
        Optional<LocalDate> first =
                asked.stream().flatMap(piece -> piece.hungOn().stream()).min(Comparator.naturalOrder());
        if (chambers.isEmpty() || first.isEmpty()) {
            return Map.of();
        }
        LocalDate today = workshops.today();
        return pieces.stays(chambers, first.get().minusDays(LONGEST_STAY_DAYS), today).stream()
                .collect(Collectors.groupingBy(
                        StayRow::chamberId, Collectors.toMap(StayRow::pieceId, row -> stay(row, zone, today))));
    }

    private static Stay stay(StayRow row, ZoneId zone, LocalDate today) {
        LocalDate to =
                row.pulledAt() == null ? today : row.pulledAt().atZone(zone).toLocalDate();
        return new Stay(row.greenGrams(), row.hungOn(), to.isBefore(row.hungOn()) ? row.hungOn() : to);
    }
}
