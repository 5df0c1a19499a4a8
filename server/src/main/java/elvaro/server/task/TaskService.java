package elvaro.server.task;

import elvaro.core.schedule.Agenda;
import elvaro.core.schedule.Agenda.AgendaDecision;
import elvaro.core.schedule.Agenda.TaskVerdict;
import elvaro.core.schedule.Work;
import elvaro.server.hanging.PieceCommands;
import elvaro.server.hanging.PieceQueries;
import elvaro.server.hanging.PieceQueries.HangingPiece;
import elvaro.server.piece.Piece;
import elvaro.server.piece.PieceWriter;
import elvaro.server.settings.WorkshopService;
import elvaro.server.shared.Answers;
import elvaro.server.shared.CurrentWorkshop;
import elvaro.server.shared.Refusal;
import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What people decide about the tasks of a plan. Tasks themselves follow from the plans and are not stored. */
@Service
@Transactional
public class TaskService {
    private static final int FARTHEST_MOVE_DAYS = 400;

    private final PieceCommands commands;
    private final PieceWriter writer;
    private final PieceQueries pieces;
    private final Agendas agendas;
    private final WorkshopService workshops;
    private final CurrentWorkshop current;
    private final EntityManager entities;
    private final Clock clock;

    TaskService(
            PieceCommands commands,
            PieceWriter writer,
            PieceQueries pieces,
            Agendas agendas,
            WorkshopService workshops,
            CurrentWorkshop current,
            EntityManager entities,
            Clock clock) {
        this.commands = commands;
        this.writer = writer;
        this.pieces = pieces;
        this.agendas = agendas;
        this.workshops = workshops;
        this.current = current;
        this.entities = entities;
        this.clock = clock;
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
        HangingPiece hanging = pieces.hanging(form.pieceId());
        UUID chamber = hanging.piece().chamber().orElseThrow().id();
        Chests chests = new Chests(Map.of(chamber, pieces.loadOf(chamber)));
        Agenda agenda = agendas.read().of(hanging, chests, workshops.mine().clock());
        Work work = form.work() == Work.PULL_OVERDUE ? Work.PULL : form.work();
        if (agenda.named(work, form.plannedOn()).isEmpty()) {
            throw Refusal.conflict("no-task", "The plan of this piece has no such task any more. Look again.");
        }
        check(form, work);
        if (work == Work.PULL) {
            movePull(hanging.piece(), form);
            return;
        }
        AgendaDecision decision =
                new AgendaDecision(work, form.plannedOn(), form.verdict(), Optional.ofNullable(form.movedTo()));
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
        if (form.verdict() == TaskVerdict.MOVED) {
            LocalDate to = form.movedTo();
            if (to == null || to.isBefore(today) || to.isAfter(today.plusDays(FARTHEST_MOVE_DAYS))) {
                throw Refusal.wrong("wrong-day", "movedTo", "Choose the new day: today or later, within 400 days.");
            }
        } else if (work == Work.PULL) {
            throw Refusal.wrong("pull-stays", "verdict", "A pull is done by pulling. Move it, or pull the piece.");
        } else if (form.verdict() == TaskVerdict.DONE && work == Work.WEIGH) {
            throw Refusal.wrong("weigh-it", "verdict", "A weighing is done by weighing. Weigh it, move it or skip it.");
        } else if (form.verdict() == TaskVerdict.SKIPPED && form.reason().isBlank()) {
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
        Map<String, String> answers =
                form.reason().isBlank() ? Map.of() : Map.of(PieceCommands.LATER_TARGET, form.reason());
        commands.retarget(piece.id(), piece.version(), (int) ChronoUnit.DAYS.between(hungOn, to), Answers.of(answers));
    }
}
