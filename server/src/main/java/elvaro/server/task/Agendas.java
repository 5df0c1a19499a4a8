package elvaro.server.task;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import elvaro.core.game.Animal;
import elvaro.core.game.Ice;
import elvaro.core.ledger.LogFact.LogFactKind;
import elvaro.core.schedule.Agenda;
import elvaro.core.schedule.Agenda.AgendaDecision;
import elvaro.core.schedule.Agenda.TaskVerdict;
import elvaro.core.schedule.Care;
import elvaro.core.schedule.Work;
import elvaro.server.hanging.PieceQueries.HangingPiece;
import elvaro.server.piece.Piece;
import elvaro.server.settings.HouseClock;
import elvaro.server.settings.WorkshopService;
import elvaro.server.shared.CurrentWorkshop;
import jakarta.persistence.EntityManager;
import java.time.LocalDate;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** The plan of each hanging piece's work, with what people decided about it. */
@Component
class Agendas {
    /** Nothing hangs longer than this, with some room for what was put off. */
    private static final int LONGEST_AGO_DAYS = 500;

    private static final int MOST_WORKSHOPS_KEPT = 200;

    /** What was decided so far. */
    private record AgendaKey(UUID workshopId, long decisions) {}

    private final Cache<AgendaKey, Map<UUID, List<AgendaDecision>>> kept =
            Caffeine.newBuilder().maximumSize(MOST_WORKSHOPS_KEPT).build();
    private final WorkshopService workshops;
    private final CurrentWorkshop current;
    private final EntityManager entities;

    Agendas(WorkshopService workshops, CurrentWorkshop current, EntityManager entities) {
        this.workshops = workshops;
        this.current = current;
        this.entities = entities;
    }

    /** The agendas of a workshop, its decisions read once for any number of pieces. */
    final class WorkshopAgendas {
        private final Map<UUID, List<AgendaDecision>> decisions = decisions();

        private WorkshopAgendas() {}

        /** @param hanging a piece that hangs */
        Agenda of(HangingPiece hanging, Chests chests, HouseClock house) {
            Piece piece = hanging.piece();
            Map<Work, LocalDate> lastDone = new EnumMap<>(Work.class);
            for (Work work : List.of(Work.WEIGH, Work.TURN)) {
                LogFactKind kind = work.shownBy().get(0);
                hanging.log().last(kind).ifPresent(fact -> lastDone.put(work, house.day(fact.at())));
            }
            hanging.log().lastLook().ifPresent(fact -> lastDone.put(Work.LOOK, house.day(fact.at())));
            return Agenda.of(
                    new Care(
                            piece.method().orElseThrow(),
                            piece.coating(),
                            Animal.isHungWhole(piece.cut().code()),
                            chests.ice(piece).map(Ice::topUpDays).orElse(Care.USUAL_ICE_DAYS)),
                    piece.hungOn().orElseThrow(),
                    piece.targetDays().orElseThrow(),
                    decisions.getOrDefault(piece.id(), List.of()),
                    lastDone);
        }
    }

    WorkshopAgendas read() {
        return new WorkshopAgendas();
    }

    /** One decision, read for what it says only. */
    public record DecisionRow(
            UUID pieceId,
            Work work,
            LocalDate plannedOn,
            TaskVerdict verdict,
            @Nullable LocalDate movedTo) {
        AgendaDecision decision() {
            return new AgendaDecision(work, plannedOn, verdict, Optional.ofNullable(movedTo));
        }
    }

    /**
     * Decisions about pieces that may still hang, by piece, in the order they were made. Kept in memory under how many decisions
     * the workshop has: they are only ever added, so the number tells whether there is another.
     */
    private Map<UUID, List<AgendaDecision>> decisions() {
        long number = entities.createQuery("select count(d) from TaskDecision d", Long.class)
                .getSingleResult();
        return kept.get(new AgendaKey(current.person().workshopId(), number), key -> written());
    }

    private Map<UUID, List<AgendaDecision>> written() {
        return entities.createQuery(
                        "select new elvaro.server.task.Agendas$DecisionRow(d.pieceId, d.work, d.plannedOn, d.verdict,"
                                + " d.movedTo) from TaskDecision d where d.plannedOn >= :since order by d.decidedAt, d.id",
                        DecisionRow.class)
                .setParameter("since", workshops.today().minusDays(LONGEST_AGO_DAYS))
                .getResultStream()
                .collect(Collectors.groupingBy(
                        DecisionRow::pieceId, Collectors.mapping(DecisionRow::decision, Collectors.toList())));
    }
}
