package elvaro.server.task;

import elvaro.core.inspection.FollowUp;
import elvaro.core.schedule.Agenda;
import elvaro.core.schedule.Due;
import elvaro.core.schedule.Work;
import elvaro.core.working.Quantity;
import elvaro.server.hanging.PieceCard;
import elvaro.server.hanging.PieceQueries;
import elvaro.server.hanging.PieceQueries.HangingPiece;
import elvaro.server.look.LookService;
import elvaro.server.lot.Lot;
import elvaro.server.lot.LotService;
import elvaro.server.piece.Piece;
import elvaro.server.piece.PieceState;
import elvaro.server.plan.Plan;
import elvaro.server.plan.PlanService;
import elvaro.server.reading.AirEvents;
import elvaro.server.settings.HouseClock;
import elvaro.server.settings.WorkshopService;
import elvaro.server.task.WorkItem.Subject;
import elvaro.server.task.WorkItem.SubjectKind;
import elvaro.server.treatment.TreatmentQueries;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * All work there is, due and coming: of the plans of pieces, of looks, treatments, benches, lots, purchases and air. Room, day
 * sheet, calendar and whatever else tells people of work filter this list.
 */
@Service
@Transactional(readOnly = true)
public class WorkList {
    /** The most urgent first; what is alike by its tag. */
    private static final Comparator<WorkItem> ORDER = Comparator.comparing(WorkItem::due, Due.BY_URGENCY)
            .thenComparing(item -> item.subject().tag());

    /** So much comes next. */
    private static final int NEXT = 3;

    private static final int FAR_AHEAD_DAYS = 400;

    private final Agendas agendas;
    private final PieceQueries pieces;
    private final LookService looks;
    private final TreatmentQueries treated;
    private final PlanService plans;
    private final LotService lots;
    private final AirEvents air;
    private final WorkshopService workshops;

    WorkList(
            Agendas agendas,
            PieceQueries pieces,
            LookService looks,
            TreatmentQueries treated,
            PlanService plans,
            LotService lots,
            AirEvents air,
            WorkshopService workshops) {
        this.agendas = agendas;
        this.pieces = pieces;
        this.looks = looks;
        this.treated = treated;
        this.plans = plans;
        this.lots = lots;
        this.air = air;
        this.workshops = workshops;
    }

    /** What is due and what comes until so many days ahead, in the order of urgency. */
    public List<WorkItem> ahead(int days) {
        HouseClock house = workshops.mine().clock();
        return until(workshops.today().plusDays(days), pieces.inTheRoom(house));
    }

    /** What comes next for one piece, the first day first. */
    public List<WorkItem> next(UUID pieceId) {
        Piece piece = pieces.find(pieceId);
        return ahead(FAR_AHEAD_DAYS).stream()
                .filter(item -> item.subject().id().equals(piece.id()))
                .sorted(Comparator.comparing(WorkItem::on)) // stable: by urgency within a day
                .limit(NEXT)
                .toList();
    }

    /** What is put before people today. */
    public List<WorkItem> today(List<HangingPiece> room) {
        LocalDate today = workshops.today();
        int notice = Stream.of(Work.values()).mapToInt(Work::noticeDays).max().orElse(0);
        return until(today.plusDays(notice), room).stream()
                .filter(item -> item.due().isShown(today))
                .toList();
    }

    private List<WorkItem> until(LocalDate last, List<HangingPiece> room) {
        HouseClock house = workshops.mine().clock();
        LocalDate today = workshops.today();
        List<WorkItem> items = new ArrayList<>();
        items.addAll(ofPieces(room, today, last, house));
        treated.open(room, house)
                .forEach(step -> items.add(new WorkItem(
                        Due.since(Work.TREAT, step.on()), subject(step.hanging().card()), step.words())));
        room.stream()
                .filter(each -> each.piece().state() == PieceState.PULLED)
                .forEach(each -> items.add(toCut(each.card(), today, house)));
        pieces.uncutLots().forEach(id -> items.add(toHang(lots.get(id))));
        plans.open().forEach(plan -> items.add(toBuy(plan)));
        air.undecided()
                .forEach(event -> items.add(new WorkItem(
                        Due.since(Work.DECIDE, house.day(event.from())),
                        new Subject(
                                SubjectKind.CHAMBER,
                                event.chamber().id(),
                                event.chamber().name(),
                                event.kind().label(),
                                event.chamber().name()),
                        null)));
        return items.stream()
                .filter(item -> !item.on().isAfter(last))
                .sorted(ORDER)
                .toList();
    }

    /** What plans ask for and looks made. */
    private List<WorkItem> ofPieces(List<HangingPiece> room, LocalDate today, LocalDate last, HouseClock house) {
        Chests chests = Chests.of(room);
        Map<UUID, List<FollowUp>> followUps = looks.followUps(room, house);
        Agendas.WorkshopAgendas read = agendas.read();
        return room.stream()
                .flatMap(each -> {
                    Piece piece = each.piece();
                    Agenda agenda =
                            piece.state() == PieceState.HANGING ? read.of(each, chests, house) : new Agenda(List.of());
                    List<Due> made = followUps.getOrDefault(piece.id(), List.of()).stream()
                            .map(follow -> Due.since(follow.work(), house.day(follow.since())))
                            .toList();
                    return agenda.open(today, last, made).stream()
                            .map(due -> new WorkItem(due, subject(each.card()), detail(due.work(), piece, chests)));
                })
                .toList();
    }

    /** How much ice; the other works say it all by themselves. */
    private static @Nullable String detail(Work work, Piece piece, Chests chests) {
        return work != Work.CHANGE_ICE
                ? null
                : chests.ice(piece)
                        .map(ice -> "drain, add %s of ice"
                                .formatted(piece.iceBagGrams()
                                        .map(grams -> "%d × %s"
                                                .formatted(ice.bags(grams, 1).topUp(), Quantity.limit(grams)))
                                        .orElse(Quantity.limit(1000 * Math.round(ice.topUpKg())))))
                        .orElse("drain; how warm is it?");
    }

    private static WorkItem toCut(PieceCard card, LocalDate today, HouseClock house) {
        LocalDate pulledOn = Optional.ofNullable(card.lastWeighedAt())
                .map(at -> house.day(at))
                .orElse(today);
        return new WorkItem(Due.since(Work.CUT, pulledOn), subject(card), null);
    }

    private static WorkItem toHang(Lot lot) {
        Subject subject = new Subject(
                SubjectKind.LOT,
                lot.id(),
                String.valueOf(lot.number()),
                lot.cut().name(),
                null);
        return new WorkItem(Due.since(Work.HANG, lot.receivedOn()), subject, null);
    }

    private static WorkItem toBuy(Plan plan) {
        Subject subject = new Subject(
                SubjectKind.PLAN,
                plan.id(),
                plan.name(),
                plan.cut().name(),
                plan.chamber().name());
        return new WorkItem(Due.since(Work.BUY, plan.hangOn()), subject, null);
    }

    private static Subject subject(PieceCard card) {
        return new Subject(SubjectKind.PIECE, card.id(), card.tag(), card.cutName(), card.chamberName());
    }
}
