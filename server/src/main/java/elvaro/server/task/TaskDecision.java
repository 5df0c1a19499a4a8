package elvaro.server.task;

import elvaro.core.schedule.Agenda.AgendaDecision;
import elvaro.core.schedule.Agenda.TaskVerdict;
import elvaro.core.schedule.Work;
import elvaro.server.shared.Chained;
import elvaro.server.shared.WorkshopRow;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Table;
import java.time.Instant;
import java.time.LocalDate;
import java.util.UUID;
import org.hibernate.annotations.Immutable;
import org.jspecify.annotations.NullUnmarked;

/** What a person decided about one task of a piece's plan. Written once; the last word about a task counts. */
@Entity
@Immutable
@Chained("decision about a task")
@Table(name = "task_decision")
@NullUnmarked
public class TaskDecision extends WorkshopRow {
    private UUID pieceId;

    @Enumerated(EnumType.STRING)
    private Work work;

    private LocalDate plannedOn;

    @Enumerated(EnumType.STRING)
    private TaskVerdict verdict;

    private LocalDate movedTo;
    private String reason;
    private Instant decidedAt;
    private UUID accountId;

    protected TaskDecision() {}

    TaskDecision(UUID id, UUID pieceId, AgendaDecision decision, String reason, Instant decidedAt, UUID accountId) {
        super(id);
        this.pieceId = pieceId;
        this.work = decision.work();
        this.plannedOn = decision.plannedOn();
        this.verdict = decision.verdict();
        this.movedTo = decision.movedTo().orElse(null);
        this.reason = reason;
        this.decidedAt = decidedAt;
        this.accountId = accountId;
    }
}
