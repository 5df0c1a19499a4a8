package elvaro.server.room;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import elvaro.core.air.ChamberKind;
import elvaro.core.schedule.Due;
import elvaro.core.schedule.Due.Work;
import elvaro.server.account.AccountService;
import elvaro.server.chamber.Chamber;
import elvaro.server.chamber.ChamberService;
import elvaro.server.hanging.PieceCard;
import elvaro.server.hanging.PieceQueries;
import elvaro.server.hanging.PieceQueries.Hanging;
import elvaro.server.lot.Lot;
import elvaro.server.lot.LotService;
import elvaro.server.piece.PieceState;
import elvaro.server.plan.Plan;
import elvaro.server.plan.PlanService;
import elvaro.server.reading.AirService;
import elvaro.server.reading.AirService.NowView;
import elvaro.server.reading.AirService.Undecided;
import elvaro.server.settings.Workshop;
import elvaro.server.settings.WorkshopService;
import elvaro.server.shared.Changes;
import elvaro.server.shared.CurrentWorkshop;
import elvaro.server.task.TaskService;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The room as it hangs, and what to do now. */
@Service
@Transactional(readOnly = true)
public class RoomService {
    /** A purchase is put before people so many days before it is to hang. */
    private static final int DAYS_TO_BUY = 3;

    private static final int MOST_KEPT = 50;

    /** What the room is made from: everything written, and the time, by which expected weights move. */
    public record State(UUID workshopId, long change, Instant minute) {}

    private final Cache<State, RoomView> kept = Caffeine.newBuilder()
            .maximumSize(MOST_KEPT)
            .expireAfterAccess(Duration.ofMinutes(1))
            .build();
    private final PieceQueries pieces;
    private final TaskService tasks;
    private final PlanService plans;
    private final ChamberService chambers;
    private final LotService lots;
    private final WorkshopService workshops;
    private final AirService air;
    private final AccountService accounts;
    private final Changes changes;
    private final CurrentWorkshop current;
    private final Clock clock;

    RoomService(
            PieceQueries pieces,
            TaskService tasks,
            PlanService plans,
            ChamberService chambers,
            LotService lots,
            WorkshopService workshops,
            AirService air,
            AccountService accounts,
            Changes changes,
            CurrentWorkshop current,
            Clock clock) {
        this.pieces = pieces;
        this.tasks = tasks;
        this.plans = plans;
        this.chambers = chambers;
        this.lots = lots;
        this.workshops = workshops;
        this.air = air;
        this.accounts = accounts;
        this.changes = changes;
        this.current = current;
        this.clock = clock;
    }

    /** The first screen. */
    public record RoomView(LocalDate today, List<ChamberView> chambers, List<DueView> due, List<PieceCard> pulled) {}

