package elvaro.server.room;

import elvaro.core.schedule.Due;
import elvaro.core.schedule.Due.Work;
import elvaro.server.chamber.Chamber;
import elvaro.server.chamber.ChamberKind;
import elvaro.server.chamber.ChamberService;
import elvaro.server.lot.Lot;
import elvaro.server.lot.LotService;
import elvaro.server.piece.Piece;
import elvaro.server.piece.PieceCard;
import elvaro.server.piece.PieceService;
import elvaro.server.piece.PieceService.Hanging;
import elvaro.server.piece.PieceState;
import elvaro.server.settings.Workshop;
import elvaro.server.settings.WorkshopService;
import java.time.Clock;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The room as it hangs, and what to do now. */
@Service
@Transactional(readOnly = true)
public class RoomService {
    private final PieceService pieces;
    private final ChamberService chambers;
    private final LotService lots;
    private final WorkshopService workshops;
    private final Clock clock;

    RoomService(PieceService pieces, ChamberService chambers, LotService lots, WorkshopService workshops, Clock clock) {
        this.pieces = pieces;
        this.chambers = chambers;
        this.lots = lots;
        this.workshops = workshops;
        this.clock = clock;
    }

    /** The first screen. */
    public record RoomView(LocalDate today, List<ChamberView> chambers, List<DueView> due, List<PieceCard> pulled) {}

    /** A chamber with what hangs in it. */
    public record ChamberView(
            UUID id,
            String name,
            ChamberKind kind,
            int rails,
            int placesPerRail,
            int limitGrams,
            int loadGrams,
            double setCelsius,
            @Nullable Integer setHumidityPercent,
            List<PieceCard> pieces) {}

    /**
     * One thing to do.
     *
     * @param days for how long it has been due, 0 for today
     * @param pieceId the piece, or absent where a lot waits
     */
    public record DueView(
            Work work,
            long days,
            @Nullable UUID pieceId,
            UUID lotId,
            String tag,
            String cutName,
            @Nullable String chamberName) {}

    private record Task(Due due, DueView view) {}

    public RoomView view() {
        Workshop workshop = workshops.mine();
        ZoneId zone = workshop.zone();
        LocalDate today = LocalDate.now(clock.withZone(zone));
        List<Hanging> all = pieces.inTheRoom(today, zone);
        List<Task> tasks = new ArrayList<>();
        all.forEach(hanging ->
                due(hanging, today, zone).forEach(due -> tasks.add(new Task(due, dueView(due, hanging.card())))));
        for (UUID lotId : pieces.uncutLots()) {
            Lot lot = lots.get(lotId);
            Due due = new Due(Work.HANG, ChronoUnit.DAYS.between(lot.receivedOn(), today));
            String name = lot.cut().name();
            tasks.add(new Task(
                    due, new DueView(due.work(), due.days(), null, lotId, String.valueOf(lot.number()), name, null)));
        }
        return new RoomView(
                today,
                chambers.all().stream()
                        .map(chamber -> chamberView(chamber, all))
                        .toList(),
                tasks.stream()
                        .sorted(Comparator.comparing(Task::due, Due.BY_URGENCY))
                        .map(Task::view)
                        .toList(),
                all.stream()
                        .map(Hanging::card)
                        .filter(card -> card.state() == PieceState.PULLED)
                        .toList());
    }

    private static List<Due> due(Hanging hanging, LocalDate today, ZoneId zone) {
        Piece piece = hanging.piece();
        PieceCard card = hanging.card();
        LocalDate hungOn = piece.hungOn().orElseThrow();
        Optional<LocalDate> weighedOn = Optional.ofNullable(card.lastWeighedAt())
                .map(at -> at.atZone(zone).toLocalDate());
        if (piece.state() == PieceState.PULLED) {
            LocalDate pulledOn = weighedOn.orElse(today);
            return List.of(new Due(Work.CUT, ChronoUnit.DAYS.between(pulledOn, today)));
        }
        Optional<Due> pull = Due.pull(hungOn, piece.targetDays().orElseThrow(), today);
        // What is pulled is weighed then; one thing at a time.
        return pull.or(() -> Due.weigh(hungOn, weighedOn, today)).stream().toList();
    }

    private static DueView dueView(Due due, PieceCard card) {
        return new DueView(
                due.work(), due.days(), card.id(), card.lotId(), card.tag(), card.cutName(), card.chamberName());
    }

    private static ChamberView chamberView(Chamber chamber, List<Hanging> all) {
        List<PieceCard> inside = all.stream()
                .map(Hanging::card)
                .filter(card ->
                        card.state() == PieceState.HANGING && chamber.id().equals(card.chamberId()))
                .toList();
        return new ChamberView(
                chamber.id(),
                chamber.name(),
                chamber.kind(),
                chamber.rails(),
                chamber.placesPerRail(),
                chamber.limitGrams(),
                inside.stream()
                        .mapToInt(card -> card.nowGrams() + card.coatGrams())
                        .sum(),
                chamber.setCelsius(),
                chamber.setHumidityPercent(),
                inside);
    }
}
