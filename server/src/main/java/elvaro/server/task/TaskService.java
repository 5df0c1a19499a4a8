package elvaro.server.task;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import elvaro.core.game.Ice;
import elvaro.core.inspection.FollowUp;
import elvaro.core.ledger.LogFact.Kind;
import elvaro.core.schedule.Agenda;
import elvaro.core.schedule.Agenda.Decision;
import elvaro.core.schedule.Agenda.Item;
import elvaro.core.schedule.Agenda.Verdict;
import elvaro.core.schedule.Care;
import elvaro.core.schedule.Due;
import elvaro.core.schedule.Due.Work;
import elvaro.core.working.Quantity;
import elvaro.server.hanging.PieceCard;
import elvaro.server.hanging.PieceCommands;
import elvaro.server.hanging.PieceQueries;
import elvaro.server.hanging.PieceQueries.Hanging;
import elvaro.server.look.LookService;
import elvaro.server.piece.Piece;
import elvaro.server.piece.PieceState;
import elvaro.server.piece.PieceWriter;
import elvaro.server.plan.Plan;
import elvaro.server.plan.PlanService;
import elvaro.server.reading.AirService;
import elvaro.server.reading.AirService.Undecided;
import elvaro.server.settings.WorkshopService;
import elvaro.server.shared.CurrentWorkshop;
import elvaro.server.shared.Refusal;
import elvaro.server.treatment.Treated;
import elvaro.server.treatment.Treated.OpenStep;
import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Tasks follow from the plans and are not stored; what people decide about them is. */
@Service
@Transactional
public class TaskService {
    private static final int FARTHEST_MOVE_DAYS = 400;

    /** Nothing hangs longer than this, with some room for what was put off. */
    private static final int LONGEST_AGO_DAYS = 500;

    private static final int MOST_WORKSHOPS_KEPT = 200;

    /** Work that an entry of one kind shows as done. */
    private static final Map<Work, Kind> LOGGED = Map.of(Work.WEIGH, Kind.WEIGHED, Work.TURN, Kind.TURNED);

    private final Cache<Known, Map<UUID, List<Decision>>> kept =
            Caffeine.newBuilder().maximumSize(MOST_WORKSHOPS_KEPT).build();
    private final PieceCommands commands;
    private final PieceWriter writer;
    private final PieceQueries pieces;
    private final LookService looks;
    private final Treated treated;
    private final PlanService plans;
    private final AirService air;
    private final WorkshopService workshops;
    private final CurrentWorkshop current;
    private final EntityManager entities;
    private final Clock clock;

    TaskService(
            PieceCommands commands,
            PieceWriter writer,
            PieceQueries pieces,
            LookService looks,
            Treated treated,
            PlanService plans,
            AirService air,
            WorkshopService workshops,
            CurrentWorkshop current,
            EntityManager entities,
            Clock clock) {
        this.commands = commands;
        this.writer = writer;
        this.pieces = pieces;
        this.looks = looks;
        this.treated = treated;
        this.plans = plans;
        this.air = air;
        this.workshops = workshops;
        this.current = current;
        this.entities = entities;
        this.clock = clock;
    }

    /**
     * What a piece needs now.
     *
     * @param words what exactly, where the work alone does not say
     */
    public record PieceDue(
            Hanging hanging, Due due, @Nullable String words) {}

    /** @param hanging pieces that hang, as the first screen has them */
    @Transactional(readOnly = true)
    public List<PieceDue> due(List<Hanging> hanging, LocalDate today, ZoneId zone) {
        Map<UUID, List<Decision>> decisions = decisions();
        Chests chests = Chests.in(hanging);
        Map<UUID, List<FollowUp>> followUps = looks.followUps(hanging, zone);
        Stream<PieceDue> steps = treated.open(hanging, zone).stream()
                .filter(step -> !step.on().isAfter(today))
                .map(step -> new PieceDue(
                        step.hanging(),
                        new Due(Work.TREAT, ChronoUnit.DAYS.between(step.on(), today), Optional.empty()),
                        step.words()));
        Stream<PieceDue> planned = hanging.stream().flatMap(each -> {
            boolean hangs = each.piece().state() == PieceState.HANGING;
            List<Due> byPlan = hangs ? agenda(each, chests, decisions, zone).due(today) : List.of();
            List<FollowUp> made = followUps.getOrDefault(each.piece().id(), List.of());
            return Stream.concat(byPlan.stream(), madeByLooks(made, byPlan, today, zone))
                    .map(due -> new PieceDue(each, due, exactly(due.work(), each.piece(), chests)));
        });
        return Stream.concat(planned, steps).toList();
    }