    /**
     * A chamber with what hangs in it.
     *
     * @param air as last measured, where anybody measures it
     * @param keeper whose work it is, absent where it is everybody's
     */
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
            @Nullable NowView air,
            @Nullable UUID keeperId,
            @Nullable String keeper,
            List<PieceCard> pieces) {}

    /**
     * One thing to do.
     *
     * @param days for how long it has been due, 0 for today
     * @param plannedOn the day the plan put it, by which a task is named; below 0 days it lies ahead
     * @param pieceId the piece, or absent where a lot waits
     * @param planId the planned purchase, if it is one
     * @param chamberId the chamber, where its air is to be decided about
     * @param words what exactly, where the work alone does not say
     */
    public record DueView(
            Work work,
            long days,
            @Nullable LocalDate plannedOn,
            @Nullable UUID pieceId,
            @Nullable UUID lotId,
            @Nullable UUID planId,
            @Nullable UUID chamberId,
            String tag,
            String cutName,
            @Nullable String chamberName,
            @Nullable String words) {}

    private record Task(Due due, DueView view) {}

    /** What the room is made from now; the same state gives the same room. */
    public State state() {
        return new State(
                current.person().workshopId(), changes.number(), clock.instant().truncatedTo(ChronoUnit.MINUTES));
    }

    /** The room of a state, worked out once for all who look at it. */
    public RoomView view(State state) {
        return kept.get(state, each -> view());
    }

    private RoomView view() {
        Workshop workshop = workshops.mine();
        ZoneId zone = workshop.zone();
        LocalDate today = LocalDate.now(clock.withZone(zone));
        List<Hanging> all = pieces.inTheRoom(zone);
        List<Task> due = new ArrayList<>();
        tasks.due(all, today, zone)
                .forEach(each -> due.add(
                        new Task(each.due(), dueView(each.due(), each.hanging().card(), each.words()))));
        all.stream()
                .filter(hanging -> hanging.piece().state() == PieceState.PULLED)
                .forEach(hanging -> {
                    Due cut = toCut(hanging, today, zone);
                    due.add(new Task(cut, dueView(cut, hanging.card(), null)));
                });
        plans.open().stream()
                .filter(plan -> !plan.hangOn().isAfter(today.plusDays(DAYS_TO_BUY)))
                .forEach(plan -> {
                    Due buy = new Due(Work.BUY, ChronoUnit.DAYS.between(plan.hangOn(), today), Optional.empty());
                    due.add(new Task(buy, dueView(buy, plan)));
                });
        for (UUID lotId : pieces.uncutLots()) {
            Lot lot = lots.get(lotId);
            Due hang = new Due(Work.HANG, ChronoUnit.DAYS.between(lot.receivedOn(), today), Optional.empty());
            String name = lot.cut().name();
            due.add(new Task(
                    hang,
                    new DueView(
                            hang.work(),
                            hang.days(),
                            null,
                            null,
                            lotId,
                            null,
                            null,
                            String.valueOf(lot.number()),
                            name,
                            null,
                            null)));
        }
        air.undecided().forEach(event -> {
            LocalDate day = event.from().atZone(zone).toLocalDate();
            Due decide = new Due(Work.DECIDE, ChronoUnit.DAYS.between(day, today), Optional.empty());
            due.add(new Task(decide, dueView(decide, event)));
        });
        Map<UUID, NowView> airs = air.now();
        Map<UUID, String> names = accounts.names();
        return new RoomView(
                today,
                chambers.all().stream()
                        .map(chamber -> chamberView(chamber, airs.get(chamber.id()), names, all))
                        .toList(),
                due.stream()
                        .sorted(Comparator.comparing(Task::due, Due.BY_URGENCY))
                        .map(Task::view)
                        .toList(),
                all.stream()
                        .map(Hanging::card)
                        .filter(card -> card.state() == PieceState.PULLED)
                        .toList());
    }

    private static Due toCut(Hanging hanging, LocalDate today, ZoneId zone) {
        LocalDate pulledOn = Optional.ofNullable(hanging.card().lastWeighedAt())
                .map(at -> at.atZone(zone).toLocalDate())
                .orElse(today);
        return new Due(Work.CUT, ChronoUnit.DAYS.between(pulledOn, today), Optional.empty());
    }

    private static DueView dueView(Due due, PieceCard card, @Nullable String words) {
        return new DueView(
                due.work(),
                due.days(),
                due.plannedOn().orElse(null),
                card.id(),
                card.lotId(),
                null,
                null,
                card.tag(),
                card.cutName(),
                card.chamberName(),
                words);
    }

    private static DueView dueView(Due due, Plan plan) {
        return new DueView(
                due.work(),
                due.days(),
                null,
                null,
                null,
                plan.id(),
                null,
                plan.name(),
                plan.cut().name(),
                plan.chamber().name(),
                null);
    }

    private static DueView dueView(Due due, Undecided event) {
        Chamber chamber = event.chamber();
        return new DueView(
                due.work(),
                due.days(),
                null,
                null,
                null,
                null,
                chamber.id(),
                chamber.name(),
                event.kind().label(),
                chamber.name(),
                null);
    }

    private static ChamberView chamberView(
            Chamber chamber, @Nullable NowView air, Map<UUID, String> names, List<Hanging> all) {
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
                air,
                chamber.keeperId().orElse(null),
                chamber.keeperId().map(names::get).orElse(null),
                inside);
    }
}