    /** How much ice; the other works say it all by themselves. */
    private static @Nullable String exactly(Work work, Piece piece, Chests chests) {
        return work != Work.CHANGE_ICE
                ? null
                : chests.ice(piece)
                        .map(ice -> "drain, add %s of ice".formatted(Quantity.limit(Math.round(ice.topUpKg() * 1000))))
                        .orElse("drain; how warm is it?");
    }

    /** What looks made and the plan does not ask for anyway. */
    private static Stream<Due> madeByLooks(List<FollowUp> made, List<Due> planned, LocalDate today, ZoneId zone) {
        return made.stream()
                .filter(each -> planned.stream().noneMatch(due -> due.work() == each.work()))
                .map(each -> new Due(each.work(), ChronoUnit.DAYS.between(day(each, zone), today), Optional.empty()))
                .filter(due -> due.days() >= 0);
    }

    private static LocalDate day(FollowUp made, ZoneId zone) {
        return made.since().atZone(zone).toLocalDate();
    }

    /** Everything that is due or lies ahead. */
    @Transactional(readOnly = true)
    public List<TaskView> ahead(int days) {
        LocalDate today = workshops.today();
        ZoneId zone = workshops.mine().zone();
        LocalDate to = today.plusDays(days);
        Map<UUID, List<Decision>> decisions = decisions();
        List<TaskView> tasks = new ArrayList<>();
        List<Hanging> room = pieces.inTheRoom(zone);
        Chests chests = Chests.in(room);
        looks.followUps(room, zone)
                .forEach((piece, made) -> room.stream()
                        .filter(each -> each.piece().id().equals(piece))
                        .forEach(each -> made.stream()
                                .filter(one -> !day(one, zone).isAfter(to))
                                .forEach(one -> tasks.add(view(one, each.card(), day(one, zone))))));
        treated.open(room, zone).stream().filter(step -> !step.on().isAfter(to)).forEach(step -> tasks.add(view(step)));
        for (Hanging hanging : room) {
            if (hanging.piece().state() != PieceState.HANGING) {
                continue;
            }
            Agenda agenda = agenda(hanging, chests, decisions, zone);
            agenda.due(today)
                    .forEach(due -> agenda.named(
                                    planned(due.work()), due.plannedOn().orElseThrow())
                            .ifPresent(item -> tasks.add(view(item, hanging, chests))));
            agenda.between(today.plusDays(1), to).forEach(item -> tasks.add(view(item, hanging, chests)));
        }
        plans.open().stream().filter(plan -> !plan.hangOn().isAfter(to)).forEach(plan -> tasks.add(view(plan)));
        air.undecided().forEach(event -> tasks.add(view(event, zone)));
        tasks.sort(
                Comparator.comparing(TaskView::on).thenComparing(TaskView::work).thenComparing(TaskView::tag));
        return tasks;
    }

    private static Work planned(Work work) {
        return work == Work.PULL_OVERDUE ? Work.PULL : work;
    }

    private static TaskView view(Item item, Hanging hanging, Chests chests) {
        PieceCard card = hanging.card();
        return new TaskView(
                item.work(),
                item.on(),
                item.plannedOn(),
                card.id(),
                null,
                card.tag(),
                card.cutName(),
                card.chamberName(),
                exactly(item.work(), hanging.piece(), chests));
    }

    private static TaskView view(FollowUp made, PieceCard card, LocalDate on) {
        return new TaskView(
                made.work(), on, null, card.id(), null, card.tag(), card.cutName(), card.chamberName(), null);
    }

    private static TaskView view(OpenStep step) {
        PieceCard card = step.hanging().card();
        return new TaskView(
                Work.TREAT,
                step.on(),
                null,
                card.id(),
                null,
                card.tag(),
                card.cutName(),
                card.chamberName(),
                step.words());
    }

    private static TaskView view(Undecided event, ZoneId zone) {
        String chamber = event.chamber().name();
        return new TaskView(
                Work.DECIDE,
                event.from().atZone(zone).toLocalDate(),
                null,
                null,
                null,
                chamber,
                event.kind().label(),
                chamber,
                null);
    }

    private static TaskView view(Plan plan) {
        return new TaskView(
                Work.BUY,
                plan.hangOn(),
                null,
                null,
                plan.id(),
                plan.name(),
                plan.cut().name(),
                plan.chamber().name(),
                null);
    }

    /**
     * Keeps what a person decided; sent again, it is kept once.
     *
     * @throws Refusal if the plan has no such task, or the decision does not suit it
     */
    public void decide(UUID id, DecisionForm form) {
        writer.lock(form.pieceId()); // Its tag may not change under us, and a retry finds what the first one kept.
        if (entities.find(TaskDecision.class, id) != null) {
            return;
        }
        Hanging hanging = pieces.hanging(form.pieceId());
        UUID chamber = hanging.piece().chamber().orElseThrow().id();
        Chests chests = new Chests(Map.of(chamber, pieces.loadOf(chamber)));
        Agenda agenda = agenda(hanging, chests, decisions(), workshops.mine().zone());
        Work work = planned(form.work());
        if (agenda.named(work, form.plannedOn()).isEmpty()) {
            throw Refusal.conflict("no-task", "The plan of this piece has no such task any more. Look again.");
        }
        check(form, work);
        if (work == Work.PULL) {
            movePull(hanging.piece(), form);
            return;
        }
        Decision decision = new Decision(work, form.plannedOn(), form.verdict(), Optional.ofNullable(form.movedTo()));
        entities.persist(new TaskDecision(
                id,
                form.pieceId(),
                decision,
                form.reason().strip(),
                clock.instant().truncatedTo(ChronoUnit.MICROS),
                current.person().accountId()));
    }

    private void check(DecisionForm form, Work work) {
        LocalDate today = workshops.today();
        if (form.verdict() == Verdict.MOVED) {
            LocalDate to = form.movedTo();
            if (to == null || to.isBefore(today) || to.isAfter(today.plusDays(FARTHEST_MOVE_DAYS))) {
                throw Refusal.wrong("wrong-day", "movedTo", "Choose the new day: today or later, within 400 days.");
            }
        } else if (work == Work.PULL) {
            throw Refusal.wrong("pull-stays", "verdict", "A pull is done by pulling. Move it, or pull the piece.");
        } else if (form.verdict() == Verdict.DONE && work == Work.WEIGH) {
            throw Refusal.wrong("weigh-it", "verdict", "A weighing is done by weighing. Weigh it, move it or skip it.");
        } else if (form.verdict() == Verdict.SKIPPED && form.reason().isBlank()) {
            throw Refusal.wrong("missing", "reason", "Say why it is skipped.");
        }
    }

    /** The pull follows the target: moving it sets a new one. */
    private void movePull(Piece piece, DecisionForm form) {
        LocalDate to = form.movedTo();
        LocalDate hungOn = piece.hungOn().orElseThrow();
        if (to == null || !to.isAfter(hungOn)) {
            throw Refusal.wrong("wrong-day", "movedTo", "A piece hangs at least a day.");
        }
        commands.retarget(piece.id(), piece.version(), (int) ChronoUnit.DAYS.between(hungOn, to));
    }

    private static Agenda agenda(Hanging hanging, Chests chests, Map<UUID, List<Decision>> decisions, ZoneId zone) {
        Piece piece = hanging.piece();
        Map<Work, LocalDate> lastDone = new EnumMap<>(Work.class);
        LOGGED.forEach((work, kind) -> hanging.log()
                .last(kind)
                .ifPresent(fact -> lastDone.put(work, fact.at().atZone(zone).toLocalDate())));
        hanging.log()
                .lastLook()
                .ifPresent(
                        fact -> lastDone.put(Work.LOOK, fact.at().atZone(zone).toLocalDate()));
        return Agenda.of(
                new Care(
                        piece.method().orElseThrow(),
                        piece.coating(),
                        chests.ice(piece).map(Ice::topUpDays).orElse(Care.USUAL_ICE_DAYS)),
                piece.hungOn().orElseThrow(),
                piece.targetDays().orElseThrow(),
                decisions.getOrDefault(piece.id(), List.of()),
                lastDone);
    }

    /** One decision, read for what it says only. */
    public record DecisionRow(
            UUID pieceId,
            Work work,
            LocalDate plannedOn,
            Verdict verdict,
            @Nullable LocalDate movedTo) {
        Decision decision() {
            return new Decision(work, plannedOn, verdict, Optional.ofNullable(movedTo));
        }
    }

    /** What was decided so far. */
    private record Known(UUID workshopId, long decisions) {}

    /**
     * Decisions about pieces that may still hang, by piece, in the order they were made. Kept in memory under how many decisions
     * the workshop has: they are only ever added, so the number tells whether there is another.
     */
    private Map<UUID, List<Decision>> decisions() {
        long number = entities.createQuery("select count(d) from TaskDecision d", Long.class)
                .getSingleResult();
        return kept.get(new Known(current.person().workshopId(), number), key -> read());
    }

    private Map<UUID, List<Decision>> read() {
        return entities.createQuery(
                        "select new elvaro.server.task.TaskService$DecisionRow(d.pieceId, d.work, d.plannedOn, d.verdict,"
                                + " d.movedTo) from TaskDecision d where d.plannedOn >= :since order by d.decidedAt, d.id",
                        DecisionRow.class)
                .setParameter("since", workshops.today().minusDays(LONGEST_AGO_DAYS))
                .getResultStream()
                .collect(Collectors.groupingBy(
                        DecisionRow::pieceId, Collectors.mapping(DecisionRow::decision, Collectors.toList())));
    }
}
